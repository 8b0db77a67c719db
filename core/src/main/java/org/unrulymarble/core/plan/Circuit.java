package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.place.Spots;
import org.unrulymarble.core.rotation.Company;

/**
 * Several tasks at the same time in different places of one room. The class is split into as many groups as there are stations; on one signal every
 * group works, rests and moves on to the next station, until each has been at all of them.
 *
 * @param id lasting within the lesson, and no block's
 * @param stationIds blocks of the lesson, 2 to 8 tasks, in the order in which groups move on
 * @param rounds of one visit, 1 to 12; a station where not all of a group fit takes turns through them
 * @param workSec of one round, 10 to 600; a station's own shorter work ends sooner, a count has as long as that
 * @param restSec between two rounds of a visit
 * @param changeSec to move on to the next station
 * @param places where stations were put by hand; the others are laid out
 * @param groups pupils' ids as the teacher put them together, or empty for groups in the order of the class, apart and together as the teacher says; who is in none joins the smallest
 */
public record Circuit(
        String id,
        List<String> stationIds,
        Integer rounds,
        Integer workSec,
        Integer restSec,
        Integer changeSec,
        List<At> places,
        List<List<String>> groups) {

    /** A station's rectangle, in metres from the left and the top of the room as it is described. */
    public record At(String stationId, Double xM, Double yM, Double alongM, Double acrossM) {
        public At {
            new Checks()
                    .text("stationId", stationId, 60)
                    .length("xM", xM)
                    .length("yM", yM)
                    .above("alongM", alongM, 0, 200)
                    .above("acrossM", acrossM, 0, 200)
                    .done();
        }

        Spots.Placed placed() {
            return new Spots.Placed(xM, yM, alongM, acrossM);
        }
    }

    /** No circuit has fewer stations than that. */
    public static final int FEWEST_STATIONS = 2;

    /** Nor more than that. */
    public static final int MOST_STATIONS = 8;

    private static final int MOST_ROUNDS = 12;
    private static final int DRINK_SEC = 30;
    private static final int SHORTEST_SEC = 10;
    private static final int LONGEST_SEC = 600;

    public Circuit {
        places = places == null ? List.of() : List.copyOf(places);
        groups = groups == null ? List.of() : groups.stream().map(List::copyOf).toList();
        new Checks()
                .text("id", id, 60)
                .entries("stationIds", stationIds, FEWEST_STATIONS, MOST_STATIONS)
                .range("rounds", rounds, 1, MOST_ROUNDS)
                .range("workSec", workSec, SHORTEST_SEC, LONGEST_SEC)
                .range("restSec", restSec, 0, LONGEST_SEC)
                .range("changeSec", changeSec, 0, LONGEST_SEC)
                .entries("places", places, 0, MOST_STATIONS)
                .entries("groups", groups, 0, MOST_STATIONS)
                .done();
        new Checks()
                .distinct("stationIds", stationIds)
                .distinct("groups", groups.stream().flatMap(List::stream).toList())
                .done();
        stationIds = List.copyOf(stationIds);
    }

    /** Laid out by the room, in groups in the order of the class. */
    public static Circuit of(String id, List<String> stationIds, int rounds, int workSec, int restSec, int changeSec) {
        return new Circuit(id, stationIds, rounds, workSec, restSec, changeSec, List.of(), List.of());
    }

    /** Whether one can drink on the way to the next station. */
    public boolean timeToDrink() {
        return changeSec >= DRINK_SEC;
    }

    public int stations() {
        return stationIds.size();
    }

    /** Which group is at a station in a stage, all from 0: each begins at the station of its own number and moves on to the next. */
    int groupAt(int station, int stage) {
        return Math.floorMod(station - stage, stations());
    }

    public Circuit withStations(List<String> changed) {
        return new Circuit(
                id,
                changed,
                rounds,
                workSec,
                restSec,
                changeSec,
                places.stream().filter(p -> changed.contains(p.stationId())).toList(),
                groups);
    }

    /** For these pupils: of the groups those who are there. */
    Circuit among(Set<String> pupilIds) {
        return withGroups(groups.stream()
                .map(g -> g.stream().filter(pupilIds::contains).toList())
                .toList());
    }

    public Circuit withGroups(List<List<String>> changed) {
        return new Circuit(id, stationIds, rounds, workSec, restSec, changeSec, places, changed);
    }

    /** None for all to be laid out anew. */
    public Circuit withPlaces(List<At> changed) {
        return new Circuit(id, stationIds, rounds, workSec, restSec, changeSec, changed, groups);
    }

    /** Where a station was put, or null. */
    Spots.Placed placeOf(String stationId) {
        return places.stream()
                .filter(p -> p.stationId().equals(stationId))
                .map(At::placed)
                .findFirst()
                .orElse(null);
    }

    /** The class in as many groups as there are stations; nobody is left out. In the order of the class who is to be apart is exchanged for another. */
    List<List<PlanPupil>> groupsOf(Setting setting) {
        List<PlanPupil> pupils = setting.pupils();
        if (groups.isEmpty()) return inOrder(pupils, setting.company());
        List<List<PlanPupil>> out = new ArrayList<>();
        for (int g = 0; g < stations(); g++) {
            List<String> ids = g < groups.size() ? groups.get(g) : List.of();
            out.add(new ArrayList<>(
                    pupils.stream().filter(p -> ids.contains(p.id())).toList()));
        }
        for (PlanPupil pupil : pupils)
            if (groups.stream().noneMatch(g -> g.contains(pupil.id())))
                out.stream()
                        .min(Comparator.comparingInt(List::size))
                        .orElseThrow()
                        .add(pupil);
        return out.stream().map(List::copyOf).toList();
    }

    private List<List<PlanPupil>> inOrder(List<PlanPupil> pupils, Company company) {
        List<List<String>> out = new ArrayList<>();
        int n = pupils.size();
        for (int g = 0; g < stations(); g++)
            out.add(pupils.subList(n * g / stations(), n * (g + 1) / stations()).stream()
                    .map(PlanPupil::id)
                    .toList());
        Map<String, PlanPupil> byId = pupils.stream().collect(Collectors.toMap(PlanPupil::id, p -> p));
        return company.seated(out).stream()
                .map(ids -> ids.stream().map(byId::get).toList())
                .toList();
    }
}
