package org.unrulymarble.server.ladder;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.RungWords;

/** That teachers find what they mean in their own words. */
class LadderWordsTest {

    private static final List<Ladder> LADDERS =
            Catalogue.shipped().all().stream().map(RungWords::read).toList();
    private static final LadderWords WORDS = new LadderWords(LADDERS);

    static Stream<String> asked() throws IOException {
        try (var in = LadderWordsTest.class.getResourceAsStream("/search/asked.txt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines().filter(line -> !line.isBlank() && !line.startsWith("#")).toList().stream();
        }
    }

    @ParameterizedTest
    @MethodSource("asked")
    void a_teachers_words_find_what_is_meant_among_the_first_three(String line) {
        String[] parts = line.split("\\|");

        assertThat(found(parts[0].strip()).stream().limit(3))
                .as(line)
                .containsAnyOf(parts[1].strip().split(", *"));
    }

    @Test
    void every_ladder_is_found_by_its_name_first_and_by_each_of_its_rungs_and_sports() {
        for (Ladder l : LADDERS) {
            assertThat(found(l.name())).as(l.name()).startsWith(l.id());
            for (Rung r : l.rungs()) assertThat(found(r.name())).as(r.name()).contains(l.id());
            for (String sport : l.sports()) assertThat(found(sport)).as(sport).contains(l.id());
        }
    }

    @Test
    void words_that_mean_nothing_here_find_nothing() {
        assertThat(found("xyzzy")).isEmpty();
        assertThat(found("the of")).isEmpty();
        assertThat(found("?!")).isEmpty();
    }

    @Test
    void where_nothing_has_every_word_what_has_most_of_them_is_shown() {
        assertThat(found("slalom trampoline")).startsWith("weave-and-back");
    }

    private static List<String> found(String words) {
        return WORDS.meant(words).stream().map(Ladder::id).toList();
    }
}
