package org.unrulymarble.core.rotation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.World;
import org.unrulymarble.core.plan.edit.CircuitEdit;

/** Crews and groups keep apart who is better apart and together who belongs together, and leave all others as they are. */
class CompanyTest {

    private static Company company(List<List<String>> apart, List<List<String>> together) {
        return new Company(apart, together, List.of());
    }

    @Test
    void only_crews_with_a_broken_wish_change() {
        List<List<String>> crews = List.of(List.of("a", "b"), List.of("c", "d"), List.of("e", "f", "g"));
        assertThat(company(List.of(List.of("a", "c")), List.of()).seated(crews)).isEqualTo(crews);
        assertThat(Company.ANY.seated(crews)).isSameAs(crews);

        List<List<String>> apart =
                company(List.of(List.of("a", "b")), List.of()).seated(crews);
        assertThat(apart).noneMatch(c -> c.containsAll(List.of("a", "b")));
        assertThat(apart.get(2)).containsExactly("e", "f", "g");
        assertThat(apart.stream().flatMap(List::stream)).hasSize(7).doesNotHaveDuplicates();

        assertThat(company(List.of(), List.of(List.of("a", "g"))).seated(crews))
                .anyMatch(c -> c.containsAll(List.of("a", "g")));
        // Whoever is not here is nobody's wish.
        assertThat(company(List.of(), List.of(List.of("a", "z"))).seated(crews)).isEqualTo(crews);
    }

    @Test
    void what_cannot_be_is_broken_as_little_as_can_be() {
        List<List<String>> two = List.of(List.of("a", "b"), List.of("c", "d"));
        List<List<String>> all = company(List.of(List.of("a", "b"), List.of("a", "c"), List.of("a", "d")), List.of())
                .seated(two);
        assertThat(all.stream().flatMap(List::stream)).containsExactlyInAnyOrder("a", "b", "c", "d");
        assertThat(all).hasSize(2).allMatch(c -> c.size() == 2);
    }

    @Test
    void groups_that_cannot_be_are_refused_and_who_met_last_is_mixed() {
        Lesson lesson = new CircuitEdit.PutTogether("c", List.of("b1", "b2"))
                .on(
                        World.lesson(
                                40, World.task("two-ball-drum", "together"), World.task("round-the-middle", "waist")),
                        World.setting(World.LOFT, 4));
        Setting four = World.setting(World.LOFT, 4).of(World.aged(11, 4));
        String one = four.pupils().get(0).id();
        String other = four.pupils().get(1).id();
        String third = four.pupils().get(2).id();
        CircuitEdit even = new CircuitEdit.GroupBy("c", Groups.Mode.EVEN);

        Setting met = four.among(new Company(
                List.of(), List.of(), List.of(new Groups.Met(one, other, 1), new Groups.Met(one, third, 1))));
        assertThat(even.on(lesson, met).circuits().get(0).groups())
                .noneMatch(g -> g.containsAll(List.of(one, other)) || g.containsAll(List.of(one, third)));

        Setting never = four.among(
                company(List.of(List.of(one, other), List.of(one, third), List.of(other, third)), List.of()));
        assertThatThrownBy(() -> even.on(lesson, never))
                .isInstanceOfSatisfying(
                        Refused.class,
                        refused -> assertThat(refused.faults().get(0).field()).isEqualTo("mode"));
    }
}
