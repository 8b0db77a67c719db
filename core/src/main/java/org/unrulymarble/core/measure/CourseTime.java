package org.unrulymarble.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A course against the watch. @param course as it is drawn, or null where it is laid as the task says */
public record CourseTime(@Nullable Course course) implements Measure {

    /** As the task says. */
    public CourseTime() {
        this(null);
    }

    @Override
    public Kind kind() {
        return Kind.COURSE_TIME;
    }

    @Override
    public Scored score(List<Tap> taps, boolean missesCounted, long workedMs) {
        return quickest(taps);
    }

    /** The quickest go that was stopped; a second that was begun counts, as a gate of sixteen seconds is missed at 16.1. */
    static Scored quickest(List<Tap> taps) {
        Long best = null;
        List<Integer> bestSplits = List.of();
        Long since = null;
        List<Integer> splits = new ArrayList<>();
        for (Tap tap : taps) {
            if (tap instanceof Tap.Start start) {
                since = start.offsetMs();
                splits.clear();
            } else if (tap instanceof Tap.Timed timed && since != null) {
                long ms = timed.offsetMs() - since;
                if (tap instanceof Tap.Split) {
                    splits.add((int) ms);
                    continue;
                }
                if (best == null || ms < best) {
                    best = ms;
                    bestSplits = List.copyOf(splits);
                }
                since = null;
            }
        }
        if (best == null) return Scored.NOTHING;
        return Scored.only((int) ((best + 999) / 1000)).with(new Detail.Timed(best.intValue(), bestSplits));
    }

    @Override
    public int most(int sec) {
        return 86_400;
    }

    @Override
    public boolean lessIsBetter() {
        return true;
    }

    @Override
    public Compared compared() {
        return Compared.AS_IT_IS;
    }
}
