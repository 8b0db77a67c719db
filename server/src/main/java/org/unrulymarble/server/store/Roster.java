package org.unrulymarble.server.store;

import java.util.List;
import java.util.UUID;

/** A class as the other capabilities see it; pupils in the order in which they take the spots. */
public record Roster(UUID classId, String className, List<Member> pupils) {

    public record Member(UUID pupilId, String name) {}

    static Roster of(SchoolClass c) {
        return new Roster(
                c.id(),
                c.name(),
                c.pupils().stream().map(p -> new Member(p.id(), p.name())).toList());
    }
}
