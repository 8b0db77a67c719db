package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.unrulymarble.core.aim.Landings;
import org.unrulymarble.core.aim.Unseen;
import org.unrulymarble.core.chance.Rates;
import org.unrulymarble.core.chance.Share;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.CountInTime;
import org.unrulymarble.core.measure.Detail;

/**
 * How one rung went over time, round by round, oldest first. Sources of the reckonings: {@link Rates}, {@link Landings}.
 *
 * @param shares of rounds whose misses were counted
 * @param rates of rounds that count in a time, whatever their length
 * @param aims of rounds whose landings were tapped
 */
public record OverTime(String rungId, List<SharePoint> shares, List<RatePoint> rates, List<AimPoint> aims) {

    /** The share that went in, where misses were counted, with its 90 % interval. {@code best} where no earlier round that compares had more. */
    public record SharePoint(
            String attemptId, LocalDate on, Side side, int hits, int misses, double low, double high, boolean best) {}

    /** Per minute, with its 90 % interval. {@code best} where no earlier round that compares was as fast. */
    public record RatePoint(
            String attemptId,
            LocalDate on,
            Side side,
            double perMin,
            double lowPerMin,
            double highPerMin,
            boolean best) {}

    /**
     * Where the throws of one round went, from the middle of the target.
     *
     * @param unseenBiasCm how far off the aim may be and still go unseen as often as once in five such rows
     */
    public record AimPoint(
            String attemptId, LocalDate on, Side side, int throwsSeen, Landings aim, double unseenBiasCm) {}

    private static final double SURE = 0.9;
    private static final Comparator<Attempt> IN_ORDER =
            Comparator.comparing(Attempt::on).thenComparing(Attempt::set);

    /** @param attempts of one pupil, in any order; those on other rungs or with modifiers are left out */
    public static OverTime of(Rung rung, List<Attempt> attempts) {
        List<Attempt> mine = attempts.stream()
                .filter(a -> a.rungId().equals(rung.id()) && a.modifiers().isEmpty() && !a.trial())
                .sorted(IN_ORDER)
                .toList();
        List<SharePoint> shares = new ArrayList<>();
        List<RatePoint> rates = new ArrayList<>();
        List<AimPoint> aims = new ArrayList<>();
        for (int i = 0; i < mine.size(); i++) {
            Attempt a = mine.get(i);
            if (a.isEvidence() && a.hits() + a.misses() > 0) {
                Share share = Share.of(new Share.ShareAsk(a.hits(), a.misses(), SURE));
                boolean best = mine.subList(0, i).stream()
                        .filter(b -> b.isEvidence()
                                && b.kindred(a.measure(rung)).equals(a.kindred(a.measure(rung)))
                                && b.hits() + b.misses() > 0)
                        .allMatch(b -> share(b) < share(a));
                shares.add(new SharePoint(
                        a.id(), a.on(), a.side(), a.hits(), a.misses(), share.low(), share.high(), best));
            }
            if (a.measure(rung) instanceof CountInTime && a.workSec() != null && a.workSec() > 0) {
                Rates.Rate rate = rate(a);
                boolean best = mine.subList(0, i).stream()
                        .filter(b -> b.kindred(a.measure(rung)).equals(a.kindred(a.measure(rung)))
                                && b.workSec() != null
                                && b.workSec() > 0)
                        .allMatch(b -> perSec(b) < perSec(a));
                rates.add(new RatePoint(
                        a.id(), a.on(), a.side(), rate.perMin(), rate.lowPerMin(), rate.highPerMin(), best));
            }
            if (a.detail() instanceof Detail.Landings landed
                    && landed.landings().size() >= 2) aims.add(aim(a, landed.landings()));
        }
        return new OverTime(rung.id(), List.copyOf(shares), List.copyOf(rates), List.copyOf(aims));
    }

    private static double share(Attempt a) {
        return (double) a.hits() / (a.hits() + a.misses());
    }

    private static double perSec(Attempt a) {
        return (double) a.score() / a.workSec();
    }

    private static Rates.Rate rate(Attempt a) {
        return Rates.of(new Rates.RatesAsk(List.of(new Rates.TimedCount(a.score(), a.workSec())), SURE))
                .rates()
                .get(0);
    }

    private static AimPoint aim(Attempt a, List<Detail.Landing> landed) {
        Landings of = Landings.of(new Landings.LandingsAsk(
                landed.stream().map(p -> new Landings.Point(p.xCm(), p.yCm())).toList()));
        return new AimPoint(a.id(), a.on(), a.side(), landed.size(), of, Unseen.biasCm(landed.size(), of.spreadCm()));
    }
}
