package org.unrulymarble.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.run.RoundTime;

/** The edges of bests, firsts and what is shown over time. */
class BestsCornersTest extends OfAda {

    @Test
    void gain_is_less_time_or_a_larger_share_and_nothing_cannot_be_bettered() {
        ran(9, 20_000);
        ran(2, 16_000);
        assertThat(challenge(COURSE).sides().get(0).gain()).isCloseTo(0.25, within(1e-9));

        attempts.clear();
        threw(9, 6, 14);
        threw(2, 6, 4);
        threw(1, 7, 13);
        Challenge.SideRecord of = challenge(RINGS).sides().get(0);
        // Six of ten is better than six or seven of twenty.
        assertThat(List.of(of.best().score(), of.last().score())).containsExactly(6, 7);
        assertThat(of.gain()).isCloseTo(1.0, within(1e-9));

        attempts.clear();
        threw(9, 0, 10);
        threw(2, 6, 4);
        assertThat(challenge(RINGS).sides().get(0).gain()).isNull();
    }

    @Test
    void of_times_typed_in_whole_seconds_the_lesser_is_the_best() {
        for (int seconds : List.of(9, 12))
            tried(t -> {
                t.ladder = COURSE.id();
                t.rung = TIMED;
                t.side = Side.NONE;
                t.daysAgo = seconds;
                t.score = seconds;
                t.time = null;
            });
        assertThat(challenge(COURSE).sides().get(0).best().score()).isEqualTo(9);
        ran(1, 8_999);
        assertThat(challenge(COURSE).sides().get(0).best().timeMs()).isEqualTo(8_999);
    }

    @Test
    void tries_that_nobody_knows_are_in_no_best_and_still_a_round() {
        tried(t -> {
            t.ladder = RINGS.id();
            t.rung = BIG;
            t.side = Side.STRONG;
            t.score = 9;
        });
        assertThat(challenge(RINGS).sides()).isEmpty();
        assertThat(challenge(RINGS).rounds()).isEqualTo(1);
        threw(2, 0, 0);
        assertThat(challenge(RINGS).sides()).isEmpty();
    }

    @Test
    void a_round_broken_off_is_first_and_best_only_where_there_is_no_other() {
        tried(t -> {
            t.daysAgo = 9;
            t.score = 20;
            t.time = new RoundTime(19, 40);
        });
        assertThat(challenge(CLAPS).sides().get(0).best().brokenOff()).isTrue();
        tried(t -> {
            t.daysAgo = 5;
            t.score = 8;
            t.time = new RoundTime(20, 40);
        });
        Challenge.SideRecord of = challenge(CLAPS).sides().get(0);
        assertThat(List.of(of.first().score(), of.best().score())).containsExactly(8, 8);
        assertThat(of.best().brokenOff()).isFalse();
    }

    @Test
    void kinds_that_do_not_compare_stand_apart_the_latest_first() {
        for (String ball : List.of("foam", "tennis"))
            for (Side side : List.of(Side.LEFT, Side.RIGHT))
                tried(t -> {
                    t.ball = ball;
                    t.side = side;
                    t.daysAgo = ball.equals("foam") ? 9 : 2;
                    t.score = 5;
                });
        tried(t -> t.time = null);

        assertThat(challenge(CLAPS).sides())
                .extracting(s -> s.side() + " " + s.ball() + " " + (s.best().workSec() != null))
                .containsExactly(
                        "RIGHT null false",
                        "RIGHT tennis true",
                        "RIGHT foam true",
                        "LEFT tennis true",
                        "LEFT foam true");
    }

    @Test
    void every_day_completed_is_a_run_of_all_days() {
        assertThat(Challenge.completedRun(List.of(TODAY, TODAY.minusDays(1)), List.of(TODAY, TODAY.minusDays(1))))
                .isEqualTo(2);
    }

    @Test
    void shares_over_time_ring_what_no_earlier_round_of_its_kind_had() {
        threw(9, 5, 5);
        threw(6, 7, 3);
        threw(5, 6, 4);
        threw(4, 7, 3);
        threw(3, 0, 0);
        tried(t -> {
            t.ladder = RINGS.id();
            t.rung = "another";
            t.hits = 9;
            t.misses = 1;
        });

        List<OverTime.SharePoint> shares =
                OverTime.of(RINGS.rung(BIG).orElseThrow(), attempts).shares();
        assertThat(shares).extracting(OverTime.SharePoint::hits).containsExactly(5, 7, 6, 7);
        assertThat(shares).extracting(OverTime.SharePoint::best).containsExactly(true, true, false, false);
        assertThat(shares).allSatisfy(s -> assertThat(s.low()).isLessThan(s.high()));
    }

    @Test
    void two_landings_are_an_aim_and_one_is_none_and_a_round_of_no_time_has_no_rate() {
        tried(t -> t.detail = new Detail.Landings(List.of(new Detail.Landing(1, 1))));
        tried(t -> t.detail = new Detail.Landings(List.of(new Detail.Landing(1, 1), new Detail.Landing(3, 1))));
        tried(t -> t.time = RoundTime.full(0));
        tried(t -> t.trial = true);

        OverTime over = OverTime.of(CLAPS.rung(ONE_HAND).orElseThrow(), attempts);
        assertThat(over.aims())
                .singleElement()
                .satisfies(a -> assertThat(a.throwsSeen()).isEqualTo(2));
        assertThat(over.rates()).hasSize(2);
    }
}
