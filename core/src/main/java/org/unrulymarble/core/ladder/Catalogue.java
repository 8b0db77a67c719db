package org.unrulymarble.core.ladder;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.unrulymarble.core.kit.KitKinds;

/** All ladders known, by id, in the order of their files: those on offer, and those that were retired and are still read. */
public final class Catalogue {

    private final Map<String, Ladder> byId = new LinkedHashMap<>();
    private final List<Ladder> onOffer;

    public Catalogue(Collection<Ladder> ladders) {
        this(ladders, List.of());
    }

    public Catalogue(Collection<Ladder> onOffer, Collection<Ladder> retired) {
        this.onOffer = List.copyOf(onOffer);
        for (Collection<Ladder> ladders : List.of(onOffer, retired))
            for (Ladder ladder : ladders)
                if (byId.put(ladder.id(), ladder) != null)
                    throw new IllegalArgumentException("ladder id used twice: " + ladder.id());
    }

    /** The ladders that ship with the application. A bad file stops with file, line, ladder, field and reason. */
    public static Catalogue shipped() {
        return new Catalogue(LadderFiles.readShipped(KitKinds.shipped()));
    }

    /** What is on offer for a new task. */
    public List<Ladder> all() {
        return onOffer;
    }

    /** With what was retired. */
    public List<Ladder> known() {
        return List.copyOf(byId.values());
    }

    /** Also one that was retired. */
    public Optional<Ladder> ladder(String id) {
        return Optional.ofNullable(byId.get(id));
    }

    public Optional<Rung> rung(String ladderId, String rungId) {
        return ladder(ladderId).flatMap(l -> l.rung(rungId));
    }
}
