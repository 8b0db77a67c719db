package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.hipparchus.special.Erf;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.UsualFault;
import org.unrulymarble.core.run.What;

/**
 * How it went before a cue was called and after it, in counted rounds of those to whom it was called, on the same rung: of that day, and of the days
 * of practice next to it. Told carefully: practice raises a share as well, and who is told something was doing badly just then.
 *
 * @param pupils to whom it was called and who have counted tries on both sides of it
 * @param enough whether that is enough to say anything; then the shares may be told
 * @param chance of so much more (or so much less) by chance alone; null where there is not enough. Source: Cochran-Mantel-Haenszel with continuity
 *     correction, a stratum a pupil
 */
public record CueHelp(
        String faultId,
        int pupils,
        Part before,
        Part after,
        boolean enough,
        @Nullable Double chance) {

    private static final int FEWEST_PUPILS = 3;
    private static final int FEWEST_TRIES = 20;

    /** Counted tries and those that went in. */
    public record Part(int hits, int tries) {
        static final Part NONE = new Part(0, 0);

        Part and(Part other) {
            return new Part(hits + other.hits, tries + other.tries);
        }

        Part with(Attempt a) {
            return new Part(hits + a.hits(), tries + a.hits() + a.misses());
        }
    }

    private record Both(Part before, Part after) {}

    /** @param attempts of one class on the ladder, struck ones left out, oldest first @return one for each of the ladder's cues that was called */
    public static List<CueHelp> of(List<Attempt> attempts, List<PupilRemark> remarks, Ladder ladder) {
        List<CueHelp> out = new ArrayList<>();
        for (UsualFault fault : ladder.faults()) {
            Map<String, Both> byPupil = new LinkedHashMap<>();
            Set<String> seen = new HashSet<>();
            boolean called = false;
            for (PupilRemark r : remarks) {
                boolean cue = r.kind() == What.Remarked.Kind.FAULT || r.kind() == What.Remarked.Kind.CALLED;
                if (!cue || !fault.id().equals(r.note()) || r.set() == null) continue;
                called = true;
                // What was called twice on a day is one call.
                if (!seen.add(r.pupilId() + "/" + r.rungId() + "/" + r.on())) continue;
                Both both = around(attempts, r);
                if (both.before().tries() > 0 && both.after().tries() > 0)
                    byPupil.merge(
                            r.pupilId(),
                            both,
                            (a, b) -> new Both(
                                    a.before().and(b.before()), a.after().and(b.after())));
            }
            if (called) out.add(told(fault.id(), byPupil));
        }
        return out;
    }

    private static Both around(List<Attempt> attempts, PupilRemark r) {
        Part before = Part.NONE;
        Part after = Part.NONE;
        LocalDate last = null;
        LocalDate next = null;
        for (Attempt a : attempts) {
            if (!counts(a, r)) continue;
            if (a.on().isBefore(r.on()) && (last == null || a.on().isAfter(last))) last = a.on();
            if (a.on().isAfter(r.on()) && (next == null || a.on().isBefore(next))) next = a.on();
        }
        for (Attempt a : attempts) {
            if (!counts(a, r)) continue;
            boolean sameDay = a.on().equals(r.on());
            if (a.on().equals(last) || sameDay && a.set() <= r.set()) before = before.with(a);
            else if (a.on().equals(next) || sameDay) after = after.with(a);
        }
        return new Both(before, after);
    }

    private static boolean counts(Attempt a, PupilRemark r) {
        return a.pupilId().equals(r.pupilId())
                && a.rungId().equals(r.rungId())
                && a.modifiers().isEmpty()
                && a.isEvidence();
    }

    private static CueHelp told(String faultId, Map<String, Both> byPupil) {
        Part before = Part.NONE;
        Part after = Part.NONE;
        for (Both both : byPupil.values()) {
            before = before.and(both.before());
            after = after.and(both.after());
        }
        boolean enough =
                byPupil.size() >= FEWEST_PUPILS && before.tries() >= FEWEST_TRIES && after.tries() >= FEWEST_TRIES;
        return new CueHelp(
                faultId, byPupil.size(), before, after, enough, enough ? chance(List.copyOf(byPupil.values())) : null);
    }

    private static Double chance(List<Both> strata) {
        double more = 0;
        double variance = 0;
        for (Both s : strata) {
            double n = s.before().tries() + s.after().tries();
            double hits = s.before().hits() + s.after().hits();
            double share = s.after().tries() / n;
            more += s.after().hits() - hits * share;
            variance += hits * (n - hits) * share * (1 - share) / Math.max(1, n - 1);
        }
        if (variance <= 0) return 1.0;
        double z = Math.max(0, Math.abs(more) - 0.5) / Math.sqrt(variance);
        return Erf.erfc(z / Math.sqrt(2));
    }
}
