package org.unrulymarble.core.plan.findings;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.place.Spots;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockDraft;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Setting;

/**
 * Whether a ladder fits here and now: each rung looked at as a task of its own with its planning dose.
 *
 * @param rungs easiest first
 * @param lessons of one block for each rung, with the changes made
 */
public record Fits(String ladderId, List<RungFit> rungs, List<Lesson> lessons) {

    private static final int MINUTES = 60;
    private static final int MOST_CHANGES = 6;

    /** How well, best first. */
    public enum Verdict {
        /** As it is. */
        FITS,
        /** With another ball, fewer or tighter spots; the task stays. */
        WITH_CHANGE,
        /** The room is right, but so few can work at once that the waves are more than wanted. */
        FEW_AT_A_TIME,
        NOT
    }

    /**
     * One rung.
     *
     * @param spots how many work at once, in crews, once the changes are made
     * @param waves null where nothing fits
     * @param findings what stands against it as it is, or is worth knowing; what stops it first
     * @param changes what would be changed, one after the other
     */
    public record RungFit(
            String rungId,
            Verdict verdict,
            long spots,
            @Nullable Integer waves,
            List<Finding> findings,
            List<Finding.Mend> changes) {}

    /** What is asked besides the setting. @param startMin minute of the day, or null: a yard may be wet in the mornings only */
    public record When(Lesson.Audience audience, Integer startMin) {}

    public static Fits of(Ladder ladder, Setting setting, When when) {
        List<Tried> tried =
                ladder.rungs().stream().map(r -> rung(ladder, r, setting, when)).toList();
        return new Fits(
                ladder.id(),
                tried.stream().map(Tried::fit).toList(),
                tried.stream().map(Tried::lesson).toList());
    }

    /** A rung here, with the block as it would be done. */
    public record Here(RungFit fit, Block block) {}

    /** One rung alone. */
    public static Here of(Ladder ladder, Rung rung, Setting setting, When when) {
        Tried tried = rung(ladder, rung, setting, when);
        return new Here(tried.fit(), tried.lesson().blocks().get(0));
    }

    /** Whether nothing at all stands against a rung for a class. */
    static boolean soundHere(Ladder ladder, Rung rung, Setting setting) {
        Block block = BlockDraft.on("here", ladder, rung).block();
        return TaskChecks.all(View.trial(Lesson.of(MINUTES, Lesson.Audience.CLASS, List.of(block)), setting))
                .isEmpty();
    }

    /** Whether it suits the ages of at least half of those whose age is known. */
    public static boolean suitsMost(Ladder ladder, Setting setting) {
        return AgeChecks.suitsMost(ladder, setting);
    }

    private record Tried(RungFit fit, Lesson lesson) {}

    private static Tried rung(Ladder ladder, Rung rung, Setting setting, When when) {
        Block block = BlockDraft.on("here", ladder, rung).block();
        Lesson lesson = Lesson.of(MINUTES, when.audience(), List.of(block)).withStart(when.startMin());
        View view = View.browsing(lesson, setting);
        List<Found> found = TaskChecks.all(view);
        List<Finding> asItIs = found.stream()
                .map(Found::finding)
                .sorted(Comparator.comparing(Finding::level))
                .toList();
        List<Finding.Mend> changes = new ArrayList<>();
        for (int i = 0; i < MOST_CHANGES; i++) {
            Optional<Found> next = found.stream()
                    .filter(f -> stands(f.finding()) && f.change() != null)
                    .findFirst();
            if (next.isEmpty()) break;
            changes.add(next.get().finding().mend());
            lesson = next.get().change().on(lesson, setting);
            view = View.browsing(lesson, setting);
            found = TaskChecks.all(view);
        }
        Spots spots = view.placed().get(0).layout().spots();
        RungFit fit = new RungFit(rung.id(), verdict(found, changes), spots.spots(), spots.waves(), asItIs, changes);
        return new Tried(fit, lesson);
    }

    /** Whether it keeps a class from doing it. */
    private static boolean stands(Finding f) {
        return f.level() == Finding.Level.STOP || f.code() == Finding.Code.WAVES_MANY;
    }

    private static Verdict verdict(List<Found> left, List<Finding.Mend> changes) {
        List<Finding> standing =
                left.stream().map(Found::finding).filter(Fits::stands).toList();
        if (standing.isEmpty()) return changes.isEmpty() ? Verdict.FITS : Verdict.WITH_CHANGE;
        return standing.stream().allMatch(f -> f.code() == Finding.Code.WAVES_MANY)
                ? Verdict.FEW_AT_A_TIME
                : Verdict.NOT;
    }

    /** The easiest of the rungs that fit best. */
    public RungFit best() {
        return rungs.stream().min(Comparator.comparing(RungFit::verdict)).orElseThrow();
    }

    /** How many rungs can be done here by everybody, as they are or with a change. */
    public int fitting() {
        return (int) rungs.stream()
                .filter(r -> r.verdict().compareTo(Verdict.WITH_CHANGE) <= 0)
                .count();
    }
}
