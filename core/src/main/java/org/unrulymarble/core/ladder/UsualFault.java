package org.unrulymarble.core.ladder;

import org.unrulymarble.core.check.Checks;

/**
 * A fault that is often seen, and the cue that mends it.
 *
 * @param id lasting, within the ladder
 */
public record UsualFault(String id, String seen, String mend) {
    public UsualFault {
        new Checks()
                .text("id", id, 40)
                .text("seen", seen, 120)
                .text("mend", mend, 160)
                .done();
    }
}
