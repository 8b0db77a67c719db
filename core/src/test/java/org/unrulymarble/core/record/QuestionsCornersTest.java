package org.unrulymarble.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.run.RoundTime;

/** The edges of the questions that a class is asked, and of its order. */
class QuestionsCornersTest extends OfAda {

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
}
