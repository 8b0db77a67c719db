package org.unrulymarble.core.plan;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import org.unrulymarble.core.Cases;
import org.unrulymarble.core.defaults.Planning;
import org.unrulymarble.core.kit.Kit;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Surface;
import org.unrulymarble.core.place.Wall;
import org.unrulymarble.core.record.Standings;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;

/** Rooms, kit and classes that the tests plan with. */
public final class World {

    public static final Catalogue CATALOGUE = Catalogue.shipped();
    public static final KitKinds KINDS = KitKinds.shipped();
    public static final Planning PLANNING = planning();

    public static final Place LOFT = place(9.2, 6.4, 2.7, new Wall(9.2, 6.4), Surface.WOOD);
    public static final Place CORRIDOR = place(14.0, 1.9, 2.4, null, Surface.TILES);
    public static final Place NET_STORE = place(12.5, 7.5, 4.1, new Wall(7.5, 12.5), Surface.CONCRETE);
    public static final Place CLASSROOM = place(5.6, 4.4, 2.6, null, Surface.CARPET);
    public static final Place YARD = new Place(
            new Space(16.0, 10.0, null, new Wall(16.0, 10.0)),
            Surface.TARMAC,
            Place.Wet.MORNINGS,
            false,
            false,
            false,
            false,
            false,
            false,
            List.of());
    public static final Place HOME = place(2.0, 2.2, 2.4, null, Surface.ANY);

    public static final Kit KIT = kit(Map.ofEntries(
            Map.entry("tennis-ball", 14),
            Map.entry("foam-ball", 10),
            Map.entry("bean-bag", 8),
            Map.entry("netball", 6),
            Map.entry("small-rugby-ball", 5),
            Map.entry("indoor-hockey-stick", 4),
            Map.entry("low-cone", 12),
            Map.entry("hoop", 9),
            Map.entry("chalk", -1),
            Map.entry("masking-tape", -1),
            Map.entry("paper-cup", 30)));

    /** A gym's store: enough of everything, so that only what a test takes away is missing. */
    public static final Kit FULL = new Kit(
            KINDS,
            KINDS.all().stream()
                    .map(k -> new Kit.Held(k, 60, Kit.Condition.GOOD))
                    .toList(),
            List.of());

    private World() {}

    /** A rung that is scored and opens like this; all else is as somewhere in the catalogue. */
    public static Rung rung(Measure measure, Gate gate) {
        Rung r = CATALOGUE.rung("clap-and-collect", "one-hand-in").orElseThrow();
        return new Rung(
                r.id(),
                r.name(),
                r.lever(),
                r.change(),
                r.task(),
                r.counts(),
                r.countsNot(),
                r.sides(),
                measure,
                r.unit(),
                gate,
                r.pace(),
                r.doses(),
                r.easier(),
                r.harder(),
                r.modifiers(),
                r.manner(),
                r.claps(),
                r.heightM(),
                r.standM(),
                null,
                r.delivery(),
                r.steps(),
                r.figures(),
                r.kit());
    }

    /** @param counts by kind; -1 for as many as are asked */
    public static Kit kit(Map<String, Integer> counts) {
        List<Kit.Held> held = new ArrayList<>();
        counts.forEach((id, count) ->
                held.add(new Kit.Held(KINDS.kind(id).orElseThrow(), count < 0 ? null : count, Kit.Condition.GOOD)));
        return new Kit(KINDS, held, List.of());
    }

    public static Place place(double lengthM, double widthM, Double ceilingM, Wall wall, Surface surface) {
        return Place.of(new Space(lengthM, widthM, ceilingM, wall), surface, null);
    }

    /** A class aged ten with the full store. */
    public static Setting setting(Place place, int pupils) {
        return new Setting(place, aged(10, pupils), FULL, CATALOGUE, PLANNING, Standings.NONE);
    }

    public static List<PlanPupil> aged(Integer age, int howMany) {
        return PlanPupil.unknown(howMany).stream()
                .map(p -> new PlanPupil(p.id(), p.name(), age, Set.of(), Map.of()))
                .toList();
    }

    public static Block task(String ladderId, String rungId, Consumer<BlockDraft> change) {
        Ladder ladder = CATALOGUE.ladder(ladderId).orElseThrow();
        BlockDraft draft = BlockDraft.on(
                ladderId, ladder, ladder.rung(rungId).orElseThrow(() -> new AssertionError(ladderId + "/" + rungId)));
        change.accept(draft);
        return draft.block();
    }

    public static Block task(String ladderId, String rungId) {
        return task(ladderId, rungId, d -> {});
    }

    /** Blocks with ids b1, b2, ... */
    public static Lesson lesson(int minutes, Block... blocks) {
        List<Block> all = new ArrayList<>();
        for (Block b : blocks) {
            String id = "b" + (all.size() + 1);
            all.add(b.with(d -> d.id = id));
        }
        return Lesson.of(minutes, Lesson.Audience.CLASS, all);
    }

    private static Planning planning() {
        try (InputStream in = Planning.class.getResourceAsStream("/defaults/values.yaml")) {
            Object yaml = new Yaml(new SafeConstructor(new LoaderOptions())).load(in);
            return Cases.JSON.convertValue(yaml, Planning.class);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
