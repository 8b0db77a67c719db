package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import tools.jackson.databind.JsonNode;

/**
 * A school's data as an earlier version left it: every measure, every kind of event, an open run, a ladder of its own, a correction, a shared result.
 * It means the same to every later version. {@code every-measure.txt} was written when the file was.
 */
@SpringBootTest
@AutoConfigureMockMvc
@Import(Api.class)
class UpgradeTest {

    private static final String FILE = "every-measure";
    private static final String FINISHED_RUN = "24bfd1b7-7a56-4a16-a2cd-13477328129a";
    private static final String OPEN_RUN = "f97c76e2-d06e-45a3-a62c-79117d855362";

    @DynamicPropertySource
    static void data(DynamicPropertyRegistry properties) throws IOException {
        Path folder = Files.createTempDirectory("marble-upgrade");
        try (InputStream in = new GZIPInputStream(resource(".mv.db.gz"))) {
            Files.copy(in, folder.resolve("marble.mv.db"));
        }
        properties.add("marble.data", folder::toString);
        properties.add("marble.nightly", () -> "false");
        properties.add("marble.https", () -> "false");
    }

    @Autowired
    private Api api;

    private final Map<String, String> names = new HashMap<>();
    private JsonNode schoolClass;
    private JsonNode finished;
    private JsonNode open;

    @BeforeEach
    void signIn() {
        api.as("wren", "nineteen-shells");
        schoolClass = api.get("/api/classes").body().get(0);
        for (JsonNode p : schoolClass.get("pupils"))
            names.put(p.get("id").stringValue(), p.get("name").stringValue());
        open = api.get("/api/runs/" + OPEN_RUN).body();
        finished = api.get("/api/runs/" + FINISHED_RUN).body();
    }

    @Test
    void everything_means_what_it_meant() throws IOException {
        List<String> means = new ArrayList<>();
        run("run", finished, means);
        run("open", open, means);
        for (JsonNode p : schoolClass.get("pupils"))
            for (JsonNode t : api.get("/api/pupils/" + p.get("id").stringValue() + "/attempts?most=500")
                    .body()) kept(p.get("name").stringValue().split(" ")[0], t, means);

        try (InputStream meant = resource(".txt")) {
            assertThat(means)
                    .containsExactlyElementsOf(new String(meant.readAllBytes(), StandardCharsets.UTF_8)
                            .lines()
                            .filter(line -> !line.startsWith("#"))
                            .toList());
        }
    }

    @Test
    void the_teacher_who_was_there_first_administrates_from_now_on_and_the_audit_says_so() {
        JsonNode who = api.get("/api/session").body().get("who");
        assertThat(who.get("role").stringValue()).isEqualTo("ADMINISTRATOR");
        JsonNode me = api.get("/api/people")
                .body()
                .valueStream()
                .filter(p -> p.get("me").booleanValue())
                .findFirst()
                .orElseThrow();
        assertThat(api.get("/api/audit").body())
                .filteredOn(e -> e.get("kind").stringValue().equals("ROLE_CHANGED"))
                .singleElement()
                .satisfies(e -> assertThat(e.get("about").stringValue())
                        .isEqualTo(me.get("id").stringValue() + " ADMINISTRATOR"));
        assertThat(api.get("/api/people").body())
                .as("nobody else")
                .filteredOn(p -> p.get("role").stringValue().equals("ADMINISTRATOR"))
                .hasSize(1);
    }

    @Test
    void a_ladder_of_the_schools_own_keeps_its_rings_and_calls() {
        JsonNode rungs =
                api.get("/api/ladders/own/shed-ladder").body().get("ladder").get("rungs");

        assertThat(rungs.get(1).get("measure").toString())
                .isEqualTo(
                        "{\"type\":\"RINGS\",\"rings\":[{\"radiusCm\":12,\"points\":7},{\"radiusCm\":30,\"points\":2}]}");
        assertThat(rungs.get(1).get("gate").toString()).isEqualTo("{\"type\":\"REACH\",\"reach\":9}");
        assertThat(rungs.get(2).get("calls").toString()).isEqualTo("{\"words\":[\"red\",\"blue\"],\"everySec\":4.0}");
    }

