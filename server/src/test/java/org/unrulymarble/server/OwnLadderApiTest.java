package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A school's own ladders: written, changed, retired, and as files in and out. */
@ApiTest
class OwnLadderApiTest {

    @Autowired
    private Api api;

    @Autowired
    private JsonMapper json;

    @BeforeEach
    void asTeacher() {
        api.as("okafor");
    }

    @Test
    void a_copy_of_a_shipped_ladder_is_ones_own_and_can_be_found_planned_and_retired() {
        ObjectNode mine = copy("sock-bullseye", "own-kerb", "Kerbstone bullseye");
        JsonNode made = create(mine);

        assertThat(search("kerbstone")).containsExactly("own-kerb");
        String lesson = plan("own-kerb", "big-ring");
        assertThat(used("own-kerb", "big-ring")).isEqualTo(1);

        assertThat(api.put(
                                "/api/ladders/own/own-kerb/retired",
                                "{\"version\":%s,\"retired\":true}".formatted(made.get("version")))
                        .status())
                .isEqualTo(200);
        assertThat(search("kerbstone")).isEmpty();
        assertThat(api.get(lesson).body().get("plan").get("blocks")).hasSize(1);
        assertThat(ladder("own-kerb").get("name").stringValue()).isEqualTo("Kerbstone bullseye");
    }

    @Test
    void a_rung_may_be_played_with_other_kit_than_its_ladder() {
        JsonNode made = create(copy("sock-bullseye", "own-kit", "Played with two things"));
        ObjectNode changed = ladder("own-kit");
        // As a screen has it: with the words of the kinds, which are only shown.
        JsonNode first = changed.get("kit").get(0);
        ((ObjectNode) changed.get("rungs").get(1))
                .putObject("kit")
                .set("without", changed.arrayNode().add(first.get("role").stringValue()));
        ((ObjectNode) changed.get("rungs").get(1).get("kit"))
                .set("more", changed.arrayNode().add(first.deepCopy()));

        Api.Answer saved = change("own-kit", made.get("version").longValue(), changed);

        assertThat(saved.status()).as(saved.text()).isEqualTo(200);
        JsonNode own = saved.body().get("ladder").get("rungs").get(1).get("kit");
        assertThat(own.get("without").get(0).stringValue())
                .isEqualTo(first.get("role").stringValue());
        assertThat(own.get("more").get(0)).isEqualTo(first);
        ((ObjectNode) changed.get("rungs").get(1).get("kit").get("more").get(0)).put("perSpot", 41);
        assertThat(change("own-kit", saved.body().get("version").longValue(), changed)
                        .badFields())
                .contains("ladder.rungs[1].kit.more[0].perSpot");
    }

