package org.unrulymarble.core.propose;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.unrulymarble.core.chance.GateChance;
import org.unrulymarble.core.chance.RateSpread;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonTimes;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.findings.Fits;
import org.unrulymarble.core.record.Due;
import org.unrulymarble.core.skill.GateStandard;

/** One rung of each ladder, where most of the class stand, with what can be done of it here and what that is good for now. The figures are ours. */
final class TaskFinder {

    /** More of the same is dull; a long lesson bears it. */
    private static final int MOST_SETS = 4;

    private static final int MOST_SETS_IN_LONG = 6;

    /** At home many small things keep one going, and few numbers come back. */
    private static final int MOST_SETS_AT_HOME = 2;

    private static final int LONG_MIN = 45;

    /** A day counts as the class's when a third of it took part. */
    private static final double OF_CLASS = 1 / 3.0;

    private static final double NEAR_FROM = 0.25;
    private static final double NEAR_TO = 0.9;
    private static final double NEW = 0.6;

    /** At home nobody shows how: what was done with a teacher comes first. */
    private static final double NEW_AT_HOME = 0.1;

    private static final double UNSEEN_AT_HOME = 0.2;

    /** Who may be near a gate where nobody was counted yet. */
    private static final double UNSEEN = 0.5;

    private final Lesson lesson;
    private final Setting setting;
    private final NextLesson.Wish wish;
    private final Set<String> never;
    private final Map<String, List<NextLesson.Practised>> practised;

    TaskFinder(
            Lesson lesson,
            Setting setting,
            List<NextLesson.Practised> practised,
            NextLesson.Wish wish,
            Set<String> never) {
        this.lesson = lesson;
        this.setting = setting;
        this.wish = wish;
        this.never = never;
        this.practised = practised.stream().collect(Collectors.groupingBy(NextLesson.Practised::ladderId));
    }

    List<Task> tasks() {
        return setting.catalogue().all().stream()
                .filter(l -> !never.contains(l.id()) && enough(l) && Fits.suitsMost(l, setting))
                .map(this::task)
                .toList();
    }

    /** Nobody copies a partner who is not there; at home there is a version for one. */
    private boolean enough(Ladder ladder) {
        return atHome() || ladder.perSpot() <= setting.pupils().size();
    }

    private Task task(Ladder ladder) {
        Fits.When when = new Fits.When(lesson.audience(), lesson.startMin());
        int at = middle(ladder);
        Fits.Here here = Fits.of(ladder, ladder.rungs().get(at), setting, when);
        // Where the rung of most does not go here, an easier one may.
        while (here.fit().verdict() == Fits.Verdict.NOT && at > 0)
            here = Fits.of(ladder, ladder.rungs().get(--at), setting, when);
        Rung rung = ladder.rungs().get(at);
        List<NextLesson.Practised> days = practised.getOrDefault(ladder.id(), List.of()).stream()
                .filter(d -> d.pupils() >= OF_CLASS * setting.pupils().size())
                .toList();
        Due due = Due.of(new Due.DueAsk(
                days.stream()
                        .map(d -> new Due.PractisedOn(d.daysAgo(), d.share()))
                        .toList(),
                7.0,
                1.8,
                0.6,
                60.0,
                0.6,
                0.8));
        int near = 0;
        int held = 0;
        int seen = 0;
        for (PlanPupil pupil : setting.pupils()) {
            Optional<Double> chance = chance(pupil, ladder, rung);
            if (chance.isEmpty()) continue;
            seen++;
            if (chance.get() >= NEAR_TO) held++;
            else if (chance.get() >= NEAR_FROM) near++;
        }
        return new Task(
                ladder,
                rung,
                here,
                here.fit().verdict() == Fits.Verdict.NOT ? List.of() : ways(here.block()),
                due,
                days.stream()
                        .map(NextLesson.Practised::daysAgo)
                        .min(Integer::compare)
                        .orElse(null),
                near,
                held,
                merit(ladder, due, seen == 0 ? unseen() : (double) near / seen));
    }

    /** The rung that as many stand below as above. */
    private int middle(Ladder ladder) {
        List<Integer> stand = setting.pupils().stream()
                .map(p -> ladder.numberOf(
                        setting.standings().ownRung(p.id(), ladder).id()))
                .sorted()
                .toList();
        return stand.isEmpty() ? 0 : stand.get((stand.size() - 1) / 2);
    }

    /** That a pupil passes the gate in one round of it; empty where that cannot be reckoned or no try on the ladder was counted. */
    private Optional<Double> chance(PlanPupil pupil, Ladder ladder, Rung rung) {
        if (!ladder.counted()
                || !GateChance.known(rung.measure(), rung.gate())
                || setting.standings().able(pupil.id(), ladder).isEmpty()) return Optional.empty();
        RateSpread rates = new RateSpread();
        setting.standings().addTo(rates, pupil.id(), ladder, rung);
        return Optional.of(rates.mean(p -> GateStandard.chance(rung, p).orElseThrow()));
    }

    private boolean atHome() {
        return lesson.audience() == Lesson.Audience.EACH_AT_HOME;
    }

    private double whenNew() {
        return wish == NextLesson.Wish.MORE_NEW ? 1 : atHome() ? NEW_AT_HOME : NEW;
    }

    private double unseen() {
        return atHome() ? UNSEEN_AT_HOME : UNSEEN;
    }

    /** @param nearly share of those who were seen there that are near the gate */
    private double merit(Ladder ladder, Due due, double nearly) {
        double comesBack = due.isNew() ? whenNew() : due.due();
        if (ladder.part() != Part.MAIN) return comesBack / 2;
        double calm = wish == NextLesson.Wish.CALMER ? (5 - ladder.effort()) / 5.0 : 0;
        return Math.min(1, 0.5 * comesBack + 0.5 * nearly + 0.3 * calm);
    }

    /** With one set and more; warm-ups and cool-downs once or twice. */
    private List<ProposeAsk.Way> ways(Block block) {
        List<ProposeAsk.Way> ways = new ArrayList<>();
        int most = atHome() ? MOST_SETS_AT_HOME : lesson.minutes() < LONG_MIN ? MOST_SETS : MOST_SETS_IN_LONG;
        for (int sets = 1; sets <= most; sets++) {
            int so = sets;
            Block here = block.with(d -> {
                d.sets = so;
                d.optionalSets = 0;
            });
            LessonTimes plan = LessonTimes.of(lesson.withBlocks(List.of(here)), setting);
            if (plan.totalSec() > 60L * lesson.minutes()) break;
            int workSec = here.dose() instanceof BlockDose.ByClock clock ? clock.workSec() : 0;
            ways.add(new ProposeAsk.Way(
                    sets, workSec, (int) plan.totalSec(), (int) Math.min(plan.totalSec(), plan.movingSecPerPupil())));
        }
        return ways;
    }
}
