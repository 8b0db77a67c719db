package org.unrulymarble.core.ladder;

import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.kit.KitRole;

/**
 * How a rung's kit differs from its ladder's.
 *
 * @param without roles of the ladder's kit that nobody needs on this rung
 * @param more what only this rung needs
 */
public record RungKit(List<String> without, List<KitRole> more) {

    static final RungKit AS_ITS_LADDER = new RungKit(List.of(), List.of());

    public RungKit {
        without = without == null ? List.of() : without;
        more = more == null ? List.of() : more;
        new Checks()
                .entries("without", without, 0, 10)
                .entries("more", more, 0, 10)
                .done();
        without = List.copyOf(without);
        more = List.copyOf(more);
    }
}
