package org.unrulymarble.core.plan;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.List;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.ladder.CalledMarkers;
import org.unrulymarble.core.ladder.HelpPart;
import org.unrulymarble.core.ladder.Manner;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.ladder.Routine;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.place.Footprint;

/**
 * One block of a lesson as the teacher sets it. How many turns it takes is never typed: the plan works it out. Whatever is left out has the
 * house's default. In JSON all of it lies side by side.
 *
 * @param id lasting within the lesson
 * @param kind a task on a ladder, or time for something else; only a task has a ladder and a rung
 * @param part where in the lesson it belongs, or null for where its ladder does
 */
public record Block(
        String id,
        Kind kind,
        @JsonUnwrapped Work work,
        @JsonUnwrapped Amount amount,
        @JsonUnwrapped Around around,
        @JsonUnwrapped Words words,
        @JsonUnwrapped Scoring scoring,
        @JsonUnwrapped Setup setup,
        @JsonUnwrapped People people,
        @Nullable Part part) {

    /**
     * What is done: the rung, and how.
     *
     * @param rungBy all on one rung, each on their own (from their standing), or each as they choose, beginning with their own
     * @param sides which sides are asked on a two-sided rung; on any other rung it changes nothing
     * @param sideOrder how the two sides come; in all but the first both are done in one round of double length
     * @param attitude push or control, or null for the rung's own
     * @param beat whether the rung's pace is beaten
     * @param reverses id of the block whose steps this one does backwards, or null
     * @param called the markers that are called, where the lesson lays its own; null for as the rung has it
     * @param routine the moves of a routine; null for what is none
     * @param laterRungIds the rungs of the second set and those after it, where they are others; a set beyond them is on the last of them
     */
    public record Work(
            @Nullable String ladderId,
            @Nullable String rungId,
            RungBy rungBy,
            List<Modifier> modifiers,
            SideChoice sides,
            SideOrder sideOrder,
            Manner.@Nullable Attitude attitude,
            Boolean beat,
            @Nullable String reverses,
            List<String> laterRungIds,
            @Nullable Routine routine,
            @Nullable CalledMarkers called) {

        public Work {
            laterRungIds = laterRungIds == null ? List.of() : List.copyOf(laterRungIds);
            rungBy = rungBy == null ? RungBy.ONE : rungBy;
            modifiers = modifiers == null ? List.of() : List.copyOf(modifiers);
            sideOrder = sideOrder == null ? SideOrder.ONE_THEN_OTHER : sideOrder;
            beat = beat != null && beat;
        }

        /** Nothing on any ladder. */
        private Work off() {
            return new Work(
                    null, null, rungBy, modifiers, sides, sideOrder, attitude, beat, null, List.of(), routine, null);
        }
    }

    /**
     * How much of it.
     *
     * @param optionalLast as older plans write one optional set; null ever after
     * @param optionalSets how many of the sets, the last ones, are for those who want them; all of them at most
     * @param rest fixed, as needed ({@code restSec} is then an estimate), or none
     * @param waitIsRest rest school: whether waiting for the others' turns counts as rest
     */
    public record Amount(
            BlockDose dose,
            Integer sets,

            @JsonProperty(access = JsonProperty.Access.WRITE_ONLY) @Nullable
            Boolean optionalLast,

            Integer optionalSets,
            Rest rest,
            Integer restSec,
            Boolean waitIsRest) {

        public Amount {
            if (optionalSets == null) optionalSets = optionalLast != null && optionalLast ? 1 : 0;
            optionalLast = null;
            rest = rest == null ? Rest.FIXED : rest;
        }

        Amount lasting(BlockDose other) {
            return new Amount(other, sets, null, optionalSets, rest, restSec, waitIsRest);
        }
    }

    /** The seconds around the work: before the first round, before each, between sides and between turns. */
    public record Around(
            Integer setupSec, Integer explainSec, Integer countInSec, Integer sideSwapSec, Integer turnSwapSec) {}

    /**
     * What is words.
     *
     * @param cue told before the first try, or after a first try and then the same round again
     * @param sayChange whether the change from the cue before is said aloud
     * @param note the teacher's own words, or null
     */
    public record Words(
            Cue cue, Boolean sayChange, @Nullable String note) {

        public Words {
            cue = cue == null ? Cue.FIRST : cue;
            sayChange = sayChange != null && sayChange;
            note = note == null || note.isBlank() ? null : note.strip();
        }
    }

    /**
     * What is kept of it.
     *
     * @param counted whether results are collected; a warm-up is usually not counted
     * @param gate another gate than the rung's, or null
     * @param measure another measure than the rung's, or the same with other figures (rings, spots, balls, how many against the watch); null for the rung's
     */
    public record Scoring(
            Boolean counted, @Nullable Gate gate, @Nullable Measure measure) {}

    /**
     * With what and where.
     *
     * @param kit for each role that is not played with the best kind: the kinds, in the order in which they are handed out
     * @param mark the band to chalk on the wall, or null for none
     * @param spot another spot than the ladder's, or null
     * @param mostSpots no more spots than that, 1 to 500, or null
     * @param standM another distance than the rung's, above 0 to 200 m, or null
     * @param target another target than the rung's, in words, or null
     */
    public record Setup(
            List<KitChoice> kit,
            @Nullable Band mark,
            @Nullable Footprint spot,
            @Nullable Integer mostSpots,
            @Nullable Double standM,
            @Nullable String target) {

        public Setup {
            kit = kit == null ? List.of() : List.copyOf(kit);
            target = target == null || target.isBlank() ? null : target.strip();
        }
    }

    /**
     * Who does what.
     *
     * @param roleTurns whether turns end when everyone has worked, or when everyone has had each role
     * @param together who shares a spot
     * @param meanwhile the quiet task of the waves that wait for a spot, or null
     * @param variants what named pupils do differently
     * @param helpers who is at a spot beside those who work and feed; null for the ladder's own
     * @param onlyPupilIds those whom a task is for, the others do the quiet task meanwhile; empty for everyone, and where none of them is in the class
     */
    public record People(
            RoleTurns roleTurns,
            Together together,
            @Nullable Task meanwhile,
            List<Variant> variants,
            List<String> onlyPupilIds,
            @Nullable List<HelpPart> helpers) {

        public People {
            roleTurns = roleTurns == null ? RoleTurns.EVERYONE_WORKS : roleTurns;
            together = together == null ? Together.IN_ORDER : together;
            variants = variants == null ? List.of() : List.copyOf(variants);
            onlyPupilIds = onlyPupilIds == null ? List.of() : List.copyOf(onlyPupilIds);
            helpers = helpers == null ? null : List.copyOf(helpers);
        }

        /** Everyone, and nothing else meanwhile. */
        private People everyone() {
            return new People(roleTurns, together, null, variants, List.of(), helpers);
        }
    }

    /** What a block is. */
    public enum Kind {
        TASK,
        /** Everyone combines what was learnt as they like: no score, one word afterwards. */
        FREE,
        /** Small moves one after the other, each called; it lasts as long as they do. */
        ROUTINE,
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

    /** Who shares a spot: as they stand in the class, those who are alike, or crews that are alike; by what is known of them on the ladder. */
    public enum Together {
        IN_ORDER,
        LIKE_WITH_LIKE,
        MIXED
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
    public record Variant(
            String pupilId, Adaptation adaptation, @Nullable Task instead) {
        public Variant {
            new Checks()
                    .text("pupilId", pupilId, 60)
                    .required("adaptation", adaptation)
                    .done();
        }
    }

    public Block {
        kind = kind == null ? Kind.TASK : kind;
        Checks checks = new Checks().text("id", id, 60);
        if (kind == Kind.TASK) checks.text("ladderId", work.ladderId(), 60).text("rungId", work.rungId(), 60);
        else {
            work = work.off();
            people = people.everyone();
        }
        if (kind == Kind.ROUTINE && work.routine() != null)
            amount = amount.lasting(BlockDose.byClock(work.routine().sec()));
        checks.that(kind != Kind.ROUTINE || work.routine() != null, "routine", Fault.Rule.REQUIRED);
        BlockDose dose = amount.dose();
        Integer sets = amount.sets();
        checks.required("dose", dose)
                .range("sets", sets, 1, 60)
                .required("sides", work.sides())
                .seconds("setupSec", around.setupSec())
                .seconds("explainSec", around.explainSec())
                .seconds("countInSec", around.countInSec())
                .seconds("sideSwapSec", around.sideSwapSec())
                .seconds("turnSwapSec", around.turnSwapSec())
                .seconds("restSec", amount.restSec())
                .required("waitIsRest", amount.waitIsRest())
                .required("counted", scoring.counted())
                .entries("laterRungIds", work.laterRungIds(), 0, 59)
                .entries("kit", setup.kit(), 0, 10)
                .entries("variants", people.variants(), 0, 200)
                .entries("onlyPupilIds", people.onlyPupilIds(), 0, 500);
        if (people.helpers() != null)
            checks.entries("helpers", people.helpers(), 0, HelpPart.values().length)
                    .distinct(
                            "helpers",
                            people.helpers().stream().map(HelpPart::name).toList());
        if (setup.mostSpots() != null) checks.range("mostSpots", setup.mostSpots(), 1, 500);
        if (setup.standM() != null) checks.above("standM", setup.standM(), 0, 200);
        if (setup.target() != null) checks.text("target", setup.target(), 60);
        if (words.note() != null) checks.text("note", words.note(), 200);
        if (kind != Kind.TASK && dose != null)
            checks.that(dose.type() == BlockDose.Type.CLOCK, "dose.type", Fault.Rule.ONE_OF, "CLOCK");
        if (sets != null && words.cue() == Cue.AFTER_A_TRY) checks.that(sets >= 2, "sets", Fault.Rule.RANGE, 2, 60);
        checks.range("optionalSets", amount.optionalSets(), 0, 60);
        checks.done();
    }

    /** The rung of a set, from 1. */
    public String rungIdOfSet(int set) {
        List<String> later = laterRungIds();
        return set <= 1 || later.isEmpty() ? rungId() : later.get(Math.min(set - 1, later.size()) - 1);
    }

    /** The kinds that play a role, in order; the best kind where nothing else was chosen. */
    public List<String> kindsFor(String role, String best) {
        return kit().stream()
                .filter(c -> c.role().equals(role))
                .findFirst()
                .map(KitChoice::kinds)
                .orElse(List.of(best));
    }

    /** Those of the class whom it is for, in the class's order. */
    public List<PlanPupil> members(List<PlanPupil> all) {
        List<PlanPupil> chosen =
                all.stream().filter(p -> onlyPupilIds().contains(p.id())).toList();
        return chosen.isEmpty() ? all : chosen;
    }

    /** A copy with some of it changed. */
    public Block with(Consumer<BlockDraft> change) {
        BlockDraft draft = new BlockDraft(this);
        change.accept(draft);
        return draft.block();
    }

    public String ladderId() {
        return work.ladderId();
    }

    public String rungId() {
        return work.rungId();
    }

    public RungBy rungBy() {
        return work.rungBy();
    }

    public List<Modifier> modifiers() {
        return work.modifiers();
    }

    public SideChoice sides() {
        return work.sides();
    }

    public SideOrder sideOrder() {
        return work.sideOrder();
    }

    public Manner.Attitude attitude() {
        return work.attitude();
    }

    public Boolean beat() {
        return work.beat();
    }

    public String reverses() {
        return work.reverses();
    }

    public CalledMarkers called() {
        return work.called();
    }

    public Routine routine() {
        return work.routine();
    }

    public List<String> laterRungIds() {
        return work.laterRungIds();
    }

    public BlockDose dose() {
        return amount.dose();
    }

    public Integer sets() {
        return amount.sets();
    }

    /** No more than there are sets. */
    public Integer optionalSets() {
        return Math.min(amount.optionalSets(), sets());
    }

    public Rest rest() {
        return amount.rest();
    }

    public Integer restSec() {
        return amount.restSec();
    }

    public Boolean waitIsRest() {
        return amount.waitIsRest();
    }

    public Integer setupSec() {
        return around.setupSec();
    }

    public Integer explainSec() {
        return around.explainSec();
    }

    public Integer countInSec() {
        return around.countInSec();
    }

    public Integer sideSwapSec() {
        return around.sideSwapSec();
    }

    public Integer turnSwapSec() {
        return around.turnSwapSec();
    }

    public Cue cue() {
        return words.cue();
    }

    public Boolean sayChange() {
        return words.sayChange();
    }

    public String note() {
        return words.note();
    }

    public Boolean counted() {
        return scoring.counted();
    }

    public Gate gate() {
        return scoring.gate();
    }

    public Measure measure() {
        return scoring.measure();
    }

    public Double standM() {
        return setup.standM();
    }

    public String target() {
        return setup.target();
    }

    public List<KitChoice> kit() {
        return setup.kit();
    }

    public Band mark() {
        return setup.mark();
    }

    public Footprint spot() {
        return setup.spot();
    }

    public Integer mostSpots() {
        return setup.mostSpots();
    }

    public RoleTurns roleTurns() {
        return people.roleTurns();
    }

    public Together together() {
        return people.together();
    }

    public Task meanwhile() {
        return people.meanwhile();
    }

    public List<Variant> variants() {
        return people.variants();
    }

    public List<HelpPart> helpers() {
        return people.helpers();
    }

    public List<String> onlyPupilIds() {
        return people.onlyPupilIds();
    }
}
