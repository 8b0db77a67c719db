package org.unrulymarble.core.ladder;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.place.Noise;

/** That the catalogue holds all of the work, and that all of it can be found. */
class CatalogueTest {

    private static final Catalogue CATALOGUE = Catalogue.shipped();
    private static final Search SEARCH = new Search(CATALOGUE.all(), words -> List.of());

    /** A skill, the rung that teaches it, and words that prove it. */
    record Skill(String name, String ladderId, String rungId, List<String> words) {
        @Override
        public String toString() {
            return name;
        }
    }

    static List<Skill> skills() throws IOException {
        List<Skill> skills = new ArrayList<>();
        try (var in = CatalogueTest.class.getResourceAsStream("/ladders/skills.txt")) {
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
                if (line.isBlank() || line.startsWith("#")) continue;
                String[] parts = line.split("\\|");
                String[] rung = parts[1].strip().split("/");
                skills.add(new Skill(
                        parts[0].strip(),
                        rung[0],
                        rung[1],
                        Arrays.stream(parts[2].split(",")).map(String::strip).toList()));
            }
        }
        return skills;
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("skills")
    void every_skill_has_its_rung(Skill skill) {
        Ladder ladder = RungWords.read(CATALOGUE.ladder(skill.ladderId()).orElseThrow());
        Rung rung = ladder.rung(skill.rungId()).orElseThrow();
        String said = Stream.concat(
                        Stream.of(ladder.name(), rung.name(), rung.task(), rung.change(), rung.counts()),
                        Stream.concat(
                                ladder.cues().stream(), ladder.kit().stream().map(KitRole::what)))
                .collect(Collectors.joining(" "))
                .toLowerCase(Locale.ROOT);

        for (String word : skill.words()) assertThat(said).contains(word.toLowerCase(Locale.ROOT));
    }

    @Test
    void every_ladder_teaches_a_skill_that_is_asked_for() throws IOException {
        Set<String> taught = skills().stream().map(Skill::ladderId).collect(Collectors.toSet());

        assertThat(CATALOGUE.all().stream().map(Ladder::id).filter(id -> !taught.contains(id)))
                .as("a second ladder for a skill that has one")
                .containsExactlyInAnyOrder(
                        "table-top-taps",
                        "four-corners",
                        "draw-to-the-jack",
                        "overarm-throw",
                        "wall-serve-stepping-back",
                        "there-and-back");
    }

    @Test
    void every_ladder_is_found_by_each_filter_that_holds() {
        for (Ladder l : CATALOGUE.all()) {
            for (String sport : l.sports())
                assertThat(found(sport, null, null, null, null)).contains(l.id());
            for (Aspect aspect : l.aspects())
                assertThat(found(null, l.family(), aspect, Math.min(3, l.perSpot()), l.noise()))
                        .contains(l.id());
        }
    }

    @Test
    void a_sport_has_its_own_ladders_before_those_of_every_sport() {
        List<String> rugby = found("rugby", null, null, null, null);

        assertThat(rugby)
                .contains("lateral-pass", "wake-the-joints")
                .doesNotContain("wall-serve-stepping-back", "there-and-back");
        assertThat(rugby.indexOf("lateral-pass")).isLessThan(rugby.indexOf("wake-the-joints"));
    }

    @Test
    void quiet_work_alone_is_quiet_and_alone() {
        for (String id : found(null, null, null, 1, Noise.QUIET)) {
            Ladder l = CATALOGUE.ladder(id).orElseThrow();
            assertThat(l.noise()).isEqualTo(Noise.QUIET);
            assertThat(l.roles()).hasSize(1);
        }
    }

    private static List<String> found(String sport, Family family, Aspect aspect, Integer people, Noise noise) {
        return SEARCH.among(new Search.Wanted(null, sport, family, aspect, people, noise)).stream()
                .map(Ladder::id)
                .toList();
    }
}
