package org.unrulymarble.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;
import org.unrulymarble.core.run.What;
import org.unrulymarble.core.skill.Difficulties;
import org.unrulymarble.core.skill.LearntSkill;

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

    @Test
    void both_sides_must_be_ready_and_the_one_that_lacks_tries_holds_up_the_other() {
        tries(Side.RIGHT, 29, 1, 30);
        assertThat(advice().sides().get(0).reckoned()).isEqualTo(Mastery.Advice.UP);
        assertThat(advice().verdict()).isEqualTo(Mastery.Advice.MORE);

        tries(Side.LEFT, 29, 1, 30);
        assertThat(advice().verdict()).isEqualTo(Mastery.Advice.UP);
        tries(Side.LEFT, 2, 60, 7);
        tries(Side.LEFT, 2, 60, 0);
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
        how = new Readiness(
                Readiness.School.IN_A_ROW, 3, 3, 5, Readiness.Standard.OWN_GATE, 0.8, 0.5, 0.9, 12.0, 42.0, 0.5);
        assertThat(advice().verdict()).isEqualTo(Mastery.Advice.UP);
    }

    /** The share that holds a rung can be said for that rung alone; what is known of the pupil stays what it is. */
    @Test
    void a_rung_is_held_at_the_share_that_its_teacher_says() {
        tries(Side.RIGHT, 21, 9, 3);
        tries(Side.LEFT, 21, 9, 3);
        Advice strict = advice();
        how = withShare(0.5);
        Advice mild = advice();

        assertThat(mild.sides().get(0).chanceHolds())
                .isGreaterThan(strict.sides().get(0).chanceHolds() + 0.2);
        assertThat(mild.sides().get(0).share()).isEqualTo(strict.sides().get(0).share());
        assertThat(new Judge(how, LearntSkill.NOTHING, TODAY)
                        .difficulties(LADDER)
                        .standard(RUNG))
                .isEqualTo(0.5);
        assertThatThrownBy(() -> withShare(1.5)).hasMessageContaining("ofRungs[" + LADDER.id() + "/" + RUNG + "]");
    }

    private static Readiness withShare(double share) {
        Readiness usual = Readiness.USUAL;
        return new Readiness(
                usual.school(),
                usual.inARow(),
                usual.ofMet(),
                usual.ofRounds(),
                usual.standard(),
                usual.holdShare(),
                usual.floorShare(),
                usual.sure(),
                usual.minTries(),
                usual.halfLifeDays(),
                usual.unconfirmedWeight(),
                Map.of(Difficulties.key(LADDER.id(), RUNG), share));
    }

    @Test
    void a_word_changes_by_new_tries_only_and_a_number_ages_until_it_must_be_seen_again() {
        List<Attempt> lately = new ArrayList<>();
        for (Side side : List.of(Side.RIGHT, Side.LEFT)) lately.add(attempt(side, 28, 40, 2, 0, true));
        for (int weeks : new int[] {0, 4, 60}) {
            LocalDate then = TODAY.plusWeeks(weeks);
            Advice later = Advice.of("ada", LADDER, lately, said, remarks, new Judge(how, LearntSkill.NOTHING, then));
            assertThat(later.verdict()).isEqualTo(Mastery.Advice.UP);
            assertThat(later.seeAgain()).isEqualTo(weeks == 60);
            SideAdvice right = later.sides().get(0);
            assertThat(right.share().high() - right.share().low()).isBetween(0.1 + weeks / 200.0, 0.35 + weeks / 80.0);
        }
    }

    @Test
    void a_word_that_came_stays_through_a_middling_day_and_goes_after_a_bad_one() {
        said.clear();
        said.add(new Advice.Standing("ada", LADDER.id(), RUNG, TODAY.minusDays(100), "Ms Okafor", "start here"));
        for (Side side : List.of(Side.RIGHT, Side.LEFT)) attempts.add(attempt(side, 30, 40, 2, 21, true));
        assertThat(advice().verdict()).isEqualTo(Mastery.Advice.UP);
        double hold = advice().sides().get(0).hold();
        int hits = (int) Math.round(hold * 20) - 1;
        tries(Side.RIGHT, hits, 20 - hits, 7);
        assertThat(advice().sides().get(0).chanceHolds()).isBetween(0.75, 0.9);
        assertThat(advice().verdict()).isEqualTo(Mastery.Advice.UP);
        tries(Side.RIGHT, 4, 16, 0);
        assertThat(advice().verdict()).isNotEqualTo(Mastery.Advice.UP);
    }

    @Test
    void tries_on_the_rung_below_tell_of_this_one_but_no_word_is_said_without_any_here() {
        String below = LADDER.rungs().get(LADDER.numberOf(RUNG) - 1).id();
        double unseen = advice().sides().get(0).share().share();
        for (int day = 1; day < 5; day++) attempts.add(onRung(below, attempt(Side.NONE, 30, 40, 0, day, true)));

        SideAdvice right = advice().sides().get(0);
        assertThat(right.share().share()).isGreaterThan(unseen);
        assertThat(right.triesOnLadder()).isEqualTo(120);
        assertThat(advice().verdict()).isEqualTo(Mastery.Advice.MORE);
        for (Side side : List.of(Side.RIGHT, Side.LEFT)) attempts.add(attempt(side, 6, 40, 0, 0, true));
        assertThat(advice().verdict()).isEqualTo(Mastery.Advice.UP);
    }

    @Test
    void rounds_that_meet_the_gate_say_something_where_only_hits_are_known() {
        double unseen = advice().sides().get(0).chanceHolds();
        for (int i = 1; i < 6; i++) attempts.add(attempt(Side.RIGHT, 40, 40, null, 7 * i, true));
        double met = advice().sides().get(0).chanceHolds();
        attempts.clear();
        for (int i = 1; i < 6; i++) attempts.add(attempt(Side.RIGHT, 2, 40, null, 7 * i, true));

        assertThat(List.of(advice().sides().get(0).chanceHolds(), unseen, met)).isSorted();
        assertThat(met - unseen).isGreaterThan(0.1);
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
        return Advice.of("ada", LADDER, attempts, said, remarks, new Judge(how, LearntSkill.NOTHING, TODAY));
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
