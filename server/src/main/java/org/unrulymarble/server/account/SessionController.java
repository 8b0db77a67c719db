package org.unrulymarble.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
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
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.server.platform.TryLimit;

@RestController
@RequestMapping("/api")
class SessionController {

    private final AccountService accounts;
    private final TryLimit limit;
    private final SecurityContextRepository contexts;

    SessionController(AccountService accounts, TryLimit limit, SecurityContextRepository contexts) {
        this.accounts = accounts;
        this.limit = limit;
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
    record SessionView(Who who, boolean setupNeeded) {}

    record Who(String username, String displayName, Role role) {}

    record FirstTeacher(String code, String username, String displayName, String password) {}

    @GetMapping("/session")
    SessionView session() {
        Object principal = SecurityContextHolder.getContext().getAuthentication() == null
                ? null
                : SecurityContextHolder.getContext().getAuthentication().getPrincipal();
        return principal instanceof SignedIn in ? view(in) : new SessionView(null, accounts.nobodyYet());
    }

    @PostMapping("/session")
    SessionView signIn(@RequestBody SignIn body, HttpServletRequest request, HttpServletResponse response) {
        limit.count(request.getRemoteAddr(), body.username());
        SignedIn in = accounts.check(body.username(), body.password())
                .orElseThrow(() -> new BadCredentialsException("name and password do not fit"));
        limit.forget(request.getRemoteAddr(), body.username());
        begin(in, request, response);
        return view(in);
    }

    @DeleteMapping("/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) session.invalidate();
        SecurityContextHolder.clearContext();
    }

    /** Makes the first teacher of an empty install; the code stands in the window where the server was started. */
    @PostMapping("/setup")
    @ResponseStatus(HttpStatus.CREATED)
    SessionView setUp(@RequestBody FirstTeacher first, HttpServletRequest request, HttpServletResponse response) {
        limit.count(request.getRemoteAddr(), "setup");
        if (!accounts.nobodyYet()
                || !accounts.setupCode()
                        .equalsIgnoreCase(String.valueOf(first.code()).strip()))
            throw new Refused("code", Fault.Rule.KIND, "the code from the window where the server was started");
        SignedIn in = accounts.create(first.username(), first.displayName(), first.password(), Role.TEACHER)
                .signedIn();
        begin(in, request, response);
        return view(in);
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
        return new SessionView(new Who(in.username(), in.displayName(), in.role()), false);
    }
}
