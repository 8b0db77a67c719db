package org.unrulymarble.server.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.BlockDraft;
import org.unrulymarble.core.plan.Lesson;

/** The demo's lesson plans. */
final class DemoLessons {

    /** What the school's kit lets these be played with. */
    private static final Map<String, Map<String, List<String>>> PLAYED_WITH = Map.of(
            "clap-and-collect", Map.of("ball", List.of("foam-ball", "sock-ball")),
            "low-and-loud-dribble", Map.of("ball", List.of("netball", "foam-ball")),
            "wall-serve-stepping-back", Map.of("ball", List.of("foam-ball")),
            "chest-pass-to-the-chalk", Map.of("ball", List.of("netball", "foam-ball")),
            "round-the-middle", Map.of("ball", List.of("netball", "foam-ball", "rolled-jumper")));

    private final Catalogue catalogue;

    DemoLessons(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    Lesson wetTuesday() {
        return lesson(
                40,
                Lesson.Audience.CLASS,
                block(1, "wake-the-joints", 1, clock(30), 3, 10, 20, 0, null),
                block(2, "low-and-loud-dribble", 1, clock(25), 3, 15, 25, 0, null),
                block(3, "clap-and-collect", 2, clock(30), 3, 10, 25, 0, null),
                block(
                        4,
                        "wall-serve-stepping-back",
                        0,
                        clock(40),
                        2,
                        30,
                        40,
                        20,
                        new Block.Task("table-top-taps", "one-hand-up")),
                block(
                        5,
                        "sock-bullseye",
                        1,
                        count("sock-bullseye", 1),
                        1,
                        30,
                        25,
                        20,
                        new Block.Task("cup-and-sock", "hand-to-cup")),
                block(6, "wind-down", 0, clock(20), 2, 0, 20, 0, null));
    }

    Lesson corridorLanes() {
        return lesson(
                30,
                Lesson.Audience.CLASS,
                block(1, "wake-the-joints", 0, clock(30), 3, 10, 20, 0, null),
                block(
                        2,
                        "there-and-back",
                        0,
                        clock(40),
                        2,
                        20,
                        30,
                        20,
                        new Block.Task("table-top-taps", "hand-to-hand")),
                block(3, "round-the-middle", 1, clock(25), 2, 10, 20, 10, null),
                block(4, "cup-and-sock", 0, clock(40), 2, 10, 25, 20, null),
                block(5, "wind-down", 0, clock(20), 2, 0, 20, 0, null));
    }

    Lesson jackNight() {
        return lesson(
                45,
                Lesson.Audience.CLASS,
                block(1, "wake-the-joints", 2, clock(30), 3, 10, 20, 0, null),
                block(
                        2,
                        "sock-bullseye",
                        2,
                        count("sock-bullseye", 2),
                        1,
                        30,
                        30,
                        20,
                        new Block.Task("round-the-middle", "three-heights")),
                block(
                        3,
                        "draw-to-the-jack",
                        0,
                        count("draw-to-the-jack", 0),
                        1,
                        40,
                        40,
                        20,
                        new Block.Task("table-top-taps", "finger-ladder")),
                block(4, "wind-down", 1, clock(20), 2, 0, 20, 0, null));
    }

    Lesson kitchenFloor(int day) {
        String[] first = {"round-the-middle", "cup-and-sock", "round-the-middle", "table-top-taps"};
        String[] second = {"table-top-taps", "finger-wake", "cup-and-sock", "finger-wake"};
        return lesson(
                12,
                Lesson.Audience.EACH_AT_HOME,
                block(1, "wake-the-joints", 0, clock(30), 2, 0, 15, 0, null),
                block(2, first[day], day / 2, clock(30), 2, 15, 15, 15, null),
                block(3, second[day], day / 2, clock(30), 2, 15, 15, 15, null),
                block(4, "wind-down", 0, clock(20), 2, 0, 15, 0, null));
    }

    /** A lesson of the past: the same shape, with other tasks. */
    Lesson past(List<String> ladderIds) {
        List<Block> blocks = new ArrayList<>();
        blocks.add(block(1, "wake-the-joints", 0, clock(30), 3, 10, 20, 0, null));
        for (String id : ladderIds)
            blocks.add(block(
                    blocks.size() + 1,
                    id,
                    0,
                    dose(id),
                    1,
                    20,
                    30,
                    20,
                    new Block.Task("table-top-taps", "hand-to-hand")));
        return lesson(40, Lesson.Audience.CLASS, blocks.toArray(Block[]::new));
    }

    private BlockDose dose(String ladderId) {
        Rung rung = rung(ladderId, 0);
        return rung.measure().compared() == Measure.Compared.BY_TRIES
                ? count(ladderId, 0)
                : clock(rung.doses().clock().workSec());
    }

    /** What every home has. */
    private static final Map<String, Map<String, List<String>>> PLAYED_WITH_AT_HOME = Map.of(
            "round-the-middle", Map.of("ball", List.of("rolled-jumper")),
            "finger-wake", Map.of("ball", List.of("rolled-jumper")),
            "cup-and-sock", Map.of("cup", List.of("plastic-bowl")));

    private static Lesson lesson(int minutes, Lesson.Audience audience, Block... blocks) {
        if (audience == Lesson.Audience.CLASS) return Lesson.of(minutes, audience, List.of(blocks));
        return Lesson.of(
                minutes,
                audience,
                java.util.Arrays.stream(blocks)
                        .map(b -> b.with(d -> {
                            d.kit = List.of();
                            PLAYED_WITH_AT_HOME
                                    .getOrDefault(d.ladderId, Map.of())
                                    .forEach(d::play);
                        }))
                        .toList());
    }

    private static BlockDose clock(int workSec) {
        return BlockDose.byClock(workSec);
    }

    private BlockDose count(String ladderId, int rungNumber) {
        Rung rung = rung(ladderId, rungNumber);
        int reps = rung.gate().outOf() == null
                ? rung.doses().count().reps()
                : rung.gate().outOf();
        return BlockDose.byCount(reps, rung.pace().hitSec());
    }

    private Rung rung(String ladderId, int number) {
        return catalogue.ladder(ladderId).orElseThrow().rungs().get(number);
    }

    private Block block(
            int number,
            String ladderId,
            int rungNumber,
            BlockDose dose,
            int sets,
            int setupSec,
            int explainSec,
            int restSec,
            Block.Task meanwhile) {
        Ladder ladder = catalogue.ladder(ladderId).orElseThrow();
        BlockDraft d = BlockDraft.on("b" + number, ladder, ladder.rungs().get(rungNumber));
        d.dose = dose;
        d.sets = sets;
        d.setupSec = setupSec;
        d.explainSec = explainSec;
        d.restSec = restSec;
        d.meanwhile = meanwhile;
        PLAYED_WITH.getOrDefault(ladderId, Map.of()).forEach(d::play);
        return d.block();
    }
}
