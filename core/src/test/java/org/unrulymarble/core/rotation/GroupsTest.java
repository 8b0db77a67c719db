package org.unrulymarble.core.rotation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Groups against all that there are, and what must hold of every grouping. */
class GroupsTest {

    static Stream<Random> seeds() {
        return IntStream.range(0, 12).mapToObj(seed -> new Random(70 + seed));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void two_teams_of_six_are_within_a_hundredth_of_the_best_there_is(Random random) {
        List<Groups.GroupPupil> pupils = pupils(12, random);
        List<List<String>> apart = List.of(List.of("p0", "p1"));
        List<Groups.Met> met = List.of(new Groups.Met("p2", "p3", 3), new Groups.Met("p4", "gone", 9));
        for (Groups.Mode mode : Groups.Mode.values()) {
            Groups found = Groups.of(new Groups.GroupsAsk(mode, 2, pupils, apart, List.of(), met, 0.1));
            Groups.GroupsAsk free = new Groups.GroupsAsk(mode, 2, pupils, List.of(), List.of(), met, 0.1);
            GroupCost cost = new GroupCost(free);
            double best = Double.POSITIVE_INFINITY;
            for (int with = 0; with < 1 << 12; with++) {
                if (Integer.bitCount(with) != 6 || (with & 1) == ((with >> 1) & 1)) continue;
                best = Math.min(best, cost.of(members(with)) + cost.of(members(~with)));
            }
            assertThat(found.cost()).isBetween(best - 1e-9, best * 1.01 + 1e-9);
        }
    }

    private static int[] members(int mask) {
        return IntStream.range(0, 12).filter(i -> (mask >> i & 1) == 1).toArray();
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void like_with_like_are_neighbours_and_that_is_proven(Random random) {
        List<Groups.GroupPupil> pupils = pupils(26, random);
        Groups found =
                Groups.of(new Groups.GroupsAsk(Groups.Mode.ALIKE, 4, pupils, List.of(), List.of(), List.of(), 0.0));

        assertThat(found.bound()).isEqualTo(found.cost());
        List<Double> levels = new ArrayList<>();
        found.groups().stream()
                .map(g -> g.stream()
                        .map(id -> pupils.get(Integer.parseInt(id.substring(1))).level())
                        .sorted()
                        .toList())
                .sorted(Comparator.comparing(g -> g.get(0)))
                .forEach(levels::addAll);
        assertThat(levels).isSorted().hasSize(26);
        assertThat(found.groups()).extracting(List::size).containsExactlyInAnyOrder(6, 6, 7, 7);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void keeps_who_stays_together_and_who_stays_apart(Random random) {
        List<List<String>> together = List.of(List.of("p1", "p2"), List.of("p2", "p3"), List.of("p8", "p9"));
        List<List<String>> apart = List.of(List.of("p1", "p4"), List.of("p4", "p5"), List.of("p8", "p3"));
        Groups found = Groups.of(
                new Groups.GroupsAsk(Groups.Mode.EVEN, 7, pupils(24, random), apart, together, List.of(), 0.0));

        assertThat(found.groups().stream().mapToInt(List::size)).containsOnly(3, 4);
        assertThat(new HashSet<>(found.groups().stream().flatMap(List::stream).toList()))
                .hasSize(24);
        together.forEach(
                pair -> assertThat(found.groups()).anySatisfy(g -> assertThat(g).containsAll(pair)));
        apart.forEach(pair -> assertThat(found.groups()).noneMatch(g -> g.containsAll(pair)));
    }

    @Test
    void says_where_apart_and_together_cannot_be_kept() {
        List<List<String>> apart = List.of(List.of("p0", "p1"), List.of("p1", "p2"), List.of("p0", "p2"));
        Groups found = Groups.of(
                new Groups.GroupsAsk(Groups.Mode.EVEN, 2, pupils(20, new Random(1)), apart, List.of(), List.of(), 0.0));

        assertThat(found).isEqualTo(new Groups(false, null, null, null));
    }

    @Test
    void more_groups_than_pupils_leave_some_empty_at_no_cost() {
        Groups found = Groups.of(new Groups.GroupsAsk(
                Groups.Mode.ALIKE, 5, pupils(3, new Random(2)), List.of(), List.of(), List.of(), 0.0));

        assertThat(found.cost()).isCloseTo(0, within(1e-12));
        assertThat(found.groups()).hasSize(5).filteredOn(List::isEmpty).hasSize(2);
    }

    private static List<Groups.GroupPupil> pupils(int count, Random random) {
        return IntStream.range(0, count)
                .mapToObj(i -> new Groups.GroupPupil("p" + i, random.nextGaussian()))
                .toList();
    }
}
