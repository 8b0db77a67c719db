package org.unrulymarble.core.skill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What must hold of the ability read from tries. */
class SkillTest {

    private static final List<Skill.RungAsked> RUNGS =
            List.of(new Skill.RungAsked("low", -1.0, 0.8, 0.5), new Skill.RungAsked("high", 1.5, 0.8, 0.5));

    @Test
    void a_rung_never_tried_is_told_from_its_neighbours_and_a_harder_one_is_held_less_likely() {
        Skill skill = of(0.3, List.of(new Skill.Tries(3, 0.0, 16, 4), new Skill.Tries(10, 0.0, 12, 8)));

        assertThat(skill.rungs().get(0).chanceHolds()).isGreaterThan(0.8);
        assertThat(skill.rungs().get(1).chanceHolds()).isLessThan(0.1);
    }

    @Test
    void many_tries_on_one_day_are_less_sure_where_days_differ() {
        List<Skill.Tries> oneDay = List.of(new Skill.Tries(0, 0.0, 60, 20));
        List<Skill.Tries> fourDays = List.of(
                new Skill.Tries(0, 0.0, 15, 5),
                new Skill.Tries(1, 0.0, 15, 5),
                new Skill.Tries(2, 0.0, 15, 5),
                new Skill.Tries(3, 0.0, 15, 5));

        assertThat(of(0.0, oneDay).sd()).isLessThan(of(0.6, oneDay).sd() * 0.6);
        assertThat(of(0.6, fourDays).sd()).isLessThan(of(0.6, oneDay).sd());
    }

    @Test
    void it_finds_the_ability_that_made_the_tries_whatever_their_order() {
        Random random = new Random(11);
        List<Skill.Tries> tries = new ArrayList<>();
        for (int day = 0; day < 30; day++) {
            double form = random.nextGaussian() * 0.3;
            int hits = 0;
            for (int i = 0; i < 20; i++) if (random.nextDouble() < 1 / (1 + Math.exp(0.4 - 1.1 - form))) hits++;
            tries.add(new Skill.Tries(day, 0.4, hits, 20 - hits));
        }
        Skill skill = of(0.3, tries);
        Collections.shuffle(tries, random);

        assertThat(skill.mean()).isCloseTo(1.1, within(3 * skill.sd()));
        assertThat(skill.sd()).isBetween(0.05, 0.2);
        assertThat(of(0.3, tries).mean()).isCloseTo(skill.mean(), within(1e-9));
    }

    @Test
    void what_nobody_expected_is_a_figure_all_the_same() {
        Skill skill = Skill.of(
                new Skill.SkillAsk(-9.0, 0.01, 0.0, 0.0, 0.4, List.of(new Skill.Tries(0, 9.0, 100_000, 0)), RUNGS));

        assertThat(skill.mean()).isBetween(-9.0, 9.0);
        assertThat(skill.rungs().get(0).expectedShare()).isBetween(0.0, 1.0);
    }

    private static Skill of(double formSd, List<Skill.Tries> tries) {
        return Skill.of(new Skill.SkillAsk(0.0, 1.0, 0.0, 0.03, formSd, tries, RUNGS));
    }
}
