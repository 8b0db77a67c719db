package org.unrulymarble.core.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.record.Judge;
import org.unrulymarble.core.record.LadderRecord;
import org.unrulymarble.core.record.OnLadder;
import org.unrulymarble.core.record.Readiness;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;
import org.unrulymarble.core.skill.Difficulties;
import org.unrulymarble.core.skill.LearntSkill;
import org.unrulymarble.core.skill.SkillLearner;

/** What a school's million tries teach; and one look at a class: sixty challenges of each of twenty-four. */
@State(Scope.Benchmark)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class SkillBench {

    private static final int A_CLASS = 24;
    private static final int CHALLENGES = 60;
    private static final int SCHOOL = 1000;
    private static final int DAYS = 50;
    private static final int TRIES_A_DAY = 20;
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 26);

    private final List<Ladder> ladders = Catalogue.shipped().all();
    private final List<SkillLearner.Series> million = million();
    private final List<Pupil> pupils = pupils();

    private record Pupil(String id, Ladder ladder, List<Attempt> attempts) {}

    @Benchmark
    public LearntSkill learnAMillionTries() {
        return SkillLearner.of(million, 0);
    }

    /** Nothing kept from an earlier look. */
    @Benchmark
    public List<OnLadder> readAClass() {
        Judge judge = new Judge(Readiness.USUAL, LearntSkill.NOTHING, TODAY);
        return pupils.stream()
                .map(p -> LadderRecord.of(p.id(), p.ladder(), p.attempts(), List.of(), List.of(), judge)
                        .brief())
                .toList();
    }

    private List<SkillLearner.Series> million() {
        Random random = new Random(5);
        List<SkillLearner.Series> all = new ArrayList<>();
        for (int pupil = 0; pupil < SCHOOL; pupil++) {
            Ladder ladder = ladders.get(pupil % ladders.size());
            Difficulties house = Difficulties.of(ladder, 0.8);
            double ability = house.begins(ladder.rungs().get(0).id()) + random.nextGaussian();
            List<SkillLearner.DayOnRung> days = new ArrayList<>();
            for (int day = 0; day < DAYS; day++) {
                Rung rung = ladder.rungs().get(day * ladder.rungs().size() / DAYS);
                int hits = 0;
                for (int i = 0; i < TRIES_A_DAY; i++)
                    if (random.nextDouble() < 1 / (1 + Math.exp(house.of(rung.id()) - ability))) hits++;
                days.add(new SkillLearner.DayOnRung(7 * day, rung.id(), hits, TRIES_A_DAY - hits));
                ability += 0.04;
            }
            all.add(new SkillLearner.Series("pupil" + pupil, house, ladder.id(), days));
        }
        return all;
    }

    private List<Pupil> pupils() {
        Random random = new Random(7);
        List<Pupil> all = new ArrayList<>();
        for (int pupil = 0; pupil < A_CLASS; pupil++) {
            int challenges = 0;
            for (int l = 0; challenges < CHALLENGES; l++) {
                Ladder ladder = ladders.get(l);
                List<Attempt> attempts = new ArrayList<>();
                for (Rung rung : ladder.rungs()) {
                    if (challenges++ >= CHALLENGES) break;
                    for (int round = 0; round < 3; round++)
                        attempts.add(attempt("p" + pupil, ladder, rung, attempts.size(), random.nextInt(13)));
                }
                all.add(new Pupil("p" + pupil, ladder, attempts));
            }
        }
        return all;
    }

    private static Attempt attempt(String pupilId, Ladder ladder, Rung rung, int number, int hits) {
        return new Attempt(
                pupilId + ladder.id() + number,
                pupilId,
                TODAY.minusDays(90 - 5L * number),
                new Attempt.Task(
                        ladder.id(),
                        rung.id(),
                        List.of(),
                        Side.of(rung.sides()).get(number % Side.of(rung.sides()).size())),
                1,
                new Attempt.Counts(hits, hits, 12 - hits, 12, null),
                RoundTime.full(40),
                new Attempt.Things(null, null, null),
                new Attempt.Setting(null, null, null),
                new Attempt.Worth(RoundResult.Source.ADULT, true, false, false),
                null,
                List.of());
    }
}
