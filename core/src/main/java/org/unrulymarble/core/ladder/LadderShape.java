package org.unrulymarble.core.ladder;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.kit.StandIn;
import org.unrulymarble.core.place.Footprint;

/** Which field of a file becomes which part of a ladder. Doses given for a whole ladder hold for each rung without its own. */
final class LadderShape {

    private LadderShape() {}

    static Ladder ladder(Fields fields, Object family) {
        return Fields.whole(fields, f -> {
            Doses forAll = f.part("doses", LadderShape::doses);
            List<Rung> rungs = f.parts("rungs", r -> rung(r, forAll));
            return new Ladder(
                    f.text("id"),
                    familyOf(family),
                    f.text("name"),
                    f.texts("sports"),
                    f.words("aspects", Aspect.class),
                    f.parts("roles", r -> new Role(r.text("name"), r.bool("works"), r.text("line"))),
                    f.part("footprint", LadderShape::footprint),
                    f.texts("surfaces"),
                    f.word("noise", Noise.class),
                    f.whole("effort"),
                    !f.has("counted") || f.bool("counted"),
                    f.texts("ballOrder"),
                    f.parts("kit", LadderShape::kitRole),
                    f.texts("protectiveGear"),
                    f.texts("cues"),
                    f.parts("faults", u -> new UsualFault(u.text("id"), u.text("seen"), u.text("mend"))),
                    f.text("eyes"),
                    f.words("cautions", Caution.class),
                    f.texts("refusedPlaces"),
                    f.text("seated"),
                    f.text("oneHand"),
                    rungs == null ? null : new ArrayList<>(rungs));
        });
    }

    private static Family familyOf(Object family) {
        for (Family f : Family.values()) if (f.name().toLowerCase(Locale.ROOT).equals(family)) return f;
        throw new Fields.Unreadable("family", "must be throw, catch, handle, target or move, not «" + family + "»");
    }

    private static Footprint footprint(Fields f) {
        return new Footprint(
                f.number("lengthM"),
                f.number("widthM"),
                f.number("gapM"),
                f.number("edgeM"),
                f.bool("needsWall"),
                f.bool("oneRow"),
                f.number("heightM"));
    }

    private static KitRole kitRole(Fields f) {
        return new KitRole(
                f.text("role"),
                f.text("what"),
                f.whole("perSpot"),
                f.parts(
                        "standIns",
                        s -> new StandIn(
                                s.text("what"),
                                s.text("changes"),
                                s.text("make"),
                                s.has("makeMin") ? s.whole("makeMin") : 0)),
                f.texts("refused"));
    }

    private static Rung rung(Fields f, Doses forAll) {
        Doses own = f.part("doses", LadderShape::doses);
        return new Rung(
                f.text("id"),
                f.text("name"),
                f.word("lever", Lever.class),
                f.text("change"),
                f.text("task"),
                f.text("counts"),
                f.text("countsNot"),
                f.word("sides", Sides.class),
                f.word("measure", Measure.class),
                f.text("unit"),
                f.part("gate", g -> new Gate(g.whole("reach"), g.whole("of"), g.whole("inSec"))),
                f.part("pace", p -> new Pace(p.number("hitSec"), p.number("missSec"), p.number("stepSec"))),
                own == null ? forAll : own,
                f.text("easier"),
                f.text("harder"),
                f.words("modifiers", Modifier.class));
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
