package org.unrulymarble.core.rotation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.unrulymarble.core.check.Refused;

class RotationTest {

    @ParameterizedTest
    @CsvSource({"4, 4", "3, 5", "6, 4", "1, 1", "1, 7", "9, 2"})
    void every_group_visits_every_station_once_and_none_is_taken_twice(int groups, int stations) {
        Stations table = Stations.of(new Stations.StationsAsk(groups, stations, 60, 240, 30));

        for (int g = 0; g < groups; g++) {
            int group = g;
            List<Integer> visits = table.rounds().stream()
                    .map(r -> r.stationOfGroup().get(group))
                    .filter(Objects::nonNull)
                    .toList();
            assertThat(visits)
                    .containsExactlyInAnyOrderElementsOf(
                            IntStream.rangeClosed(1, stations).boxed().toList());
        }
        for (Stations.Round round : table.rounds()) {
            List<Integer> taken =
                    round.stationOfGroup().stream().filter(Objects::nonNull).toList();
            assertThat(taken).doesNotHaveDuplicates();
        }
        int rounds = Math.max(groups, stations);
        assertThat(table.totalSec()).isEqualTo(60 + rounds * 240L + (rounds - 1) * 30L);
        assertThat(table.rounds().get(rounds - 1).endSec()).isEqualTo(table.totalSec());
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 3, 7, 8, 15, 24, 64})
    void nobody_meets_twice_before_all_have_met(int people) {
        int cycle = people + people % 2 - 1;
        Partners table = Partners.of(new Partners.PartnersAsk(people, cycle));

        Set<Partners.Pair> met = new HashSet<>();
        List<Integer> satOut = new ArrayList<>();
        for (Partners.PartnerRound round : table.rounds()) {
            Set<Integer> here = new HashSet<>();
            for (Partners.Pair pair : round.pairs()) {
                assertThat(met.add(pair)).isTrue();
                assertThat(here.add(pair.one()) && here.add(pair.other())).isTrue();
            }
            if (round.sitsOut() != null) {
                satOut.add(round.sitsOut());
                here.add(round.sitsOut());
            }
            assertThat(here).hasSize(people);
        }
        assertThat(met).hasSize(people * (people - 1) / 2);
        assertThat(satOut).doesNotHaveDuplicates().hasSize(people % 2 == 0 ? 0 : people);
    }

    @ParameterizedTest
    @CsvSource({"3, 3", "4, 2", "5, 1", "6, 4"})
    void everyone_gets_each_role_once(int people, int roles) {
        Roles table = Roles.of(new Roles.RolesAsk(people, roles));

        for (int p = 0; p < people; p++) {
            int person = p;
            assertThat(table.roleOfPerson().stream().map(t -> t.get(person)).filter(Objects::nonNull))
                    .containsExactlyInAnyOrderElementsOf(
                            IntStream.rangeClosed(1, roles).boxed().toList());
        }
        for (List<Integer> turn : table.roleOfPerson())
            assertThat(turn.stream().filter(Objects::nonNull)).hasSize(roles);
    }

    @Test
    void more_roles_than_people_is_refused() {
        assertThatThrownBy(() -> new Roles.RolesAsk(3, 4))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("roles");
    }
}
