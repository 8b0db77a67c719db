package org.unrulymarble.core.ladder;

import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.check.Mapping;
import org.unrulymarble.core.measure.OnMiss;
import org.unrulymarble.core.measure.Stairs;

/** How much is done and how fast, as files have it. */
final class DoseMappings {

    static final Mapping<Pace> PACE = new Mapping<>("pace", null) {
        private final Entry<Pace, Double> hitSec =
                number("hitSec", Pace::hitSec).range(0.01, 600).must().says("Seconds of a try that counts.");
        private final Entry<Pace, Double> missSec = number("missSec", Pace::missSec)
                .range(0.01, 600)
                .must()
                .says("Seconds of a try that fails, with its fetch.");
        private final Entry<Pace, Double> stepSec =
                number("stepSec", Pace::stepSec).range(0, 600).must().says("Seconds to walk one step of distance.");
        private final Entry<Pace, Double> share = number("share", Pace::share)
                .range(0.05, 0.99)
                .says("Tries that are expected to count before anything is known of a pupil; 0.75 if absent.");

        @Override
        protected Pace from(Fields f) {
            return new Pace(hitSec.of(f), missSec.of(f), stepSec.of(f), share.of(f));
        }
    };

    static final Mapping<Stairs> STAIRS =
            new Mapping<>(
                    "stepping",
                    "How it is stepped back: where it begins, how many in a row make a step of which length, what a miss does.") {
                private final Entry<Stairs, Integer> makes =
                        whole("makes", Stairs::makesToStep).range(1, 1000).must();
                private final Entry<Stairs, OnMiss> onMiss =
                        word("onMiss", OnMiss.class, Stairs::onMiss).must();
                private final Entry<Stairs, Double> stepM =
                        number("stepM", Stairs::stepM).range(0, 200).must();
                private final Entry<Stairs, Double> startM =
                        number("startM", Stairs::startM).range(0, 200);
                private final Entry<Stairs, Stairs.Unit> unit = word("unit", Stairs.Unit.class, Stairs::unit);

                @Override
                protected Stairs from(Fields f) {
                    return new Stairs(makes.of(f), onMiss.of(f), stepM.of(f), startM.of(f), unit.of(f));
                }
            };

    private static final Mapping<Doses.ByClock> CLOCK = new Mapping<>() {
        private final Entry<Doses.ByClock, Integer> workSec = whole("workSec", Doses.ByClock::workSec)
                .range(1, Checks.MAX_SEC)
                .must();
        private final Entry<Doses.ByClock, Integer> sets =
                whole("sets", Doses.ByClock::sets).range(1, 60).must();
        private final Entry<Doses.ByClock, Integer> restSec = whole("restSec", Doses.ByClock::restSec)
                .range(0, Checks.MAX_SEC)
                .must();

        @Override
        protected Doses.ByClock from(Fields f) {
            return new Doses.ByClock(workSec.of(f), sets.of(f), restSec.of(f));
        }
    };

    private static final Mapping<Doses.ByCount> COUNT = new Mapping<>() {
        private final Entry<Doses.ByCount, Integer> reps =
                whole("reps", Doses.ByCount::reps).range(1, 1000).must();
        private final Entry<Doses.ByCount, Integer> sets =
                whole("sets", Doses.ByCount::sets).range(1, 60).must();
        private final Entry<Doses.ByCount, Integer> restSec = whole("restSec", Doses.ByCount::restSec)
                .range(0, Checks.MAX_SEC)
                .must();

        @Override
        protected Doses.ByCount from(Fields f) {
            return new Doses.ByCount(reps.of(f), sets.of(f), restSec.of(f));
        }
    };

    private static final Mapping<Doses.ByGate> BY_GATE = new Mapping<>() {
        private final Entry<Doses.ByGate, Integer> limitSec = whole("limitSec", Doses.ByGate::limitSec)
                .range(1, Checks.MAX_SEC)
                .must();

        @Override
        protected Doses.ByGate from(Fields f) {
            return new Doses.ByGate(limitSec.of(f));
        }
    };

    private static final Mapping<Doses.ByStaircase> STAIRCASE = new Mapping<>() {
        private final Entry<Doses.ByStaircase, Integer> makesToStep = whole(
                        "makesToStep", Doses.ByStaircase::makesToStep)
                .range(1, 1000)
                .must();
        private final Entry<Doses.ByStaircase, OnMiss> onMiss =
                word("onMiss", OnMiss.class, Doses.ByStaircase::onMiss).must();
        private final Entry<Doses.ByStaircase, Double> stepM =
                number("stepM", Doses.ByStaircase::stepM).above(0, 200).must();
        private final Entry<Doses.ByStaircase, Integer> limitSec = whole("limitSec", Doses.ByStaircase::limitSec)
                .range(1, Checks.MAX_SEC)
                .must();

        @Override
        protected Doses.ByStaircase from(Fields f) {
            return new Doses.ByStaircase(makesToStep.of(f), onMiss.of(f), stepM.of(f), limitSec.of(f));
        }
    };

    static final Mapping<Doses> DOSES = new Mapping<>("doses", "A planning dose for each of the four schools.") {
        private final Entry<Doses, Doses.ByClock> clock =
                part("clock", CLOCK, Doses::clock).must();
        private final Entry<Doses, Doses.ByCount> count =
                part("count", COUNT, Doses::count).must();
        private final Entry<Doses, Doses.ByGate> gate =
                part("gate", BY_GATE, Doses::gate).must();
        private final Entry<Doses, Doses.ByStaircase> staircase =
                part("staircase", STAIRCASE, Doses::staircase).must();

        @Override
        protected Doses from(Fields f) {
            return new Doses(clock.of(f), count.of(f), gate.of(f), staircase.of(f));
        }
    };

    private DoseMappings() {}
}
