package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;
import org.unrulymarble.core.skill.LearntSkill;

/** What Ada has tried, for tests of what is concluded from it. */
abstract class OfAda {

    static final LocalDate TODAY = LocalDate.of(2026, 11, 26);
    static final Catalogue CATALOGUE = Catalogue.shipped();
    /** Two-sided, counts in a time: 13 in 40 s on its third rung. */
    static final Ladder CLAPS = CATALOGUE.ladder("clap-and-collect").orElseThrow();

    static final String ONE_HAND = "one-hand-in";
    /** One-sided, hits of ten. */
    static final Ladder RINGS = CATALOGUE.ladder("sock-bullseye").orElseThrow();

    static final String BIG = "big-ring";
    static final Ladder COURSE = CATALOGUE.ladder("weave-and-back").orElseThrow();
    static final String TIMED = "on-the-clock";

    static final Judge JUDGE = new Judge(Readiness.USUAL, LearntSkill.NOTHING, TODAY);

    final List<Attempt> attempts = new ArrayList<>();

    /** An attempt with all that tests do not speak of left at its plainest. */
    static final class Try {
        String pupil = "ada";
        String ladder = CLAPS.id();
        String rung = ONE_HAND;
        List<Modifier> modifiers = List.of();
        Side side = Side.RIGHT;
        int daysAgo;
        int set = 1;
        int score;
        Integer hits;
        Integer misses;
        RoundTime time = RoundTime.full(40);
        String ball;
        boolean chosen;
        boolean trial;
        Detail detail;
        List<String> with = List.of();

        Attempt attempt(int number) {
            return new Attempt(
                    "a" + number,
                    pupil,
                    TODAY.minusDays(daysAgo),
                    new Attempt.Task(ladder, rung, modifiers, side),
                    set,
                    new Attempt.Counts(
                            score, hits, misses, hits == null || misses == null ? null : hits + misses, null),
                    time,
                    new Attempt.Things(ball, null, null),
                    new Attempt.Setting(null, null, null),
                    new Attempt.Worth(RoundResult.Source.PARTNER, true, chosen, trial),
                    detail,
                    with);
        }
    }

    Attempt tried(Consumer<Try> how) {
        Try t = new Try();
        how.accept(t);
        Attempt a = t.attempt(attempts.size());
        attempts.add(a);
        return a;
    }

    /** Hits and misses of the ten-throw rung. */
    Attempt threw(int daysAgo, int hits, int misses) {
        return threw("ada", daysAgo, hits, misses);
    }

    Attempt threw(String pupilId, int daysAgo, int hits, int misses) {
        return tried(t -> {
            t.pupil = pupilId;
            t.ladder = RINGS.id();
            t.rung = BIG;
            t.side = Side.STRONG;
            t.daysAgo = daysAgo;
            t.score = hits;
            t.hits = hits;
            t.misses = misses;
            t.time = null;
        });
    }

    Attempt ran(int daysAgo, int timeMs) {
        return tried(t -> {
            t.ladder = COURSE.id();
            t.rung = TIMED;
            t.side = Side.NONE;
            t.daysAgo = daysAgo;
            t.score = (timeMs + 999) / 1000;
            t.time = null;
            t.detail = new Detail.Timed(timeMs, List.of());
        });
    }

    Advice advice(Ladder ladder, PupilRemark... words) {
        return Advice.of("ada", ladder, attempts, List.of(), List.of(words), JUDGE);
    }

    Challenge challenge(Ladder ladder) {
        return Challenge.of(attempts, new Catalogue(List.of(ladder))).get(0);
    }

    LadderRecord record(Ladder ladder) {
        return LadderRecord.of("ada", ladder, attempts, List.of(), List.of(), JUDGE);
    }

    /** Hits and misses of one hand on the two-sided rung. */
    void side(Side side, int hits, int misses) {
        tried(t -> {
            t.side = side;
            t.score = hits;
            t.hits = hits;
            t.misses = misses;
        });
    }
}
