package org.unrulymarble.core.ladder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.measure.Gate;

class LadderFilesTest {

    private static String handle;

    @BeforeAll
    static void read() throws Exception {
        try (var in = LadderFiles.class.getResourceAsStream("/ladders/handle.yaml")) {
            handle = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void ships_enough_work_for_every_family_and_many_sports() {
        var all = Catalogue.shipped().all();
        var byFamily = all.stream().collect(Collectors.groupingBy(Ladder::family, Collectors.counting()));

        assertThat(all).hasSizeGreaterThanOrEqualTo(80);
        assertThat(all.stream().mapToInt(l -> l.rungs().size()).sum()).isGreaterThanOrEqualTo(360);
        assertThat(byFamily).containsOnlyKeys(Family.values());
        assertThat(byFamily.values()).allMatch(n -> n >= 9);
        assertThat(all.stream().flatMap(l -> l.sports().stream()).distinct())
                .hasSizeGreaterThanOrEqualTo(15)
                .contains("basketball", "netball", "volleyball", "rugby", "lacrosse", "field hockey", "boules");
    }

    @Test
    void the_ball_is_what_the_kit_names_so_and_not_whatever_comes_first() {
        Catalogue catalogue = Catalogue.shipped();

        assertThat(catalogue.ladder("cup-and-sock").orElseThrow().ball()).contains("a sock ball that fits the cup");
        assertThat(catalogue.ladder("sock-bullseye").orElseThrow().ball()).contains("sock balls");
        assertThat(catalogue.ladder("line-to-line").orElseThrow().ball()).isEmpty();
    }

    @Test
    void no_two_rungs_share_their_words() {
        Set<String> seen = new HashSet<>();
        for (Ladder ladder : Catalogue.shipped().all())
            for (Rung rung : ladder.rungs())
                assertThat(seen.add(rung.task()))
                        .as("%s/%s", ladder.id(), rung.id())
                        .isTrue();
    }

    @Test
    void a_round_is_no_longer_than_its_gate() {
        for (Ladder ladder : Catalogue.shipped().all())
            for (Rung rung : ladder.rungs())
                if (rung.gate() instanceof Gate.SoManyIn gate)
                    assertThat(rung.doses().clock().workSec())
                            .as("%s/%s", ladder.id(), rung.id())
                            .isLessThanOrEqualTo(gate.inSec());
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            effort: 3|effort: 9|low-and-loud-dribble|effort
            effort: 3|effort: lots|low-and-loud-dribble|effort
            noise: loud|noise: deafening|low-and-loud-dribble|noise
            lever: eyes|lever: start|low-and-loud-dribble|rungs[1].lever
            measure: longest-run|measure: loudest|table-top-taps|rungs[1].measure
            pace: {hitSec: 1.4, missSec: 3.0, stepSec: 0, share: 0.75}|pace: {hitSec: 0, missSec: 3.0, stepSec: 0, share: 0.75}|round-the-middle|rungs[0].pace.hitSec
            id: eyes-up|id: knee-high|low-and-loud-dribble|rungs
            easier: Let it come up to the hip.|eesier: Let it come up to the hip.|low-and-loud-dribble|rungs[0].eesier
            family: handle|family: juggle|low-and-loud-dribble|family
            """)
    void a_bad_file_names_file_ladder_and_field(String good, String bad, String ladder, String field) {
        String broken = handle.replaceFirst("(?m)" + java.util.regex.Pattern.quote(good) + "$", bad);
        assertThat(broken).isNotEqualTo(handle);

        assertThatThrownBy(() -> LadderFiles.read("mine.yaml", broken, KitKinds.shipped()))
                .isInstanceOf(BadLadderFile.class)
                .hasMessageContaining(": ladder \"" + ladder + "\": " + field + ": ");
    }
}
