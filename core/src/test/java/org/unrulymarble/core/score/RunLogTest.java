package org.unrulymarble.core.score;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.ladder.Measure;

class RunLogTest {

    /** Count-in 0..5 s, work 5..25 s (Ada at spot 0, Ben counts), swap 25..35 s, count-in 35..40 s, work 40..60 s (Ben). */
    private static final int WORK = 1;

    private static final int SECOND_WORK = 4;
    private static final long START = 1_000_000;

    private final List<RunEvent> log = new ArrayList<>();
    private long number;
    private String device = "tablet";
    private String note;

    @Test
    void hits_misses_and_the_longest_run_are_kept_in_order() {
        go();
        tap(RunEvent.Kind.HIT, 3);
        tap(RunEvent.Kind.MISS, 1);
        tap(RunEvent.Kind.HIT, 2);

        assertThat(one(Measure.COUNT_IN_TIME))
                .isEqualTo(new RoundResult(
                        "ada", WORK, 1, 5, 5, 1, 6, RoundResult.Source.ADULT, "r", false, null, List.of()));
        assertThat(one(Measure.LONGEST_RUN).score()).isEqualTo(3);
        assertThat(fold(Measure.COUNT_IN_TIME, null).touchesPerPupil()).isEqualTo(6);
    }

    @Test
    void what_was_taken_back_never_was() {
        go();
        tap(RunEvent.Kind.HIT, 2);
        takeBack(log.get(log.size() - 1));
        RunEvent hold = at(10, RunEvent.Kind.HOLD, 1, 5_000);
        takeBack(hold);

        assertThat(one(Measure.COUNT_IN_TIME).hits()).isEqualTo(1);
        assertThat(fold(Measure.COUNT_IN_TIME, null).clock().playing()).isTrue();
    }

    @Test
    void the_clock_stands_where_it_was_held_and_goes_on_from_there() {
        go();
        at(12, RunEvent.Kind.HOLD, WORK, 7_000);
        assertThat(position(99)).isEqualTo(new RunClock.Position(WORK, 7_000));

        at(100, RunEvent.Kind.GO, WORK, 7_000);
        assertThat(position(103)).isEqualTo(new RunClock.Position(WORK, 10_000));
        assertThat(position(100 + 13 + 10)).isEqualTo(new RunClock.Position(3, 0));
        assertThat(position(100_000)).isEqualTo(new RunClock.Position(5, 0));
    }

    @Test
    void more_time_makes_the_round_longer_and_what_follows_later() {
        go();
        add(10, RunEvent.Kind.EXTEND, WORK, null, null, null, null, 15, null);

        assertThat(position(39)).isEqualTo(new RunClock.Position(WORK, 34_000));
        assertThat(position(41)).isEqualTo(new RunClock.Position(2, 1_000));
    }

    @Test
    void a_round_begun_anew_counts_and_the_broken_off_one_does_not() {
        go();
        tap(RunEvent.Kind.HIT, 4);
        at(12, RunEvent.Kind.AGAIN, 0, 0);
        tapIn(2, RunEvent.Kind.HIT, 3);

        assertThat(fold(Measure.COUNT_IN_TIME, null).results())
                .singleElement()
                .satisfies(r -> assertThat(List.of(r.take(), r.hits())).containsExactly(2, 3));
    }

    @Test
    void a_round_repeated_after_its_end_stays_beside_the_first() {
        go();
        tap(RunEvent.Kind.HIT, 4);
        at(30, RunEvent.Kind.AGAIN, 0, 0);
        tapIn(2, RunEvent.Kind.HIT, 3);

        assertThat(fold(Measure.COUNT_IN_TIME, null).results())
                .extracting(RoundResult::hits)
                .containsExactly(4, 3);
    }

    @ParameterizedTest
    @CsvSource({
        // measure, reps, told; score, hits, misses, tries
        "COUNT_IN_TIME,,12,12,12,,",
        "HITS_OF_N,10,7,7,7,3,10",
        "HITS_OF_N,,7,7,,,",
        "LONGEST_RUN,,9,9,,,",
        "HELD_FOR_TIME,,20,20,,,"
    })
    void a_number_told_says_no_more_than_it_can(
            Measure measure, Integer reps, int told, int score, Integer hits, Integer misses, Integer tries) {
        collect(told);

        assertThat(fold(measure, reps).results())
                .containsExactly(new RoundResult(
                        "ada",
                        WORK,
                        1,
                        score,
                        hits,
                        misses,
                        tries,
                        RoundResult.Source.PARTNER,
                        "r",
                        false,
                        null,
                        List.of()));
    }

    @Test
    void the_number_told_is_the_last_word_and_taps_that_agree_keep_their_misses() {
        tap(RunEvent.Kind.HIT, 4);
        tap(RunEvent.Kind.MISS, 2);
        collect(4);
        assertThat(one(Measure.COUNT_IN_TIME).misses()).isEqualTo(2);

        collect(6);
        assertThat(one(Measure.COUNT_IN_TIME))
                .isEqualTo(new RoundResult(
                        "ada", WORK, 1, 6, 6, null, null, RoundResult.Source.PARTNER, "r", false, null, List.of()));
    }

