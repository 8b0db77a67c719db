package org.unrulymarble.core.measure;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/** What opens the next rung, met in one round. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
    @JsonSubTypes.Type(value = Gate.Reach.class, name = "REACH"),
    @JsonSubTypes.Type(value = Gate.InARow.class, name = "IN_A_ROW"),
    @JsonSubTypes.Type(value = Gate.SoManyOf.class, name = "SO_MANY_OF"),
    @JsonSubTypes.Type(value = Gate.SoManyIn.class, name = "SO_MANY_IN")
})
public sealed interface Gate {

    /** How many: in the unit of the rung's measure, hits one after the other, hits of so many, hits in so many seconds; 1 to 14,400. */
    Integer reach();

    /**
     * A round that is held against a gate.
     *
     * @param score in the measure's unit
     * @param hits,tries,inARow null where nobody counted them
     * @param workSec seconds that were worked, or null where the clock did not end the round, which passes no gate that has a time
     */
    record Round(int score, Integer hits, Integer tries, Integer inARow, Integer workSec) {}

    boolean metBy(Measure measure, Round round);

    /** The same gate with another reach. */
    Gate to(int otherReach);

    /** How many tries it is out of, or null where it does not say. */
    default Integer outOf() {
        return null;
    }

    /** So many or better, in the measure's own unit; where less is better, at most so many. */
    record Reach(Integer reach) implements Gate {
        public Reach {
            checkReach(reach).done();
        }

        @Override
        public boolean metBy(Measure measure, Round round) {
            if (measure.lessIsBetter()) return round.score() > 0 && round.score() <= reach;
            return round.score() >= reach;
        }

        @Override
        public Gate to(int otherReach) {
            return new Reach(otherReach);
        }
    }

    /** So many hits one after the other. */
    record InARow(Integer reach) implements Gate {
        public InARow {
            checkReach(reach).done();
        }

        @Override
        public boolean metBy(Measure measure, Round round) {
            Integer row = measure instanceof LongestRun ? (Integer) round.score() : round.inARow();
            return row != null && row >= reach;
        }

        @Override
        public Gate to(int otherReach) {
            return new InARow(otherReach);
        }
    }

    /** So many hits of so many tries ({@code of}, from reach to 1,000): at least so many tries, at least that share of them. */
    record SoManyOf(Integer reach, Integer of) implements Gate {
        public SoManyOf {
            checkReach(reach)
                    .range("of", of, 1, 1000)
                    .that(reach == null || of == null || of >= reach, "of", Fault.Rule.AT_LEAST_FIELD, "reach")
                    .done();
        }

        @Override
        public boolean metBy(Measure measure, Round round) {
            return round.hits() != null
                    && round.tries() != null
                    && round.tries() >= of
                    && (long) round.hits() * of >= (long) reach * round.tries();
        }

        @Override
        public Gate to(int otherReach) {
            return new SoManyOf(otherReach, of);
        }

        @Override
        public Integer outOf() {
            return of;
        }
    }

    /**
     * So many in so many seconds ({@code inSec}, 1 to 14,400). A count in a shorter round passes as it stands. In a longer round it must keep the
     * gate's pace to the end, since only a rate compares rounds of different length.
     */
    record SoManyIn(Integer reach, Integer inSec) implements Gate {
        public SoManyIn {
            checkReach(reach).range("inSec", inSec, 1, Checks.MAX_SEC).done();
        }

        @Override
        public boolean metBy(Measure measure, Round round) {
            // A row, a place, goes until all are kept: their number is not what was made.
            boolean noCount =
                    measure instanceof LongestRun || measure instanceof Furthest || measure instanceof KeepAll;
            Integer made = noCount ? round.hits() : (Integer) round.score();
            if (made == null || round.workSec() == null) return false;
            if (round.workSec() > inSec) return (long) made * inSec >= (long) reach * round.workSec();
            return made >= reach;
        }

        @Override
        public Gate to(int otherReach) {
            return new SoManyIn(otherReach, inSec);
        }
    }

    private static Checks checkReach(Integer reach) {
        return new Checks().range("reach", reach, 1, Checks.MAX_SEC);
    }

    /** The gate that a file or an older plan writes with the fields that it has. */
    static Gate of(Integer reach, Integer of, Integer inSec) {
        if (of != null) return new SoManyOf(reach, of);
        return inSec != null ? new SoManyIn(reach, inSec) : new Reach(reach);
    }
}
