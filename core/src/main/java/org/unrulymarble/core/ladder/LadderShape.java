package org.unrulymarble.core.ladder;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.kit.KitProperty;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.kit.StandIn;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.place.Surface;

/** Which field of a file becomes which part of a ladder. What a ladder says for all its rungs holds for each rung without its own. */
final class LadderShape {

    private final KitKinds kinds;

    LadderShape(KitKinds kinds) {
        this.kinds = kinds;
    }

    /** @param family of all ladders of the file, where one does not name its own */
    Ladder ladder(Fields fields, Object family) {
        return Fields.whole(fields, f -> {
            Doses doses = f.part("doses", LadderShape::doses);
            Manner manner = f.part("manner", LadderShape::manner);
            Usual usual = new Usual(
                    doses,
                    manner == null ? Manner.ANY : manner,
                    f.word("sides", Sides.class),
                    f.word("measure", Measure.class),
                    f.text("unit"),
                    f.part("pace", LadderShape::pace),
                    f.words("modifiers", Modifier.class));
            List<Rung> rungs = f.parts("rungs", r -> rung(r, usual));
            return new Ladder(
                    f.text("id"),
                    f.has("family") ? f.word("family", Family.class) : familyOf(f, family),
                    f.text("name"),
                    f.word("part", Part.class),
                    f.texts("sports"),
                    f.words("aspects", Aspect.class),
                    f.parts("roles", r -> new Role(r.text("name"), r.bool("works"), r.text("line"))),
                    f.part("footprint", LadderShape::footprint),
                    f.words("surfaces", Surface.class),
                    f.word("noise", Noise.class),
                    f.whole("effort"),
                    !f.has("counted") || f.bool("counted"),
                    kindIds(f, "ballOrder"),
                    f.parts("kit", this::kitRole),
                    kindIds(f, "gear"),
                    usual.manner(),
                    f.number("swingM"),
                    f.part("net", n -> new NetMark(n.text("preset"), n.number("launchM"), n.number("angleDeg"))),
                    f.texts("cues"),
                    f.parts("faults", u -> new UsualFault(u.text("id"), u.text("seen"), u.text("mend"))),
                    f.text("eyes"),
                    f.words("cautions", Caution.class),
                    f.words("refusedPlaces", RefusedPlace.class),
                    f.text("seated"),
                    f.text("oneHand"),
                    f.text("seesLittle"),
                    rungs == null ? null : new ArrayList<>(rungs));
        });
    }

    /** What a ladder says for all its rungs; each may be null. */
    private record Usual(
            Doses doses,
            Manner manner,
            Sides sides,
            Measure measure,
            String unit,
            Pace pace,
            List<Modifier> modifiers) {}

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

    private static Rung rung(Fields f, Usual usual) {
        Doses own = f.part("doses", LadderShape::doses);
        Manner manner = f.part("manner", m -> manner(m, usual.manner()));
        Pace pace = f.part("pace", LadderShape::pace);
        List<Modifier> modifiers = f.words("modifiers", Modifier.class);
        Sides sides = f.word("sides", Sides.class);
        Measure measure = f.word("measure", Measure.class);
        String unit = f.text("unit");
        return new Rung(
                f.text("id"),
                f.text("name"),
                f.word("lever", Lever.class),
                f.text("change"),
                f.text("task"),
                f.text("counts"),
                f.text("countsNot"),
                sides == null ? usual.sides() : sides,
                measure == null ? usual.measure() : measure,
                unit == null ? usual.unit() : unit,
                f.part("gate", g -> new Gate(g.whole("reach"), g.whole("of"), g.whole("inSec"))),
                pace == null ? usual.pace() : pace,
                own == null ? usual.doses() : own,
                f.text("easier"),
                f.text("harder"),
                modifiers == null ? usual.modifiers() : modifiers,
                manner == null ? usual.manner() : manner,
                f.whole("claps"),
                f.number("heightM"),
                f.number("standM"),
                f.part("scoring", LadderShape::scoring),
                f.part("delivery", d -> new Delivery(d.number("speedMs"), d.number("fromM"))),
                f.texts("steps"));
    }

    private static Scoring scoring(Fields f) {
        return new Scoring(
                f.parts("rings", r -> new Scoring.Ring(r.whole("radiusCm"), r.whole("points"))),
                f.whole("n"),
                f.whole("spots"),
                f.whole("balls"),
                f.word("draw", Scoring.Draw.class),
                f.bool("noBalls"),
                f.texts("calls"),
                f.number("callEverySec"));
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
                                s.word("onMiss", Doses.OnMiss.class),
                                s.number("stepM"),
                                s.whole("limitSec"))));
    }
}
