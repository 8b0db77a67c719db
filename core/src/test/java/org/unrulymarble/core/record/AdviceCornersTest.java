package org.unrulymarble.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.run.What;

/** The edges of where a pupil stands and of what comes next. */
class AdviceCornersTest extends OfAda {

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

    @Test
    void the_standard_to_hold_is_the_gates_own_share() {
        threw(1, 5, 5);
        assertThat(advice(RINGS).sides().get(0).hold())
                .isEqualTo((double) RINGS.rung(BIG).orElseThrow().gate().reach()
                        / RINGS.rung(BIG).orElseThrow().gate().outOf());
        assertThat(attempts.get(0).withId("other").id()).isEqualTo("other");
        assertThat(attempts.get(0).withId("other").hits()).isEqualTo(5);
    }

    private Mastery.Advice byPupil(PupilRemark... words) {
        return advice(RINGS, words).bySchool().get(Readiness.School.PUPIL);
    }

    private static PupilRemark word(int daysAgo, String rungId, String word) {
        return new PupilRemark("ada", TODAY.minusDays(daysAgo), RINGS.id(), rungId, What.Remarked.Kind.WORD, word);
    }

    private static Readiness how(Integer ofMet, Integer ofRounds, Double hold, Double floor) {
        return new Readiness(Readiness.School.RECKONED, 3, ofMet, ofRounds, hold, floor, 0.9, 12.0, 42.0, 0.5);
    }
}
