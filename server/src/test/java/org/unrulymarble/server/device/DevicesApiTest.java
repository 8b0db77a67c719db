package org.unrulymarble.server.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Proxy;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.unrulymarble.server.Api;
import org.unrulymarble.server.ApiTest;
import tools.jackson.databind.JsonNode;

/** Devices beside a run: paired by a code, their signs counted once, of whoever works at their spot, and never a name told. */
@ApiTest
class DevicesApiTest {

    @Autowired
    private Api api;

    @Autowired
    private DeviceLine line;

    @Autowired
    private DevicesHere here;

    @Autowired
    private Clock clock;

    private final List<String> told = Collections.synchronizedList(new ArrayList<>());
    private final WebSocketSession pad = session("pad", told);
    private JsonNode run;
    private JsonNode script;
    private String code;
    private int round;
    private long made;

    @BeforeEach
    void aRunThatIsPaired() {
        api.as("okafor");
        run = api.post("/api/runs", "{\"lessonId\":\"%s\"}".formatted(api.id("/api/lessons", "Sail loft, wet Tuesday")))
                .body();
        script = run.get("sheet").get("script");
        for (JsonNode s : script.get("segments"))
            if (s.get("kind").stringValue().equals("WORK") && s.get("block").intValue() == 1) {
                round = s.get("index").intValue();
                break;
            }
        code = api.post(devices(), "").body().get("code").stringValue();
    }

    @AfterEach
    void over() {
        api.as("okafor");
        go("FINISH", "");
        api.delete("/api/runs/" + id());
    }

    @Test
    void a_sign_sent_five_times_counts_once_for_whoever_works_at_the_spot() throws Exception {
        go("GO", ",\"segment\":%d,\"offsetMs\":1000".formatted(round));
        say(hello(code, 2));
        String hit = sign("hit");
        for (int i = 0; i < 5; i++) say(hit);
        say(sign("hit"));

        assertThat(told.get(0)).contains("\"welcome\"").contains("\"spot\":2");
        assertThat(told.subList(1, 7)).allMatch(t -> t.contains("\"counted\""));
        JsonNode now = api.get("/api/runs/" + id()).body();
        assertThat(now.get("state").get("results")).singleElement().satisfies(r -> {
            assertThat(r.get("hits").intValue()).isEqualTo(2);
            assertThat(r.get("pupilId").stringValue()).isEqualTo(workerAt(2));
        });
        assertThat(api.get(devices()).body().get("devices")).singleElement().satisfies(d -> {
            assertThat(d.get("kind").stringValue()).isEqualTo("PAD");
            assertThat(d.get("battery").doubleValue()).isEqualTo(0.5);
            assertThat(d.get("connected").booleanValue()).isTrue();
        });
        for (JsonNode pupil : run.get("sheet").get("pupils"))
            assertThat(String.join("", told))
                    .doesNotContain(pupil.get("name").stringValue())
                    .doesNotContain(pupil.get("pupilId").stringValue());
    }

    @Test
    void outside_a_round_at_an_empty_spot_and_what_no_pad_can_hear_counts_for_nobody() throws Exception {
        say(hello(code, 2));
        say(sign("hit"));
        go("GO", ",\"segment\":%d,\"offsetMs\":1000".formatted(round));
        say(sign("start"));
        say("{\"type\":\"hit\",\"id\":\"%s\"}"
                .formatted(new UUID((clock.millis() - 700_000) << 16 | 0x7001, 2L << 62)));
        api.put(devices(), "{\"device\":\"pad-7\",\"spot\":300}");
        say(sign("hit"));
        go("HOLD", ",\"segment\":%d,\"offsetMs\":9000".formatted(round));
        say(sign("hit"));

        assertThat(told.stream().filter(t -> t.contains("not-counted")).map(DevicesApiTest::why))
                .containsExactly("NO_ROUND", "NOT_COUNTED_SO", "NO_ROUND", "NOBODY_THERE", "NO_ROUND");
        assertThat(told).anyMatch(t -> t.contains("\"place\"") && t.contains("300"));
        assertThat(api.get("/api/runs/" + id()).body().get("state").get("results"))
                .isEmpty();
    }

