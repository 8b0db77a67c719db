package org.unrulymarble.core.chance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.check.Refused;

class MarksChanceTest {

    static Stream<Random> seeds() {
        return IntStream.range(0, 100).mapToObj(seed -> new Random(7_700 + seed));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void calls_are_balanced_at_every_moment_and_none_runs_too_long(Random random) {
        int choices = 2 + random.nextInt(11);
        int howMany = 1 + random.nextInt(200);
        int mostRunning = 1 + random.nextInt(4);
        int seed = random.nextInt(1_000_000);
        Calls calls = Calls.of(new Calls.CallsAsk(seed, choices, howMany, mostRunning, false, List.of()));

        assertThat(calls.calls()).hasSize(howMany).allMatch(c -> c >= 0 && c < choices);
        assertThat(calls.longestRun()).isLessThanOrEqualTo(mostRunning);
        int[] now = new int[choices];
        for (int call : calls.calls()) {
            now[call]++;
            int most = IntStream.of(now).max().orElseThrow();
            int least = IntStream.of(now).min().orElseThrow();
            assertThat(most - least).isLessThanOrEqualTo(2);
        }
        assertThat(calls.counts()).containsExactly(IntStream.of(now).boxed().toArray(Integer[]::new));
        assertThat(Calls.of(new Calls.CallsAsk(seed, choices, howMany, mostRunning, false, List.of())))
                .as("the same seed calls the same")
                .isEqualTo(calls);
    }

    @Test
    void two_sides_are_not_told_by_the_one_before() {
        Calls calls = Calls.of(new Calls.CallsAsk(5, 2, 1000, 3, false, List.of()));
        int same = 0;
        for (int i = 1; i < 1000; i++)
            if (calls.calls().get(i).equals(calls.calls().get(i - 1))) same++;

        assertThat(same).as("repeats of 999, 333 expected of such bags").isBetween(280, 420);
    }

    @Test
    void the_way_of_the_calls_is_counted_out_and_back_or_from_one_to_the_next() {
        List<Calls.MarkerPlace> places = List.of(new Calls.MarkerPlace(3.0, 0.0), new Calls.MarkerPlace(0.0, 4.0));
        Calls back = Calls.of(new Calls.CallsAsk(1, 2, 4, 1, true, places));
        Calls on = Calls.of(new Calls.CallsAsk(1, 2, 4, 1, false, places));

        assertThat(back.travelM()).isCloseTo(2 * (3 + 4 + 3 + 4), within(1e-9));
        assertThat(on.travelM()).isCloseTo((on.calls().get(0) == 0 ? 3 : 4) + 15, within(1e-9));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void guessing_alone_scores_nothing_in_the_long_run(Random random) {
        int balls = 2 + random.nextInt(6);
        NumberCall.DrawFrom from = random.nextBoolean() ? NumberCall.DrawFrom.ALL : NumberCall.DrawFrom.LEFT;
        StringBuilder results = new StringBuilder();
        double guessed = 0;
        int tries = 0;
        int left = balls;
        while (left > 0 && tries < 60) {
            results.append(random.nextInt(3) == 0 ? 'H' : 'M');
            tries++;
            NumberCall now = NumberCall.of(new NumberCall.NumberCallAsk(9, balls, from, results.toString()));
            guessed += 1.0 / (from == NumberCall.DrawFrom.ALL ? balls : left);
            left = now.left().size();
            assertThat(now.guessedHits()).isCloseTo(guessed, within(1e-9));
            assertThat(now.called()).hasSize(tries);
            assertThat(now.kept()).hasSize(balls - left);
            assertThat(Collections.disjoint(now.kept(), now.left())).isTrue();
            assertThat(now.next() == null).isEqualTo(left == 0);
            if (from == NumberCall.DrawFrom.LEFT && now.next() != null)
                assertThat(now.left()).contains(now.next());
        }
    }

    @Test
    void keeping_every_ball_at_once_is_a_full_share_and_one_in_six_is_none() {
        NumberCall all = NumberCall.of(new NumberCall.NumberCallAsk(3, 6, NumberCall.DrawFrom.ALL, "H".repeat(6)));
        NumberCall byChance = NumberCall.of(new NumberCall.NumberCallAsk(3, 6, NumberCall.DrawFrom.ALL, "HMMMMM"));

        assertThat(all.shareWithoutGuessing()).isCloseTo(1, within(1e-9));
        assertThat(byChance.shareWithoutGuessing()).isCloseTo(0, within(1e-9));
    }

    @Test
    void a_rate_takes_out_the_length_of_the_round_and_says_how_sure_a_change_is() {
        Rates rates = Rates.of(new Rates.RatesAsk(
                List.of(new Rates.TimedCount(20, 40), new Rates.TimedCount(30, 60), new Rates.TimedCount(60, 60)),
                0.9));

        assertThat(rates.rates().get(0).perMin()).isEqualTo(rates.rates().get(1).perMin());
        assertThat(rates.rates().get(0).highPerMin() - rates.rates().get(0).lowPerMin())
                .as("the shorter round knows less")
                .isGreaterThan(
                        rates.rates().get(1).highPerMin() - rates.rates().get(1).lowPerMin());
        assertThat(rates.lastHigherThanFirst()).isGreaterThan(0.99);
        Rates same =
                Rates.of(new Rates.RatesAsk(List.of(new Rates.TimedCount(25, 30), new Rates.TimedCount(25, 30)), 0.9));
        assertThat(same.lastHigherThanFirst()).isCloseTo(0.5, within(1e-9));
        // The textbook interval of ten counts, two-sided 95 %: 4.80 to 18.39.
        Rates.Rate ten = Rates.of(new Rates.RatesAsk(List.of(new Rates.TimedCount(10, 60)), 0.95))
                .rates()
                .get(0);
        assertThat(ten.lowPerMin()).isCloseTo(4.795, within(0.005));
        assertThat(ten.highPerMin()).isCloseTo(18.39, within(0.005));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void a_share_holds_the_truth_as_often_as_it_says(Random random) {
        int hits = random.nextInt(30);
        int misses = random.nextInt(30);
        Share share = Share.of(new Share.ShareAsk(hits, misses, 0.9));

        assertThat(share.share()).isBetween(share.low(), share.high());
        Share more = Share.of(new Share.ShareAsk(hits * 10, misses * 10, 0.9));
        assertThat(more.high() - more.low()).isLessThanOrEqualTo(share.high() - share.low());
        Mastery atLow = Mastery.of(new Mastery.MasteryAsk(
                List.of(new Mastery.Evidence(0.0, hits, misses)), 21.0, share.high(), share.low(), 0.9, 0.0));
        assertThat(atLow.chanceBelowFloor()).isCloseTo(0.05, within(1e-6));
        assertThat(atLow.chanceHolds()).isCloseTo(0.05, within(1e-6));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void a_gate_for_the_class_lies_between_the_gates_of_its_pupils(Random random) {
        List<Double> shares = new ArrayList<>();
        for (int i = 2 + random.nextInt(20); i > 0; i--) shares.add(0.3 + random.nextDouble() * 0.69);
        GateFor gate = GateFor.of(new GateFor.GateForAsk(shares, 90, 2.5, 10, 0.8));

        assertThat(gate.tries()).isEqualTo(36);
        int weakest =
                gate.pupils().stream().mapToInt(GateFor.PupilGate::run).min().orElseThrow();
        int strongest =
                gate.pupils().stream().mapToInt(GateFor.PupilGate::run).max().orElseThrow();
        assertThat(gate.classRun()).isBetween(weakest, strongest);
        assertThat(gate.runs())
                .extracting(GateFor.RunChance::meanChance)
                .isSortedAccordingTo(Collections.reverseOrder());
        double p = shares.get(0);
        Streak streak = Streak.of(new Streak.StreakAsk(p, 3, 90, 2.5, 0.8));
        Odds odds = Odds.of(new Odds.OddsAsk(p, 10, 3, 0.8));
        assertThat(gate.pupils().get(0))
                .isEqualTo(new GateFor.PupilGate(streak.longestRunForChance(), odds.mostHitsForChance()));
    }

    @Test
    void a_round_of_too_many_tries_is_refused_by_name() {
        assertThatThrownBy(() -> new GateFor.GateForAsk(List.of(0.5), 14_400, 0.01, 10, 0.8))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("secPerTry");
    }
}
