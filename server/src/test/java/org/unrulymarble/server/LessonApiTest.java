package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import tools.jackson.databind.JsonNode;

@ApiTest
class LessonApiTest {

    @Autowired
    private Api api;

    private String turnstone;
    private String loft;

    @BeforeEach
    void asTeacher() {
        api.as("okafor");
        turnstone = api.id("/api/classes", "Turnstone 6");
        loft = api.id("/api/spaces", "Sail loft");
    }

    @Test
    void a_lesson_is_rehearsed_with_what_is_known_of_the_class_and_nothing_is_kept() {
        String sail = "/api/lessons/" + api.id("/api/lessons", "Sail loft, wet Tuesday");
        JsonNode before = api.get(sail).body();
        JsonNode told = api.post(sail + "/rehearsed", "{\"lesson\":%s}".formatted(before.get("lesson")))
                .body();

        assertThat(told.get("plays").intValue()).isEqualTo(1000);
        assertThat(told.at("/endSec/low").doubleValue())
                .isLessThan(told.at("/endSec/high").doubleValue());
        assertThat(told.get("blocks")).hasSameSizeAs(before.at("/lesson/blocks"));
        JsonNode dribble = told.get("blocks").get(1);
        assertThat(dribble.get("pupils")).hasSize(24);
        // Not everybody is alike: this class's own abilities play.
        assertThat(dribble.get("pupils")
                        .valueStream()
                        .map(p -> Math.round(10 * p.get("chance").doubleValue()))
                        .distinct())
                .hasSizeGreaterThan(3);
        assertThat(api.get(sail).body().get("version")).isEqualTo(before.get("version"));
        assertThat(api.post(sail + "/rehearsed", "{}").status()).isEqualTo(400);
    }

    @Test
    void stations_are_put_where_they_may_be_and_grouped_by_what_is_known() {
        String sail = "/api/lessons/" + api.id("/api/lessons", "Sail loft, wet Tuesday");
        JsonNode put = threeStations(sail);
        assertThat(put.at("/circuits/0/stationIds")).hasSize(3);

        Api.Answer nowhere = edited(
                sail,
                put,
                "{\"type\":\"PLACE_STATION\",\"circuitId\":\"c\",\"blockId\":%s,\"xM\":100,\"yM\":1}"
                        .formatted(put.at("/circuits/0/stationIds/0")));
        assertThat(nowhere.status()).isEqualTo(400);
        assertThat(nowhere.text()).contains("edits[0].place", "must stay on the floor");

        JsonNode grouped = edited(sail, put, "{\"type\":\"GROUP_BY\",\"circuitId\":\"c\",\"mode\":\"EVEN\"}")
                .body();
        assertThat(grouped.at("/circuits/0/groups").valueStream().map(JsonNode::size))
                .containsExactly(8, 8, 8);
        assertThat(grouped.at("/circuits/0/groups").toString())
                .isNotEqualTo(edited(sail, put, "{\"type\":\"GROUP_BY\",\"circuitId\":\"c\",\"mode\":\"ALIKE\"}")
                        .body()
                        .at("/circuits/0/groups")
                        .toString());
    }

    @Test
    void stations_are_laid_as_well_as_can_be_and_that_is_proven() {
        String sail = "/api/lessons/" + api.id("/api/lessons", "Sail loft, wet Tuesday");
        JsonNode put = threeStations(sail);
        String ask = "{\"lesson\":%s,\"circuitId\":\"%s\"}";

        JsonNode laid = api.post(sail + "/laid", ask.formatted(put, "c")).body();

        assertThat(laid.get("share").doubleValue())
                .isPositive()
                .isCloseTo(laid.get("most").doubleValue(), within(1e-6));
        assertThat(laid.get("better").booleanValue())
                .isEqualTo(!laid.at("/lesson/circuits/0/places").isEmpty());
        assertThat(api.post(sail + "/laid", ask.formatted(put, "no such")).badFields())
                .containsExactly("circuitId");
    }

    /** The lesson with three of its tasks as stations of the circuit c. */
    private JsonNode threeStations(String path) {
        JsonNode lesson = api.get(path).body().get("lesson");
        String ids = lesson.get("blocks")
                .valueStream()
                .skip(1)
                .limit(3)
                .map(b -> b.get("id").toString())
                .collect(java.util.stream.Collectors.joining(","));
        return edited(path, lesson, "{\"type\":\"PUT_TOGETHER\",\"id\":\"c\",\"blockIds\":[%s]}".formatted(ids))
                .body();
    }

