package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.ladder.Family;
import org.unrulymarble.core.ladder.HelpPart;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.RungWords;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Course;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.Stairs;
import org.unrulymarble.core.place.Layout;
import org.unrulymarble.core.place.Spots;

/**
 * A block worked out.
 *
 * @param family null for time that is no task
 * @param part where in the lesson it belongs
 * @param workSec of one round
 * @param turns how often the task is done so that everyone has a go: waves times parts to rotate through
 * @param waves 1 where nothing fits, so that the clock still says something; {@code spots} then has the reason
 * @param partsToRotate how often a spot's crew changes parts
 * @param atSpot who is at a spot in this block, null for time that is no task
 * @param workingAtOnce pupils doing the counted work in a full wave; {@code helping} the others at the spots
 * @param waiting pupils who wait for a spot while the first wave is at it
 * @param optionalSec what the optional rounds take, 0 without one
 * @param spots where they work, null for time that is no task
 * @param atWalls how many of them are at which side of the room, in their order; empty for what needs no wall
 * @param course null where none is drawn
 * @param leftFree spots left out before ways and obstacles; {@code leftForWindows} beside a window
 * @param steps what is done one after the other, in this block's order
 * @param words the sentences of its rung with the figures in force, null for time that is no task; {@code gate}, measure and distance likewise
 * @param stairs how it is stepped back and from where, null where nobody steps
 * @param callsMarkers whether markers are called that the lesson may lay and name
 * @param gates the kinds of gate that it may open by, each with figures to begin from
 * @param onRungs who is on which rung; empty where nobody is named
 * @param onSets the sets that are on other rungs than the one before, with their words and gates; empty where all are on one
 * @param elsewhere who is not on the rung where they stand, and why
 */
