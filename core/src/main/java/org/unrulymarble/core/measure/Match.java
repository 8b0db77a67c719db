package org.unrulymarble.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.games.End.TieRule;
import org.unrulymarble.core.games.JackMatch;
import org.unrulymarble.core.games.JackMatch.JackRule;
import org.unrulymarble.core.games.JackMatch.PlayerOrder;

/**
 * A match of two sides by its house rules: sides have points, not pupils.
 *
 * @param ballsPerPlayer 1 to 4; 3 where nothing was said
 * @param targetScore points that end it, 1 to 1,000, or null
 * @param maxEnds ends that end it, 1 to 60, or null
 * @param timeCapSec seconds after which no end is begun, or null
 * @param jackRule who has the jack after an end; its winner where nothing was said
 * @param toleranceCm what is taken for level, 0 to 20,000; 1 where nothing was said
 * @param footLineKills,shortLineKills whether such a ball is dead; so where nothing was said
 */
public record Match(
        Integer ballsPerPlayer,
        @Nullable Integer targetScore,
        @Nullable Integer maxEnds,
        @Nullable Integer timeCapSec,
        JackRule jackRule,
        PlayerOrder playerOrder,
        TieRule tieRule,
        Double toleranceCm,
        Boolean footLineKills,
        Boolean shortLineKills)
        implements Measure {

    private static final int USUAL_BALLS = 3;

    public Match {
        ballsPerPlayer = ballsPerPlayer == null ? (Integer) USUAL_BALLS : ballsPerPlayer;
        jackRule = jackRule == null ? JackRule.WINNER : jackRule;
        playerOrder = playerOrder == null ? PlayerOrder.IN_TURN : playerOrder;
        tieRule = tieRule == null ? TieRule.NONE_SCORES : tieRule;
        toleranceCm = toleranceCm == null ? (Double) 1.0 : toleranceCm;
        footLineKills = footLineKills == null || footLineKills;
        shortLineKills = shortLineKills == null || shortLineKills;
        Checks checks =
                new Checks().range("ballsPerPlayer", ballsPerPlayer, 1, 4).range("toleranceCm", toleranceCm, 0, 20_000);
        if (targetScore != null) checks.range("targetScore", targetScore, 1, 1000);
        if (maxEnds != null) checks.range("maxEnds", maxEnds, 1, 60);
        if (timeCapSec != null) checks.range("timeCapSec", timeCapSec, 1, Checks.MAX_SEC);
        checks.done();
    }

    /** By the house's rules, until the stop. */
    public Match() {
        this(null);
    }

    /** By the house's rules, to so many points. */
    public Match(Integer targetScore) {
        this(null, targetScore, null, null, null, null, null, null, null, null);
    }

    @Override
    public Kind kind() {
        return Kind.MATCH;
    }

    /** Nobody's own: {@link #points} tells what a side has. */
    @Override
    public Scored score(List<Tap> taps, boolean missesCounted, long workedMs) {
        return Scored.NOTHING;
    }

    /** Points of a side: its own ends, and ends that were level for both. */
    public static int points(List<Tap> taps, Tap.Team team) {
        return ends(taps, team).stream().mapToInt(Detail.EndPoints::own).sum();
    }

    boolean kills(JackMatch.MatchBall ball) {
        return ball.out() || ball.footOver() && footLineKills || ball.landedShort() && shortLineKills;
    }

    /** Whether its score or its ends have ended it: then no clock did. */
    public boolean isOver(List<Tap> taps) {
        int a = points(taps, Tap.Team.A);
        int b = points(taps, Tap.Team.B);
        boolean reached = targetScore != null && a != b && Math.max(a, b) >= targetScore;
        return reached || maxEnds != null && ends(taps, Tap.Team.A).size() >= maxEnds;
    }

    /** What each end that was played was worth, as one side sees it. */
    public static List<Detail.EndPoints> ends(List<Tap> taps, Tap.Team team) {
        List<Detail.EndPoints> ends = new ArrayList<>();
        for (Tap tap : taps)
            if (tap instanceof Tap.EndWon end)
                ends.add(new Detail.EndPoints(
                        end.team() == null || end.team() == team ? end.points() : 0,
                        end.team() == null || end.team() != team ? end.points() : 0));
        return ends;
    }

    @Override
    public int most(int sec) {
        return 1000;
    }

    @Override
    public Compared compared() {
        return Compared.AS_IT_IS;
    }
}
