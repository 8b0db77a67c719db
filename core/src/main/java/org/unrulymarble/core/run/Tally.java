package org.unrulymarble.core.run;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.unrulymarble.core.measure.LongestRun;
import org.unrulymarble.core.measure.Scored;
import org.unrulymarble.core.measure.Tap;

/** Counts of one pupil in one round, each device for itself, and the number that was told. */
final class Tally {

    /** In the order in which they began. */
    private final Map<String, List<Tap>> byDevice = new LinkedHashMap<>();

    private final Set<String> awayThen;
    private What.Told told;
    private UUID toldBy;
    private String chosen;

    /** @param awayThen who was put aside when the first of it was counted */
    Tally(Set<String> awayThen) {
        this.awayThen = awayThen;
    }

    void add(RunEvent e, What.OfRound what) {
        if (what instanceof What.Told number) {
            told = number;
            toldBy = e.id();
        } else if (what instanceof What.Stands stands) chosen = stands.device();
        else if (what instanceof What.Tapped tapped)
            byDevice.computeIfAbsent(device(e), d -> new ArrayList<>()).add(tapped.tap());
    }

    static String device(RunEvent e) {
        return e.device() == null ? "" : e.device();
    }

    boolean wasAway(String pupilId) {
        return awayThen.contains(pupilId);
    }

    /** Null where none was told. */
    What.Told told() {
        return told;
    }

    boolean toldAfter(UUID finish) {
        return finish != null && toldBy != null && toldBy.toString().compareTo(finish.toString()) > 0;
    }

    boolean disputed() {
        return byDevice.size() > 1;
    }

    /** The device that was said to stand, or null. */
    String stands() {
        return byDevice.containsKey(chosen) ? chosen : null;
    }

    /** The device whose count stands; of whoever began first while nobody has said so; null where nothing was tapped. */
    String standingDevice() {
        if (byDevice.isEmpty()) return null;
        return byDevice.containsKey(chosen)
                ? chosen
                : byDevice.keySet().iterator().next();
    }

    /** Taps of the device whose count stands, in order. */
    List<Tap> standing() {
        return byDevice.getOrDefault(standingDevice(), List.of());
    }

    List<RunState.Count> counts() {
        List<RunState.Count> counts = new ArrayList<>();
        byDevice.forEach((device, taps) -> {
            Scored run = new LongestRun().score(taps, true, 0);
            counts.add(new RunState.Count(device, run.hits(), run.misses(), run.inARow()));
        });
        return counts;
    }
}
