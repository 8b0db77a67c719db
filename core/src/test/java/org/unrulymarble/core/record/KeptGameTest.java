package org.unrulymarble.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.games.BowlingSheet.BowlingSheetAsk;
import org.unrulymarble.core.games.BowlingSheet.Zone;
import org.unrulymarble.core.games.BowlingSheet.ZoneBall;
import org.unrulymarble.core.games.End.Player;
import org.unrulymarble.core.games.End.TieRule;
import org.unrulymarble.core.games.JackMatch;
import org.unrulymarble.core.games.JackMatch.JackMatchAsk;
import org.unrulymarble.core.games.JackMatch.JackRule;
import org.unrulymarble.core.games.JackMatch.MatchBall;
import org.unrulymarble.core.games.JackMatch.MatchEnd;
import org.unrulymarble.core.games.JackMatch.PlayerOrder;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.measure.Match;

/** A game kept on a sheet becomes rounds of those who played it. */
class KeptGameTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 20);
    private static final UUID ID = new UUID(1, 2);
    private static final Rung TO_SEVEN =
            Catalogue.shipped().rung("nearest-the-jack", "to-seven").orElseThrow();
    private static final Rung PAST_A_BATTER =
            Catalogue.shipped().rung("bowl-at-rings", "past-a-batter").orElseThrow();

    @Test
    void each_side_has_its_ends_the_others_and_its_mates_and_an_end_that_is_played_on_counts_for_nobody() {
        JackMatchAsk sheet = sheet(
                end(true, ball(Player.A, 40), ball(Player.B, 25), ball(Player.B, 30)),
                end(true, ball(Player.B, 90), ball(Player.A, 10)),
                end(false, ball(Player.A, 5)));

        List<Attempt> rounds = jack(sheet, List.of("ada", "bo"), List.of("cy")).attempts(TO_SEVEN);

        assertThat(rounds).extracting(Attempt::pupilId).containsExactly("ada", "bo", "cy");
        assertThat(rounds).extracting(Attempt::score).containsExactly(1, 1, 2);
        assertThat(rounds.get(0).detail())
                .isEqualTo(new Detail.Played(
                        List.of(new Detail.EndPoints(0, 2), new Detail.EndPoints(1, 0)), List.of("cy")));
        assertThat(rounds.get(2).detail())
                .isEqualTo(new Detail.Played(
                        List.of(new Detail.EndPoints(2, 0), new Detail.EndPoints(0, 1)), List.of("ada", "bo")));
        assertThat(rounds.get(0).jointWith()).containsExactly("bo");
        assertThat(rounds.get(2).jointWith()).isEmpty();
        assertThat(rounds.get(0).measure(TO_SEVEN))
                .as("by the house's rules of that day")
                .isEqualTo(new Match(
                        2, 9, null, null, JackRule.WINNER, PlayerOrder.IN_TURN, TieRule.NONE_SCORES, 1.0, true, false));
        JackMatch.EndSheet open = JackMatch.of(sheet).ends().get(2);
        assertThat(open.points().A()).as("what the open end would be worth").isEqualTo(1);
        assertThat(jack(sheet, List.of("ada"), List.of())
                        .attempts(TO_SEVEN)
                        .get(0)
                        .id())
                .as("the same game again is the same round")
                .isEqualTo(rounds.get(0).id());
    }

    @Test
    void nothing_played_to_its_end_is_nothing_kept_and_nobody_plays_twice() {
        JackMatchAsk open = sheet(end(false, ball(Player.A, 5)));
        assertThat(jack(open, List.of("ada"), List.of("cy")).attempts(TO_SEVEN)).isEmpty();
        assertThatThrownBy(() -> jack(open, List.of("ada"), List.of("ada"))).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> jack(open, List.of(), List.of())).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> jack(open, List.of("a", "b", "c"), List.of())).isInstanceOf(Refused.class);
    }

    @Test
    void a_bowler_is_one_pupil_and_a_pupil_one_bowler() {
        BowlingSheetAsk sheet = new BowlingSheetAsk(List.of(bowled("Ada", Zone.FAIR)), "Cy", "Ada");
        Map<String, String> nobody = new HashMap<>();
        nobody.put("Ada", null);
        for (Map<String, String> wrong : List.of(Map.<String, String>of(), nobody, Map.of("Ada", "ada", "Bo", "ada")))
            assertThatThrownBy(() -> new KeptGame.OfBowling(ID, DAY, "bowl-at-rings", "past-a-batter", sheet, wrong))
                    .isInstanceOf(Refused.class);
    }

    @Test
    void a_relief_bowler_who_bowls_the_second_no_ball_running_gives_the_half_score_away() {
        List<ZoneBall> balls = List.of(
                bowled("Ada", Zone.FAIR),
                bowled("Ada", Zone.HIGH),
                bowled("Bo", Zone.BODY),
                bowled("Bo", Zone.FAIR),
                bowled("Guest", Zone.LOW));
        KeptGame game = new KeptGame.OfBowling(
                ID,
                DAY,
                "bowl-at-rings",
                "past-a-batter",
                new BowlingSheetAsk(balls, "Cy", "Bo"),
                Map.of("Ada", "ada", "Bo", "bo", "Dee", "dee"));

        List<Attempt> rounds = game.attempts(PAST_A_BATTER);

        assertThat(rounds)
                .as("who did not bowl has no round, nor has who is of another class")
                .hasSize(2);
        Attempt ada = of(rounds, "ada");
        assertThat(List.of(ada.hits(), ada.misses(), ada.tries())).containsExactly(1, 1, 2);
        assertThat(ada.detail()).isEqualTo(new Detail.Bowled(1, 0, List.of()));
        Attempt bo = of(rounds, "bo");
        assertThat(List.of(bo.hits(), bo.misses(), bo.tries())).containsExactly(1, 1, 2);
        assertThat(bo.detail()).isEqualTo(new Detail.Bowled(1, 1, List.of()));
        assertThat(bo.isEvidence()).isTrue();
    }

    private static Attempt of(List<Attempt> rounds, String pupil) {
        return rounds.stream()
                .filter(r -> r.pupilId().equals(pupil))
                .findFirst()
                .orElseThrow();
    }

    private static ZoneBall bowled(String bowler, Zone zone) {
        return new ZoneBall("Cy", bowler, zone, false, false, false);
    }

    private static KeptGame jack(JackMatchAsk sheet, List<String> a, List<String> b) {
        return new KeptGame.OfJack(ID, DAY, "nearest-the-jack", "to-seven", sheet, a, b);
    }

    private static JackMatchAsk sheet(MatchEnd... ends) {
        return new JackMatchAsk(
                2,
                1,
                2,
                Player.A,
                JackRule.WINNER,
                PlayerOrder.IN_TURN,
                TieRule.NONE_SCORES,
                1.0,
                true,
                false,
                9,
                null,
                null,
                0,
                List.of(ends));
    }

    private static MatchEnd end(boolean called, MatchBall... balls) {
        return new MatchEnd(List.of(balls), called, null);
    }

    private static MatchBall ball(Player side, double cm) {
        return new MatchBall(side, cm, null, null, false, false, false);
    }
}