public record BlockPlan(
        String id,
        Block.Kind kind,
        @Nullable Family family,
        Part part,
        int effort,
        long startSec,
        long endSec,
        int workSec,
        int sides,
        boolean mixedSides,
        int turns,
        int waves,
        int partsToRotate,
        int perSpot,
        HelpPart.@Nullable AtSpot atSpot,
        int workingAtOnce,
        int helping,
        int waiting,
        long movingSecPerPupil,
        long quietSecPerPupil,
        long idleSecPerPupil,
        long restInsertedSec,
        long optionalSec,
        long touches,
        List<Stretch> setStretches,
        @Nullable Spots spots,
        List<Layout.AtWall> atWalls,
        int leftFree,
        int leftForWindows,
        List<String> steps,
        List<OnRung> onRungs,
        List<Elsewhere> elsewhere,
        List<OfSet> onSets,
        Pacing pacing,
        @Nullable RungWords words,
        @Nullable Gate gate,
        List<Gate> gates,
        @Nullable Measure measure,
        @Nullable CoursePlan course,
        @Nullable Double standM,
        @Nullable Stairs stairs,
        boolean callsMarkers) {

    /** From the first count-in of a set to the end of its last turn, in seconds from the start of the lesson. */
    public record Stretch(long startSec, long endSec) {}

    /** What is worked out of a course that is drawn. @param fairSec a fair time for it */
    public record CoursePlan(double lengthM, int fairSec) {}

    /** Pupils who work on one rung. */
    public record OnRung(String rungId, List<String> names) {}

    /** A pupil who is not on the rung where they stand, which is {@code standsOn}. */
    public record Elsewhere(String name, String standsOn, String rungId, OwnRung.Why why) {}

    /** What a set is on. @param set from 1 */
    public record OfSet(int set, String rungId, RungWords words, Gate gate) {}

    static BlockPlan of(Placed p, LessonClock.BlockClock clock, List<Stretch> setStretches, Setting setting) {
        Block block = p.block();
        int workSec = p.moves() ? p.workSec() : 0;
        int atSpots = p.atSpots();
        int working = p.isTask()
                ? Math.min(atSpots, p.crewsAtOnce() * p.ladder().workingAtOnce())
                : p.moves() ? p.pupils() : 0;
        long waitingSec = LessonTimes.waitingSec(p);
        boolean fits = p.isTask() && p.layout().spots().waves() != null;
        long moving = LessonTimes.movingSec(p, clock.activeSecPerPupil());
        long touches = p.isTask() || p.block().routine() != null
                ? touches(p, moving)
                        + (p.quiet() == null ? 0 : Math.round(p.quiet().pace().expectedIn(waitingSec)))
                : 0;
        return new BlockPlan(
                block.id(),
                block.kind(),
                p.isTask() ? p.ladder().family() : null,
                p.part(),
                p.effort(),
                clock.startSec(),
                clock.endSec(),
                workSec,
                p.sides().size(),
                p.mixed(),
                p.isTask() ? p.turns() : 1,
                p.waves(),
                p.parts(),
                p.isTask() ? p.ladder().perSpot() : 1,
                p.isTask() ? p.ladder().atSpot() : null,
                working,
                atSpots - working,
                fits ? p.waiting() : 0,
                moving,
                p.quiet() == null ? 0 : waitingSec,
                p.quiet() == null ? waitingSec : 0,
                clock.restInsertedSec(),
                optionalSec(block, setStretches, clock),
                touches,
                setStretches,
                p.isTask() ? p.layout().spots() : null,
                p.isTask() ? p.layout().atWalls() : List.of(),
                p.isTask() ? p.layout().leftFree() : 0,
                p.isTask() ? p.layout().leftForWindows() : 0,
                p.steps(),
                onRungs(p, setting),
                elsewhere(p, setting),
                onSets(p),
                Pacing.of(p, setting),
                p.isTask() ? InForce.words(p, p.rung()) : null,
                p.isTask() ? InForce.gate(p, p.rung()) : null,
                p.isTask() ? GateChoices.of(p) : List.of(),
                p.isTask() ? InForce.measure(p, p.rung()) : null,
                p.isTask() ? course(p) : null,
                p.isTask() ? p.standM() : null,
                p.isTask() ? p.stairs() : null,
                p.isTask() && p.ladder().callsMarkers(p.rung()));
    }

    private static CoursePlan course(Placed p) {
        Course drawn = InForce.course(p, p.rung());
        return drawn == null ? null : new CoursePlan(drawn.toldM(), InForce.fairSec(p, p.rung(), drawn));
    }

    /** Those that are made: as many as are asked for by count, else what the planning rate lets one expect; a miss is none. */
    private static long touches(Placed p, long movingSec) {
        if (p.block().routine() != null)
            return (long) p.block().sets() * p.block().routine().count();
        if (p.reps() != null) return (long) p.block().sets() * p.sides().size() * p.reps();
        return Math.round(p.rung().pace().expectedIn(movingSec));
    }

    private static long optionalSec(Block block, List<Stretch> sets, LessonClock.BlockClock clock) {
        int asked = sets.size() - block.optionalSets();
        if (block.optionalSets() == 0 || sets.isEmpty()) return 0;
        return clock.endSec()
                - (asked == 0 ? clock.startSec() : sets.get(asked - 1).endSec());
    }

    private static List<OnRung> onRungs(Placed p, Setting setting) {
        if (!p.isTask() || p.block().rungBy() == Block.RungBy.ONE) return List.of();
        Map<String, List<String>> byRung = new LinkedHashMap<>();
        p.ladder().rungs().forEach(r -> byRung.put(r.id(), new ArrayList<>()));
        for (PlanPupil pupil : p.members(setting))
            byRung.get(p.rungOf(pupil.id(), setting).id()).add(pupil.name());
        return byRung.entrySet().stream()
                .filter(e -> !e.getValue().isEmpty())
                .map(e -> new OnRung(e.getKey(), List.copyOf(e.getValue())))
                .toList();
    }

    private static List<OfSet> onSets(Placed p) {
        if (!p.isTask() || p.setRungs().size() < 2) return List.of();
        List<OfSet> out = new ArrayList<>();
        for (int set = 1; set <= p.block().sets(); set++) {
            Rung rung = p.rungOfSet(set);
            out.add(new OfSet(set, rung.id(), InForce.words(p, rung), InForce.gate(p, rung)));
        }
        return out;
    }

    private static List<Elsewhere> elsewhere(Placed p, Setting setting) {
        if (!p.isTask() || p.block().rungBy() == Block.RungBy.ONE) return List.of();
        List<Elsewhere> out = new ArrayList<>();
        for (PlanPupil pupil : p.members(setting)) {
            OwnRung own = p.ownRung(pupil.id(), setting);
            if (own.why() != null)
                out.add(new Elsewhere(
                        pupil.name(), own.standsOn().id(), own.rung().id(), own.why()));
        }
        return out;
    }

    /** Seconds of right-hand work of one pupil (first) and left-hand work (second). */
    static double[] rightAndLeft(Placed p) {
        double right = 0;
        double left = 0;
        if (p.isTask())
            for (Side side : p.sides()) {
                double sec = (double) p.block().sets() * p.workSec();
                if (side == Side.RIGHT || (side == Side.MIXED && handed(p)))
                    right += side == Side.MIXED ? sec / 2 : sec;
                if (side == Side.LEFT || (side == Side.MIXED && handed(p))) left += side == Side.MIXED ? sec / 2 : sec;
            }
        return new double[] {right, left};
    }

    private static boolean handed(Placed p) {
        return Side.of(p.rung().sides()).contains(Side.RIGHT);
    }
}
