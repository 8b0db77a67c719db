package org.unrulymarble.core.record;

import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.skill.Difficulties;

/**
 * How a class decides who goes up: by which school, and with which standards. Each school's answer is shown; the chosen one is the advice.
 *
 * @param inARow rounds that meet the gate one after the other, 1 to 20
 * @param ofMet of the last {@code ofRounds} rounds so many meet the gate
 * @param standard which share of tries holds a rung
 * @param holdShare the share where one is for all, or where a gate gives none; above {@code floorShare}, at which it is better a rung back
 * @param sure how sure the reckoning must be, above 0.5 and below 1
 * @param minTries fewer weighted tries say nothing
 * @param halfLifeDays after so many days a try counts half
 * @param unconfirmedWeight what a try from home or typed in counts until it is confirmed, 0 to 1
 * @param ofRungs shares that hold single rungs, whatever holds the others, by ladder and rung as {@link Difficulties#key}; 0 to 600
 */
public record Readiness(
        School school,
        Integer inARow,
        Integer ofMet,
        Integer ofRounds,
        Standard standard,
        Double holdShare,
        Double floorShare,
        Double sure,
        Double minTries,
        Double halfLifeDays,
        Double unconfirmedWeight,
        @Nullable Map<String, Double> ofRungs) {

    private static final int MOST_RUNGS = 600;

    /** As the usual standard has every rung. */
    public Readiness(
            School school,
            Integer inARow,
            Integer ofMet,
            Integer ofRounds,
            Standard standard,
            Double holdShare,
            Double floorShare,
            Double sure,
            Double minTries,
            Double halfLifeDays,
            Double unconfirmedWeight) {
        this(
                school,
                inARow,
                ofMet,
                ofRounds,
                standard,
                holdShare,
                floorShare,
                sure,
                minTries,
                halfLifeDays,
                unconfirmedWeight,
                null);
    }

    /** The schools of readiness. */
    public enum School {
        RECKONED,
        IN_A_ROW,
        N_OF_M,
        TEACHER,
        PUPIL
    }

    /** Which share of tries holds a rung. */
    public enum Standard {
        /** The one at which the rung's own gate is met in half of the rounds. */
        OWN_GATE,
        /** One share for all rungs. */
        ONE_FOR_ALL
    }

    public static final Readiness USUAL =
            new Readiness(School.RECKONED, 3, 3, 5, Standard.OWN_GATE, 0.8, 0.5, 0.9, 12.0, 42.0, 0.5);

    public Readiness {
        ofRungs = ofRungs == null ? Map.of() : ofRungs;
        Checks shares = new Checks().entries("ofRungs", ofRungs.values(), 0, MOST_RUNGS);
        ofRungs.forEach(
                (rung, share) -> shares.text("ofRungs", rung, 121).range("ofRungs[" + rung + "]", share, 0.01, 0.99));
        shares.done();
        ofRungs = Map.copyOf(ofRungs);
        new Checks()
                .required("school", school)
                .required("standard", standard)
                .range("inARow", inARow, 1, 20)
                .range("ofMet", ofMet, 1, 20)
                .range("ofRounds", ofRounds, 1, 20)
                .that(
                        ofMet == null || ofRounds == null || ofRounds >= ofMet,
                        "ofRounds",
                        Fault.Rule.AT_LEAST_FIELD,
                        "ofMet")
                .range("holdShare", holdShare, 0.01, 0.99)
                .range("floorShare", floorShare, 0.01, 0.99)
                .that(
                        holdShare == null || floorShare == null || floorShare < holdShare,
                        "holdShare",
                        Fault.Rule.ABOVE_FIELD,
                        "floorShare")
                .between("sure", sure, 0.5, 1)
                .range("minTries", minTries, 1, 1000)
                .range("halfLifeDays", halfLifeDays, 1, 3650)
                .range("unconfirmedWeight", unconfirmedWeight, 0, 1)
                .done();
    }
}
