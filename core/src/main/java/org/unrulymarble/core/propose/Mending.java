package org.unrulymarble.core.propose;

import java.util.function.Predicate;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonTimes;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.findings.Finding;
import org.unrulymarble.core.plan.findings.Findings;

/** A lesson that was put together, as a teacher would mend it before using it. */
final class Mending {

    private static final int MOST_MENDS = 8;
    private static final int MOST_WATERS = 3;
    private static final long SEC_PER_MIN = 60;
    private static final long EARLY_SEC = 45;

    private Mending() {}

    /** What stops it and can be mended by one press is mended, water is put in where it lacks and goes, what is left to the bell is filled, and nobody stands idle for long. */
    static Lesson of(Lesson lesson, Setting setting) {
        Lesson now = lesson;
        for (int i = 0; i < MOST_MENDS; i++) {
            Finding stop = first(now, setting, f -> f.level() == Finding.Level.STOP);
            if (stop == null) break;
            now = Findings.mended(now, setting, stop.id());
        }
        now = shaped(now, setting);
        for (int i = 0; i < MOST_WATERS; i++) {
            Lesson next = watered(now, setting);
            if (next == now) break;
            now = next;
        }
        if (LessonTimes.of(now, setting).pastBellSec() < -EARLY_SEC) now = Findings.filled(now, setting);
        return Findings.occupied(now, setting);
    }

    /** In the order that its shape asks for. */
    private static Lesson shaped(Lesson lesson, Setting setting) {
        Lesson now = lesson;
        for (int i = 0; i < MOST_MENDS; i++) {
            Finding wrong = first(
                    now,
                    setting,
                    f -> f.code() == Finding.Code.BALL_NOT_FIRST || f.code() == Finding.Code.COOL_DOWN_NOT_REVERSED);
            if (wrong == null) break;
            now = Findings.mended(now, setting, wrong.id());
        }
        return now;
    }

    /** With water where it lacks most, for which everything may become a few seconds shorter; the same where it does not go. */
    private static Lesson watered(Lesson lesson, Setting setting) {
        Finding dry = first(lesson, setting, f -> f.code() == Finding.Code.WATER_MISSING);
        if (dry == null) return lesson;
        Lesson watered = Findings.mended(lesson, setting, dry.id());
        Finding late = first(watered, setting, f -> f.code() == Finding.Code.PAST_BELL);
        if (late != null && late.mend().kind() == Finding.Mend.Kind.FIT_TO_BELL)
            watered = Findings.mended(watered, setting, late.id());
        return LessonTimes.of(watered, setting).totalSec() <= SEC_PER_MIN * watered.minutes() ? watered : lesson;
    }

    private static Finding first(Lesson lesson, Setting setting, Predicate<Finding> which) {
        return Findings.of(lesson, setting).findings().stream()
                .filter(f -> f.mend() != null && which.test(f))
                .findFirst()
                .orElse(null);
    }
}
