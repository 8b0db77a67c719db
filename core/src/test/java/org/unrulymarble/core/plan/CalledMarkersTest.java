package org.unrulymarble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.ladder.CalledMarkers;
import org.unrulymarble.core.ladder.CalledMarkers.CalledMarker;
import org.unrulymarble.core.ladder.HelpPart;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.plan.edit.BlockEdit;
import org.unrulymarble.core.run.RunScript;

/** Markers that the lesson lays and names itself: as many of each colour as there are. */
class CalledMarkersTest {

    private static final Ladder RUN = World.CATALOGUE.all().stream()
            .filter(l -> l.rungs().stream().anyMatch(r -> r.id().equals("dribbled-out")))
            .findFirst()
            .orElseThrow();

    private static final CalledMarkers FIVE = new CalledMarkers(
            List.of(
                    new CalledMarker("red", 0.0, 0.0),
                    new CalledMarker("red", 5.0, 0.0),
                    new CalledMarker("white", 0.0, 2.004),
                    new CalledMarker("white", 5.0, 2.0),
                    new CalledMarker("blue", 2.5, 4.0)),
            6.0);

    @Test
    void words_calls_kit_and_floor_are_those_of_the_markers_that_lie_there() {
        Setting setting = World.setting(World.YARD, 4);
        Lesson lesson = lesson(RUN.rungs().get(0), FIVE);
        Placed placed = Placed.all(lesson, setting).get(0);
        RunScript.Called called =
                ScriptWriter.write(lesson, setting).blocks().get(0).calls();

        assertThat(LessonPlan.of(lesson, setting).blocks().get(0).words().task())
                .startsWith("Stand in the middle of 5 markers and dribble.");
        assertThat(called.words()).containsExactly("red", "white", "blue");
        assertThat(called.everySec()).isEqualTo(6);
        assertThat(called.lie()).isEqualTo(FIVE.markers());
        // A result on these markers is none on others.
        assertThat(ScriptWriter.write(lesson, setting)
                        .blocks()
                        .get(0)
                        .otherwise()
                        .target())
                .isEqualTo("5 markers within 5 by 4 m, a call every 6 s");
        RunScript.ScriptBlock asRung = ScriptWriter.write(lesson(RUN.rungs().get(0), null), setting)
                .blocks()
                .get(0);
        assertThat(asRung.calls().lie()).isNull();
        assertThat(asRung.otherwise().target()).isNull();
        assertThat(called.order()).contains(0, 1, 2).allMatch(word -> word < 3);
        assertThat(KitNeed.of(placed).stream()
                        .filter(n -> n.label().equals("markers"))
                        .findFirst()
                        .orElseThrow()
                        .count())
                .isEqualTo(5 * placed.crewsAtOnce());
        assertThat(placed.footprint().lengthM()).isEqualTo(6);
        assertThat(placed.footprint().widthM()).isEqualTo(5);
        assertThat(FIVE.markers().get(2).yM()).isEqualTo(2.0);
    }

    @Test
    void they_are_laid_by_an_edit_and_go_with_another_rung() {
        Setting setting = World.setting(World.YARD, 4);
        Lesson plain = lesson(RUN.rungs().get(0), null);
        Lesson laid = new BlockEdit.SetCalled("b1", FIVE).on(plain, setting);
        Lesson alone = new BlockEdit.SetHelpers("b1", List.of(HelpPart.FETCHER)).on(laid, setting);
        Rung next = RUN.rungs().get(1);
        Block same = new BlockEdit.ChooseRung("b1", next.id())
                .on(alone, setting)
                .blocks()
                .get(0);
        // Its task names the colours itself.
        Rung named = RUN.rungs().get(2);
        Block other = new BlockEdit.ChooseRung("b1", named.id())
                .on(alone, setting)
                .blocks()
                .get(0);

        assertThat(laid.blocks().get(0).called()).isEqualTo(FIVE);
        assertThat(alone.blocks().get(0).helpers()).containsExactly(HelpPart.FETCHER);
        assertThat(same.called()).isEqualTo(FIVE);
        assertThat(RUN.callsMarkers(named)).isFalse();
        assertThat(other.called()).isNull();
        assertThat(new BlockEdit.SetCalled("b1", null).on(laid, setting)).isEqualTo(plain);
    }

    @Test
    void as_the_rung_has_it_there_are_as_many_as_it_has_words() {
        assertThat(LessonPlan.of(lesson(RUN.rungs().get(0), null), World.setting(World.YARD, 4))
                        .blocks()
                        .get(0)
                        .words()
                        .task())
                .startsWith("Stand in the middle of 4 markers");
    }

    @Test
    void what_cannot_be_called_is_refused_at_its_field() {
        refused(
                () -> new CalledMarkers(
                        List.of(FIVE.markers().get(0), FIVE.markers().get(1)), 6.0),
                "markers");
        refused(() -> new CalledMarkers(FIVE.markers(), 0.0), "everySec");
        refused(() -> new CalledMarker("", 0.0, 51.0), "word", "yM");
        Ladder still = World.CATALOGUE.ladder("cup-and-sock").orElseThrow();
        Lesson lesson =
                World.lesson(40, World.task(still.id(), still.rungs().get(0).id(), d -> d.called = FIVE));
        refused(() -> Allowed.check(lesson, World.CATALOGUE, World.FULL), "blocks[0].called");
    }

    private static void refused(Runnable what, String... fields) {
        assertThatThrownBy(what::run)
                .isInstanceOfSatisfying(
                        Refused.class,
                        r -> assertThat(r.faults()).extracting(Fault::field).containsExactly(fields));
    }

    private static Lesson lesson(Rung rung, CalledMarkers called) {
        return World.lesson(40, World.task(RUN.id(), rung.id(), d -> d.called = called));
    }
}
