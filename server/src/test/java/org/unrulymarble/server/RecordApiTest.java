package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What is changed by hand in the record: nothing is silently overwritten, and nobody else's class is within reach. */
@ApiTest
class RecordApiTest {

    private static final String LADDER = "clap-and-collect";
    private static final String RUNG = "one-hand-in";

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Autowired
    private Api api;

    private String classId;
    private String pupil;

    @BeforeEach
    void aPupil() {
        api.as("okafor");
        classId = api.id("/api/classes", "Dunlin 5");
        pupil = api.get("/api/classes/" + classId + "/record")
                .body()
                .get("pupils")
                .get(0)
                .get("pupilId")
                .stringValue();
    }

    private JsonNode ofClass() {
        return api.get("/api/classes/" + classId + "/record").body();
    }

    @Test
    void a_tally_is_corrected_with_a_reason_and_what_it_was_stays() {
        JsonNode first = record().get("attempts").get(0).get("attempt");
        int rounds = record().get("rounds").intValue();
        String path = "/api/attempts/" + first.get("id").stringValue() + "/corrections";
        int was = first.get("score").intValue();
        String body = "{\"seenScore\":%d,\"score\":%d,\"hits\":null,\"misses\":null,\"struck\":%s,\"reason\":\"%s\"}";

        Api.Answer unsaid = api.post(path, body.formatted(was, was + 1, false, " "));
        assertThat(unsaid.status()).isEqualTo(400);
        assertThat(unsaid.badFields()).containsExactly("reason");
        assertThat(api.post(path, body.formatted(was, was + 1, false, "misheard"))
                        .status())
                .isEqualTo(204);
        // Somebody who still sees the old figure does not overwrite the new one.
        assertThat(api.post(path, body.formatted(was, was + 9, false, "no")).status())
                .isEqualTo(409);
        assertThat(api.post(path, body.formatted(was + 1, was + 1, true, "not this pupil"))
                        .status())
                .isEqualTo(204);

        JsonNode now = record();
        assertThat(now.get("attempts").get(0).get("attempt").get("score").intValue())
                .isEqualTo(was + 1);
        assertThat(now.get("attempts").get(0).get("struck").booleanValue()).isTrue();
        assertThat(now.get("corrections").valueStream().map(c -> c.get("reason").stringValue()))
                .containsExactly("misheard", "not this pupil");
        assertThat(now.get("corrections").get(0).get("before").get("score").intValue())
                .isEqualTo(was);
        // Struck out, it counts for nothing.
        assertThat(now.get("rounds").intValue()).isEqualTo(rounds - 1);
        assertThat(api.post(path, body.formatted(was + 1, was, false, "it was as it was"))
                        .status())
                .isEqualTo(204);
    }

    @Test
    void a_game_from_a_sheet_is_kept_once_for_those_of_the_class_who_played() {
        JsonNode pupils = api.get("/api/classes/" + classId).body().get("pupils");
        String other = pupils.get(1).get("id").stringValue();
        String foreign = api.get("/api/classes/" + api.id("/api/classes", "Turnstone 6"))
                .body()
                .at("/pupils/0/id")
                .stringValue();
        String game = """
                {"type":"BOWLING","id":"%s","on":"%s","ladderId":"bowl-at-rings","rungId":"%s","sheet":{"balls":[
                {"batter":"B","bowler":"X","zone":"FAIR","bounced":false,"jerkyArm":false,"footOver":false},
                {"batter":"B","bowler":"Y","zone":"HIGH","bounced":false,"jerkyArm":false,"footOver":false}],
                "batterNow":"B","bowlerNow":"Y"},"bowlers":{"X":"%s","Y":"%s"}}""";
        String path = "/api/classes/" + classId + "/games";
        UUID id = UUID.randomUUID();
        LocalDate today = LocalDate.now();
        int before = record().get("rounds").intValue();

        assertThat(api.post(path, game.formatted(id, today, "past-a-batter", pupil, foreign))
                        .badFields())
                .containsExactly("pupilIds");
        assertThat(api.post(path, game.formatted(id, today, "near-rings", pupil, other))
                        .badFields())
                .containsExactly("rungId");
        assertThat(api.post(path, game.formatted(id, today.plusDays(1), "past-a-batter", pupil, other))
                        .badFields())
                .containsExactly("on");
        String right = game.formatted(id, today, "past-a-batter", pupil, other);
        assertThat(api.post(path, right).body().get("kept").intValue()).isEqualTo(2);
        String playedOn = right.replace("\"bowler\":\"Y\",\"zone\":\"HIGH\"", "\"bowler\":\"X\",\"zone\":\"FAIR\"")
                .replace(",\"Y\":\"" + other + "\"", "");
        assertThat(api.post(path, playedOn).body().get("kept").intValue())
                .as("played on and kept again it is the same game")
                .isEqualTo(1);

        assertThat(record().get("rounds").intValue()).isEqualTo(before + 1);
        assertThat(record().get("attempts").valueStream().map(a -> a.get("attempt")))
                .anySatisfy(a -> assertThat(a.toString()).contains("\"rungId\":\"past-a-batter\"", "\"hits\":2"));
    }

