package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.clock.RestRule;
import org.unrulymarble.core.clock.Segment;

/** The clock's segments as they are played: talk and water under their own names, and the cue after the first try where it was asked so. */
final class Timeline {

    private Timeline() {}

    static LessonClock clock(RestRule restRule, int transitionSec, List<Placed> placed) {
        return LessonClock.of(new LessonClock.ClockAsk(
                restRule, transitionSec, placed.stream().map(Placed::timing).toList()));
    }

    /** As long as the clock's and without gap or overlap; only the order inside a block differs. */
    static List<Segment> segments(LessonClock clock, List<Placed> placed) {
        List<Segment> out = new ArrayList<>();
        for (int block = 0; block < placed.size(); block++) {
            Placed p = placed.get(block);
            int number = block;
            List<Segment> mine =
                    clock.segments().stream().filter(s -> s.block() == number).toList();
            if (!p.moves()) for (Segment s : mine) add(out, s, s.kind() == Segment.Kind.EXPLAIN ? time(p) : s.kind());
            else if (p.block().cue() == Block.Cue.AFTER_A_TRY) cueAfterFirstSet(mine, out);
            else for (Segment s : mine) add(out, s, s.kind());
        }
        return List.copyOf(out);
    }

    private static Segment.Kind time(Placed p) {
        return p.block().kind() == Block.Kind.WATER ? Segment.Kind.WATER : Segment.Kind.TALK;
    }

    private static void cueAfterFirstSet(List<Segment> mine, List<Segment> out) {
        List<Segment> explains =
                mine.stream().filter(s -> s.kind() == Segment.Kind.EXPLAIN).toList();
        boolean told = false;
        for (Segment s : mine) {
            if (s.kind() == Segment.Kind.EXPLAIN) continue;
            boolean firstSetIsOver = s.set() > 0 || (s.set() == 0 && afterLastWork(mine, s));
            if (!told && firstSetIsOver) {
                for (Segment e : explains) add(out, e, e.kind());
                told = true;
            }
            add(out, s, s.kind());
        }
        if (!told) for (Segment e : explains) add(out, e, e.kind());
    }

    private static boolean afterLastWork(List<Segment> mine, Segment s) {
        return mine.stream()
                .filter(w -> w.kind() == Segment.Kind.WORK && w.set() == 0)
                .allMatch(w -> w.index() < s.index());
    }

    private static void add(List<Segment> out, Segment s, Segment.Kind kind) {
        long start = out.isEmpty() ? 0 : out.get(out.size() - 1).endSec();
        out.add(new Segment(out.size(), s.block(), kind, start, s.durationSec(), s.set(), s.turn(), s.side()));
    }
}
