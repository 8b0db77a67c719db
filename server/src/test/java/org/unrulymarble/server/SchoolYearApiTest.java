package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** From one school year to the next: nothing that is recorded of a pupil stays behind, and nothing of an erased one either. */
@ApiTest
class SchoolYearApiTest {

    private static int made;

    @Autowired
    private Api api;

    @Autowired
    private JdbcClient store;

    private String from;
    private String to;
    private String pupil;

    @BeforeEach
    void twoClasses() {
        api.as("okafor");
        from = newClass("Pip");
        to = newClass("Rue");
        pupil = api.get("/api/classes/" + from).body().at("/pupils/0/id").stringValue();
    }

    @Test
    void whoever_changes_class_takes_the_record_along_and_a_late_tap_finds_it_there() {
        JsonNode run = ranAndFinished();
        assertThat(rounds()).isEqualTo(1);

        assertThat(put(to, true).status()).isEqualTo(204);

        assertThat(names(from)).isEmpty();
        assertThat(names(to)).containsExactly("Rue", "Pip");
        JsonNode record = api.get("/api/pupils/" + pupil + "/record").body();
        assertThat(record.get("className").stringValue()).isEqualTo(name(to));
        assertThat(record.get("rounds").intValue()).isEqualTo(1);
        assertThat(record.get("ladders")).hasSize(1);
        assertThat(api.get("/api/classes/" + to + "/record").text()).contains("clap-and-collect");
        assertThat(api.get("/api/classes/" + from + "/record").text()).doesNotContain(pupil);

        assertThat(send(run, tapped(run)).status()).isEqualTo(200);
        assertThat(rounds()).as("a late tap records the run anew").isEqualTo(1);
        assertThat(api.get("/api/pupils/" + pupil + "/attempts")
                        .body()
                        .at("/0/attempt/hits")
                        .intValue())
                .isEqualTo(2);
        assertThat(api.get("/api/classes/" + to + "/record").text()).contains("clap-and-collect");

        api.delete("/api/pupils/" + pupil);
        assertThat(store.sql("select sheet from run where id = ?")
                        .param(UUID.fromString(run.get("id").stringValue()))
                        .query(String.class)
                        .single())
                .as("the sheet of the class before")
                .doesNotContain("Pip");
    }

    @Test
    void whoever_left_is_in_no_plan_and_comes_back_with_all_of_it() {
        ranAndFinished();
        assertThat(put(from, false).status()).isEqualTo(204);

        JsonNode c = api.get("/api/classes/" + from).body();
        assertThat(c.get("pupils")).isEmpty();
        assertThat(c.at("/left/0/name").stringValue()).isEqualTo("Pip");
        assertThat(c.at("/left/0/leftOn").stringValue())
                .isEqualTo(LocalDate.now().toString());
        assertThat(rounds()).isEqualTo(1);
        assertThat(api.put(
                                "/api/classes/" + from,
                                "{\"version\":%s,\"name\":\"%s\",\"pupils\":[]}"
                                        .formatted(c.get("version"), name(from)))
                        .status())
                .isEqualTo(200);
        assertThat(api.get("/api/pupils/" + pupil + "/record").status())
                .as("the class saved without them erases nobody who left")
                .isEqualTo(200);

        assertThat(put(from, true).status()).isEqualTo(204);
        assertThat(names(from)).containsExactly("Pip");
        assertThat(api.get("/api/classes/" + from).body().get("left")).isEmpty();
        assertThat(rounds()).isEqualTo(1);
    }

