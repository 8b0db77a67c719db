package org.unrulymarble.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.Cases;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.plan.World;
import org.unrulymarble.core.record.Against;
import org.unrulymarble.core.record.Attempt;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Runs worked out by hand. The browser's tests read the same files: what it shows before the server has answered passes them too. */
class RunCasesTest {

    private static final long START_MS = 1_000_000;
    private static final List<String> FILES = List.of("measures", "clock", "takes", "pupils", "bests", "stations");

    record RunCase(JsonNode told) {
        @Override
        public String toString() {
            return told.get("name").stringValue();
        }
    }

    static Stream<RunCase> cases() {
        return FILES.stream().flatMap(file -> read(file).valueStream().map(RunCase::new));
    }

    @ParameterizedTest
    @MethodSource("cases")
    void a_run_is_what_was_done(RunCase c) {
        JsonNode expect = c.told().get("expect");
        RunScript script = script(c.told());
        RunLog log = new RunLog(script).add(events(c.told().get("events")));
        long nowMs = START_MS + (long) (1000 * c.told().get("at").doubleValue());
        RunState state = log.fold(nowMs);
        Played played = log.played(nowMs);

        for (Map.Entry<String, JsonNode> e : expect.properties()) {
            JsonNode wanted = e.getValue();
            switch (e.getKey()) {
                case "position" ->
                    assertThat(state.clock().at(script, nowMs))
                            .isEqualTo(new RunClock.Position(
                                    wanted.get(0).intValue(), wanted.get(1).longValue()));
                case "playing" -> assertThat(state.clock().playing()).isEqualTo(wanted.booleanValue());
                case "stopped" -> assertThat(state.stopped()).isEqualTo(wanted.booleanValue());
                case "finished" -> assertThat(state.finished()).isEqualTo(wanted.booleanValue());
                case "away" ->
                    assertThat(state.away())
                            .containsExactlyInAnyOrderElementsOf(wanted.valueStream()
                                    .map(JsonNode::stringValue)
                                    .toList());
                case "disputes" -> assertThat(state.disputes()).hasSize(wanted.intValue());
                case "take" ->
                    wanted.properties()
                            .forEach(t -> assertThat(played.take(Integer.parseInt(t.getKey())))
                                    .as("take of %s", t.getKey())
                                    .isEqualTo(t.getValue().intValue()));
                case "trial" ->
                    wanted.properties()
                            .forEach(t -> assertThat(
                                            played.isTrial(new Played.RoundKey(Integer.parseInt(t.getKey()), 1)))
                                    .as("trial of %s", t.getKey())
                                    .isEqualTo(t.getValue().booleanValue()));
                case "rungs" ->
                    wanted.properties()
                            .forEach(round -> round.getValue()
                                    .properties()
                                    .forEach(
                                            p -> assertThat(played.rungOf(Integer.parseInt(round.getKey()), p.getKey()))
                                                    .isEqualTo(p.getValue().stringValue())));
                case "results" -> results(state.results(), wanted);
                case "next" -> {
                    // Where to stand next is for the screen alone.
                }
                case "best" -> best(state.results(), script, c.told(), wanted);
                default -> throw new AssertionError("nothing looks at " + e.getKey());
            }
        }
    }

    private static void results(List<RoundResult> got, JsonNode wanted) {
        assertThat(got).extracting(RoundResult::pupilId).hasSize(wanted.size());
        for (int i = 0; i < wanted.size(); i++) {
            ObjectNode flat = Cases.JSON.valueToTree(got.get(i));
            flat.set("pupil", flat.get("pupilId"));
            JsonNode time = flat.get("time");
            flat.set("workedSec", time.path("workedSec"));
            flat.set("askedSec", time.path("askedSec"));
            flat.set("brokenOff", time.path("brokenOff"));
            if (flat.get("detail") instanceof ObjectNode detail) flat.setAll(detail);
            for (Map.Entry<String, JsonNode> field : wanted.get(i).properties()) {
                JsonNode value = flat.path(field.getKey());
                JsonNode must = field.getValue();
                if (must.isNull())
                    assertThat(value.isNull() || value.isMissingNode())
                            .as(field.getKey())
                            .isTrue();
                else if (must.isNumber())
                    assertThat(value.doubleValue()).as(field.getKey()).isEqualTo(must.doubleValue());
                else assertThat(value).as(field.getKey()).isEqualTo(must);
            }
        }
    }

    /** The pupil's last round against those before it. */
    private static void best(List<RoundResult> results, RunScript script, JsonNode told, JsonNode wanted) {
        List<Attempt> rounds = new ArrayList<>();
        for (RoundResult r : results)
            if (r.pupilId().equals(wanted.get("pupil").stringValue()))
                rounds.add(Attempt.ofRound("a" + rounds.size(), r, script, LocalDate.of(2026, 5, 4), null, null));
        Measure measure = script.blocks().get(0).rung("r").measure();
        Gate gate = told.has("gate") ? Cases.JSON.treeToValue(told.get("gate"), Gate.class) : new Gate.Reach(1);
        Attempt last = rounds.remove(rounds.size() - 1);
        Against against = Against.of(last, rounds, World.rung(measure, gate));

        ObjectNode got = Cases.JSON.valueToTree(against);
        if (against.best() != null) got.put("best", against.best().score());
        wanted.properties().stream()
                .filter(e -> !e.getKey().equals("pupil"))
                .forEach(e -> assertThat(got.get(e.getKey())).as(e.getKey()).isEqualTo(e.getValue()));
    }

    private static RunScript script(JsonNode told) {
        JsonNode script = read("scripts").get(told.get("script").stringValue());
        if (told.has("measure"))
            for (JsonNode block : script.get("blocks"))
                ((ObjectNode) block.get("rungs").get(0)).set("measure", told.get("measure"));
        return Cases.JSON.treeToValue(script, RunScript.class);
    }

    /** Ids rise with every event, as those of a device do; what is taken back is told by its place. */
    private static List<RunEvent> events(JsonNode told) {
        List<RunEvent> events = new ArrayList<>();
        for (JsonNode e : (ArrayNode) told) {
            ObjectNode what = (ObjectNode) e.get(1);
            if (what.path("target").isInt())
                what.put("target", new UUID(0x7000, what.get("target").intValue()).toString());
            events.add(new RunEvent(
                    new UUID(0x7000, events.size()),
                    START_MS + (long) (1000 * e.get(0).doubleValue()),
                    e.has(2) ? e.get(2).stringValue() : "tablet",
                    Cases.JSON.treeToValue(what, What.class)));
        }
        return events;
    }

    private static JsonNode read(String file) {
        try (InputStream in = RunCasesTest.class.getResourceAsStream("/runs/" + file + ".json")) {
            return Cases.JSON.readTree(in);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}
