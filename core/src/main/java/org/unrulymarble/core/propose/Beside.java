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
    private static final int COMPACT = 4;
    private static final int REFINED = 8;
    private static final int REFINED_MOVING = 20;
    private static final int MOST_STATIONS = 4;
    private static final int FEWEST_AT_A_STATION = 3;
    static final int[] ROUNDS = {2, 3, 4, 6, 8};
    private static final int[] WORK_SEC = {45, 60, 75};
    private static final int[] WORK_SEC_MOVING = {45, 60, 75, 90, 110};
    private static final int[] LIKELY_ROUNDS = {4};
    private static final int[] LIKELY_ROUNDS_MOVING = {4, 6};
    private static final int[] LIKELY_WORK_SEC = {60};
    /** More of one task in one visit is dull; whoever wants more moving bears it. */
    private static final int LONGEST_VISIT_SEC = 360;

    private static final int LONGEST_VISIT_MOVING_SEC = 660;
    private static final int REST_SEC = 15;
    private static final int REST_SEC_MOVING = 5;
    static final int CHANGE_SEC = 30;
    private static final int MOST_BLOCKS = 12;
    private static final int STEPS = 4_000;
    private static final String ID = "circuit";

    private final ProposeAsk ask;
    private final Lesson lesson;
    private final Setting setting;
    private final List<Task> fitting;
    private final boolean moving;
    private final int longestVisitSec;

    Beside(ProposeAsk ask, Lesson lesson, Setting setting, List<Task> fitting, NextLesson.Wish wish) {
        this.ask = ask;
        this.lesson = lesson;
        this.setting = setting;
        this.fitting = fitting;
        this.moving = wish == NextLesson.Wish.MORE_MOVING;
        this.longestVisitSec = longestVisitSec(wish);
    }

    /** Between two rounds of a visit; where some wait for others they rest already. */
    static int restSec(boolean moving) {
        return moving ? REST_SEC_MOVING : REST_SEC;
    }

    static int[] workSec(NextLesson.Wish wish) {
        return wish == NextLesson.Wish.MORE_MOVING ? WORK_SEC_MOVING : WORK_SEC;
    }

    static int longestVisitSec(NextLesson.Wish wish) {
        return wish == NextLesson.Wish.MORE_MOVING ? LONGEST_VISIT_MOVING_SEC : LONGEST_VISIT_SEC;
    }

    /**
     * A lesson with a circuit.
     *
     * @param gives its worth without what it costs
     * @param singles what the whole class does, in order
     * @param tasks of the stations
     * @param plan of the stations alone
     */
    record Laid(
            double value,
            double gives,
            List<Pick> singles,
            List<Task> tasks,
            Circuit circuit,
            List<Block> stations,
            LessonPlan plan) {}

    /** Those that are worth more than this one, the best first; empty where none is, and where too few are there for groups. */
    List<Laid> better(List<Pick> found, double value) {
        if (lesson.audience() == Lesson.Audience.EACH_AT_HOME || mostStations(setting) < Circuit.FEWEST_STATIONS)
            return List.of();
        List<Task> pool = pool(found);
        List<Laid> best = new ArrayList<>();
        for (int i = 0; i < pool.size(); i++)
            for (int j = i + 1; j < pool.size(); j++)
                likely(List.of(pool.get(i), pool.get(j)), found).ifPresent(best::add);
        List<Laid> grown = top(best);
        for (int stations = 3; stations <= mostStations(setting) && !grown.isEmpty(); stations++) {
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
                .limit(moving ? REFINED_MOVING : REFINED)
                .flatMap(l -> laid(l.tasks(), found, ROUNDS, moving ? WORK_SEC_MOVING : WORK_SEC).stream())
                .map(this::searched)
                .filter(l -> l.value() > value)
                .sorted(Comparator.comparingDouble(Laid::value).reversed())
                .toList();
    }

    static int mostStations(Setting setting) {
        return Math.min(MOST_STATIONS, setting.pupils().size() / FEWEST_AT_A_STATION);
    }

    private static List<Laid> sorted(List<Laid> all) {
        return all.stream()
                .sorted(Comparator.comparingDouble(Laid::value).reversed())
                .toList();
    }

    private static List<Laid> top(List<Laid> all) {
        return sorted(all).stream().limit(2).toList();
    }

    /**
     * What was chosen, and what is worth most besides; of what is worth as much, what leaves the others most floor. Where all are to move, also what takes
     * least floor of all.
     */
    private List<Task> pool(List<Pick> found) {
        Set<Task> pool = new LinkedHashSet<>();
        for (Pick p : found) if (main(fitting.get(p.candidate()))) pool.add(fitting.get(p.candidate()));
        if (moving)
            fitting.stream()
                    .filter(Beside::main)
                    .sorted(Comparator.comparingDouble(Beside::floorOfOneM2))
                    .limit(COMPACT)
                    .forEach(pool::add);
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

    static boolean main(Task task) {
        return task.ladder().part() == Part.MAIN;
    }

    /** As they would most likely be, so that many can be looked at. */
    private Optional<Laid> likely(List<Task> tasks, List<Pick> found) {
        return laid(tasks, found, moving ? LIKELY_ROUNDS_MOVING : LIKELY_ROUNDS, LIKELY_WORK_SEC);
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
                        restSec(moving),
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
        ProposeAsk with = with(tasks, circuit, plan);
        List<Pick> inCircuit = inCircuit(tasks);
        Worth worth = new Worth(with);
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
            if (!worth.keepsAll(all)) continue;
            double value = worth.of(all);
            if (best == null || value > best.value())
                best = new Laid(value, worth.gives(all), worth.inOrder(picks), tasks, circuit, stations, plan);
        }
        return best;
    }

    /** With other tasks of the whole class where those are worth more beside these stations. */
    private Laid searched(Laid from) {
        ProposeAsk with = with(from.tasks(), from.circuit(), from.plan());
        Worth worth = new Worth(with);
        List<Pick> now = new ArrayList<>(from.singles());
        now.addAll(inCircuit(from.tasks()));
        List<Pick> best = new QuickSearch(with, worth).best(now, 1, STEPS);
        if (best == null || worth.of(best) <= from.value()) return from;
        int fromHere = ask.candidates().size();
        List<Pick> singles = best.stream().filter(p -> p.candidate() < fromHere).toList();
        return new Laid(
                worth.of(best),
                worth.gives(best),
                worth.inOrder(singles),
                from.tasks(),
                from.circuit(),
                from.stations(),
                from.plan());
    }

    private List<Pick> inCircuit(List<Task> tasks) {
        return IntStream.range(0, tasks.size())
                .mapToObj(i -> new Pick(ask.candidates().size() + i, 0))
                .toList();
    }

    /** The question with these tasks as stations, which have to be in it; alone none of them can be then. */
    private ProposeAsk with(List<Task> tasks, Circuit circuit, LessonPlan plan) {
        List<ProposeAsk.Candidate> candidates = new ArrayList<>();
        Set<String> own = new HashSet<>();
        tasks.forEach(t -> own.add(t.ladder().id()));
        for (ProposeAsk.Candidate c : ask.candidates())
            candidates.add(own.contains(c.group()) ? c.with(false, c.options()) : c);
        int apart = (tasks.size() - 1) * lesson.transitionSec();
        for (int i = 0; i < tasks.size(); i++) {
            int moving = (int) plan.blocks().get(i).movingSecPerPupil();
            // What all stations take is shared among them; between them nobody changes.
            int total = (int) Math.max(moving, (plan.totalSec() - apart) / tasks.size());
            candidates.add(ask.candidates()
                    .get(fitting.indexOf(tasks.get(i)))
                    .named(tasks.get(i).ladder().id() + " beside")
                    .with(true, List.of(new ProposeAsk.Way(circuit.rounds(), circuit.workSec(), total, moving))));
        }
        return ask.of(1, Math.min(MOST_BLOCKS, ask.blocksMax() - 1 + tasks.size()), ask.weights(), candidates);
    }
}
