package org.unrulymarble.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

/** The short check for truth; ./marble truth makes the long one. */
class TruthTest {

    @Test
    void who_improves_is_found_far_sooner_than_before_without_more_mistakes() {
        Truth.Outcome o = Truth.of(Truth.Kind.IMPROVING, 1, 300, 11);

        assertThat(o.rightAtEqualWrong()).isGreaterThan((int) (1.6 * o.formerRight()));
        assertThat(o.by(Truth.Way.SKILL).share()).isGreaterThan(0.9);
        assertThat(o.flips()).isLessThan(0.02);
        assertThat(o.by(Truth.Way.HOUSE).rightUp()).isGreaterThan(o.formerRight());
    }

    @Test
    void in_a_weak_class_hardly_anybody_is_sent_up_wrongly_where_a_lucky_row_sends_many() {
        Truth.Outcome o = Truth.of(Truth.Kind.WEAK, 1, 600, 11);

        assertThat(o.by(Truth.Way.SKILL).wrongUp()).isLessThan(o.pupils() / 100);
        assertThat(o.by(Truth.Way.ONE_CLASS).share()).isGreaterThan(0.9);
        assertThat(o.by(Truth.Way.HOUSE).wrongUp()).isLessThan(o.pupils() / 50);
        assertThat(o.by(Truth.Way.TEN_IN_A_ROW).share()).isLessThan(0.6);
    }

    @Test
    void as_many_hold_as_is_stated() {
        Truth.Outcome o = Truth.of(Truth.Kind.GOOD, 1, 400, 11);

        for (int from : List.of(0, 3, 7)) {
            List<Truth.Tenth> part = o.tenths().subList(from, from == 0 ? 3 : from == 3 ? 7 : 10);
            double pupils = part.stream().mapToInt(Truth.Tenth::pupils).sum();
            assertThat(part.stream().mapToDouble(t -> t.pupils() * t.truly()).sum() / pupils)
                    .isCloseTo(
                            part.stream()
                                            .mapToDouble(t -> t.pupils() * t.stated())
                                            .sum()
                                    / pupils,
                            within(1.5 / Math.sqrt(pupils)));
        }
        double stated =
                o.tenths().stream().mapToDouble(t -> t.pupils() * t.stated()).sum() / o.pupils();
        assertThat((double) o.holding() / o.pupils()).isCloseTo(stated, within(0.07));
    }
}
