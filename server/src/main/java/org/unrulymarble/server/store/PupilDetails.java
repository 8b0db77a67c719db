package org.unrulymarble.server.store;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import org.unrulymarble.core.check.Checks;

/**
 * What is kept of a child: little.
 *
 * @param initial of the family name, one letter
 * @param birthYear 1990 to 2100, or null
 * @param shoeCm 10 to 40, or null
 * @param reachCm standing reach, 50 to 300, or null
 * @param adaptation in the teacher's words, or null
 */
@Embeddable
public record PupilDetails(
        String firstName,
        String initial,
        Integer birthYear,
        @Enumerated(EnumType.STRING) Hand strongHand,
        Integer shoeCm,
        Integer reachCm,
        String adaptation) {

    /** The strong hand. */
    public enum Hand {
        RIGHT,
        LEFT
    }

    public PupilDetails {
        adaptation = adaptation == null || adaptation.isBlank() ? null : adaptation.strip();
        Checks checks = new Checks().text("firstName", firstName, 40).text("initial", initial, 1);
        if (birthYear != null) checks.range("birthYear", birthYear, 1990, 2100);
        if (shoeCm != null) checks.range("shoeCm", shoeCm, 10, 40);
        if (reachCm != null) checks.range("reachCm", reachCm, 50, 300);
        if (adaptation != null) checks.text("adaptation", adaptation, 120);
        checks.done();
        strongHand = strongHand == null ? Hand.RIGHT : strongHand;
        firstName = firstName.strip();
    }
}
