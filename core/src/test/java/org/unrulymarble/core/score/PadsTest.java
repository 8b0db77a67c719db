package org.unrulymarble.core.score;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.Cases;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.ladder.Measure;
import org.unrulymarble.core.ladder.Scoring;
import tools.jackson.databind.JsonNode;

/** What the taps on each measure's pad come to. The browser shows the same cases the same way. */
class PadsTest {

    /** One round of twenty seconds: Ada and Ben work, Cleo counts. */
    private static final int ROUND = 0;

    record Tap(RunEvent.Kind kind, Integer score, Long offsetMs, Double xCm, Double yCm, String note) {}

    record PadCase(
            String name, Measure measure, Scoring scoring, RunScript.Stairs stairs, List<Tap> taps, JsonNode expect) {
        @Override
        public String toString() {
            return name;
        }
    }

    static Stream<PadCase> cases() throws IOException {
        try (InputStream in = PadsTest.class.getResourceAsStream("/runs/pads.json")) {
            return Stream.of(Cases.JSON.readValue(in, PadCase[].class));
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void taps_come_to(PadCase c) {
        List<RunEvent> log = new ArrayList<>();
        for (Tap t : c.taps()) log.add(event(log.size(), t, "ada"));

        List<RoundResult> results = new RunLog(script(c.measure(), c.scoring(), c.stairs()))
                .add(log)
                .fold()
                .results();

        JsonNode expect = c.expect();
        if (expect.get("score").isNull()) {
            assertThat(results).isEmpty();
            return;
        }
        RoundResult ada = results.get(0);
        JsonNode got = Cases.JSON.valueToTree(ada);
        JsonNode detail = Cases.JSON.valueToTree(ada.detail());
        expect.properties().stream()
                // The next place is for the screen only.
                .filter(e -> !e.getKey().equals("next"))
                .forEach(e -> assertThat(got.has(e.getKey()) ? got.get(e.getKey()) : detail.get(e.getKey()))
                        .as(e.getKey())
                        .isEqualTo(e.getValue()));
    }

    @Test
    void each_side_of_a_match_has_its_own_points() {
        List<RunEvent> log = List.of(
                event(0, new Tap(RunEvent.Kind.ENDED, 2, null, null, null, "A"), "ada"),
                event(1, new Tap(RunEvent.Kind.ENDED, 3, null, null, null, "B"), "ada"));

        assertThat(new RunLog(script(Measure.MATCH, Scoring.NONE, null))
                        .add(log)
                        .fold()
                        .results())
                .extracting(RoundResult::pupilId, RoundResult::score, RoundResult::jointWith)
                .containsExactly(tuple("ada", 2, List.of()), tuple("ben", 3, List.of()));
    }

    @Test
    void a_pupil_put_on_another_rung_is_scored_by_that_rung_from_there_on() {
        RunScript script = script(Measure.COUNT_IN_TIME, Scoring.NONE, null);
        List<RunEvent> log = new ArrayList<>(List.of(
                event(0, new Tap(RunEvent.Kind.HIT, null, null, null, null, null), "ada"),
                event(1, new Tap(RunEvent.Kind.HIT, null, null, null, null, null), "ada"),
                event(2, new Tap(RunEvent.Kind.MISS, null, null, null, null, null), "ada"),
                event(3, new Tap(RunEvent.Kind.HIT, null, null, null, null, null), "ada")));
        assertThat(new RunLog(script).add(log).fold().results().get(0).score()).isEqualTo(3);

        log.add(event(5, new Tap(RunEvent.Kind.WORD, null, null, null, null, "RIGHT"), "ada"));
        log.add(event(4, new Tap(RunEvent.Kind.RUNG, null, null, null, null, "higher"), "ada"));
        RoundResult after = new RunLog(script).add(log).fold().results().get(0);
        assertThat(List.of(after.rungId(), after.score())).containsExactly("higher", 2);
        // What was said of the round was said of that rung.
        assertThat(new RunLog(script).add(log).fold().remarks())
                .singleElement()
                .satisfies(r -> assertThat(r.rungId()).isEqualTo("higher"));
    }

    @Test
    void a_trial_is_marked_and_what_is_typed_in_afterwards_too() {
        List<RunEvent> log = new ArrayList<>(List.of(
                event(0, new Tap(RunEvent.Kind.COLLECT, 4, null, null, null, null), "ada"),
                event(1, new Tap(RunEvent.Kind.TRIAL, null, null, null, null, null), null),
                event(2, new Tap(RunEvent.Kind.FINISH, null, null, null, null, null), null),
                event(3, new Tap(RunEvent.Kind.COLLECT, 7, null, null, null, null), "ben")));

        assertThat(new RunLog(script(Measure.COUNT_IN_TIME, Scoring.NONE, null))
                        .add(log)
                        .fold()
                        .results())
                .extracting(RoundResult::score, RoundResult::source, RoundResult::trial)
                .containsExactly(tuple(4, RoundResult.Source.PARTNER, true), tuple(7, RoundResult.Source.TYPED, true));
    }

    private static RunEvent event(int number, Tap t, String pupil) {
        return new RunEvent(
                new UUID(0x7000, number),
                t.kind(),
                1_000L + number,
                ROUND,
                t.offsetMs(),
                1,
                pupil,
                t.score(),
                null,
                null,
                "tablet",
                t.note(),
                t.xCm(),
                t.yCm());
    }

    private static RunScript script(Measure measure, Scoring scoring, RunScript.Stairs stairs) {
        RunScript.ScriptTurn turn = new RunScript.ScriptTurn(
                0, 0, List.of(new RunScript.Crew(0, List.of("ada", "ben"), List.of("cleo"))), List.of());
        return new RunScript(
                List.of(new Segment(ROUND, 0, Segment.Kind.WORK, 0, 20, 0, 0, 0)),
                List.of(new RunScript.ScriptBlock(
                        RunScript.BlockKind.TASK,
                        "l",
                        "lower",
                        Map.of(),
                        List.of(),
                        measure,
                        List.of(
                                new RunScript.ScriptRung("lower", measure, scoring, stairs),
                                new RunScript.ScriptRung("higher", Measure.LONGEST_RUN, Scoring.NONE, null)),
                        false,
                        null,
                        null,
                        null,
                        false,
                        List.of(Side.NONE),
                        null,
                        20,
                        true,
                        false,
                        List.of(),
                        null,
                        null,
                        null,
                        null,
                        List.of(turn))));
    }
}