    @Test
    void what_is_typed_in_counts_less_until_it_is_confirmed() {
        String typed = """
                {"on":"%s","ladderId":"%s","rungId":"%s","side":"RIGHT","score":20,"hits":20,"misses":0,"workSec":40,
                "where":"HOME","seen":false}""".formatted(LocalDate.now(), LADDER, RUNG);
        api.post("/api/pupils/" + pupil + "/standings", word(RUNG, "here"));
        double before = right().get("weightedTries").doubleValue();
        JsonNode lesson = ofClass().get("lastAtSchool");
        assertThat(api.post("/api/pupils/" + pupil + "/attempts", typed).status())
                .isEqualTo(204);
        assertThat(right().get("weightedTries").doubleValue()).isCloseTo(before + 10, within(1e-9));
        assertThat(right().get("unconfirmedShare").doubleValue()).isPositive();

        JsonNode after = ofClass();
        assertThat(after.get("lastDay").stringValue()).isEqualTo(LocalDate.now().toString());
        assertThat(after.get("lastAtSchool"))
                .as("a day at home is no lesson")
                .isNotNull()
                .isEqualTo(lesson);

        String id = right().get("evidence").get(0).get("attemptId").stringValue();
        assertThat(api.post("/api/attempts/" + id + "/confirm", "{}").status()).isEqualTo(204);
        assertThat(right().get("weightedTries").doubleValue()).isCloseTo(before + 20, within(1e-9));

        Api.Answer tomorrow = api.post(
                "/api/pupils/" + pupil + "/attempts",
                typed.replace(
                        LocalDate.now().toString(), LocalDate.now().plusDays(1).toString()));
        assertThat(tomorrow.badFields()).containsExactly("on");
    }

    @Test
    void figures_are_learnt_from_the_records_by_an_administrator_and_every_page_is_read_by_them_then() {
        assertThat(api.get("/api/skill").body().get("learntMs").isNull()).isTrue();
        assertThat(api.post("/api/skill/learn", "{}").status()).isEqualTo(403);
        double before = right().get("abilitySd").doubleValue();

        api.as("quay");
        JsonNode learnt = api.post("/api/skill/learn", "{}").body();
        assertThat(learnt.get("version").intValue()).isEqualTo(1);
        assertThat(learnt.get("tries").intValue()).isGreaterThan(1000);
        assertThat(learnt.get("pupils").intValue()).isGreaterThan(24);

        api.as("okafor");
        assertThat(api.get("/api/skill").body()).isEqualTo(learnt);
        assertThat(right().get("abilitySd").doubleValue()).isNotEqualTo(before);
        // One number everywhere: the class's page says of this pupil what their own page says.
        JsonNode brief = api.get("/api/classes/" + classId + "/record")
                .body()
                .get("onLadders")
                .valueStream()
                .filter(o -> o.get("pupilId").stringValue().equals(pupil)
                        && o.get("ladderId").stringValue().equals(LADDER))
                .findFirst()
                .orElseThrow();
        assertThat(brief.get("sides").get(0).get("ability").doubleValue())
                .isEqualTo(right().get("ability").doubleValue());
    }

    @Test
    void a_word_of_the_teacher_sets_the_own_rung_and_is_kept_beside_the_earlier_ones() {
        api.post("/api/pupils/" + pupil + "/standings", word("both-hands", "start again"));
        api.post("/api/pupils/" + pupil + "/standings", word(RUNG, "saw it in the yard"));

        JsonNode advice = advice();
        assertThat(advice.get("rungId").stringValue()).isEqualTo(RUNG);
        assertThat(advice.get("stands").get("by").stringValue()).startsWith("Ms Okafor");
        assertThat(record().get("standings").size()).isGreaterThanOrEqualTo(2);
        assertThat(api.post("/api/pupils/" + pupil + "/standings", word("no-such-rung", "?"))
                        .badFields())
                .containsExactly("rungId");
    }

