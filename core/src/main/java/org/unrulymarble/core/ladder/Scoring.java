package org.unrulymarble.core.ladder;

import java.util.List;
import java.util.function.Supplier;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.check.Mapping;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.measure.CountInTime;
import org.unrulymarble.core.measure.Course;
import org.unrulymarble.core.measure.CourseTime;
import org.unrulymarble.core.measure.Furthest;
import org.unrulymarble.core.measure.HeldForTime;
import org.unrulymarble.core.measure.HitsOfN;
import org.unrulymarble.core.measure.KeepAll;
import org.unrulymarble.core.measure.Levels;
import org.unrulymarble.core.measure.LongestRun;
import org.unrulymarble.core.measure.MadeFromSpots;
import org.unrulymarble.core.measure.Match;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.NoBalls;
import org.unrulymarble.core.measure.Rings;
import org.unrulymarble.core.measure.Stairs;
import org.unrulymarble.core.measure.TimeForN;

/** What files say of scoring beside the measure's name; the measure takes what it needs. Each may be null. */
record Scoring(
        List<Rings.Ring> rings,
        Integer n,
        Integer spots,
        MadeFromSpots.Order spotOrder,
        Double spotBackM,
        Integer balls,
        KeepAll.Draw draw,
        Integer firstBall,
        Integer targetScore,
        Boolean noBalls,
        RandomCalls calls,
        Course course) {

    private static final Scoring NONE =
            new Scoring(null, null, null, null, null, null, null, null, null, null, null, null);

    private static final Mapping<Rings.Ring> RING = new Mapping<>() {
        private final Entry<Rings.Ring, Integer> radiusCm = whole("radiusCm", Rings.Ring::radiusCm)
                .range(1, 500)
                .must()
                .says("Outer radius; each larger than the one before.");
        private final Entry<Rings.Ring, Integer> points =
                whole("points", Rings.Ring::points).range(0, 1000).must();

        @Override
        protected Rings.Ring from(Fields f) {
            return new Rings.Ring(radiusCm.of(f), points.of(f));
        }
    };

    private static final Mapping<Course.Marker> MARKER = new Mapping<>() {
        private final Entry<Course.Marker, Double> xM =
                number("xM", Course.Marker::xM).range(0, 50).must();
        private final Entry<Course.Marker, Double> yM =
                number("yM", Course.Marker::yM).range(0, 50).must();

        @Override
        protected Course.Marker from(Fields f) {
            return new Course.Marker(xM.of(f), yM.of(f));
        }
    };

    private static final Mapping<Course> COURSE = new Mapping<>() {
        private final Entry<Course, List<Course.Marker>> markers =
                parts("markers", MARKER, Course::markers).entries(2, 30).must();
        private final Entry<Course, Boolean> back =
                bool("back", Course::back).says("Whether the same way is run back.");

        @Override
        protected Course from(Fields f) {
            return new Course(markers.of(f), back.of(f));
        }
    };

    static final Mapping<Scoring> MAPPING = new Mapping<>(null, "What the measure needs to be scored.") {
        private final Entry<Scoring, List<Rings.Ring>> rings =
                parts("rings", RING, Scoring::rings).entries(1, 8).says("For rings: from the middle out.");
        private final Entry<Scoring, Integer> n =
                whole("n", Scoring::n).range(1, 1000).says("For the time for so many: how many.");
        private final Entry<Scoring, Integer> spots =
                whole("spots", Scoring::spots).range(2, 12).says("For made from spots: how many spots.");
        private final Entry<Scoring, MadeFromSpots.Order> spotOrder = word(
                        "spotOrder", MadeFromSpots.Order.class, Scoring::spotOrder)
                .says("For made from spots: from where next; round and round if left out.");
        private final Entry<Scoring, Double> spotBackM = number("spotBackM", Scoring::spotBackM)
                .range(0, 10)
                .says("For made from spots: how many metres further back each lies than the one before.");
        private final Entry<Scoring, Integer> balls =
                whole("balls", Scoring::balls).range(2, 12).says("For keep all: how many numbered balls.");
        private final Entry<Scoring, KeepAll.Draw> draw = word("draw", KeepAll.Draw.class, Scoring::draw)
                .says("For keep all: whether a kept ball may be thrown again.");
        private final Entry<Scoring, Integer> firstBall =
                whole("firstBall", Scoring::firstBall).range(1, 99).says("For keep all: the number on the first ball.");
        private final Entry<Scoring, Course> course =
                part("course", COURSE, Scoring::course).says("For a course: where its markers lie, the start first.");
        private final Entry<Scoring, Integer> targetScore =
                whole("targetScore", Scoring::targetScore).range(1, 1000).says("For a match: the points that end it.");
        private final Entry<Scoring, Boolean> noBalls =
                bool("noBalls", Scoring::noBalls).says("Whether the counter stands as a batter and no-balls are kept.");
        private final Entry<Scoring, List<String>> calls = texts(
                        "calls", 20, s -> s.calls() == null ? null : s.calls().words())
                .entries(2, 8)
                .says("Words that are called at random.");
        private final Entry<Scoring, Double> callEverySec = number(
                        "callEverySec",
                        s -> s.calls() == null ? null : s.calls().everySec())
                .range(1, 60)
                .says("Seconds from call to call.");

        @Override
        protected Scoring from(Fields f) {
            Scoring said = new Scoring(
                    rings.of(f),
                    n.of(f),
                    spots.of(f),
                    spotOrder.of(f),
                    spotBackM.of(f),
                    balls.of(f),
                    draw.of(f),
                    firstBall.of(f),
                    targetScore.of(f),
                    noBalls.of(f),
                    null,
                    course.of(f));
            return said.checked(calls.of(f), callEverySec.of(f));
        }
    };

    /** What a file has to say for a measure and its calls, or null where there is nothing. */
    static Scoring of(Measure measure, RandomCalls calls) {
        Scoring said = new Scoring(
                measure instanceof Rings rings ? rings.rings() : null,
                measure instanceof TimeForN time ? time.n() : null,
                measure instanceof MadeFromSpots made ? made.spots() : null,
                measure instanceof MadeFromSpots made && made.spotOrder() != MadeFromSpots.Order.ROUND
                        ? made.spotOrder()
                        : null,
                measure instanceof MadeFromSpots made && made.spotBackM() > 0 ? made.spotBackM() : null,
                measure instanceof KeepAll keep ? keep.balls() : null,
                measure instanceof KeepAll keep ? keep.draw() : null,
                measure instanceof KeepAll keep && keep.firstBall() != 1 ? keep.firstBall() : null,
                measure instanceof Match match ? match.targetScore() : null,
                measure instanceof NoBalls ? true : null,
                calls,
                measure instanceof CourseTime timed ? timed.course() : null);
        return said.equals(NONE) ? null : said;
    }

    /** How files call a measure: no-balls are a figure of scoring. */
    static Measure.Kind word(Measure measure) {
        return measure instanceof NoBalls ? Measure.Kind.HITS_OF_N : measure.kind();
    }

    /** The measure that a name and what is said of it make; null where it is not known which. */
    static Measure measure(Measure.Kind kind, Scoring said, Doses doses, Stairs stepping) {
        if (kind == null) return null;
        Scoring f = said == null ? NONE : said;
        boolean noBalls = f.noBalls() != null && f.noBalls();
        return switch (kind) {
            case COUNT_IN_TIME -> noBalls ? new NoBalls(null) : new CountInTime();
            case HITS_OF_N -> noBalls ? new NoBalls(null) : new HitsOfN(null);
            case NO_BALLS -> new NoBalls(null);
            case LONGEST_RUN -> new LongestRun();
            case HELD_FOR_TIME -> new HeldForTime();
            case TIME_FOR_N -> new TimeForN(f.n());
            case FURTHEST ->
                new Furthest(
                        stepping != null || doses == null
                                ? stepping
                                : doses.staircase().stairs());
            case RINGS -> new Rings(f.rings());
            case LEVELS -> new Levels();
            case MADE_FROM_SPOTS -> new MadeFromSpots(f.spots(), f.spotOrder(), f.spotBackM());
            case KEEP_ALL -> new KeepAll(f.balls(), f.draw(), f.firstBall());
            case COURSE_TIME -> new CourseTime(f.course());
            case MATCH -> new Match(f.targetScore());
        };
    }

    /** With the calls, and with every figure looked at, whether or not the rung's measure takes it. */
    private Scoring checked(List<String> words, Double everySec) {
        Checks checks = new Checks();
        checked(checks, () -> new Rings(rings));
        checked(checks, () -> new TimeForN(n));
        checked(checks, () -> new MadeFromSpots(spots));
        checked(checks, () -> new KeepAll(balls, draw, firstBall));
        checked(checks, () -> new Match(targetScore));
        RandomCalls called = words == null ? null : checked(checks, () -> new RandomCalls(words, everySec));
        if (words == null && everySec != null) checks.range("callEverySec", everySec, 1, 60);
        checks.done();
        return new Scoring(
                rings, n, spots, spotOrder, spotBackM, balls, draw, firstBall, targetScore, noBalls, called, course);
    }

    /** Null, and said, for what cannot be. */
    private static <T> T checked(Checks checks, Supplier<T> make) {
        try {
            return make.get();
        } catch (Refused e) {
            checks.under("", e);
            return null;
        }
    }
}
