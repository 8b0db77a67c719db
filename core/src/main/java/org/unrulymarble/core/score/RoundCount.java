package org.unrulymarble.core.score;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Counts of one pupil in one round, each device for itself, and the number that was told. */
final class RoundCount {

    /** In the order in which they began. */
    private final Map<String, List<RunEvent>> byDevice = new LinkedHashMap<>();

    private Integer told;
    private Long toldMs;
    private UUID toldBy;
    private String chosen;

    void add(RunEvent e) {
        switch (e.kind()) {
            case COLLECT -> {
                told = e.score();
                toldMs = e.offsetMs();
                toldBy = e.id();
            }
            case STANDS -> chosen = e.note();
            default ->
                byDevice.computeIfAbsent(device(e), d -> new ArrayList<>()).add(e);
        }
    }

    static String device(RunEvent e) {
        return e.device() == null ? "" : e.device();
    }

    /** Null where none was told. */
    Integer told() {
        return told;
    }

    /** Milliseconds, where a time was told. */
    RoundDetail toldTime() {
        return toldMs == null ? null : RoundDetail.ofTime(toldMs.intValue(), List.of());
    }

    boolean toldAfter(UUID finish) {
        return finish != null && toldBy != null && toldBy.toString().compareTo(finish.toString()) > 0;
    }

    boolean tapped() {
        return !byDevice.isEmpty();
    }

    boolean disputed() {
        return byDevice.size() > 1;
    }

    /** The device that was said to stand, or null. */
    String stands() {
        return byDevice.containsKey(chosen) ? chosen : null;
    }

    /** Taps of the device whose count stands, in order; of whoever began first while nobody has said so. */
    List<RunEvent> standing() {
        if (byDevice.isEmpty()) return List.of();
        return byDevice.getOrDefault(chosen, byDevice.values().iterator().next());
    }

    List<RunState.Count> counts() {
        List<RunState.Count> counts = new ArrayList<>();
        byDevice.forEach((device, taps) -> {
            Scored run = Scored.longestRun(taps);
            counts.add(new RunState.Count(device, run.hits(), run.misses(), run.score()));
        });
        return counts;
    }
}
