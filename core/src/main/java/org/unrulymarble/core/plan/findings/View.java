package org.unrulymarble.core.plan.findings;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.unrulymarble.core.defaults.Planning;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.ladder.Delivery;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.Setting;

/**
 * A lesson as the checks look at it.
 *
 * @param looksFor what mends are looked for
 * @param known what several findings of one lesson ask again
 */
record View(Lesson lesson, Setting setting, List<Placed> placed, LooksFor looksFor, Known known) {

    /** What mends are looked for. */
    enum LooksFor {
        ANY_MEND,
        /** Only what keeps the task and its rung: for somebody who browses tasks. */
        MENDS_OF_THE_TASK,
        /** None: it is only asked if something stands against it. */
        NO_MEND
    }

    /** Worked out once for each block of a lesson. */
    record Known(Map<String, List<Kin>> kin, Map<List<String>, Boolean> sound) {
        Known() {
            this(new HashMap<>(), new HashMap<>());
        }
    }

    static View of(Lesson lesson, Setting setting) {
        return of(lesson, setting, Placed.all(lesson, setting));
    }

    static View of(Lesson lesson, Setting setting, List<Placed> placed) {
        return new View(lesson, setting, placed, LooksFor.ANY_MEND, new Known());
    }

    static View trial(Lesson lesson, Setting setting) {
        return new View(lesson, setting, Placed.all(lesson, setting), LooksFor.NO_MEND, new Known());
    }

    static View browsing(Lesson lesson, Setting setting) {
        return new View(lesson, setting, Placed.all(lesson, setting), LooksFor.MENDS_OF_THE_TASK, new Known());
    }

    boolean trial() {
        return looksFor == LooksFor.NO_MEND;
    }

    /** Whether another rung or another task may be offered. */
    boolean mayLeaveTheTask() {
        return looksFor == LooksFor.ANY_MEND;
    }

    List<Kin> kin(Placed p) {
        return known.kin.computeIfAbsent(p.block().id(), id -> Kin.nearestFirst(this, p));
    }

    boolean soundOnce(Placed p, Kin kin, BooleanSupplier sound) {
        List<String> key = List.of(p.block().id(), kin.ladder().id());
        Boolean before = known.sound.get(key);
        if (before != null) return before;
        boolean now = sound.getAsBoolean();
        known.sound.put(key, now);
        return now;
    }

    Planning.Thresholds thresholds() {
        return setting.planning().thresholds();
    }

    List<Placed> tasks() {
        return placed.stream().filter(Placed::isTask).toList();
    }

    boolean atHome() {
        return lesson.audience() == Lesson.Audience.EACH_AT_HOME;
    }

    /** Rungs that somebody is on in this block. */
    List<Rung> rungsInUse(Placed p) {
        List<Rung> rungs = new ArrayList<>(p.setRungs());
        if (p.block().rungBy() != Block.RungBy.ONE)
            for (PlanPupil pupil : p.members(setting)) {
                Rung own = p.rungOf(pupil.id(), setting);
                if (!rungs.contains(own)) rungs.add(own);
            }
        return rungs;
    }

    /** The kinds that a block is played with for one role, as this school knows them. */
    List<KitKind> kinds(Placed p, KitRole role) {
        return p.block().kindsFor(role.role(), role.kind()).stream()
                .map(id -> setting.kit().kind(id))
                .flatMap(Optional::stream)
                .toList();
    }

    /** The kinds of ball in play, if any. */
    List<KitKind> balls(Placed p) {
        return p.kit().stream()
                .filter(KitRole::countsAsBall)
                .flatMap(r -> kinds(p, r).stream())
                .toList();
    }

    /** What comes at somebody on a rung, from where this block lets them stand; none where nothing comes. */
    Optional<Delivery> delivery(Placed p, Rung rung) {
        Delivery usual = rung.delivery();
        Double own = p.block().standM();
        if (usual == null || own == null) return Optional.ofNullable(usual);
        double fromM = rung.standM() == null ? own : Math.max(0, usual.fromM() + own - rung.standM());
        return Optional.of(new Delivery(usual.speedMs(), fromM));
    }

    /** The youngest of whom the age is known, else the age that is reckoned with. */
    int youngest() {
        return setting.pupils().stream()
                .map(PlanPupil::age)
                .filter(Objects::nonNull)
                .mapToInt(a -> a)
                .min()
                .orElse(thresholds().ageYears());
    }
}
