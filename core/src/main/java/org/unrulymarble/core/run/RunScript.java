package org.unrulymarble.core.run;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.ladder.CalledMarkers;
import org.unrulymarble.core.ladder.CalledMarkers.CalledMarker;
import org.unrulymarble.core.ladder.Manner;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Role;
import org.unrulymarble.core.ladder.RungWords;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.CountInTime;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.Stairs;
import org.unrulymarble.core.place.Whereabouts;

/**
 * What a run plays: the lesson's segments, and for each block who does what in which turn. Fixed when the run begins, so that a
 * later change of the plan never changes what was run.
 */
public record RunScript(List<Segment> segments, List<ScriptBlock> blocks, List<ScriptCircuit> circuits) {

    private static final int MOST_EXTENDED_SEC = 60;

    public RunScript {
        segments = List.copyOf(segments);
        blocks = List.copyOf(blocks);
        circuits = circuits == null ? List.of() : List.copyOf(circuits);
    }

    /** One without circuits, as all of older runs are. */
    public RunScript(List<Segment> segments, List<ScriptBlock> blocks) {
        this(segments, blocks, List.of());
    }

    /**
     * Blocks that are played at the same time: a group is at each, and all move on together.
     *
     * @param firstBlock the others follow it
     * @param stations so many blocks, so many groups, so many visits of each
     * @param rounds of one visit
     * @param groups ids of pupils
     * @param where in the room each station lies; none in runs from before that was kept, null for one that found no room
     * @param groupAt for each visit the number of the group, from 0, at each station
     */
    public record ScriptCircuit(
            int firstBlock,
            int stations,
            int rounds,
            List<List<String>> groups,
            List<List<Integer>> groupAt,
            List<@Nullable Whereabouts> where) {
        public ScriptCircuit {
            groups = groups.stream().map(List::copyOf).toList();
            groupAt = groupAt.stream().map(List::copyOf).toList();
            where = where == null ? List.of() : Collections.unmodifiableList(new ArrayList<>(where));
        }
    }

    /** What a block of a run is. */
    public enum BlockKind {
        TASK,
        FREE,
        ROUTINE,
        TALK,
        WATER
    }

    /**
     * @param kind only a task has ladder and rungs
     * @param rungOf pupils who are on another rung of the ladder, with that rung
     * @param sides in the order of the segments' side 0 and 1
     * @param reps what one side asks for by count, or null by clock
     * @param workSec planned seconds of one side of one turn
     * @param timeIsLimit whether those are no more than a limit: a gate, a place, a count that is met sooner ends the round
     * @param rungs all rungs of the ladder, as far as scoring needs them: a pupil may be put on another one in the run
     * @param choose whether each pupil chooses a rung
     * @param calls what is called at random and when, or null
     * @param attitude push or control, as the teacher chose: what is shown first; else null
     * @param beatSec seconds from beat to beat, or null without one
     * @param tryFirst whether the first set is to find out
     * @param counted whether results are collected
     * @param optionalLast as older runs say one optional set; null ever after
     * @param optionalSets how many of the sets, the last ones, are for those who want them
     * @param steps what is done one after the other, in order
     * @param note the teacher's own words, or null
     * @param ball what it is played with, in words, or null
     * @param meanwhileLadderId what the waiting waves do, or null
     * @param otherwise what is asked otherwise than on its rung
     * @param laterRungIds the rungs of the second set and those after it where they are others; a set beyond them is on the last of them
     * @param roles who is at a spot where the lesson says so; empty for the ladder's own
     */
    public record ScriptBlock(
            BlockKind kind,
            @Nullable String ladderId,
            @Nullable String rungId,
            Map<String, String> rungOf,
            List<Modifier> modifiers,
            List<ScriptRung> rungs,
            boolean choose,
            @Nullable Called calls,
            Manner.@Nullable Attitude attitude,
            @Nullable Double beatSec,
            boolean tryFirst,
            List<Side> sides,
            @Nullable Integer reps,
            int workSec,
            boolean timeIsLimit,
            boolean counted,

            @JsonProperty(access = JsonProperty.Access.WRITE_ONLY) @Nullable
            Boolean optionalLast,

            Integer optionalSets,
            List<String> steps,
            @Nullable String note,
            @Nullable String ball,
            @Nullable String meanwhileLadderId,
            @Nullable String meanwhileRungId,
            List<ScriptTurn> turns,
            Otherwise otherwise,
            List<String> laterRungIds,
            List<Role> roles) {

        /** Scripts of older runs have only tasks, everyone on one rung, and nothing otherwise. */
        public ScriptBlock {
            kind = kind == null ? BlockKind.TASK : kind;
            if (optionalSets == null) optionalSets = optionalLast != null && optionalLast ? 1 : 0;
            optionalLast = null;
            rungOf = rungOf == null ? Map.of() : Map.copyOf(rungOf);
            rungs = rungs == null ? List.of() : List.copyOf(rungs);
            steps = steps == null ? List.of() : List.copyOf(steps);
            otherwise = otherwise == null ? Otherwise.NOTHING : otherwise;
            laterRungIds = laterRungIds == null ? List.of() : List.copyOf(laterRungIds);
            roles = roles == null ? List.of() : List.copyOf(roles);
        }

        /** Without who is on which rung. */
        ScriptBlock withoutOwnRungs() {
            return new ScriptBlock(
                    kind,
                    ladderId,
                    rungId,
                    Map.of(),
                    modifiers,
                    rungs,
                    choose,
                    calls,
                    attitude,
                    beatSec,
                    tryFirst,
                    sides,
                    reps,
                    workSec,
                    timeIsLimit,
                    counted,
                    optionalLast,
                    optionalSets,
                    steps,
                    note,
                    ball,
                    meanwhileLadderId,
                    meanwhileRungId,
                    turns,
                    otherwise,
                    laterRungIds,
                    roles);
        }

        /** The rung of a set, from 0. */
        public String rungOfSet(int set) {
            if (set <= 0 || laterRungIds.isEmpty()) return rungId;
            return laterRungIds.get(Math.min(set, laterRungIds.size()) - 1);
        }

        public String rungOf(String pupilId, int set) {
            return rungOf.getOrDefault(pupilId, rungOfSet(set));
        }

        /** Whether this pupil is on this rung in any set, as it was planned. */
        public boolean asks(String pupilId, String id) {
            return rungOf.containsKey(pupilId)
                    ? rungOf.get(pupilId).equals(id)
                    : id.equals(rungId) || laterRungIds.contains(id);
        }

        /** Null for an id that the ladder has not. */
        public ScriptRung rung(String id) {
            for (ScriptRung rung : rungs) if (rung.id().equals(id)) return rung;
            return null;
        }

        /** What is counted of a pupil on this rung; a rung that the ladder has lost counts plainly. */
        Measure measure(String id) {
            ScriptRung rung = rung(id);
            return rung == null ? new CountInTime() : rung.measure();
        }
    }

