package org.unrulymarble.core.rotation;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * Who has which part in which turn, so that everyone gets each part once. Source: a cyclic table with as many turns as people.
 *
 * @param roleOfPerson by turn, then by person: the role from 1, or null for whoever has none in that turn
 */
public record Roles(List<List<@Nullable Integer>> roleOfPerson) {

    /** people 1 to 60; roles 1 to people. */
    public record RolesAsk(Integer people, Integer roles) {
        public RolesAsk {
            new Checks()
                    .range("people", people, 1, 60)
                    .range("roles", roles, 1, 60)
                    .that(
                            people == null || roles == null || roles <= people,
                            "roles",
                            Fault.Rule.AT_MOST_FIELD,
                            "people")
                    .done();
        }
    }

    public static Roles of(RolesAsk ask) {
        List<List<Integer>> turns = new ArrayList<>();
        for (int turn = 0; turn < ask.people(); turn++) {
            List<Integer> roles = new ArrayList<>();
            for (int person = 0; person < ask.people(); person++) {
                int role = (person + turn) % ask.people();
                roles.add(role < ask.roles() ? (Integer) (role + 1) : null);
            }
            turns.add(Collections.unmodifiableList(roles));
        }
        return new Roles(List.copyOf(turns));
    }
}
