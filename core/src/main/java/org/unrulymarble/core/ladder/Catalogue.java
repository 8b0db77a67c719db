package org.unrulymarble.core.ladder;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.unrulymarble.core.kit.KitKinds;

/** All ladders known, by id, in the order of their files. */
public final class Catalogue {

    private final Map<String, Ladder> byId = new LinkedHashMap<>();

    public Catalogue(Collection<Ladder> ladders) {
        for (Ladder ladder : ladders)
            if (byId.put(ladder.id(), ladder) != null)
                throw new IllegalArgumentException("ladder id used twice: " + ladder.id());
    }

    /** The ladders that ship with the application. A bad file stops with file, ladder, field and reason. */
    public static Catalogue shipped() {
        return new Catalogue(LadderFiles.readShipped(KitKinds.shipped()));
    }

    public List<Ladder> all() {
        return List.copyOf(byId.values());
    }

    public Optional<Ladder> ladder(String id) {
        return Optional.ofNullable(byId.get(id));
    }

    public Optional<Rung> rung(String ladderId, String rungId) {
        return ladder(ladderId).flatMap(l -> l.rung(rungId));
    }
}
