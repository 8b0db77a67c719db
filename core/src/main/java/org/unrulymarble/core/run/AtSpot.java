package org.unrulymarble.core.run;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.Tap;

/** Whose a sign is that a device hears at a spot: whoever works there, in the round that is on at that moment. */
public sealed interface AtSpot {

    /** A spot, from 1, and the block of the station where several are used at the same time; null for what the clock is in. */
    record Place(Integer spot, Integer block) {
        public Place {
            Checks checks = new Checks().range("spot", spot, 1, 400);
            if (block != null) checks.range("block", block, 0, 100);
            checks.done();
        }
    }

    /** Somebody works there; of those who share a result, all. @param offsetMs into the round */
    record Workers(int segment, int take, List<String> pupilIds, long offsetMs) implements AtSpot {

        /** As a hand would tap it for each of them. What comes again has the same ids again. A watch's own moment is the round's. */
        public List<RunEvent> events(UUID id, long atMs, String device, Tap tap) {
            Tap here = tap;
            if (tap instanceof Tap.Start) here = new Tap.Start(offsetMs);
            if (tap instanceof Tap.Stop) here = new Tap.Stop(offsetMs);
            List<RunEvent> events = new ArrayList<>();
            for (String pupilId : pupilIds) {
                UUID own = new UUID(id.getMostSignificantBits(), id.getLeastSignificantBits() + events.size());
                events.add(new RunEvent(own, atMs, device, new What.Tapped(segment, take, pupilId, here)));
            }
            return List.copyOf(events);
        }
    }

    /** Nobody, and why. */
    record Nobody(Why why) implements AtSpot {}

    /** Why a sign counts for nobody. */
    enum Why {
        /** The run has not begun, holds, is between rounds or is over. */
        NO_ROUND,
        /** Nobody works at this spot now. */
        NOBODY_THERE,
        /** What is counted in this round is nothing that such a device can hear. */
        NOT_COUNTED_SO
    }

    /** @param log that was known when the sign was heard, at {@code atMs} */
    static AtSpot of(RunScript script, RunLog log, long atMs, Place place, Tap tap) {
        Played played = log.played(atMs);
        RunClock.Position now = played.clock().at(script, atMs);
        if (!played.clock().playing() || played.isFinished()) return new Nobody(Why.NO_ROUND);
        Integer round = round(script, now.segment(), place.block());
        if (round == null || now.offsetMs() >= played.clock().lengthMs(script, now.segment()))
            return new Nobody(Why.NO_ROUND);
        Segment segment = script.segment(round);
        // A station's own work may end before the one that the clock goes by.
        if (segment.beside() != null && now.offsetMs() >= 1000 * segment.durationSec()) return new Nobody(Why.NO_ROUND);
        List<String> pupilIds = script.turnOf(segment).crews().stream()
                .filter(crew -> crew.spot() == place.spot() - 1)
                .flatMap(crew -> crew.workers().stream())
                .filter(id -> !played.away().contains(id))
                .toList();
        if (pupilIds.isEmpty()) return new Nobody(Why.NOBODY_THERE);
        Measure measure = script.blockOf(segment).measure(played.rungOf(round, pupilIds.get(0)));
        if (!hears(measure, tap)) return new Nobody(Why.NOT_COUNTED_SO);
        return new Workers(round, played.take(round), pupilIds, now.offsetMs());
    }

    /** The round that the clock is in, or the one beside it at a station; null for none. */
    private static Integer round(RunScript script, int clockSegment, Integer block) {
        if (!script.isRound(clockSegment)) return null;
        if (block == null || script.segment(clockSegment).block() == block) return clockSegment;
        return script.segments().stream()
                .filter(s -> s.block() == block && s.beside() != null && s.beside() == clockSegment)
                .map(Segment::index)
                .filter(script::isRound)
                .findFirst()
                .orElse(null);
    }

    /** A pad hears hits, a gate starts and stops; a place, a ring, a spot or a ball number it does not. */
    private static boolean hears(Measure measure, Tap tap) {
        if (tap instanceof Tap.Start || tap instanceof Tap.Stop) return measure.kind() == Measure.Kind.COURSE_TIME;
        return (tap instanceof Tap.Hit || tap instanceof Tap.Miss) && countsHits(measure);
    }

    private static boolean countsHits(Measure measure) {
        return switch (measure.kind()) {
            case COUNT_IN_TIME, HITS_OF_N, LONGEST_RUN, FURTHEST -> true;
            default -> false;
        };
    }
}