    /** Another distance or target than the rung's, which a result is kept with; null for the rung's. */
    public record Otherwise(
            @Nullable Double standM, @Nullable String target) {
        static final Otherwise NOTHING = new Otherwise(null, null);
    }

    /**
     * What is counted on a rung, with the figures in force in this block.
     *
     * @param scoredBy the measure again where a result compares only with its like, since it is another than the rung's; else null
     * @param stairs where the dose steps it back, or the furthest place is what counts; else null
     * @param words its sentences with those figures; null in runs of earlier versions
     */
    public record ScriptRung(
            String id,
            Measure measure,
            @Nullable Stairs stairs,
            @Nullable RungWords words,
            @Nullable Measure scoredBy) {}

    /**
     * @param everySec from a round's start on; 0 where the next is called when the one before is done
     * @param atSec when each word of the order is called, in seconds from its round's start; null where they come evenly
     * @param order which of the words is called; the next round goes on where one ended
     * @param lie where the markers lie whose words these are, if the lesson lays its own; else null
     */
    public record Called(
            List<String> words,
            double everySec,
            List<Integer> order,
            @Nullable List<Integer> atSec,
            @Nullable List<CalledMarker> lie) {

        /** Evenly, and nothing lies anywhere. */
        public Called(List<String> words, double everySec, List<Integer> order) {
            this(words, everySec, order, null, null);
        }

        public Called at(CalledMarkers markers) {
            return new Called(words, everySec, order, atSec, markers.markers());
        }

        public Called {
            atSec = atSec == null ? null : List.copyOf(atSec);
            lie = lie == null ? null : List.copyOf(lie);
            words = List.copyOf(words);
            order = List.copyOf(order);
        }
    }

    /** @param waiting pupils whose wave is not at the spots */
    public record ScriptTurn(int wave, int part, List<Crew> crews, List<String> waiting) {}

    /** Who is at one spot in one turn. {@code spot} from 0. */
    public record Crew(int spot, List<String> workers, List<String> helpers) {}

    /** For a wall that everybody reads: without who is on which rung. */
    public RunScript withoutOwnRungs() {
        return new RunScript(
                segments, blocks.stream().map(ScriptBlock::withoutOwnRungs).toList(), circuits);
    }

    public Segment segment(int index) {
        return segments.get(index);
    }

    /** The segment that the clock goes by: itself, or for work at another station that beside which it lies. */
    int clockOf(int index) {
        Integer beside = segments.get(index).beside();
        return beside == null ? index : beside;
    }

    public ScriptBlock blockOf(Segment segment) {
        return blocks.get(segment.block());
    }

    public ScriptTurn turnOf(Segment segment) {
        return blockOf(segment).turns().get(segment.turn());
    }

    public boolean isRound(int segmentIndex) {
        return segmentIndex >= 0
                && segmentIndex < segments.size()
                && segments.get(segmentIndex).kind() == Segment.Kind.WORK;
    }

    /** The most that a number told of a round can be on any of its rungs, were it extended for ever so long. */
    int most(int round) {
        ScriptBlock block = blockOf(segment(round));
        int sec = (int) segment(round).durationSec() + MOST_EXTENDED_SEC;
        return block.rungs().stream().mapToInt(r -> r.measure().most(sec)).max().orElse(100_000);
    }

    /** The crew in which {@code pupilId} works in this round, or null. */
    public Crew crewOf(Segment round, String pupilId) {
        for (Crew crew : turnOf(round).crews()) if (crew.workers().contains(pupilId)) return crew;
        return null;
    }
}
