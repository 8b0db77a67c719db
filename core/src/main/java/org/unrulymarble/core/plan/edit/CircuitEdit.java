package org.unrulymarble.core.plan.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.clock.Dose;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.Circuit;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.Setting;

/** Changes of what is done at the same time in different places. */
public sealed interface CircuitEdit extends Edit {

    /**
     * Makes these tasks the stations of one circuit, where the first of them stands; blocks of another circuit leave it.
     *
     * @param id of the new circuit
     * @param blockIds 2 to 8 tasks
     */
    record PutTogether(String id, List<String> blockIds) implements CircuitEdit {

        private static final int REST_SEC = 15;
        private static final int CHANGE_SEC = 30;
        private static final int SHORTEST_SEC = 30;
        private static final int LONGEST_SEC = 90;

        public PutTogether {
            new Checks()
                    .text("id", id, 60)
                    .entries("blockIds", blockIds, Circuit.FEWEST_STATIONS, Circuit.MOST_STATIONS)
                    .done();
            new Checks().distinct("blockIds", blockIds).done();
            blockIds = List.copyOf(blockIds);
        }

        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            Checks checks = new Checks();
            for (int i = 0; i < blockIds.size(); i++) {
                int at = lesson.indexOf(blockIds.get(i));
                String field = "blockIds[" + i + "]";
                checks.that(at >= 0, field, Fault.Rule.UNKNOWN, blockIds.get(i));
                if (at >= 0)
                    checks.that(
                            lesson.blocks().get(at).kind() == Block.Kind.TASK, field, Fault.Rule.ONE_OF, "the tasks");
            }
            checks.done();
            List<Block> stations = lesson.blocks().stream()
                    .filter(b -> blockIds.contains(b.id()))
                    .toList();
            List<Circuit> others = new ArrayList<>();
            for (Circuit c : lesson.circuits()) {
                List<String> left = c.stationIds().stream()
                        .filter(s -> !blockIds.contains(s))
                        .toList();
                if (left.size() >= Circuit.FEWEST_STATIONS) others.add(c.withStations(left));
            }
            others.add(new Circuit(
                    id,
                    stations.stream().map(Block::id).toList(),
                    rounds(stations, setting),
                    workSec(stations),
                    REST_SEC,
                    CHANGE_SEC,
                    List.of()));
            return lesson.withCircuits(others);
        }

        /** Everyone works at least twice, and where roles change each as often. */
        private static int rounds(List<Block> stations, Setting setting) {
            int parts = 1;
            for (Block b : stations) {
                Ladder ladder = Tasks.ladder(setting, b.ladderId());
                int own = b.roleTurns() == Block.RoleTurns.EVERY_ROLE
                        ? ladder.perSpot()
                        : (ladder.perSpot() + ladder.workingAtOnce() - 1) / ladder.workingAtOnce();
                parts = Math.max(parts, own);
            }
            return Math.max(2, parts);
        }

        /** As long as the stations work on average, within reason. */
        private static int workSec(List<Block> stations) {
            double mean = stations.stream()
                    .map(Block::dose)
                    .map(BlockDose::forClock)
                    .mapToInt(Dose::seconds)
                    .average()
                    .orElse(LONGEST_SEC);
            return Math.max(SHORTEST_SEC, Math.min(LONGEST_SEC, 5 * (int) Math.round(mean / 5)));
        }
    }

    /** The stations are blocks one after the other again, with their own rounds. */
    record TakeApart(String circuitId) implements CircuitEdit {
        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            known(lesson, circuitId);
            return lesson.withCircuits(lesson.circuits().stream()
                    .filter(c -> !c.id().equals(circuitId))
                    .toList());
        }
    }

    /** What is null stays as it is. */
    record SetCircuit(String circuitId, Integer rounds, Integer workSec, Integer restSec, Integer changeSec)
            implements CircuitEdit {
        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            Circuit c = known(lesson, circuitId);
            return with(
                    lesson,
                    new Circuit(
                            c.id(),
                            c.stationIds(),
                            rounds == null ? c.rounds() : rounds,
                            workSec == null ? c.workSec() : workSec,
                            restSec == null ? c.restSec() : restSec,
                            changeSec == null ? c.changeSec() : changeSec,
                            c.groups()));
        }
    }

    /** Who goes round together. @param groups as many as there are stations, or none for the order of the class */
    record SetGroups(String circuitId, List<List<String>> groups) implements CircuitEdit {
        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            Circuit c = known(lesson, circuitId);
            new Checks().required("groups", groups).done();
            new Checks()
                    .that(
                            groups.isEmpty() || groups.size() == c.stations(),
                            "groups",
                            Fault.Rule.ONE_OF,
                            c.stations() + " groups, one a station")
                    .done();
            Set<String> here = setting.pupils().stream().map(PlanPupil::id).collect(Collectors.toSet());
            return with(
                    lesson,
                    c.withGroups(groups.stream()
                            .map(g -> g.stream().filter(here::contains).toList())
                            .toList()));
        }
    }

    private static Circuit known(Lesson lesson, String circuitId) {
        return lesson.circuits().stream()
                .filter(c -> c.id().equals(circuitId))
                .findFirst()
                .orElseThrow(() -> new Refused("circuitId", Fault.Rule.UNKNOWN, String.valueOf(circuitId)));
    }

    private static Lesson with(Lesson lesson, Circuit changed) {
        return lesson.withCircuits(lesson.circuits().stream()
                .map(c -> c.id().equals(changed.id()) ? changed : c)
                .toList());
    }
}
