package org.unrulymarble.core.propose;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.findings.Finding;
import org.unrulymarble.core.plan.findings.Findings;
import org.unrulymarble.core.plan.findings.Fits;

/**
 * A lesson proposed for a class in a place, with the reasons.
 *
 * @param lesson null where nothing fits
 * @param reasons one for each block, in their order
 * @param passedOver what was worth most of what is not in it
 * @param gapShare how much better another could be at most, as a share of this one's worth; null where not proven
 */
public record NextLesson(Lesson lesson, List<Reason> reasons, List<PassedOver> passedOver, Double gapShare) {

    private static final int MOST_MENDS = 8;
    private static final long SEC_PER_MIN = 60;
    private static final int MOST_PASSED_OVER = 5;

    /** What is wanted more than usual. */
    public enum Wish {
        AS_USUAL,
        MORE_MOVING,
        MORE_NEW,
        CALMER
    }

    /**
     * @param keep ladders that have to be in it
     * @param without ladders that must not be in it
     */
    public record Wishes(Wish wish, List<String> keep, List<String> without) {
        public Wishes {
            wish = wish == null ? Wish.AS_USUAL : wish;
            keep = keep == null ? List.of() : keep;
            without = without == null ? List.of() : without;
            new Checks()
                    .entries("keep", keep, 0, 12)
                    .entries("without", without, 0, 200)
                    .done();
            keep = List.copyOf(keep);
            without = List.copyOf(without);
        }
    }

    /** A day on which some of the class worked on a ladder. @param share of their counted tries that went in, or null */
    public record Practised(String ladderId, int daysAgo, int pupils, Double share) {}

    /**
     * Why a block is in it.
     *
     * @param daysSince the class last worked on it, or null: never
     * @param dueInDays until it should come back; below 0: overdue; null: never done
     * @param near pupils who are a round or a few from its gate
     * @param held pupils who have little left to gain there
     * @param aspects what it trains, small words
     */
    public record Reason(
            String blockId,
            String ladderId,
            String rungId,
            Integer daysSince,
            Double dueInDays,
            int near,
            int held,
            long atOnce,
            List<String> aspects) {}

    /**
     * A ladder that is not in it.
     *
     * @param finding what stops it here, or null: the others are worth more together
     */
    public record PassedOver(
            String ladderId,
            String rungId,
            double merit,
            Fits.Verdict verdict,
            Finding finding,
            Double dueInDays,
            int near) {}

    /** {@link Proposer#propose}, or {@link Proposer#first} for an answer soon. */
    public interface Answer {
        Propose to(ProposeAsk ask);
    }

    /**
     * @param lesson of which minutes, rules and audience are kept
     * @param practised by day; two entries of one ladder on one day are bad input
     */
    public static NextLesson propose(
            Lesson lesson, Setting setting, List<Practised> practised, Wishes wishes, Answer proposer) {
        return new Choices(lesson, setting, practised, wishes.wish(), wishes.without()).propose(wishes, proposer);
    }

    /** What can be done in a place by a class, looked at once for several lessons. */
    public static final class Choices {

        private final Lesson lesson;
        private final Setting setting;
        private final List<Task> tasks;

        /** @param never ladders that are in none of those lessons */
        public Choices(Lesson lesson, Setting setting, List<Practised> practised, Wish wish, Collection<String> never) {
            this.lesson = lesson;
            this.setting = setting;
            this.tasks = new TaskFinder(lesson, setting, practised, wish, Set.copyOf(never)).tasks();
        }

        /** @param wishes asking for what is wanted more than usual again makes no difference here */
        public NextLesson propose(Wishes wishes, Answer proposer) {
            List<Task> wanted = tasks.stream()
                    .filter(t -> !wishes.without().contains(t.ladder().id()))
                    .toList();
            return proposed(lesson, setting, wanted, wishes, proposer);
        }
    }

