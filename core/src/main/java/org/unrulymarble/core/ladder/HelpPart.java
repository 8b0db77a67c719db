package org.unrulymarble.core.ladder;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** A part at a spot that a lesson may add or do without: nobody's task hangs on it, as it does on a feeder. */
public enum HelpPart {
    COUNTER,
    UMPIRE,
    FETCHER,
    BACKSTOP,
    DISTRACTOR;

    /** Who is at a spot: the roles that stay whatever a lesson says, by name, and the parts that are there beside them. */
    public record AtSpot(List<String> stay, List<HelpPart> helpers) {}

    static Optional<HelpPart> of(Role role) {
        return role.works()
                ? Optional.empty()
                : Arrays.stream(values())
                        .filter(p -> p.role().equals(role.name()))
                        .findFirst();
    }

    /** As ladders name the role. */
    String role() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The role where the ladder has none of its own. Whoever fetches moves, and rests in no turn of it. */
    Role usual() {
        return new Role(role(), false, Message.ours("helper." + name(), Map.of()), this == FETCHER);
    }
}
