package org.unrulymarble.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.plan.World;

/** Each gate with each kind of measure, at its edge. */
class GateTest {

    private static final Gate IN_TIME = new Gate.SoManyIn(20, 30);
    private static final Gate OF = new Gate.SoManyOf(7, 10);
    private static final Gate ROW = new Gate.InARow(5);
    private static final Measure COUNT = new CountInTime();
    private static final Measure HITS = new HitsOfN(10);
    private static final Measure RUN = new LongestRun();

    static Stream<Arguments> rounds() {
        return Stream.of(
                Arguments.of("in the time", IN_TIME, COUNT, round(20, 20, null, null, 30), true),
                Arguments.of("one short", IN_TIME, COUNT, round(19, 19, null, null, 30), false),
                Arguments.of("a shorter round as it stands", IN_TIME, COUNT, round(20, 20, null, null, 25), true),
                Arguments.of("a longer round at the pace", IN_TIME, COUNT, round(27, 27, null, null, 40), true),
                Arguments.of("a longer round just at it", IN_TIME, COUNT, round(40, 40, null, null, 60), true),
                Arguments.of("a longer round below it", IN_TIME, COUNT, round(26, 26, null, null, 40), false),
                Arguments.of("not timed", IN_TIME, COUNT, round(99, 99, null, null, null), false),
                Arguments.of("a row is no count", IN_TIME, RUN, round(25, 19, 20, 25, 30), false),
                Arguments.of("but its hits are", IN_TIME, RUN, round(5, 20, 24, 5, 30), true),
                Arguments.of("7 of 10", OF, HITS, round(7, 7, 10, null, null), true),
                Arguments.of("7 of 12 is less", OF, HITS, round(7, 7, 12, null, null), false),
                Arguments.of("9 of 12 is more", OF, HITS, round(9, 9, 12, null, null), true),
                Arguments.of("too few tries", OF, HITS, round(7, 7, 9, null, null), false),
                Arguments.of("tries not known", OF, HITS, round(9, null, null, null, null), false),
                Arguments.of("points are no hits", OF, new Rings(null), round(30, 6, 10, 3, null), false),
                Arguments.of("five in a row", ROW, COUNT, round(8, 8, 9, 5, 30), true),
                Arguments.of("four in a row", ROW, COUNT, round(8, 8, 9, 4, 30), false),
                Arguments.of("nobody saw a row", ROW, COUNT, round(8, 8, null, null, 30), false),
                Arguments.of("a row told", ROW, RUN, round(5, null, null, null, 30), true),
                Arguments.of("reached", new Gate.Reach(5), new Levels(), round(5, null, null, null, null), true),
                Arguments.of("not reached", new Gate.Reach(5), new Levels(), round(4, null, null, null, null), false),
                Arguments.of(
                        "quick enough", new Gate.Reach(16), new CourseTime(), round(16, null, null, null, null), true),
                Arguments.of(
                        "too slow", new Gate.Reach(16), new CourseTime(), round(17, null, null, null, null), false),
                Arguments.of("no time", new Gate.Reach(16), new CourseTime(), round(0, null, null, null, null), false));
    }

    private static Gate.Round round(int score, Integer hits, Integer tries, Integer inARow, Integer workSec) {
        return new Gate.Round(score, hits, tries, inARow, workSec);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("rounds")
    void a_gate_is_met_or_not(String why, Gate gate, Measure measure, Gate.Round round, boolean met) {
        assertThat(gate.metBy(measure, round)).isEqualTo(met);
    }

    @Test
    void a_gate_of_hits_needs_a_measure_that_has_hits() {
        for (Gate gate : List.of(IN_TIME, OF, ROW)) {
            assertThat(new KeepAll(null, null).mayHave(gate)).isTrue();
            assertThat(new HeldForTime().mayHave(gate)).isFalse();
            assertThatThrownBy(() -> World.rung(new Levels(), gate)).isInstanceOf(Refused.class);
        }
        assertThat(new Match().mayHave(new Gate.Reach(3))).isTrue();
    }

    @Test
    void another_reach_keeps_what_else_the_gate_says() {
        assertThat(List.of(IN_TIME.to(5), OF.to(5), ROW.to(3), new Gate.Reach(9).to(2)))
                .containsExactly(
                        new Gate.SoManyIn(5, 30), new Gate.SoManyOf(5, 10), new Gate.InARow(3), new Gate.Reach(2));
    }
}
