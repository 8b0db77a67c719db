package org.unrulymarble.server.account;

import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;

/** Who may sign in, and as what. Only teachers see and change it; an account is closed, never removed, so that what it did stays told. */
@RestController
@RequestMapping("/api/people")
@Transactional
class PeopleController {

    private final AccountService accounts;

    PeopleController(AccountService accounts) {
        this.accounts = accounts;
    }

    record PersonView(
            UUID id, long version, String username, String displayName, Role role, boolean active, boolean me) {}

    /**
     * @param version of the account that this was made from; null for a new one
     * @param username only for a new one; it stays as it is
     * @param password for a new one; for a known one only to set another, else null
     */
    record PersonDoc(Long version, String username, String displayName, Role role, Boolean active, String password) {
        PersonDoc {
            new Checks()
                    .text("username", username, 40)
                    .text("displayName", displayName, 60)
                    .required("role", role)
                    .required("active", active)
                    .done();
        }
    }

    @GetMapping
    List<PersonView> all() {
        onlyTeachers();
        return accounts.all().stream().map(PeopleController::view).toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    PersonView create(@RequestBody PersonDoc doc) {
        onlyTeachers();
        return view(accounts.create(doc.username(), doc.displayName(), doc.password(), doc.role()));
    }

    @PutMapping("/{id}")
    PersonView change(@PathVariable UUID id, @RequestBody PersonDoc doc) {
        onlyTeachers();
        return view(accounts.change(id, doc.version(), doc.displayName(), doc.role(), doc.active(), doc.password()));
    }

    private static void onlyTeachers() {
        if (!SignedIn.now().teaches()) throw new AccessDeniedException("helpers do not change accounts");
    }

    private static PersonView view(Account a) {
        return new PersonView(
                a.id(),
                a.version(),
                a.username(),
                a.displayName(),
                a.role(),
                a.active(),
                a.id().equals(SignedIn.now().accountId()));
    }
}
