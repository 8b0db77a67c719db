package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A class list out and in, everything out, and one pupil out and gone. */
@ApiTest
class OutAndGoneApiTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Autowired
    private Api api;

    private String classId;

    @BeforeEach
    void aClassOfTwo() {
        api.as("okafor");
        JsonNode made = api.post("/api/classes", """
                        {"name":"Whimbrel 4","pupils":[{"details":%s},{"details":%s}]}""".formatted(pupil("Oda", "K", "=cmd"), pupil("Milo", "R", null)))
                .body();
        classId = made.get("id").stringValue();
    }

    @Test
    void a_class_list_goes_out_and_comes_back_as_it_was() {
        String csv = api.get(path("/roster.csv")).text();
        assertThat(csv).contains("Oda,K,2014,left", "'=cmd", "tennis ball: 2");

        JsonNode back = bring(csv, false);
        assertThat(back.get("same").intValue()).isEqualTo(2);
        assertThat(back.get("changed")).isEmpty();

        // Into an empty class, without ids, the same list makes the same pupils.
        String other = api.post("/api/classes", "{\"name\":\"Whimbrel 5\",\"pupils\":[]}")
                .body()
                .get("id")
                .stringValue();
        String withoutIds = csv.replaceAll("(?m)^[0-9a-f-]{36}", "");
        assertThat(api.post("/api/classes/" + other + "/roster", body(withoutIds, false))
                        .body()
                        .get("kept")
                        .booleanValue())
                .isTrue();
        assertThat(api.get("/api/classes/" + other + "/roster.csv").text().replaceAll("(?m)^[0-9a-f-]{36}", ""))
                .isEqualTo(withoutIds);
    }

    @Test
    void a_list_with_a_bad_line_changes_nobody_and_one_with_few_columns_changes_only_those() {
        String bad = "first_name;initial;birth_year;shoe_cm\nOda;K;2013;22\nNew;No;1850;x\n";
        JsonNode told = bring(bad, false);
        assertThat(told.get("kept").booleanValue()).isFalse();
        assertThat(told.get("bad")
                        .valueStream()
                        .map(b -> b.get("line") + " " + b.get("column").stringValue()))
                .containsExactlyInAnyOrder("3 shoe_cm", "3 initial", "3 birth_year");
        assertThat(api.get(path("/roster.csv")).text()).contains("Oda,K,2014,left");

        JsonNode dry = bring("first_name;initial;birth_year\nOda;K;2013\nNew;N;2013\n", true);
        assertThat(dry.get("changed").toString()).isEqualTo("[\"Oda K.\"]");
        assertThat(dry.get("added").toString()).isEqualTo("[\"New N.\"]");
        bring("first_name;initial;birth_year\nOda;K;2013\nNew;N;2013\n", false);
        assertThat(api.get(path("/roster.csv")).text()).contains("Oda,K,2013,left", "New,N,2013,right");
    }

    @Test
    void everything_goes_out_as_json_and_as_tables() throws IOException {
        type(first(), "both-hands");
        JsonNode all = JSON.readTree(api.bytes("/api/export.json"));
        assertThat(all.get("school")
                        .get("spaces")
                        .valueStream()
                        .map(s -> s.get("name").stringValue()))
                .contains("Sail loft");
        JsonNode mine = all.get("classes")
                .valueStream()
                .filter(c -> c.get("pupils").toString().contains(first()))
                .findFirst()
                .orElseThrow();
        assertThat(mine.get("attempts")).hasSize(1);
        assertThat(mine.get("attempts").get(0).get("attempt").get("rungId").stringValue())
                .isEqualTo("both-hands");
        // Only the classes that one teaches.
        assertThat(all.toString()).doesNotContain("Sanderling 8");

        Map<String, String> files = unzipped(api.bytes("/api/export.zip"));
        String folder = files.keySet().stream()
                .filter(f -> files.get(f).contains(first()))
                .findFirst()
                .orElseThrow()
                .replace("roster.csv", "");
        assertThat(files.get(folder + "results.csv")).contains("Oda K.", "both-hands");
        api.as("helper");
        assertThat(api.get("/api/export.json").status()).isEqualTo(403);
    }

    @Test
    void one_pupil_goes_out_and_then_is_gone_with_everything_and_a_shared_result_stays_a_shared_one() {
        String gone = first();
        String partner = second();
        type(gone, "both-hands");
        type(partner, "both-hands");
        bring(
                "results",
                "pupil,day,ladder,rung,score,joint_with\nMilo R.,%s,clap-and-collect,both-hands,9,Oda K.\n"
                        .formatted(LocalDate.now()));
        api.post(
                "/api/pupils/" + gone + "/standings",
                "{\"ladderId\":\"clap-and-collect\",\"rungId\":\"both-hands\",\"reason\":\"seen\"}");
        JsonNode mine =
                JSON.readTree(api.get("/api/pupils/" + gone + "/export.json").text());
        assertThat(mine.get("pupil").get("attempts")).hasSize(1);
        assertThat(mine.get("pupil").get("standings")).hasSize(1);
        assertThat(mine.toString()).doesNotContain(partner + "\",\"on");
        int before = record().get("rounds").intValue();

        JsonNode went = api.delete("/api/pupils/" + gone).body();
        assertThat(went.get("went").get("rounds").intValue()).isEqualTo(1);
        assertThat(went.get("went").get("standings").intValue()).isEqualTo(1);

        assertThat(record().get("rounds").intValue()).isEqualTo(before - 1);
        assertThat(record().toString()).doesNotContain(gone);
        assertThat(api.get("/api/pupils/" + gone + "/record").status()).isEqualTo(404);
        assertThat(api.get(path("/results.csv")).text()).contains("(gone)").doesNotContain(gone);
        // And it comes back in as one.
        assertThat(bring("results", api.get(path("/results.csv")).text())
                        .get("same")
                        .intValue())
                .isEqualTo(2);
    }

    private static String pupil(String first, String initial, String note) {
        return """
                {"firstName":"%s","initial":"%s","birthYear":2014,"strongHand":"LEFT","adaptation":%s,"homeKit":{"tennis ball":2}}""".formatted(first, initial, note == null ? "null" : "\"" + note + "\"");
    }

    private String first() {
        return api.get(path("")).body().get("pupils").get(0).get("id").stringValue();
    }

    private String second() {
        return api.get(path("")).body().get("pupils").get(1).get("id").stringValue();
    }

    private JsonNode record() {
        return api.get(path("/record")).body();
    }

    private String path(String rest) {
        return "/api/classes/" + classId + rest;
    }

    private void type(String pupilId, String rungId) {
        assertThat(api.post("/api/pupils/" + pupilId + "/attempts", """
                        {"on":"%s","ladderId":"clap-and-collect","rungId":"%s","side":"NONE","score":6,"seen":true}""".formatted(LocalDate.now(), rungId))
                        .status())
                .isEqualTo(204);
    }

    private JsonNode bring(String text, boolean dryRun) {
        return api.post(path("/roster"), body(text, dryRun)).body();
    }

    private JsonNode bring(String what, String text) {
        return api.post(path("/" + what), body(text, false)).body();
    }

    private static String body(String text, boolean dryRun) {
        return JSON.writeValueAsString(Map.of("text", text, "dryRun", dryRun));
    }

    private static Map<String, String> unzipped(byte[] zip) throws IOException {
        Map<String, String> files = new TreeMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip), StandardCharsets.UTF_8)) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry())
                files.put(e.getName(), new String(in.readAllBytes(), StandardCharsets.UTF_8));
        }
        return files;
    }
}