    @Test
    void two_devices_that_count_the_same_pupil_are_never_added_up() {
        tap(RunEvent.Kind.HIT, 4);
        device = "helper";
        tap(RunEvent.Kind.HIT, 5);
        tap(RunEvent.Kind.MISS, 1);

        RunState open = fold(Measure.COUNT_IN_TIME, null);
        assertThat(open.results())
                .singleElement()
                .satisfies(r -> assertThat(r.hits()).isEqualTo(4));
        assertThat(open.disputes())
                .containsExactly(new RunState.Dispute(
                        WORK,
                        1,
                        "ada",
                        List.of(new RunState.Count("tablet", 4, 0, 4), new RunState.Count("helper", 5, 1, 5)),
                        null));

        note = "helper";
        add(30, RunEvent.Kind.STANDS, WORK, null, 1, "ada", null, null, null);
        RunState settled = fold(Measure.COUNT_IN_TIME, null);
        assertThat(settled.results())
                .singleElement()
                .satisfies(r -> assertThat(r.hits()).isEqualTo(5));
        assertThat(settled.disputes()).extracting(RunState.Dispute::stands).containsExactly("helper");
    }

    @Test
    void everybody_stops_until_go_and_the_second_is_kept() {
        go();
        at(12, RunEvent.Kind.STOP_ALL, WORK, 7_000);
        assertThat(fold(Measure.COUNT_IN_TIME, null).stopped()).isTrue();
        assertThat(position(500)).isEqualTo(new RunClock.Position(WORK, 7_000));

        at(500, RunEvent.Kind.GO, WORK, 7_000);
        assertThat(fold(Measure.COUNT_IN_TIME, null).stopped()).isFalse();
        assertThat(position(501)).isEqualTo(new RunClock.Position(WORK, 8_000));
    }

    @Test
    void pupils_are_put_aside_and_come_back_and_what_was_seen_and_said_is_kept() {
        add(1, RunEvent.Kind.AWAY, null, null, null, "ada", null, null, null);
        add(2, RunEvent.Kind.AWAY, null, null, null, "ben", null, null, null);
        add(3, RunEvent.Kind.HERE, null, null, null, "ada", null, null, null);
        note = "low-elbow";
        add(9, RunEvent.Kind.FAULT, WORK, null, null, null, null, null, null);
        note = "TOO_HARD";
        add(27, RunEvent.Kind.WORD, WORK, null, null, "ada", null, null, null);

        RunState state = fold(Measure.COUNT_IN_TIME, null);
        assertThat(state.away()).containsExactly("ben");
        assertThat(state.remarks())
                .containsExactly(
                        new RunState.Remark(RunEvent.Kind.FAULT, WORK, null, "r", "low-elbow"),
                        new RunState.Remark(RunEvent.Kind.WORD, WORK, "ada", "r", "TOO_HARD"));
        note = "BORING";
        assertThatThrownBy(() -> add(28, RunEvent.Kind.WORD, WORK, null, null, "ada", null, null, null))
                .isInstanceOf(Refused.class);
    }

    /** Two devices, seven events: every one of the 5,040 orders in which they can arrive. */
    @Test
    void every_order_in_which_two_devices_arrive_folds_to_the_same() {
        go();
        tap(RunEvent.Kind.HIT, 1);
        device = "helper";
        tap(RunEvent.Kind.HIT, 1);
        tap(RunEvent.Kind.MISS, 1);
        at(12, RunEvent.Kind.STOP_ALL, WORK, 7_000);
        device = "tablet";
        at(13, RunEvent.Kind.GO, WORK, 7_000);
        takeBack(log.get(3));
        RunState inOrder = fold(Measure.COUNT_IN_TIME, null);
        assertThat(inOrder.disputes()).hasSize(1);

        int[] orders = new int[1];
        permute(new ArrayList<>(log), 0, order -> {
            orders[0]++;
            assertThat(new RunLog(script(Measure.COUNT_IN_TIME, null))
                            .add(order)
                            .fold())
                    .isEqualTo(inOrder);
        });
        assertThat(orders[0]).isEqualTo(5040);
    }

    private static void permute(List<RunEvent> events, int from, Consumer<List<RunEvent>> each) {
        if (from == events.size()) each.accept(events);
        for (int i = from; i < events.size(); i++) {
            Collections.swap(events, from, i);
            permute(events, from + 1, each);
            Collections.swap(events, from, i);
        }
    }

