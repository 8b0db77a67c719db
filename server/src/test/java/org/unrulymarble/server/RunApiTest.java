package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.unrulymarble.server.RunEvents.event;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

@ApiTest
class RunApiTest {

    @Autowired
    private Api api;

    @Autowired
    private JdbcClient store;

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
        String hit = hits(1);
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
        String finish = event("FINISH", "");
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
                .filter(e -> e.get("what").get("type").stringValue().equals("FINISH"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .stringValue();
        send(event("TAKE_BACK", ",\"target\":\"%s\"".formatted(id)));
        assertThat(attempts()).hasSize(before);
        assertThat(roundsOfClass()).isEqualTo(rounds);
        finish();
    }

    @Test
    void an_event_that_does_not_fit_refuses_its_whole_batch() {
        String hit = hits(1);
        String nobody = hits(1).replace(worker, UUID.randomUUID().toString());
        String place = event("GO", ",\"segment\":0,\"offsetMs\":-1");
        String cannotBe =
                event("TOLD", ",\"segment\":%d,\"take\":1,\"pupilId\":\"%s\",\"score\":2500".formatted(round, worker));
        String flat = "{\"id\":\"%s\",\"kind\":\"HIT\",\"atMs\":1000,\"segment\":%d,\"take\":1,\"pupilId\":\"%s\"}"
                .formatted(new UUID(0x7000, ++RunEvents.made), round, UUID.randomUUID());

        assertThat(send(hit, nobody).badFields()).containsExactly("events[1].what.pupilId");
        assertThat(send(hit, place).badFields()).containsExactly("events[1].what.offsetMs");
        assertThat(send(hit, cannotBe).badFields()).containsExactly("events[1].what.score");
        assertThat(send(hit, event("DANCE", "")).badFields()).containsExactly("events[1].what.type");
        assertThat(send(hit, flat).badFields()).containsExactly("events[1].pupilId");
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
        send(hits(2), event("GO", ",\"segment\":0,\"offsetMs\":0"));
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
        assertThat(wall.body().get("names").valueStream().map(JsonNode::stringValue))
                .contains("Amaru");
        assertThat(wall.text()).as("shows no ids").doesNotContainPattern("[0-9a-f]{8}-[0-9a-f]{4}-");
        JsonNode crew = wall.body().get("script").at("/blocks/0/turns/0/crews/0/workers/0");
        assertThat(wall.body().get("names").has(crew.stringValue()))
                .as("but knows who is who")
                .isTrue();
        assertThat(wall.body()
                        .get("log")
                        .valueStream()
                        .map(e -> e.get("what").get("type").stringValue()))
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
    void a_walls_code_is_renewed_and_taken_back_and_ends_after_three_hours() {
        String path = "/api/runs/" + run.get("id").stringValue() + "/wall";
        String first = api.post(path, "{}").body().get("code").stringValue();
        Api.Heard heard = api.listen("/api/wall/" + first + "/stream");
        String second = api.put(path, "{}").body().get("code").stringValue();
        assertThat(api.get("/api/wall/" + first).status()).isEqualTo(404);
        assertThat(api.get("/api/wall/" + second).status()).isEqualTo(200);
        Api.Heard hand = api.listen("/api/runs/" + run.get("id").stringValue() + "/stream");
        send(event("GO", ",\"segment\":0,\"offsetMs\":0"));
        hand.await("\"GO\"");
        assertThat(heard.text()).as("the wall of the code before").doesNotContain("\"GO\"");

        assertThat(api.delete(path).status()).isEqualTo(204);
        assertThat(api.get("/api/wall/" + second).status()).isEqualTo(404);

        String third = api.post(path, "{}").body().get("code").stringValue();
        assertThat(api.get("/api/wall/" + third).status()).isEqualTo(200);
        store.sql("update run set wall_until = wall_until - 3 * 3600 * 1000 where wall_code = ?")
                .param(third)
                .update();
        assertThat(api.get("/api/wall/" + third).status()).isEqualTo(404);
        assertThat(api.post(path, "{}").body().get("code").stringValue()).isNotEqualTo(third);
        finish();
    }

    @Test
    void a_right_code_makes_up_for_no_wrong_one() {
        String code = api.post("/api/runs/" + run.get("id").stringValue() + "/wall", "{}")
                .body()
                .get("code")
                .stringValue();
        Api child = api.another().from("10.1.1.9");
        int free = 0;
        for (int guess = 0; guess < 60; guess++) {
            if (child.get("/api/wall/ZZZZ" + (22 + guess)).status() == 404) free++;
            child.get("/api/wall/" + code);
        }
        // Ten, and what a minute gives back while this goes on.
        assertThat(free).isBetween(10, 13);
        assertThat(api.another().from("10.1.1.10").get("/api/wall/" + code).status())
                .isEqualTo(200);
        finish();
    }

    @Test
    void whoever_listens_hears_what_is_known_and_what_comes_and_the_wall_hears_no_score() {
        send(event("GO", ",\"segment\":0,\"offsetMs\":0"));
        String id = run.get("id").stringValue();
        String code =
                api.post("/api/runs/" + id + "/wall", "{}").body().get("code").stringValue();
        Api.Heard hand = api.listen("/api/runs/" + id + "/stream");
        Api.Heard wall = api.listen("/api/wall/" + code + "/stream");
        hand.await("\"GO\"");
        wall.await("\"GO\"");

        send(hits(1));
        hand.await("\"HIT\"");
        send(event("STOP_ALL", ",\"segment\":0,\"offsetMs\":2000"));
        hand.await("\"STOP_ALL\"");
        wall.await("\"STOP_ALL\"");
        assertThat(wall.text()).doesNotContain("HIT");

        // Only when the teacher wants it there; what was said of a child never goes up.
        send(event("SCORES_ON_WALL", ",\"on\":true"));
        wall.await("\"on\":true");
        String said = ",\"segment\":%d,\"pupilId\":\"%s\",\"word\":\"%s\"";
        send(event("OWN_WORD", said.formatted(round, worker, "TOO_HARD")), hits(1));
        wall.await("\"HIT\"");
        assertThat(wall.text()).doesNotContain("TOO_HARD");
        assertThat(api.get("/api/wall/" + code).text()).contains("\"HIT\"").doesNotContain("TOO_HARD");
        send(event("SCORES_ON_WALL", ",\"on\":false"));
        wall.await("\"on\":false");
        assertThat(api.get("/api/wall/" + code).text()).doesNotContain("\"HIT\"");
        finish();
    }

    @Test
    void a_cue_that_was_called_to_all_is_told_of_the_class_and_is_no_remark_on_anybody() {
        JsonNode block = run.at("/sheet/script/blocks/1");
        String ladderId = block.get("ladderId").stringValue();
        String fault = run.get("sheet")
                .get("ladders")
                .valueStream()
                .filter(l -> l.get("id").stringValue().equals(ladderId))
                .findFirst()
                .orElseThrow()
                .at("/faults/0/id")
                .stringValue();
        int before = remarks();
        send(event("FAULT_SEEN", ",\"segment\":%d,\"pupilId\":null,\"faultId\":\"%s\"".formatted(round, fault)));
        send(hits(2));
        finish();

        JsonNode cues = api.get("/api/classes/" + run.get("classId").stringValue() + "/ladders/" + ladderId + "/cues")
                .body();
        assertThat(cues).anySatisfy(c -> {
            assertThat(c.get("faultId").stringValue()).isEqualTo(fault);
            assertThat(c.get("enough").booleanValue()).isFalse();
            assertThat(c.get("chance").isNull()).isTrue();
        });
        assertThat(remarks()).isEqualTo(before);
    }

    private int remarks() {
        return api.get("/api/pupils/" + worker + "/record")
                .body()
                .get("remarks")
                .size();
    }

    @Test
    void what_two_devices_counted_stands_side_by_side_until_somebody_says_whose() {
        send(hits(1).replace("tablet", "one"));
        send(hits(2).replace("tablet", "two"));

        JsonNode state = state();
        assertThat(state.get("disputes")).singleElement().satisfies(d -> {
            assertThat(d.get("counts")).hasSize(2);
            assertThat(d.get("stands").isNull()).isTrue();
        });
        send(event(
                "STANDS", ",\"segment\":%d,\"take\":1,\"pupilId\":\"%s\",\"device\":\"two\"".formatted(round, worker)));
        assertThat(state().get("results").get(0).get("hits").intValue()).isEqualTo(2);
        finish();
    }

    @Test
    void who_had_better_be_watched_is_told_before_a_block() {
        JsonNode few = api.get("/api/runs/" + run.get("id").stringValue() + "/watch/"
                        + run.get("sheet")
                                .get("script")
                                .get("segments")
                                .get(round)
                                .get("block"))
                .body();

        assertThat(few.size()).isBetween(1, 5);
        assertThat(few)
                .allSatisfy(w -> assertThat(w.get("chance").doubleValue()).isBetween(0.15, 1.0));
        assertThat(api.get("/api/runs/" + run.get("id").stringValue() + "/watch/99")
                        .status())
                .isEqualTo(404);
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

    /** Sixty seconds were asked for, six were worked: twenty in six is what is kept, and nobody's best. */
    @Test
    void a_round_ended_early_is_kept_at_the_seconds_that_were_worked() {
        int asked = run.get("sheet")
                .get("script")
                .get("segments")
                .get(round)
                .get("durationSec")
                .intValue();
        send(
                event(0, "GO", ",\"segment\":%d,\"offsetMs\":0".formatted(round)),
                event(6, "NEXT", ",\"segment\":%d,\"offsetMs\":0".formatted(round + 1)),
                event(
                        9,
                        "TOLD",
                        ",\"segment\":%d,\"take\":1,\"pupilId\":\"%s\",\"score\":20".formatted(round, worker)));

        JsonNode against = api.get("/api/runs/" + run.get("id").stringValue() + "/against/" + round)
                .body()
                .get(0);
        assertThat(against.get("brokenOff").booleanValue()).isTrue();
        assertThat(against.get("newBest").booleanValue()).isFalse();
        finish();
        JsonNode kept = attempts()
                .valueStream()
                .map(t -> t.get("attempt"))
                .filter(a -> a.get("score").intValue() == 20
                        && a.get("time").get("workedSec").intValue() == 6)
                .findFirst()
                .orElseThrow();
        assertThat(kept.get("time").get("askedSec").intValue()).isEqualTo(asked);
        assertThat(kept.get("brokenOff").booleanValue()).isTrue();
    }

    @Test
    void what_a_runs_end_says_was_completed_was_completed_in_this_run() {
        finish();
        assertThat(runNow().get("completed")).isEmpty();

        run = api.post("/api/runs", "{\"lessonId\":%s}".formatted(run.get("lessonId")))
                .body();
        JsonNode ladder = run.get("sheet")
                .get("ladders")
                .valueStream()
                .filter(l -> l.get("id").stringValue().equals("low-and-loud-dribble"))
                .findFirst()
                .orElseThrow();
        JsonNode third = ladder.get("rungs").get(2);
        String of = ",\"segment\":%d,\"take\":1,\"pupilId\":\"%s\",\"score\":%d";
        String fresh = firstWithout(third.get("id"));
        int enough = 3 * third.get("gate").get("reach").intValue();
        send(
                event(
                        "ON_RUNG",
                        ",\"segment\":%d,\"pupilId\":\"%s\",\"rungId\":%s".formatted(round, fresh, third.get("id"))),
                event("TOLD", of.formatted(round, fresh, enough)),
                event("TOLD", of.formatted(round + 2, fresh, enough)));
        finish();
        assertThat(runNow().get("completed"))
                .singleElement()
                .satisfies(c -> assertThat(
                                List.of(c.get("rungId"), c.get("pupilId").stringValue()))
                        .containsExactly(third.get("id"), fresh));
    }

    /** Somebody who works in this round and has never tried the rung. */
    private String firstWithout(JsonNode rungId) {
        for (JsonNode crew : run.get("sheet")
                .get("script")
                .get("blocks")
                .get(1)
                .get("turns")
                .get(0)
                .get("crews")) {
            String id = crew.get("workers").get(0).stringValue();
            if (api.get("/api/pupils/" + id + "/attempts?most=500")
                    .body()
                    .valueStream()
                    .noneMatch(t -> t.get("attempt").get("rungId").equals(rungId))) return id;
        }
        throw new AssertionError("everybody has tried it");
    }

    private JsonNode runNow() {
        return api.get("/api/runs/" + run.get("id").stringValue()).body();
    }

    private JsonNode state() {
        return api.get("/api/runs/" + run.get("id").stringValue()).body().get("state");
    }

    private void finish() {
        assertThat(send(event("FINISH", "")).status()).isEqualTo(200);
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
            all.add(event(
                    "TAPPED",
                    ",\"segment\":%d,\"take\":1,\"pupilId\":\"%s\",\"tap\":{\"type\":\"HIT\"}"
                            .formatted(round, worker)));
        return String.join(",", all);
    }

    private Api.Answer send(String... batch) {
        return api.post(
                "/api/runs/events", "{\"runId\":%s,\"events\":[%s]}".formatted(run.get("id"), String.join(",", batch)));
    }
}
