package org.unrulymarble.core.record;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;

/** Where the pupils of a class stand, as a plan needs it: tries whose misses were counted, and rungs that were completed. */
public final class Standings {

    /** Nothing is known of anybody. */
    public static final Standings NONE = new Standings(List.of(), List.of());

    /** Tries of one pupil on one rung without modifiers, all with counted misses. */
    public record Tries(String pupilId, String ladderId, String rungId, int hits, int misses) {}

    /** A rung that a pupil has completed. */
    public record Completed(String pupilId, String ladderId, String rungId) {}

    private record Key(String pupilId, String ladderId, String rungId) {}

    private final Map<Key, Tries> tries = new HashMap<>();
    private final Set<Key> completed = new HashSet<>();
    private final Map<OnLadder, String> own = new HashMap<>();

    private record OnLadder(String pupilId, String ladderId) {}

    /** A rung that a pupil stands on, by whatever was said or done. */
    public record Own(String pupilId, String ladderId, String rungId) {}

    public Standings(List<Tries> tries, List<Own> own, List<Completed> completed) {
        this(tries, completed);
        for (Own o : own) this.own.put(new OnLadder(o.pupilId(), o.ladderId()), o.rungId());
    }

    public Standings(List<Tries> tries, List<Completed> completed) {
        for (Tries t : tries) this.tries.put(new Key(t.pupilId(), t.ladderId(), t.rungId()), t);
        for (Completed c : completed) this.completed.add(new Key(c.pupilId(), c.ladderId(), c.rungId()));
    }

    public Optional<Tries> tries(String pupilId, String ladderId, String rungId) {
        return Optional.ofNullable(tries.get(new Key(pupilId, ladderId, rungId)));
    }

    /** The rung that a pupil works on next: where they stand, else the first that is not completed, else the last. */
    public Rung ownRung(String pupilId, Ladder ladder) {
        Optional<Rung> stands =
                Optional.ofNullable(own.get(new OnLadder(pupilId, ladder.id()))).flatMap(ladder::rung);
        if (stands.isPresent()) return stands.get();
        for (Rung rung : ladder.rungs()) if (!completed.contains(new Key(pupilId, ladder.id(), rung.id()))) return rung;
        return ladder.rungs().get(ladder.rungs().size() - 1);
    }
}
