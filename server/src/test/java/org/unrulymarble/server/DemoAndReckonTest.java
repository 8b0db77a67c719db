package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
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

    /** Whatever is asked of a reckoning, the answer is 200 or 400 with the field's name: never a 500, never a NaN. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            toss|{"ceilingM":2.7,"clearanceM":0.1,"ballRadiusM":0.1,"releaseM":1,"catchM":1,"clapSec":0.2,"handsSec":0.3}|clapSec":0.2|clapSec":0|clapSec
            wall-mark|{"launchHeightM":1,"angleDeg":50,"netDistanceM":9,"netHeightM":2,"clearanceM":0.1,"landWithinM":9,"standM":3}|standM":3|standM":10|standM
            wall-mark|{"launchHeightM":1,"angleDeg":50,"netDistanceM":9,"netHeightM":2,"clearanceM":0.1,"landWithinM":9,"standM":3}|angleDeg":50|angleDeg":90|angleDeg
            rebound|{"standM":3,"releaseM":1,"speedMs":8,"angleDeg":20,"restitution":0.6,"ceilingM":2.4,"ballRadiusM":0.1}|ceilingM":2.4|ceilingM":1.1|ceilingM
            angled|{"standM":3,"angleDeg":20,"restitution":0.6}|restitution":0.6|restitution":0|restitution
            rings|{"rings":[{"outerRadiusCm":10,"points":5},{"outerRadiusCm":20,"points":3}],"hits":[3,4],"outside":2,"distanceM":3,"wantShare":0.7}|[3,4]|[3]|hits
            rings|{"rings":[{"outerRadiusCm":10,"points":5},{"outerRadiusCm":20,"points":3}],"hits":[3,4],"outside":2,"distanceM":3,"wantShare":0.7}|Cm":20|Cm":10|rings[1].outerRadiusCm
            landings|{"points":[{"xCm":1,"yCm":2},{"xCm":3,"yCm":-2}]}|,{"xCm":3,"yCm":-2}||points
            streak|{"p":0.8,"run":10,"roundSec":120,"secPerTry":2.5,"wantChance":0.5}|p":0.8|p":1.2|p
            odds|{"p":0.8,"of":10,"hits":7,"wantChance":0.5}|hits":7|hits":11|hits
            mastery|{"evidence":[{"daysAgo":3,"hits":8,"misses":2}],"halfLifeDays":21,"holdStandard":0.8,"floorStandard":0.5,"sure":0.8,"minTries":5}|misses":2|misses":-2|evidence[0].misses
            staircase|{"startStep":1,"makesToStep":2,"onMiss":"STEP_IN","results":"HHMHH","stepM":0.5}|HHMHH|HHXHH|results
            ends|{"balls":[{"side":"A","distanceCm":20,"dead":false}],"toleranceCm":1,"tieRule":"ONE_EACH","jackSide":"A","lastSide":"A","ballsLeft":{"A":1,"B":2}}|"lastSide":"A"|"lastSide":null|lastSide
            bowling|{"deliveries":[{"batter":"b","heightCm":80,"headCm":150,"kneeCm":40,"sideCm":40,"bodyHalfWidthCm":20,"reachCm":90,"bounced":false,"jerkyArm":false,"footOver":false}]}|kneeCm":40|kneeCm":151|deliveries[0].headCm
            """)
    void every_reckoning_answers_and_names_a_bad_field(String name, String ask, String good, String bad, String field) {
        Api.Answer answer = api.post("/api/reckon/" + name, ask);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        assertThat(answer.text()).doesNotContain("NaN", "Infinity");
        assertThat(ask).contains(good);

        Api.Answer refused = api.post("/api/reckon/" + name, ask.replace(good, bad == null ? "" : bad));

        assertThat(refused.status()).as(refused.text()).isEqualTo(400);
        assertThat(refused.badFields()).contains(field);
        assertThat(refused.body().get("errors").get(0).get("must").stringValue())
                .startsWith("must ");
    }
}