    @Test
    void the_class_chooses_how_it_decides_and_an_older_choice_does_not_overwrite_a_newer() {
        String path = "/api/classes/" + classId + "/readiness";
        JsonNode usual = api.get(path).body();
        String chosen = usual.toString().replace("\"RECKONED\"", "\"IN_A_ROW\"");

        assertThat(api.put(path, chosen).status()).isEqualTo(200);
        assertThat(api.get(path).body().get("readiness").get("school").stringValue())
                .isEqualTo("IN_A_ROW");
        assertThat(api.put(path, chosen).status()).isEqualTo(409);
        String standards = "/api/classes/" + classId + "/ladders/" + LADDER + "/standards";
        JsonNode gates = api.get(standards).body().get(0);
        String key = LADDER + "/" + gates.get("rungId").stringValue();
        String said = "\"ofRungs\":{\"" + key + "\":%s}";
        assertThat(api.put(path, api.get(path).text().replace("\"ofRungs\":{}", said.formatted("0.55")))
                        .status())
                .isEqualTo(200);
        JsonNode own = api.get(standards).body().get(0);
        assertThat(own.get("share").doubleValue()).isEqualTo(0.55);
        assertThat(own.get("gates")).isEqualTo(gates.get("share"));
        assertThat(api.put(path, api.get(path).text().replace(":0.55}", ":1.5}"))
                        .badFields())
                .containsExactly("readiness.ofRungs[" + key + "]");
        assertThat(api.put(path, api.get(path).text().replace(said.formatted("0.55"), "\"ofRungs\":{}"))
                        .status())
                .isEqualTo(200);

        Api.Answer bad = api.put(path, api.get(path).text().replace("\"holdShare\":0.8", "\"holdShare\":0.4"));
        assertThat(bad.badFields()).containsExactly("readiness.holdShare");
        assertThat(api.put(path, api.get(path).text().replace("IN_A_ROW", "RECKONED"))
                        .status())
                .isEqualTo(200);
    }

    /** The matrix is kept, not worked out at each look: after every kind of change it must say what a look at all attempts says. */
    @Test
    void what_is_kept_of_a_class_is_what_would_be_worked_out_anew() {
        String typed = """
                {"on":"%s","ladderId":"%s","rungId":"%s","side":"LEFT","score":30,"hits":30,"misses":1,"workSec":40,
                "where":"HOME","seen":false}""".formatted(LocalDate.now(), LADDER, RUNG);
        String mine = "/api/pupils/" + pupil;
        List<Runnable> changes = List.of(
                () -> api.post(mine + "/attempts", typed),
                () -> api.post("/api/attempts/" + newest() + "/confirm", "{}"),
                () -> api.post(
                        "/api/attempts/" + newest() + "/corrections",
                        "{\"seenScore\":30,\"score\":2,\"hits\":2,\"misses\":20,\"struck\":false,\"reason\":\"misheard\"}"),
                () -> api.post(mine + "/standings", word("both-hands", "from the start")),
                () -> api.post(mine + "/standings", word(RUNG, "no, here")),
                () -> api.post("/api/classes/" + classId + "/results", """
                        {"text":"pupil,day,ladder,rung,score\\n%s,%s,four-corners,%s,5\\n","dryRun":false}""".formatted(
                                record().get("name").stringValue(), LocalDate.now(), firstRung("four-corners"))));
        api.post(mine + "/standings", word(RUNG, "here"));
        JsonNode before = looked();
        for (int i = 0; i < changes.size(); i++) {
            changes.get(i).run();
            JsonNode kept = looked();
            assertThat(kept).as("change " + i + " is seen").isNotEqualTo(before);
            workOutAnew();
            assertThat(looked()).as("after change " + i).isEqualTo(kept);
            before = kept;
        }
    }

    private JsonNode looked() {
        return JSON.readTree("[%s,%s]"
                .formatted(
                        api.get("/api/classes/" + classId + "/record").text(),
                        record().get("ladders").toString()));
    }

    /** The class decides as before, said once more: nothing that was kept is trusted any longer. */
    private void workOutAnew() {
        String path = "/api/classes/" + classId + "/readiness";
        assertThat(api.put(path, api.get(path).text()).status()).isEqualTo(200);
    }

    private String newest() {
        return record().get("attempts").get(0).get("attempt").get("id").stringValue();
    }

    private String firstRung(String ladderId) {
        for (JsonNode l : api.get("/api/ladders").body())
            if (l.get("id").stringValue().equals(ladderId))
                return l.get("rungs").get(0).get("id").stringValue();
        throw new AssertionError(ladderId);
    }

    private static String word(String rungId, String reason) {
        return "{\"ladderId\":\"%s\",\"rungId\":\"%s\",\"reason\":\"%s\"}".formatted(LADDER, rungId, reason);
    }

    private JsonNode record() {
        return api.get("/api/pupils/" + pupil + "/record").body();
    }

    private JsonNode advice() {
        return api.get("/api/pupils/" + pupil + "/ladders/" + LADDER + "/record")
                .body()
                .get("advice");
    }

    private JsonNode right() {
        return advice().get("sides")
                .valueStream()
                .filter(s -> s.get("side").stringValue().equals("RIGHT"))
                .findFirst()
                .orElseThrow();
    }
}
