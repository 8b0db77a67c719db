package org.unrulymarble.core.propose;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.BlockPlan;
import org.unrulymarble.core.plan.Circuit;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.propose.ProposeAsk.Pick;

/**
 * Whether the lesson is worth more with some of its tasks side by side: of the tasks that are worth most, the best two are put together, then a third and a
 * fourth, each time with the tasks of the whole class that the time leaves; all of them by the worth that the lesson without a circuit was chosen by.
 */
final class Beside {

    private static final int POOL = 11;
    private static final int REFINED = 8;
    private static final int MOST_STATIONS = 4;
    private static final int FEWEST_AT_A_STATION = 3;
    private static final int[] ROUNDS = {2, 3, 4, 6, 8};
    private static final int[] WORK_SEC = {45, 60, 75};
    private static final int[] LIKELY_ROUNDS = {4};
    private static final int[] LIKELY_WORK_SEC = {60};
    /** More of one task in one visit is dull; whoever wants more moving bears it. */
    private static final int LONGEST_VISIT_SEC = 360;

    private static final int LONGEST_VISIT_MOVING_SEC = 600;
    private static final int REST_SEC = 15;
    private static final int CHANGE_SEC = 30;
    private static final String ID = "circuit";

    private final ProposeAsk ask;
    private final Lesson lesson;
    private final Setting setting;
    private final List<Task> fitting;
    private final int longestVisitSec;

    Beside(ProposeAsk ask, Lesson lesson, Setting setting, List<Task> fitting, NextLesson.Wish wish) {
        this.ask = ask;
        this.lesson = lesson;
        this.setting = setting;
        this.fitting = fitting;
        this.longestVisitSec = wish == NextLesson.Wish.MORE_MOVING ? LONGEST_VISIT_MOVING_SEC : LONGEST_VISIT_SEC;
    }

    /** A lesson with a circuit. @param singles what the whole class does, in order @param tasks of the stations */
    record Laid(double value, List<Pick> singles, List<Task> tasks, Circuit circuit, List<Block> stations) {}

    /** Those that are worth more than this one, the best first; empty where none is, and where too few are there for groups. */
    List<Laid> better(List<Pick> found, double value) {
        if (lesson.audience() == Lesson.Audience.EACH_AT_HOME
                || setting.pupils().size() < Circuit.FEWEST_STATIONS * FEWEST_AT_A_STATION) return List.of();
        List<Task> pool = pool(found);
        List<Laid> best = new ArrayList<>();
        for (int i = 0; i < pool.size(); i++)
            for (int j = i + 1; j < pool.size(); j++)
                likely(List.of(pool.get(i), pool.get(j)), found).ifPresent(best::add);
        List<Laid> grown = top(best);
        for (int stations = 3; stations <= MOST_STATIONS && !grown.isEmpty(); stations++) {
            if (setting.pupils().size() < stations * FEWEST_AT_A_STATION) break;
            List<Laid> next = new ArrayList<>();
            for (Laid from : grown)
                for (Task task : pool) {
                    if (from.tasks().contains(task)) continue;
                    List<Task> more = new ArrayList<>(from.tasks());
                    more.add(task);
                    likely(more, found).ifPresent(next::add);
                }
            best.addAll(next);
            grown = top(next);
        }
        return sorted(best).stream()
                .limit(REFINED)
                .flatMap(l -> laid(l.tasks(), found, ROUNDS, WORK_SEC).stream())
                .filter(l -> l.value() > value)
                .sorted(Comparator.comparingDouble(Laid::value).reversed())
                .toList();
    }

    private static List<Laid> sorted(List<Laid> all) {
        return all.stream()
                .sorted(Comparator.comparingDouble(Laid::value).reversed())
                .toList();
    }

    private static List<Laid> top(List<Laid> all) {
        return sorted(all).stream().limit(2).toList();
    }

    /** What was chosen, and what is worth most besides; of what is worth as much, what leaves the others most floor. */
    private List<Task> pool(List<Pick> found) {
        Set<Task> pool = new LinkedHashSet<>();
        for (Pick p : found) if (main(fitting.get(p.candidate()))) pool.add(fitting.get(p.candidate()));
        fitting.stream()
                .filter(Beside::main)
                .sorted(Comparator.comparingDouble(Task::merit).reversed().thenComparingDouble(Beside::floorOfOneM2))
                .forEach(pool::add);
        return pool.stream().limit(POOL).toList();
    }

    /** Floor that one who works takes, with the way round it. */
    private static double floorOfOneM2(Task task) {
        Footprint f = task.ladder().footprint(task.rung());
        return (f.lengthM() + f.gapM())
                * (f.widthM() + f.gapM())
                / task.ladder().workingAtOnce();
    }

    private static boolean main(Task task) {
        return task.ladder().part() == Part.MAIN;
    }

    /** As they would most likely be, so that many can be looked at. */
    private Optional<Laid> likely(List<Task> tasks, List<Pick> found) {
        return laid(tasks, found, LIKELY_ROUNDS, LIKELY_WORK_SEC);
    }

