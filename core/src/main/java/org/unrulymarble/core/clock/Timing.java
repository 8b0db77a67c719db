package org.unrulymarble.core.clock;

import org.unrulymarble.core.check.Checks;

/**
 * One block as the clock sees it. Seconds 0 to 14,400, sets and turns 1 to 60, sides 1 or 2.
 *
 * @param turns how often the task is done so that everyone has a go: waves times roles to rotate through
 * @param waitIsRest whether waiting for the others' turns counts as rest
 */
public record Timing(
        Integer setupSec,
        Integer explainSec,
        Integer countInSec,
        Integer sets,
        Dose dose,
        Integer sides,
        Integer sideSwapSec,
        Integer turns,
        Integer turnSwapSec,
        Integer restSec,
        Boolean waitIsRest) {

    public Timing {
        new Checks()
                .seconds("setupSec", setupSec)
                .seconds("explainSec", explainSec)
                .seconds("countInSec", countInSec)
                .range("sets", sets, 1, 60)
                .required("dose", dose)
                .range("sides", sides, 1, 2)
                .seconds("sideSwapSec", sideSwapSec)
                .range("turns", turns, 1, 60)
                .seconds("turnSwapSec", turnSwapSec)
                .seconds("restSec", restSec)
                .required("waitIsRest", waitIsRest)
                .done();
    }

    int workSec() {
        return dose.seconds();
    }

    long turnSec() {
        return countInSec + (long) sides * workSec() + (long) (sides - 1) * sideSwapSec;
    }

    long setSec() {
        return turns * turnSec() + (long) (turns - 1) * turnSwapSec;
    }

    /** The whole gap between two sets, its turn swap included. */
    long gapSec() {
        long waitSec = waitIsRest ? (turns - 1) * (turnSec() + turnSwapSec) : 0;
        return Math.max(turns > 1 ? turnSwapSec : 0, restSec - waitSec);
    }

    long blockSec() {
        return setupSec + explainSec + sets * setSec() + (sets - 1) * gapSec();
    }

    /** Seconds that one pupil works in this block. */
    long activeSec() {
        return (long) sets * sides * workSec();
    }
}
