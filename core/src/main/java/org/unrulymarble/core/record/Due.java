package org.unrulymarble.core.record;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * When to come back to something. Source: forgetting by halves; each later day makes the half-life longer the longer it had been left
 * alone, and a day that went badly shorter. The figures are ours.
 *
 * @param isNew never practised; halfLifeDays and dueInDays are null then
 * @param strength what is left, 0 to 1; {@code due} is the rest
 * @param dueInDays until {@code keep} is left; negative: overdue
 */
public record Due(
        @JsonProperty("new") boolean isNew,
        @Nullable Double halfLifeDays,
        double strength,
        double due,
        @Nullable Double dueInDays) {

    /** daysAgo whole, 0 to 36,500; share 0 to 1 of what went in, or null where it was not measured. */
    public record PractisedOn(Integer daysAgo, @Nullable Double share) {
        public PractisedOn {
            Checks checks = new Checks().range("daysAgo", daysAgo, 0, 36_500);
            if (share != null) checks.range("share", share, 0, 1);
            checks.done();
        }
    }

    /** At most 10,000 sessions, one a day; half-lives from 1 day, growth from 1, shrink 0 to 1; passShare and keep between 0 and 1. */
    public record DueAsk(
            List<PractisedOn> sessions,
            Double firstHalfLifeDays,
            Double growth,
            Double shrink,
            Double maxHalfLifeDays,
            Double passShare,
            Double keep) {
        public DueAsk {
            Checks checks = new Checks()
                    .entries("sessions", sessions, 0, 10_000)
                    .range("firstHalfLifeDays", firstHalfLifeDays, 1, 36_500)
                    .range("maxHalfLifeDays", maxHalfLifeDays, 1, 36_500)
                    .that(
                            firstHalfLifeDays == null
                                    || maxHalfLifeDays == null
                                    || firstHalfLifeDays <= maxHalfLifeDays,
                            "maxHalfLifeDays",
                            Fault.Rule.AT_LEAST_FIELD,
                            "firstHalfLifeDays")
                    .range("growth", growth, 1, 1_000)
                    .range("shrink", shrink, 0, 1)
                    .between("passShare", passShare, 0, 1)
                    .between("keep", keep, 0, 1);
            Set<Integer> seen = new HashSet<>();
            for (int i = 0; sessions != null && i < sessions.size(); i++) {
                PractisedOn day = sessions.get(i);
                if (day != null && !seen.add(day.daysAgo()))
                    checks.that(false, "sessions[" + i + "].daysAgo", Fault.Rule.TWICE, day.daysAgo());
            }
            checks.done();
            sessions = List.copyOf(sessions);
        }
    }

    public static Due of(DueAsk ask) {
        if (ask.sessions().isEmpty()) return new Due(true, null, 0, 1, null);
        List<PractisedOn> oldestFirst = ask.sessions().stream()
                .sorted(Comparator.comparing(PractisedOn::daysAgo).reversed())
                .toList();
        double halfLife = ask.firstHalfLifeDays();
        for (int i = 1; i < oldestFirst.size(); i++) {
            PractisedOn day = oldestFirst.get(i);
            double gap = oldestFirst.get(i - 1).daysAgo() - day.daysAgo();
            double grow = (ask.growth() - 1) * Math.min(1, gap / halfLife);
            if (day.share() == null) halfLife = Math.min(ask.maxHalfLifeDays(), halfLife * (1 + grow / 2));
            else if (day.share() >= ask.passShare() - 1e-9)
                halfLife = Math.min(ask.maxHalfLifeDays(), halfLife * (1 + grow));
            else halfLife = Math.max(1, halfLife * ask.shrink());
        }
        int last = oldestFirst.get(oldestFirst.size() - 1).daysAgo();
        double strength = Math.pow(2, -last / halfLife);
        double keeps = halfLife * Math.log(1 / ask.keep()) / Math.log(2);
        return new Due(false, halfLife, strength, 1 - strength, keeps - last);
    }
}