    @Test
    void a_plan_keeps_its_own_gate_and_can_be_saved_and_run_as_it_is() {
        String id = finished.get("lessonId").stringValue();
        JsonNode view = api.get("/api/lessons/" + id).body();
        assertThat(view.get("lesson").get("blocks").get(14).get("gate").toString())
                .isEqualTo("{\"type\":\"SO_MANY_OF\",\"reach\":6,\"of\":8}");

        String again = "{\"version\":%d,\"classId\":%s,\"spaceId\":%s,\"name\":%s,\"onDay\":%s,\"lesson\":%s}"
                .formatted(
                        view.get("version").longValue(),
                        view.get("classId"),
                        view.get("spaceId"),
                        view.get("name"),
                        view.get("onDay"),
                        view.get("lesson"));
        assertThat(api.put("/api/lessons/" + id, again).status()).isEqualTo(200);
        assertThat(api.post("/api/runs", "{\"lessonId\":\"%s\"}".formatted(id)).status())
                .isEqualTo(200);
    }

    @Test
    void a_list_says_of_an_old_lesson_what_its_plan_says() {
        JsonNode lines = api.get("/api/lessons").body();
        assertThat(lines).isNotEmpty().allSatisfy(line -> {
            JsonNode plan = api.get("/api/lessons/" + line.get("id").stringValue())
                    .body()
                    .get("lesson");
            assertThat(line.get("minutes")).isEqualTo(plan.get("minutes"));
            assertThat(line.get("blocks").intValue())
                    .isEqualTo(plan.get("blocks").size());
            assertThat(line.get("audience")).isEqualTo(plan.get("audience"));
        });
    }

    /** What waited on a tablet while the server was brought up to date. */
    @Test
    void taps_of_the_older_page_are_still_taken() {
        JsonNode hit = finished.get("log")
                .valueStream()
                .filter(e -> e.get("what").get("type").stringValue().equals("TAPPED"))
                .findFirst()
                .orElseThrow();
        String pupil = hit.get("what").get("pupilId").stringValue();
        JsonNode run = api.post("/api/runs", "{\"lessonId\":%s}".formatted(finished.get("lessonId")))
                .body();
        String old =
                "{\"id\":\"%s\",\"kind\":\"%s\",\"atMs\":1795771999000,\"segment\":3,\"offsetMs\":null,\"take\":1,\"pupilId\":\"%s\",\"score\":%s,\"addSec\":null,\"target\":null,\"device\":\"tablet-a\",\"note\":null,\"xCm\":null,\"yCm\":null}";
        String body = "{\"runId\":%s,\"events\":[%s,%s]}"
                .formatted(
                        run.get("id"),
                        old.formatted("f1a21c59-abd0-70af-8000-000000000001", "HIT", pupil, null),
                        old.formatted("f1a21c59-abd0-70af-8000-000000000002", "COLLECT", pupil, 4999));

        assertThat(api.post("/api/runs/events", body).status()).isEqualTo(200);
        assertThat(api.get("/api/runs/" + run.get("id").stringValue())
                        .body()
                        .get("state")
                        .get("results")
                        .get(0)
                        .get("score")
                        .intValue())
                .isEqualTo(4999);
    }

