package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

@ApiTest
class RunApiTest {

    @Autowired
    private Api api;

    private JsonNode run;
    private int round;
    private String worker;

    @BeforeEach
    void beginARun() {
        api.as("okafor");
        run = api.post("/api/runs", "{\"lessonId\":\"%s\"}".formatted(api.id("/api/lessons", "Sail loft, wet Tuesday")))
                .body();
        JsonNode script = run.get("sheet").get("script");
        for (JsonNode s : script.get("segments"))
            if (s.get("kind").stringValue().equals("WORK") && s.get("block").intValue() == 1) {
                round = s.get("index").intValue();
                break;
            }
        worker = script.get("blocks")
                .get(1)
                .get("turns")
                .get(0)
                .get("crews")
                .get(0)
                .get("workers")
                .get(0)
                .stringValue();
    }

    @Test
    void the_same_event_five_times_counts_once_and_the_run_is_the_same_run() {
        String hit = event("HIT", "\"segment\":%d,\"take\":1,\"pupilId\":\"%s\"".formatted(round, worker));
        for (int i = 0; i < 5; i++) assertThat(send(hit, hit).status()).isEqualTo(200);

        JsonNode again = api.post(
                        "/api/runs",
                        "{\"lessonId\":\"%s\"}".formatted(run.get("lessonId").stringValue()))
                .body();
        assertThat(again.get("id")).isEqualTo(run.get("id"));
        assertThat(again.get("state").get("results"))
                .singleElement()
                .satisfies(r -> assertThat(r.get("hits").intValue()).isEqualTo(1));
        finish();
    }

