package org.unrulymarble.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.aim.Landings;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;
import org.unrulymarble.core.skill.LearntSkill;

/** What is kept of a pupil on a ladder, and what is told over time and in order. */
class LadderRecordTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 26);
    private static final Ladder LADDER =
            Catalogue.shipped().ladder("clap-and-collect").orElseThrow();
    private static final String RUNG = "one-hand-in";

    private final List<Attempt> attempts = new ArrayList<>();

    @Test
    void the_short_record_says_what_the_long_one_says() {
        tried("ada", Side.RIGHT, 30, 10, 60, null);
        tried("ada", Side.RIGHT, 3, 15, 60, null);
        tried("ada", Side.LEFT, 3, 6, 40, null);

        LadderRecord whole = record("ada");
        OnLadder brief = whole.brief();
        assertThat(brief.rungId()).isEqualTo(RUNG);
        assertThat(List.of(brief.rounds(), brief.workedSec())).containsExactly(3, 160);
        assertThat(List.of(brief.firstOn(), brief.lastOn())).containsExactly(TODAY.minusDays(30), TODAY.minusDays(3));
        // Ten in a minute, then fifteen: half as many again.
        assertThat(brief.challenges())
                .singleElement()
                .satisfies(c -> assertThat(c.gain()).isCloseTo(0.5, within(1e-9)));
        // A rate of 15 a minute against 9: the left one is the one behind, and the question of the week finds the best.
        assertThat(whole.behind().side()).isEqualTo(Side.LEFT);
        assertThat(brief.found()).extracting(Questions.Found::question).contains(Questions.Question.BEST_THIS_WEEK);
    }

    @Test
    void rounds_of_different_length_are_told_as_rates_with_their_bands_and_bests() {
        tried("ada", Side.RIGHT, 9, 20, 60, null);
        tried("ada", Side.RIGHT, 6, 9, 30, null);
        tried("ada", Side.RIGHT, 3, 12, 30, null);

        List<OverTime.RatePoint> rates =
                OverTime.of(LADDER.rung(RUNG).orElseThrow(), attempts).rates();
        assertThat(rates).extracting(OverTime.RatePoint::perMin).containsExactly(20.0, 18.0, 24.0);
        assertThat(rates).extracting(OverTime.RatePoint::best).containsExactly(true, false, true);
        // The shorter round knows less: its band is wider though its count is lower.
        assertThat(rates.get(1).highPerMin() - rates.get(1).lowPerMin())
                .isGreaterThan(rates.get(0).highPerMin() - rates.get(0).lowPerMin());
        assertThat(rates).allSatisfy(r -> assertThat(r.perMin()).isBetween(r.lowPerMin(), r.highPerMin()));
    }

    @Test
    void landings_tell_over_time_whether_the_aim_is_off_or_the_throws_scatter() {
        List<Detail.Landing> off = new ArrayList<>();
        List<Detail.Landing> round = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            double x = 3 * Math.cos(i * Math.PI / 4);
            double y = 3 * Math.sin(i * Math.PI / 4);
            off.add(new Detail.Landing(20 + x, y));
            round.add(new Detail.Landing(5 * x, 5 * y));
        }
        tried("ada", Side.RIGHT, 9, 8, 60, new Detail.Landings(off));
        tried("ada", Side.RIGHT, 2, 8, 60, new Detail.Landings(round));

        List<OverTime.AimPoint> aims =
                OverTime.of(LADDER.rung(RUNG).orElseThrow(), attempts).aims();
        assertThat(aims).hasSize(2);
        assertThat(aims.get(0).aim().direction()).isEqualTo(Landings.Direction.RIGHT);
        assertThat(aims.get(0).aim().biasCm()).isCloseTo(20, within(1e-9));
        assertThat(aims.get(1).aim().direction()).isEqualTo(Landings.Direction.CENTRED);
        assertThat(aims.get(1).aim().spreadCm()).isGreaterThan(aims.get(0).aim().spreadCm());
    }

    @Test
    void in_order_by_growth_a_beginner_who_doubles_stands_before_the_best_of_the_class() {
        tried("ada", Side.RIGHT, 9, 5, 60, null);
        tried("ada", Side.RIGHT, 2, 10, 60, null);
        tried("ben", Side.RIGHT, 9, 40, 60, null);
        tried("ben", Side.RIGHT, 2, 44, 60, null);
        tried("cem", Side.RIGHT, 2, 50, 60, null);
        List<String> pupils = List.of("cem", "ben", "ada");
        List<OnLadder> all = pupils.stream().map(p -> record(p).brief()).toList();

        assertThat(Ranked.of(pupils, all, Ranked.By.GAIN))
                .extracting(Ranked::pupilId, Ranked::place)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("ada", 1),
                        org.assertj.core.groups.Tuple.tuple("ben", 2),
                        org.assertj.core.groups.Tuple.tuple("cem", 3));
        // Who is level shares a place.
        assertThat(Ranked.of(pupils, all, Ranked.By.ROUNDS))
                .extracting(Ranked::place)
                .containsExactly(1, 1, 3);
    }

    @Test
    void a_run_of_completed_days_ends_at_the_first_day_without() {
        List<LocalDate> days = List.of(TODAY, TODAY.minusDays(7), TODAY.minusDays(14));

        assertThat(Challenge.completedRun(days, Set.of(TODAY, TODAY.minusDays(7))))
                .isEqualTo(2);
        assertThat(Challenge.completedRun(days, Set.of(TODAY.minusDays(7)))).isZero();
    }

    private LadderRecord record(String pupilId) {
        return LadderRecord.of(
                pupilId,
                LADDER,
                attempts.stream().filter(a -> a.pupilId().equals(pupilId)).toList(),
                List.of(),
                List.of(),
                new Judge(Readiness.USUAL, LearntSkill.NOTHING, TODAY));
    }

    private void tried(String pupilId, Side side, int daysAgo, int score, int workSec, Detail detail) {
        attempts.add(new Attempt(
                "a" + attempts.size(),
                pupilId,
                TODAY.minusDays(daysAgo),
                new Attempt.Task(LADDER.id(), RUNG, List.of(), side),
                1,
                new Attempt.Counts(score, score, null, null, null),
                RoundTime.full(workSec),
                new Attempt.Things(null, null, null),
                new Attempt.Setting(null, null, null),
                new Attempt.Worth(RoundResult.Source.PARTNER, true, false, false),
                detail,
                List.of()));
    }
}
