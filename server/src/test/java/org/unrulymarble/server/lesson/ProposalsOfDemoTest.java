package org.unrulymarble.server.lesson;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.unrulymarble.server.Api;
import org.unrulymarble.server.ApiTest;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * What is proposed to each class of the demo in each of its rooms, for each usual length. What comes out is left in a table to be read as a teacher
 * would: {@code target/proposals.md}.
 */
@ApiTest
@Tag("long")
class ProposalsOfDemoTest {

    private static final Path TABLE = Path.of("target/proposals.md");
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** What says that somebody cannot do what is planned. */
    private static final Set<String> CANNOT = Set.of(
            "TOO_FAST_TO_REACT", "AGE_UNSUITED", "SEES_LITTLE_BALL", "ADAPTATION_NO_VARIANT", "GATE_CANNOT_BE_MET");

    /** Of 40 minutes, for 24 pupils. */
    private static final Map<String, Double> LEAST_MOVING = Map.of("Sail loft", 0.55, "Cloakroom corridor", 0.45);

    @Autowired
    private Api api;

    /** @param wish of the ask, or nothing for as usual */
    record Asked(String teacher, String schoolClass, int pupils, String room, int minutes, String wish) {}

    private static final String ONE = "One at home";

    static Stream<Asked> everyClassRoomAndLength() {
        return Stream.concat(
                ofClasses(),
                Stream.of(20, 30, 40, 60).map(min -> new Asked("okafor", ONE, 1, "Home corner", min, "AS_USUAL")));
    }

    private static Stream<Asked> ofClasses() {
        return Stream.of(
                        new Asked("okafor", "Turnstone 6", 24, "", 0, ""),
                        new Asked("okafor", "Dunlin 5", 18, "", 0, ""),
                        new Asked("brambell", "Sanderling 8", 27, "", 0, ""))
                .flatMap(who -> Stream.of(
                                "Sail loft", "Cloakroom corridor", "Net store", "Classroom, desks back", "Rope yard")
                        .flatMap(room -> Stream.of(20, 30, 40, 60)
                                .flatMap(minutes -> Stream.of("AS_USUAL", "MORE_KINDS")
                                        .filter(wish -> wish.equals("AS_USUAL") || minutes == 40)
                                        .map(wish -> new Asked(
                                                who.teacher(),
                                                who.schoolClass(),
                                                who.pupils(),
                                                room,
                                                minutes,
                                                wish)))));
    }

    @BeforeAll
    static void head() throws IOException {
        Files.writeString(TABLE, """
                | Class, room, minutes | Moving | At most | Better by at most | Before the bell | What |
                |---|---|---|---|---|---|
                """);
    }

    @ParameterizedTest
    @MethodSource("everyClassRoomAndLength")
    void is_sound_suits_everybody_and_ends_within_a_minute_before_the_bell(Asked asked) throws IOException {
        api.as(asked.teacher());
        String classId = asked.pupils() == 1 ? one() : api.id("/api/classes", asked.schoolClass());
        String spaceId = api.id("/api/spaces", asked.room());
        JsonNode made = lesson(classId, spaceId, asked.minutes());
        String path = "/api/lessons/" + made.get("id").stringValue();

        JsonNode found = api.post(
                        path + "/proposed",
                        "{\"lesson\":%s,\"wanted\":{\"wish\":\"%s\"}}".formatted(made.get("lesson"), asked.wish()))
                .body();
        assertThat(found.get("lesson").isNull()).as("nothing fits").isFalse();
        ObjectNode doc = JSON.createObjectNode();
        for (String kept : List.of("version", "classId", "spaceId", "name", "onDay")) doc.set(kept, made.get(kept));
        doc.set("lesson", found.get("lesson"));
        JsonNode view = api.put(path, doc.toString()).body();
        write(asked, found, view);
        api.delete(path);
        if (asked.pupils() == 1) api.delete("/api/classes/" + classId);

        assertThat(codes(view, "STOP")).isEmpty();
        assertThat(codes(view, null)).doesNotContainAnyElementsOf(CANNOT);
        assertThat(view.at("/plan/blocks")
                        .valueStream()
                        .map(b -> b.get("perSpot").intValue()))
                .as("a partner for everybody")
                .allMatch(perSpot -> perSpot <= asked.pupils());
        double moving = found.at("/minutes/movingShare").doubleValue();
        assertThat(view.at("/plan/movingSecPerPupil").longValue())
                .as("what was told is what is planned")
                .isEqualTo(found.at("/minutes/movingSecPerPupil").longValue());
        assertThat(moving).isLessThanOrEqualTo(found.get("movingLimit").doubleValue());
        if (asked.pupils() == 24 && asked.minutes() == 40 && asked.wish().equals("AS_USUAL"))
            assertThat(moving).isGreaterThanOrEqualTo(LEAST_MOVING.getOrDefault(asked.room(), 0.0));
        assertThat(view.at("/plan/pastBellSec").longValue()).isBetween(-60L, 0L);
        if (asked.wish().equals("MORE_KINDS"))
            assertThat(view.at("/plan/blocks")
                            .valueStream()
                            .filter(b -> b.get("part").stringValue("").equals("MAIN"))
                            .map(b -> b.get("family").stringValue())
                            .distinct())
                    .hasSizeGreaterThanOrEqualTo(3);
    }

