package org.unrulymarble.core.ladder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.measure.OnMiss;
import org.unrulymarble.core.measure.Stairs;

/** What the words say, the figures say: a sentence names its figures and never holds one. */
class RungWordsTest {

    private static final Catalogue CATALOGUE = Catalogue.shipped();
    /** A number, and the word after it. Small numbers of movements ("two claps") are choreography; from five on, and before what is measured, they are figures. */
    private static final Pattern NUMBER = Pattern.compile(
            "\\d+|\\b(five|six|seven|eight|nine|ten|eleven|twelve|fifteen|twenty|thirty|forty|fifty|sixty)\\b( \\w+)?"
                    + "|\\b(one|two|three|four|half a) (metres?|centimetres|seconds?|shoes?|shoe lengths?|throws|shots|serves|goes)\\b",
            Pattern.CASE_INSENSITIVE);

    private static Stream<Rung> rungs() {
        return CATALOGUE.all().stream().flatMap(l -> l.rungs().stream());
    }

    private static List<String> sentences(Rung r) {
        return List.of(r.name(), r.change(), r.task(), r.counts(), r.countsNot(), r.easier(), r.harder());
    }

    @Test
    void no_sentence_holds_a_figure_but_for_the_reviewed_ones() throws IOException {
        Set<String> reviewed = new TreeSet<>();
        try (InputStream in = getClass().getResourceAsStream("/ladders/number-words.txt")) {
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\n"))
                if (!line.startsWith("#")) reviewed.add(line.strip());
        }
        Set<String> found = new TreeSet<>();
        rungs().forEach(r -> sentences(r).forEach(text -> {
            Matcher number = NUMBER.matcher(text.replaceAll("\\{[^{}]*(\\{[^{}]*}[^{}]*)*}", ""));
            while (number.find()) found.add(number.group().toLowerCase(Locale.ROOT));
        }));

        assertThat(found).isEqualTo(reviewed);
    }

    @Test
    void every_sentence_reads_whole_whatever_ends_the_round() {
        List<String> wrong = new ArrayList<>();
        rungs().forEach(r -> {
            for (Figures.Until until : Figures.Until.values()) {
                Figures f = Figures.of(r);
                RungWords words = RungWords.of(new Figures(
                        r,
                        until,
                        until == Figures.Until.COUNT ? (Integer) 12 : null,
                        until == Figures.Until.COUNT ? List.of(8) : List.of(),
                        75,
                        f.measure(),
                        f.gate(),
                        until == Figures.Until.STAIRCASE && f.stairs() == null
                                ? new Stairs(3, OnMiss.STAY, 0.5)
                                : f.stairs(),
                        f.standM(),
                        f.markers(),
                        f.sides()));
                for (String text : List.of(
                        words.name(),
                        words.change(),
                        words.task(),
                        words.counts(),
                        words.countsNot(),
                        words.easier(),
                        words.harder()))
                    if (!text.matches("[A-Z0-9'‘].*") || text.matches(".*([{}]|null|  |\\.\\.| [.,;]).*"))
                        wrong.add(text);
            }
        });
        assertThat(wrong).isEmpty();
    }

    @Test
    void the_sentences_of_an_earlier_format_read_as_they_were_written() {
        Ladder ladder = CATALOGUE.ladder("shoe-by-shoe").orElseThrow();
        String file = LadderWriter.yaml(List.of(ladder), List.of()).replace("format: 2", "format: 1");

        Ladder read = LadderFiles.read("mine.yaml", file, KitKinds.shipped()).get(0);

        assertThat(read.rungs().get(3).words().change()).isEqualTo("{stepping}");
    }

    /** 18 in 25 s at 1.4 s each are more than there is time for. */
    @Test
    void a_gate_that_the_pace_leaves_no_time_for_is_refused() {
        Ladder ladder = CATALOGUE.ladder("round-the-middle").orElseThrow();
        String file = LadderWriter.yaml(List.of(ladder), List.of()).replaceFirst("reach: 9\n", "reach: 18\n");

        assertThatThrownBy(() -> LadderFiles.read("mine.yaml", file, KitKinds.shipped()))
                .hasMessageContaining("rungs[0].gate.reach: RANGE [1, 17]");
    }

    @Test
    void a_name_for_which_a_rung_has_no_figure_is_refused_with_its_field() {
        Ladder ladder = CATALOGUE.ladder("shoe-by-shoe").orElseThrow();
        String file = LadderWriter.yaml(List.of(ladder), List.of()).replace("{stepping}", "{steping}");

        assertThatThrownBy(() -> LadderFiles.read("mine.yaml", file, KitKinds.shipped()))
                .hasMessageContaining("rungs[3].change")
                .hasMessageContaining("{steping}");
    }
}
