package org.unrulymarble.server.account;

import java.io.Serializable;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.access.AccessDeniedException;
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
        return role.teaches();
    }

    /** Whoever makes the present request. */
    public static SignedIn now() {
        return maybe().orElseThrow(() -> new IllegalStateException("asked without being signed in"));
    }

    /** Whoever makes the present request, if anybody is signed in. */
    public static Optional<SignedIn> maybe() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        return authentication != null && authentication.getPrincipal() instanceof SignedIn signedIn
                ? Optional.of(signedIn)
                : Optional.empty();
    }

    /** @throws AccessDeniedException for anybody but an administrator */
    public static void onlyAdministrators() {
        if (!now().role().administrates()) throw new AccessDeniedException("for administrators");
    }
}
