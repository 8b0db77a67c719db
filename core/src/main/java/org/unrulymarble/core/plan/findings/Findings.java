package org.unrulymarble.core.plan.findings;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.Setting;

/**
 * "Before you run it": everything that stands against a lesson, worked out anew after every change.
 *
 * @param plan the lesson worked out, on which they rest
 * @param findings what stops it first, then in the order of the lesson; silenced ones keep their place and carry the reason
 */
public record Findings(LessonPlan plan, List<Finding> findings) {

    public static Findings of(Lesson lesson, Setting setting) {
        return of(lesson, setting, Placed.all(lesson, setting));
    }

    /** @param placed the same lesson's blocks in the same setting, where somebody has placed them already */
    public static Findings of(Lesson lesson, Setting setting, List<Placed> placed) {
        Map<String, String> reasons = lesson.silenced().stream()
                .collect(Collectors.toMap(Lesson.Silenced::finding, Lesson.Silenced::reason, (a, b) -> b));
        View view = View.of(lesson, setting, placed);
        LessonPlan plan = LessonPlan.of(lesson, setting, placed);
        return new Findings(
                plan,
                found(view, plan).stream()
                        .map(Found::finding)
                        .map(f -> reasons.containsKey(f.id()) ? f.silencedBecause(reasons.get(f.id())) : f)
                        .toList());
    }

    /** What still stops the lesson and was not let stand. */
    public List<Finding> stops() {
        return findings.stream()
                .filter(f -> f.level() == Finding.Level.STOP && f.silenced() == null)
                .toList();
    }

    /**
     * The lesson after a finding's mend was pressed.
     *
     * @throws Refused naming {@code finding} when there is no such finding, or none with a mend, any more
     */
    public static Lesson mended(Lesson lesson, Setting setting, String findingId) {
        View view = View.of(lesson, setting);
        return found(view, LessonPlan.of(lesson, setting, view.placed())).stream()
                .filter(f -> f.finding().id().equals(findingId) && f.change() != null)
                .findFirst()
                .map(f -> f.change().on(lesson, setting))
                .orElseThrow(() -> new Refused("finding", Fault.Rule.UNKNOWN, findingId));
    }

    /** The lesson with a quiet task wherever a part of the class would stand idle for long, as far as one goes there and it still ends in time. */
    public static Lesson occupied(Lesson lesson, Setting setting) {
        Lesson now = lesson;
        for (int i = 0; i < lesson.blocks().size(); i++) {
            View view = View.of(now, setting);
            String id = lesson.blocks().get(i).id();
            Optional<Lesson> next = view.placed().stream()
                    .filter(p -> p.block().id().equals(id))
                    .filter(p -> p.quiet() == null && p.waiting() > 0)
                    .filter(p -> p.waitingSec() > view.thresholds().idleSec())
                    .findFirst()
                    .flatMap(p -> TimeChecks.quietTask(view, p))
                    .map(change -> change.on(view.lesson(), setting));
            if (next.isPresent() && noWorse(now, next.get(), setting)) now = next.get();
        }
        return now;
    }

    /** The lesson with a set or some seconds more of what it has, or of rest at its stations, where it would end early; the same where that stops it. */
    public static Lesson filled(Lesson lesson, Setting setting) {
        Lesson filled = BellFit.filled(View.of(lesson, setting))
                .map(change -> change.on(lesson, setting))
                .filter(longer -> noWorse(lesson, longer, setting))
                .orElse(lesson);
        Lesson rested = BellFit.rested(filled, setting);
        return noWorse(filled, rested, setting) ? rested : filled;
    }

    private static boolean noWorse(Lesson before, Lesson after, Setting setting) {
        Findings then = of(after, setting);
        return then.plan().totalSec() <= 60L * after.minutes()
                && then.stops().size() <= of(before, setting).stops().size();
    }

    private static List<Found> found(View view, LessonPlan plan) {
        List<Found> out = new ArrayList<>(TaskChecks.all(view));
        TimeChecks.look(view, plan, out);
        MovingChecks.look(view, plan, out);
        ShapeChecks.look(view, out);
        PacingChecks.look(view, plan, out);
        PupilChecks.look(view, out);
        out.sort(Comparator.comparing((Found f) -> f.finding().level())
                .thenComparingInt(f -> place(view.lesson(), f.finding())));
        return out;
    }

    private static int place(Lesson lesson, Finding f) {
        return Optional.ofNullable(f.blockId()).map(lesson::indexOf).orElse(Integer.MAX_VALUE);
    }
}
