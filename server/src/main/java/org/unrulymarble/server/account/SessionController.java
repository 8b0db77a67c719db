package org.unrulymarble.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.server.audit.Audit;
import org.unrulymarble.server.platform.ClientAddress;

@RestController
@RequestMapping("/api")
class SessionController {

    private final AccountService accounts;
    private final ClientAddress address;
    private final Audit audit;
    private final SecurityContextRepository contexts;

    SessionController(AccountService accounts, ClientAddress address, Audit audit, SecurityContextRepository contexts) {
        this.accounts = accounts;
        this.address = address;
        this.audit = audit;
        this.contexts = contexts;
    }

    record SignIn(String username, String password) {
        SignIn {
            new Checks()
                    .text("username", username, 40)
                    .text("password", password, 200)
                    .done();
        }
    }

    /** @param who null when nobody is signed in; {@code setupNeeded} when there is no account at all */
    record SessionView(@Nullable Who who, boolean setupNeeded) {}

    /** @param teaches whether the account may plan; {@code administrates} whether it says who may come in */
    record Who(String username, String displayName, Role role, boolean teaches, boolean administrates) {}

    record FirstAccount(String code, String username, String displayName, String password) {}

    /** Comes in with a one-time code and sets a password. */
    record Join(String username, String code, String password) {
        Join {
            new Checks()
                    .text("username", username, 40)
                    .text("code", code, 40)
                    .text("password", password, 200)
                    .done();
        }
    }

    record OwnPassword(String old, String password) {
        OwnPassword {
            new Checks().text("old", old, 200).text("password", password, 200).done();
        }
    }

    @GetMapping("/session")
    SessionView session() {
        Object principal = SecurityContextHolder.getContext().getAuthentication() == null
                ? null
                : SecurityContextHolder.getContext().getAuthentication().getPrincipal();
        return principal instanceof SignedIn in ? view(in) : new SessionView(null, accounts.nobodyYet());
    }

    @PostMapping("/session")
    SessionView signIn(@RequestBody SignIn body, HttpServletRequest request, HttpServletResponse response) {
        SignedIn in = accounts.signIn(body.username(), body.password(), address.of(request))
                .orElseThrow(() -> new BadCredentialsException("name and password do not fit"));
        begin(in, request, response);
        return view(in);
    }

    @DeleteMapping("/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        SignedIn.maybe().ifPresent(in -> audit.note(in.accountId(), Audit.Kind.SIGNED_OUT, in.accountId()));
        HttpSession session = request.getSession(false);
        if (session != null) session.invalidate();
        SecurityContextHolder.clearContext();
    }

    /** Makes the first account of an empty install; the code stands in the window where the server was started. */
    @PostMapping("/setup")
    @ResponseStatus(HttpStatus.CREATED)
    SessionView setUp(@RequestBody FirstAccount first, HttpServletRequest request, HttpServletResponse response) {
        SignedIn in = accounts.setUp(
                first.code(), first.username(), first.displayName(), first.password(), address.of(request));
        begin(in, request, response);
        return view(in);
    }

    @PostMapping("/session/join")
    SessionView join(@RequestBody Join body, HttpServletRequest request, HttpServletResponse response) {
        SignedIn in = accounts.join(body.username(), body.code(), body.password(), address.of(request));
        begin(in, request, response);
        return view(in);
    }

    /** Sets another password of one's own; other devices that are signed in with it are signed out. */
    @PutMapping("/session/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changePassword(@RequestBody OwnPassword body, HttpServletRequest request) {
        HttpSession here = request.getSession(false);
        accounts.changeOwn(body.old(), body.password(), here == null ? "" : here.getId(), address.of(request));
    }

    private void begin(SignedIn in, HttpServletRequest request, HttpServletResponse response) {
        // Signing in begins a session of its own, with an id that nobody knew before.
        HttpSession before = request.getSession(false);
        if (before != null) before.invalidate();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                in, null, List.of(new SimpleGrantedAuthority("ROLE_" + in.role()))));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
    }

    private SessionView view(SignedIn in) {
        return new SessionView(
                new Who(
                        in.username(),
                        in.displayName(),
                        in.role(),
                        in.role().teaches(),
                        in.role().administrates()),
                false);
    }
}
