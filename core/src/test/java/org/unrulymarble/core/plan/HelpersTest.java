package org.unrulymarble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.ladder.HelpPart;
import org.unrulymarble.core.ladder.Role;
import org.unrulymarble.core.run.RunScript;

/** Who is at a spot beside those who work: as the ladder has it, nobody, or others. */
class HelpersTest {

    private static final String PAIRS = "chest-pass-to-the-chalk";

    @Test
    void each_counts_alone_and_twice_as_many_work_at_once() {
        BlockPlan pairs = plan(PAIRS, null, 6);
        BlockPlan alone = plan(PAIRS, List.of(), 6);

        assertThat(pairs.atSpot()).isEqualTo(new HelpPart.AtSpot(List.of("worker"), List.of(HelpPart.COUNTER)));
        assertThat(alone.atSpot()).isEqualTo(new HelpPart.AtSpot(List.of("worker"), List.of()));
        assertThat(List.of(pairs.workingAtOnce(), pairs.helping(), pairs.turns()))
                .containsExactly(3, 3, 2);
        assertThat(List.of(alone.workingAtOnce(), alone.helping(), alone.turns()))
                .containsExactly(6, 0, 1);
        assertThat(alone.endSec() - alone.startSec()).isLessThan(pairs.endSec() - pairs.startSec());
    }

    @Test
    void three_at_a_spot_have_each_part_once() {
        Lesson lesson = lesson(PAIRS, List.of(HelpPart.COUNTER, HelpPart.FETCHER), d -> {
            d.roleTurns = Block.RoleTurns.EVERY_ROLE;
            d.sets = 1;
        });
        RunScript script = ScriptWriter.write(lesson, World.setting(World.YARD, 12));
        RunScript.ScriptBlock block = script.blocks().get(0);

        assertThat(block.roles()).extracting(Role::name).containsExactly("worker", "counter", "fetcher");
        assertThat(block.roles().get(1).line()).as("the ladder's own counter").contains("meets the square");
        Map<String, Integer> parts = new TreeMap<>();
        for (RunScript.ScriptTurn turn : block.turns())
            for (RunScript.Crew crew : turn.crews()) {
                parts.merge(crew.workers().get(0) + " works", 1, Integer::sum);
                parts.merge(crew.helpers().get(0) + " counts", 1, Integer::sum);
                parts.merge(crew.helpers().get(1) + " fetches", 1, Integer::sum);
            }
        assertThat(parts)
                .hasSize(36)
                .allSatisfy((who, often) -> assertThat(often).isEqualTo(1));
    }

    @Test
    void whoever_feeds_stays_and_another_task_begins_with_its_own() {
        assertThat(World.CATALOGUE.all().stream()
                        .filter(l -> l.roles().stream().anyMatch(r -> !r.works() && r.busy()))
                        .map(l -> l.withHelpers(List.of()).roles()))
                .isNotEmpty()
                .allSatisfy(roles -> assertThat(roles).anyMatch(Role::busy));
    }

    private static BlockPlan plan(String ladderId, List<HelpPart> helpers, int pupils) {
        return LessonPlan.of(lesson(ladderId, helpers, d -> {}), World.setting(World.YARD, pupils))
                .blocks()
                .get(0);
    }

    private static Lesson lesson(
            String ladderId, List<HelpPart> helpers, java.util.function.Consumer<BlockDraft> change) {
        String rungId =
                World.CATALOGUE.ladder(ladderId).orElseThrow().rungs().get(0).id();
        return World.lesson(40, World.task(ladderId, rungId, d -> {
            d.helpers = helpers;
            change.accept(d);
        }));
    }
}
