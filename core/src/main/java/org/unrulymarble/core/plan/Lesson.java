package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.clock.RestRule;

/**
 * What a teacher decides about a lesson's time and tasks.
 *
 * @param minutes until the bell, 1 to 240
 * @param startMin when it begins, in minutes since midnight, 0 to 1,439, or null if that is open
 * @param audience the class together, or each pupil alone at home
 * @param shape the school that the order of the lesson follows
 * @param heat a hot day: water more often
 * @param transitionSec between two blocks
 * @param circuits blocks that are done at the same time in different places; each block is in one at most
 * @param silenced findings that the teacher has looked at and lets stand, each with the reason
 * @param afterNote what to remember of it, written after it was taught, or null
 */
public record Lesson(
        Integer minutes,
        @Nullable Integer startMin,
        Audience audience,
        Shape shape,
        Boolean heat,
        RestRule restRule,
        Integer transitionSec,
        List<Silenced> silenced,
        List<Block> blocks,
        List<Circuit> circuits,
        @Nullable String afterNote) {

    /** Whom a lesson is for. */
    public enum Audience {
        CLASS,
        EACH_AT_HOME
    }

    /** How a lesson is built, by school. None is an error in a plan that chose it. */
    public enum Shape {
        /** Moving mobility first, held stretches last; effort rises and falls in steps. */
        MOBILITY_FIRST,
        /** Holds at both ends; the cool-down is the warm-up backwards. */
        MIRRORED,
        /** Opens with ball coordination at once, to switch heads over. */
        BALL_FIRST,
        /** One skill from start to end. */
        ONE_SKILL,
        /** No order asked. */
        FREE
    }

    /** A finding that is let stand. */
    public record Silenced(String finding, String reason) {
        public Silenced {
            new Checks()
                    .text("finding", finding, 160)
                    .text("reason", reason, 120)
                    .done();
        }
    }

    public Lesson {
        shape = shape == null ? Shape.MOBILITY_FIRST : shape;
        heat = heat != null && heat;
        silenced = silenced == null ? List.of() : List.copyOf(silenced);
        afterNote = afterNote == null || afterNote.isBlank() ? null : afterNote.strip();
        Checks checks = new Checks()
                .range("minutes", minutes, 1, 240)
                .required("audience", audience)
                .required("restRule", restRule)
                .seconds("transitionSec", transitionSec)
                .entries("silenced", silenced, 0, 200)
                .entries("blocks", blocks, 0, LessonClock.MAX_BLOCKS);
        if (startMin != null) checks.range("startMin", startMin, 0, 1439);
        if (afterNote != null) checks.text("afterNote", afterNote, 500);
        checks.done();
        checks.distinct("blocks", blocks.stream().map(Block::id).toList()).done();
        circuits = standing(circuits == null ? List.of() : circuits, blocks);
        new Checks()
                .distinct(
                        "circuits",
                        circuits.stream()
                                .flatMap(c -> Stream.concat(Stream.of(c.id()), c.stationIds().stream()))
                                .toList())
                .done();
        blocks = together(blocks, circuits);
    }

    /** A circuit keeps the stations that the lesson has, in the lesson's order; one alone is a block like any other. */
    private static List<Circuit> standing(List<Circuit> circuits, List<Block> blocks) {
        List<Circuit> out = new ArrayList<>();
        for (Circuit c : circuits) {
            List<String> left = blocks.stream()
                    .filter(b -> b.kind() == Block.Kind.TASK && c.stationIds().contains(b.id()))
                    .map(Block::id)
                    .toList();
            if (left.size() >= Circuit.FEWEST_STATIONS) out.add(c.withStations(left));
        }
        return List.copyOf(out);
    }

    /** The stations of a circuit lie side by side, where its first is. */
    private static List<Block> together(List<Block> blocks, List<Circuit> circuits) {
        List<Block> out = new ArrayList<>();
        for (Block block : blocks) {
            Optional<Circuit> in = circuits.stream()
                    .filter(c -> c.stationIds().contains(block.id()))
                    .findFirst();
            if (in.isEmpty()) out.add(block);
            else if (in.get().stationIds().get(0).equals(block.id()))
                blocks.stream()
                        .filter(b -> in.get().stationIds().contains(b.id()))
                        .forEach(out::add);
        }
        return List.copyOf(out);
    }

    /** A lesson of the house's usual shape, beginning at any time. */
    public static Lesson of(int minutes, Audience audience, List<Block> blocks) {
        return new Lesson(
                minutes,
                null,
                audience,
                Shape.MOBILITY_FIRST,
                false,
                RestRule.BETWEEN_SETS,
                30,
                List.of(),
                blocks,
                List.of(),
                null);
    }

    public Lesson withBlocks(List<Block> changed) {
        return new Lesson(
                minutes,
                startMin,
                audience,
                shape,
                heat,
                restRule,
                transitionSec,
                silenced,
                changed,
                circuits,
                afterNote);
    }

    public Lesson withShape(Shape changed) {
        return new Lesson(
                minutes,
                startMin,
                audience,
                changed,
                heat,
                restRule,
                transitionSec,
                silenced,
                blocks,
                circuits,
                afterNote);
    }

    public Lesson withHeat(boolean changed) {
        return new Lesson(
                minutes,
                startMin,
                audience,
                shape,
                changed,
                restRule,
                transitionSec,
                silenced,
                blocks,
                circuits,
                afterNote);
    }

    public Lesson withStart(Integer changed) {
        return new Lesson(
                minutes,
                changed,
                audience,
                shape,
                heat,
                restRule,
                transitionSec,
                silenced,
                blocks,
                circuits,
                afterNote);
    }

    public Lesson withSilenced(List<Silenced> changed) {
        return new Lesson(
                minutes,
                startMin,
                audience,
                shape,
                heat,
                restRule,
                transitionSec,
                changed,
                blocks,
                circuits,
                afterNote);
    }

    /** To be taught once more, to these pupils: what was said of others, and after it was taught, stays with the first. */
    public Lesson again(Set<String> pupilIds) {
        List<Block> own = blocks.stream()
                .map(b -> b.with(d -> {
                    d.variants = d.variants.stream()
                            .filter(v -> pupilIds.contains(v.pupilId()))
                            .toList();
                    d.onlyPupilIds =
                            d.onlyPupilIds.stream().filter(pupilIds::contains).toList();
                }))
                .toList();
        return new Lesson(
                minutes,
                startMin,
                audience,
                shape,
                heat,
                restRule,
                transitionSec,
                silenced,
                own,
                circuits.stream().map(c -> c.among(pupilIds)).toList(),
                null);
    }

    /** The same with other circuits. */
    public Lesson withCircuits(List<Circuit> changed) {
        return new Lesson(
                minutes,
                startMin,
                audience,
                shape,
                heat,
                restRule,
                transitionSec,
                silenced,
                blocks,
                changed,
                afterNote);
    }

    /** The circuit that a block is a station of. */
    public Optional<Circuit> circuitOf(String blockId) {
        return circuits.stream().filter(c -> c.stationIds().contains(blockId)).findFirst();
    }

    /** The same with one block changed. */
    public Lesson change(String blockId, Consumer<BlockDraft> change) {
        return map(blockId, b -> b.with(change));
    }

    private Lesson map(String blockId, UnaryOperator<Block> change) {
        return withBlocks(blocks.stream()
                .map(b -> b.id().equals(blockId) ? change.apply(b) : b)
                .toList());
    }

    public Lesson without(String blockId) {
        return withBlocks(blocks.stream().filter(b -> !b.id().equals(blockId)).toList());
    }

    public Lesson insert(int at, Block block) {
        List<Block> all = new ArrayList<>(blocks);
        all.add(at, block);
        return withBlocks(all);
    }

    public int indexOf(String blockId) {
        for (int i = 0; i < blocks.size(); i++) if (blocks.get(i).id().equals(blockId)) return i;
        return -1;
    }

    /** An id that no block and no circuit has yet. */
    public String freshId(String stem) {
        for (int n = 1; ; n++) {
            String id = stem + n;
            if (indexOf(id) < 0 && circuits.stream().noneMatch(c -> c.id().equals(id))) return id;
        }
    }
}
