package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Results out and in: what goes out comes back the same, and a bad file changes nothing. */
@ApiTest
class ResultsFileApiTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Autowired
    private Api api;

    private String path;

    @BeforeEach
    void aClass() {
        api.as("okafor");
        path = "/api/classes/" + api.id("/api/classes", "Turnstone 6");
    }

    @Test
    void what_goes_out_is_known_when_it_comes_back_and_without_its_ids_comes_back_the_same() {
        String csv = api.get(path + "/results.csv").text();
        long lines = csv.lines().count() - 1;
        assertThat(lines).isGreaterThan(2000);

        JsonNode same = bring(csv, true);
        assertThat(same.get("same").longValue()).isEqualTo(lines);
        assertThat(same.get("added").intValue()).isZero();
        assertThat(same.get("bad")).isEmpty();

        // One line of it, with its id taken off, is a result of its own, and the same in every other cell.
        String header = csv.lines().findFirst().orElseThrow();
        String last = csv.lines().reduce((a, b) -> b).orElseThrow();
        String withoutId = last.substring(last.indexOf(','));
        assertThat(bring(header + "\r\n" + withoutId, false).get("kept").booleanValue())
                .isTrue();
        assertThat(api.get(path + "/results.csv").text().lines().filter(l -> l.endsWith(withoutId)))
                .hasSizeGreaterThanOrEqualTo(2);
    }

    @Test
    void a_spreadsheets_habits_are_met() {
        String saved = """
                \uFEFFPupil;Day;Ladder;Rung;Side;Score;Distance_m;Space;With;Where
                Amaru T.;2026-11-20;clap-and-collect;one-hand-in;right;12;2,5;"a yard; wet";'=1+1;home
                """;

        assertThat(bring(saved, false).get("kept").booleanValue()).isTrue();
        String line = api.get(path + "/results.csv")
                .text()
                .lines()
                .filter(l -> l.contains("a yard; wet"))
                .findFirst()
                .orElseThrow();
        // A formula goes out as text.
        assertThat(line).contains("2.5", "'=1+1", "home", "typed,no");
    }

    @Test
    void what_was_recorded_on_a_rung_that_has_moved_is_brought_in_where_it_stands_now() {
        String saved = """
                pupil,day,ladder,rung,side,score
                Amaru T.,2026-11-20,lateral-pass,late-school,right,9
                """;

        assertThat(bring(saved, false).get("kept").booleanValue()).isTrue();
        assertThat(api.get(path + "/results.csv").text())
                .contains("lateral-pass-flat,no-spin")
                .doesNotContain("late-school");
    }

    @Test
    void what_was_scored_otherwise_goes_out_and_in_and_has_a_best_of_its_own() {
        String saved = """
                pupil,day,ladder,rung,side,score,space,scored_by
                Amaru T.,2026-11-21,clap-and-collect,one-hand-in,right,4,a landing,longest-run
                Amaru T.,2026-11-21,clap-and-collect,one-hand-in,right,31,a landing,"{""type"":""TIME_FOR_N"",""n"":12}"
                """;
        assertThat(bring(saved, false).get("kept").booleanValue()).isTrue();
        assertThat(api.get(path + "/results.csv").text().lines().filter(l -> l.contains("a landing")))
                .anyMatch(l -> l.endsWith("\"{\"\"type\"\":\"\"LONGEST_RUN\"\"}\""))
                .anyMatch(l -> l.contains("TIME_FOR_N") && l.contains("12"));
        assertThat(bring(saved.replace("longest-run", "quickest"), true)
                        .get("bad")
                        .get(0)
                        .get("column")
                        .stringValue())
                .isEqualTo("scored_by");
    }

    @Test
    void of_a_file_that_is_all_wrong_the_first_hundred_cells_are_told_and_how_many_there_are() {
        StringBuilder file = new StringBuilder("pupil,day,ladder,rung,score,side\n");
        for (int line = 0; line < 4_000; line++) file.append("Nobody X.,yesterday,no-such,no-such,many,up\n");

        Api.Answer answer = api.post(
                path + "/results", JSON.writeValueAsString(java.util.Map.of("text", file.toString(), "dryRun", true)));

        assertThat(answer.body().get("bad")).hasSize(100);
        assertThat(answer.body().get("badInAll").intValue()).isGreaterThan(20_000 - 1);
        assertThat(answer.text().length()).isLessThan(file.length() / 5);
    }

    @Test
    void every_bad_line_is_named_and_nothing_is_brought_in() {
        String bad = """
                pupil,day,ladder,rung,score,side
                Amaru T.,2026-11-20,clap-and-collect,one-hand-in,5,right
                Nobody X.,yesterday,clap-and-collect,no-such,many,up
                """;
        String before = api.get(path + "/results.csv").text();

        JsonNode told = bring(bad, false);
        assertThat(told.get("kept").booleanValue()).isFalse();
        assertThat(told.get("bad")
                        .valueStream()
                        .map(b -> b.get("line") + " " + b.get("column").stringValue()))
                .containsExactlyInAnyOrder("3 pupil", "3 day", "3 rung", "3 score", "3 side");
        assertThat(api.get(path + "/results.csv").text()).isEqualTo(before);
        assertThat(bring("name,points\nx,1\n", true)
                        .get("bad")
                        .valueStream()
                        .map(b -> b.get("column").stringValue()))
                .contains("name", "points", "pupil", "score");
    }

    private JsonNode bring(String text, boolean dryRun) {
        String body = JSON.writeValueAsString(java.util.Map.of("text", text, "dryRun", dryRun));
        return api.post(path + "/results", body).body();
    }
}
