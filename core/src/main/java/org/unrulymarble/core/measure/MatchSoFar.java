package org.unrulymarble.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.games.End.Player;
import org.unrulymarble.core.games.JackMatch;
import org.unrulymarble.core.games.JackMatch.MatchBall;
import org.unrulymarble.core.games.JackMatch.MatchEnd;

/**
 * A match as the taps of its pad have it: the sheet of all ends by the house rules, and where the balls of this end lie from the jack now.
 *
 * @param lying the balls of the end that is played, in the order in which they were played
 */
public record MatchSoFar(JackMatch sheet, List<Lying> lying) {

    /** Right of the jack and beyond it, cm. */
    public record Lying(Player side, double xCm, double yCm, boolean dead) {}

    /** @param playersA,playersB 1 to 8; playedSec seconds played so far; taps at most 2,000 */
    public record MatchSoFarAsk(Match rules, Integer playersA, Integer playersB, Integer playedSec, List<Tap> taps) {
        public MatchSoFarAsk {
            new Checks()
                    .required("rules", rules)
                    .range("playersA", playersA, 1, 8)
                    .range("playersB", playersB, 1, 8)
                    .seconds("playedSec", playedSec)
                    .entries("taps", taps, 0, 2000)
                    .done();
            taps = List.copyOf(taps);
        }
    }

    /** One end while it is read: its balls as laid, and where the jack went meanwhile. */
    private record Lie(Tap.Ball ball, double fromX, double fromY) {}

    public static MatchSoFar of(MatchSoFarAsk ask) {
        Match rules = ask.rules();
        Player toss = Player.A;
        List<MatchEnd> ends = new ArrayList<>();
        List<Lie> laid = new ArrayList<>();
        double jackX = 0;
        double jackY = 0;
        for (Tap tap : ask.taps()) {
            if (tap instanceof Tap.Toss won) toss = side(won.team());
            if (tap instanceof Tap.JackMoved by) {
                jackX += by.xCm();
                jackY += by.yCm();
            }
            if (tap instanceof Tap.Ball ball) laid.add(new Lie(ball, jackX, jackY));
            if (tap instanceof Tap.EndWon won) {
                JackMatch.Told told = new JackMatch.Told(won.team() == null ? null : side(won.team()), won.points());
                ends.add(new MatchEnd(balls(laid, jackX, jackY), true, told));
                laid.clear();
                jackX = 0;
                jackY = 0;
            }
        }
        List<MatchBall> now = balls(laid, jackX, jackY);
        ends.add(new MatchEnd(now, false));
        JackMatch whole = JackMatch.of(asked(ask, toss, ends));
        // An end after the last one that counts is not begun.
        if (ends.size() > 1 && laid.isEmpty()) {
            JackMatch before = JackMatch.of(asked(ask, toss, ends.subList(0, ends.size() - 1)));
            if (before.over() != JackMatch.Over.NOT_YET) whole = before;
        }
        return new MatchSoFar(whole, now.stream().map(b -> lying(b, rules)).toList());
    }

    private static JackMatch.JackMatchAsk asked(MatchSoFarAsk ask, Player toss, List<MatchEnd> ends) {
        Match rules = ask.rules();
        return new JackMatch.JackMatchAsk(
                ask.playersA(),
                ask.playersB(),
                rules.ballsPerPlayer(),
                toss,
                rules.jackRule(),
                rules.playerOrder(),
                rules.tieRule(),
                rules.toleranceCm(),
                rules.footLineKills(),
                rules.shortLineKills(),
                rules.targetScore(),
                rules.maxEnds(),
                rules.timeCapSec(),
                ask.playedSec(),
                ends);
    }

    /** Each was laid from where the jack was then. */
    private static List<MatchBall> balls(List<Lie> laid, double jackX, double jackY) {
        return laid.stream()
                .map(l -> new MatchBall(
                        side(l.ball().team()),
                        null,
                        l.ball().xCm() + l.fromX() - jackX,
                        l.ball().yCm() + l.fromY() - jackY,
                        l.ball().fault() == Tap.Ball.Fault.OUT,
                        l.ball().fault() == Tap.Ball.Fault.FOOT_OVER,
                        l.ball().fault() == Tap.Ball.Fault.LANDED_SHORT))
                .toList();
    }

    private static Lying lying(MatchBall ball, Match rules) {
        return new Lying(ball.side(), ball.xCm(), ball.yCm(), rules.kills(ball));
    }

    private static Player side(Tap.Team team) {
        return team == Tap.Team.A ? Player.A : Player.B;
    }
}
