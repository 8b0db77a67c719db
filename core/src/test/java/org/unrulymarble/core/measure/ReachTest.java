package org.unrulymarble.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class ReachTest {

    @Test
    void the_reach_in_a_round_is_what_a_walk_through_its_seconds_gives() {
        Reach sure = Reach.of(new Reach.ReachAsk(60, 2, 1.0, 3.0, 6.0, 1.0));
        // Two throws and the walk: 7, then 8, 9, ... seconds; 7 + 8 + 9 + 10 + 11 = 45, with 12 it is 57, with 13 it is
        // 70.
        assertThat(sure.withoutMiss()).isEqualTo(6);
        assertThat(sure.likely()).isEqualTo(6);
        assertThat(sure.steps().get(5).withoutMissSec()).isCloseTo(57, within(1e-9));
        // 6 and half a second of walking, then 6 and a whole one.
        Reach brisk = Reach.of(new Reach.ReachAsk(60, 2, 1.0, 3.0, 6.0, 0.5));
        assertThat(brisk.steps().get(1).withoutMissSec()).isCloseTo(13.5, within(1e-9));
        assertThat(brisk.steps().get(1).expectedSec()).isCloseTo(13.5, within(1e-9));
        Reach shaky = Reach.of(new Reach.ReachAsk(60, 2, 0.6, 3.0, 6.0, 1.0));
        // (1 - 0.6^2) / (0.4 * 0.6^2) = 4.444 tries at 3 + 0.4 * 6 = 5.4 s are 24 s; with the walk 25, 26, 27.
        assertThat(shaky.likely()).isEqualTo(2);
        assertThat(shaky.steps().get(1).expectedSec()).isCloseTo(51, within(1e-9));
        Reach never = Reach.of(new Reach.ReachAsk(60, 2, 0.0, 3.0, 6.0, 1.0));
        assertThat(never.likely()).isZero();
        assertThat(never.steps().get(0).expectedSec()).isNull();
    }

    @Test
    void stairs_settle_where_they_turned_and_hold_the_share_that_their_rule_aims_at() {
        // Two makes go up, one miss steps in: up to 3, back to 1, up to 3, back.
        Staircase turned = Staircase.of(new Staircase.StaircaseAsk(1, 2, OnMiss.STEP_IN, "HHHHMMHHHHM", 1.0));
        assertThat(turned.settlesAtShare()).isCloseTo(Math.sqrt(0.5), within(1e-9));
        assertThat(turned.reversals()).containsExactly(3, 1, 3);
        // Of three turns all count; of more the first two do not.
        assertThat(turned.settleStep()).isCloseTo(7 / 3.0, within(1e-9));
    }
}
