package org.unrulymarble.core.clock;

import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;

/**
 * How much work one side of one turn is.
 *
 * @param type by clock or by count
 * @param workSec seconds of work, 0 to 14,400; by clock only
 * @param reps how many, 1 to 1,000; by count only
 * @param secPerRep planning pace in seconds for one, 0 to 14,400; by count only
 */
public record Dose(
        Type type,
        @Nullable Integer workSec,
        @Nullable Integer reps,
        @Nullable Double secPerRep) {

    /** The schools of dose that the clock knows. */
    public enum Type {
        CLOCK,
        COUNT
    }

    public Dose {
        Checks checks = new Checks().required("type", type);
        if (type == Type.CLOCK) checks.seconds("workSec", workSec);
        if (type == Type.COUNT) checks.range("reps", reps, 1, 1000).range("secPerRep", secPerRep, 0, Checks.MAX_SEC);
        checks.done();
        // What belongs to the other school is dropped, so that equal doses are equal.
        if (type == Type.CLOCK) {
            reps = null;
            secPerRep = null;
        } else {
            workSec = null;
        }
    }

    public static Dose byClock(int workSec) {
        return new Dose(Type.CLOCK, workSec, null, null);
    }

    public static Dose byCount(int reps, double secPerRep) {
        return new Dose(Type.COUNT, null, reps, secPerRep);
    }

    /** Whole seconds of work; a count rounds up, with the house's slack. */
    public int seconds() {
        return type == Type.CLOCK ? workSec : Rounding.ceil(reps * secPerRep);
    }
}
