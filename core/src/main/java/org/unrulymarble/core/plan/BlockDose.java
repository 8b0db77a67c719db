package org.unrulymarble.core.plan;

import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.clock.Dose;
import org.unrulymarble.core.ladder.Doses.OnMiss;

/**
 * How much work one side of one turn is, by the school that the teacher holds with. Whole seconds unless the name says otherwise.
 *
 * @param workSec by clock
 * @param reps by count, 1 to 1,000; with {@code secPerRep}, the planning pace
 * @param limitSec by gate, by staircase, self-paced: no longer than so many seconds; the plan takes all of them
 * @param makesToStep by staircase: hits in a row for a step back, 1 to 1,000; with {@code onMiss} and {@code stepM}
 */
public record BlockDose(
        Type type,
        Integer workSec,
        Integer reps,
        Double secPerRep,
        Integer limitSec,
        Integer makesToStep,
        OnMiss onMiss,
        Double stepM) {

    /** The schools of dose. */
    public enum Type {
        CLOCK,
        COUNT,
        GATE,
        STAIRCASE,
        SELF_PACED
    }

    public BlockDose {
        Checks checks = new Checks().required("type", type);
        if (type == Type.CLOCK) checks.seconds("workSec", workSec);
        if (type == Type.COUNT) checks.range("reps", reps, 1, 1000).range("secPerRep", secPerRep, 0, Checks.MAX_SEC);
        if (type == Type.GATE || type == Type.STAIRCASE || type == Type.SELF_PACED)
            checks.range("limitSec", limitSec, 1, Checks.MAX_SEC);
        if (type == Type.STAIRCASE)
            checks.range("makesToStep", makesToStep, 1, 1000)
                    .required("onMiss", onMiss)
                    .above("stepM", stepM, 0, 200);
        checks.done();
        // What belongs to another school is dropped, so that equal doses are equal.
        if (type != Type.CLOCK) workSec = null;
        if (type != Type.COUNT) {
            reps = null;
            secPerRep = null;
        }
        if (type == Type.CLOCK || type == Type.COUNT) limitSec = null;
        if (type != Type.STAIRCASE) {
            makesToStep = null;
            onMiss = null;
            stepM = null;
        }
    }

    public static BlockDose byClock(int workSec) {
        return new BlockDose(Type.CLOCK, workSec, null, null, null, null, null, null);
    }

    public static BlockDose byCount(int reps, double secPerRep) {
        return new BlockDose(Type.COUNT, null, reps, secPerRep, null, null, null, null);
    }

    public static BlockDose byGate(int limitSec) {
        return new BlockDose(Type.GATE, null, null, null, limitSec, null, null, null);
    }

    public static BlockDose byStaircase(int makesToStep, OnMiss onMiss, double stepM, int limitSec) {
        return new BlockDose(Type.STAIRCASE, null, null, null, limitSec, makesToStep, onMiss, stepM);
    }

    public static BlockDose selfPaced(int limitSec) {
        return new BlockDose(Type.SELF_PACED, null, null, null, limitSec, null, null, null);
    }

    /** As the clock plans it: what has a limit takes the limit. */
    Dose forClock() {
        return switch (type) {
            case CLOCK -> Dose.byClock(workSec);
            case COUNT -> Dose.byCount(reps, secPerRep);
            case GATE, STAIRCASE, SELF_PACED -> Dose.byClock(limitSec);
        };
    }

    /** Whole seconds that the plan gives it. */
    public int seconds() {
        return forClock().seconds();
    }
}
