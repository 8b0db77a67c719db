package org.unrulymarble.core.plan.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.clock.Dose;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.place.SideBySide;
import org.unrulymarble.core.place.Spots;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.Circuit;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.Sharing;
import org.unrulymarble.core.plan.Station;
import org.unrulymarble.core.plan.StationRest;
import org.unrulymarble.core.plan.Timeline;
import org.unrulymarble.core.rotation.Company;
import org.unrulymarble.core.rotation.Groups;

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
            others.add(Circuit.of(
                    id,
                    stations.stream().map(Block::id).toList(),
                    rounds(stations, setting),
                    workSec(stations),
                    REST_SEC,
                    CHANGE_SEC));
            return lesson.withCircuits(others);
        }

        /** Everyone works at least twice, and where roles change each as often. */
        private static int rounds(List<Block> stations, Setting setting) {
            int parts = 1;
            for (Block b : stations) {
                Ladder ladder = Tasks.ladder(setting, b.ladderId()).withHelpers(b.helpers());
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
    record SetCircuit(
            String circuitId,
            @Nullable Integer rounds,
            @Nullable Integer workSec,
            @Nullable Integer restSec,
            @Nullable Integer changeSec)
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
                            c.places(),
                            c.groups()));
        }
    }

    /**
     * A station rests longer than the others between its rounds, and works so much shorter.
     *
     * @param restSec between {@link StationRest#leastSec()} and {@link StationRest#mostSec()}
     */
    record SetStationRest(String circuitId, String blockId, Integer restSec) implements CircuitEdit {
        public SetStationRest {
            new Checks()
                    .text("blockId", blockId, 60)
                    .required("restSec", restSec)
                    .done();
        }

        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            Circuit c = known(lesson, circuitId);
            Timeline.Piece piece = Timeline.pieces(Placed.all(lesson, setting)).stream()
                    .filter(p -> p.circuit() != null && p.circuit().id().equals(c.id()))
                    .findFirst()
                    .orElseThrow(() -> new Refused("circuitId", Fault.Rule.UNKNOWN, circuitId));
            Placed station = piece.blocks().stream()
                    .filter(p -> p.block().id().equals(blockId))
                    .findFirst()
                    .orElseThrow(() -> new Refused("blockId", Fault.Rule.UNKNOWN, blockId));
            StationRest may = StationRest.of(station, piece);
            new Checks()
                    .range("restSec", restSec, may.leastSec(), may.mostSec())
                    .done();
            return new BlockEdit.SetDose(blockId, StationRest.dose(restSec, station, piece)).on(lesson, setting);
        }
    }

    /**
     * Puts a station somewhere else in the room; the others stay where they are.
     *
     * @param xM of its corner from the left, {@code yM} from the top of the room as it is described
     */
    record PlaceStation(String circuitId, String blockId, Double xM, Double yM) implements CircuitEdit {
        public PlaceStation {
            new Checks()
                    .text("blockId", blockId, 60)
                    .range("xM", xM, -200, 200)
                    .range("yM", yM, -200, 200)
                    .done();
        }

        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            Circuit c = known(lesson, circuitId);
            Station station = Station.of(lesson, setting).get(blockId);
            if (station == null || !station.circuit().id().equals(c.id()))
                throw new Refused("blockId", Fault.Rule.UNKNOWN, blockId);
            SideBySide.hindrance(station.ask(), station.number(), xM, yM).ifPresent(this::refuse);
            List<Circuit.At> places = new ArrayList<>();
            List<SideBySide.StationAsk> asked =
                    SideBySide.moved(station.ask(), station.number(), xM, yM).stations();
            for (int i = 0; i < asked.size(); i++) {
                Spots.Placed at = asked.get(i).at();
                if (at.alongM() > 0)
                    places.add(new Circuit.At(c.stationIds().get(i), at.xM(), at.yM(), at.alongM(), at.acrossM()));
            }
            return with(lesson, c.withPlaces(places));
        }

        private void refuse(SideBySide.Why why) {
            String field = "place";
            switch (why.hindrance()) {
                case OUTSIDE -> throw new Refused(field, Fault.Rule.PLACE_OUTSIDE);
                case WAY -> throw new Refused(field, Fault.Rule.PLACE_WAY);
                case WINDOW -> throw new Refused(field, Fault.Rule.PLACE_WINDOW);
                case STATION -> throw new Refused(field, Fault.Rule.PLACE_STATION, why.station() + 1);
                case THROWN_AT -> throw new Refused(field, Fault.Rule.PLACE_THROWN_AT, why.station() + 1);
            }
        }
    }

    /** All stations are laid out anew. */
    record LayOut(String circuitId) implements CircuitEdit {
        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            return with(lesson, known(lesson, circuitId).withPlaces(List.of()));
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

    /**
     * Puts the groups together by what is known of the pupils at the stations' tasks: fair, each group like the class, or like with like. Who is not known
     * there counts as the class's middle.
     */
    record GroupBy(String circuitId, Groups.Mode mode) implements CircuitEdit {

        public GroupBy {
            new Checks().required("mode", mode).done();
        }

        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            Circuit c = known(lesson, circuitId);
            List<Ladder> ladders = lesson.blocks().stream()
                    .filter(b -> c.stationIds().contains(b.id()))
                    .map(b -> Tasks.ladder(setting, b.ladderId()))
                    .toList();
            List<Groups.GroupPupil> pupils = setting.pupils().stream()
                    .map(p -> new Groups.GroupPupil(p.id(), Sharing.level(p, ladders, setting)))
                    .toList();
            Company company = setting.company();
            Groups found = Groups.of(new Groups.GroupsAsk(
                    mode,
                    c.stations(),
                    pupils,
                    company.apart(),
                    company.together(),
                    company.met(),
                    Sharing.MET_WEIGHT));
            new Checks()
                    .that(
                            found.feasible(),
                            "mode",
                            Fault.Rule.KIND,
                            "groups in which who is to be apart is apart, and who is to be together is together: here that cannot be")
                    .done();
            return with(lesson, c.withGroups(found.groups()));
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
