package org.unrulymarble.core.ladder;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.kit.StandIn;
import org.unrulymarble.core.measure.CourseTime;
import org.unrulymarble.core.measure.Furthest;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.KeepAll;
import org.unrulymarble.core.measure.MadeFromSpots;
import org.unrulymarble.core.measure.Match;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.NoBalls;
import org.unrulymarble.core.measure.Rings;
import org.unrulymarble.core.measure.TimeForN;
import org.unrulymarble.core.place.Footprint;
import org.yaml.snakeyaml.DumperOptions;
import org.yaml.snakeyaml.Yaml;

/** Ladders as a file has them: what {@link LadderFiles} reads back is the same ladders. Each rung says all that holds for it. */
public final class LadderWriter {

    private static final int WIDTH = 140;

    private LadderWriter() {}

    /**
     * The whole file as mappings, lists, texts and numbers, for whoever writes JSON.
     *
     * @param own kinds of kit that another school does not know; those that the ladders name are written too
     */
    public static Map<String, Object> file(List<Ladder> ladders, Collection<KitKind> own) {
        Map<String, Object> file = new LinkedHashMap<>();
        file.put("format", LadderFiles.FORMAT);
        Set<String> named = ladders.stream().flatMap(LadderWriter::kindsOf).collect(Collectors.toSet());
        List<Map<String, Object>> kinds = own.stream()
                .filter(k -> named.contains(k.id()))
                .map(LadderWriter::kind)
                .toList();
        if (!kinds.isEmpty()) file.put("kinds", kinds);
        file.put("ladders", ladders.stream().map(LadderWriter::ladder).toList());
        return file;
    }

    public static String yaml(List<Ladder> ladders, Collection<KitKind> own) {
        DumperOptions options = new DumperOptions();
        options.setDefaultFlowStyle(DumperOptions.FlowStyle.BLOCK);
        options.setWidth(WIDTH);
        options.setIndent(2);
        options.setAllowUnicode(true);
        return new Yaml(options).dump(file(ladders, own));
    }

    private static Stream<String> kindsOf(Ladder l) {
        Stream<String> kit = l.kit().stream()
                .flatMap(k -> Stream.concat(
                        Stream.of(k.kind()),
                        Stream.concat(k.standIns().stream().map(StandIn::kind), k.refused().stream())));
        return Stream.concat(kit, Stream.concat(l.ballOrder().stream(), l.gear().stream()));
    }

    private static Map<String, Object> kind(KitKind k) {
        return new Out()
                .put("id", k.id())
                .put("name", k.name())
                .put("group", k.group())
                .put("sizeCm", k.sizeCm())
                .put("openingCm", k.openingCm())
                .put("massG", k.massG())
                .put("bounces", k.bounces())
                .put("soft", k.soft())
                .put("rolls", k.rolls())
                .put("grips", k.grips())
                .put("bright", k.bright())
                .put("hard", k.hard())
                .put("make", k.make())
                .put("makeMin", k.makeMin())
                .map;
    }

    private static Map<String, Object> ladder(Ladder l) {
        Out out = new Out();
        out.put("id", l.id());
        out.put("family", l.family());
        out.put("name", l.name());
        out.put("part", l.part());
        out.put("sports", l.sports());
        out.put("aspects", l.aspects());
        out.put(
                "roles",
                l.roles().stream()
                        .map(r -> new Out()
                                .put("name", r.name())
                                .put("works", r.works())
                                .put("busy", r.busy() ? true : null)
                                .put("line", r.line())
                                .map)
                        .toList());
        out.put("footprint", footprint(l.footprint()));
        out.put("surfaces", l.surfaces());
        out.put("noise", l.noise());
        out.put("effort", l.effort());
        out.put("counted", l.counted());
        out.put("ballOrder", l.ballOrder());
        out.put("kit", l.kit().stream().map(LadderWriter::kitRole).toList());
        out.put("gear", l.gear());
        out.put("manner", manner(l.manner()));
        out.put("swingM", l.swingM());
        if (l.net() != null)
            out.put(
                    "net",
                    new Out()
                            .put("preset", l.net().preset())
                            .put("launchM", l.net().launchM())
                            .put("angleDeg", l.net().angleDeg())
                            .map);
        out.put("cues", l.cues());
        out.put(
                "faults",
                l.faults().stream()
                        .map(f -> new Out()
                                .put("id", f.id())
                                .put("seen", f.seen())
                                .put("mend", f.mend())
                                .map)
                        .toList());
        out.put("eyes", l.eyes());
        out.put("cautions", l.cautions());
        out.put("refusedPlaces", l.refusedPlaces());
        out.put("seated", l.seated());
        out.put("oneHand", l.oneHand());
        out.put("seesLittle", l.seesLittle());
        out.put("rungs", l.rungs().stream().map(LadderWriter::rung).toList());
        return out.map;
    }

    private static Map<String, Object> footprint(Footprint f) {
        return new Out()
                .put("lengthM", f.lengthM())
                .put("widthM", f.widthM())
                .put("gapM", f.gapM())
                .put("edgeM", f.edgeM())
                .put("needsWall", f.needsWall())
                .put("oneRow", f.oneRow())
                .put("heightM", f.heightM())
                .map;
    }

    private static Map<String, Object> kitRole(KitRole k) {
        return new Out()
                .put("role", k.role())
                .put("kind", k.kind())
                .put("what", k.what())
                .put("perSpot", k.perSpot())
                .put("needs", k.needs())
                .put(
                        "standIns",
                        k.standIns().stream()
                                .map(s -> new Out().put("kind", s.kind()).put("changes", s.changes()).map)
                                .toList())
                .put("refused", k.refused())
                .map;
    }

