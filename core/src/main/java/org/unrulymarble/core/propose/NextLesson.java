package org.unrulymarble.core.propose;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonTimes;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.findings.Finding;
import org.unrulymarble.core.plan.findings.Fits;

/**
 * A lesson proposed for a class in a place, with the reasons.
 *
 * @param lesson null where nothing fits
 * @param reasons one for each block, in their order
 * @param passedOver what was worth most of what is not in it
 * @param gapShare how much better another could be at most, as a share of what this one gives; null where not proven
 * @param minutes how long each pupil moves in it; null without a lesson
 * @param oneAfterTheOther the same of the best lesson without tasks side by side, where this one has some; else null
 * @param movingLimit no lesson for this class moves each pupil for more of the time until the bell here, 0 to 1; null where that was not asked or is not known
 */
public record NextLesson(
        @Nullable Lesson lesson,
        List<Reason> reasons,
        List<PassedOver> passedOver,
        @Nullable Double gapShare,
        @Nullable Minutes minutes,
        @Nullable Minutes oneAfterTheOther,
        @Nullable Double movingLimit) {

    /** Of one pupil, in seconds; the share is of the time until the bell, 0 to 1. */
    public record Minutes(
            long totalSec, long movingSecPerPupil, double movingShare, long quietSecPerPupil, long idleSecPerPupil) {
        static Minutes of(Lesson lesson, Setting setting) {
            LessonTimes plan = LessonTimes.of(lesson, setting);
            return new Minutes(
                    plan.totalSec(),
                    plan.movingSecPerPupil(),
                    (double) plan.movingSecPerPupil() / plan.bellSec(),
                    plan.quietSecPerPupil(),
                    plan.idleSecPerPupil());
        }
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

        Wishes moving() {
            return new Wishes(Wish.MORE_MOVING, keep, without, sport, oneSkill);
        }

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

        /** As {@link Proposer.Prover#bound}; null where it is not asked for. */
        default @Nullable Double bound(ProposeAsk ask, List<Proposer.Row> rows) {
            return null;
        }

        /** As {@link Proposer.Prover#boundOfWhole}; null where it is not asked for. */
        default @Nullable Double boundOfWhole(ProposeAsk ask, List<Proposer.Row> rows, double mostSec) {
            return null;
        }
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
        return new LessonMaker(lesson, setting, proposer).of(choices.wanted(wishes), wishes, true);
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
            return new LessonMaker(lesson, setting, proposer).of(wanted(wishes), wishes, false);
        }

        private List<Task> wanted(Wishes wishes) {
            return tasks.stream()
                    .filter(t -> !wishes.without().contains(t.ladder().id()))
                    .filter(t ->
                            wishes.keep().contains(t.ladder().id()) || LessonMaker.suits(t.ladder(), wishes.sport()))
                    .toList();
        }
    }
}
