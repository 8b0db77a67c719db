package org.unrulymarble.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.games.End.Nearest;
import org.unrulymarble.core.games.End.Player;
import org.unrulymarble.core.games.JackMatch.NextWhy;
import org.unrulymarble.core.games.JackMatch.Over;
import org.unrulymarble.core.measure.Tap.Team;

class MatchSoFarTest {

    private final List<Tap> taps = new ArrayList<>();

    @Test
    void the_toss_has_the_first_jack_and_then_who_won_the_end() {
        add(new Tap.Toss(Team.B));
        assertThat(match(new Match()).sheet().next().side()).isEqualTo(Player.B);
        add(new Tap.EndWon(Team.A, 2));
        MatchSoFar now = match(new Match());

        assertThat(now.sheet().jackSide()).isEqualTo(Player.A);
        assertThat(now.sheet().next().why()).isEqualTo(NextWhy.JACK_FIRST);
        assertThat(now.sheet().ends()).hasSize(2);
        // Level by eye: a point for both, and the jack stays.
        add(new Tap.EndWon(null, 1));
        assertThat(match(new Match()).sheet().totals().A()).isEqualTo(3);
        assertThat(match(new Match()).sheet().totals().B()).isEqualTo(1);
        assertThat(match(new Match()).sheet().jackSide()).isEqualTo(Player.A);
    }

    @Test
    void to_seven_ends_at_seven_and_not_level() {
        add(new Tap.EndWon(Team.A, 3), new Tap.EndWon(Team.B, 2));
        assertThat(match(new Match(7)).sheet().over()).isEqualTo(Over.NOT_YET);
        add(new Tap.EndWon(Team.A, 4));
        MatchSoFar over = match(new Match(7));

        assertThat(over.sheet().over()).isEqualTo(Over.TARGET);
        assertThat(over.sheet().winner()).isEqualTo(Nearest.A);
        assertThat(over.sheet().next()).isNull();
        assertThat(over.sheet().ends()).hasSize(3);
        assertThat(new Match(7).isOver(taps)).isTrue();
        assertThat(new Match(8).isOver(taps)).isFalse();
        assertThat(new Match(null, null, 3, null, null, null, null, null, null, null).isOver(taps))
                .isTrue();
    }

    @Test
    void a_dead_ball_counts_for_nobody_by_the_house_rule_of_the_block() {
        add(new Tap.Ball(Team.A, 5.0, 0.0, Tap.Ball.Fault.FOOT_OVER), new Tap.Ball(Team.B, 30.0, 0.0));
        Match kills = new Match(3, null, null, null, null, null, null, null, true, null);
        Match lets = new Match(3, null, null, null, null, null, null, null, false, null);

        assertThat(match(kills).sheet().ends().get(0).nearest()).isEqualTo(Nearest.B);
        assertThat(match(kills).lying().get(0).dead()).isTrue();
        assertThat(match(lets).sheet().ends().get(0).nearest()).isEqualTo(Nearest.A);
        taps.set(0, new Tap.Ball(Team.A, 5.0, 0.0, Tap.Ball.Fault.OUT));
        assertThat(match(lets).lying().get(0).dead())
                .as("off the ground is always dead")
                .isTrue();
    }

    @Test
    void a_jack_that_is_moved_takes_the_distances_along_until_the_next_end() {
        // A lies 10 cm right of the jack, B 40; then the jack goes 30 cm right.
        add(new Tap.Ball(Team.A, 10.0, 0.0), new Tap.Ball(Team.B, 40.0, 0.0), new Tap.JackMoved(30.0, 0.0));
        MatchSoFar now = match(new Match());

        assertThat(now.lying()).extracting(MatchSoFar.Lying::xCm).containsExactly(-20.0, 10.0);
        assertThat(now.sheet().ends().get(0).nearest()).isEqualTo(Nearest.B);
        add(new Tap.Ball(Team.A, 5.0, 0.0));
        assertThat(match(new Match()).lying().get(2).xCm()).isEqualTo(5.0);
        add(new Tap.EndWon(Team.A, 1), new Tap.Ball(Team.A, 10.0, 0.0));
        assertThat(match(new Match()).lying()).extracting(MatchSoFar.Lying::xCm).containsExactly(10.0);
    }

    @Test
    void what_an_end_was_worth_is_kept_for_both_sides() {
        add(new Tap.EndWon(Team.A, 2), new Tap.EndWon(Team.B, 1), new Tap.EndWon(null, 1));
        assertThat(Match.ends(taps, Team.A))
                .containsExactly(new Detail.EndPoints(2, 0), new Detail.EndPoints(0, 1), new Detail.EndPoints(1, 1));
        assertThat(Match.ends(taps, Team.B))
                .containsExactly(new Detail.EndPoints(0, 2), new Detail.EndPoints(1, 0), new Detail.EndPoints(1, 1));
    }

    private void add(Tap... more) {
        taps.addAll(List.of(more));
    }

    private MatchSoFar match(Match rules) {
        return MatchSoFar.of(new MatchSoFar.MatchSoFarAsk(rules, 2, 2, 100, taps));
    }
}
