package org.unrulymarble.server.account;

import java.io.Serializable;
import java.util.UUID;
import org.springframework.security.core.AuthenticatedPrincipal;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/** The one who asks. Kept in the session. */
public record SignedIn(UUID accountId, String username, String displayName, Role role)
        implements AuthenticatedPrincipal, Serializable {

    @Override
    public String getName() {
        return username;
    }

    public boolean teaches() {
        return role == Role.TEACHER;
    }

    /** Whoever makes the present request. */
    public static SignedIn now() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        if (authentication != null && authentication.getPrincipal() instanceof SignedIn signedIn) return signedIn;
        throw new IllegalStateException("asked without being signed in");
    }
}
