package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** What fits in each space of the demo, for its class of twenty-four and its store. */
@ApiTest
class FitsApiTest {

    @Autowired
    private Api api;

    private String turnstone;

    @BeforeEach
    void asTeacher() {
        api.as("okafor");
        turnstone = api.id("/api/classes", "Turnstone 6");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Sail loft               | FITS          | chest-pass-to-the-chalk, wall-and-back, called-marks, overarm-throw
            Sail loft               | WITH_CHANGE   | wall-serve-stepping-back, two-ball-drum, cradle
            Sail loft               | FEW_AT_A_TIME | along-the-wall, step-through-swing
            Sail loft               | NOT           | set-to-a-corner, wall-rally, running-finish, leaned-board
            Cloakroom corridor      | NOT           | chest-pass-to-the-chalk, wall-and-back, claps-and-turns, bound-and-freeze
            Cloakroom corridor      | FITS          | cup-and-sock, low-and-loud-dribble, table-top-taps
            Cloakroom corridor      | WITH_CHANGE   | drop-reaction, round-the-middle
            Cloakroom corridor      | FEW_AT_A_TIME | shoe-by-shoe, cross-overs
            Net store               | FITS          | chest-pass-to-the-chalk, wall-and-back, wake-the-joints
            Net store               | WITH_CHANGE   | set-to-a-corner, cross-overs
            Classroom, desks back   | FITS          | table-top-taps, drop-reaction, cup-and-sock
            Classroom, desks back   | WITH_CHANGE   | round-the-middle, finger-wake
            Classroom, desks back   | NOT           | low-and-loud-dribble, two-bounced, wall-and-back, long-arm-from-far
            Rope yard               | FITS          | chest-pass-to-the-chalk, overarm-throw
            Rope yard               | WITH_CHANGE   | running-finish, called-markers
            Home corner             | FITS          | table-top-taps, pulse-on-the-spot
            Home corner             | WITH_CHANGE   | cup-and-sock, round-the-middle, drop-reaction
            Home corner             | NOT           | low-and-loud-dribble, wall-and-back, sock-bullseye, shoe-by-shoe
            """)
    void each_space_takes_what_it_can_take(String space, String verdict, String ladders) {
        Map<String, JsonNode> fits = fits(space);

        for (String ladder : ladders.split(", "))
            assertThat(best(fits.get(ladder)).get("verdict").stringValue())
                    .as(
                            "%s in the %s: %s",
                            ladder, space, best(fits.get(ladder)).get("findings"))
                    .isEqualTo(verdict);
    }

    @Test
    void no_two_spaces_give_the_same_answer() {
        List<Map<String, String>> answers = List.of(
                        "Sail loft",
                        "Cloakroom corridor",
                        "Net store",
                        "Classroom, desks back",
                        "Rope yard",
                        "Home corner")
                .stream()
                .map(this::verdicts)
                .toList();

        assertThat(answers).doesNotHaveDuplicates();
        assertThat(answers.get(0)).hasSameSizeAs(api.get("/api/ladders").body());
    }

    @Test
    void whatever_does_not_fit_says_why_in_figures() {
        Map<String, JsonNode> loft = fits("Sail loft");

        for (JsonNode line : loft.values())
            if (!best(line).get("verdict").stringValue().equals("FITS"))
                assertThat(best(line).get("findings")).as(line.toString()).isNotEmpty();
        JsonNode tooLow = best(loft.get("wall-rally")).get("findings").get(0);
        assertThat(tooLow.get("code").stringValue()).isEqualTo("CEILING_TOO_LOW");
        assertThat(tooLow.get("figures").get("haveM").doubleValue()).isEqualTo(2.7);
        assertThat(tooLow.get("figures").get("needM").doubleValue()).isGreaterThan(2.7);
    }

    @Test
    void a_yard_that_is_wet_in_the_mornings_is_dry_after_noon() {
        assertThat(codes("Rope yard", "startMin=540")).contains("WET");
        assertThat(codes("Rope yard", "startMin=800")).doesNotContain("WET");
    }

    @Test
    void a_ladder_says_it_for_each_of_its_rungs() {
        JsonNode claps = api.get(
                        "/api/fits/claps-and-turns?classId=" + turnstone + "&spaceId=" + space("Cloakroom corridor"))
                .body();

        assertThat(claps.get("rungs")).hasSize(5);
        assertThat(api.get("/api/fits/no-such?classId=" + turnstone + "&spaceId=" + space("Sail loft"))
                        .status())
                .isEqualTo(404);
    }

    private List<String> codes(String space, String when) {
        return api.get("/api/fits?classId=" + turnstone + "&spaceId=" + space(space) + "&" + when)
                .body()
                .valueStream()
                .flatMap(line -> best(line).get("findings").valueStream())
                .map(f -> f.get("code").stringValue())
                .distinct()
                .toList();
    }

    private Map<String, String> verdicts(String space) {
        Map<String, String> verdicts = new LinkedHashMap<>();
        fits(space)
                .forEach(
                        (id, line) -> verdicts.put(id, best(line).get("verdict").stringValue()));
        return verdicts;
    }

    private Map<String, JsonNode> fits(String space) {
        String audience = space.equals("Home corner") ? "EACH_AT_HOME" : "CLASS";
        Map<String, JsonNode> byLadder = new LinkedHashMap<>();
        api.get("/api/fits?classId=" + turnstone + "&spaceId=" + space(space) + "&audience=" + audience)
                .body()
                .forEach(line -> byLadder.put(line.get("ladderId").stringValue(), line));
        return byLadder;
    }

    private String space(String name) {
        return api.id("/api/spaces", name);
    }

    private static JsonNode best(JsonNode line) {
        return line.get("best");
    }
}