    @Test
    void no_code_or_a_wrong_one_or_one_that_was_withdrawn_opens_nothing() throws Exception {
        say(sign("hit"));
        say("{\"type\":\"dance\"}");
        say("no JSON");
        assertThat(told).hasSize(3).allMatch(t -> t.contains("\"wrong\""));
        say(hello("ZZZZZZ", 1));
        assertThat(told.get(3)).contains("\"wrong\"").contains("\"code\"");
        assertThat(told.get(4)).isEqualTo("closed 1008");

        told.clear();
        say(hello(code, 1));
        assertThat(api.delete(devices()).status()).isEqualTo(204);
        assertThat(told).last().isEqualTo("closed 1001");
        assertThat(api.get(devices()).body().get("code").isNull()).isTrue();
        say(hello(code, 1));
        assertThat(told).anyMatch(t -> t.contains("\"wrong\""));
    }

    /** As a tablet that was switched off, or a server that was started anew: what is known in memory is gone. */
    @Test
    void where_somebody_put_a_device_it_stands_again_when_it_comes_back() throws Exception {
        say(hello(code, 2));
        assertThat(api.put(devices(), "{\"device\":\"pad-7\",\"spot\":3}").status())
                .isEqualTo(200);
        here.closeAll(UUID.fromString(id()));
        told.clear();
        say(hello(code, 2));
        assertThat(told.get(0)).contains("\"welcome\"").contains("\"spot\":3");

        // There is no station beside others in this lesson.
        assertThat(api.put(devices(), "{\"device\":\"pad-7\",\"spot\":1,\"block\":1}")
                        .badFields())
                .containsExactly("block");
        api.delete(devices());
        code = api.post(devices(), "").body().get("code").stringValue();
        told.clear();
        say(hello(code, 2));
        assertThat(told.get(0)).contains("\"spot\":2");
    }

    @Test
    void a_device_that_floods_its_run_is_sent_away() throws Exception {
        say(hello(code, 2));
        String hit = sign("hit");
        for (int i = 0; i < 700; i++) say(hit);

        assertThat(told).last().isEqualTo("closed 1008");
    }

    @Test
    void another_teacher_neither_sees_nor_pairs_and_it_stands_in_the_audit() {
        api.as("brambell");
        assertThat(api.get(devices()).status()).isEqualTo(404);
        assertThat(api.post(devices(), "").status()).isEqualTo(404);
        assertThat(api.delete(devices()).status()).isEqualTo(404);
        api.as("quay");
        assertThat(api.get("/api/audit").text()).contains("DEVICES_OPENED");
    }

    private String workerAt(int spot) {
        JsonNode turn = script.get("blocks").get(1).get("turns").get(0);
        for (JsonNode crew : turn.get("crews"))
            if (crew.get("spot").intValue() == spot - 1)
                return crew.get("workers").get(0).stringValue();
        throw new AssertionError("nobody at spot " + spot);
    }

    private static String why(String told) {
        return told.replaceAll(".*\"why\":\"([A-Z_]+)\".*", "$1");
    }

    private String id() {
        return run.get("id").stringValue();
    }

    private String devices() {
        return "/api/runs/" + id() + "/devices";
    }

    private static String hello(String code, int spot) {
        return "{\"type\":\"hello\",\"protocol\":1,\"code\":\"%s\",\"device\":\"pad-7\",\"kind\":\"PAD\",\"spot\":%d,\"battery\":0.5}"
                .formatted(code, spot);
    }

    private String sign(String type) {
        return "{\"type\":\"%s\",\"id\":\"%s\"}".formatted(type, idNow());
    }

    private UUID idNow() {
        return new UUID(clock.millis() << 16 | 0x7000, 2L << 62 | ++made);
    }

    private void go(String type, String more) {
        api.post("/api/runs/events", """
                {"runId":"%s","events":[{"id":"%s","atMs":%d,"device":"hand","what":{"type":"%s"%s}}]}""".formatted(id(), idNow(), clock.millis(), type, more));
    }

    private void say(String message) throws Exception {
        line.handleMessage(pad, new TextMessage(message));
    }

    /** A line that keeps what goes over it. */
    private static WebSocketSession session(String id, List<String> told) {
        return (WebSocketSession) Proxy.newProxyInstance(
                DevicesApiTest.class.getClassLoader(),
                new Class<?>[] {WebSocketSession.class},
                (self, method, with) -> {
                    switch (method.getName()) {
                        // What comes every second is no answer.
                        case "sendMessage" -> {
                            String payload = ((TextMessage) with[0]).getPayload();
                            if (!payload.contains("\"type\":\"now\"")) told.add(payload);
                        }
                        case "close" -> told.add("closed " + (with == null ? 1000 : ((CloseStatus) with[0]).getCode()));
                        default -> {}
                    }
                    return switch (method.getName()) {
                        case "getId" -> id;
                        case "isOpen" -> true;
                        default -> null;
                    };
                });
    }
}
