package org.unrulymarble.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.run.FlatEvent;
import org.unrulymarble.core.run.What;

/** What cannot be is refused where it is made, naming the field. */
class RefusalsTest {

    static Stream<Arguments> refused() {
        return Stream.of(
                of("n", () -> new HitsOfN(0)),
                of("n", () -> new NoBalls(2001)),
                of("n", () -> new TimeForN(1001)),
                of("spots", () -> new MadeFromSpots(13)),
                of("balls", () -> new KeepAll(1, null)),
                of("firstBall", () -> new KeepAll(6, null, 0)),
                of("rings", () -> new Rings(List.of())),
                of("radiusCm", () -> new Rings.Ring(0, 5)),
                of("rings[1].radiusCm", () -> new Rings(List.of(new Rings.Ring(20, 5), new Rings.Ring(20, 3)))),
                of("onMiss", () -> new Stairs(1, null, 0.5)),
                of("stepM", () -> new Staircase.StaircaseAsk(1, 1, OnMiss.STAY, "H", 201.0)),
                of("results", () -> new Staircase.StaircaseAsk(1, 1, OnMiss.STAY, "HX", 1.0)),
                of("results", () -> new Staircase.StaircaseAsk(1, 1, OnMiss.STAY, null, 1.0)),
                of("results", () -> new Staircase.StaircaseAsk(1, 1, OnMiss.STAY, "H".repeat(10_001), 1.0)),
                of("p", () -> new Reach.ReachAsk(60, 2, 1.5, 3.0, 6.0, 1.0)),
                of("reach", () -> new Gate.Reach(0)),
                of("reach", () -> new Gate.InARow(null)),
                of("inSec", () -> new Gate.SoManyIn(5, 0)),
                of("of", () -> new Gate.SoManyOf(5, 4)),
                of("of", () -> new Gate.SoManyOf(5, null)),
                of("reach", () -> new Gate.SoManyOf(null, 4)),
                of("number", () -> new Tap.Hit(-1)),
                of("yCm", () -> new Tap.Landed(0.0, -20_001.0)),
                of("offsetMs", () -> new Tap.Start(-1L)),
                of("offsetMs", () -> new Tap.Split(null)),
                of("offsetMs", () -> new Tap.Stop(-1L)),
                of("team", () -> new Tap.Ball(null, 0.0, 0.0)),
                of("xCm", () -> new Tap.Ball(Tap.Team.A, 20_001.0, 0.0)),
                of("points", () -> new Tap.EndWon(null, 65)),
                of("segment", () -> new What.Go(-1, 0L)),
                of("offsetMs", () -> new What.Hold(0, -1L)),
                of("offsetMs", () -> new What.StopAll(0, null)),
                of("segment", () -> new What.Again(null, 0L)),
                of("segment", () -> new What.Next(-1, 0L)),
                of("segment", () -> new What.Back(-1, 0L)),
                of("addSec", () -> new What.Extend(0, 601)),
                of("score", () -> new What.Told(0, 1, "ada", 100_001, null)),
                of("timeMs", () -> new What.Told(0, 1, "ada", 5, -1)),
                of("device", () -> new What.Stands(0, 1, "ada", " ")),
                of("take", () -> new What.Trial(0, 0)),
                of("pupilId", () -> new What.Away(null)),
                of("pupilId", () -> new What.Here(" ")),
                of("faultId", () -> new What.FaultSeen(0, null, null)),
                of("pupilId", () -> new What.FaultSeen(0, " ", "low")),
                of("word", () -> new What.OwnWord(0, "ada", null)),
                of("word", () -> new What.Said(0, "ada", "a".repeat(25))),
                of("rungId", () -> new What.OnRung(0, "ada", null)),
                of("on", () -> new What.ScoresOnWall(null)),
                of("target", () -> new What.TakeBack(null)),
                of("kind", () -> flat(null, null, null).event()),
                of(
                        "offsetMs",
                        () -> flat(FlatEvent.Kind.COLLECT, 86_400_001L, null).event()),
                of("note", () -> flat(FlatEvent.Kind.WORD, null, "BORING").event()));
    }

    private static Arguments of(String field, Runnable make) {
        return Arguments.of(field, make);
    }

    private static FlatEvent flat(FlatEvent.Kind kind, Long offsetMs, String note) {
        return new FlatEvent(
                new UUID(7, 7), kind, 1L, 0, offsetMs, 1, "ada", 5, null, null, "tablet", note, null, null);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("refused")
    void is_refused(String field, Runnable make) {
        assertThatThrownBy(make::run)
                .isInstanceOfSatisfying(
                        Refused.class,
                        e -> assertThat(e.faults()).extracting(Fault::field).contains(field));
    }

    @Test
    void the_edges_are_taken() {
        new Staircase.StaircaseAsk(1, 1, OnMiss.STAY, "H".repeat(10_000), 0.0);
        new Rings(List.of(new Rings.Ring(1, 0), new Rings.Ring(500, 1000)));
        new Gate.SoManyOf(5, 5);
        new What.Told(0, 1, "ada", 100_000, 86_400_000);
        assertThat(flat(FlatEvent.Kind.COLLECT, 86_400_000L, null).event().what())
                .isEqualTo(new What.Told(0, 1, "ada", 5, 86_400_000));
    }
}
