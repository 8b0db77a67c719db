package org.unrulymarble.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.measure.Measure.Compared;
import org.unrulymarble.core.measure.Measure.Kind;

/** What each measure says of itself. Most: of a round of 25 seconds. What taps come to is in the worked runs. */
class MeasuresTest {

    static Stream<Arguments> all() {
        return Stream.of(
                // measure, kind, compared, less is better, counts tries, tappable, most
                Arguments.of(new CountInTime(), Kind.COUNT_IN_TIME, Compared.BY_SECONDS, false, true, true, 250),
                Arguments.of(new LongestRun(), Kind.LONGEST_RUN, Compared.SAME_SECONDS, false, true, true, 250),
                Arguments.of(new HeldForTime(), Kind.HELD_FOR_TIME, Compared.SAME_SECONDS, false, false, false, 25),
                Arguments.of(new HitsOfN(10), Kind.HITS_OF_N, Compared.BY_TRIES, false, true, true, 10),
                Arguments.of(new HitsOfN(null), Kind.HITS_OF_N, Compared.BY_TRIES, false, true, true, 250),
                Arguments.of(new TimeForN(null), Kind.TIME_FOR_N, Compared.AS_IT_IS, true, false, false, 86_400),
                Arguments.of(new Furthest(null), Kind.FURTHEST, Compared.SAME_SECONDS, false, true, false, 1000),
                Arguments.of(new Rings(null), Kind.RINGS, Compared.BY_SECONDS, false, true, false, 100_000),
                Arguments.of(new Levels(), Kind.LEVELS, Compared.AS_IT_IS, false, false, false, 1000),
                Arguments.of(
                        new MadeFromSpots(null), Kind.MADE_FROM_SPOTS, Compared.BY_SECONDS, false, true, true, 250),
                Arguments.of(new KeepAll(null, null), Kind.KEEP_ALL, Compared.AS_IT_IS, true, true, false, 100_000),
                Arguments.of(new CourseTime(), Kind.COURSE_TIME, Compared.AS_IT_IS, true, false, false, 86_400),
                Arguments.of(new Match(), Kind.MATCH, Compared.AS_IT_IS, false, false, false, 1000),
                Arguments.of(new NoBalls(6), Kind.NO_BALLS, Compared.BY_TRIES, false, true, true, 6));
    }

    @ParameterizedTest
    @MethodSource("all")
    void a_measure_says_how_it_is_compared_and_what_it_can_be(
            Measure measure, Kind kind, Compared compared, boolean less, boolean tries, boolean tappable, int most) {
        assertThat(measure.kind()).isEqualTo(kind);
        assertThat(measure.compared()).isEqualTo(compared);
        assertThat(List.of(measure.lessIsBetter(), measure.countsTries(), measure.tappable()))
                .containsExactly(less, tries, tappable);
        assertThat(measure.most(25)).isEqualTo(most);
    }

    @Test
    void every_kind_of_measure_is_in_the_table() {
        assertThat(all().map(a -> a.get()[1]))
                .containsOnly(Arrays.stream(Kind.values()).toArray());
    }

    @Test
    void what_was_left_out_is_the_houses() {
        assertThat(new TimeForN(null).n()).isEqualTo(20);
        assertThat(new TimeForN(7).n()).isEqualTo(7);
        assertThat(new MadeFromSpots(null).spots()).isEqualTo(5);
        assertThat(new KeepAll(null, null)).isEqualTo(new KeepAll(6, KeepAll.Draw.ALL));
        assertThat(new Furthest(null).stairs()).isEqualTo(new Stairs(1, OnMiss.STAY, 0.0));
        assertThat(new Rings(null).rings()).extracting(Rings.Ring::radiusCm).containsExactly(10, 20, 30);
    }

