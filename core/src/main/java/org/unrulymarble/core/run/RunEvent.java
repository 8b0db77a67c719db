package org.unrulymarble.core.run;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.measure.Tap;

/**
 * One thing that somebody did during a run. Never changed once made; taking back is an event of its own.
 *
 * @param id time-ordered, made on the device; events fold in the order of their ids
 * @param atMs when, on the device's clock, in milliseconds since 1970
 * @param device which tablet or laptop it was made on, or null in logs from before devices were told apart
 * @param what what was done
 */
public record RunEvent(UUID id, Long atMs, @Nullable String device, What what) {

    public RunEvent {
        Checks checks = new Checks()
                .required("id", id)
                .range("atMs", atMs, 0, Tap.MAX_MS)
                .required("what", what);
        if (device != null) checks.text("device", device, 40);
        checks.done();
    }

    /**
     * Checks this event against the script that it belongs to.
     *
     * @throws org.unrulymarble.core.check.Refused when the segment is not there or the pupil does not work in that round
     */
    public void checkAgainst(RunScript script) {
        Checks checks = new Checks();
        what.checkAgainst(script, checks);
        checks.done();
    }

    /**
     * Whether a number that was told can be: no more than n of n, no more than hands can do in the round's time.
     *
     * @throws org.unrulymarble.core.check.Refused naming the number and the most that it can be
     */
    public void checkTold(RunScript script) {
        if (!(what instanceof What.Told told) || script.crewOf(script.segment(told.segment()), told.pupilId()) == null)
            return;
        new Checks()
                .range("what.score", told.score(), 0, script.most(told.segment()))
                .done();
    }
}
