package org.unrulymarble.core.home;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Wall;

class HomeToldTest {

    @Test
    void kit_and_room_come_back_in_a_code_like_any_other() {
        byte[] key = new byte[16];
        List<Integer> said = HomeTold.numbers(List.of("tennis-ball", "paper-cup"), 2.5, 3, true, true);
        String code = new ReturnCode(5, HomeTold.PRACTICE, said, null).code(key, HomeTold.MOST);
        ReturnCode heard =
                ReturnCode.of(ReturnCode.head(code).head(), key, HomeTold.MOST).orElseThrow();

        HomeTold told = HomeTold.of(heard.numbers());
        assertThat(told.kit()).isEqualTo(Map.of("tennis-ball", 1, "paper-cup", 2));
        assertThat(told.space()).isEqualTo(new Space(3.0, 2.5, 2.4, new Wall(2.5, 3.0)));
        assertThat(told.space().wallFits()).isTrue();
        assertThat(told.quiet()).isTrue();
    }

    @Test
    void what_was_not_told_stays_unknown() {
        HomeTold told = HomeTold.of(Arrays.asList(null, 4, null, null, 1));
        assertThat(told.kit()).isEmpty();
        assertThat(told.space()).isNull();
        assertThat(told.quiet()).isNull();
    }

    @Test
    void asks_only_for_what_is_known_and_soft() {
        KitKinds kinds = KitKinds.shipped();
        assertThat(HomeTold.KINDS)
                .allSatisfy(id -> assertThat(kinds.kind(id))
                        .hasValueSatisfying(k -> assertThat(k.hard()).isFalse()));
    }
}