    @Test
    void a_number_told_says_no_more_than_it_can() {
        assertThat(new HitsOfN(10).told(10, null)).isEqualTo(new Scored(10, 10, 0, 10, null));
        assertThat(new HitsOfN(10).told(9, null)).isEqualTo(new Scored(9, 9, 1, null, null));
        assertThat(new HitsOfN(10).told(11, null)).isEqualTo(new Scored(11, null, null, null, null));
        assertThat(new NoBalls(6).told(4, null).misses()).isEqualTo(2);
        assertThat(new Levels().told(4, null)).isEqualTo(new Scored(4, null, null, null, null));
    }

    @Test
    void nothing_tapped_to_an_end_is_no_result() {
        assertThat(new Match().score(List.of(new Tap.EndWon(null, 2)), true, 0).score())
                .isNull();
        assertThat(new CourseTime().score(List.of(new Tap.Stop(5L)), true, 0).score())
                .isNull();
        assertThat(new HeldForTime()
                        .score(List.of(new Tap.Start(5_000L)), true, 5_000)
                        .score())
                .isZero();
        assertThat(new HeldForTime()
                        .score(List.of(new Tap.Start(5_001L)), true, 5_000)
                        .score())
                .isNull();
    }

    @Test
    void a_watch_begun_again_begins_its_splits_again_and_of_equal_goes_the_first_stands() {
        List<Tap> taps = List.of(
                new Tap.Start(0L),
                new Tap.Split(400L),
                new Tap.Start(1_000L),
                new Tap.Split(1_500L),
                new Tap.Stop(3_000L),
                new Tap.Start(4_000L),
                new Tap.Stop(6_000L));

        assertThat(new TimeForN(2).score(taps, false, 9_000).detail()).isEqualTo(new Detail.Timed(2_000, List.of(500)));
    }

    /** Of six goes three are guessed right by chance alone where two numbers may come each time. */
    @Test
    void guessing_is_taken_off_by_what_could_come() {
        List<Tap> taps = List.of(hit(1), hit(1), new Tap.Miss(null), hit(1), hit(3), hit(2), hit(1));

        Scored kept = new KeepAll(2, KeepAll.Draw.ALL).score(taps, true, 0);
        assertThat(List.of(kept.score(), kept.hits(), kept.misses(), kept.inARow()))
                .containsExactly(6, 5, 1, 3);
        assertThat(((Detail.Guessed) kept.detail()).shareWithoutGuessing()).isEqualTo((5 - 3) / (6 - 3.0));
        // One ball left each time: guessing explains it all.
        Scored sure = new KeepAll(2, KeepAll.Draw.LEFT).score(List.of(hit(1), hit(2)), true, 0);
        assertThat(((Detail.Guessed) sure.detail()).shareWithoutGuessing()).isEqualTo(1.0);
    }

    @Test
    void numbers_that_are_no_spot_and_no_ring_are_not_counted_there() {
        List<Tap> taps = List.of(hit(0), hit(1), hit(2), hit(3), hit(null));

        assertThat(new MadeFromSpots(2).score(taps, false, 0).detail()).isEqualTo(new Detail.Spots(List.of(1, 1)));
        assertThat(new Rings(List.of(new Rings.Ring(10, 5), new Rings.Ring(20, 3)))
                        .score(taps, false, 0)
                        .score())
                .isEqualTo(8);
    }

    private static Tap hit(Integer number) {
        return new Tap.Hit(number);
    }

    @Test
    void a_gate_is_read_from_the_fields_that_a_file_has() {
        assertThat(Gate.of(6, 8, null)).isEqualTo(new Gate.SoManyOf(6, 8));
        assertThat(Gate.of(6, null, 30)).isEqualTo(new Gate.SoManyIn(6, 30));
        assertThat(Gate.of(6, null, null)).isEqualTo(new Gate.Reach(6));
        assertThat(Gate.of(6, 8, null).outOf()).isEqualTo(8);
        assertThat(Gate.of(6, null, 30).outOf()).isNull();
    }
}
