package org.unrulymarble.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.run.RoundTime;

/** The edges of which side is behind. */
class SideCornersTest extends OfAda {

    @Test
    void of_two_sides_with_ten_counted_tries_each_the_share_says_which_is_behind() {
        side(Side.RIGHT, 9, 1);
        side(Side.LEFT, 2, 8);
        Behind behind = Behind.of(advice(CLAPS), attempts);
        assertThat(behind.side()).isEqualTo(Side.LEFT);
        assertThat(behind.chance()).isBetween(0.98, 0.999);
        assertThat(record(CLAPS).found())
                .filteredOn(f -> f.question() == Questions.Question.OTHER_SIDE_BEHIND)
                .extracting(Questions.Found::side)
                .containsExactly(Side.LEFT);
    }

    @Test
    void what_a_hand_did_long_ago_hardly_says_that_it_is_behind_today() {
        double lately = leftBehind(1);
        assertThat(lately).isGreaterThan(0.999);
        assertThat(leftBehind(300)).isBetween(0.9, 0.995);
        assertThat(leftBehind(1200)).isBetween(0.6, 0.95);
    }

    private double leftBehind(int daysAgo) {
        attempts.clear();
        side(Side.RIGHT, 19, 1);
        tried(t -> {
            t.side = Side.LEFT;
            t.daysAgo = daysAgo;
            t.score = 2;
            t.hits = 2;
            t.misses = 18;
        });
        return Behind.of(advice(CLAPS), attempts).chance();
    }

    @Test
    void level_sides_are_as_likely_behind_and_nine_tries_are_too_few_for_a_share() {
        side(Side.RIGHT, 8, 2);
        side(Side.LEFT, 8, 2);
        assertThat(Behind.of(advice(CLAPS), attempts).chance()).isCloseTo(0.5, within(1e-9));
        assertThat(record(CLAPS).found())
                .extracting(Questions.Found::question)
                .doesNotContain(Questions.Question.OTHER_SIDE_BEHIND);

        attempts.clear();
        side(Side.RIGHT, 8, 1);
        side(Side.LEFT, 8, 2);
        // Rates of the last rounds decide: eight in forty seconds with both.
        assertThat(Behind.of(advice(CLAPS), attempts).chance()).isCloseTo(0.5, within(0.01));
        tried(t -> {
            t.side = Side.LEFT;
            t.set = 2;
            t.score = 1;
            t.hits = 1;
        });
        assertThat(Behind.of(advice(CLAPS), attempts).side()).isEqualTo(Side.LEFT);
    }

    @Test
    void trials_joint_rounds_and_other_ways_say_nothing_of_a_side() {
        side(Side.RIGHT, 8, 1);
        side(Side.LEFT, 8, 1);
        for (int i = 0; i < 4; i++) {
            int kind = i;
            tried(t -> {
                t.side = Side.LEFT;
                t.set = 5 + kind;
                t.score = 1;
                t.hits = 1;
                t.trial = kind == 0;
                t.with = kind == 1 ? List.of("ben") : List.of();
                t.time = kind == 2 ? RoundTime.full(0) : RoundTime.full(40);
                t.modifiers = kind == 3 ? List.of(Modifier.GLOVES) : List.of();
            });
        }
        assertThat(Behind.of(advice(CLAPS), attempts).chance()).isCloseTo(0.5, within(0.01));
        assertThat(Behind.of(advice(RINGS), attempts)).isNull();
    }
}
