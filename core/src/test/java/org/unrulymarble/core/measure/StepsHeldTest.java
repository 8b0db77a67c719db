package org.unrulymarble.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** How far a class gets by stepping back. */
class StepsHeldTest {

    private static final StepsHeld.Seconds SECONDS = new StepsHeld.Seconds(3, 6, 0);

    @Test
    void it_obeys_what_a_miss_does_and_ends_where_the_room_ends() {
        int stays = held(OnMiss.STAY, 0.7, null).likely();
        int stepsIn = held(OnMiss.STEP_IN, 0.7, null).likely();
        int restarts = held(OnMiss.RESTART, 0.7, null).likely();

        // Two in a row at 0.7 take 3.47 tries of 3.9 s: 120 s hold nearly nine steps.
        assertThat((double) stays).isCloseTo(120 / (3.47 * 3.9), within(1.0));
        assertThat(stepsIn).isLessThan(stays);
        assertThat(restarts).isLessThan(stepsIn);
        assertThat(held(OnMiss.STAY, 0.7, 4)).isEqualTo(new StepsHeld(4, 4, 4));
    }

    @Test
    void nobody_misses_and_nobody_hits() {
        assertThat(held(OnMiss.RESTART, 1, null).likely()).isEqualTo(20);
        assertThat(held(OnMiss.STAY, 0, null)).isEqualTo(new StepsHeld(0, 0, 0));
    }

    private static StepsHeld held(OnMiss onMiss, double share, Integer lastStep) {
        return StepsHeld.of(new Stairs(2, onMiss, 0.5), part -> share, SECONDS, 120, lastStep);
    }
}
