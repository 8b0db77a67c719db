package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import tools.jackson.databind.JsonNode;

@ApiTest
class KitAndPeopleTest {

    private static final String NET =
            "{\"version\":null,\"kind\":{\"id\":\"own-1\",\"name\":\"big net\",\"group\":\"TARGET\",\"openingCm\":40},\"count\":2,\"condition\":\"GOOD\"}";

    @Autowired
    private Api api;

    @BeforeEach
    void asTeacher() {
        api.as("okafor");
    }

    @Test
    void kit_of_ones_own_is_kept_and_says_what_goes_into_it() {
        JsonNode made = api.post("/api/kit", NET).body();
        String path = "/api/kit/" + made.get("id").stringValue();

        JsonNode fits = api.get("/api/kit").body().get("fits");
        assertThat(fits.valueStream().filter(f -> f.get("kind").stringValue().equals("netball")))
                .singleElement()
                .satisfies(f -> assertThat(f.get("goesInto").toString()).contains("big net"));
        assertThat(api.put(
                                path,
                                NET.replace("\"version\":null", "\"version\":0")
                                        .replace("\"count\":2", "\"count\":null"))
                        .body()
                        .get("count")
                        .isNull())
                .isTrue();
        assertThat(api.put(path, NET.replace("\"version\":null", "\"version\":0"))
                        .status())
                .isEqualTo(409);
        assertThat(api.send(HttpMethod.DELETE, path, "").status()).isEqualTo(204);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            "count":2|"count":-1|count
            "count":2|"count":"two"|count
            "name":"big net"|"name":" "|kind.name
            "openingCm":40|"openingCm":0|kind.openingCm
            "own-1"|"golf-ball"|kind.id
            "GOOD"|"FINE"|condition
            """)
    void bad_kit_names_its_field_and_is_not_kept(String good, String bad, String field) {
        int before = api.get("/api/kit").body().get("items").size();

        Api.Answer answer = api.post("/api/kit", NET.replace(good, bad));

        assertThat(answer.status()).as(answer.text()).isEqualTo(400);
        assertThat(answer.badFields()).containsExactly(field);
        assertThat(api.get("/api/kit").body().get("items")).hasSize(before);
    }

    @Test
    void a_rule_of_the_school_lets_something_stand_in() {
        String rule = "{\"version\":null,\"rule\":{\"of\":\"netball\",\"by\":\"play-ball\",\"changes\":\"lighter\"}}";
        JsonNode made = api.post("/api/kit/rules", rule).body();
        assertThat(made.get("rule").get("by").stringValue()).isEqualTo("play-ball");
        assertThat(api.post("/api/kit/rules", rule.replace("play-ball", "moon-rock"))
                        .badFields())
                .containsExactly("rule.by");
        assertThat(api.send(
                                HttpMethod.DELETE,
                                "/api/kit/rules/" + made.get("id").stringValue(),
                                "")
                        .status())
                .isEqualTo(204);
    }

    @Test
    void a_mend_is_worked_out_for_the_version_it_was_found_in_and_saved_like_any_change() {
        String yard = api.id("/api/spaces", "Cloakroom corridor");
        JsonNode lesson = api.get("/api/lessons/" + api.id("/api/lessons", "Sail loft, wet Tuesday"))
                .body();
        String path = "/api/lessons/" + lesson.get("id").stringValue();
        String body = "{\"version\":%s,\"classId\":%s,\"spaceId\":\"%s\",\"name\":%s,\"onDay\":%s,\"lesson\":%s}";
        JsonNode moved = api.put(
                        path,
                        body.formatted(
                                lesson.get("version"),
                                lesson.get("classId"),
                                yard,
                                lesson.get("name"),
                                lesson.get("onDay"),
                                lesson.get("lesson")))
                .body();
        JsonNode wall = moved.get("findings")
                .valueStream()
                .filter(f -> f.get("level").stringValue().equals("STOP"))
                .findFirst()
                .orElseThrow();
        String press = "{\"version\":%s,\"finding\":%s}".formatted(moved.get("version"), wall.get("id"));

        Api.Answer mended = api.post(path + "/mended", press);
        assertThat(mended.status()).as(mended.text()).isEqualTo(200);
        assertThat(mended.body().get("blocks")).isNotEqualTo(moved.get("lesson").get("blocks"));
        assertThat(api.get(path).body().get("lesson"))
                .as("nothing is saved by asking")
                .isEqualTo(moved.get("lesson"));
        assertThat(api.post(path + "/mended", press.replace("\"version\":" + moved.get("version"), "\"version\":999"))
                        .status())
                .isEqualTo(409);
        assertThat(api.post(
                                path + "/mended",
                                "{\"version\":%s,\"finding\":\"NO_SUCH\"}".formatted(moved.get("version")))
                        .badFields())
                .containsExactly("finding");
        assertThat(api.put(
                                path,
                                body.formatted(
                                        moved.get("version"),
                                        lesson.get("classId"),
                                        lesson.get("spaceId").stringValue(),
                                        lesson.get("name"),
                                        lesson.get("onDay"),
                                        lesson.get("lesson")))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void a_space_in_use_is_not_removed() {
        Api.Answer answer = api.send(HttpMethod.DELETE, "/api/spaces/" + api.id("/api/spaces", "Sail loft"), "");

        assertThat(answer.status()).isEqualTo(409);
        assertThat(answer.body().get("detail").stringValue()).contains("planned with it");
    }

    @Test
    void a_class_names_its_helpers_and_only_those_that_there_are() {
        JsonNode dunlin =
                api.get("/api/classes/" + api.id("/api/classes", "Dunlin 5")).body();
        assertThat(dunlin.get("helperIds")).hasSize(1);
        String body = "{\"version\":%s,\"name\":\"Dunlin 5\",\"pupils\":%s,\"helperIds\":[\"%s\"]}"
                .formatted(dunlin.get("version"), dunlin.get("pupils"), java.util.UUID.randomUUID());

        assertThat(api.put("/api/classes/" + dunlin.get("id").stringValue(), body)
                        .badFields())
                .containsExactly("helperIds");
    }
}
