package org.unrulymarble.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;

class ChallengeTest {

    private static final Catalogue CATALOGUE = Catalogue.shipped();
    private static final LocalDate MONDAY = LocalDate.of(2026, 11, 2);

    private final List<Attempt> attempts = new ArrayList<>();

    @Test
    void a_two_sided_rung_is_completed_when_each_side_has_met_its_gate() {
        // One hand in: 11 catches in 40 s with each hand.
        tried(0, Side.RIGHT, 11, 40);
        tried(0, Side.LEFT, 10, 40);
        assertThat(one().completed()).isFalse();

        tried(7, Side.LEFT, 11, 40);
        assertThat(one().completedOn()).isEqualTo(MONDAY.plusDays(7));
    }

    @Test
    void two_halves_of_a_gate_are_no_gate() {
        tried(0, Side.RIGHT, 7, 40);
        tried(0, Side.RIGHT, 10, 40);
        tried(0, Side.LEFT, 13, 40);

        assertThat(one().completed()).isFalse();
        assertThat(one().rounds()).isEqualTo(3);
    }

    @Test
    void the_best_of_rounds_of_different_length_is_the_best_rate() {
        tried(0, Side.RIGHT, 25, 60);
        tried(7, Side.RIGHT, 13, 30);
        tried(14, Side.RIGHT, 9, 30);

        assertThat(one().sides()).singleElement().satisfies(s -> {
            assertThat(List.of(
                            s.best().score(),
                            s.best().workSec(),
                            s.last().score(),
                            s.last().workSec()))
                    .containsExactly(13, 30, 9, 30);
            assertThat(s.metOn()).as("25 in 60 s keeps the pace of 11 in 40 s").isEqualTo(MONDAY);
        });
    }

    @Test
    void with_a_modifier_it_is_a_challenge_of_its_own() {
        tried(0, Side.RIGHT, 13, 40);
        tried(0, Side.LEFT, 13, 40);
        attempts.add(attempt(7, Side.RIGHT, 4, 40, List.of(Modifier.GLOVES)));

        List<Challenge> challenges = Challenge.of(attempts, CATALOGUE);
        assertThat(challenges).extracting(Challenge::completed).containsExactly(true, false);
        assertThat(challenges.get(1).modifiers()).containsExactly(Modifier.GLOVES);
    }

    @Test
    void only_tries_counted_one_by_one_are_counted_as_tries() {
        tried(0, Side.RIGHT, 13, 40);
        attempts.add(new Attempt(
                "a" + attempts.size(),
                "ada",
                MONDAY,
                new Attempt.Task("clap-and-collect", "one-hand-in", List.of(), Side.RIGHT),
                2,
                new Attempt.Counts(8, 8, 3, 11, null),
                RoundTime.full(40),
                new Attempt.Things("ball", null, null),
                new Attempt.Setting(null, "room", Attempt.Where.SCHOOL),
                new Attempt.Worth(RoundResult.Source.ADULT, true, false, false),
                null,
                List.of()));

        assertThat(one().tries()).isEqualTo(11);
    }

    @Test
    void a_round_is_held_against_ones_own_best_and_last_of_its_kind_only() {
        tried(0, Side.RIGHT, 14, 40);
        tried(0, Side.LEFT, 30, 40);
        tried(7, Side.RIGHT, 9, 40);
        attempts.add(attempt(7, Side.RIGHT, 40, 40, List.of(Modifier.GLOVES)));
        var rung = CATALOGUE.rung("clap-and-collect", "one-hand-in").orElseThrow();

        Against better = Against.of(attempt(14, Side.RIGHT, 15, 40, List.of()), attempts, rung);
        assertThat(List.of(better.best().score(), better.last().score())).containsExactly(14, 9);
        assertThat(List.of(better.newBest(), better.metGate(), better.byRate())).containsExactly(true, true, false);

        // Ten in half the time is the better rate, but no gate of eleven in forty seconds... as it stands.
        Against quicker = Against.of(attempt(14, Side.RIGHT, 10, 20, List.of()), attempts, rung);
        assertThat(List.of(quicker.newBest(), quicker.metGate(), quicker.byRate()))
                .containsExactly(true, false, true);
        assertThat(Against.of(attempt(14, Side.RIGHT, 14, 40, List.of()), attempts, rung)
                        .newBest())
                .as("as good as the best is no new best")
                .isFalse();
        assertThat(Against.of(attempt(0, Side.RIGHT, 5, 40, List.of()), List.of(), rung)
                        .best())
                .isNull();
    }

    private Challenge one() {
        List<Challenge> challenges = Challenge.of(attempts, CATALOGUE);
        assertThat(challenges).hasSize(1);
        return challenges.get(0);
    }

    private void tried(int daysOn, Side side, int score, int workSec) {
        attempts.add(attempt(daysOn, side, score, workSec, List.of()));
    }

    private static Attempt attempt(int daysOn, Side side, int score, int workSec, List<Modifier> modifiers) {
        return new Attempt(
                "now",
                "ada",
                MONDAY.plusDays(daysOn),
                new Attempt.Task("clap-and-collect", "one-hand-in", modifiers, side),
                1,
                new Attempt.Counts(score, null, null, null, null),
                RoundTime.full(workSec),
                new Attempt.Things("ball", null, null),
                new Attempt.Setting(null, "room", Attempt.Where.SCHOOL),
                new Attempt.Worth(RoundResult.Source.PARTNER, true, false, false),
                null,
                List.of());
    }
}
