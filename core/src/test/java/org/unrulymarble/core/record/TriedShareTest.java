package org.unrulymarble.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.ladder.Side;

/** How often it goes in, for a working of chances: no second figure beside the page's. */
class TriedShareTest extends OfAda {

    @Test
    void where_a_pupil_stands_it_is_the_share_of_their_page_and_elsewhere_the_same_ability() {
        threw(30, 2, 8);
        threw(1, 9, 1);
        OnLadder known = record(RINGS).brief();
        String harder = RINGS.rungs().get(RINGS.numberOf(BIG) + 1).id();

        List<TriedShare> told = TriedShare.of(
                List.of(
                        new TriedShare.Sum("ada", RINGS.id(), BIG, 11, 9),
                        new TriedShare.Sum("ada", RINGS.id(), harder, 1, 1),
                        new TriedShare.Sum("bo", RINGS.id(), BIG, 1, 1)),
                List.of(known),
                CATALOGUE,
                JUDGE);

        assertThat(told).hasSize(2);
        assertThat(told.get(0).share()).isEqualTo(advice(RINGS).sides().get(0).share());
        assertThat(told.get(0).hits()).isEqualTo(11);
        assertThat(told.get(1).share().share())
                .isLessThan(told.get(0).share().share())
                .isBetween(told.get(1).share().low(), told.get(1).share().high());
    }

    @Test
    void of_two_sides_it_is_the_middle() {
        side(Side.RIGHT, 12, 1);
        side(Side.LEFT, 4, 9);
        List<SideAdvice> sides = advice(CLAPS).sides();

        TriedShare told = TriedShare.of(
                        List.of(new TriedShare.Sum("ada", CLAPS.id(), ONE_HAND, 16, 10)),
                        List.of(record(CLAPS).brief()),
                        CATALOGUE,
                        JUDGE)
                .get(0);

        assertThat(told.share().share())
                .isEqualTo((sides.get(0).share().share() + sides.get(1).share().share()) / 2);
    }
}
