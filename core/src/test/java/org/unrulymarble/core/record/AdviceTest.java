package org.unrulymarble.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;
import org.unrulymarble.core.run.What;

class AdviceTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 26);
    /** Two-sided, with a gate of so many in a time: the class's standard holds. */
    private static final Ladder LADDER =
            Catalogue.shipped().ladder("clap-and-collect").orElseThrow();

    private static final String RUNG = "one-hand-in";

    private final List<Attempt> attempts = new ArrayList<>();
    private final List<Advice.Standing> said = new ArrayList<>(
            List.of(new Advice.Standing("ada", LADDER.id(), RUNG, TODAY.minusDays(100), "Ms Okafor", "start here")));
    private final List<PupilRemark> remarks = new ArrayList<>();
    private Readiness how = Readiness.USUAL;

    /** The check for truth: of pupils whose rates are drawn evenly, as many hold as is stated, tenth by tenth. */
    @Test
    void a_stated_certainty_is_true() {
        PupilsOfKnownRate.Outcome outcome = PupilsOfKnownRate.of(80_000, 7, PupilsOfKnownRate::evenly, 0, 1e9);

        assertThat(outcome.tenths()).allSatisfy(t -> assertThat(t.pupils()).isGreaterThan(200));
        assertThat(outcome.worst(0)).isLessThanOrEqualTo(0.03);
        assertThat(outcome.sentUpByUs()).isLessThan(outcome.sentUpByRun());
    }

    @Test
    void both_sides_must_be_ready_and_the_one_that_lacks_tries_holds_up_the_other() {
        tries(Side.RIGHT, 29, 1, 2);
        assertThat(advice().sides().get(0).reckoned()).isEqualTo(Mastery.Advice.UP);
        assertThat(advice().verdict()).isEqualTo(Mastery.Advice.MORE);

        tries(Side.LEFT, 29, 1, 2);
        assertThat(advice().verdict()).isEqualTo(Mastery.Advice.UP);
        tries(Side.LEFT, 2, 60, 1);
        assertThat(advice().verdict()).isEqualTo(Mastery.Advice.BACK);
    }

    @Test
    void hits_without_misses_are_no_evidence_and_it_says_how_to_count_next_time() {
        attempts.add(attempt(Side.RIGHT, 40, 40, null, 1, true));

        Advice advice = advice();
        assertThat(advice.verdict()).isEqualTo(Mastery.Advice.MORE);
        assertThat(advice.sides().get(0).weightedTries()).isZero();
        // It stands beside it as a gate that was met.
        assertThat(advice.sides().get(0).ofMet()).isEqualTo(1);
        assertThat(advice.evidenceWanted()).isEqualTo(Advice.EvidenceWanted.TAP_MISSES);
    }

    @Test
    void what_nobody_of_the_school_saw_counts_half_until_it_is_confirmed() {
        attempts.add(attempt(Side.RIGHT, 10, 10, 2, 0, true));
        attempts.add(attempt(Side.RIGHT, 10, 10, 2, 0, false));

        SideAdvice right = advice().sides().get(0);
        assertThat(right.weightedTries()).isCloseTo(18, within(1e-9));
        assertThat(right.unconfirmedShare()).isCloseTo(1 / 3.0, within(1e-9));
        assertThat(right.evidence()).extracting(SideAdvice.Piece::weight).containsExactly(0.5, 1.0);
    }

    @Test
    void old_tries_count_less_trials_and_joint_results_not_at_all() {
        attempts.add(attempt(Side.RIGHT, 10, 10, 0, 42, true));
        attempts.add(trialOf(attempt(Side.RIGHT, 10, 10, 0, 1, true)));
        attempts.add(joint(attempt(Side.RIGHT, 10, 10, 0, 1, true)));

        SideAdvice right = advice().sides().get(0);
        assertThat(right.weightedTries()).isCloseTo(5, within(1e-9));
        assertThat(right.hits()).isEqualTo(10);
        assertThat(right.ofRounds()).isEqualTo(1);
    }

    @Test
    void without_a_round_more_are_wanted_and_one_short_of_the_gate_stays() {
        assertThat(advice().bySchool())
                .containsEntry(Readiness.School.IN_A_ROW, Mastery.Advice.MORE)
                .containsEntry(Readiness.School.N_OF_M, Mastery.Advice.MORE);
        for (Side side : List.of(Side.RIGHT, Side.LEFT)) attempts.add(attempt(side, 5, 40, null, 1, true));
        SideAdvice right = advice().sides().get(0);
        assertThat(List.of(right.inARow(), right.ofMet(), right.ofRounds())).containsExactly(0, 0, 1);
        assertThat(advice().bySchool())
                .containsEntry(Readiness.School.IN_A_ROW, Mastery.Advice.STAY)
                .containsEntry(Readiness.School.N_OF_M, Mastery.Advice.STAY);
    }

    @Test
    void each_school_has_its_own_answer_and_the_class_chooses() {
        tries(Side.RIGHT, 2, 2, 3);
        for (int i = 0; i < 3; i++) {
            attempts.add(attempt(Side.RIGHT, 40, 40, null, 2 - i, true));
            attempts.add(attempt(Side.LEFT, 40, 40, null, 2 - i, true));
        }
        remarks.add(new PupilRemark("ada", TODAY, LADDER.id(), RUNG, What.Remarked.Kind.WORD, "TOO_HARD"));

        assertThat(advice().bySchool())
                .containsEntry(Readiness.School.RECKONED, Mastery.Advice.MORE)
                .containsEntry(Readiness.School.IN_A_ROW, Mastery.Advice.UP)
                .containsEntry(Readiness.School.N_OF_M, Mastery.Advice.UP)
                .containsEntry(Readiness.School.PUPIL, Mastery.Advice.BACK)
                .containsEntry(Readiness.School.TEACHER, Mastery.Advice.STAY);
        how = new Readiness(Readiness.School.IN_A_ROW, 3, 3, 5, 0.8, 0.5, 0.9, 12.0, 42.0, 0.5);
        assertThat(advice().verdict()).isEqualTo(Mastery.Advice.UP);
    }

    @Test
    void a_pupil_stands_on_the_highest_rung_practised_unless_somebody_says_otherwise() {
        said.clear();
        assertThat(advice().rungId()).isEqualTo(LADDER.rungs().get(0).id());
        attempts.add(attempt(Side.RIGHT, 12, 40, null, 5, true));
        String first = LADDER.rungs().get(0).id();
        attempts.add(onRung(first, attempt(Side.NONE, 12, 40, null, 1, true)));
        // A round with the whole class on an easier rung moves nobody back, whichever came first.
        assertThat(advice().rungId()).isEqualTo(RUNG);
        Collections.reverse(attempts);
        assertThat(advice().rungId()).isEqualTo(RUNG);

        said.add(new Advice.Standing("ada", LADDER.id(), first, TODAY.minusDays(3), "Ms Okafor", "a rung back"));
        attempts.add(attempt(Side.RIGHT, 12, 40, null, 1, true));
        // A word holds, whatever the class did since; of two on one day the later one.
        assertThat(advice().rungId()).isEqualTo(first);
        said.add(new Advice.Standing("ada", LADDER.id(), RUNG, TODAY.minusDays(3), "Ms Okafor", "no, here"));
        assertThat(advice().rungId()).isEqualTo(RUNG);
        assertThat(advice().stands().reason()).isEqualTo("no, here");
    }

    private Advice advice() {
        return Advice.of("ada", LADDER, attempts, said, remarks, how, TODAY);
    }

    private void tries(Side side, int hits, int misses, int daysAgo) {
        attempts.add(attempt(side, hits, 40, misses, daysAgo, true));
    }

    private Attempt attempt(Side side, int hits, int workSec, Integer misses, int daysAgo, boolean confirmed) {
        return new Attempt(
                "a" + attempts.size(),
                "ada",
                TODAY.minusDays(daysAgo),
                new Attempt.Task(LADDER.id(), RUNG, List.of(), side),
                1,
                new Attempt.Counts(hits, hits, misses, misses == null ? null : hits + misses, null),
                RoundTime.full(workSec),
                new Attempt.Things(null, null, null),
                new Attempt.Setting(null, null, confirmed ? Attempt.Where.SCHOOL : Attempt.Where.HOME),
                new Attempt.Worth(
                        confirmed ? RoundResult.Source.ADULT : RoundResult.Source.TYPED, confirmed, false, false),
                null,
                List.of());
    }

    private static Attempt trialOf(Attempt a) {
        return with(a, true, List.of());
    }

    private static Attempt joint(Attempt a) {
        return with(a, false, List.of("ben"));
    }

    private static Attempt onRung(String rungId, Attempt a) {
        return changed(a, rungId, a.trial(), a.jointWith());
    }

    private static Attempt with(Attempt a, boolean trial, List<String> jointWith) {
        return changed(a, a.rungId(), trial, jointWith);
    }

    private static Attempt changed(Attempt a, String rungId, boolean trial, List<String> jointWith) {
        return new Attempt(
                a.id(),
                a.pupilId(),
                a.on(),
                new Attempt.Task(a.ladderId(), rungId, a.modifiers(), a.side()),
                a.set(),
                new Attempt.Counts(a.score(), a.hits(), a.misses(), a.tries(), a.inARow()),
                a.time(),
                new Attempt.Things(a.ball(), a.distanceM(), a.target()),
                new Attempt.Setting(a.with(), a.space(), a.where()),
                new Attempt.Worth(a.countedBy(), a.confirmed(), a.chosen(), trial),
                a.detail(),
                jointWith);
    }
}
