package org.unrulymarble.core.skill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;

/** What a school's own records teach. */
class SkillLearnerTest {

    private static final Ladder LADDER =
            Catalogue.shipped().ladder("clap-and-collect").orElseThrow();
    private static final Difficulties HOUSE = Difficulties.of(LADDER, 0.8);
    private static final SkillFigures TRUE = new SkillFigures(0.4, 0.7, 0.2, 0.2, 0.5);
    private static final String HARDER = LADDER.rungs().get(1).id();

    @Test
    void figures_and_a_rung_that_is_harder_than_we_thought_are_found_in_many_records() {
        LearntSkill learnt = SkillLearner.of(school(300, 12), 4);

        SkillFigures f = learnt.figures();
        double first = learnt.harder()
                .get(Difficulties.key(LADDER.id(), LADDER.rungs().get(0).id()));
        double second = learnt.harder().get(Difficulties.key(LADDER.id(), HARDER));
        // One ladder alone cannot tell pupils who begin higher from rungs that are all easier.
        assertThat(f.priorMean() - first).isCloseTo(TRUE.priorMean(), within(0.2));
        assertThat(second - first).isCloseTo(1, within(0.25));
        assertThat(f.priorSd()).isCloseTo(TRUE.priorSd(), within(0.15));
        assertThat(f.gainPerDay()).isCloseTo(TRUE.gainPerDay(), within(0.05));
        assertThat(f.formSd()).isCloseTo(TRUE.formSd(), within(0.15));
        assertThat(learnt.version()).isEqualTo(5);
        assertThat(learnt.pupils()).isEqualTo(300);
        assertThat(learnt.tries()).isEqualTo(300 * 12 * 20);
    }

    @Test
    void a_handful_of_records_moves_the_houses_figures_little() {
        LearntSkill learnt = SkillLearner.of(school(2, 3), 0);

        assertThat(learnt.figures().priorSd()).isCloseTo(SkillFigures.HOUSE.priorSd(), within(0.35));
        assertThat(learnt.figures().gainPerDay()).isCloseTo(SkillFigures.HOUSE.gainPerDay(), within(0.08));
        assertThat(learnt.figures().driftSdPerDay() * Math.sqrt(7))
                .isGreaterThanOrEqualTo(learnt.figures().gainPerDay() / 4 - 1e-9);
        assertThat(learnt.harder().values()).allSatisfy(d -> assertThat(d).isBetween(-0.7, 0.7));
    }

    @Test
    void the_quick_reading_agrees_with_the_exact_one() {
        Random random = new Random(3);
        NormalFilter quick = new NormalFilter(TRUE, 0.1);
        Ability exact = new Ability(TRUE, 0.1);
        for (int day = 0; day < 20; day++) {
            List<Seen> seen =
                    List.of(new Seen(0.3, random.nextInt(15), random.nextInt(6)), new Seen(1, random.nextInt(4), 2));
            quick.next(7);
            quick.seen(seen);
            exact.practised(7, seen);
            assertThat(quick.mean()).isCloseTo(exact.mean(), within(0.05));
            assertThat(Math.sqrt(quick.variance())).isCloseTo(exact.sd(), within(0.03));
        }
    }

    /** Pupils who begin on the first rung and change to the second half-way, once a week, twenty tries each time. */
    private static List<SkillLearner.Series> school(int pupils, int weeks) {
        Random random = new Random(5);
        List<SkillLearner.Series> all = new ArrayList<>();
        for (int pupil = 0; pupil < pupils; pupil++) {
            String first = LADDER.rungs().get(0).id();
            double ability = HOUSE.begins(first) + TRUE.priorMean() + TRUE.priorSd() * random.nextGaussian();
            List<SkillLearner.DayOnRung> days = new ArrayList<>();
            for (int week = 0; week < weeks; week++) {
                if (week > 0)
                    ability += TRUE.gainPerDay() + TRUE.driftSdPerDay() * Math.sqrt(7) * random.nextGaussian();
                String rung = week < weeks / 2 ? first : HARDER;
                double difficulty = HOUSE.of(rung) + (rung.equals(HARDER) ? 1 : 0);
                double form = TRUE.formSd() * random.nextGaussian();
                int hits = 0;
                for (int i = 0; i < 20; i++)
                    if (random.nextDouble() < 1 / (1 + Math.exp(difficulty - ability - form))) hits++;
                days.add(new SkillLearner.DayOnRung(7 * week, rung, hits, 20 - hits));
            }
            all.add(new SkillLearner.Series("pupil" + pupil, HOUSE, LADDER.id(), days));
        }
        return all;
    }
}