    @Test
    void finishing_records_attempts_taking_it_back_removes_them_and_a_late_tap_still_counts() {
        int before = attempts().size();
        int rounds = roundsOfClass();
        send(hits(3));
        String finish = event("FINISH", "\"target\":null");
        send(finish);
        assertThat(attempts()).hasSize(before + 1);
        assertThat(roundsOfClass()).isEqualTo(rounds + 1);
        assertThat(attempts())
                .anySatisfy(a -> assertThat(a.toString())
                        .contains("\"rungId\":\"eyes-up\"", "\"side\":\"RIGHT\"", "\"hits\":3"));

        send(hits(2));
        assertThat(attempts())
                .anySatisfy(a -> assertThat(a.toString())
                        .contains("\"rungId\":\"eyes-up\"", "\"side\":\"RIGHT\"", "\"hits\":5"));

        String id = api.get("/api/runs/" + run.get("id").stringValue())
                .body()
                .get("log")
                .valueStream()
                .filter(e -> e.get("kind").stringValue().equals("FINISH"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .stringValue();
        send(event("TAKE_BACK", "\"target\":\"%s\"".formatted(id)));
        assertThat(attempts()).hasSize(before);
        assertThat(roundsOfClass()).isEqualTo(rounds);
        finish();
    }

    @Test
    void an_event_that_does_not_fit_refuses_its_whole_batch() {
        String stranger =
                event("HIT", "\"segment\":%d,\"take\":1,\"pupilId\":\"%s\"".formatted(round, UUID.randomUUID()));

        Api.Answer answer = send(hits(1), stranger);

        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.badFields()).containsExactly("events[1].pupilId");
        assertThat(api.get("/api/runs/" + run.get("id").stringValue()).body().get("log"))
                .isEmpty();
        finish();
    }

    @Test
    void another_teacher_neither_sees_nor_feeds_the_run_but_the_classes_helper_does() {
        api.as("brambell");
        assertThat(api.get("/api/runs/" + run.get("id").stringValue()).status()).isEqualTo(404);
        assertThat(send(hits(1)).status()).isEqualTo(404);

        api.as("helper");
        assertThat(send(hits(1)).status()).isEqualTo(200);
        finish();
    }

    @Test
    void the_wall_shows_clock_and_first_names_by_its_code_alone_and_only_while_the_run_goes_on() {
        send(hits(2), event("GO", "\"segment\":0,\"offsetMs\":0"));
        String code = api.post("/api/runs/" + run.get("id").stringValue() + "/wall", "{}")
                .body()
                .get("code")
                .stringValue();
        assertThat(code).matches("[A-Z2-9]{6}");
        assertThat(api.post("/api/runs/" + run.get("id").stringValue() + "/wall", "{}")
                        .text())
                .contains(code);

        api.asNobody();
        Api.Answer wall = api.get("/api/wall/" + code.toLowerCase(java.util.Locale.ROOT));
        assertThat(wall.status()).isEqualTo(200);
        assertThat(wall.body().get("names").get(worker).stringValue()).isEqualTo("Amaru");
        assertThat(wall.body().get("log").valueStream().map(e -> e.get("kind").stringValue()))
                .containsExactly("GO");
        assertThat(wall.text()).doesNotContain("Amaru T.").doesNotContain("Turnstone");
        assertThat(api.get("/api/wall/ZZZZZZ").status()).isEqualTo(404);
        assertThat(api.get("/api/runs/" + run.get("id").stringValue()).status()).isEqualTo(401);

        api.as("okafor");
        finish();
        api.asNobody();
        assertThat(api.get("/api/wall/" + code).status()).isEqualTo(404);
    }

    @Test
    void whoever_listens_hears_what_is_known_and_what_comes_and_the_wall_hears_no_score() {
        send(event("GO", "\"segment\":0,\"offsetMs\":0"));
        String id = run.get("id").stringValue();
        String code =
                api.post("/api/runs/" + id + "/wall", "{}").body().get("code").stringValue();
        Api.Heard hand = api.listen("/api/runs/" + id + "/stream");
        Api.Heard wall = api.listen("/api/wall/" + code + "/stream");
        hand.await("\"GO\"");
        wall.await("\"GO\"");

        send(hits(1));
        hand.await("\"HIT\"");
        send(event("STOP_ALL", "\"segment\":0,\"offsetMs\":2000"));
        hand.await("\"STOP_ALL\"");
        wall.await("\"STOP_ALL\"");
        assertThat(wall.text()).doesNotContain("HIT");

        // Only when the teacher wants it there; what was said of a child never goes up.
        send(event("SCORES_ON", "\"segment\":null"));
        wall.await("\"SCORES_ON\"");
        String said = "\"segment\":%d,\"pupilId\":\"%s\",\"note\":\"%s\"";
        send(event("WORD", said.formatted(round, worker, "TOO_HARD")), hits(1));
        wall.await("\"HIT\"");
        assertThat(wall.text()).doesNotContain("TOO_HARD");
        assertThat(api.get("/api/wall/" + code).text()).contains("\"HIT\"").doesNotContain("TOO_HARD");
        send(event("SCORES_OFF", "\"segment\":null"));
        wall.await("\"SCORES_OFF\"");
        assertThat(api.get("/api/wall/" + code).text()).doesNotContain("\"HIT\"");
        finish();
    }

    @Test
    void what_two_devices_counted_stands_side_by_side_until_somebody_says_whose() {
        String tap = "\"segment\":%d,\"take\":1,\"pupilId\":\"%s\",\"device\":\"%s\"";
        send(event("HIT", tap.formatted(round, worker, "one")));
        send(event("HIT", tap.formatted(round, worker, "two")), event("HIT", tap.formatted(round, worker, "two")));

        JsonNode state = state();
        assertThat(state.get("disputes")).singleElement().satisfies(d -> {
            assertThat(d.get("counts")).hasSize(2);
            assertThat(d.get("stands").isNull()).isTrue();
        });
        send(event("STANDS", tap.formatted(round, worker, "one") + ",\"note\":\"two\""));
        assertThat(state().get("results").get(0).get("hits").intValue()).isEqualTo(2);
        finish();
    }

    @Test
    void a_round_comes_out_against_the_pupils_own_before() {
        send(hits(2));
        JsonNode first = api.get("/api/runs/" + run.get("id").stringValue() + "/against/" + round)
                .body();

        assertThat(first).singleElement().satisfies(r -> {
            assertThat(r.get("pupilId").stringValue()).isEqualTo(worker);
            assertThat(r.get("score").intValue()).isEqualTo(2);
            assertThat(r.get("metGate").booleanValue()).isFalse();
        });
        assertThat(api.get("/api/runs/" + run.get("id").stringValue() + "/against/0")
                        .status())
                .as("a count-in is no round")
                .isEqualTo(404);
        finish();
    }

    private JsonNode state() {
        return api.get("/api/runs/" + run.get("id").stringValue()).body().get("state");
    }

    private void finish() {
        assertThat(send(event("FINISH", "\"target\":null")).status()).isEqualTo(200);
    }

    /** As it is kept: looked at before and after each change. */
    private int roundsOfClass() {
        return api.get("/api/classes/" + run.get("classId").stringValue() + "/record")
                .body()
                .get("rounds")
                .intValue();
    }

    private JsonNode attempts() {
        return api.get("/api/pupils/" + worker + "/attempts?most=500").body();
    }

    private String hits(int n) {
        List<String> all = new ArrayList<>();
        for (int i = 0; i < n; i++)
            all.add(event("HIT", "\"segment\":%d,\"take\":1,\"pupilId\":\"%s\"".formatted(round, worker)));
        return String.join(",", all);
    }

    private static long made = System.nanoTime();

    /** Ids rise with every event, as those of a device do. */
    private static String event(String kind, String details) {
        return "{\"id\":\"%s\",\"kind\":\"%s\",\"atMs\":1000,%s}".formatted(new UUID(0x7000, ++made), kind, details);
    }

    private Api.Answer send(String... batch) {
        return api.post(
                "/api/runs/events", "{\"runId\":%s,\"events\":[%s]}".formatted(run.get("id"), String.join(",", batch)));
    }
}
