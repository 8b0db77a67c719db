package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

@ApiTest
class DemoAndReckonTest {

    @Autowired
    private Api api;

    @BeforeEach
    void asTeacher() {
        api.as("okafor");
    }

    @Test
    void the_demo_holds_tries_from_which_different_standings_follow() {
        JsonNode record = api.get("/api/classes/" + api.id("/api/classes", "Turnstone 6") + "/record")
                .body();

        assertThat(record.get("pupils")).hasSize(24);
        assertThat(record.get("days").intValue()).isEqualTo(11);
        assertThat(LocalDate.parse(record.get("firstDay").stringValue()))
                .isAfter(LocalDate.now().minusWeeks(13));
        assertThat(LocalDate.parse(record.get("lastDay").stringValue())).isBefore(LocalDate.now());
        Set<String> through = new HashSet<>();
        Set<String> notYet = new HashSet<>();
        for (JsonNode c : record.get("challenges"))
            (c.get("completedOn").isNull() ? notYet : through)
                    .add(c.get("pupilId").stringValue());
        assertThat(through).hasSizeGreaterThan(20);
        assertThat(notYet).hasSizeGreaterThan(20);
    }

    @Test
    void the_wet_tuesday_ends_before_the_bell_and_leaves_nobody_idle() {
        JsonNode plan = api.get("/api/lessons/" + api.id("/api/lessons", "Sail loft, wet Tuesday"))
                .body()
                .get("plan");

        assertThat(plan.get("pastBellSec").intValue()).isBetween(-240, 0);
        assertThat(plan.get("idleSecPerPupil").intValue()).isZero();
        assertThat(plan.get("quietSecPerPupil").intValue()).isPositive();
        assertThat(plan.get("rightSec")).isEqualTo(plan.get("leftSec"));
    }

    @Test
    void a_reckoning_answers_over_the_api_as_in_the_core() {
        JsonNode answer = api.post("/api/reckon/clock", """
                        {"restRule":"AFTER_EVERY_SET","transitionSec":20,"blocks":[
                        {"setupSec":10,"explainSec":20,"countInSec":3,"sets":2,"dose":{"type":"CLOCK","workSec":40},"sides":1,
                        "sideSwapSec":0,"turns":2,"turnSwapSec":10,"restSec":90,"waitIsRest":true}]}""").body();
        assertThat(answer.get("totalSec").intValue()).isEqualTo(30 + 2 * 96 + 37);
        assertThat(answer.get("blocks").get(0).get("restInsertedSec").intValue())
                .isEqualTo(37);

        Api.Answer bad = api.post("/api/reckon/spots", "{\"space\":{\"lengthM\":-1},\"pupils\":2,\"perSpot\":0}");
        assertThat(bad.status()).isEqualTo(400);
        assertThat(bad.badFields()).contains("space.lengthM");
        assertThat(api.post(
                                "/api/reckon/clock",
                                "{\"restRule\":\"BETWEEN_SETS\",\"transitionSec\":1,\"blocks\":[null]}")
                        .badFields())
                .containsExactly("blocks[0]");
    }
}
