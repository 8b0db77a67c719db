package org.unrulymarble.core.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.games.Bowling;

/**
 * Fair balls to a batter, with the no-balls kept and two running told.
 *
 * @param n how many deliveries, 1 to 2,000; null where the clock ends the round
 */
public record NoBalls(@Nullable Integer n) implements Measure {

    public NoBalls {
        if (n != null) new Checks().range("n", n, 1, 2000).done();
    }

    @Override
    public Kind kind() {
        return Kind.NO_BALLS;
    }

    /** What one bowler delivered. */
    private static final class Spell {
        final List<Tap> balls = new ArrayList<>();
        int noBalls;
        int halfScores;

        Detail.Bowled bowled() {
            return new Detail.Bowled(
                    noBalls,
                    halfScores,
                    Arrays.stream(Bowling.FairKind.values())
                            .map(kind -> new Detail.FairBalls(kind, (int) balls.stream()
                                    .filter(tap -> isOf(tap, kind))
                                    .count()))
                            .filter(told -> told.n() > 0)
                            .toList());
        }

        private static boolean isOf(Tap tap, Bowling.FairKind kind) {
            return tap instanceof Tap.Hit hit
                    && Integer.valueOf(kind.ordinal() + 1).equals(hit.number());
        }
    }

    @Override
    public Scored score(List<Tap> taps, boolean missesCounted, long workedMs) {
        return byBowler("", taps.stream().filter(t -> !(t instanceof Tap.Bowls)).toList(), missesCounted)
                .get("");
    }

    /**
     * What each who bowled comes to, in their order; a half score is given away by whoever bowls the second no-ball running to the same batter.
     *
     * @param first who bowls until a tap says otherwise
     */
    public Map<String, Scored> byBowler(String first, List<Tap> taps, boolean missesCounted) {
        Map<String, Spell> spells = new LinkedHashMap<>();
        Bowling.Ledger ledger = new Bowling.Ledger();
        String bowler = first;
        int batter = 0;
        spells.put(first, new Spell());
        for (Tap tap : taps) {
            if (tap instanceof Tap.Bowls next) bowler = next.pupilId();
            else if (tap instanceof Tap.NextBatter) batter++;
            else {
                Spell spell = spells.computeIfAbsent(bowler, b -> new Spell());
                Bowling.NoBall why = tap instanceof Tap.Miss miss ? miss.noBall() : null;
                int before = ledger.halfScores();
                ledger.add(String.valueOf(batter), why == null ? List.of() : List.of(why));
                spell.balls.add(tap);
                if (why != null) spell.noBalls++;
                spell.halfScores += ledger.halfScores() - before;
            }
        }
        // Of so many each there is one bowler; whoever shares them has as many as were bowled.
        HitsOfN hits = new HitsOfN(spells.size() == 1 ? n : null);
        Map<String, Scored> out = new LinkedHashMap<>();
        spells.forEach((who, spell) ->
                out.put(who, hits.score(spell.balls, missesCounted, 0).with(spell.bowled())));
        return out;
    }

    @Override
    public Scored told(int score, Integer timeMs) {
        return new HitsOfN(n).told(score, timeMs);
    }

    @Override
    public int most(int sec) {
        return new HitsOfN(n).most(sec);
    }

    @Override
    public Compared compared() {
        return Compared.BY_TRIES;
    }

    @Override
    public boolean countsTries() {
        return true;
    }

    @Override
    public boolean tappable() {
        return true;
    }
}
