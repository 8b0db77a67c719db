package org.unrulymarble.core.kit;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class KitKindTest {

    @ParameterizedTest
    @CsvSource({
        "flat marker, flat markers",
        "stick with a pocket, sticks with a pocket",
        "scoop cut from a bottle, scoops cut from a bottle",
        "tea towel over the ball, tea towels over the ball",
        "pair of rolled socks, pairs of rolled socks",
        "rolled socks, rolled socks",
        "sheets of paper on the wall, sheets of paper on the wall",
        "box, boxes",
        "light trolley, light trolleys",
        "fly, flies",
        "drinking glass, drinking glasses"
    })
    void many_of_it_are_called_as_one_says_it(String one, String many) {
        assertThat(kind(one).called(12)).isEqualTo(many);
        assertThat(kind(one).called(1)).isEqualTo(one);
    }

    @Test
    void every_shipped_kind_that_is_counted_has_a_plural_of_its_first_words() {
        assertThat(KitKinds.shipped().all())
                .filteredOn(k -> k.never() == null && k.group() != KitKind.Group.MARK)
                .allSatisfy(k -> assertThat(k.called(2)).matches(".*s( .*)?"));
    }

    private static KitKind kind(String name) {
        return new KitKind(
                "x", name, KitKind.Group.OTHER, null, null, null, null, null, null, null, null, null, null, null, null);
    }
}