    /** The best that these stations can be, with the tasks of the whole class that leave them time. */
    private Optional<Laid> laid(List<Task> tasks, List<Pick> found, int[] everyRounds, int[] everyWorkSec) {
        Laid best = null;
        List<Pick> others = found.stream()
                .filter(p -> !tasks.contains(fitting.get(p.candidate())))
                .toList();
        for (int rounds : everyRounds)
            for (int workSec : everyWorkSec) {
                if (rounds * workSec > longestVisitSec) continue;
                Circuit circuit = Circuit.of(
                        ID,
                        IntStream.rangeClosed(1, tasks.size())
                                .mapToObj(n -> ID + n)
                                .toList(),
                        rounds,
                        workSec,
                        REST_SEC,
                        CHANGE_SEC);
                List<Block> stations = stations(tasks, workSec);
                LessonPlan plan = LessonPlan.of(lesson.withBlocks(stations).withCircuits(List.of(circuit)), setting);
                if (plan.totalSec() > ask.targetSec() || !everyoneWorks(plan, rounds)) continue;
                Laid here = filled(tasks, others, circuit, stations, plan);
                if (here != null && (best == null || here.value() > best.value())) best = here;
            }
        return Optional.ofNullable(best);
    }

    private static boolean everyoneWorks(LessonPlan plan, int rounds) {
        return plan.circuits().get(0).stations().stream().allMatch(s -> s.reason() == null)
                && plan.blocks().stream().allMatch(b -> rounds % b.turns() == 0);
    }

    private List<Block> stations(List<Task> tasks, int workSec) {
        List<Block> out = new ArrayList<>();
        for (Task task : tasks) {
            String id = ID + (out.size() + 1);
            boolean both = Side.of(task.rung().sides()).size() == 2;
            out.add(task.here().block().with(d -> {
                d.id = id;
                d.optionalSets = 0;
                d.meanwhile = null;
                if (d.dose.type() == BlockDose.Type.CLOCK) d.dose = BlockDose.byClock(both ? workSec / 2 : workSec);
            }));
        }
        return out;
    }

    /** With as many of the whole class's tasks as the time leaves: those that open and close first. */
    private Laid filled(List<Task> tasks, List<Pick> others, Circuit circuit, List<Block> stations, LessonPlan plan) {
        List<ProposeAsk.Candidate> candidates = new ArrayList<>(ask.candidates());
        List<Pick> inCircuit = new ArrayList<>();
        int apart = (tasks.size() - 1) * lesson.transitionSec();
        for (int i = 0; i < tasks.size(); i++) {
            ProposeAsk.Candidate own = candidates.get(fitting.indexOf(tasks.get(i)));
            BlockPlan block = plan.blocks().get(i);
            // What all stations take is shared among them; between them nobody changes.
            int total = (int) Math.max(block.movingSecPerPupil(), (plan.totalSec() - apart) / tasks.size());
            inCircuit.add(new Pick(candidates.size(), 0));
            candidates.add(new ProposeAsk.Candidate(
                    own.id() + " beside",
                    own.group(),
                    own.part(),
                    own.family(),
                    own.aspects(),
                    own.effort(),
                    own.merit(),
                    own.kit(),
                    own.must(),
                    List.of(new ProposeAsk.Way(
                            circuit.rounds(), circuit.workSec(), total, (int) block.movingSecPerPupil()))));
        }
        Worth worth = new Worth(new ProposeAsk(
                ask.targetSec(),
                ask.transitionSec(),
                1,
                12,
                ask.halfSec(),
                ask.leap(),
                ask.needOpen(),
                ask.needClose(),
                ask.weights(),
                candidates.stream().map(Beside::free).toList()));
        List<Pick> ends =
                others.stream().filter(p -> !main(fitting.get(p.candidate()))).toList();
        List<Pick> mains =
                others.stream().filter(p -> main(fitting.get(p.candidate()))).toList();
        Laid best = null;
        for (int mask = 0; mask < 1 << mains.size(); mask++) {
            List<Pick> picks = new ArrayList<>(ends);
            for (int m = 0; m < mains.size(); m++) if ((mask >> m & 1) == 1) picks.add(mains.get(m));
            List<Pick> all = new ArrayList<>(picks);
            all.addAll(inCircuit);
            if (worth.totalSec(all) > ask.targetSec() || !musts(all, candidates)) continue;
            double value = worth.of(all);
            if (best == null || value > best.value())
                best = new Laid(value, worth.inOrder(picks), tasks, circuit, stations);
        }
        return best;
    }

    private static ProposeAsk.Candidate free(ProposeAsk.Candidate c) {
        return !c.must()
                ? c
                : new ProposeAsk.Candidate(
                        c.id(),
                        c.group(),
                        c.part(),
                        c.family(),
                        c.aspects(),
                        c.effort(),
                        c.merit(),
                        c.kit(),
                        false,
                        c.options());
    }

    private boolean musts(List<Pick> picks, List<ProposeAsk.Candidate> candidates) {
        Set<String> in = new HashSet<>();
        picks.forEach(p -> in.add(candidates.get(p.candidate()).group()));
        return ask.candidates().stream().filter(ProposeAsk.Candidate::must).allMatch(c -> in.contains(c.group()));
    }
}
