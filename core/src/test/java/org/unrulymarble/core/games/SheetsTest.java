package org.unrulymarble.core.games;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.games.BowlingSheet.BowlingSheetAsk;
import org.unrulymarble.core.games.BowlingSheet.Zone;
import org.unrulymarble.core.games.BowlingSheet.ZoneBall;
import org.unrulymarble.core.games.End.Nearest;
import org.unrulymarble.core.games.End.Player;
import org.unrulymarble.core.games.End.Points;
import org.unrulymarble.core.games.End.TieRule;
import org.unrulymarble.core.games.JackMatch.JackMatchAsk;
import org.unrulymarble.core.games.JackMatch.JackRule;
import org.unrulymarble.core.games.JackMatch.MatchBall;
import org.unrulymarble.core.games.JackMatch.MatchEnd;
import org.unrulymarble.core.games.JackMatch.Over;
import org.unrulymarble.core.games.JackMatch.PlayerOrder;
import org.unrulymarble.core.games.JackMatch.PointsWhy;

/** The score sheets that umpires and captains keep. */
class SheetsTest {

    @Test
    void before_each_ball_the_match_says_who_plays_and_why() {
        Match m = new Match(2, 2);
        assertThat(m.next()).isEqualTo("A1 ball 1 JACK_FIRST");
        m.ball(Player.A, 40);
        assertThat(m.next()).isEqualTo("B1 ball 1 NOT_NEAREST");
        m.ball(Player.B, 60);
        assertThat(m.next()).isEqualTo("B2 ball 1 NOT_NEAREST");
        m.ball(Player.B, 40.5);
        assertThat(m.next()).as("a tie: who played last plays again").isEqualTo("B1 ball 2 TIE_LAST_AGAIN");
        m.ball(Player.B, 12);
        assertThat(m.next()).isEqualTo("A2 ball 1 NOT_NEAREST");
        m.ball(Player.A, 90).ball(Player.A, 70).ball(Player.A, 80);
        assertThat(m.next()).isEqualTo("B2 ball 2 OTHER_HAS_NONE_LEFT");
        m.ball(Player.B, 20);

        JackMatch match = m.now();
        assertThat(match.endComplete()).isTrue();
        assertThat(match.totals()).isEqualTo(new Points(0, 2));
        assertThat(match.ends().get(0).why()).isEqualTo(PointsWhy.NEARER_THAN_THEIR_BEST);
        assertThat(match.ends().get(0).balls())
                .filteredOn(JackMatch.BallSheet::counts)
                .extracting(JackMatch.BallSheet::distanceCm)
                .containsExactly(12.0, 20.0);
        assertThat(match.jackSide()).as("the winner of the end has the jack").isEqualTo(Player.B);
    }

    @Test
    void a_tied_end_leaves_the_jack_where_it_was_and_is_worth_what_the_house_says() {
        Match none = new Match(1, 1)
                .rule(TieRule.NONE_SCORES)
                .ball(Player.A, 30)
                .ball(Player.B, 30.5)
                .call();
        assertThat(none.now().totals()).isEqualTo(new Points(0, 0));
        assertThat(none.now().jackSide()).isEqualTo(Player.A);
        assertThat(none.now().ends().get(0).why()).isEqualTo(PointsWhy.TIE_NONE);

        Match each = new Match(1, 1)
                .rule(TieRule.ONE_EACH)
                .ball(Player.A, 30)
                .ball(Player.B, 30.5)
                .call();
        assertThat(each.now().totals()).isEqualTo(new Points(1, 1));
    }

    @Test
    void the_house_decides_whether_a_foot_or_a_short_ball_kills() {
        MatchBall foot = new MatchBall(Player.A, 5.0, null, null, false, true, false);
        MatchBall brief = new MatchBall(Player.B, null, 3.0, 4.0, false, false, true);
        Match strict = new Match(1, 1).add(foot).add(brief).call();
        assertThat(strict.now().ends().get(0).nearest()).isEqualTo(Nearest.NONE);
        strict.footLine = false;
        assertThat(strict.now().totals()).isEqualTo(new Points(1, 0));
        strict.shortLine = false;
        assertThat(strict.now().ends().get(0).nearest())
                .as("5 cm by tape and by drawing")
                .isEqualTo(Nearest.TIE);
    }

    @Test
    void a_match_ends_at_the_target_at_the_time_or_after_its_ends() {
        Match m = new Match(1, 1);
        m.target = 3;
        m.ball(Player.A, 10)
                .ball(Player.A, 11)
                .ball(Player.B, 50)
                .ball(Player.B, 60)
                .newEnd();
        assertThat(m.now().over()).isEqualTo(Over.NOT_YET);
        m.ball(Player.A, 10).ball(Player.B, 50).ball(Player.B, 60).ball(Player.A, 90);
        assertThat(m.now().over()).isEqualTo(Over.TARGET);
        assertThat(m.now().winner()).isEqualTo(Nearest.A);
        m.target = null;
        assertThat(m.now().winner()).isNull();
        m.timeCapSec = 600;
        m.playedSec = 601;
        assertThat(m.now().over()).isEqualTo(Over.TIME);
        m.newEnd().ball(Player.A, 10);
        assertThat(m.now().winner()).as("an end begun is played out").isNull();
    }

    @Test
    void a_side_that_plays_out_of_turn_is_marked_and_too_many_balls_are_refused() {
        Match m = new Match(1, 1).ball(Player.B, 10);
        assertThat(m.now().ends().get(0).balls().get(0).outOfTurn()).isTrue();
        m.ball(Player.B, 12);
        assertThatThrownBy(() -> m.ball(Player.B, 13).now())
                .isInstanceOf(Refused.class)
                .hasMessageContaining("ends[0].balls");
    }

