package org.unrulymarble.core.ladder;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.kit.KitProperty;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.kit.StandIn;
import org.unrulymarble.core.measure.CountInTime;
import org.unrulymarble.core.measure.Course;
import org.unrulymarble.core.measure.CourseTime;
import org.unrulymarble.core.measure.Furthest;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.HeldForTime;
import org.unrulymarble.core.measure.HitsOfN;
import org.unrulymarble.core.measure.KeepAll;
import org.unrulymarble.core.measure.Levels;
import org.unrulymarble.core.measure.LongestRun;
import org.unrulymarble.core.measure.MadeFromSpots;
import org.unrulymarble.core.measure.Match;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.NoBalls;
import org.unrulymarble.core.measure.OnMiss;
import org.unrulymarble.core.measure.Rings;
import org.unrulymarble.core.measure.Stairs;
import org.unrulymarble.core.measure.TimeForN;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.place.Surface;

/** Which field of a file becomes which part of a ladder. What a ladder says for all its rungs holds for each rung without its own. */
final class LadderReader {

    private final KitKinds kinds;

    LadderReader(KitKinds kinds) {
        this.kinds = kinds;
    }

    /** @param family of all ladders of the file, where one does not name its own */
    Ladder ladder(Fields fields, Object family) {
        return Fields.whole(fields, f -> {
            Doses doses = f.part("doses", LadderReader::doses);
            Manner manner = f.part("manner", LadderReader::manner);
            Usual usual = new Usual(
                    doses,
                    manner == null ? Manner.ANY : manner,
                    f.word("sides", Sides.class),
                    f.word("measure", Measure.Kind.class),
                    f.text("unit"),
                    f.part("pace", LadderReader::pace),
                    f.words("modifiers", Modifier.class),
                    f.part("stepping", LadderReader::stepping));
            List<Rung> rungs = f.parts("rungs", r -> rung(r, usual));
            return new Ladder(
                    f.text("id"),
                    f.has("family") ? f.word("family", Family.class) : familyOf(f, family),
                    f.text("name"),
                    purpose(f),
                    f.parts("roles", r -> new Role(r.text("name"), r.bool("works"), r.text("line"), r.bool("busy"))),
                    room(f),
                    new Ladder.Equipment(kindIds(f, "ballOrder"), f.parts("kit", this::kitRole), kindIds(f, "gear")),
                    teaching(f, usual.manner()),
                    new Ladder.Safety(
                            f.number("swingM"),
                            f.words("cautions", Caution.class),
                            f.words("refusedPlaces", RefusedPlace.class)),
                    new Ladder.Adapted(f.text("seated"), f.text("oneHand"), f.text("seesLittle")),
                    rungs == null ? null : new ArrayList<>(rungs));
        });
    }

    private static Ladder.Purpose purpose(Fields f) {
        return new Ladder.Purpose(
                f.word("part", Part.class),
                f.texts("sports"),
                f.words("aspects", Aspect.class),
                f.whole("effort"),
                !f.has("counted") || f.bool("counted"));
    }

    private static Ladder.Room room(Fields f) {
        return new Ladder.Room(
                f.part("footprint", LadderReader::footprint),
                f.words("surfaces", Surface.class),
                f.word("noise", Noise.class),
                f.part("net", n -> new NetMark(n.text("preset"), n.number("launchM"), n.number("angleDeg"))));
    }

    private static Ladder.Teaching teaching(Fields f, Manner manner) {
        return new Ladder.Teaching(
                manner,
                f.texts("cues"),
                f.parts("faults", u -> new UsualFault(u.text("id"), u.text("seen"), u.text("mend"))),
                f.text("eyes"));
    }

    /** What a ladder says for all its rungs; each may be null. */
    private record Usual(
            Doses doses,
            Manner manner,
            Sides sides,
            Measure.Kind measure,
            String unit,
            Pace pace,
            List<Modifier> modifiers,
            Stairs stepping) {}

    private static Family familyOf(Fields f, Object family) {
        for (Family one : Family.values()) if (Fields.small(one).equals(family)) return one;
        return f.wrong("family", Fault.Rule.ONE_OF, "throw, catch, handle, target, move");
    }

