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
import org.unrulymarble.core.plan.Setting;

/**
 * "Before you run it": everything that stands against a lesson, worked out anew after every change.
 *
 * @param plan the lesson worked out, on which they rest
 * @param findings what stops it first, then in the order of the lesson; silenced ones keep their place and carry the reason
 */
public record Findings(LessonPlan plan, List<Finding> findings) {

    public static Findings of(Lesson lesson, Setting setting) {
        Map<String, String> reasons = lesson.silenced().stream()
                .collect(Collectors.toMap(Lesson.Silenced::finding, Lesson.Silenced::reason, (a, b) -> b));
        View view = View.of(lesson, setting);
        LessonPlan plan = LessonPlan.of(lesson, setting, view.placed());
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

    private static List<Found> found(View view, LessonPlan plan) {
        List<Found> out = new ArrayList<>(TaskChecks.all(view));
        TimeChecks.look(view, plan, out);
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
