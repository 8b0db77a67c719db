package org.unrulymarble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.run.RunScript;

class CrewsTest {

    @Test
    void who_is_over_joins_a_crew_and_three_short_ones_make_their_own() {
        assertThat(Crews.of(List.of("ada", "ben", "cleo", "dov", "eve"), 2))
                .containsExactly(List.of("ada", "ben"), List.of("cleo", "dov", "eve"));
        // Two over are one more in each of two fours, not a pair in a task for three.
        assertThat(Crews.of(Collections.nCopies(8, "x"), 3))
                .extracting(List::size)
                .containsExactly(4, 4);
        assertThat(Crews.of(Collections.nCopies(7, "x"), 4))
                .extracting(List::size)
                .containsExactly(4, 3);
        assertThat(Crews.of(List.of("ada"), 2)).containsExactly(List.of("ada"));
        assertThat(Crews.of(List.<String>of(), 2)).isEmpty();
    }

    static Stream<Ladder> together() {
        return World.CATALOGUE.all().stream().filter(l -> l.perSpot() > 1);
    }

    @ParameterizedTest
    @MethodSource("together")
    void nobody_is_alone_in_a_task_for_several_and_all_work_as_often(Ladder ladder) {
        for (int pupils = 2; pupils <= 30; pupils++) {
            RunScript.ScriptBlock block = ScriptWriter.write(
                            World.lesson(
                                    40,
                                    World.task(
                                            ladder.id(), ladder.rungs().get(0).id())),
                            World.setting(World.NET_STORE, pupils))
                    .blocks()
                    .get(0);
            Map<String, Integer> worked = new HashMap<>();
            for (RunScript.ScriptTurn turn : block.turns())
                for (RunScript.Crew crew : turn.crews()) {
                    List<String> there = new ArrayList<>(crew.workers());
                    there.addAll(crew.helpers());
                    assertThat(there).hasSizeGreaterThan(1).doesNotHaveDuplicates();
                    crew.workers().forEach(w -> worked.merge(w, 1, Integer::sum));
                }
            assertThat(worked).hasSize(pupils);
            // A crew with every place filled, or one more than that, comes round evenly.
            boolean even = pupils % ladder.perSpot() <= pupils / ladder.perSpot()
                    && ladder.perSpot() % ladder.workingAtOnce() == 0;
            if (even) assertThat(worked.values()).as("%d pupils", pupils).containsOnly(1);
        }
    }
}