    /** Null, and said, for what is no kind of kit. */
    private KitKind kind(Fields f, String field) {
        String id = f.text(field);
        return kinds.kind(id == null ? "" : id).orElseGet(() -> f.wrong(field, Fault.Rule.UNKNOWN, String.valueOf(id)));
    }

    private List<String> kindIds(Fields f, String field) {
        List<String> ids = f.texts(field);
        if (ids != null)
            for (int i = 0; i < ids.size(); i++)
                if (kinds.kind(ids.get(i)).isEmpty())
                    f.wrong(field + "[" + i + "]", Fault.Rule.UNKNOWN, String.valueOf(ids.get(i)));
        return ids;
    }

    private static Footprint footprint(Fields f) {
        return new Footprint(
                f.number("lengthM"),
                f.number("widthM"),
                f.number("gapM"),
                f.number("edgeM"),
                f.has("needsWall") && f.bool("needsWall"),
                f.has("oneRow") && f.bool("oneRow"),
                f.number("heightM"));
    }

    private KitRole kitRole(Fields f) {
        KitKind best = kind(f, "kind");
        return new KitRole(
                f.text("role"),
                best == null ? null : best.id(),
                f.has("what") || best == null ? f.text("what") : best.name(),
                f.has("perSpot") ? f.whole("perSpot") : 1,
                f.words("needs", KitProperty.class),
                f.parts("standIns", s -> {
                    KitKind kind = kind(s, "kind");
                    String changes = s.text("changes");
                    return kind == null
                            ? null
                            : new StandIn(kind.id(), kind.name(), changes, kind.make(), kind.makeMin());
                }),
                kindIds(f, "refused"));
    }

    private Rung rung(Fields f, Usual usual) {
        Doses own = f.part("doses", LadderReader::doses);
        Manner manner = f.part("manner", m -> manner(m, usual.manner()));
        Pace pace = f.part("pace", LadderReader::pace);
        List<Modifier> modifiers = f.words("modifiers", Modifier.class);
        Sides sides = f.word("sides", Sides.class);
        Measure.Kind kind = f.word("measure", Measure.Kind.class);
        String unit = f.text("unit");
        Doses doses = own == null ? usual.doses() : own;
        Stairs ownStepping = f.part("stepping", LadderReader::stepping);
        Stairs stepping = ownStepping == null ? usual.stepping() : ownStepping;
        Scoring scoring = f.part("scoring", LadderReader::scoring);
        Pace paceInForce = pace == null ? usual.pace() : pace;
        Gate gate = f.part("gate", LadderReader::gate);
        if (gate instanceof Gate.SoManyIn timed
                && paceInForce != null
                && timed.reach() * paceInForce.hitSec() > timed.inSec())
            f.wrong("gate.reach", Fault.Rule.RANGE, 1, (int) (timed.inSec() / paceInForce.hitSec()));
        return new Rung(
                f.text("id"),
                f.text("name"),
                f.word("lever", Lever.class),
                f.text("change"),
                f.text("task"),
                f.text("counts"),
                f.text("countsNot"),
                sides == null ? usual.sides() : sides,
                measure(kind == null ? usual.measure() : kind, scoring, doses, stepping),
                unit == null ? usual.unit() : unit,
                gate,
                paceInForce,
                stepping == null || doses == null ? doses : doses.stepping(stepping),
                f.text("easier"),
                f.text("harder"),
                modifiers == null ? usual.modifiers() : modifiers,
                manner == null ? usual.manner() : manner,
                f.whole("claps"),
                f.number("heightM"),
                f.number("standM"),
                scoring == null ? null : scoring.calls(),
                f.part("delivery", d -> new Delivery(d.number("speedMs"), d.number("fromM"))),
                f.texts("steps"),
                f.numbers("figures"),
                f.part("kit", k -> new RungKit(k.texts("without"), k.parts("more", this::kitRole))));
    }

    private static Stairs stepping(Fields f) {
        return new Stairs(
                f.whole("makes"),
                f.word("onMiss", OnMiss.class),
                f.number("stepM"),
                f.number("startM"),
                f.word("unit", Stairs.Unit.class));
    }

    /** What files say of scoring beside the measure's name; the measure takes what it needs. */
    private record Scoring(
            List<Rings.Ring> rings,
            Integer n,
            Integer spots,
            Integer balls,
            KeepAll.Draw draw,
            Integer firstBall,
            Integer targetScore,
            boolean noBalls,
            RandomCalls calls,
            Course course) {
        static final Scoring NONE = new Scoring(null, null, null, null, null, null, null, false, null, null);
    }

