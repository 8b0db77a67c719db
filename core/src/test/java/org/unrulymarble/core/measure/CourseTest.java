package org.unrulymarble.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;

class CourseTest {

    private static final Offset<Double> CLOSE = within(1e-9);

    private static Course course(boolean back, double... xy) {
        List<Course.Marker> markers = new ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) markers.add(new Course.Marker(xy[i], xy[i + 1]));
        return new Course(markers, back);
    }

    @Test
    void its_length_its_turns_and_a_fair_time_are_those_of_the_way_that_is_run() {
        Course square = course(false, 0, 0, 2, 0, 2, 2, 0, 2, 0, 0);
        assertThat(square.lengthM()).isEqualTo(8, CLOSE);
        assertThat(square.turnedDeg()).isEqualTo(270, CLOSE);
        // 8 / 1.2 + 3 = 9.7 with a ball, 8 / 2.2 + 1.5 = 5.1 without.
        assertThat(square.fairSec(1.2, 1.0)).isEqualTo(10);
        assertThat(square.fairSec(2.2, 0.5)).isEqualTo(6);

        Course line = course(true, 0, 1, 5, 1);
        assertThat(line.lengthM()).isEqualTo(10, CLOSE);
        assertThat(line.turnedDeg()).isEqualTo(180, CLOSE);
        assertThat(course(false, 0, 1, 5, 1).turnedDeg()).isZero();
        // Two markers at one place are no turn.
        assertThat(course(false, 0, 0, 2, 0, 2, 0, 4, 0).turnedDeg()).isEqualTo(0, CLOSE);
        // From -170 to 170 degrees is a small turn, whichever way round.
        assertThat(course(false, 4, 2, 2, 1.8, 0, 2).turnedDeg()).isLessThan(15);
        // Two results are on the same course whatever was left behind the comma.
        assertThat(course(true, 0.1 + 0.2, 1, 5, 1)).isEqualTo(course(true, 0.3, 1, 5, 1));
        assertThat(new double[] {line.alongM(), line.acrossM()}).containsExactly(5.5, 1.5);
    }

    @Test
    void one_marker_is_no_course_and_one_beyond_fifty_metres_is_refused() {
        assertThatThrownBy(() -> course(false, 0, 0))
                .isInstanceOfSatisfying(
                        Refused.class,
                        e -> assertThat(e.faults())
                                .containsExactly(new Fault("markers", Fault.Rule.ENTRIES, List.of(2, 30))));
        assertThatThrownBy(() -> course(false, 0, 0, 51, 0)).isInstanceOf(Refused.class);
    }
}
