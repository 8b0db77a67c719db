package org.unrulymarble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.ladder.Ladder;

/** What may be thrown at whom, and what is never thrown, whatever was chosen past the menus. */
class AllowedKitTest {

    @ParameterizedTest
    @CsvSource({
        "soft-dodge, rolled-at-feet, balls, tennis-ball",
        "soft-dodge, rolled-at-feet, balls, balloon",
        "soft-dodge, tossed-low, balls, foam-ball",
        "clap-and-collect, both-hands, ball, stone",
        "clap-and-collect, both-hands, ball, cricket-ball",
        "roll-to-length, lofted, soft ball, boule",
        "there-and-back, underarm-two-hands, ball, rounders-ball"
    })
    void is_refused_with_its_field(String ladderId, String rungId, String role, String kind) {
        assertThatThrownBy(() -> check(ladderId, rungId, role, kind))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("blocks[0].kit[0].kinds[0]");
    }

    @ParameterizedTest
    @CsvSource({
        "soft-dodge, rolled-at-feet, balls, small-foam-ball",
        "roll-to-length, one-length, ball, soft-boule",
        "clap-and-collect, both-hands, ball, tennis-ball"
    })
    void what_the_task_names_passes(String ladderId, String rungId, String role, String kind) {
        assertThatCode(() -> check(ladderId, rungId, role, kind)).doesNotThrowAnyException();
    }

    @Test
    void every_shipped_ladder_admits_what_it_names_itself() {
        for (Ladder l : World.CATALOGUE.all())
            l.rungs()
                    .forEach(r -> l.kit(r)
                            .forEach(role -> assertThat(l.admits(
                                            role, World.KINDS.kind(role.kind()).orElseThrow()))
                                    .as(l.id() + "/" + r.id() + " " + role.role())
                                    .isTrue()));
    }

    private static void check(String ladderId, String rungId, String role, String kind) {
        Ladder ladder = World.CATALOGUE.ladder(ladderId).orElseThrow();
        Block block = BlockDraft.on("b", ladder, ladder.rung(rungId).orElseThrow())
                .block()
                .with(d -> {
                    d.kit = List.of(new Block.KitChoice(role, List.of(kind)));
                });
        Allowed.check(Lesson.of(40, Lesson.Audience.CLASS, List.of(block)), World.CATALOGUE, World.FULL);
    }
}
