package org.unrulymarble.server.account;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;

/** Who may sign in, and as what. Administrators see and change it; an account is closed, never removed, so that what it did stays told. */
@RestController
@RequestMapping("/api/people")
class PeopleController {

    private final AccountService accounts;

    PeopleController(AccountService accounts) {
        this.accounts = accounts;
    }

    /** @param codeUntil until when a one-time code lets in, in milliseconds; null for an account with a password */
    record PersonView(
            UUID id,
            long version,
            String username,
            String displayName,
            Role role,
            boolean active,
            boolean me,
            @Nullable Long codeUntil) {}

    /** Somebody new. */
    record Invited(String username, String displayName, Role role) {
        Invited {
            new Checks()
                    .text("username", username, 40)
                    .text("displayName", displayName, 60)
                    .required("role", role)
                    .done();
        }
    }

    /** @param version of the account that this was made from */
    record PersonDoc(@Nullable Long version, String displayName, Role role, Boolean active) {
        PersonDoc {
            new Checks()
                    .text("displayName", displayName, 60)
                    .required("role", role)
                    .required("active", active)
                    .done();
        }
    }

    /** @param code lets in once; shown now and never again */
    record PersonWithCode(PersonView person, String code) {}

    /** Who can be named as a helper of a class. */
    record HelperName(UUID id, String displayName) {}

    @GetMapping
    List<PersonView> all() {
        return accounts.all().stream().map(PeopleController::view).toList();
    }

    /** For teachers, who say with each class who helps. */
    @GetMapping("/helpers")
    List<HelperName> helpers() {
        if (!SignedIn.now().teaches()) return List.of();
        return accounts.helpers().stream()
                .map(a -> new HelperName(a.id(), a.displayName()))
                .toList();
    }

    /** For teachers, who may hand a lesson over. */
    @GetMapping("/colleagues")
    List<AccountService.Colleague> colleagues() {
        return SignedIn.now().teaches() ? accounts.colleagues() : List.of();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    PersonWithCode invite(@RequestBody Invited doc) {
        return view(accounts.invite(doc.username(), doc.displayName(), doc.role()));
    }

    @PutMapping("/{id}")
    PersonView change(@PathVariable UUID id, @RequestBody PersonDoc doc) {
        return view(accounts.change(id, doc.version(), doc.displayName(), doc.role(), doc.active()));
    }

    @PostMapping("/{id}/code")
    PersonWithCode reset(@PathVariable UUID id) {
        return view(accounts.reset(id));
    }

    private static PersonWithCode view(AccountService.Coded coded) {
        return new PersonWithCode(view(coded.account()), coded.code());
    }

    private static PersonView view(Account a) {
        return new PersonView(
                a.id(),
                a.version(),
                a.username(),
                a.displayName(),
                a.role(),
                a.active(),
                a.id().equals(SignedIn.now().accountId()),
                a.codeUntil());
    }
}