    @Test
    void whoever_left_and_is_on_the_next_list_comes_back_and_is_no_second_pupil() {
        ranAndFinished();
        put(from, false);
        String list = "{\"text\":\"id,first_name,initial,birth_year\\n%s,Pip,,2015\\n\",\"dryRun\":%s}";

        JsonNode would = api.post("/api/classes/" + from + "/roster", list.formatted(pupil, true))
                .body();
        assertThat(would.get("back").toString()).isEqualTo("[\"Pip\"]");
        assertThat(would.get("added")).isEmpty();
        assertThat(names(from)).isEmpty();

        api.post("/api/classes/" + from + "/roster", list.formatted(pupil, false));
        assertThat(names(from)).containsExactly("Pip");
        assertThat(api.get("/api/classes/" + from).body().get("left")).isEmpty();
        assertThat(api.get("/api/classes/" + from)
                        .body()
                        .at("/pupils/0/details/birthYear")
                        .intValue())
                .isEqualTo(2015);
        assertThat(rounds()).isEqualTo(1);
    }

    @Test
    void a_class_goes_to_another_teacher_with_its_record_and_never_to_a_helper() {
        ranAndFinished();
        JsonNode c = api.get("/api/classes/" + from).body();
        List<JsonNode> colleagues =
                api.get("/api/people/colleagues").body().valueStream().toList();
        String teacher = idOf(colleagues, "Mr Brambell");
        String helper = colleagues.stream()
                .filter(p -> !p.get("teaches").booleanValue())
                .findFirst()
                .orElseThrow()
                .get("id")
                .stringValue();
        String give = "{\"version\":%s,\"accountId\":\"%s\"}";
        String path = "/api/classes/" + from + "/teacher";

        assertThat(api.put(path, give.formatted(c.get("version"), helper)).badFields())
                .containsExactly("accountId");
        assertThat(api.put(path, give.formatted(77, teacher)).status()).isEqualTo(409);
        assertThat(api.put(path, give.formatted(c.get("version"), teacher)).status())
                .isEqualTo(204);

        assertThat(api.get("/api/classes/" + from).status()).isEqualTo(404);
        assertThat(api.get("/api/pupils/" + pupil + "/record").status()).isEqualTo(404);
        api.as("brambell");
        assertThat(rounds()).isEqualTo(1);
        assertThat(put(to, false).status())
                .as("left a class that is not one's own")
                .isEqualTo(404);
    }

    @Test
    void a_pupil_goes_to_a_colleagues_class_with_the_record_and_is_not_seen_here_any_more() {
        ranAndFinished();
        api.as("brambell");
        String there = newClass("Ash");
        assertThat(put(there, true).status()).as("a pupil of somebody else's").isEqualTo(404);
        api.as("okafor");
        JsonNode elsewhere = api.get("/api/classes/elsewhere").body();
        assertThat(elsewhere.valueStream().map(c -> c.get("classId").stringValue()))
                .contains(there)
                .doesNotContain(from, to);
        assertThat(elsewhere.toString()).contains("Mr Brambell").doesNotContain("Ash");

        assertThat(put(there, true).status()).isEqualTo(204);

        assertThat(names(from)).isEmpty();
        assertThat(api.get("/api/pupils/" + pupil + "/record").status()).isEqualTo(404);
        assertThat(put(from, true).status()).isEqualTo(404);
        api.as("brambell");
        assertThat(names(there)).containsExactly("Ash", "Pip");
        assertThat(rounds()).isEqualTo(1);
        api.as("helper");
        assertThat(api.get("/api/classes/elsewhere").body()).isEmpty();
    }

    @Test
    void cards_for_home_of_whoever_left_or_moved_stand_in_nobodys_way() {
        api.post(
                "/api/classes/" + from + "/home/weeks",
                "{\"firstDay\":\"%s\",\"practices\":1,\"minutes\":5}".formatted(LocalDate.now()));
        String path = "/api/classes/" + from + "/home";
        Awaitility.await()
                .atMost(1, TimeUnit.MINUTES)
                .until(() -> api.get(path).body().at("/weeks/0/making").isNull());
        String week = api.get(path).body().at("/weeks/0/id").stringValue();
        assertThat(api.get(path).body().at("/weeks/0/cards")).hasSize(1);

        put(from, false);
        assertThat(api.get(path).body().at("/weeks/0/cards/0/pupil").stringValue())
                .isEqualTo("Pip");
        assertThat(api.get("/api/home/weeks/" + week + "/pages.zip").status()).isEqualTo(200);
        assertThat(api.get("/api/classes/" + from + "/results.csv").status()).isEqualTo(200);

        put(to, true);
        assertThat(api.get(path).body().at("/weeks/0/cards")).isEmpty();
        assertThat(api.get("/api/classes/" + to + "/home").status()).isEqualTo(200);
        assertThat(api.get("/api/home/weeks/" + week + "/pages.zip").status()).isEqualTo(200);
    }

