package org.unrulymarble.core.run;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.unrulymarble.core.clock.Segment;

/** How a run was played up to a moment: where its clock stands, how long each round was worked, who is on what. Fed event by event, in order. */
public final class Played {

    /** A round, and how often it had been begun. */
    record RoundKey(int segment, int take) {}

    record BlockPupil(int block, String pupilId) {}

    private record Move(int segment, String rungId) {}

    private final RunScript script;
    private final Map<Integer, Integer> begunAgain = new HashMap<>();
    private final Map<RoundKey, Long> workedMs = new HashMap<>();
    private final Set<RoundKey> dropped = new HashSet<>();
    private final Set<RoundKey> trials = new HashSet<>();
    private final Map<BlockPupil, List<Move>> moves = new HashMap<>();
    private final Set<String> away = new TreeSet<>();
    private RunClock clock = RunClock.AT_START;
    private boolean finished;
    private boolean stopped;
    private boolean scoresOnWall;

    Played(RunScript script) {
        this.script = script;
    }

    /** What moves the clock or says who is where; taps and numbers are none of it. */
    void play(RunEvent e) {
        What what = e.what();
        if (what instanceof What.MovesClock move) {
            RunClock.Position left = worked(e.atMs());
            // A round that is begun anew before its end counts for nothing: the new one stands in its place.
            if (anew(move)) {
                if (script.isRound(left.segment())) dropped.add(key(left.segment()));
                begunAgain.merge(move.segment(), 1, Integer::sum);
            }
            boolean playing = move instanceof What.Go
                    || (clock.playing() && !(move instanceof What.Hold || move instanceof What.StopAll));
            clock = new RunClock(move.segment(), move.offsetMs(), e.atMs(), playing, clock.addedSec());
            if (move instanceof What.StopAll) stopped = true;
            if (move instanceof What.Go) stopped = false;
        } else if (what instanceof What.Extend more) {
            // The clock is anchored first, so that time that has passed already stays as it was.
            RunClock.Position now = worked(e.atMs());
            Map<Integer, Integer> added = new TreeMap<>(clock.addedSec());
            added.merge(more.segment(), more.addSec(), Integer::sum);
            clock = new RunClock(now.segment(), now.offsetMs(), e.atMs(), clock.playing(), added);
        } else if (what instanceof What.Finish) {
            RunClock.Position end = worked(e.atMs());
            clock = new RunClock(end.segment(), end.offsetMs(), e.atMs(), false, clock.addedSec());
            finished = true;
        } else if (what instanceof What.OnRung on)
            moves.computeIfAbsent(
                            new BlockPupil(script.segment(on.segment()).block(), on.pupilId()), k -> new ArrayList<>())
                    .add(new Move(on.segment(), on.rungId()));
        else if (what instanceof What.Trial trial) trials.add(byTheClock(new RoundKey(trial.segment(), trial.take())));
        else if (what instanceof What.Away gone) away.add(gone.pupilId());
        else if (what instanceof What.Here come) away.remove(come.pupilId());
        else if (what instanceof What.ScoresOnWall wall) scoresOnWall = wall.on();
    }

    private static boolean anew(What.MovesClock move) {
        return move instanceof What.Again || move instanceof What.Back;
    }

    /** Counts what was worked up to a moment, and says where the clock is then. */
    RunClock.Position worked(long atMs) {
        RunClock.Position at = clock.at(script, atMs);
        for (int s = clock.segment(); s < at.segment(); s++) reached(s, clock.lengthMs(script, s));
        reached(at.segment(), at.offsetMs());
        return at;
    }

    private void reached(int segment, long offsetMs) {
        if (script.isRound(segment) && offsetMs > 0) workedMs.merge(key(segment), offsetMs, Math::max);
    }

    private RoundKey key(int segment) {
        return new RoundKey(segment, take(segment));
    }

    /** How often a round has been begun: once, and once more for every return to it or to a place before it. */
    public int take(int segment) {
        int take = 1;
        for (Map.Entry<Integer, Integer> e : begunAgain.entrySet()) if (e.getKey() <= segment) take += e.getValue();
        return take;
    }

    /** The rung that a pupil is on in a round. */
    public String rungOf(int round, String pupilId) {
        Segment segment = script.segment(round);
        String rung = script.blockOf(segment).rungOf(pupilId, segment.set());
        for (Move move : moves.getOrDefault(new BlockPupil(segment.block(), pupilId), List.of()))
            if (move.segment() <= round) rung = move.rungId();
        return rung;
    }

    /** Whether a pupil is on another rung than the plan has, as they or the teacher chose in the run. */
    boolean isChosen(int round, String pupilId) {
        Segment segment = script.segment(round);
        String planned = script.blockOf(segment).rungOf(pupilId, segment.set());
        return !Objects.equals(planned, rungOf(round, pupilId));
    }

    boolean isTrial(RoundKey round) {
        Segment segment = script.segment(round.segment());
        return trials.contains(byTheClock(round)) || (script.blockOf(segment).tryFirst() && segment.set() == 0);
    }

    boolean isDropped(RoundKey round) {
        return dropped.contains(byTheClock(round));
    }

    /** Milliseconds for which a round's clock ran; all that was planned where the clock never was in it. */
    long workedMs(RoundKey round) {
        RoundKey byClock = byTheClock(round);
        long ms = workedMs.getOrDefault(byClock, clock.lengthMs(script, byClock.segment()));
        // A station whose work is shorter than the others' ends sooner, also in a round that was made longer.
        long own = script.segment(round.segment()).durationSec();
        boolean shorter = own < script.segment(byClock.segment()).durationSec();
        return shorter ? Math.min(ms, 1000L * own) : ms;
    }

    private RoundKey byTheClock(RoundKey round) {
        return new RoundKey(script.clockOf(round.segment()), round.take());
    }

    RunClock clock() {
        return clock;
    }

    public Set<String> away() {
        return Set.copyOf(away);
    }

    boolean isFinished() {
        return finished;
    }

    boolean isStopped() {
        return stopped;
    }

    boolean scoresOnWall() {
        return scoresOnWall;
    }
}