    @Test
    void over_random_matches_the_sheet_agrees_with_each_end_by_itself() {
        Random random = new Random(21);
        for (int round = 0; round < 200; round++) {
            Match m = new Match(1 + random.nextInt(3), 1 + random.nextInt(3));
            while (m.now().next() != null) m.ball(m.now().next().side(), random.nextInt(8) * 10);
            JackMatch match = m.now();
            assertThat(match.ends().get(0).balls()).noneMatch(JackMatch.BallSheet::outOfTurn);
            Points points = match.ends().get(0).points();
            long counting = match.ends().get(0).balls().stream()
                    .filter(JackMatch.BallSheet::counts)
                    .count();
            if (match.ends().get(0).nearest() != Nearest.TIE)
                assertThat(points.A() + points.B()).isEqualTo((int) counting);
            assertThat(points.A() * points.B()).as("only one side scores").isZero();
        }
    }

    @Test
    void two_running_are_half_a_score_and_a_relief_bowler_inherits_the_first() {
        List<ZoneBall> balls = new ArrayList<>(List.of(ball("Ivo", "Mina", Zone.HIGH)));
        assertThat(sheet(balls, "Ivo", "Mina").next()).isEqualTo(BowlingSheet.Next.ONE_RUNNING);
        assertThat(sheet(balls, "Ivo", "Piet").next()).isEqualTo(BowlingSheet.Next.ONE_RUNNING_INHERITED);
        assertThat(sheet(balls, "Lena", "Mina").next()).isEqualTo(BowlingSheet.Next.FREE);
        balls.add(ball("Ivo", "Piet", Zone.WIDE_BEHIND));
        BowlingSheet second = sheet(balls, "Ivo", "Piet");
        assertThat(second.halfScores()).isEqualTo(1);
        assertThat(second.balls().get(1).halfScore()).isTrue();
        assertThat(second.next()).isEqualTo(BowlingSheet.Next.FREE);
        balls.addAll(Arrays.asList(
                new ZoneBall("Ivo", "Piet", Zone.FAIR, false, true, true), ball("Ivo", "Piet", Zone.FAIR)));
        BowlingSheet fourth = sheet(balls, "Ivo", "Piet");
        assertThat(fourth.balls().get(2).faults()).containsExactly(Bowling.NoBall.ARM, Bowling.NoBall.FOOT);
        assertThat(fourth.halfScores()).isEqualTo(1);
        assertThat(fourth.batters()).containsExactly(new BowlingSheet.BatterLine("Ivo", 4, 3, 1));
    }

    @Test
    void a_tapped_zone_is_judged_as_the_measured_ball_would_be() {
        Object[][] zones = {
            {Zone.FAIR, 80.0, 40.0}, {Zone.HIGH, 151.0, 40.0}, {Zone.LOW, 39.0, 40.0},
            {Zone.BODY, 80.0, -20.0}, {Zone.WIDE_OF_BAT, 80.0, 91.0}, {Zone.WIDE_BEHIND, 80.0, -21.0}
        };
        for (Object[] z : zones) {
            Bowling measured = Bowling.of(new Bowling.BowlingAsk(List.of(new Bowling.Delivery(
                    "b", (Double) z[1], 150.0, 40.0, (Double) z[2], 20.0, 90.0, false, false, false))));
            assertThat(sheet(List.of(ball("b", "x", (Zone) z[0])), "b", "x").balls())
                    .isEqualTo(measured.deliveries());
        }
    }

    private static ZoneBall ball(String batter, String bowler, Zone zone) {
        return new ZoneBall(batter, bowler, zone, false, false, false);
    }

    private static BowlingSheet sheet(List<ZoneBall> balls, String batter, String bowler) {
        return BowlingSheet.of(new BowlingSheetAsk(balls, batter, bowler));
    }

    /** A match that is played ball by ball; two balls a player, a centimetre of tolerance. */
    private static final class Match {
        private final int playersA;
        private final int playersB;
        private final List<List<MatchBall>> ends = new ArrayList<>(List.of(new ArrayList<>()));
        private TieRule tie = TieRule.NONE_SCORES;
        private boolean called;
        private boolean footLine = true;
        private boolean shortLine = true;
        private Integer target;
        private Integer timeCapSec;
        private int playedSec;

        Match(int playersA, int playersB) {
            this.playersA = playersA;
            this.playersB = playersB;
        }

        Match rule(TieRule rule) {
            tie = rule;
            return this;
        }

        Match ball(Player side, double cm) {
            return add(new MatchBall(side, cm, null, null, false, false, false));
        }

        Match add(MatchBall ball) {
            ends.get(ends.size() - 1).add(ball);
            return this;
        }

        Match call() {
            called = true;
            return this;
        }

        Match newEnd() {
            ends.add(new ArrayList<>());
            return this;
        }

        String next() {
            JackMatch.Next next = now().next();
            return next.side() + "" + next.player() + " ball " + next.ballNumber() + " " + next.why();
        }

        JackMatch now() {
            List<MatchEnd> all = new ArrayList<>();
            for (List<MatchBall> end : ends) all.add(new MatchEnd(end, called));
            return JackMatch.of(new JackMatchAsk(
                    playersA,
                    playersB,
                    2,
                    Player.A,
                    JackRule.WINNER,
                    PlayerOrder.IN_TURN,
                    tie,
                    1.0,
                    footLine,
                    shortLine,
                    target,
                    null,
                    timeCapSec,
                    playedSec,
                    all));
        }
    }
}