    private String one() {
        return api.post(
                        "/api/classes",
                        "{\"name\":\"%s\",\"pupils\":[{\"details\":{\"firstName\":\"Pim\",\"initial\":\"\",\"birthYear\":2015,\"strongHand\":\"RIGHT\"}}]}"
                                .formatted(ONE))
                .body()
                .get("id")
                .stringValue();
    }

    private JsonNode lesson(String classId, String spaceId, int minutes) {
        JsonNode any = api.get("/api/lessons").body().get(0);
        ObjectNode lesson = (ObjectNode) api.get("/api/lessons/" + any.get("id").stringValue())
                .body()
                .get("lesson")
                .deepCopy();
        lesson.put("minutes", minutes);
        lesson.putArray("blocks");
        lesson.putArray("circuits");
        Api.Answer made = api.post(
                "/api/lessons",
                "{\"version\":null,\"classId\":\"%s\",\"spaceId\":\"%s\",\"name\":\"Proposed, to be read\",\"onDay\":\"2026-12-14\",\"lesson\":%s}"
                        .formatted(classId, spaceId, lesson));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return made.body();
    }

    private static List<String> codes(JsonNode view, String level) {
        return view.get("findings")
                .valueStream()
                .filter(f -> level == null || f.get("level").stringValue().equals(level))
                .map(f -> f.get("code").stringValue())
                .toList();
    }

    private static void write(Asked asked, JsonNode found, JsonNode view) throws IOException {
        String what = found.at("/lesson/blocks")
                .valueStream()
                .filter(b -> !b.get("ladderId").isNull())
                .map(b -> b.get("sets").intValue() + " × " + b.get("ladderId").stringValue() + ": "
                        + b.get("rungId").stringValue())
                .collect(Collectors.joining(", "));
        JsonNode circuit = found.at("/lesson/circuits/0");
        if (!circuit.isMissingNode())
            what += "; stations " + circuit.get("stationIds").size() + " × " + circuit.get("rounds") + " × "
                    + circuit.get("workSec") + " s";
        JsonNode alone = found.get("oneAfterTheOther");
        Files.writeString(
                TABLE,
                "| %s (%d), %s, %d%s | %.0f %%%s | %.0f %% | %s | %d s | %s; %s |%n"
                        .formatted(
                                asked.schoolClass(),
                                asked.pupils(),
                                asked.room(),
                                asked.minutes(),
                                asked.wish().equals("AS_USUAL")
                                        ? ""
                                        : " " + asked.wish().toLowerCase(Locale.ROOT),
                                100 * found.at("/minutes/movingShare").doubleValue(),
                                alone.isNull()
                                        ? ""
                                        : " (%.0f)"
                                                .formatted(100
                                                        * alone.get("movingShare")
                                                                .doubleValue()),
                                100 * found.get("movingLimit").doubleValue(),
                                found.get("gapShare").isNull()
                                        ? "?"
                                        : "%.0f %%"
                                                .formatted(100
                                                        * found.get("gapShare").doubleValue()),
                                -view.at("/plan/pastBellSec").longValue(),
                                what,
                                codes(view, null)),
                StandardOpenOption.APPEND);
    }
}
