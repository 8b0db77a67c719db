package org.unrulymarble.core.plan;

import java.util.List;
import java.util.function.Consumer;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.ladder.Manner;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.place.Footprint;

/**
 * One block of a lesson as the teacher sets it. How many turns it takes is never typed: the plan works it out. Whatever is left out has the
 * house's default.
 *
 * @param id lasting within the lesson
 * @param kind a task on a ladder, or time for something else; only a task has a ladder and a rung
 * @param rungBy all on one rung, each on their own (from their standing), or each as they choose, beginning with their own
 * @param optionalLast whether the last set is for those who want it
 * @param sides which sides are asked on a two-sided rung; on any other rung it changes nothing
 * @param sideOrder how the two sides come; in all but the first both are done in one round of double length
 * @param cue told before the first try, or after a first try and then the same round again
 * @param rest fixed, as needed ({@code restSec} is then an estimate), or none
 * @param waitIsRest rest school: whether waiting for the others' turns counts as rest
 * @param roleTurns whether turns end when everyone has worked, or when everyone has had each role
 * @param counted whether results are collected; a warm-up is usually not counted
 * @param part where in the lesson it belongs, or null for where its ladder does
 * @param reverses id of the block whose steps this one does backwards, or null
 * @param attitude push or control, or null for the rung's own
 * @param beat whether the rung's pace is beaten
 * @param meanwhile the quiet task of the waves that wait for a spot, or null
 * @param kit for each role that is not played with the best kind: the kinds, in the order in which they are handed out
 * @param gate another gate than the rung's, or null
 * @param mark the band to chalk on the wall, or null for none
 * @param spot another spot than the ladder's, or null
 * @param mostSpots no more spots than that, 1 to 500, or null
 * @param sayChange whether the change from the cue before is said aloud
 * @param variants what named pupils do differently
 * @param onlyPupilIds those whom a task is for, the others do the quiet task meanwhile; empty for everyone, and where none of them is in the class
 * @param note the teacher's own words, or null
 */