    private static String idOf(List<JsonNode> people, String name) {
        return people.stream()
                .filter(p -> p.get("displayName").stringValue().equals(name))
                .findFirst()
                .orElseThrow()
                .get("id")
                .stringValue();
    }

    private String newClass(String pupilName) {
        String details = "{\"firstName\":\"%s\",\"initial\":\"\",\"birthYear\":2016,\"strongHand\":\"RIGHT\"}"
                .formatted(pupilName);
        return api.post(
                        "/api/classes",
                        "{\"name\":\"Year %d\",\"pupils\":[{\"details\":%s}]}".formatted(++made, details))
                .body()
                .get("id")
                .stringValue();
    }

    private Api.Answer put(String classId, boolean here) {
        return api.put("/api/pupils/" + pupil + "/place", "{\"classId\":\"%s\",\"here\":%s}".formatted(classId, here));
    }

    private int rounds() {
        return api.get("/api/pupils/" + pupil + "/record").body().get("rounds").intValue();
    }

    private String name(String classId) {
        return api.get("/api/classes/" + classId).body().get("name").stringValue();
    }

    private List<String> names(String classId) {
        return api.get("/api/classes/" + classId)
                .body()
                .get("pupils")
                .valueStream()
                .map(p -> p.get("name").stringValue())
                .toList();
    }

    private JsonNode ranAndFinished() {
        String lesson = api.post(
                        "/api/lessons", """
                {"version":null,"classId":"%s","spaceId":"%s","name":"Last of the year","onDay":"%s","lesson":{"minutes":20,
                "audience":"CLASS","restRule":"BETWEEN_SETS","transitionSec":30,"blocks":[{"id":"b1","ladderId":"clap-and-collect",
                "rungId":"both-hands","modifiers":[],"dose":{"type":"CLOCK","workSec":30},"sets":1,"sides":"FIRST_ONLY","setupSec":0,
                "explainSec":0,"countInSec":0,"sideSwapSec":0,"turnSwapSec":5,"restSec":0,"waitIsRest":true,"counted":true}]}}""".formatted(from, api.id("/api/spaces", "Sail loft"), LocalDate.now()))
                .text();
        String lessonId = lesson.replaceAll("^\\{\"id\":\"([^\"]+)\".*", "$1");
        JsonNode run = api.post("/api/runs", "{\"lessonId\":\"%s\"}".formatted(lessonId))
                .body();
        assertThat(send(run, tapped(run), event("{\"type\":\"FINISH\"}")).status())
                .isEqualTo(200);
        return run;
    }

    private String tapped(JsonNode run) {
        for (JsonNode s : run.at("/sheet/script/segments"))
            if (s.get("kind").stringValue().equals("WORK"))
                return event(
                        "{\"type\":\"TAPPED\",\"segment\":%d,\"take\":1,\"pupilId\":\"%s\",\"tap\":{\"type\":\"HIT\"}}"
                                .formatted(s.get("index").intValue(), pupil));
        throw new AssertionError("no work");
    }

    private static String event(String what) {
        return "{\"id\":\"%s\",\"device\":\"tablet\",\"atMs\":1000,\"what\":%s}"
                .formatted(new UUID(0x7001, ++made), what);
    }

    private Api.Answer send(JsonNode run, String... batch) {
        return api.post(
                "/api/runs/events", "{\"runId\":%s,\"events\":[%s]}".formatted(run.get("id"), String.join(",", batch)));
    }
}
