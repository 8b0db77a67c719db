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
        Reach shaky = Reach.of(new Reach.ReachAsk(60, 2, 0.6, 3.0, 6.0, 1.0));
        assertThat(shaky.likely()).isLessThan(3);
        Reach never = Reach.of(new Reach.ReachAsk(60, 2, 0.0, 3.0, 6.0, 1.0));
        assertThat(never.likely()).isZero();
        assertThat(never.steps().get(0).expectedSec()).isNull();
    }
}