    private static Scoring scoring(Fields f) {
        List<Rings.Ring> rings = f.parts("rings", r -> new Rings.Ring(r.whole("radiusCm"), r.whole("points")));
        Integer n = f.whole("n");
        Integer spots = f.whole("spots");
        Integer balls = f.whole("balls");
        KeepAll.Draw draw = f.word("draw", KeepAll.Draw.class);
        Integer firstBall = f.whole("firstBall");
        Integer targetScore = f.whole("targetScore");
        Boolean noBalls = f.bool("noBalls");
        Course course = f.part(
                "course",
                c -> new Course(
                        c.parts("markers", m -> new Course.Marker(m.number("xM"), m.number("yM"))), c.bool("back")));
        List<String> calls = f.texts("calls");
        Double callEverySec = f.number("callEverySec");
        Checks checks = new Checks();
        checked(checks, () -> new Rings(rings));
        checked(checks, () -> new TimeForN(n));
        checked(checks, () -> new MadeFromSpots(spots));
        checked(checks, () -> new KeepAll(balls, draw, firstBall));
        checked(checks, () -> new Match(targetScore));
        RandomCalls called = calls == null ? null : checked(checks, () -> new RandomCalls(calls, callEverySec));
        if (calls == null && callEverySec != null) checks.range("callEverySec", callEverySec, 1, 60);
        checks.done();
        return new Scoring(
                rings, n, spots, balls, draw, firstBall, targetScore, noBalls != null && noBalls, called, course);
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

    /** Null where it is not known which. */
    private static Measure measure(Measure.Kind kind, Scoring said, Doses doses, Stairs stepping) {
        if (kind == null) return null;
        Scoring f = said == null ? Scoring.NONE : said;
        return switch (kind) {
            case COUNT_IN_TIME -> f.noBalls() ? new NoBalls(null) : new CountInTime();
            case HITS_OF_N -> f.noBalls() ? new NoBalls(null) : new HitsOfN(null);
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
            case MADE_FROM_SPOTS -> new MadeFromSpots(f.spots());
            case KEEP_ALL -> new KeepAll(f.balls(), f.draw(), f.firstBall());
            case COURSE_TIME -> new CourseTime(f.course());
            case MATCH -> new Match(f.targetScore());
        };
    }

    private static Gate gate(Fields f) {
        Integer inARow = f.whole("inARow");
        Integer reach = f.whole("reach");
        Integer of = f.whole("of");
        Integer inSec = f.whole("inSec");
        if (inARow == null) return Gate.of(reach, of, inSec);
        for (String other : List.of("reach", "of", "inSec"))
            if (f.has(other)) f.wrong(other, Fault.Rule.NO_FIELD, "inARow");
        return new Gate.InARow(inARow);
    }

    private static Pace pace(Fields f) {
        return new Pace(f.number("hitSec"), f.number("missSec"), f.number("stepSec"), f.number("share"));
    }

    private static Manner manner(Fields f) {
        return manner(f, Manner.ANY);
    }

    private static Manner manner(Fields f, Manner otherwise) {
        Manner.Feet feet = f.word("feet", Manner.Feet.class);
        Manner.Eyes eyes = f.word("eyes", Manner.Eyes.class);
        Manner.Attitude attitude = f.word("attitude", Manner.Attitude.class);
        return new Manner(
                feet == null ? otherwise.feet() : feet,
                eyes == null ? otherwise.eyes() : eyes,
                attitude == null ? otherwise.attitude() : attitude);
    }

    private static Doses doses(Fields f) {
        return new Doses(
                f.part("clock", c -> new Doses.ByClock(c.whole("workSec"), c.whole("sets"), c.whole("restSec"))),
                f.part("count", c -> new Doses.ByCount(c.whole("reps"), c.whole("sets"), c.whole("restSec"))),
                f.part("gate", g -> new Doses.ByGate(g.whole("limitSec"))),
                f.part(
                        "staircase",
                        s -> new Doses.ByStaircase(
                                s.whole("makesToStep"),
                                s.word("onMiss", OnMiss.class),
                                s.number("stepM"),
                                s.whole("limitSec"))));
    }
}
