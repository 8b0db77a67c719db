package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

@ApiTest
class HandOverApiTest {

    @Autowired
    private Api api;

    private String lessonId;
    private String path;
    private String brambell;

    @BeforeEach
    void asTeacher() {
        api.as("okafor");
        lessonId = api.id("/api/lessons", "Sail loft, wet Tuesday");
        path = "/api/lessons/" + lessonId;
        brambell = idOf("Mr Brambell", api);
    }

    private static String idOf(String name, Api asker) {
        return asker.get("/api/people/colleagues")
                .body()
                .valueStream()
                .filter(c -> c.get("displayName").stringValue().equals(name))
                .findFirst()
                .orElseThrow()
                .get("id")
                .stringValue();
    }

    @AfterEach
    void takeAllBack() {
        api.as("okafor");
        api.get(path + "/hand-overs")
                .body()
                .forEach(h -> api.delete(path + "/hand-overs/" + h.get("id").stringValue()));
    }

    @Test
    void whoever_it_is_handed_to_sees_and_runs_that_lesson_that_day_and_nothing_else_of_the_class() {
        JsonNode given = give(brambell, LocalDate.now()).body();
        assertThat(given)
                .singleElement()
                .satisfies(h -> assertThat(h.get("displayName").stringValue()).isEqualTo("Mr Brambell"));
        assertThat(give(brambell, LocalDate.now()).body()).as("the same again").isEqualTo(given);
        String classId = api.id("/api/classes", "Turnstone 6");
        String pupilId =
                api.get("/api/classes/" + classId).body().at("/pupils/3/id").stringValue();
        List<String> others = api.get("/api/lessons")
                .body()
                .valueStream()
                .map(l -> l.get("id").stringValue())
                .filter(id -> !id.equals(lessonId))
                .toList();

        api.as("brambell");
        assertThat(api.get("/api/lessons/handed").body())
                .singleElement()
                .satisfies(l -> assertThat(l.get("id").stringValue()).isEqualTo(lessonId));
        JsonNode lesson = api.get(path).body();
        assertThat(lesson.get("mayChange").booleanValue()).isFalse();
        assertThat(lesson.get("who")).hasSize(24);
        JsonNode run = api.post("/api/runs", "{\"lessonId\":\"%s\"}".formatted(lessonId))
                .body();
        String runId = run.get("id").stringValue();
        assertThat(tapped(run).status()).isEqualTo(200);
        assertThat(api.get("/api/runs/open").text()).contains(runId);
        assertThat(api.post("/api/runs/" + runId + "/wall", "{}").status()).isEqualTo(200);

        assertThat(api.get("/api/runs/" + runId + "/watch/0").status())
                .as("tells of records")
                .isEqualTo(403);
        assertThat(api.put(path, "{}").status()).isEqualTo(400);
        assertThat(api.delete(path).status()).isEqualTo(404);
        assertThat(api.get(path + "/hand-overs").status()).isEqualTo(404);
        assertThat(others)
                .isNotEmpty()
                .allSatisfy(
                        id -> assertThat(api.get("/api/lessons/" + id).status()).isEqualTo(404));
        for (String closed : List.of(
                "/api/classes/" + classId,
                "/api/classes/" + classId + "/record",
                "/api/pupils/" + pupilId + "/record",
                "/api/lessons?classId=" + classId))
            assertThat(api.get(closed).status()).as(closed).isEqualTo(404);
        assertThat(api.get("/api/classes").text()).doesNotContain(classId);

        String handOverId = given.get(0).get("id").stringValue();
        Api teacher = api.another().as("okafor");
        assertThat(teacher.delete(path + "/hand-overs/" + handOverId).body()).isEmpty();
        assertThat(tapped(run).status()).as("taken back").isEqualTo(404);
        assertThat(api.get(path).status()).isEqualTo(404);
        assertThat(api.get("/api/lessons/handed").body()).isEmpty();
        teacher.post(
                "/api/runs/events",
                "{\"runId\":\"%s\",\"events\":[%s]}".formatted(runId, event("{\"type\":\"FINISH\"}")));
    }

    @Test
    void handed_for_another_day_it_is_not_there_today() {
        assertThat(give(brambell, LocalDate.now().plusDays(1)).status()).isEqualTo(200);
        assertThat(api.as("brambell").get(path).status()).isEqualTo(404);
        assertThat(api.get("/api/lessons/handed").body()).isEmpty();
    }

    @Test
    void whoever_gives_it_on_its_day_goes_along_where_it_is_moved() {
        LocalDate day = LocalDate.parse(api.get(path).body().get("onDay").stringValue());
        shift(ChronoUnit.DAYS.between(day, LocalDate.now().plusDays(3)));
        give(brambell, LocalDate.now().plusDays(3));
        give(brambell, LocalDate.now().plusDays(9));

        shift(-3);

        assertThat(api.get(path + "/hand-overs").body())
                .extracting(h -> h.get("onDay").stringValue())
                .containsExactly(
                        LocalDate.now().toString(), LocalDate.now().plusDays(9).toString());
        assertThat(api.another().as("brambell").get(path).status()).isEqualTo(200);
        shift(1);
        assertThat(api.another().as("brambell").get(path).status()).isEqualTo(404);
        shift(ChronoUnit.DAYS.between(LocalDate.now().plusDays(1), day));
    }

    private void shift(long days) {
        assertThat(api.post(path + "/shifted", "{\"days\":%d,\"andLater\":false}".formatted(days))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void nobody_is_handed_a_day_gone_by_and_oneself_nothing() {
        assertThat(give(brambell, LocalDate.now().minusDays(1)).badFields()).containsExactly("onDay");
        assertThat(give(brambell, LocalDate.now().plusDays(400)).badFields()).containsExactly("onDay");
        assertThat(give(UUID.randomUUID().toString(), LocalDate.now()).badFields())
                .containsExactly("accountId");
        assertThat(give(idOf("Ms Okafor-Lind", api.another().as("brambell")), LocalDate.now())
                        .badFields())
                .containsExactly("accountId");
        assertThat(api.get(path + "/hand-overs").body()).isEmpty();
    }

    private Api.Answer give(String accountId, LocalDate onDay) {
        return api.post(path + "/hand-overs", "{\"accountId\":\"%s\",\"onDay\":\"%s\"}".formatted(accountId, onDay));
    }

    private Api.Answer tapped(JsonNode run) {
        return api.post(
                "/api/runs/events",
                "{\"runId\":%s,\"events\":[%s]}"
                        .formatted(run.get("id"), event("{\"type\":\"GO\",\"segment\":0,\"offsetMs\":0}")));
    }

    private static String event(String what) {
        return "{\"id\":\"%s\",\"atMs\":%d,\"device\":\"d\",\"what\":%s}"
                .formatted(UUID.randomUUID(), System.currentTimeMillis(), what);
    }
}
