package org.unrulymarble.core.clock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.Cases;
import org.unrulymarble.core.check.Refused;

class LessonClockTest {

    static Stream<Cases.Case> workedCases() {
        return Cases.of("clock").stream();
    }

    static Stream<LessonClock.ClockAsk> seededLessons() {
        Random random = new Random(20_261);
        return Stream.generate(() -> lesson(random)).limit(300);
    }

    @ParameterizedTest
    @MethodSource("workedCases")
    void agrees_with_the_worked_case(Cases.Case worked) {
        LessonClock.ClockAsk ask = Cases.JSON.convertValue(worked.in(), LessonClock.ClockAsk.class);

        worked.agreesWith(LessonClock.of(ask));
    }

    @ParameterizedTest
    @MethodSource("seededLessons")
    void segments_tile_the_lesson_and_their_sums_agree(LessonClock.ClockAsk ask) {
        LessonClock clock = LessonClock.of(ask);

        long now = 0;
        for (Segment s : clock.segments()) {
            assertThat(s.startSec())
                    .as("segment %d begins where the one before ends", s.index())
                    .isEqualTo(now);
            assertThat(s.durationSec()).isPositive();
            now = s.endSec();
        }
        assertThat(now).isEqualTo(clock.totalSec());
        for (int b = 0; b < ask.blocks().size(); b++) {
            int block = b;
            long work = clock.segments().stream()
                    .filter(s -> s.block() == block && s.kind() == Segment.Kind.WORK)
                    .mapToLong(Segment::durationSec)
                    .sum();
            long inBlock = clock.segments().stream()
                    .filter(s -> s.block() == block && s.kind() != Segment.Kind.TRANSITION)
                    .mapToLong(Segment::durationSec)
                    .sum();
            LessonClock.BlockClock figures = clock.blocks().get(block);
            assertThat(work)
                    .isEqualTo(figures.activeSecPerPupil()
                            * ask.blocks().get(block).turns());
            assertThat(inBlock).isEqualTo(figures.endSec() - figures.startSec());
        }
    }

    @ParameterizedTest
    @MethodSource("seededLessons")
    void everyone_rests_at_least_as_long_between_sets_as_was_asked(LessonClock.ClockAsk ask) {
        LessonClock clock = LessonClock.of(ask);

        for (int b = 0; b < ask.blocks().size(); b++) {
            Timing t = ask.blocks().get(b);
            if (t.sets() < 2) continue;
            long waitSec = t.waitIsRest() ? (t.turns() - 1) * (t.turnSec() + t.turnSwapSec()) : 0;
            assertThat(waitSec + clock.blocks().get(b).restInsertedSec()).isGreaterThanOrEqualTo(t.restSec());
        }
    }

    @Test
    void a_tenth_of_a_second_thirty_times_is_three_seconds_not_four() {
        assertThat(Dose.byCount(30, 0.1).seconds()).isEqualTo(3);
        assertThat(Dose.byCount(24, 3.1).seconds()).isEqualTo(75);
    }

    @Test
    void every_bad_field_is_named_at_once() {
        assertThatThrownBy(() -> new Timing(-1, 0, 0, 0, Dose.byClock(10), 3, 0, 1, 0, 0, null))
                .isInstanceOfSatisfying(
                        Refused.class,
                        refused -> assertThat(refused.faults())
                                .extracting("field")
                                .containsExactly("setupSec", "sets", "sides", "waitIsRest"));
    }

    private static LessonClock.ClockAsk lesson(Random random) {
        List<Timing> blocks = new ArrayList<>();
        for (int i = random.nextInt(7); i > 0; i--) {
            Dose dose = random.nextBoolean()
                    ? Dose.byClock(random.nextInt(90))
                    : Dose.byCount(1 + random.nextInt(40), random.nextDouble() * 4);
            blocks.add(new Timing(
                    random.nextInt(3) * 30,
                    random.nextInt(4) * 15,
                    random.nextInt(6),
                    1 + random.nextInt(5),
                    dose,
                    1 + random.nextInt(2),
                    random.nextInt(3) * 4,
                    1 + random.nextInt(5),
                    random.nextInt(3) * 8,
                    random.nextInt(5) * 20,
                    random.nextBoolean()));
        }
        RestRule rule = random.nextBoolean() ? RestRule.BETWEEN_SETS : RestRule.AFTER_EVERY_SET;
        return new LessonClock.ClockAsk(rule, random.nextInt(4) * 15, blocks);
    }
}
