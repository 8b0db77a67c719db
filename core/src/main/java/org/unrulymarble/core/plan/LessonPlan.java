package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.clock.Timing;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Family;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Sides;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Spots;
import org.unrulymarble.core.score.Side;

/**
 * A lesson worked out for so many pupils in a space.
 *
 * @param pastBellSec seconds by which it runs past the bell; negative when it ends before
 * @param movingSecPerPupil at the task itself; {@code quietSecPerPupil} at the quiet task while waiting comes on top
 * @param idleSecPerPupil waiting for a spot with nothing to do
 * @param rightSec right-hand work of one pupil, {@code leftSec} the left; one-sided and both-handed work is in neither
 * @param touches estimate for one pupil: pace times work seconds
 */
public record LessonPlan(
        long bellSec,
        long totalSec,
        long pastBellSec,
        long movingSecPerPupil,
        double movingShare,
        long quietSecPerPupil,
        long idleSecPerPupil,
        long rightSec,
        long leftSec,
        long touches,
        List<BlockPlan> blocks) {

    /**
     * @param turns how often the task is done so that everyone has a go: waves times parts to rotate through
     * @param waves 1 where nothing fits, so that the clock still says something; {@code spots} then has the reason
     * @param partsToRotate how often a spot's crew changes parts until everyone has worked
     * @param workingAtOnce pupils doing the counted work in a full wave; {@code helping} the others at the spots
     * @param waiting pupils who wait for a spot while the first wave is at it
     */
    public record BlockPlan(
            String id,
            Family family,
            int effort,
            long startSec,
            long endSec,
            int workSec,
            int sides,
            int turns,
            int waves,
            int partsToRotate,
            int perSpot,
            int workingAtOnce,
            int helping,
            int waiting,
            long movingSecPerPupil,
            long quietSecPerPupil,
            long idleSecPerPupil,
            long restInsertedSec,
            long touches,
            List<Stretch> setStretches,
            Spots spots) {}

    /** From the first count-in of a set to the end of its last turn, in seconds from the start of the lesson. */
    public record Stretch(long startSec, long endSec) {}

    /**
     * Works a lesson out.
     *
     * @param pupils 0 to 500; a lesson for home is worked out for one
     * @throws Refused naming the block and field, for a ladder or rung that is not known
     */
    public static LessonPlan of(Lesson lesson, Space space, int pupils, Catalogue catalogue) {
        List<Placed> placed = place(lesson, space, pupils, catalogue);
        LessonClock clock = LessonClock.of(new LessonClock.ClockAsk(
                lesson.restRule(),
                lesson.transitionSec(),
                placed.stream().map(Placed::timing).toList()));
        List<BlockPlan> blocks = new ArrayList<>();
        long right = 0;
        long left = 0;
        for (int i = 0; i < placed.size(); i++) {
            Placed p = placed.get(i);
            blocks.add(
                    p.plan(clock.blocks().get(i), stretches(clock, i, p.block().sets())));
            for (Side side : p.sides()) {
                if (side == Side.RIGHT)
                    right += (long) p.block().sets() * p.timing().dose().seconds();
                if (side == Side.LEFT)
                    left += (long) p.block().sets() * p.timing().dose().seconds();
            }
        }
        long bell = 60L * lesson.minutes();
        return new LessonPlan(
                bell,
                clock.totalSec(),
                clock.totalSec() - bell,
                clock.activeSecPerPupil(),
                clock.activeShare(),
                blocks.stream().mapToLong(BlockPlan::quietSecPerPupil).sum(),
                blocks.stream().mapToLong(BlockPlan::idleSecPerPupil).sum(),
                right,
                left,
                blocks.stream().mapToLong(BlockPlan::touches).sum(),
                List.copyOf(blocks));
    }

    private static List<Stretch> stretches(LessonClock clock, int block, int sets) {
        long[] start = new long[sets];
        long[] end = new long[sets];
        Arrays.fill(start, -1);
        for (Segment s : clock.segments()) {
            if (s.block() != block || (s.kind() != Segment.Kind.COUNT_IN && s.kind() != Segment.Kind.WORK)) continue;
            if (start[s.set()] < 0) start[s.set()] = s.startSec();
            end[s.set()] = s.endSec();
        }
        List<Stretch> stretches = new ArrayList<>(sets);
        for (int set = 0; set < sets; set++) if (start[set] >= 0) stretches.add(new Stretch(start[set], end[set]));
        return stretches;
    }

    static List<Placed> place(Lesson lesson, Space space, int classSize, Catalogue catalogue) {
        int pupils = lesson.audience() == Lesson.Audience.EACH_AT_HOME ? 1 : classSize;
        Checks checks = new Checks();
        List<Placed> placed = new ArrayList<>();
        for (int i = 0; i < lesson.blocks().size(); i++) {
            try {
                placed.add(place(lesson.blocks().get(i), space, pupils, catalogue));
            } catch (Refused e) {
                checks.under("blocks[" + i + "]", e);
            }
        }
        checks.done();
        return placed;
    }

    private static Placed place(Block block, Space space, int pupils, Catalogue catalogue) {
        Ladder ladder = known(catalogue, "", block.ladderId());
        Rung rung = known(ladder, "", block.rungId());
        Rung quiet = null;
        if (block.meanwhile() != null) {
            Ladder quietLadder =
                    known(catalogue, "meanwhile.", block.meanwhile().ladderId());
            quiet = known(quietLadder, "meanwhile.", block.meanwhile().rungId());
        }
        Spots spots = Spots.of(new Spots.SpotsAsk(space, ladder.footprint(), pupils, ladder.perSpot()));
        List<Side> sides = sides(rung.sides(), block.sides());
        int waves = spots.waves() == null ? 1 : Math.max(1, spots.waves());
        Checks checks = new Checks();
        // The clock takes 60 turns: a space that needs more for this class is too small for the task.
        checks.that(waves * parts(ladder, pupils) <= 60, "ladderId", Fault.Rule.RANGE, 1, 60)
                .done();
        return new Placed(block, ladder, rung, quiet, spots, waves, sides, pupils);
    }

    private static int parts(Ladder ladder, int pupils) {
        int crew = Math.max(1, Math.min(ladder.perSpot(), pupils));
        return (crew + ladder.workingAtOnce() - 1) / ladder.workingAtOnce();
    }

    private static List<Side> sides(Sides asked, Block.SideChoice choice) {
        List<Side> all = Side.of(asked);
        if (all.size() < 2 || choice == Block.SideChoice.EACH) return all;
        return List.of(all.get(choice == Block.SideChoice.FIRST_ONLY ? 0 : 1));
    }

    private static Ladder known(Catalogue catalogue, String at, String ladderId) {
        return catalogue.ladder(ladderId).orElseThrow(() -> new Refused(at + "ladderId", Fault.Rule.UNKNOWN, ladderId));
    }

    private static Rung known(Ladder ladder, String at, String rungId) {
        return ladder.rung(rungId).orElseThrow(() -> new Refused(at + "rungId", Fault.Rule.UNKNOWN, rungId));
    }

    /** A block with its ladder looked up and its spots placed. */
    record Placed(
            Block block, Ladder ladder, Rung rung, Rung quiet, Spots spots, int waves, List<Side> sides, int pupils) {

        /** How often a spot's crew changes parts; someone practising alone has nobody to change with. */
        int parts() {
            return LessonPlan.parts(ladder, pupils);
        }

        int turns() {
            return waves * parts();
        }

        Timing timing() {
            return new Timing(
                    block.setupSec(),
                    block.explainSec(),
                    block.countInSec(),
                    block.sets(),
                    block.dose(),
                    sides.size(),
                    block.sideSwapSec(),
                    turns(),
                    block.turnSwapSec(),
                    block.restSec(),
                    block.waitIsRest());
        }

        BlockPlan plan(LessonClock.BlockClock clock, List<Stretch> setStretches) {
            int workSec = block.dose().seconds();
            // The crews spread evenly over the waves, as the script of a run spreads them.
            int allCrews = (pupils + ladder.perSpot() - 1) / ladder.perSpot();
            int atSpots =
                    spots.waves() == null ? 0 : Math.min(pupils, (allCrews + waves - 1) / waves * ladder.perSpot());
            // Whoever waits for a spot waits through the work of every other wave.
            long waitingSec = (long) block.sets() * (turns() - parts()) * sides.size() * workSec;
            long moving = clock.activeSecPerPupil();
            long touches = Math.round(moving / rung.pace().hitSec()
                    + (quiet == null ? 0 : waitingSec / quiet.pace().hitSec()));
            int crews = (atSpots + ladder.perSpot() - 1) / ladder.perSpot();
            int working = Math.min(atSpots, crews * ladder.workingAtOnce());
            return new BlockPlan(
                    block.id(),
                    ladder.family(),
                    ladder.effort(),
                    clock.startSec(),
                    clock.endSec(),
                    workSec,
                    sides.size(),
                    turns(),
                    waves,
                    parts(),
                    ladder.perSpot(),
                    working,
                    atSpots - working,
                    spots.waves() == null ? 0 : pupils - atSpots,
                    moving,
                    quiet == null ? 0 : waitingSec,
                    quiet == null ? waitingSec : 0,
                    clock.restInsertedSec(),
                    touches,
                    setStretches,
                    spots);
        }
    }
}