    private void run(String name, JsonNode run, List<String> means) {
        JsonNode state = run.get("state");
        JsonNode clock = state.get("clock");
        means.add("%s: finished %s stopped %s scores on wall %s away %s events %d"
                .formatted(
                        name,
                        state.get("finished"),
                        state.get("stopped"),
                        state.get("scoresOnWall"),
                        named(state.get("away")),
                        run.get("log").size()));
        means.add("%s: clock segment %s offset %s playing %s added {%s}"
                .formatted(
                        name,
                        clock.get("segment"),
                        clock.get("offsetMs"),
                        clock.get("playing"),
                        clock.get("addedSec").properties().stream()
                                .map(e -> "'" + e.getKey() + "': " + e.getValue())
                                .collect(Collectors.joining(", "))));
        for (JsonNode r : state.get("results"))
            means.add("%s: %s/%s %s %s score %s hits %s misses %s tries %s by %s trial %s with %s detail %s"
                    .formatted(
                            name,
                            r.get("segment"),
                            r.get("take"),
                            names.get(r.get("pupilId").stringValue()),
                            word(r.get("rungId")),
                            r.get("score"),
                            word(r.get("hits")),
                            word(r.get("misses")),
                            word(r.get("tries")),
                            word(r.get("source")),
                            r.get("trial"),
                            named(r.get("jointWith")),
                            detail(r.get("detail"))));
        for (JsonNode d : state.get("disputes"))
            means.add("%s: two counts %s/%s %s %s stands %s"
                    .formatted(
                            name,
                            d.get("segment"),
                            d.get("take"),
                            names.get(d.get("pupilId").stringValue()),
                            d.get("counts")
                                    .valueStream()
                                    .map(c -> word(c.get("device")) + " " + c.get("hits") + "+" + c.get("misses"))
                                    .collect(Collectors.joining(" ")),
                            word(d.get("stands"))));
        for (JsonNode r : state.get("remarks"))
            means.add("%s: %s %s %s %s"
                    .formatted(
                            name,
                            word(r.get("kind")),
                            r.get("pupilId").isNull()
                                    ? "-"
                                    : names.get(r.get("pupilId").stringValue()),
                            word(r.get("rungId")),
                            word(r.get("note"))));
    }

    private static void kept(String first, JsonNode tried, List<String> means) {
        JsonNode a = tried.get("attempt");
        String modifiers =
                a.get("modifiers").valueStream().map(UpgradeTest::word).collect(Collectors.joining(","));
        means.add(
                "kept: %s %s %s/%s %s %s set %s score %s hits %s misses %s in %s ball %s at %s target %s with %s %s %s confirmed %s trial %s struck %s joint %d detail %s"
                        .formatted(
                                word(a.get("on")),
                                first,
                                word(a.get("ladderId")),
                                word(a.get("rungId")),
                                modifiers.isEmpty() ? "-" : modifiers,
                                word(a.get("side")),
                                a.get("set"),
                                a.get("score"),
                                word(a.get("hits")),
                                word(a.get("misses")),
                                word(
                                        a.get("time").isNull()
                                                ? a.get("time")
                                                : a.get("time").get("workedSec")),
                                word(a.get("ball")),
                                word(a.get("distanceM")),
                                word(a.get("target")),
                                word(a.get("with")),
                                word(a.get("where")),
                                word(a.get("countedBy")),
                                a.get("confirmed"),
                                a.get("trial"),
                                tried.get("struck"),
                                a.get("jointWith").size(),
                                detail(a.get("detail"))));
    }

    private static String detail(JsonNode d) {
        if (d.isNull()) return "-";
        return switch (d.get("type").stringValue()) {
            case "TIMED" -> "time " + d.get("timeMs") + " splits " + list(d.get("splitsMs"));
            case "LANDINGS" ->
                "landings "
                        + d.get("landings")
                                .valueStream()
                                .map(p -> word(p.get("xCm")) + "/" + word(p.get("yCm")))
                                .collect(Collectors.joining(" "));
            case "SPOTS" -> "spots " + list(d.get("madeAtSpots"));
            case "STEPS" -> "step " + d.get("stepM");
            // The ends of a match were always in its log, and are told since.
            case "PLAYED" -> "-";
            case "BOWLED" -> "no-balls " + d.get("noBalls") + " half " + d.get("halfScores");
            default -> "share %.4f".formatted(d.get("shareWithoutGuessing").doubleValue());
        };
    }

    private static String list(JsonNode numbers) {
        return numbers.valueStream().map(JsonNode::toString).collect(Collectors.joining(", ", "[", "]"));
    }

    private String named(JsonNode ids) {
        return ids.valueStream()
                .map(id -> "'" + names.get(id.stringValue()) + "'")
                .sorted()
                .collect(Collectors.joining(", ", "[", "]"));
    }

    private static String word(JsonNode value) {
        if (value.isNull()) return "-";
        if (value.isDouble() && value.doubleValue() == Math.rint(value.doubleValue()))
            return Integer.toString((int) value.doubleValue());
        return value.isString() ? value.stringValue() : value.toString();
    }

    private static InputStream resource(String ending) {
        InputStream in = UpgradeTest.class.getResourceAsStream("/upgrades/" + FILE + ending);
        if (in == null) throw new UncheckedIOException(new IOException(FILE + ending));
        return in;
    }
}
