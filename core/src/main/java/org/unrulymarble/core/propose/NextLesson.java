package org.unrulymarble.core.propose;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.ladder.Family;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonTimes;
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
 * @param minutes how long each pupil moves in it; null without a lesson
 * @param oneAfterTheOther the same of the best lesson without tasks side by side, where this one has some; else null
 */
public record NextLesson(
        @Nullable Lesson lesson,
        List<Reason> reasons,
        List<PassedOver> passedOver,
        @Nullable Double gapShare,
        @Nullable Minutes minutes,
        @Nullable Minutes oneAfterTheOther) {

    private static final String EVERY_SPORT = "all";
    private static final long SEC_PER_MIN = 60;
    private static final int MOST_PASSED_OVER = 5;
    private static final int MOST_LAID = 6;
    private static final double LEAST_MOVING = 0.05;

    /** Groups and stations are worth their trouble where each pupil moves so much more of the time. */
    private static final double LEAST_GAIN = 0.05;

    /** Of one pupil, in seconds; the share is of the time until the bell, 0 to 1. */
    public record Minutes(
            long totalSec, long movingSecPerPupil, double movingShare, long quietSecPerPupil, long idleSecPerPupil) {
        private static Minutes of(Lesson lesson, Setting setting) {
            LessonTimes plan = LessonTimes.of(lesson, setting);
            return new Minutes(
                    plan.totalSec(),
                    plan.movingSecPerPupil(),
                    (double) plan.movingSecPerPupil() / plan.bellSec(),
                    plan.quietSecPerPupil(),
                    plan.idleSecPerPupil());
        }
    }

    private static NextLesson none(List<Task> tasks) {
        return new NextLesson(null, List.of(), passedOver(tasks, Set.of()), null, null, null);
    }

    /** What is wanted more than usual. */
    public enum Wish {
        AS_USUAL,
        MORE_MOVING,
        MORE_NEW,
        CALMER,
        /** As many different families as go in. */
        MORE_KINDS
    }

    /**
     * @param keep ladders that have to be in it
     * @param without ladders that must not be in it
     * @param sport of which the main tasks are, or null for any
     * @param oneSkill whether the main tasks are all of one family: the one that makes most of the time; null for as the lesson's shape has it
     */
    public record Wishes(
            @Nullable Wish wish,
            @Nullable List<String> keep,
            @Nullable List<String> without,
            @Nullable String sport,
            @Nullable Boolean oneSkill) {

        public Wishes(Wish wish, List<String> keep, List<String> without) {
            this(wish, keep, without, null, null);
        }

        public Wishes {
            wish = wish == null ? Wish.AS_USUAL : wish;
            keep = keep == null ? List.of() : keep;
            without = without == null ? List.of() : without;
            if (sport != null) new Checks().text("sport", sport, 40).done();
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
            @Nullable Integer daysSince,
            @Nullable Double dueInDays,
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
            @Nullable Finding finding,
            @Nullable Double dueInDays,
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

    /** The same, and with tasks side by side where that is worth more and moves everybody more: it takes its time. */
    public static NextLesson proposeBeside(
            Lesson lesson, Setting setting, List<Practised> practised, Wishes wishes, Answer proposer) {
        Choices choices = new Choices(lesson, setting, practised, wishes.wish(), wishes.without());
        return proposed(lesson, setting, choices.wanted(wishes), wishes, proposer, true);
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
            return proposed(lesson, setting, wanted(wishes), wishes, proposer, false);
        }

        private List<Task> wanted(Wishes wishes) {
            return tasks.stream()
                    .filter(t -> !wishes.without().contains(t.ladder().id()))
                    .filter(t -> wishes.keep().contains(t.ladder().id()) || suits(t.ladder(), wishes.sport()))
                    .toList();
        }
    }

    /** A question and what came of it. */
    private record Answered(List<Task> fitting, ProposeAsk ask, Propose found) {}

    /** Of one family, each is tried for itself; else all of them together. */
    private static Optional<Answered> answered(Lesson lesson, Wishes wishes, List<Task> goes, Answer proposer) {
        boolean oneSkill = wishes.oneSkill() == null ? lesson.shape() == Lesson.Shape.ONE_SKILL : wishes.oneSkill();
        if (!oneSkill) return answer(lesson, wishes, goes, proposer);
        Set<Family> kept = goes.stream()
                .filter(t -> t.ladder().part() == Part.MAIN
                        && wishes.keep().contains(t.ladder().id()))
                .map(t -> t.ladder().family())
                .collect(Collectors.toSet());
        return Arrays.stream(Family.values())
                // What is kept says which; where it is of several, these are the fewest there can be.
                .filter(f -> kept.isEmpty() || kept.contains(f))
                .map(f -> goes.stream()
                        .filter(t -> t.ladder().part() != Part.MAIN
                                || t.ladder().family() == f
                                || wishes.keep().contains(t.ladder().id()))
                        .toList())
                .flatMap(of -> answer(lesson, wishes, of, proposer).stream())
                .max(Comparator.comparingDouble(a -> a.found().value()));
    }

    private static Optional<Answered> answer(Lesson lesson, Wishes wishes, List<Task> goes, Answer proposer) {
        if (goes.isEmpty()) return Optional.empty();
        ProposeAsk ask = ask(lesson, wishes, goes);
        Propose found = proposer.to(ask);
        return found.feasible() ? Optional.of(new Answered(goes, ask, found)) : Optional.empty();
    }

    private static boolean suits(Ladder ladder, String sport) {
        return sport == null
                || ladder.part() != Part.MAIN
                || ladder.sports().contains(sport)
                || ladder.sports().contains(EVERY_SPORT);
    }

    private static List<Task> ofTheSport(List<Task> tasks, Wishes wishes) {
        return tasks.stream()
                .filter(t -> wishes.sport() == null
                        || t.ladder().part() != Part.MAIN
                        || t.ladder().sports().contains(wishes.sport())
                        || wishes.keep().contains(t.ladder().id()))
                .toList();
    }

    /** Where the ball comes first, a warm-up without one would stand in its place. */
    private static boolean opens(Task task, Lesson.Shape shape) {
        return shape != Lesson.Shape.BALL_FIRST
                || task.ladder().part() != Part.WARM_UP
                || task.ladder().ball().isPresent();
    }

    private static NextLesson proposed(
            Lesson lesson, Setting setting, List<Task> tasks, Wishes wishes, Answer proposer, boolean beside) {
        List<Task> goes = tasks.stream()
                .filter(Task::goes)
                .filter(t -> opens(t, lesson.shape()))
                .toList();
        // What goes with every sport fills up only where the sport's own does not make a lesson.
        Answered answered = answered(lesson, wishes, ofTheSport(goes, wishes), proposer)
                .or(() -> wishes.sport() == null ? Optional.empty() : answered(lesson, wishes, goes, proposer))
                .orElse(null);
        if (answered == null) return none(tasks);
        List<Task> fitting = answered.fitting();
        ProposeAsk ask = answered.ask();
        Propose found = answered.found();

        Chosen alone = chosen(lesson, setting, fitting, picks(found, fitting), null);
        double gain = wishes.wish() == Wish.MORE_MOVING ? 1 : LEAST_GAIN * SEC_PER_MIN * lesson.minutes();
        Chosen best = beside
                ? new Beside(ask, lesson, setting, fitting, wishes.wish())
                        .better(picks(found, fitting), found.value()).stream()
                                .limit(MOST_LAID)
                                .map(laid -> chosen(lesson, setting, fitting, laid.singles(), laid))
                                .filter(c -> sound(c, setting) && moves(c, setting) >= moves(alone, setting) + gain)
                                .findFirst()
                                .orElse(alone)
                : alone;
        // A room where nearly all only wait is no room for this class.
        boolean home = lesson.audience() == Lesson.Audience.EACH_AT_HOME;
        if (!home && Minutes.of(best.lesson(), setting).movingShare() < LEAST_MOVING) return none(tasks);
        Set<String> in = best.lesson().blocks().stream()
                .map(Block::ladderId)
                .filter(Objects::nonNull)
                .collect(Collectors.toSet());
        double value = Math.max(1, Math.abs(found.value()));
        return new NextLesson(
                best.lesson(),
                best.reasons(),
                passedOver(tasks, in),
                // The bound is of lessons without stations.
                found.bound() == null || best != alone ? null : (Double) ((found.bound() - found.value()) / value),
                Minutes.of(best.lesson(), setting),
                best == alone ? null : Minutes.of(alone.lesson(), setting));
    }

    /** A lesson that was put together, mended. */
    private record Chosen(Lesson lesson, List<Reason> reasons) {}

    private static List<ProposeAsk.Pick> picks(Propose found, List<Task> fitting) {
        return found.blocks().stream()
                .map(c -> new ProposeAsk.Pick(
                        fitting.indexOf(fitting.stream()
                                .filter(t -> t.ladder().id().equals(c.id()))
                                .findFirst()
                                .orElseThrow()),
                        c.option()))
                .toList();
    }

    /** @param laid stations besides, which come before what closes; or null */
    private static Chosen chosen(
            Lesson lesson, Setting setting, List<Task> fitting, List<ProposeAsk.Pick> picks, Beside.Laid laid) {
        List<Block> blocks = new ArrayList<>();
        List<Reason> reasons = new ArrayList<>();
        for (ProposeAsk.Pick pick : picks) {
            Task task = fitting.get(pick.candidate());
            if (laid != null && task.ladder().part() == Part.COOL_DOWN) stations(laid, blocks, reasons);
            Block block = task.block("n" + (blocks.size() + 1), pick.option());
            blocks.add(block);
            reasons.add(task.reason(block.id()));
        }
        if (laid == null) return new Chosen(Mending.of(lesson.withBlocks(blocks), setting), reasons);
        if (reasons.size() == picks.size()) stations(laid, blocks, reasons);
        Lesson together = lesson.withBlocks(blocks).withCircuits(List.of(laid.circuit()));
        return new Chosen(Mending.of(together, setting), reasons);
    }

    private static void stations(Beside.Laid laid, List<Block> blocks, List<Reason> reasons) {
        for (int i = 0; i < laid.tasks().size(); i++) {
            Block block = laid.stations().get(i);
            blocks.add(block);
            reasons.add(laid.tasks().get(i).reason(block.id()));
        }
    }

    private static boolean sound(Chosen chosen, Setting setting) {
        Findings found = Findings.of(chosen.lesson(), setting);
        return found.stops().isEmpty()
                && !chosen.lesson().circuits().isEmpty()
                && found.plan().pastBellSec() <= 0;
    }

    private static long moves(Chosen chosen, Setting setting) {
        return LessonTimes.of(chosen.lesson(), setting).movingSecPerPupil();
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
                lesson.shape() != Lesson.Shape.BALL_FIRST,
                !home,
                new ProposeAsk.Weights(
                        10.0,
                        wish == Wish.MORE_NEW ? 16.0 : home ? 30.0 : 10.0,
                        wish == Wish.MORE_KINDS ? 25.0 : 3.0,
                        wish == Wish.MORE_MOVING ? 5.0 : 2.0,
                        1.0,
                        wish == Wish.CALMER ? 5.0 : 2.0,
                        // Where idle time is dear, a lesson that ends early must not be the way to save it.
                        wish == Wish.MORE_MOVING ? 5.0 : 1.0),
                tasks.stream()
                        .map(t -> t.candidate(wishes.keep().contains(t.ladder().id())))
                        .toList());
    }
}
