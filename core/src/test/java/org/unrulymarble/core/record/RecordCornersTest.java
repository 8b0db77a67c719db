package org.unrulymarble.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;
import org.unrulymarble.core.run.What;

/** The edges of what is concluded from attempts: of how many, of which kind, from when on. */
class RecordCornersTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 26);
    private static final Catalogue CATALOGUE = Catalogue.shipped();
    /** Two-sided, counts in a time: 13 in 40 s on its third rung. */
    private static final Ladder CLAPS = CATALOGUE.ladder("clap-and-collect").orElseThrow();

    private static final String ONE_HAND = "one-hand-in";
    /** One-sided, hits of ten. */
    private static final Ladder RINGS = CATALOGUE.ladder("sock-bullseye").orElseThrow();

    private static final String BIG = "big-ring";
    private static final Ladder COURSE = CATALOGUE.ladder("weave-and-back").orElseThrow();
    private static final String TIMED = "on-the-clock";

    private final List<Attempt> attempts = new ArrayList<>();

    /** An attempt with all that tests do not speak of left at its plainest. */
    private static final class Try {
        String pupil = "ada";
        String ladder = CLAPS.id();
        String rung = ONE_HAND;
        List<Modifier> modifiers = List.of();
        Side side = Side.RIGHT;
        int daysAgo;
        int set = 1;
        int score;
        Integer hits;
        Integer misses;
        RoundTime time = RoundTime.full(40);
        String ball;
        boolean chosen;
        boolean trial;
        Detail detail;
        List<String> with = List.of();

        Attempt attempt(int number) {
            return new Attempt(
                    "a" + number,
                    pupil,
                    TODAY.minusDays(daysAgo),
                    new Attempt.Task(ladder, rung, modifiers, side),
                    set,
                    new Attempt.Counts(
                            score, hits, misses, hits == null || misses == null ? null : hits + misses, null),
                    time,
                    new Attempt.Things(ball, null, null),
                    new Attempt.Setting(null, null, null),
                    new Attempt.Worth(RoundResult.Source.PARTNER, true, chosen, trial),
                    detail,
                    with);
        }
    }

    private Attempt tried(Consumer<Try> how) {
        Try t = new Try();
        how.accept(t);
        Attempt a = t.attempt(attempts.size());
        attempts.add(a);
        return a;
    }

    /** Hits and misses of the ten-throw rung. */
    private Attempt threw(int daysAgo, int hits, int misses) {
        return tried(t -> {
            t.ladder = RINGS.id();
            t.rung = BIG;
            t.side = Side.STRONG;
            t.daysAgo = daysAgo;
            t.score = hits;
            t.hits = hits;
            t.misses = misses;
            t.time = null;
        });
    }

    private Attempt ran(int daysAgo, int timeMs) {
        return tried(t -> {
            t.ladder = COURSE.id();
            t.rung = TIMED;
            t.side = Side.NONE;
            t.daysAgo = daysAgo;
            t.score = (timeMs + 999) / 1000;
            t.time = null;
            t.detail = new Detail.Timed(timeMs, List.of());
        });
    }

    private Advice advice(Ladder ladder, PupilRemark... words) {
        return Advice.of("ada", ladder, attempts, List.of(), List.of(words), Readiness.USUAL, TODAY);
    }

    @Test
    void a_rung_chosen_in_a_run_moves_nobody_and_is_told_beside_where_they_stand() {
        String first = CLAPS.rungs().get(0).id();
        tried(t -> t.rung = first);
        assertThat(advice(CLAPS).lastChose()).isNull();
        tried(t -> {
            t.chosen = true;
            t.daysAgo = 3;
        });
        tried(t -> {
            t.chosen = true;
            t.rung = CLAPS.rungs().get(1).id();
            t.daysAgo = 9;
        });
        tried(t -> t.rung = "a-rung-that-is-gone");

        assertThat(advice(CLAPS).rungId()).isEqualTo(first);
        assertThat(advice(CLAPS).lastChose()).isEqualTo(new Advice.Chose(ONE_HAND, TODAY.minusDays(3)));
    }

    @Test
    void below_the_first_rung_and_above_the_last_is_nothing() {
        Advice first = advice(CLAPS);
        assertThat(first.rungBelowId()).isNull();
        assertThat(first.nextRungId()).isEqualTo(CLAPS.rungs().get(1).id());
        assertThat(first.evidenceWanted()).isEqualTo(Advice.EvidenceWanted.NONE);
        int last = CLAPS.rungs().size() - 1;
        tried(t -> t.rung = CLAPS.rungs().get(last).id());
        assertThat(advice(CLAPS).nextRungId()).isNull();
        assertThat(advice(CLAPS).rungBelowId())
                .isEqualTo(CLAPS.rungs().get(last - 1).id());
    }

    @Test
    void where_misses_cannot_be_tapped_a_round_of_ten_is_wanted() {
        ran(1, 20_000);

        assertThat(advice(COURSE).evidenceWanted()).isEqualTo(Advice.EvidenceWanted.HITS_OF_TEN);
    }

    @Test
    void the_pupils_last_word_on_this_rung_decides_by_the_pupils_school() {
        threw(1, 5, 5);
        PupilRemark easy = word(5, BIG, "TOO_EASY");
        PupilRemark right = word(2, BIG, "RIGHT");
        PupilRemark elsewhere = word(1, "another", "TOO_HARD");
        PupilRemark fault = new PupilRemark("ada", TODAY, RINGS.id(), BIG, What.Remarked.Kind.FAULT, "low");

        assertThat(byPupil(easy)).isEqualTo(Mastery.Advice.UP);
        assertThat(byPupil(right, easy, elsewhere, fault)).isEqualTo(Mastery.Advice.STAY);
        assertThat(byPupil(elsewhere, fault)).isEqualTo(Mastery.Advice.MORE);
    }

    private Mastery.Advice byPupil(PupilRemark... words) {
        return advice(RINGS, words).bySchool().get(Readiness.School.PUPIL);
    }

    private static PupilRemark word(int daysAgo, String rungId, String word) {
        return new PupilRemark("ada", TODAY.minusDays(daysAgo), RINGS.id(), rungId, What.Remarked.Kind.WORD, word);
    }

    private void side(Side side, int hits, int misses) {
        tried(t -> {
            t.side = side;
            t.score = hits;
            t.hits = hits;
            t.misses = misses;
        });
    }

    @Test
    void of_two_sides_with_ten_counted_tries_each_the_share_says_which_is_behind() {
        side(Side.RIGHT, 9, 1);
        side(Side.LEFT, 2, 8);
        // P(Beta(3, 9) < Beta(10, 2)) by numbers: 0.9987.
        Behind behind = Behind.of(advice(CLAPS), attempts);
        assertThat(behind.side()).isEqualTo(Side.LEFT);
        assertThat(behind.chance()).isCloseTo(0.9987, within(0.0005));
        assertThat(record(CLAPS).found())
                .filteredOn(f -> f.question() == Questions.Question.OTHER_SIDE_BEHIND)
                .extracting(Questions.Found::side)
                .containsExactly(Side.LEFT);
    }

    @Test
    void level_sides_are_as_likely_behind_and_nine_tries_are_too_few_for_a_share() {
        side(Side.RIGHT, 8, 2);
        side(Side.LEFT, 8, 2);
        assertThat(Behind.of(advice(CLAPS), attempts).chance()).isCloseTo(0.5, within(1e-9));
        assertThat(record(CLAPS).found())
                .extracting(Questions.Found::question)
                .doesNotContain(Questions.Question.OTHER_SIDE_BEHIND);

        attempts.clear();
        side(Side.RIGHT, 8, 1);
        side(Side.LEFT, 8, 2);
        // Rates of the last rounds decide: eight in forty seconds with both.
        assertThat(Behind.of(advice(CLAPS), attempts).chance()).isCloseTo(0.5, within(0.01));
        tried(t -> {
            t.side = Side.LEFT;
            t.set = 2;
            t.score = 1;
            t.hits = 1;
        });
        assertThat(Behind.of(advice(CLAPS), attempts).side()).isEqualTo(Side.LEFT);
    }

    @Test
    void trials_joint_rounds_and_other_ways_say_nothing_of_a_side() {
        side(Side.RIGHT, 8, 1);
        side(Side.LEFT, 8, 1);
        for (int i = 0; i < 4; i++) {
            int kind = i;
            tried(t -> {
                t.side = Side.LEFT;
                t.set = 5 + kind;
                t.score = 1;
                t.hits = 1;
                t.trial = kind == 0;
                t.with = kind == 1 ? List.of("ben") : List.of();
                t.time = kind == 2 ? RoundTime.full(0) : RoundTime.full(40);
                t.modifiers = kind == 3 ? List.of(Modifier.GLOVES) : List.of();
            });
        }
        assertThat(Behind.of(advice(CLAPS), attempts).chance()).isCloseTo(0.5, within(0.01));
        assertThat(Behind.of(advice(RINGS), attempts)).isNull();
    }

    private Challenge challenge(Ladder ladder) {
        return Challenge.of(attempts, new Catalogue(List.of(ladder))).get(0);
    }

    @Test
    void gain_is_less_time_or_a_larger_share_and_nothing_cannot_be_bettered() {
        ran(9, 20_000);
        ran(2, 16_000);
        assertThat(challenge(COURSE).sides().get(0).gain()).isCloseTo(0.25, within(1e-9));

        attempts.clear();
        threw(9, 6, 14);
        threw(2, 6, 4);
        threw(1, 7, 13);
        Challenge.SideRecord of = challenge(RINGS).sides().get(0);
        // Six of ten is better than six or seven of twenty.
        assertThat(List.of(of.best().score(), of.last().score())).containsExactly(6, 7);
        assertThat(of.gain()).isCloseTo(1.0, within(1e-9));

        attempts.clear();
        threw(9, 0, 10);
        threw(2, 6, 4);
        assertThat(challenge(RINGS).sides().get(0).gain()).isNull();
    }

    @Test
    void of_times_typed_in_whole_seconds_the_lesser_is_the_best() {
        for (int seconds : List.of(9, 12))
            tried(t -> {
                t.ladder = COURSE.id();
                t.rung = TIMED;
                t.side = Side.NONE;
                t.daysAgo = seconds;
                t.score = seconds;
                t.time = null;
            });
        assertThat(challenge(COURSE).sides().get(0).best().score()).isEqualTo(9);
        ran(1, 8_999);
        assertThat(challenge(COURSE).sides().get(0).best().timeMs()).isEqualTo(8_999);
    }

    @Test
    void tries_that_nobody_knows_are_in_no_best_and_still_a_round() {
        tried(t -> {
            t.ladder = RINGS.id();
            t.rung = BIG;
            t.side = Side.STRONG;
            t.score = 9;
        });
        assertThat(challenge(RINGS).sides()).isEmpty();
        assertThat(challenge(RINGS).rounds()).isEqualTo(1);
        threw(2, 0, 0);
        assertThat(challenge(RINGS).sides()).isEmpty();
    }

    @Test
    void a_round_broken_off_is_first_and_best_only_where_there_is_no_other() {
        tried(t -> {
            t.daysAgo = 9;
            t.score = 20;
            t.time = new RoundTime(19, 40);
        });
        assertThat(challenge(CLAPS).sides().get(0).best().brokenOff()).isTrue();
        tried(t -> {
            t.daysAgo = 5;
            t.score = 8;
            t.time = new RoundTime(20, 40);
        });
        Challenge.SideRecord of = challenge(CLAPS).sides().get(0);
        assertThat(List.of(of.first().score(), of.best().score())).containsExactly(8, 8);
        assertThat(of.best().brokenOff()).isFalse();
    }

    @Test
    void kinds_that_do_not_compare_stand_apart_the_latest_first() {
        for (String ball : List.of("foam", "tennis"))
            for (Side side : List.of(Side.LEFT, Side.RIGHT))
                tried(t -> {
                    t.ball = ball;
                    t.side = side;
                    t.daysAgo = ball.equals("foam") ? 9 : 2;
                    t.score = 5;
                });
        tried(t -> t.time = null);

        assertThat(challenge(CLAPS).sides())
                .extracting(s -> s.side() + " " + s.ball() + " " + (s.best().workSec() != null))
                .containsExactly(
                        "RIGHT null false",
                        "RIGHT tennis true",
                        "RIGHT foam true",
                        "LEFT tennis true",
                        "LEFT foam true");
    }

    @Test
    void every_day_completed_is_a_run_of_all_days() {
        assertThat(Challenge.completedRun(List.of(TODAY, TODAY.minusDays(1)), List.of(TODAY, TODAY.minusDays(1))))
                .isEqualTo(2);
    }

    @Test
    void shares_over_time_ring_what_no_earlier_round_of_its_kind_had() {
        threw(9, 5, 5);
        threw(6, 7, 3);
        threw(5, 6, 4);
        threw(4, 7, 3);
        threw(3, 0, 0);
        tried(t -> {
            t.ladder = RINGS.id();
            t.rung = "another";
            t.hits = 9;
            t.misses = 1;
        });

        List<OverTime.SharePoint> shares =
                OverTime.of(RINGS.rung(BIG).orElseThrow(), attempts).shares();
        assertThat(shares).extracting(OverTime.SharePoint::hits).containsExactly(5, 7, 6, 7);
        assertThat(shares).extracting(OverTime.SharePoint::best).containsExactly(true, true, false, false);
        assertThat(shares).allSatisfy(s -> assertThat(s.low()).isLessThan(s.high()));
    }

    @Test
    void two_landings_are_an_aim_and_one_is_none_and_a_round_of_no_time_has_no_rate() {
        tried(t -> t.detail = new Detail.Landings(List.of(new Detail.Landing(1, 1))));
        tried(t -> t.detail = new Detail.Landings(List.of(new Detail.Landing(1, 1), new Detail.Landing(3, 1))));
        tried(t -> t.time = RoundTime.full(0));
        tried(t -> t.trial = true);

        OverTime over = OverTime.of(CLAPS.rung(ONE_HAND).orElseThrow(), attempts);
        assertThat(over.aims())
                .singleElement()
                .satisfies(a -> assertThat(a.throwsSeen()).isEqualTo(2));
        assertThat(over.rates()).hasSize(2);
    }

    private LadderRecord record(Ladder ladder) {
        return LadderRecord.of("ada", ladder, attempts, List.of(), List.of(), Readiness.USUAL, TODAY);
    }

    @Test
    void who_was_not_seen_for_three_weeks_and_who_never_tried_is_found() {
        threw(21, 5, 5);
        List<String> ladders = List.of(RINGS.id(), CLAPS.id());
        List<Questions.Found> atTheEdge = Questions.of(
                List.of("ada", "ben"), ladders, List.of(record(RINGS).brief()), TODAY);
        assertThat(atTheEdge)
                .extracting(f -> f.question() + " " + f.pupilId() + " " + f.ladderId())
                .containsExactly(
                        "NEVER_TRIED ada clap-and-collect",
                        "NOT_SEEN ben null",
                        "NEVER_TRIED ben sock-bullseye",
                        "NEVER_TRIED ben clap-and-collect");
        assertThat(Questions.of(List.of("ada"), ladders, List.of(record(RINGS).brief()), TODAY.plusDays(1)))
                .extracting(Questions.Found::question, Questions.Found::on)
                .contains(org.assertj.core.groups.Tuple.tuple(Questions.Question.NOT_SEEN, TODAY.minusDays(21)));
        assertThat(record(RINGS).brief().withoutFound().found()).isEmpty();
        assertThat(record(RINGS).brief().withoutFound().rounds()).isEqualTo(1);
    }

    @Test
    void a_best_of_the_week_betters_an_earlier_one_and_is_no_older_than_seven_days() {
        threw(8, 5, 5);
        threw(7, 7, 3);
        assertThat(record(RINGS).found())
                .extracting(Questions.Found::question)
                .contains(Questions.Question.BEST_THIS_WEEK);
        attempts.clear();
        threw(8, 7, 3);
        threw(7, 7, 3);
        assertThat(record(RINGS).found())
                .extracting(Questions.Found::question)
                .doesNotContain(Questions.Question.BEST_THIS_WEEK);
        attempts.clear();
        threw(9, 5, 5);
        threw(8, 7, 3);
        assertThat(record(RINGS).found())
                .extracting(Questions.Found::question)
                .doesNotContain(Questions.Question.BEST_THIS_WEEK);
    }

    @Test
    void every_rung_completed_is_found_and_one_missing_is_not() {
        for (int i = 0; i < COURSE.rungs().size(); i++) {
            String rung = COURSE.rungs().get(i).id();
            assertThat(record(COURSE).found())
                    .extracting(Questions.Found::question)
                    .doesNotContain(Questions.Question.ALL_RUNGS_DONE);
            for (Side side : Side.of(COURSE.rungs().get(i).sides()))
                tried(t -> {
                    t.ladder = COURSE.id();
                    t.rung = rung;
                    t.side = side;
                    t.score = COURSE.rung(rung).orElseThrow().gate().reach();
                    t.hits = t.score;
                    t.misses = 0;
                    t.time = RoundTime.full(1);
                });
        }
        assertThat(record(COURSE).found())
                .extracting(Questions.Found::question)
                .contains(Questions.Question.ALL_RUNGS_DONE);
    }

    @Test
    void who_is_ready_is_found_with_the_less_certain_side_and_who_has_fallen_with_the_lower() {
        side(Side.RIGHT, 40, 0);
        side(Side.LEFT, 60, 2);
        LadderRecord ready = record(CLAPS);
        assertThat(ready.advice().verdict()).isEqualTo(Mastery.Advice.UP);
        assertThat(ready.found())
                .filteredOn(f -> f.question() == Questions.Question.READY_TO_GO_UP)
                .singleElement()
                .satisfies(f -> assertThat(f.chance())
                        .isEqualTo(ready.advice().sides().stream()
                                .mapToDouble(SideAdvice::chanceHolds)
                                .min()
                                .orElseThrow()));
        attempts.clear();
        side(Side.RIGHT, 40, 0);
        side(Side.LEFT, 2, 60);
        assertThat(record(CLAPS).found())
                .filteredOn(f -> f.question() == Questions.Question.BETTER_A_RUNG_BACK)
                .singleElement()
                .satisfies(f -> assertThat(f.side()).isEqualTo(Side.LEFT));
    }

    @Test
    void order_by_what_was_completed_counts_rungs_as_they_are_and_growth_is_the_middle_one() {
        ran(9, 20_000);
        ran(2, 10_000);
        OnLadder course = record(COURSE).brief();
        attempts.clear();
        threw(9, 4, 6);
        threw(2, 5, 5);
        OnLadder rings = record(RINGS).brief();
        List<Ranked> all = Ranked.of(List.of("ben", "ada"), List.of(course, rings), Ranked.By.GAIN);
        // Twice as fast and a quarter more: the middle of 1 and 0.25.
        assertThat(all.get(0).pupilId()).isEqualTo("ada");
        assertThat(all.get(0).gain()).isCloseTo(0.625, within(1e-9));
        assertThat(all.get(1).gain()).isNull();
        assertThat(Ranked.of(List.of("ada"), List.of(course, rings), Ranked.By.COMPLETED)
                        .get(0)
                        .completed())
                .isEqualTo((int) List.of(course, rings).stream()
                        .flatMap(r -> r.challenges().stream())
                        .filter(c -> c.completedOn() != null)
                        .count());
    }

    @Test
    void where_nobody_said_or_did_anything_the_first_rung_that_is_not_completed_is_next() {
        String first = CLAPS.rungs().get(0).id();
        Standings.Tries tries = new Standings.Tries("ada", CLAPS.id(), first, 7, 3);
        Standings known = new Standings(List.of(tries), List.of(new Standings.Completed("ada", CLAPS.id(), first)));
        assertThat(known.tries("ada", CLAPS.id(), first)).contains(tries);
        assertThat(known.tries("ben", CLAPS.id(), first)).isEmpty();
        assertThat(known.ownRung("ada", CLAPS)).isEqualTo(CLAPS.rungs().get(1));
        assertThat(known.ownRung("ben", CLAPS)).isEqualTo(CLAPS.rungs().get(0));
        List<Standings.Completed> all = CLAPS.rungs().stream()
                .map(r -> new Standings.Completed("ada", CLAPS.id(), r.id()))
                .toList();
        assertThat(new Standings(List.of(), all).ownRung("ada", CLAPS))
                .isEqualTo(CLAPS.rungs().get(CLAPS.rungs().size() - 1));
        assertThat(new Standings(List.of(), List.of(new Standings.Own("ada", CLAPS.id(), ONE_HAND)), all)
                        .ownRung("ada", CLAPS)
                        .id())
                .isEqualTo(ONE_HAND);
        assertThat(TriedShare.of(List.of(tries)))
                .singleElement()
                .satisfies(s -> assertThat(s.share().low()).isLessThan(0.7).isPositive());
    }

    @Test
    void a_way_to_decide_must_hang_together() {
        assertThatThrownBy(() -> how(5, 4, 0.8, 0.5)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> how(3, 5, 0.5, 0.5)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> how(null, 5, null, 0.5)).isInstanceOf(Refused.class);
        assertThat(how(5, 5, 0.51, 0.5).ofMet()).isEqualTo(5);
    }

    private static Readiness how(Integer ofMet, Integer ofRounds, Double hold, Double floor) {
        return new Readiness(Readiness.School.RECKONED, 3, ofMet, ofRounds, hold, floor, 0.9, 12.0, 42.0, 0.5);
    }

    @Test
    void the_standard_to_hold_is_the_gates_own_share() {
        threw(1, 5, 5);
        assertThat(advice(RINGS).sides().get(0).hold())
                .isEqualTo((double) RINGS.rung(BIG).orElseThrow().gate().reach()
                        / RINGS.rung(BIG).orElseThrow().gate().outOf());
        assertThat(attempts.get(0).withId("other").id()).isEqualTo("other");
        assertThat(attempts.get(0).withId("other").hits()).isEqualTo(5);
    }
}
