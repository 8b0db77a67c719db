package org.unrulymarble.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.chance.Mastery;

/** Whom an adult who can watch few had better watch. */
class WatchTest extends OfAda {

    @Test
    void who_is_near_a_word_and_who_was_hardly_counted_come_before_whoever_is_settled() {
        double hold = JUDGE.difficulties(RINGS).standard(BIG);
        // Settled high, settled low, at the edge, and counted once long ago.
        threw("sure", 0, 38, 2);
        threw("far", 0, 2, 38);
        int half = (int) Math.round(40 * (hold + 0.06));
        threw("edge", 0, half, 40 - half);
        threw("hardly", 90, 3, 2);

        List<Watch> watch = watch(60);
        assertThat(watch).extracting(Watch::pupilId).containsExactlyInAnyOrder("edge", "hardly");
        assertThat(watch.get(0)).satisfies(w -> {
            assertThat(w.pupilId()).isEqualTo("hardly");
            assertThat(w.word()).isEqualTo(Mastery.Advice.MORE);
        });
    }

    @Test
    void five_at_most_and_of_equals_who_was_not_seen_for_longest() {
        for (int i = 0; i < 8; i++) threw("p" + i, 10 + i, 3, 2);

        assertThat(watch(60)).extracting(Watch::pupilId).containsExactly("p7", "p6", "p5", "p4", "p3");
    }

    @Test
    void three_tries_change_less_than_twenty_and_nothing_is_told_where_no_tries_can_be_counted() {
        double hold = JUDGE.difficulties(RINGS).standard(BIG);
        int half = (int) Math.round(40 * (hold + 0.06));
        threw("edge", 0, half, 40 - half);
        assertThat(watch(1).stream().mapToDouble(Watch::chance).sum())
                .isLessThan(watch(600).get(0).chance());

        ran(1, 20_000);
        assertThat(Watch.of(COURSE, Map.of("ada", TIMED), List.of(record(COURSE).brief()), 60, JUDGE))
                .isEmpty();
    }

    private List<Watch> watch(int roundSec) {
        List<OnLadder> records = attempts.stream()
                .map(Attempt::pupilId)
                .distinct()
                .map(p -> LadderRecord.of(
                                p,
                                RINGS,
                                attempts.stream()
                                        .filter(a -> a.pupilId().equals(p))
                                        .toList(),
                                List.of(),
                                List.of(),
                                JUDGE)
                        .brief())
                .toList();
        Map<String, String> all = new java.util.HashMap<>();
        records.forEach(r -> all.put(r.pupilId(), BIG));
        return Watch.of(RINGS, all, records, roundSec, JUDGE);
    }
}
