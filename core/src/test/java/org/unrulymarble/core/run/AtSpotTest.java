package org.unrulymarble.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.Cases;
import org.unrulymarble.core.measure.Tap;
import tools.jackson.databind.JsonNode;

/** Whose a sign is that a device hears, on the scripts of the worked cases. */
class AtSpotTest {

    private static final long START = 1_700_000_000_000L;
    private static final Tap HIT = new Tap.Hit(null);

    private final List<RunEvent> log = new ArrayList<>();

    @Test
    void it_is_whoever_works_at_the_spot_and_where_they_are_away_nobody() {
        add(0, new What.Go(0, 0L));
        assertThat(at("minute", 12, 2, null, HIT)).isEqualTo(workers(1, 1, 7_000, "ben"));
        add(13, new What.Away("ben"));
        assertThat(at("minute", 14, 2, null, HIT)).isEqualTo(nobody(AtSpot.Why.NOBODY_THERE));
        assertThat(at("minute", 14, 4, null, HIT)).isEqualTo(nobody(AtSpot.Why.NOBODY_THERE));
    }

    @Test
    void in_a_turn_it_is_the_one_whose_turn_it_is_and_a_round_begun_again_is_another_take() {
        add(0, new What.Go(0, 0L));
        assertThat(at("pairs", 10, 1, null, HIT)).isEqualTo(workers(1, 1, 5_000, "ada"));
        assertThat(at("pairs", 45, 1, null, HIT)).isEqualTo(workers(4, 1, 5_000, "ben"));
        add(46, new What.Again(4, 0L));
        assertThat(at("pairs", 48, 1, null, HIT)).isEqualTo(workers(4, 2, 2_000, "ben"));
    }

    @Test
    void before_the_start_in_a_gap_in_a_hold_and_after_the_end_there_is_no_round() {
        assertThat(at("minute", 0, 1, null, HIT)).isEqualTo(nobody(AtSpot.Why.NO_ROUND));
        add(0, new What.Go(0, 0L));
        assertThat(at("minute", 3, 1, null, HIT)).isEqualTo(nobody(AtSpot.Why.NO_ROUND));
        assertThat(at("minute", 70, 1, null, HIT)).isEqualTo(nobody(AtSpot.Why.NO_ROUND));
        assertThat(at("minute", 900, 1, null, HIT)).isEqualTo(nobody(AtSpot.Why.NO_ROUND));
        add(20, new What.Hold(1, 15_000L));
        assertThat(at("minute", 21, 1, null, HIT)).isEqualTo(nobody(AtSpot.Why.NO_ROUND));
    }

    @Test
    void a_station_beside_has_its_own_spots_and_its_own_end() {
        add(0, new What.Go(0, 0L));
        assertThat(at("stations", 10, 1, null, HIT)).isEqualTo(workers(1, 1, 5_000, "ada"));
        assertThat(at("stations", 10, 1, 1, HIT)).isEqualTo(workers(2, 1, 5_000, "ben"));
        assertThat(at("stations", 28, 1, 1, HIT)).isEqualTo(nobody(AtSpot.Why.NO_ROUND));
        assertThat(at("stations", 28, 1, 0, HIT)).isEqualTo(workers(1, 1, 23_000, "ada"));
    }

    @Test
    void a_gate_is_heard_only_where_a_course_is_timed() {
        add(0, new What.Go(0, 0L));
        assertThat(at("minute", 12, 1, null, new Tap.Start(0L))).isEqualTo(nobody(AtSpot.Why.NOT_COUNTED_SO));
        assertThat(at("minute", 12, 1, null, new Tap.Landed(0.0, 0.0))).isEqualTo(nobody(AtSpot.Why.NOT_COUNTED_SO));
    }

    @Test
    void those_who_share_a_result_share_the_sign_and_a_watch_goes_by_the_moment_in_the_round() {
        add(0, new What.Go(0, 0L));
        AtSpot both = at("together", 12, 1, null, HIT);
        assertThat(both).isEqualTo(workers(1, 1, 7_000, "ada", "ben"));

        UUID id = new UUID(0x7000, 100);
        List<RunEvent> hits = ((AtSpot.Workers) both).events(id, START + 12_000, "pad at spot 1", HIT);
        assertThat(hits)
                .extracting(RunEvent::what)
                .containsExactly(new What.Tapped(1, 1, "ada", HIT), new What.Tapped(1, 1, "ben", HIT));
        assertThat(((AtSpot.Workers) both).events(id, START + 12_000, "pad at spot 1", HIT))
                .isEqualTo(hits);
        log.addAll(hits);
        assertThat(board("together", 13).counts()).containsExactly(new BySpot.Count(1, 1));

        assertThat(workers(3, 1, 8_250, "ada").events(id, START, "gate at spot 1", new Tap.Stop(0L)))
                .extracting(RunEvent::what)
                .containsExactly(new What.Tapped(3, 1, "ada", new Tap.Stop(8_250L)));
    }

    @Test
    void a_board_is_told_the_phase_the_clock_and_counts_by_spot_of_the_round_or_the_one_before() {
        assertThat(board("minute", 0)).isEqualTo(new BySpot(BySpot.Phase.READY, "l", 5, List.of()));
        add(0, new What.Go(0, 0L));
        add(12, new What.Tapped(1, 1, "ben", HIT));
        add(13, new What.Tapped(1, 1, "ben", new Tap.Miss(null)));
        List<BySpot.Count> counts = List.of(new BySpot.Count(1, 0), new BySpot.Count(2, 1), new BySpot.Count(3, 0));
        assertThat(board("minute", 20)).isEqualTo(new BySpot(BySpot.Phase.WORK, "l", 45, counts));
        assertThat(board("minute", 70)).isEqualTo(new BySpot(BySpot.Phase.PAUSE, "l", 15, counts));
        add(71, new What.Hold(2, 6_000L));
        assertThat(board("minute", 90).phase()).isEqualTo(BySpot.Phase.HELD);
        add(91, new What.Finish());
        assertThat(board("minute", 92).phase()).isEqualTo(BySpot.Phase.OVER);
    }

    private BySpot board(String name, long sec) {
        RunScript script = script(name);
        return BySpot.of(script, new RunLog(script).add(log), START + sec * 1000);
    }

    private static AtSpot.Workers workers(int segment, int take, long offsetMs, String... pupilIds) {
        return new AtSpot.Workers(segment, take, List.of(pupilIds), offsetMs);
    }

    private static AtSpot nobody(AtSpot.Why why) {
        return new AtSpot.Nobody(why);
    }

    private AtSpot at(String name, long sec, int spot, Integer block, Tap tap) {
        RunScript script = script(name);
        return AtSpot.of(script, new RunLog(script).add(log), START + sec * 1000, new AtSpot.Place(spot, block), tap);
    }

    private static RunScript script(String name) {
        JsonNode scripts = Cases.JSON.readTree(RunCasesTest.class.getResourceAsStream("/runs/scripts.json"));
        return Cases.JSON.treeToValue(scripts.get(name), RunScript.class);
    }

    private void add(long sec, What what) {
        log.add(new RunEvent(new UUID(0x7000, log.size() + 1), START + sec * 1000, "tablet", what));
    }
}
