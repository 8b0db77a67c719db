package org.unrulymarble.core.run;

import org.jspecify.annotations.Nullable;

/**
 * How long a round was worked.
 *
 * @param workedSec whole seconds for which its clock ran; of a round that the clock never was in, what was planned
 * @param askedSec seconds that it was to last; null where the time is a limit, and ending sooner is no breaking off
 */
public record RoundTime(int workedSec, @Nullable Integer askedSec) {

    /** A round that lasted as long as it was to; null for no time. */
    public static RoundTime full(Integer sec) {
        return sec == null ? null : new RoundTime(sec, sec);
    }

    /** Whether less than half of what was asked was worked: such a round is nobody's best. */
    public boolean isBrokenOff() {
        return askedSec != null && 2 * workedSec < askedSec;
    }
}
