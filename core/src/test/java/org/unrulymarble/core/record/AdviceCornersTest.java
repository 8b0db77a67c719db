package org.unrulymarble.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.hipparchus.distribution.discrete.BinomialDistribution;
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
    void what_is_wanted_next_is_what_the_measure_can_give() {
        ran(1, 20_000);

        // Nobody can take ten of a course and tell how many went in.
        assertThat(advice(COURSE).evidenceWanted()).isEqualTo(Advice.EvidenceWanted.ROUNDS);
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
    void where_nobody_said_or_did_anything_it_begins_at_the_first_rung() {
        String first = CLAPS.rungs().get(0).id();
        Standings known = new Standings(JUDGE, List.of(new Standings.Able("ada", CLAPS.id(), ONE_HAND, 0, 0, false)));
        assertThat(known.ownRung("ada", CLAPS).id()).isEqualTo(ONE_HAND);
        // Put there without a try: where they stand is known, what they can do is not.
        assertThat(known.able("ada", CLAPS)).isEmpty();
        assertThat(known.ownRung("ben", CLAPS).id()).isEqualTo(first);
    }

    @Test
    void a_way_to_decide_must_hang_together() {
        assertThatThrownBy(() -> how(5, 4, 0.8, 0.5)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> how(3, 5, 0.5, 0.5)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> how(null, 5, null, 0.5)).isInstanceOf(Refused.class);
        assertThat(how(5, 5, 0.51, 0.5).ofMet()).isEqualTo(5);
    }

    @Test
    void the_standard_to_hold_is_the_share_that_meets_the_gate_in_half_of_the_rounds() {
        threw(1, 5, 5);
        double hold = advice(RINGS).sides().get(0).hold();
        // Seven of ten, by the binomial tail.
        assertThat(new BinomialDistribution(10, hold).cumulativeProbability(6)).isCloseTo(0.5, within(0.001));
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
        return new Readiness(
                Readiness.School.RECKONED,
                3,
                ofMet,
                ofRounds,
                Readiness.Standard.OWN_GATE,
                hold,
                floor,
                0.9,
                12.0,
                42.0,
                0.5);
    }
}