    @Test
    void any_order_of_arrival_and_any_repetition_fold_to_the_same() {
        go();
        tap(RunEvent.Kind.HIT, 5);
        takeBack(log.get(3));
        tap(RunEvent.Kind.MISS, 2);
        at(12, RunEvent.Kind.AGAIN, 0, 0);
        tapIn(2, RunEvent.Kind.HIT, 3);
        collect(9);
        add(60, RunEvent.Kind.FINISH, null, null, null, null, null, null, null);
        RunState inOrder = fold(Measure.COUNT_IN_TIME, null);
        assertThat(inOrder.finished()).isTrue();

        Random random = new Random(5);
        for (int i = 0; i < 200; i++) {
            List<RunEvent> shuffled = new ArrayList<>(log);
            shuffled.addAll(log.subList(random.nextInt(log.size()), log.size()));
            Collections.shuffle(shuffled, random);
            assertThat(new RunLog(script(Measure.COUNT_IN_TIME, null))
                            .add(shuffled)
                            .fold())
                    .isEqualTo(inOrder);
        }
    }

    @Test
    void an_event_must_fit_its_kind_and_the_script() {
        assertThatThrownBy(() -> new RunEvent(
                        UUID.randomUUID(),
                        RunEvent.Kind.HIT,
                        1L,
                        null,
                        null,
                        0,
                        " ",
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null))
                .isInstanceOfSatisfying(
                        Refused.class,
                        refused -> assertThat(refused.faults())
                                .extracting("field")
                                .containsExactly("segment", "take", "pupilId"));
        RunEvent notWorking = add(0, RunEvent.Kind.HIT, WORK, null, 1, "ben", null, null, null);
        assertThatThrownBy(() -> notWorking.checkAgainst(script(Measure.COUNT_IN_TIME, null)))
                .isInstanceOfSatisfying(
                        Refused.class,
                        refused ->
                                assertThat(refused.faults()).extracting("field").containsExactly("pupilId"));
    }

    private static RunScript script(Measure measure, Integer reps) {
        return new RunScript(
                List.of(
                        new Segment(0, 0, Segment.Kind.COUNT_IN, 0, 5, 0, 0, -1),
                        new Segment(1, 0, Segment.Kind.WORK, 5, 20, 0, 0, 0),
                        new Segment(2, 0, Segment.Kind.TURN_SWAP, 25, 10, 0, 0, -1),
                        new Segment(3, 0, Segment.Kind.COUNT_IN, 35, 5, 0, 1, -1),
                        new Segment(SECOND_WORK, 0, Segment.Kind.WORK, 40, 20, 0, 1, 0)),
                List.of(new RunScript.ScriptBlock(
                        RunScript.BlockKind.TASK,
                        "l",
                        "r",
                        Map.of(),
                        List.of(),
                        measure,
                        List.of(),
                        false,
                        null,
                        null,
                        null,
                        false,
                        List.of(Side.NONE),
                        reps,
                        20,
                        true,
                        false,
                        List.of(),
                        null,
                        null,
                        null,
                        null,
                        List.of(turn("ada", "ben", 0), turn("ben", "ada", 1)))));
    }

    private static RunScript.ScriptTurn turn(String worker, String helper, int part) {
        return new RunScript.ScriptTurn(
                0, part, List.of(new RunScript.Crew(0, List.of(worker), List.of(helper))), List.of());
    }

    private void go() {
        at(0, RunEvent.Kind.GO, 0, 0);
    }

    private RunEvent at(long sec, RunEvent.Kind kind, int segment, long offsetMs) {
        return add(sec, kind, segment, offsetMs, null, null, null, null, null);
    }

    private void tap(RunEvent.Kind kind, int times) {
        for (int i = 0; i < times; i++) add(8, kind, WORK, null, 1, "ada", null, null, null);
    }

    private void tapIn(int take, RunEvent.Kind kind, int times) {
        for (int i = 0; i < times; i++) add(20, kind, WORK, null, take, "ada", null, null, null);
    }

    private void collect(int score) {
        add(26, RunEvent.Kind.COLLECT, WORK, null, 1, "ada", score, null, null);
    }

    private void takeBack(RunEvent event) {
        add(11, RunEvent.Kind.TAKE_BACK, null, null, null, null, null, null, event.id());
    }

    /** Ids rise with every event, as those of a device do. */
    private RunEvent add(
            long sec,
            RunEvent.Kind kind,
            Integer segment,
            Long offsetMs,
            Integer take,
            String pupil,
            Integer score,
            Integer addSec,
            UUID target) {
        RunEvent event = new RunEvent(
                new UUID(0x7000, ++number),
                kind,
                START + sec * 1000,
                segment,
                offsetMs,
                take,
                pupil,
                score,
                addSec,
                target,
                device,
                note,
                null,
                null);
        log.add(event);
        return event;
    }

    private RunState fold(Measure measure, Integer reps) {
        return new RunLog(script(measure, reps)).add(log).fold();
    }

    private RoundResult one(Measure measure) {
        List<RoundResult> results = fold(measure, null).results();
        assertThat(results).hasSize(1);
        return results.get(0);
    }

    private RunClock.Position position(long sec) {
        return fold(Measure.COUNT_IN_TIME, null).clock().at(script(Measure.COUNT_IN_TIME, null), START + sec * 1000);
    }
}