    private static NextLesson proposed(
            Lesson lesson, Setting setting, List<Task> tasks, Wishes wishes, Answer proposer) {
        List<Task> fitting = tasks.stream().filter(Task::goes).toList();
        if (fitting.isEmpty()) return new NextLesson(null, List.of(), passedOver(tasks, Set.of()), null);
        ProposeAsk ask = ask(lesson, wishes, fitting);
        Propose found = proposer.to(ask);
        if (!found.feasible()) return new NextLesson(null, List.of(), passedOver(tasks, Set.of()), null);

        List<Block> blocks = new ArrayList<>();
        List<Reason> reasons = new ArrayList<>();
        for (Propose.Chosen chosen : found.blocks()) {
            Task task = fitting.stream()
                    .filter(t -> t.ladder().id().equals(chosen.id()))
                    .findFirst()
                    .orElseThrow();
            Block block = task.block("n" + (blocks.size() + 1), chosen.option());
            blocks.add(block);
            reasons.add(task.reason(block.id()));
        }
        Set<String> in = found.blocks().stream().map(Propose.Chosen::id).collect(Collectors.toSet());
        double value = Math.max(1, Math.abs(found.value()));
        return new NextLesson(
                mended(lesson.withBlocks(blocks), setting),
                reasons,
                passedOver(tasks, in),
                found.bound() == null ? null : (Double) ((found.bound() - found.value()) / value));
    }

    /** What stops it and can be mended by one press is mended, water is put in where it lacks and goes, and nobody stands idle for long. */
    private static Lesson mended(Lesson lesson, Setting setting) {
        Lesson now = lesson;
        for (int i = 0; i < MOST_MENDS; i++) {
            Finding stop = first(now, setting, f -> f.level() == Finding.Level.STOP);
            if (stop == null) break;
            now = Findings.mended(now, setting, stop.id());
        }
        Finding dry = first(now, setting, f -> f.code() == Finding.Code.WATER_MISSING);
        if (dry != null) {
            Lesson watered = Findings.mended(now, setting, dry.id());
            if (LessonPlan.of(watered, setting).totalSec() <= SEC_PER_MIN * watered.minutes()) now = watered;
        }
        return Findings.occupied(now, setting);
    }

    private static Finding first(Lesson lesson, Setting setting, Predicate<Finding> which) {
        return Findings.of(lesson, setting).findings().stream()
                .filter(f -> f.mend() != null && which.test(f))
                .findFirst()
                .orElse(null);
    }

    private static List<PassedOver> passedOver(List<Task> tasks, Set<String> in) {
        return tasks.stream()
                .filter(t -> !in.contains(t.ladder().id()))
                .sorted(Comparator.comparing(Task::merit).reversed())
                .limit(MOST_PASSED_OVER)
                .map(Task::passedOver)
                .toList();
    }

    private static ProposeAsk ask(Lesson lesson, Wishes wishes, List<Task> tasks) {
        Wish wish = wishes.wish();
        int minutes = lesson.minutes();
        boolean home = lesson.audience() == Lesson.Audience.EACH_AT_HOME;
        return new ProposeAsk(
                60 * minutes,
                lesson.transitionSec(),
                home ? minutes < 8 ? 2 : 3 : minutes < 20 ? 2 : minutes < 30 ? 3 : 4,
                home
                        ? minutes < 8 ? 2 : minutes < 15 ? 4 : 6
                        : minutes < 20 ? 3 : minutes < 30 ? 4 : minutes < 45 ? 7 : 9,
                home ? 120.0 : 240.0,
                1.0,
                true,
                !home,
                new ProposeAsk.Weights(
                        10.0,
                        wish == Wish.MORE_NEW ? 16.0 : home ? 30.0 : 10.0,
                        3.0,
                        wish == Wish.MORE_MOVING ? 5.0 : 2.0,
                        1.0,
                        wish == Wish.CALMER ? 5.0 : 2.0,
                        1.0),
                tasks.stream()
                        .map(t -> t.candidate(wishes.keep().contains(t.ladder().id())))
                        .toList());
    }
}