public record Block(
        String id,
        Kind kind,
        String ladderId,
        String rungId,
        RungBy rungBy,
        List<Modifier> modifiers,
        BlockDose dose,
        Integer sets,
        Boolean optionalLast,
        SideChoice sides,
        SideOrder sideOrder,
        Integer setupSec,
        Integer explainSec,
        Cue cue,
        Integer countInSec,
        Integer sideSwapSec,
        Integer turnSwapSec,
        Rest rest,
        Integer restSec,
        Boolean waitIsRest,
        RoleTurns roleTurns,
        Boolean counted,
        Part part,
        String reverses,
        Manner.Attitude attitude,
        Boolean beat,
        Task meanwhile,
        List<KitChoice> kit,
        Gate gate,
        Band mark,
        Footprint spot,
        Integer mostSpots,
        Boolean sayChange,
        List<Variant> variants,
        List<String> onlyPupilIds,
        String note) {

    /** What a block is. */
    public enum Kind {
        TASK,
        /** Everyone combines what was learnt as they like: no score, one word afterwards. */
        FREE,
        TALK,
        WATER
    }

    /** Who is on which rung. */
    public enum RungBy {
        ONE,
        OWN,
        CHOOSE
    }

    /** Which sides a two-sided rung is done on in this block. */
    public enum SideChoice {
        EACH,
        FIRST_ONLY,
        SECOND_ONLY
    }

    /** In what order the two sides come. */
    public enum SideOrder {
        ONE_THEN_OTHER,
        ALTERNATING,
        OUT_AND_BACK,
        CALLED
    }

    /** When the cue is given. */
    public enum Cue {
        FIRST,
        AFTER_A_TRY
    }

    /** How rest is taken. */
    public enum Rest {
        FIXED,
        AS_NEEDED,
        NONE
    }

    /** How long the roles go round. */
    public enum RoleTurns {
        EVERYONE_WORKS,
        EVERY_ROLE
    }

    /** A rung of a ladder. */
    public record Task(String ladderId, String rungId) {
        public Task {
            new Checks()
                    .text("ladderId", ladderId, 60)
                    .text("rungId", rungId, 60)
                    .done();
        }
    }

    /** What plays a role of the task's kit, in the order in which it is handed out. */
    public record KitChoice(String role, List<String> kinds) {
        public KitChoice {
            new Checks().text("role", role, 30).entries("kinds", kinds, 1, 8).done();
            kinds = List.copyOf(kinds);
        }
    }

    /** Metres up the wall. */
    public record Band(Double lowM, Double highM) {
        public Band {
            new Checks()
                    .length("lowM", lowM)
                    .length("highM", highM)
                    .that(lowM == null || highM == null || lowM <= highM, "highM", Fault.Rule.AT_LEAST_FIELD, "lowM")
                    .done();
        }
    }

    /** A named pupil's variant of the task, or another task where the ladder has none. */
    public record Variant(String pupilId, Adaptation adaptation, Task instead) {
        public Variant {
            new Checks()
                    .text("pupilId", pupilId, 60)
                    .required("adaptation", adaptation)
                    .done();
        }
    }

    public Block {
        kind = kind == null ? Kind.TASK : kind;
        rungBy = rungBy == null ? RungBy.ONE : rungBy;
        modifiers = modifiers == null ? List.of() : List.copyOf(modifiers);
        optionalLast = optionalLast != null && optionalLast;
        sideOrder = sideOrder == null ? SideOrder.ONE_THEN_OTHER : sideOrder;
        cue = cue == null ? Cue.FIRST : cue;
        rest = rest == null ? Rest.FIXED : rest;
        roleTurns = roleTurns == null ? RoleTurns.EVERYONE_WORKS : roleTurns;
        beat = beat != null && beat;
        kit = kit == null ? List.of() : List.copyOf(kit);
        sayChange = sayChange != null && sayChange;
        variants = variants == null ? List.of() : List.copyOf(variants);
        onlyPupilIds = onlyPupilIds == null || kind != Kind.TASK ? List.of() : List.copyOf(onlyPupilIds);
        note = note == null || note.isBlank() ? null : note.strip();
        Checks checks = new Checks().text("id", id, 60);
        if (kind == Kind.TASK) checks.text("ladderId", ladderId, 60).text("rungId", rungId, 60);
        else {
            ladderId = null;
            rungId = null;
            reverses = null;
            meanwhile = null;
        }
        checks.required("dose", dose)
                .range("sets", sets, 1, 60)
                .required("sides", sides)
                .seconds("setupSec", setupSec)
                .seconds("explainSec", explainSec)
                .seconds("countInSec", countInSec)
                .seconds("sideSwapSec", sideSwapSec)
                .seconds("turnSwapSec", turnSwapSec)
                .seconds("restSec", restSec)
                .required("waitIsRest", waitIsRest)
                .required("counted", counted)
                .entries("kit", kit, 0, 10)
                .entries("variants", variants, 0, 200)
                .entries("onlyPupilIds", onlyPupilIds, 0, 500);
        if (mostSpots != null) checks.range("mostSpots", mostSpots, 1, 500);
        if (note != null) checks.text("note", note, 200);
        if (kind != Kind.TASK && dose != null)
            checks.that(dose.type() == BlockDose.Type.CLOCK, "dose.type", Fault.Rule.ONE_OF, "CLOCK");
        if (sets != null && optionalLast) checks.that(sets >= 2, "sets", Fault.Rule.RANGE, 2, 60);
        if (sets != null && cue == Cue.AFTER_A_TRY) checks.that(sets >= 2, "sets", Fault.Rule.RANGE, 2, 60);
        checks.done();
    }

    /** The kinds that play a role, in order; the best kind where nothing else was chosen. */
    public List<String> kindsFor(String role, String best) {
        return kit.stream()
                .filter(c -> c.role().equals(role))
                .findFirst()
                .map(KitChoice::kinds)
                .orElse(List.of(best));
    }

    /** Those of the class whom it is for, in the class's order. */
    public List<PlanPupil> members(List<PlanPupil> all) {
        List<PlanPupil> chosen =
                all.stream().filter(p -> onlyPupilIds.contains(p.id())).toList();
        return chosen.isEmpty() ? all : chosen;
    }

    /** A copy with some of it changed. */
    public Block with(Consumer<BlockDraft> change) {
        BlockDraft draft = new BlockDraft(this);
        change.accept(draft);
        return draft.block();
    }
}