    private Api.Answer edited(String path, JsonNode lesson, String edit) {
        return api.post(path + "/edited", "{\"lesson\":%s,\"edits\":[%s]}".formatted(lesson, edit));
    }

    @Test
    void another_task_is_offered_in_a_ones_place_with_what_it_changes_and_nothing_is_saved() {
        String sail = "/api/lessons/" + api.id("/api/lessons", "Sail loft, wet Tuesday");
        JsonNode before = api.get(sail).body();
        String ask = "{\"lesson\":%s,\"blockId\":\"%s\",\"alone\":true}";
        String blockId = before.at("/lesson/blocks/1/id").stringValue();

        JsonNode told = api.post(sail + "/instead", ask.formatted(before.get("lesson"), blockId))
                .body();

        assertThat(told).isNotEmpty().allSatisfy(to -> {
            assertThat(to.get("alone").booleanValue()).isTrue();
            assertThat(to.get("ladderId")).isNotEqualTo(before.at("/lesson/blocks/1/ladderId"));
            assertThat(to.get("atOnce").intValue()).isPositive();
        });
        assertThat(api.get(sail).body()).isEqualTo(before);
        assertThat(api.post(sail + "/instead", ask.formatted(before.get("lesson"), "nowhere"))
                        .badFields())
                .containsExactly("blockId");
    }

    @Test
    void a_lesson_is_proposed_with_its_reasons_and_nothing_is_saved() {
        String sail = "/api/lessons/" + api.id("/api/lessons", "Sail loft, wet Tuesday");
        JsonNode before = api.get(sail).body();

        JsonNode found = api.post(
                        sail + "/proposed",
                        "{\"lesson\":%s,\"wanted\":{\"without\":[\"wake-the-joints\"]}}"
                                .formatted(before.get("lesson")))
                .body();

        List<String> ladders = found.get("lesson")
                .get("blocks")
                .valueStream()
                .map(b -> b.get("ladderId").stringValue())
                .filter(Objects::nonNull)
                .toList();
        assertThat(ladders)
                .hasSizeBetween(4, 7)
                .doesNotContain("wake-the-joints")
                .doesNotHaveDuplicates();
        assertThat(found.get("reasons").valueStream().map(r -> r.get("ladderId").stringValue()))
                .containsExactlyElementsOf(ladders);
        // Proven with stations too: no lesson is so much better, and none moves everybody more than the room allows.
        assertThat(found.get("gapShare").doubleValue()).isBetween(0.0, 0.3);
        assertThat(found.at("/minutes/movingShare").doubleValue())
                .isLessThanOrEqualTo(found.get("movingLimit").doubleValue());
        if (!found.at("/lesson/circuits").isEmpty())
            assertThat(found.at("/minutes/movingShare").doubleValue())
                    .isGreaterThan(found.at("/oneAfterTheOther/movingShare").doubleValue());
        assertThat(found.get("passedOver").size()).isEqualTo(5);
        assertThat(api.get(sail).body().get("lesson")).isEqualTo(before.get("lesson"));
    }

    @Test
    void a_lesson_is_saved_worked_out_and_found_again() {
        Api.Answer made = api.post("/api/lessons", lesson());

        assertThat(made.status()).as(made.text()).isEqualTo(201);
        assertThat(made.body().get("plan").get("totalSec").intValue()).isEqualTo(370);
        assertThat(api.get(path(made)).body()).isEqualTo(made.body());
    }

