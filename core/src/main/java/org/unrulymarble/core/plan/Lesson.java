package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
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
 * @param silenced findings that the teacher has looked at and lets stand, each with the reason
 * @param afterNote what to remember of it, written after it was taught, or null
 */
public record Lesson(
        Integer minutes,
        Integer startMin,
        Audience audience,
        Shape shape,
        Boolean heat,
        RestRule restRule,
        Integer transitionSec,
        List<Silenced> silenced,
        List<Block> blocks,
        String afterNote) {

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
        blocks = List.copyOf(blocks);
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
                null);
    }

    public Lesson withBlocks(List<Block> changed) {
        return new Lesson(
                minutes, startMin, audience, shape, heat, restRule, transitionSec, silenced, changed, afterNote);
    }

    public Lesson withShape(Shape changed) {
        return new Lesson(
                minutes, startMin, audience, changed, heat, restRule, transitionSec, silenced, blocks, afterNote);
    }

    public Lesson withHeat(boolean changed) {
        return new Lesson(
                minutes, startMin, audience, shape, changed, restRule, transitionSec, silenced, blocks, afterNote);
    }

    public Lesson withStart(Integer changed) {
        return new Lesson(
                minutes, changed, audience, shape, heat, restRule, transitionSec, silenced, blocks, afterNote);
    }

    public Lesson withSilenced(List<Silenced> changed) {
        return new Lesson(
                minutes, startMin, audience, shape, heat, restRule, transitionSec, changed, blocks, afterNote);
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
        return new Lesson(minutes, startMin, audience, shape, heat, restRule, transitionSec, silenced, own, null);
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

    /** An id that no block has yet. */
    public String freshId(String stem) {
        for (int n = 1; ; n++) if (indexOf(stem + n) < 0) return stem + n;
    }
}