    private static Map<String, Object> rung(Rung r) {
        Out out = new Out();
        out.put("id", r.id());
        out.put("name", r.name());
        out.put("lever", r.lever());
        out.put("change", r.change());
        out.put("task", r.task());
        out.put("counts", r.counts());
        out.put("countsNot", r.countsNot());
        out.put("sides", r.sides());
        out.put("measure", word(r.measure()));
        out.put("unit", r.unit());
        out.put("gate", gate(r.gate()));
        out.put(
                "pace",
                new Out()
                        .put("hitSec", r.pace().hitSec())
                        .put("missSec", r.pace().missSec())
                        .put("stepSec", r.pace().stepSec())
                        .put("share", r.pace().share())
                        .map);
        out.put("doses", doses(r.doses()));
        out.put("easier", r.easier());
        out.put("harder", r.harder());
        out.put("modifiers", r.modifiers());
        out.put("manner", manner(r.manner()));
        out.put("claps", r.claps());
        out.put("heightM", r.heightM());
        out.put("standM", r.standM());
        if (r.measure() instanceof Furthest furthest)
            out.put(
                    "stepping",
                    new Out()
                            .put("makes", furthest.stairs().makesToStep())
                            .put("onMiss", furthest.stairs().onMiss())
                            .put("stepM", furthest.stairs().stepM())
                            .put("startM", furthest.stairs().startM())
                            .put("unit", furthest.stairs().unit())
                            .map);
        if (!r.figures().isEmpty()) out.put("figures", new java.util.TreeMap<>(r.figures()));
        out.put("scoring", scoring(r.measure(), r.calls()));
        if (r.delivery() != null)
            out.put(
                    "delivery",
                    new Out()
                            .put("speedMs", r.delivery().speedMs())
                            .put("fromM", r.delivery().fromM())
                            .map);
        out.put("steps", r.steps());
        if (!r.kit().equals(RungKit.AS_ITS_LADDER))
            out.put(
                    "kit",
                    new Out()
                            .put("without", r.kit().without())
                            .put(
                                    "more",
                                    r.kit().more().stream()
                                            .map(LadderWriter::kitRole)
                                            .toList())
                            .map);
        return out.map;
    }

    /** Files tell no-balls by a figure of scoring. */
    private static Measure.Kind word(Measure measure) {
        return measure instanceof NoBalls ? Measure.Kind.HITS_OF_N : measure.kind();
    }

    private static Map<String, Object> gate(Gate gate) {
        if (gate instanceof Gate.InARow row) return new Out().put("inARow", row.reach()).map;
        return new Out()
                .put("reach", gate.reach())
                .put("of", gate.outOf())
                .put("inSec", gate instanceof Gate.SoManyIn in ? in.inSec() : null)
                .map;
    }

    /** Null where the measure needs nothing and nothing is called. */
    private static Map<String, Object> scoring(Measure measure, RandomCalls calls) {
        Out out = new Out();
        if (measure instanceof Rings rings)
            out.put(
                    "rings",
                    rings.rings().stream()
                            .map(r -> new Out().put("radiusCm", r.radiusCm()).put("points", r.points()).map)
                            .toList());
        if (measure instanceof TimeForN time) out.put("n", time.n());
        if (measure instanceof MadeFromSpots made) out.put("spots", made.spots());
        if (measure instanceof KeepAll keep)
            out.put("balls", keep.balls())
                    .put("draw", keep.draw())
                    .put("firstBall", keep.firstBall() == 1 ? null : keep.firstBall());
        if (measure instanceof CourseTime timed && timed.course() != null)
            out.put(
                    "course",
                    new Out()
                            .put(
                                    "markers",
                                    timed.course().markers().stream()
                                            .map(m ->
                                                    new Out().put("xM", m.xM()).put("yM", m.yM()).map)
                                            .toList())
                            .put("back", timed.course().back())
                            .map);
        if (measure instanceof Match match) out.put("targetScore", match.targetScore());
        if (measure instanceof NoBalls) out.put("noBalls", true);
        if (calls != null) out.put("calls", calls.words()).put("callEverySec", calls.everySec());
        return out.map.isEmpty() ? null : out.map;
    }

    private static Map<String, Object> manner(Manner m) {
        return new Out().put("feet", m.feet()).put("eyes", m.eyes()).put("attitude", m.attitude()).map;
    }

    private static Map<String, Object> doses(Doses d) {
        return new Out()
                .put(
                        "clock",
                        new Out()
                                .put("workSec", d.clock().workSec())
                                .put("sets", d.clock().sets())
                                .put("restSec", d.clock().restSec())
                                .map)
                .put(
                        "count",
                        new Out()
                                .put("reps", d.count().reps())
                                .put("sets", d.count().sets())
                                .put("restSec", d.count().restSec())
                                .map)
                .put("gate", new Out().put("limitSec", d.gate().limitSec()).map)
                .put(
                        "staircase",
                        new Out()
                                .put("makesToStep", d.staircase().makesToStep())
                                .put("onMiss", d.staircase().onMiss())
                                .put("stepM", d.staircase().stepM())
                                .put("limitSec", d.staircase().limitSec())
                                .map)
                .map;
    }

    /** A mapping in the order in which it is filled; what is absent or empty is left out. */
    private static final class Out {
        private final Map<String, Object> map = new LinkedHashMap<>();

        Out put(String field, Object value) {
            Object written = written(value);
            if (written != null && !(written instanceof Collection<?> c && c.isEmpty())) map.put(field, written);
            return this;
        }

        private static Object written(Object value) {
            if (value instanceof Enum<?> word) return Fields.small(word);
            if (value instanceof Collection<?> list)
                return list.stream().map(Out::written).toList();
            return value;
        }
    }
}
