package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

@ApiTest
class BeginApiTest {

    @Autowired
    private Api api;

    @BeforeEach
    void asTeacher() {
        api.as("brambell");
    }

    @ParameterizedTest
    @CsvSource({
        "CORRIDOR, 24, 40",
        "CLASSROOM, 24, 40",
        "HALL_CORNER, 24, 45",
        "COVERED_YARD, 24, 30",
        "YARD, 24, 40",
        "FLAT, 4, 40"
    })
    void three_answers_make_a_lesson_that_can_be_run(String usual, int pupils, int minutes) {
        JsonNode place = api.get("/api/beginning")
                .body()
                .get("places")
                .valueStream()
                .filter(p -> p.get("id").stringValue().equals(usual))
                .findFirst()
                .orElseThrow()
                .get("place");

        Api.Answer begun = api.post("/api/beginning", body(pupils, measured(place), minutes, ""));

        assertThat(begun.status()).as(begun.text()).isEqualTo(201);
        JsonNode lesson = api.get("/api/lessons/" + begun.body().get("lessonId").stringValue())
                .body();
        assertThat(lesson.get("pupils").intValue()).isEqualTo(pupils);
        assertThat(lesson.get("lesson").get("blocks"))
                .hasSize(begun.body().get("blocks").intValue());
        assertThat(lesson.get("plan").get("totalSec").intValue()).isBetween(60 * minutes * 3 / 4, 60 * minutes);
        assertThat(lesson.get("findings")
                        .valueStream()
                        .filter(f -> f.get("level").stringValue().equals("STOP")))
                .isEmpty();
        assertThat(lesson.get("lesson")
                        .get("blocks")
                        .valueStream()
                        .filter(b -> b.get("kind").stringValue().equals("TASK")))
                .hasSizeGreaterThanOrEqualTo(3);
        assertThat(lesson.get("who").get(pupils - 1).get("name").stringValue()).isEqualTo("Pupil " + pupils);
    }

    @Test
    void the_cupboard_gains_what_it_lacks_and_keeps_what_was_counted() {
        int hoops = count("hoop");
        String space = "{\"type\":\"KNOWN\",\"spaceId\":\"%s\"}".formatted(api.id("/api/spaces", "Net store"));
        api.post(
                "/api/beginning",
                body(12, space, 30, "{\"kind\":\"hoop\",\"count\":2},{\"kind\":\"paddle\",\"count\":7}"));
        assertThat(count("hoop")).isEqualTo(hoops);
        assertThat(count("paddle")).isEqualTo(7);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            "lengthM":9.0|"lengthM":0.1|where.place.size.lengthM
            "name":"Corner"|"name":""|where.name
            "minutes":30|"minutes":0|lesson.minutes
            "kind":"hoop"|"kind":"glass"|kit
            {"kind":"hoop"}|null|kit[0]
            "firstName":"Pupil 1"|"firstName":""|schoolClass.pupils[0].firstName
            """)
    void a_wrong_answer_is_named_and_nothing_is_kept(String right, String wrong, String field) {
        String place = "{\"size\":{\"lengthM\":9.0,\"widthM\":6.0,\"ceilingM\":null,\"wall\":null}}";
        String good = body(
                3, "{\"type\":\"MEASURED\",\"name\":\"Corner\",\"place\":" + place + "}", 30, "{\"kind\":\"hoop\"}");
        String before = api.get("/api/classes").text() + api.get("/api/spaces").text();

        Api.Answer refused = api.post("/api/beginning", good.replace(right, wrong));

        assertThat(refused.badFields()).contains(field);
        assertThat(api.get("/api/classes").text() + api.get("/api/spaces").text())
                .isEqualTo(before);
    }

    private int count(String kind) {
        return api.get("/api/kit")
                .body()
                .get("items")
                .valueStream()
                .filter(i -> i.get("kind").get("id").stringValue().equals(kind))
                .mapToInt(i -> i.get("count").intValue())
                .sum();
    }

    private static String measured(JsonNode place) {
        return "{\"type\":\"MEASURED\",\"name\":\"Ours\",\"place\":%s}".formatted(place);
    }

    private static String body(int pupils, String where, int minutes, String kit) {
        String all = IntStream.rangeClosed(1, pupils)
                .mapToObj("{\"firstName\":\"Pupil %d\"}"::formatted)
                .collect(Collectors.joining(","));
        return """
                {"schoolClass":{"name":"Ours","pupils":[%s]},"where":%s,"kit":[%s],"lessonName":"First lesson","onDay":"2026-11-30",\
                "lesson":{"minutes":%d,"audience":"CLASS","shape":"MOBILITY_FIRST","restRule":"BETWEEN_SETS","transitionSec":30,"blocks":[]}}""".formatted(all, where, kit, minutes);
    }
}
