package org.unrulymarble.core.run;

import java.util.Map;

/**
 * Where a run stands: an anchor, and whether time flows from it.
 *
 * @param segment segment at the anchor; the number of segments when the run is through
 * @param offsetMs milliseconds into it at the anchor
 * @param anchoredAtMs device time of the anchor
 * @param playing whether time flows
 * @param addedSec seconds added to segments, by index
 */
public record RunClock(int segment, long offsetMs, long anchoredAtMs, boolean playing, Map<Integer, Integer> addedSec) {

    static final RunClock AT_START = new RunClock(0, 0, 0, false, Map.of());

    public RunClock {
        addedSec = Map.copyOf(addedSec);
    }

    /** A place in the script. */
    public record Position(int segment, long offsetMs) {}

    /** Where the run is at {@code nowMs}; past the last segment it stays at the end. */
    public Position at(RunScript script, long nowMs) {
        if (!playing) return new Position(segment, offsetMs);
        int s = segment;
        long left = offsetMs + Math.max(0, nowMs - anchoredAtMs);
        while (s < script.segments().size()) {
            long lengthMs = lengthMs(script, s);
            if (left < lengthMs) return new Position(s, left);
            left -= lengthMs;
            s++;
        }
        return new Position(s, 0);
    }

    /** How long the clock is in it: never in what lies beside another. */
    public long lengthMs(RunScript script, int segment) {
        if (script.segment(segment).beside() != null) return 0;
        return 1000L * (script.segment(segment).durationSec() + addedSec.getOrDefault(segment, 0));
    }
}
