package org.unrulymarble.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

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
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.games.Bowling;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.measure.HitsOfN;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.NoBalls;
import org.unrulymarble.core.measure.Tap;

/** What holds for every log, whatever was done. What single runs come to is in the worked cases. */
class RunLogTest {

    /** Count-in 0..5 s, then Ada works for 20 s; Ben counts. */
    private static final int WORK = 1;

    private static final long START = 1_000_000;
    private static final long LATER = START + 90_000;

    private final List<RunEvent> log = new ArrayList<>();
    private String device = "tablet";

    /** Two devices, seven events: every one of the 5,040 orders in which they can arrive. */
    @Test
    void every_order_in_which_two_devices_arrive_folds_to_the_same() {
        add(0, new What.Go(0, 0L));
        tap(8, new Tap.Hit(null));
        device = "helper";
        tap(8, new Tap.Hit(null));
        tap(9, new Tap.Miss(null));
        add(12, new What.StopAll(WORK, 7_000L));
        device = "tablet";
        add(13, new What.Go(WORK, 7_000L));
        add(14, new What.TakeBack(log.get(3).id()));
        RunState inOrder = new RunLog(script()).add(log).fold(LATER);
        assertThat(inOrder.disputes()).hasSize(1);

        int[] orders = new int[1];
        permute(new ArrayList<>(log), 0, order -> {
            orders[0]++;
            assertThat(new RunLog(script()).add(order).fold(LATER)).isEqualTo(inOrder);
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
        add(0, new What.Go(0, 0L));
        for (int i = 0; i < 5; i++) tap(8, new Tap.Hit(null));
        add(9, new What.TakeBack(log.get(3).id()));
        tap(10, new Tap.Miss(null));
        add(12, new What.Again(0, 0L));
        for (int i = 0; i < 3; i++) add(20, new What.Tapped(WORK, 2, "ada", new Tap.Hit(null)));
        add(26, new What.Told(WORK, 2, "ada", 9, null));
        add(60, new What.Finish());
        RunState inOrder = new RunLog(script()).add(log).fold(LATER);
        assertThat(inOrder.finished()).isTrue();

        Random random = new Random(5);
        for (int i = 0; i < 200; i++) {
            List<RunEvent> shuffled = new ArrayList<>(log);
            shuffled.addAll(log.subList(random.nextInt(log.size()), log.size()));
            Collections.shuffle(shuffled, random);
            assertThat(new RunLog(script()).add(shuffled).fold(LATER)).isEqualTo(inOrder);
        }
    }

    @Test
    void touches_are_tries_on_average_of_those_who_have_a_result() {
        tap(8, new Tap.Hit(null));
        tap(8, new Tap.Miss(null));
        tap(8, new Tap.Hit(null));

        assertThat(new RunLog(script()).add(log).fold(LATER).touchesPerPupil()).isEqualTo(3);
    }

    @Test
    void what_was_seen_and_said_is_kept_with_the_rung_it_was_said_on() {
        add(9, new What.FaultSeen(WORK, null, "low-elbow"));
        add(10, new What.OnRung(WORK, "ada", "up"));
        add(27, new What.OwnWord(WORK, "ada", What.Word.TOO_HARD));
        add(28, new What.Said(WORK, "ada", "bouncy"));

        assertThat(new RunLog(script()).add(log).fold(LATER).remarks())
                .containsExactly(
                        new RunState.Remark(What.Remarked.Kind.FAULT, WORK, null, "r", "low-elbow"),
                        new RunState.Remark(What.Remarked.Kind.WORD, WORK, "ada", "up", "TOO_HARD"),
                        new RunState.Remark(What.Remarked.Kind.SAID, WORK, "ada", "up", "bouncy"));
    }

    @Test
    void an_event_must_fit_its_kind_and_the_script() {
        refuses(() -> new What.Tapped(null, 0, " ", new Tap.Hit(null)), "segment", "take", "pupilId");
        refuses(() -> new Tap.Landed(20_001.0, null), "xCm", "yCm");
        refuses(() -> new RunEvent(null, -1L, null, null), "id", "atMs", "what");
        refuses(() -> event(new What.Tapped(WORK, 1, "ben", new Tap.Hit(null))).checkAgainst(script()), "what.pupilId");
        refuses(() -> event(new What.Tapped(0, 1, "ada", new Tap.Hit(null))).checkAgainst(script()), "what.segment");
        refuses(() -> event(new What.Go(9, 0L)).checkAgainst(script()), "what.segment");
        refuses(() -> event(new What.OnRung(WORK, "ada", "attic")).checkAgainst(script()), "what.rungId");
        int end = script().segments().size();
        refuses(() -> event(new What.OnRung(end, "ada", "up")).checkAgainst(script()), "what.segment");
        refuses(() -> event(new What.FaultSeen(end, "ada", "low")).checkAgainst(script()), "what.segment");
        event(new What.Go(end, 0L)).checkAgainst(script());
        assertThat(script().isRound(end)).isFalse();
    }

    @Test
    void a_relief_bowlers_balls_are_on_the_relief_bowlers_page_and_a_no_ball_that_runs_is_handed_on() {
        add(0, new What.Go(0, 0L));
        tap(6, new Tap.Hit(null));
        tap(7, new Tap.Miss(Bowling.NoBall.LOW));
        tap(8, new Tap.Bowls("ben"));
        tap(9, new Tap.Miss(Bowling.NoBall.WIDE));
        tap(10, new Tap.Miss(Bowling.NoBall.ARM));
        tap(11, new Tap.NextBatter());
        tap(12, new Tap.Miss(Bowling.NoBall.ARM));
        tap(13, new Tap.Hit(1));
        tap(14, new Tap.Bowls("ada"));
        tap(15, new Tap.Hit(5));

        assertThat(new RunLog(script(new NoBalls(10))).add(log).fold(LATER).results())
                .extracting(RoundResult::pupilId, RoundResult::score, RoundResult::misses, RoundResult::detail)
                .containsExactly(
                        tuple("ada", 2, 1, new Detail.Bowled(1, 0, fair(Bowling.FairKind.SPUN))),
                        tuple("ben", 1, 3, new Detail.Bowled(3, 1, fair(Bowling.FairKind.SAFE))));

        // What the partner told of the one who was asked is the last word on that one alone.
        add(27, new What.Told(WORK, 1, "ada", 3, null));
        assertThat(new RunLog(script(new NoBalls(10))).add(log).fold(LATER).results())
                .extracting(RoundResult::pupilId, RoundResult::score)
                .containsExactly(tuple("ada", 3), tuple("ben", 1));
        refuses(
                () -> event(new What.Tapped(WORK, 1, "ada", new Tap.Bowls("cleo")))
                        .checkAgainst(script()),
                "what.tap.pupilId");
    }

    @Test
    void a_number_that_cannot_be_is_asked_back() {
        refuses(() -> event(new What.Told(WORK, 1, "ada", 11, null)).checkTold(script()), "what.score");
        event(new What.Told(WORK, 1, "ada", 10, null)).checkTold(script());
    }

    private static List<Detail.FairBalls> fair(Bowling.FairKind kind) {
        return List.of(new Detail.FairBalls(kind, 1));
    }

    private static void refuses(Runnable what, String... fields) {
        assertThatThrownBy(what::run)
                .isInstanceOfSatisfying(
                        Refused.class,
                        refused -> assertThat(refused.faults())
                                .extracting(Fault::field)
                                .containsExactly(fields));
    }

    /** What old logs and waiting tablets have in their one row of fields means what it meant. */
    @ParameterizedTest
    @CsvSource(
            nullValues = "-",
            value = {
                "HIT, 3, -, -, -",
                "MISS, -, -, -, BODY",
                "LANDED, -, -, 2.5, -",
                "START, -, 1500, -, -",
                "SPLIT, -, 1500, -, -",
                "STOP, -, 1500, -, -",
                "BALL, -, -, 2.5, B",
                "ENDED, 2, -, -, A",
                "ENDED, 1, -, -, TIE",
                "COLLECT, 19, 18400, -, -",
                "COLLECT, 19, -, -, -",
                "STANDS, -, -, -, helper"
            })
    void a_flat_event_of_a_round_is_read(FlatEvent.Kind kind, Integer score, Long ms, Double cm, String note) {
        UUID id = new UUID(7, 7);
        RunEvent read =
                new FlatEvent(id, kind, START, WORK, ms, 2, "ada", score, null, null, "tablet", note, cm, cm).event();

        What wanted = switch (kind) {
            case HIT -> tapped(new Tap.Hit(3));
            case MISS -> tapped(new Tap.Miss(Bowling.NoBall.BODY));
            case LANDED -> tapped(new Tap.Landed(2.5, 2.5));
            case START -> tapped(new Tap.Start(1500L));
            case SPLIT -> tapped(new Tap.Split(1500L));
            case STOP -> tapped(new Tap.Stop(1500L));
            case BALL -> tapped(new Tap.Ball(Tap.Team.B, 2.5, 2.5));
            case ENDED -> note.equals("TIE") ? tapped(new Tap.EndWon(null, 1)) : tapped(new Tap.EndWon(Tap.Team.A, 2));
            case COLLECT -> new What.Told(WORK, 2, "ada", 19, ms == null ? null : 18_400);
            default -> new What.Stands(WORK, 2, "ada", "helper");
        };
        assertThat(read).isEqualTo(new RunEvent(id, START, "tablet", wanted));
    }

    private static What tapped(Tap tap) {
        return new What.Tapped(WORK, 2, "ada", tap);
    }

    private static RunScript script() {
        return script(new HitsOfN(10));
    }

    private static RunScript script(Measure measure) {
        return new RunScript(
                List.of(
                        new Segment(0, 0, Segment.Kind.COUNT_IN, 0, 5, 0, 0, -1),
                        new Segment(WORK, 0, Segment.Kind.WORK, 5, 20, 0, 0, 0)),
                List.of(new RunScript.ScriptBlock(
                        RunScript.BlockKind.TASK,
                        "l",
                        "r",
                        Map.of(),
                        List.of(),
                        List.of(
                                new RunScript.ScriptRung("r", measure, null, null, null),
                                new RunScript.ScriptRung("up", new HitsOfN(10), null, null, null)),
                        false,
                        null,
                        null,
                        null,
                        false,
                        List.of(Side.NONE),
                        10,
                        20,
                        true,
                        true,
                        null,
                        0,
                        List.of(),
                        null,
                        null,
                        null,
                        null,
                        List.of(new RunScript.ScriptTurn(
                                0, 0, List.of(new RunScript.Crew(0, List.of("ada"), List.of("ben"))), List.of())),
                        null,
                        null,
                        null)));
    }

    private void tap(long sec, Tap tap) {
        add(sec, new What.Tapped(WORK, 1, "ada", tap));
    }

    private RunEvent event(What what) {
        return new RunEvent(new UUID(0x7000, log.size() + 1), START, device, what);
    }

    /** Ids rise with every event, as those of a device do. */
    private void add(long sec, What what) {
        log.add(new RunEvent(new UUID(0x7000, log.size() + 1), START + sec * 1000, device, what));
    }
}
