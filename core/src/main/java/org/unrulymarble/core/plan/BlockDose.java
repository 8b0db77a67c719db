package org.unrulymarble.core.plan;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.clock.Dose;
import org.unrulymarble.core.measure.OnMiss;
import org.unrulymarble.core.measure.Stairs;

/** How much work one side of one turn is, by the school that the teacher holds with. Whole seconds unless the name says otherwise. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
    @JsonSubTypes.Type(value = BlockDose.ByClock.class, name = "CLOCK"),
    @JsonSubTypes.Type(value = BlockDose.ByCount.class, name = "COUNT"),
    @JsonSubTypes.Type(value = BlockDose.ByGate.class, name = "GATE"),
    @JsonSubTypes.Type(value = BlockDose.ByStaircase.class, name = "STAIRCASE"),
    @JsonSubTypes.Type(value = BlockDose.SelfPaced.class, name = "SELF_PACED")
})
public sealed interface BlockDose {

    /** The schools of dose. */
    enum Type {
        CLOCK,
        COUNT,
        GATE,
        STAIRCASE,
        SELF_PACED
    }

    Type type();

    /** As the clock plans it: what has a limit takes the limit. */
    Dose forClock();

    /** As the clock plans it where both sides are done in one round. */
    Dose forBothSides();

    /** Whole seconds that the plan gives it. */
    default int seconds() {
        return forClock().seconds();
    }

    /** For so long. */
    record ByClock(Integer workSec) implements BlockDose {
        public ByClock {
            new Checks().seconds("workSec", workSec).done();
        }

        @Override
        public Type type() {
            return Type.CLOCK;
        }

        @Override
        public Dose forClock() {
            return Dose.byClock(workSec);
        }

        @Override
        public Dose forBothSides() {
            return Dose.byClock(2 * workSec);
        }
    }

    /**
     * So many, 1 to 1,000, at a planning pace of so many seconds each.
     *
     * @param orReps fewer that may be chosen instead, 1 to reps, each once, at most 5; empty where all do as many
     */
    record ByCount(Integer reps, Double secPerRep, List<Integer> orReps) implements BlockDose {
        public ByCount {
            orReps = orReps == null ? List.of() : orReps;
            Checks checks = new Checks()
                    .range("reps", reps, 1, 1000)
                    .range("secPerRep", secPerRep, 0, Checks.MAX_SEC)
                    .entries("orReps", orReps, 0, 5);
            for (int i = 0; i < orReps.size(); i++)
                checks.range("orReps[" + i + "]", orReps.get(i), 1, reps == null ? 1000 : reps);
            checks.done();
            orReps = orReps.stream()
                    .filter(r -> !r.equals(reps))
                    .distinct()
                    .sorted()
                    .toList();
        }

        /** As many for everyone. */
        public ByCount(Integer reps, Double secPerRep) {
            this(reps, secPerRep, List.of());
        }

        /** The same at another pace. */
        ByCount at(double otherSecPerRep) {
            return new ByCount(reps, otherSecPerRep, orReps);
        }

        @Override
        public Type type() {
            return Type.COUNT;
        }

        @Override
        public Dose forClock() {
            return Dose.byCount(reps, secPerRep);
        }

        @Override
        public Dose forBothSides() {
            return Dose.byCount(2 * reps, secPerRep);
        }
    }

    /** Until the gate is met. */
    record ByGate(Integer limitSec) implements Limited {
        public ByGate {
            checkLimit(limitSec).done();
        }

        @Override
        public Type type() {
            return Type.GATE;
        }

        @Override
        public BlockDose limit(int otherSec) {
            return new ByGate(otherSec);
        }
    }

    /** So many hits in a row for a step back of so many metres, above 0 to 200; what a miss does. */
    record ByStaircase(Integer makesToStep, OnMiss onMiss, Double stepM, Integer limitSec) implements Limited {
        public ByStaircase {
            checkLimit(limitSec)
                    .range("makesToStep", makesToStep, 1, 1000)
                    .required("onMiss", onMiss)
                    .above("stepM", stepM, 0, 200)
                    .done();
        }

        public Stairs stairs() {
            return new Stairs(makesToStep, onMiss, stepM);
        }

        @Override
        public Type type() {
            return Type.STAIRCASE;
        }

        @Override
        public BlockDose limit(int otherSec) {
            return new ByStaircase(makesToStep, onMiss, stepM, otherSec);
        }
    }

    /** Until everyone is content. */
    record SelfPaced(Integer limitSec) implements Limited {
        public SelfPaced {
            checkLimit(limitSec).done();
        }

        @Override
        public Type type() {
            return Type.SELF_PACED;
        }

        @Override
        public BlockDose limit(int otherSec) {
            return new SelfPaced(otherSec);
        }
    }

    /** What ends by itself, but no later than after so many seconds; the plan takes all of them. */
    sealed interface Limited extends BlockDose {
        Integer limitSec();

        /** The same with another limit. */
        BlockDose limit(int otherSec);

        @Override
        default Dose forClock() {
            return Dose.byClock(limitSec());
        }

        @Override
        default Dose forBothSides() {
            return Dose.byClock(2 * limitSec());
        }
    }

    private static Checks checkLimit(Integer limitSec) {
        return new Checks().range("limitSec", limitSec, 1, Checks.MAX_SEC);
    }

    static BlockDose byClock(int workSec) {
        return new ByClock(workSec);
    }

    static BlockDose byCount(int reps, double secPerRep) {
        return new ByCount(reps, secPerRep);
    }

    static BlockDose byGate(int limitSec) {
        return new ByGate(limitSec);
    }

    static BlockDose byStaircase(int makesToStep, OnMiss onMiss, double stepM, int limitSec) {
        return new ByStaircase(makesToStep, onMiss, stepM, limitSec);
    }

    static BlockDose selfPaced(int limitSec) {
        return new SelfPaced(limitSec);
    }
}
