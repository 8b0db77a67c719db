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
class StoreApiTest {

    @Autowired
    private Api api;

    @BeforeEach
    void asTeacher() {
        api.as("brambell");
    }

    @Test
    void a_class_keeps_its_pupils_their_order_and_their_ids_over_changes() {
        JsonNode made = api.post(
                        "/api/classes", schoolClass("null", "Knot 3", pupil("null", "Rowan"), pupil("null", "Imke")))
                .body();
        String rowan = made.get("pupils").get(0).get("id").stringValue();
        assertThat(made.get("pupils").get(0).get("name").stringValue()).isEqualTo("Rowan B.");

        JsonNode changed = api.put(
                        path(made),
                        schoolClass("0", "Knot 3", pupil("\"" + rowan + "\"", "Rowena"), pupil("null", "Ole")))
                .body();

        assertThat(changed.get("pupils")).hasSize(2);
        assertThat(changed.get("pupils").get(0).get("id").stringValue()).isEqualTo(rowan);
        assertThat(changed.get("pupils").valueStream().map(p -> p.get("name").stringValue()))
                .containsExactly("Rowena B.", "Ole B.");
    }

    @Test
    void a_class_saved_from_an_older_version_is_refused() {
        JsonNode made = api.post("/api/classes", schoolClass("null", "Ruff 2")).body();
        assertThat(api.put(path(made), schoolClass("0", "Ruff 2", pupil("null", "Aya")))
                        .status())
                .isEqualTo(200);

        Api.Answer late = api.put(path(made), schoolClass("0", "Ruff two"));

        assertThat(late.status()).isEqualTo(409);
        assertThat(api.get(path(made)).body().get("pupils")).hasSize(1);
    }

    @Test
    void a_pupil_who_is_removed_goes_with_every_attempt() {
        api.as("okafor");
        JsonNode dunlin =
                api.get("/api/classes/" + api.id("/api/classes", "Dunlin 5")).body();
        JsonNode gone = dunlin.get("pupils").get(17);
        String page = "/api/pupils/" + gone.get("id").stringValue() + "/record";
        assertThat(api.get(page).body().get("attempts")).isNotEmpty();
        int rounds = record(dunlin).get("rounds").intValue();
        int hers = api.get(page).body().get("rounds").intValue();

        StringBuilder rest = new StringBuilder();
        for (int i = 0; i < 17; i++) {
            JsonNode p = dunlin.get("pupils").get(i);
            rest.append(i == 0 ? "" : ",")
                    .append("{\"id\":%s,\"details\":%s}".formatted(p.get("id"), p.get("details")));
        }
        String body = "{\"version\":%d,\"name\":\"Dunlin 5\",\"pupils\":[%s]}"
                .formatted(dunlin.get("version").intValue(), rest);
        assertThat(api.put(path(dunlin), body).status()).isEqualTo(200);

        assertThat(api.get(page).status()).isEqualTo(404);
        assertThat(record(dunlin).get("rounds").intValue()).isEqualTo(rounds - hers);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            "name":"Knot 3"|"name":""|name
            "firstName":"Rowan"|"firstName":" "|pupils[0].details.firstName
            "initial":"B"|"initial":"Bo"|pupils[0].details.initial
            "birthYear":2015|"birthYear":15|pupils[0].details.birthYear
            "shoeCm":22|"shoeCm":"22"|pupils[0].details.shoeCm
            "strongHand":"RIGHT"|"strongHand":"BOTH"|pupils[0].details.strongHand
            "pupils":[|"pupils":[null,|pupils[0]
            """)
    void a_bad_class_names_its_field_and_is_not_made(String good, String bad, String field) {
        int before = api.get("/api/classes").body().size();
        String body = schoolClass("null", "Knot 3", pupil("null", "Rowan"));
        assertThat(body).contains(good);

        Api.Answer answer = api.post("/api/classes", body.replace(good, bad));

        assertThat(answer.status()).as(answer.text()).isEqualTo(400);
        assertThat(answer.badFields()).containsExactly(field);
        assertThat(api.get("/api/classes").body()).hasSize(before);
    }

    @ParameterizedTest
    @CsvSource({
        "POST,/api/classes",
        "PUT,/api/classes/{class}",
        "POST,/api/spaces",
        "PUT,/api/spaces/{space}",
        "POST,/api/lessons"
    })
    void a_helper_changes_nothing_in_the_store(String method, String path) {
        api.as("helper");
        String turnstone = api.id("/api/classes", "Turnstone 6");
        String loft = api.id("/api/spaces", "Sail loft");
        String body = path.contains("spaces")
                ? "{\"version\":0,\"name\":\"Mine\",\"place\":{\"surface\":\"WOOD\",\"size\":{\"lengthM\":5,\"widthM\":4,\"ceilingM\":null,\"wall\":null}}}"
                : path.contains("lessons")
                        ? "{\"classId\":\"%s\",\"spaceId\":\"%s\",\"name\":\"Mine\",\"onDay\":\"2026-12-01\",\"lesson\":{\"minutes\":20,\"audience\":\"CLASS\",\"restRule\":\"BETWEEN_SETS\",\"transitionSec\":30,\"blocks\":[]}}"
                                .formatted(turnstone, loft)
                        : schoolClass("0", "Mine");

        Api.Answer answer = api.send(
                HttpMethod.valueOf(method), path.replace("{class}", turnstone).replace("{space}", loft), body);

        assertThat(answer.status()).as(answer.text()).isEqualTo(403);
        assertThat(answer.body().get("detail").stringValue()).contains("run lessons and tally");
    }

    private JsonNode record(JsonNode schoolClass) {
        return api.get(path(schoolClass) + "/record").body();
    }

    private static String path(JsonNode schoolClass) {
        return "/api/classes/" + schoolClass.get("id").stringValue();
    }

    private static String schoolClass(String version, String name, String... pupils) {
        return "{\"version\":%s,\"name\":\"%s\",\"pupils\":[%s]}".formatted(version, name, String.join(",", pupils));
    }

    private static String pupil(String id, String firstName) {
        return "{\"id\":%s,\"details\":{\"firstName\":\"%s\",\"initial\":\"B\",\"birthYear\":2015,\"strongHand\":\"RIGHT\",\"shoeCm\":22,\"reachCm\":null,\"adaptation\":null}}"
                .formatted(id, firstName);
    }
}
