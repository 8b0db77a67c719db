package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
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
        assertThat(api.get("/api/classes/%s/taught?from=2020-01-01&to=2100-01-01"
                                .formatted(record.get("classId").stringValue()))
                        .body())
                .hasSize(11);
        assertThat(LocalDate.parse(record.get("firstDay").stringValue()))
                .isAfter(LocalDate.now().minusWeeks(13));
        assertThat(LocalDate.parse(record.get("lastDay").stringValue())).isBefore(LocalDate.now());
        Set<String> through = new HashSet<>();
        Set<String> notYet = new HashSet<>();
        for (JsonNode r : record.get("onLadders"))
            for (JsonNode c : r.get("challenges"))
                (c.get("completedOn").isNull() ? notYet : through)
                        .add(r.get("pupilId").stringValue());
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
            angled|{"standM":3,"angleDeg":20,"restitution":0.6}|20|NaN|angleDeg
            streak|{"p":0.8,"run":10,"roundSec":120,"secPerTry":2.5,"wantChance":0.5}|2.5|Infinity|secPerTry
            streak|{"p":0.8,"run":10,"roundSec":120,"secPerTry":2.5,"wantChance":0.5}|10|NaN|run
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
            reaction|{"speedMs":8,"reactionSec":0.3,"handMoveSec":0.25,"hardBall":true,"hardMarginShare":0.5,"distanceM":3}|speedMs":8|speedMs":0|speedMs
            bounce-spot|{"distanceM":3,"releaseM":1.2,"speedMs":7,"floorRestitution":0.7,"floorGrip":0.9,"catchM":0.9}|floorGrip":0.9|floorGrip":0|floorGrip
            leaned-board|{"standM":3,"releaseM":1.2,"speedMs":9,"angleDeg":-10,"leanDeg":15,"boardM":1.2,"restitution":0.7}|leanDeg":15|leanDeg":90|leanDeg
            off-the-wall|{"throwing":{"standM":3,"releaseM":1,"speedMs":8,"angleDeg":20,"restitution":0.6,"ceilingM":2.4,"ballRadiusM":0.1},"floorRestitution":0.7,"catchM":1}|standM":3|standM":0|throwing.standM
            net-on-wall|{"serve":{"launchHeightM":1,"angleDeg":50,"netDistanceM":9,"netHeightM":2,"clearanceM":0.1,"landWithinM":9,"standM":3},"ballRadiusM":0.1,"handM":0.2,"angleSpreadDeg":5,"stepM":0.75,"ceilingM":null}|angleDeg":50|angleDeg":95|serve.angleDeg
            under-ceiling|{"toss":{"ceilingM":2.7,"clearanceM":0.1,"ballRadiusM":0.1,"releaseM":1,"catchM":1,"clapSec":0.2,"handsSec":0.3},"wishClaps":4}|wishClaps":4|wishClaps":1001|wishClaps
            aim|{"rings":[{"outerRadiusCm":10,"points":5}],"hits":[3],"outside":2,"points":[],"distanceM":3,"wantShare":0.7}|hits":[3]|hits":[3,4]|hits
            gate-for|{"shares":[0.8,0.5],"roundSec":90,"secPerTry":2.5,"of":10,"wantChance":0.5}|[0.8,0.5]|[0.8,1.5]|shares[1]
            share|{"hits":8,"misses":2,"sure":0.9}|sure":0.9|sure":1|sure
            rates|{"scores":[{"count":20,"roundSec":40},{"count":30,"roundSec":60}],"sure":0.9}|roundSec":60|roundSec":0|scores[1].roundSec
            calls|{"seed":1,"choices":4,"howMany":20,"mostRunning":2,"backEachTime":true,"places":[]}|choices":4|choices":1|choices
            number-call|{"seed":1,"balls":6,"drawFrom":"LEFT","results":"HM"}|HM|HX|results
            reach-in-time|{"roundSec":60,"makesToStep":2,"p":0.7,"secPerThrow":3,"fetchSec":6,"walkSecPerStep":1}|secPerThrow":3|secPerThrow":0|secPerThrow
            room|{"room":{"space":{"lengthM":9,"widthM":6,"ceilingM":null,"wall":null},"footprint":{"lengthM":2,"widthM":2,"gapM":0.5,"edgeM":0.5,"needsWall":false,"oneRow":false,"heightM":null},"pupils":24,"perSpot":2},"workingPerSpot":1}|workingPerSpot":1|workingPerSpot":3|workingPerSpot
            slalom|{"runM":8,"gapM":1.4,"passM":0.3,"ballCm":24,"thereAndBack":true,"firstSec":18,"betterShare":0.1}|gapM":1.4|gapM":0|gapM
            stations|{"groups":4,"stations":4,"explainSec":60,"roundSec":300,"swapSec":30}|roundSec":300|roundSec":300.5|roundSec
            roles|{"people":4,"roles":3}|roles":3|roles":5|roles
            partners|{"people":24,"howMany":5}|people":24|people":1|people
            jack-match|{"playersA":1,"playersB":1,"ballsPerPlayer":2,"tossWonBy":"A","jackRule":"WINNER","playerOrder":"IN_TURN","tieRule":"NONE_SCORES","toleranceCm":1,"footLineKills":true,"shortLineKills":false,"targetScore":7,"maxEnds":null,"timeCapSec":null,"playedSec":0,"ends":[{"balls":[{"side":"A","distanceCm":20,"out":false,"footOver":false,"landedShort":false}],"called":false}]}|"distanceCm":20,|"xCm":20,|ends[0].balls[0].yCm
            bowling-sheet|{"balls":[{"batter":"b","bowler":"w","zone":"HIGH","bounced":false,"jerkyArm":false,"footOver":false}],"batterNow":"b","bowlerNow":"w"}|HIGH|UP|balls[0].zone
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

    @Test
    void a_class_is_prefilled_from_its_own_tries_and_from_the_planning_values() {
        String turnstones = api.id("/api/classes", "Turnstone 6");
        JsonNode shares = api.get("/api/classes/" + turnstones + "/shares").body();

        assertThat(shares).isNotEmpty();
        Map<String, Map<String, JsonNode>> pages = new HashMap<>();
        int compared = 0;
        for (JsonNode s : shares) {
            JsonNode told = pages.computeIfAbsent(s.get("pupilId").stringValue(), this::knownOnPage)
                    .get(s.get("ladderId").stringValue() + s.get("rungId").stringValue());
            if (told != null) {
                assertThat(s.get("share")).as("the share on the pupil's page").isEqualTo(told);
                compared++;
            }
            JsonNode share = s.get("share");
            assertThat(s.get("hits").intValue() + s.get("misses").intValue()).isPositive();
            assertThat(share.get("share").doubleValue())
                    .isBetween(share.get("low").doubleValue(), share.get("high").doubleValue());
        }
        assertThat(compared).isPositive();
        assertThat(api.get("/api/planning").body().get("usual").get("paceM").doubleValue())
                .isEqualTo(0.75);
        assertThat(api.as("brambell")
                        .get("/api/classes/" + turnstones + "/shares")
                        .status())
                .as("another teacher's class")
                .isEqualTo(404);
    }

    /** What a pupil's page tells of each ladder with one side, by ladder and rung. */
    private Map<String, JsonNode> knownOnPage(String pupilId) {
        Map<String, JsonNode> known = new HashMap<>();
        for (JsonNode r : api.get("/api/pupils/" + pupilId + "/record").body().get("ladders")) {
            JsonNode sides = r.at("/advice/sides");
            if (sides.size() == 1 && sides.get(0).get("known").booleanValue())
                known.put(
                        r.get("ladderId").stringValue() + r.at("/advice/rungId").stringValue(),
                        sides.get(0).get("share"));
        }
        return known;
    }
}
