package org.unrulymarble.core.plan.edit;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.ladder.Routine;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockDraft;
import org.unrulymarble.core.plan.Circuit;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.Setting;

/** Changes of the lesson as a whole: which blocks there are, and in what order. A place counts from 0; beyond the last is at the end. */
public sealed interface LessonEdit extends Edit {

    /**
     * Puts in a task with the rung's own planning dose.
     *
     * @param id of the new block
     * @param at its place, or null for the end
     */
    record Add(String id, @Nullable Integer at, String ladderId, String rungId) implements LessonEdit {
        public Add {
            new Checks()
                    .text("id", id, 60)
                    .text("ladderId", ladderId, 60)
                    .text("rungId", rungId, 60)
                    .done();
        }

        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            Ladder ladder = Tasks.ladder(setting, ladderId);
            return lesson.insert(
                    at == null && ladder.part() != Part.COOL_DOWN ? beforeCoolDown(lesson, setting) : place(lesson, at),
                    BlockDraft.on(id, ladder, Tasks.rung(ladder, rungId)).block());
        }
    }

    /** Puts in time for something else than a task. @param seconds whole seconds, or null for as long as it usually takes */
    record AddTime(
            String id,
            @Nullable Integer at,
            Block.Kind kind,
            @Nullable Integer seconds) implements LessonEdit {

        private static final int SHORT_SEC = 60;
        private static final int FREE_SEC = 180;

        public AddTime {
            Checks checks = new Checks()
                    .text("id", id, 60)
                    .required("kind", kind)
                    .that(kind != Block.Kind.TASK, "kind", Fault.Rule.ONE_OF, "FREE, ROUTINE, TALK, WATER");
            if (seconds != null) checks.range("seconds", seconds, 1, Checks.MAX_SEC);
            checks.done();
        }

        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            int usual = kind == Block.Kind.FREE ? FREE_SEC : SHORT_SEC;
            return lesson.insert(
                    at == null && (kind == Block.Kind.FREE || kind == Block.Kind.ROUTINE)
                            ? beforeCoolDown(lesson, setting)
                            : place(lesson, at),
                    fresh(seconds == null ? usual : seconds));
        }

        private Block fresh(int sec) {
            BlockDraft d = BlockDraft.timeFor(id, kind, sec);
            // Two moves to begin with, to be changed.
            if (kind == Block.Kind.ROUTINE)
                d.routine = new Routine(
                        "Routine",
                        List.of(
                                new Routine.Move("Ball round the waist", 10, 12, true),
                                new Routine.Move("Ball held high", null, 10, false)));
            return d.block();
        }
    }

    /** The same block once more, after itself. @param id of the new one */
    record Copy(String blockId, String id) implements LessonEdit {
        public Copy {
            new Checks().text("blockId", blockId, 60).text("id", id, 60).done();
        }

        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            int at = indexOf(lesson, blockId);
            return lesson.insert(at + 1, lesson.blocks().get(at).with(d -> d.id = id));
        }
    }

    /** Takes a block out; what went backwards through it stands on its own. */
    record Remove(String blockId) implements LessonEdit {
        public Remove {
            new Checks().text("blockId", blockId, 60).done();
        }

        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            indexOf(lesson, blockId);
            return lesson.withBlocks(lesson.without(blockId).blocks().stream()
                    .map(b -> blockId.equals(b.reverses()) ? b.with(d -> d.reverses = null) : b)
                    .toList());
        }
    }

    /** Puts a block, or a whole circuit by its id, in another place; what comes to lie inside a circuit goes past it. */
    record Move(String blockId, Integer to) implements LessonEdit {
        public Move {
            new Checks()
                    .text("blockId", blockId, 60)
                    .range("to", to, 0, Integer.MAX_VALUE)
                    .done();
        }

        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            List<Block> blocks = new ArrayList<>(lesson.blocks());
            List<Block> moved = blocks.stream().filter(this::isMoved).toList();
            if (moved.isEmpty() || lesson.circuits().stream().anyMatch(this::isMoved))
                moved = blocks.stream().filter(b -> inCircuit(lesson, b)).toList();
            if (moved.isEmpty()) throw new Refused("blockId", Fault.Rule.UNKNOWN, blockId);
            boolean down = to > blocks.indexOf(moved.get(0));
            blocks.removeAll(moved);
            int at = Math.min(to, blocks.size());
            if (moved.size() > 1 || lesson.circuitOf(blockId).isEmpty()) {
                Circuit inside = insideOf(lesson, blocks, at);
                while (inside != null && inside == insideOf(lesson, blocks, at)) at += down ? 1 : -1;
            }
            blocks.addAll(at, moved);
            return lesson.withBlocks(blocks);
        }

        private boolean isMoved(Block block) {
            return block.id().equals(blockId);
        }

        private boolean isMoved(Circuit circuit) {
            return circuit.id().equals(blockId);
        }

        private boolean inCircuit(Lesson lesson, Block block) {
            return lesson.circuitOf(block.id()).filter(this::isMoved).isPresent();
        }

        /** The circuit with stations before and after a place, or null. */
        private static Circuit insideOf(Lesson lesson, List<Block> blocks, int at) {
            if (at <= 0 || at >= blocks.size()) return null;
            Circuit before = lesson.circuitOf(blocks.get(at - 1).id()).orElse(null);
            Circuit after = lesson.circuitOf(blocks.get(at).id()).orElse(null);
            return before == after ? before : null;
        }
    }

    /** Two blocks change places. */
    record Swap(String blockId, String otherId) implements LessonEdit {
        public Swap {
            new Checks()
                    .text("blockId", blockId, 60)
                    .text("otherId", otherId, 60)
                    .done();
        }

        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            List<Block> blocks = new ArrayList<>(lesson.blocks());
            Collections.swap(blocks, indexOf(lesson, blockId), indexOf(lesson, otherId));
            return lesson.withBlocks(blocks);
        }
    }

    /** The lesson ends with a block backwards. @param id of the new one @param of the block whose steps it does backwards */
    record AddBackwards(String id, String of) implements LessonEdit {
        public AddBackwards {
            new Checks().text("id", id, 60).text("of", of, 60).done();
        }

        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            Block first = lesson.blocks().get(indexOf(lesson, of));
            return lesson.insert(lesson.blocks().size(), first.with(d -> {
                d.id = id;
                d.part = Part.COOL_DOWN;
                d.reverses = of;
            }));
        }
    }

    /**
     * Ends with the whole warm-up backwards: its last task first, each with its steps backwards. What ended the lesson as a cool-down goes.
     *
     * @param id of the first new block; those after it are numbered on
     */
    record EndWithWarmUpBackwards(String id) implements LessonEdit {
        public EndWithWarmUpBackwards {
            new Checks().text("id", id, 50).done();
        }

        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            List<Block> kept = lesson.blocks().subList(0, beforeCoolDown(lesson, setting));
            List<Block> warmUp = new ArrayList<>();
            for (Block block : kept) {
                if (part(block, setting) != Part.WARM_UP || block.kind() != Block.Kind.TASK) break;
                warmUp.add(block);
            }
            if (warmUp.isEmpty()) throw new Refused("id", Fault.Rule.UNKNOWN, "a warm-up");
            List<Block> all = new ArrayList<>(kept);
            for (int i = warmUp.size() - 1; i >= 0; i--) {
                Block first = warmUp.get(i);
                int number = warmUp.size() - i;
                all.add(first.with(d -> {
                    d.id = number == 1 ? id : id + "-" + number;
                    d.part = Part.COOL_DOWN;
                    d.reverses = first.id();
                }));
            }
            return lesson.withBlocks(all);
        }
    }

    /** The school that the order follows. */
    record ChooseShape(Lesson.Shape shape) implements LessonEdit {
        public ChooseShape {
            new Checks().required("shape", shape).done();
        }

        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            return lesson.withShape(shape);
        }
    }

    /**
     * Some do it, and the others do it too, but as a block of its own that can be changed by itself.
     *
     * @param id of the new block, for those who are not named
     * @param pupilIds for whom the block stays, 1 to 500
     */
    record SplitFor(String blockId, String id, List<String> pupilIds) implements LessonEdit {
        public SplitFor {
            new Checks()
                    .text("blockId", blockId, 60)
                    .text("id", id, 60)
                    .entries("pupilIds", pupilIds, 1, 500)
                    .done();
            pupilIds = List.copyOf(pupilIds);
        }

        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            int at = indexOf(lesson, blockId);
            Block block = lesson.blocks().get(at);
            List<String> members =
                    block.members(setting.pupils()).stream().map(PlanPupil::id).toList();
            List<String> some = members.stream().filter(pupilIds::contains).toList();
            List<String> others =
                    members.stream().filter(p -> !pupilIds.contains(p)).toList();
            new Checks()
                    .that(!some.isEmpty() && !others.isEmpty(), "pupilIds", Fault.Rule.ONE_OF, "some of the pupils")
                    .done();
            return lesson.change(blockId, d -> d.onlyPupilIds = some).insert(at + 1, block.with(d -> {
                d.id = id;
                d.onlyPupilIds = others;
            }));
        }
    }

    private static int place(Lesson lesson, Integer at) {
        int end = lesson.blocks().size();
        return at == null ? end : Math.max(0, Math.min(at, end));
    }

    /** What is put in without a place comes before the cool-down that ends the lesson. */
    private static int beforeCoolDown(Lesson lesson, Setting setting) {
        int at = lesson.blocks().size();
        while (at > 0 && part(lesson.blocks().get(at - 1), setting) == Part.COOL_DOWN) at--;
        return at;
    }

    private static Part part(Block block, Setting setting) {
        if (block.part() != null) return block.part();
        return setting.catalogue()
                .ladder(block.ladderId() == null ? "" : block.ladderId())
                .map(Ladder::part)
                .orElse(null);
    }

    private static int indexOf(Lesson lesson, String blockId) {
        int at = lesson.indexOf(blockId);
        if (at < 0) throw new Refused("blockId", Fault.Rule.UNKNOWN, blockId);
        return at;
    }
}