    @Test
    void rungs_may_move_and_come_between_but_one_that_is_used_stays() {
        JsonNode made = create(copy("sock-bullseye", "own-moved", "Moved about"));
        plan("own-moved", "plate-ring");

        ObjectNode changed = ladder("own-moved");
        // The second rung goes to the end; a new one comes in its place.
        ObjectNode second = (ObjectNode) changed.withArray("rungs").remove(1);
        ObjectNode fresh = second.deepCopy();
        fresh.put("id", "new-one").put("name", "A rung between");
        changed.withArray("rungs").insert(1, fresh).add(second);
        JsonNode after =
                change("own-moved", made.get("version").longValue(), changed).body();
        assertThat(used("own-moved", "plate-ring")).isEqualTo(1);

        ObjectNode without = ladder("own-moved");
        without.withArray("rungs").remove(2);
        Api.Answer refused = change("own-moved", after.get("version").longValue(), without);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.badFields()).containsExactly("ladder.rungs");
        assertThat(refused.text()).contains("Ring as big as a plate").contains("used once");
        assertThat(ladder("own-moved").get("rungs")).hasSize(5);
        assertThat(api.send(HttpMethod.DELETE, "/api/ladders/own/own-moved", null)
                        .status())
                .isEqualTo(400);
    }

    @Test
    void what_is_wrong_is_named_at_its_field_and_an_old_version_is_refused() {
        ObjectNode bad = copy("sock-bullseye", "own-bad", "Bad");
        ((ObjectNode) bad.get("rungs").get(2).get("pace")).put("hitSec", 0);
        assertThat(api.post("/api/ladders/own", doc(null, bad)).badFields())
                .containsExactly("ladder.rungs[2].pace.hitSec");

        ObjectNode empty = copy("sock-bullseye", "own-bad", "");
        empty.withArray("cues").removeAll();
        ((ObjectNode) empty.get("rungs").get(0)).put("task", "").put("unit", " ");
        ((ObjectNode) empty.get("rungs").get(3).get("gate")).put("reach", 0);
        assertThat(api.post("/api/ladders/own", doc(null, empty)).badFields())
                .as("all of it at once")
                .containsExactlyInAnyOrder(
                        "ladder.name",
                        "ladder.cues",
                        "ladder.rungs[0].task",
                        "ladder.rungs[0].unit",
                        "ladder.rungs[3].gate.reach");

        ObjectNode noKind = copy("sock-bullseye", "own-bad", "Bad");
        ((ObjectNode) noKind.get("kit").get(0)).put("kind", "moon-rock");
        assertThat(api.post("/api/ladders/own", doc(null, noKind)).badFields()).containsExactly("ladder.kit[0].kind");

        assertThat(api.post("/api/ladders/own", doc(null, copy("sock-bullseye", "wall-and-back", "Taken")))
                        .badFields())
                .containsExactly("ladder.id");

        JsonNode made = create(copy("sock-bullseye", "own-stale", "Stale"));
        long version = made.get("version").longValue();
        assertThat(change("own-stale", version, ladder("own-stale").put("name", "Fresh"))
                        .status())
                .isEqualTo(200);
        assertThat(change("own-stale", version, ladder("own-stale").put("name", "Late"))
                        .status())
                .isEqualTo(409);
        assertThat(ladder("own-stale").get("name").stringValue()).isEqualTo("Fresh");
    }

    @Test
    void a_helper_reads_but_does_not_write() {
        ObjectNode mine = copy("sock-bullseye", "own-helper", "Helper's");
        api.as("helper");

        assertThat(api.get("/api/ladders").status()).isEqualTo(200);
        assertThat(api.post("/api/ladders/own", doc(null, mine)).status()).isEqualTo(403);
        assertThat(take("x.yaml", "ladders: []", true).status()).isEqualTo(403);
    }

    @Test
    void what_was_exported_is_taken_back_all_or_nothing() {
        create(copy("sock-bullseye", "own-out", "Kittiwake ring"));
        String yaml = api.get("/api/ladders/export?format=YAML&ids=own-out").text();
        String asJson = api.get("/api/ladders/export?format=JSON&ids=own-out").text();
        assertThat(api.send(HttpMethod.DELETE, "/api/ladders/own/own-out", null).status())
                .isEqualTo(204);

        assertThat(whats(take("mine.yaml", yaml, true))).containsExactly("NEW");
        assertThat(search("kittiwake")).isEmpty();
        assertThat(whats(take("mine.yaml", yaml, false))).containsExactly("NEW");
        assertThat(whats(take("mine.json", asJson, false))).containsExactly("SAME");
        assertThat(whats(take("mine.json", asJson.replace("Kittiwake ring", "Kittiwake ring again"), false)))
                .containsExactly("CHANGED");
        assertThat(ladder("own-out").get("name").stringValue()).isEqualTo("Kittiwake ring again");

        String two = yaml
                + yaml.substring(yaml.indexOf("- id:"))
                        .replace("id: own-out", "id: own-second")
                        .replace("noise: quiet", "noise: deafening");
        Api.Answer refused = take("two.yaml", two.replace("Kittiwake ring", "Not this"), false);
        assertThat(refused.status()).isEqualTo(400);
        JsonNode trouble = refused.body().get("troubles").get(0);
        assertThat(trouble.get("ladder").stringValue()).isEqualTo("own-second");
        assertThat(trouble.get("field").stringValue()).isEqualTo("noise");
        assertThat(trouble.get("must").stringValue()).contains("quiet, bounce, loud");
        assertThat(two.lines().toList().get(trouble.get("line").intValue() - 1)).contains("noise: deafening");
        assertThat(ladder("own-out").get("name").stringValue()).isEqualTo("Kittiwake ring again");
    }

    @Test
    void a_file_brings_the_kit_that_this_school_does_not_know_and_counts_none_of_it() {
        String yaml = api.get("/api/ladders/export?format=YAML&ids=sock-bullseye")
                .text()
                .replace("id: sock-bullseye", "id: own-noodles")
                .replaceFirst("kind: sock-ball", "kind: own-noodle")
                .replace(
                        "ladders:",
                        "kinds:\n- {id: own-noodle, name: swim noodle, group: stick, soft: true}\nladders:");

        assertThat(whats(take("noodles.yaml", yaml, true))).containsExactly("NEW");
        assertThat(api.get("/api/kit").text()).doesNotContain("own-noodle");
        take("noodles.yaml", yaml, false);
        for (JsonNode item : api.get("/api/kit").body().get("items"))
            if (item.get("kind").get("id").stringValue().equals("own-noodle"))
                assertThat(item.get("count").intValue()).isZero();
        assertThat(api.get("/api/ladders/export?format=YAML&ids=own-noodles").text())
                .contains("name: swim noodle");
    }

    @Test
    void a_shipped_ladder_is_not_overwritten_by_a_file() {
        String shipped =
                api.get("/api/ladders/export?format=YAML&ids=wall-and-back").text();

        assertThat(whats(take("same.yaml", shipped, false))).containsExactly("SAME");
        Api.Answer refused = take("other.yaml", shipped.replace("name: Wall and back", "name: Mine"), false);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.body().get("troubles").get(0).get("rule").stringValue())
                .isEqualTo("SHIPPED");
        assertThat(api.get("/api/ladders/schema").body().get("$defs").has("rung"))
                .isTrue();
    }

    private ObjectNode copy(String of, String id, String name) {
        return ladder(of).put("id", id).put("name", name);
    }

    private ObjectNode ladder(String id) {
        for (JsonNode l : api.get("/api/ladders").body())
            if (l.get("id").stringValue().equals(id)) return (ObjectNode) l;
        throw new AssertionError("no ladder " + id);
    }

    private JsonNode create(ObjectNode ladder) {
        Api.Answer made = api.post("/api/ladders/own", doc(null, ladder));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return made.body();
    }

    private Api.Answer change(String id, long version, ObjectNode ladder) {
        return api.put("/api/ladders/own/" + id, doc(version, ladder));
    }

    private static String doc(Long version, ObjectNode ladder) {
        return "{\"version\":" + version + ",\"ladder\":" + ladder + "}";
    }

    private Api.Answer take(String name, String text, boolean dryRun) {
        return api.post(
                "/api/ladders/import",
                json.createObjectNode()
                        .put("name", name)
                        .put("text", text)
                        .put("dryRun", dryRun)
                        .toString());
    }

    private static List<String> whats(Api.Answer taken) {
        assertThat(taken.status()).as(taken.text()).isEqualTo(200);
        return taken.body().valueStream().map(t -> t.get("what").stringValue()).toList();
    }

    private List<String> search(String words) {
        return api.get("/api/ladders/search?words=" + words)
                .body()
                .valueStream()
                .map(JsonNode::stringValue)
                .toList();
    }

    private long used(String ladder, String rung) {
        for (JsonNode own : api.get("/api/ladders/own").body())
            if (own.get("id").stringValue().equals(ladder))
                return own.get("used").path(rung).asLong(0);
        throw new AssertionError("not mine: " + ladder);
    }

    /** The address of a lesson of one block. */
    private String plan(String ladder, String rung) {
        String lesson =
                """
                {"version":null,"classId":"%s","spaceId":"%s","name":"Own","onDay":"2026-12-01","lesson":{"minutes":30,"audience":"CLASS",
                "restRule":"BETWEEN_SETS","transitionSec":30,"blocks":[{"id":"b1","ladderId":"%s","rungId":"%s","dose":{"type":"CLOCK","workSec":40},
                "sets":2,"sides":"EACH","setupSec":20,"explainSec":25,"countInSec":5,"sideSwapSec":5,"turnSwapSec":10,"restSec":20,"waitIsRest":true,
                "counted":true}]}}""".formatted(api.id("/api/classes", "Turnstone 6"), api.id("/api/spaces", "Net store"), ladder, rung);
        Api.Answer made = api.post("/api/lessons", lesson);
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return "/api/lessons/" + made.body().get("id").stringValue();
    }
}