    @Test
    void a_save_from_an_older_version_is_refused_and_changes_nothing() {
        JsonNode first = api.post("/api/lessons", lesson()).body();
        String path = "/api/lessons/" + first.get("id").stringValue();
        String mine = lesson().replace("\"version\":null", "\"version\":0");
        assertThat(api.put(path, mine.replace("At the wall", "Renamed")).status())
                .isEqualTo(200);

        Api.Answer late = api.put(path, mine.replace("At the wall", "Too late"));

        assertThat(late.status()).isEqualTo(409);
        assertThat(late.body().get("currentVersion").intValue()).isEqualTo(1);
        assertThat(api.get(path).body().get("name").stringValue()).isEqualTo("Renamed");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            "minutes":20|"minutes":0|lesson.minutes
            "sets":1|"sets":0|lesson.blocks[0].sets
            "sets":1|"sets":1000|lesson.blocks[0].sets
            "sets":1|"sets":1.5|lesson.blocks[0].sets
            "sets":1|"sets":"2"|lesson.blocks[0].sets
            "sets":1|"sets":99999999999|lesson.blocks[0].sets
            "restSec":20|"restSec":-1|lesson.blocks[0].restSec
            "workSec":30|"workSec":null|lesson.blocks[0].dose.workSec
            "type":"CLOCK"|"type":"CALENDAR"|lesson.blocks[0].dose.type
            wall-and-back|nobody-knows-it|lesson.blocks[0].ladderId
            "At the wall"|"  "|name
            2026-12-01|someday|onDay
            "counted":true|"count":true|lesson.blocks[0].counted
            "modifiers":[]|"modifiers":["CLOTH_COVER"]|lesson.blocks[0].modifiers[0]
            """)
    void bad_input_names_its_field_and_saves_nothing(String good, String bad, String field) {
        int before = api.get("/api/lessons").body().size();
        assertThat(lesson()).contains(good);

        Api.Answer answer = api.post("/api/lessons", lesson().replace(good, bad));

        assertThat(answer.status()).as(answer.text()).isEqualTo(400);
        assertThat(answer.badFields()).containsExactly(field);
        assertThat(answer.body().get("errors").get(0).get("must").stringValue())
                .doesNotContain("{")
                .isNotBlank();
        assertThat(api.get("/api/lessons").body()).hasSize(before);
    }

    @Test
    void a_megabyte_of_name_and_no_json_are_told_plainly() {
        Api.Answer long1 = api.post("/api/lessons", lesson().replace("At the wall", "x".repeat(1_000_000)));
        assertThat(long1.status()).isEqualTo(400);
        assertThat(long1.badFields()).containsExactly("name");

        Api.Answer tooLong = api.post("/api/lessons", lesson().replace("At the wall", "x".repeat(17_000_000)));
        assertThat(tooLong.status()).isEqualTo(413);

        Api.Answer noJson = api.post("/api/lessons", "{oops");
        assertThat(noJson.status()).isEqualTo(400);
        assertThat(noJson.body().get("type").stringValue()).isEqualTo("urn:marble:no-json");
    }

    @Test
    void an_edit_answers_the_lesson_after_it_and_saves_nothing() {
        Api.Answer made = api.post("/api/lessons", lesson());
        String path = path(made) + "/edited";
        String edits = "{\"lesson\":%s,\"edits\":[%s]}";
        String cue = "{\"type\":\"GIVE_CUE\",\"blockId\":\"b1\",\"cue\":\"AFTER_A_TRY\"}";
        String free = "{\"type\":\"ADD_TIME\",\"id\":\"b2\",\"at\":0,\"kind\":\"FREE\",\"seconds\":null}";

        JsonNode after =
                api.post(path, edits.formatted(plan(), cue + "," + free)).body();

        assertThat(after.at("/blocks/0/explainSec").intValue()).isEqualTo(15);
        assertThat(after.at("/blocks/1/sets").intValue()).isEqualTo(2);
        assertThat(api.get(path(made)).body()).isEqualTo(made.body());

        Api.Answer refused = api.post(path, edits.formatted(plan(), free + "," + cue.replace("\"b1\"", "\"nobody\"")));
        assertThat(refused.badFields()).containsExactly("edits[1].blockId");
        assertThat(api.post(path, edits.formatted(plan(), "")).badFields()).containsExactly("edits");
        assertThat(api.post(path, edits.formatted(plan(), "{\"type\":\"DANCE\"}"))
                        .badFields())
                .containsExactly("edits[0].type");
    }

    @Test
    void a_lesson_is_copied_every_week_moved_with_the_later_ones_deleted_and_brought_back() {
        String noted = lesson().replace("\"minutes\":20", "\"minutes\":20,\"afterNote\":\"Bring more socks\"");
        Api.Answer first = api.post("/api/lessons", noted);
        String path = path(first);
        assertThat(first.body().at("/lesson/afterNote").stringValue()).isEqualTo("Bring more socks");

        JsonNode copies = api.post(path + "/copies", "{\"onDay\":\"2027-01-12\",\"times\":3,\"everyDays\":7}")
                .body();
        assertThat(copies.valueStream().map(l -> l.get("onDay").stringValue()))
                .containsExactly("2027-01-12", "2027-01-19", "2027-01-26");
        assertThat(copies.valueStream().map(l -> l.get("afterNote"))).allMatch(JsonNode::isNull);

        String second = "/api/lessons/" + copies.get(1).get("id").stringValue();
        assertThat(api.post(second + "/shifted", "{\"days\":7,\"andLater\":true}")
                        .body()
                        .valueStream()
                        .map(l -> l.get("onDay").stringValue()))
                .containsExactly("2027-01-26", "2027-02-02");
        assertThat(api.get(path).body().get("onDay")).isEqualTo(first.body().get("onDay"));

        api.delete(second);
        assertThat(api.get(second).status()).isEqualTo(404);
        assertThat(api.get("/api/lessons?classId=" + turnstone).text()).doesNotContain(second.substring(13));
        assertThat(api.post(second + "/back", "").body().get("onDay").stringValue())
                .isEqualTo("2027-01-26");
        assertThat(api.get(second).body().at("/lesson/blocks/0/id").stringValue())
                .isEqualTo("b1");

        assertThat(api.post(path + "/copies", "{\"times\":61}").badFields()).containsExactly("onDay", "times");
        assertThat(api.post(path + "/shifted", "{\"days\":400}").badFields()).containsExactly("days");
    }

    @Test
    void the_list_says_which_lessons_were_taught() {
        JsonNode lessons = api.get("/api/lessons?classId=" + turnstone).body();

        assertThat(lessons.valueStream()
                        .filter(l -> l.get("name").stringValue().startsWith("Lesson "))
                        .map(l -> l.get("taughtOn")))
                .isNotEmpty()
                .noneMatch(JsonNode::isNull);
        String planned = api.post("/api/lessons", lesson()).body().get("id").stringValue();
        assertThat(api.get("/api/lessons?classId=" + turnstone)
                        .body()
                        .valueStream()
                        .filter(l -> l.get("id").stringValue().equals(planned))
                        .map(l -> l.get("taughtOn")))
                .hasSize(1)
                .allMatch(JsonNode::isNull);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "GET /api/classes/{class}",
                "PUT /api/classes/{class}",
                "GET /api/classes/{class}/record",
                "GET /api/pupils/{pupil}/record",
                "GET /api/lessons?classId={class}",
                "GET /api/lessons/{lesson}",
                "PUT /api/lessons/{lesson}",
                "DELETE /api/lessons/{lesson}",
                "POST /api/lessons/{lesson}/mended",
                "POST /api/lessons/{lesson}/edited",
                "POST /api/lessons/{lesson}/proposed",
                "POST /api/lessons/{lesson}/rehearsed",
                "POST /api/lessons/{lesson}/instead",
                "POST /api/lessons/{lesson}/laid",
                "POST /api/lessons/{lesson}/copies",
                "POST /api/lessons/{lesson}/shifted",
                "POST /api/lessons/{lesson}/back",
                "POST /api/runs"
            })
    void nothing_of_somebody_elses_class_is_to_be_had(String route) {
        api.as("brambell");
        String theirs = api.id("/api/classes", "Sanderling 8");
        String pupil = api.get("/api/classes/" + theirs)
                .body()
                .get("pupils")
                .get(0)
                .get("id")
                .stringValue();
        String theirLesson = api.id("/api/lessons", "Net store jack night");
        api.as("okafor");
        String path = route.substring(route.indexOf(' ') + 1)
                .replace("{class}", theirs)
                .replace("{pupil}", pupil)
                .replace("{lesson}", theirLesson);
        String body = path.equals("/api/runs")
                ? "{\"lessonId\":\"%s\"}".formatted(theirLesson)
                : path.endsWith("/mended")
                        ? "{\"version\":0,\"finding\":\"PAST_BELL\"}"
                        : path.endsWith("/edited")
                                ? "{\"lesson\":%s,\"edits\":[{\"type\":\"REMOVE\",\"blockId\":\"b1\"}]}"
                                        .formatted(plan())
                                : path.endsWith("/laid")
                                        ? "{\"lesson\":%s,\"circuitId\":\"c\"}".formatted(plan())
                                        : path.endsWith("/instead")
                                                ? "{\"lesson\":%s,\"blockId\":\"b1\"}".formatted(plan())
                                                : path.endsWith("/proposed") || path.endsWith("/rehearsed")
                                                        ? "{\"lesson\":%s%s}"
                                                                .formatted(
                                                                        plan(),
                                                                        path.endsWith("/proposed")
                                                                                ? ",\"wanted\":{}"
                                                                                : "")
                                                        : path.endsWith("/shifted")
                                                                ? "{\"days\":7}"
                                                                : path.contains("/classes/")
                                                                        ? "{\"version\":0,\"name\":\"Mine\",\"pupils\":[]}"
                                                                        : lesson();

        Api.Answer answer = api.send(HttpMethod.valueOf(route.substring(0, route.indexOf(' '))), path, body);

        assertThat(answer.status()).as(answer.text()).isEqualTo(404);
        assertThat(answer.text()).doesNotContain("Sanderling");
        assertThat(api.post("/api/lessons", lesson().replace(turnstone, theirs)).status())
                .isEqualTo(404);
    }

    @Test
    void an_id_that_is_no_id_is_not_found_and_a_stranger_gets_nothing() {
        assertThat(api.get("/api/lessons/17").status()).isEqualTo(404);
        assertThat(api.get("/api/nothing").status()).isEqualTo(404);
        assertThat(api.asNobody().get("/api/lessons").status()).isEqualTo(401);
    }

    @Test
    void a_room_of_ones_own_must_have_some_floor() {
        String room =
                "{\"version\":null,\"name\":\"Cupboard\",\"place\":{\"surface\":\"TILES\",\"size\":{\"lengthM\":0.2,\"widthM\":300,\"ceilingM\":null,\"wall\":null}}}";

        Api.Answer answer = api.post("/api/spaces", room);

        assertThat(answer.badFields()).containsExactly("place.size.widthM");
        assertThat(api.post("/api/spaces", room.replace("300", "3")).badFields())
                .containsExactly("place.size.lengthM");
        String walled = room.replace("0.2", "9")
                .replace("300", "6")
                .replace("\"wall\":null", "\"wall\":{\"runM\":%s,\"depthM\":%s}");
        assertThat(api.post("/api/spaces", walled.formatted("20", "3")).badFields())
                .containsExactly("place.size.wall.runM");
        // Along the length there are 6 m in front of it, along the width 9.
        assertThat(api.post("/api/spaces", walled.formatted("8", "7")).badFields())
                .containsExactly("place.size.wall.depthM");
        assertThat(api.post("/api/spaces", walled.formatted("6", "9")).status()).isEqualTo(201);

        String more = walled.formatted("9", "3")
                .replace(
                        "\"surface\"",
                        "\"otherWalls\":[{\"edge\":\"%s\",\"fromM\":%s,\"stretch\":{\"runM\":%s,\"depthM\":3}}],\"surface\"");
        assertThat(api.post("/api/spaces", more.formatted("BOTTOM", "1", "20")).badFields())
                .containsExactly("place.otherWalls[0].stretch.runM");
        assertThat(api.post("/api/spaces", more.formatted("TOP", "1", "2")).badFields())
                .containsExactly("place.otherWalls[0].fromM");
        assertThat(api.post(
                                "/api/spaces",
                                more.replace("{\"edge\"", "null,{\"edge\"").formatted("TOP", "1", "2"))
                        .badFields())
                .containsExactly("place.otherWalls[0]");
        Api.Answer made = api.post("/api/spaces", more.formatted("BOTTOM", "1", "4"));
        assertThat(made.body().at("/place/otherWalls/0/stretch/runM").doubleValue())
                .isEqualTo(4);
    }

    private static String path(Api.Answer made) {
        return "/api/lessons/" + made.body().get("id").stringValue();
    }

    private String plan() {
        String doc = lesson();
        return doc.substring(doc.indexOf("\"lesson\":") + 9, doc.length() - 1);
    }

    private String lesson() {
        return """
                {"version":null,"classId":"%s","spaceId":"%s","name":"At the wall","onDay":"2026-12-01","lesson":{"minutes":20,
                "audience":"CLASS","restRule":"BETWEEN_SETS","transitionSec":30,"blocks":[{"id":"b1","ladderId":"wall-and-back",
                "rungId":"two-hands-bounce","modifiers":[],"dose":{"type":"CLOCK","workSec":30,"reps":null,"secPerRep":null},"sets":1,
                "sides":"EACH","setupSec":30,"explainSec":30,"countInSec":5,"sideSwapSec":5,"turnSwapSec":20,"restSec":20,
                "waitIsRest":true,"counted":true,"meanwhile":null}]}}""".formatted(turnstone, loft);
    }
}
