package org.unrulymarble.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.Cases;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.measure.Tap;
import tools.jackson.databind.JsonNode;

/** Corners of a run that no single worked case shows. */
class PlayedTest {

    private static final long START = 1_000_000;

    private final List<RunEvent> log = new ArrayList<>();
    private String device = "tablet";

    @Test
    void what_was_chosen_in_the_run_is_told_from_what_was_planned() {
        RunScript script = script("minute");
        add(1, new What.OnRung(1, "ada", "up"));
        add(2, new What.OnRung(1, "ben", "r"));
        for (String pupil : List.of("ada", "ben", "cleo")) add(66, new What.Told(1, 1, pupil, 5, null));

        RunState state = new RunLog(script).add(log).fold(START);
        assertThat(state.results()).extracting(RoundResult::chosen).containsExactly(true, false, false);
        // Ada's is a row, of which nobody knows the tries: 0 + 5 + 5 of three pupils.
        assertThat(state.touchesPerPupil()).isEqualTo(3);
    }

    @Test
    void the_wall_shows_scores_while_that_is_switched_on() {
        RunScript script = script("pairs");
        assertThat(new RunLog(script).add(log).fold(START).scoresOnWall()).isFalse();
        add(1, new What.ScoresOnWall(true));
        assertThat(new RunLog(script).add(log).fold(START).scoresOnWall()).isTrue();
        add(2, new What.ScoresOnWall(false));
        assertThat(new RunLog(script).add(log).fold(START).scoresOnWall()).isFalse();
    }

    @Test
    void two_counts_are_told_side_by_side_in_the_order_of_the_script() {
        add(0, new What.Go(0, 0L));
        for (int segment : new int[] {4, 1}) {
            String worker = segment == 1 ? "ada" : "ben";
            for (String by : List.of("tablet", "helper")) {
                device = by;
                add(8, new What.Tapped(segment, 1, worker, new Tap.Hit(null)));
            }
        }
        add(9, new What.Tapped(4, 1, "ben", new Tap.Miss(null)));

        RunState state = new RunLog(script("pairs")).add(log).fold(START + 90_000);
        assertThat(state.disputes())
                .containsExactly(
                        new RunState.Dispute(
                                1,
                                1,
                                "ada",
                                List.of(new RunState.Count("tablet", 1, 0, 1), new RunState.Count("helper", 1, 0, 1)),
                                null),
                        new RunState.Dispute(
                                4,
                                1,
                                "ben",
                                List.of(new RunState.Count("tablet", 1, 0, 1), new RunState.Count("helper", 1, 1, 1)),
                                null));
        assertThat(state.results()).extracting(RoundResult::pupilId).containsExactly("ada", "ben");

        add(30, new What.Stands(1, 1, "ada", "helper"));
        add(31, new What.Stands(4, 1, "ben", "nobody"));
        assertThat(new RunLog(script("pairs")).add(log).fold(START + 90_000).disputes())
                .extracting(RunState.Dispute::stands)
                .containsExactly("helper", null);
    }

    @Test
    void one_count_alone_is_no_dispute() {
        add(8, new What.Tapped(1, 1, "ada", new Tap.Hit(null)));

        assertThat(new RunLog(script("pairs")).add(log).fold(START).disputes()).isEmpty();
    }

    @Test
    void a_match_is_joint_for_each_side() {
        JsonNode scripts = Cases.JSON.readTree(RunCasesTest.class.getResourceAsStream("/runs/scripts.json"));
        String four = scripts.get("together")
                .toString()
                .replace("[\"ada\",\"ben\"]", "[\"ada\",\"ben\",\"cy\",\"dot\"]")
                .replace("COUNT_IN_TIME", "MATCH");
        add(8, new What.Tapped(1, 1, "ada", new Tap.EndWon(Tap.Team.B, 2)));
        add(27, new What.Told(1, 1, "dot", 3, null));

        assertThat(new RunLog(Cases.JSON.readValue(four, RunScript.class))
                        .add(log)
                        .fold(START)
                        .results())
                .extracting(r -> r.pupilId() + " " + r.score() + " " + r.jointWith())
                .containsExactly("ada 0 [ben]", "ben 0 [ada]", "cy 2 [dot]", "dot 3 [cy]");
    }

    @Test
    void nothing_is_taken_that_the_script_has_no_place_for() {
        RunScript script = script("pairs");
        for (What outside : List.of(
                new What.Next(6, 0L),
                new What.Extend(6, 15),
                new What.Trial(6, 1),
                new What.FaultSeen(6, null, "low"),
                new What.OnRung(6, "ada", "up"),
                new What.Told(6, 1, "ada", 5, null)))
            assertThatThrownBy(() -> event(0, outside).checkAgainst(script))
                    .as("%s", outside)
                    .isInstanceOf(Refused.class);
        // Past the last segment the run is through: Next goes there.
        event(0, new What.Next(5, 0L)).checkAgainst(script);
        event(0, new What.Finish()).checkAgainst(script);
    }

    @Test
    void a_wall_hears_nothing_of_who_is_on_which_rung() {
        RunScript script = script("two blocks");
        assertThat(script.blocks().get(0).rungOf("ben", 0)).isEqualTo("up");
        RunScript wall = script.withoutOwnRungs();
        assertThat(wall.blocks().get(0).rungOf("ben", 0)).isEqualTo("r");
        assertThat(wall.segments()).isEqualTo(script.segments());
        assertThat(List.of(wall.isRound(-1), wall.isRound(0), wall.isRound(2), wall.isRound(99)))
                .containsExactly(false, false, true, false);
    }

    @Test
    void a_limit_of_time_bounds_what_can_be_told_with_a_minute_more() {
        RunScript script = script("pairs");
        // Ten a second, in twenty seconds and up to a minute of more time.
        event(0, new What.Told(1, 1, "ada", 800, null)).checkTold(script);
        assertThatThrownBy(() -> event(0, new What.Told(1, 1, "ada", 801, null)).checkTold(script))
                .isInstanceOf(Refused.class);
    }

    private static RunScript script(String name) {
        JsonNode scripts = Cases.JSON.readTree(RunCasesTest.class.getResourceAsStream("/runs/scripts.json"));
        return Cases.JSON.treeToValue(scripts.get(name), RunScript.class);
    }

    private RunEvent event(long sec, What what) {
        return new RunEvent(new UUID(0x7000, log.size() + 1), START + sec * 1000, device, what);
    }

    private void add(long sec, What what) {
        log.add(event(sec, what));
    }
}
