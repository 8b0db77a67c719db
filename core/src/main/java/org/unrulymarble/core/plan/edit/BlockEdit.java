package org.unrulymarble.core.plan.edit;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.ladder.CalledMarkers;
import org.unrulymarble.core.ladder.HelpPart;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.plan.Adaptation;
import org.unrulymarble.core.plan.Allowed;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.BlockDraft;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Setting;

/** Changes of one block. */
public sealed interface BlockEdit extends Edit {

    String blockId();

    /** @throws Refused naming a field when it cannot be */
    void change(BlockDraft d, Setting setting);

    @Override
    default Lesson on(Lesson lesson, Setting setting) {
        new Checks().text("blockId", blockId(), 60).done();
        if (lesson.indexOf(blockId()) < 0) throw new Refused("blockId", Fault.Rule.UNKNOWN, blockId());
        return lesson.change(blockId(), d -> change(d, setting));
    }

    /** Another rung of the same ladder: its pace comes along, the count and the clock were the teacher's choice and stay. */
    record ChooseRung(String blockId, String rungId) implements BlockEdit {
        @Override
        public void change(BlockDraft d, Setting setting) {
            Ladder ladder = Tasks.ladder(setting, d.ladderId);
            Rung to = Tasks.rung(ladder, rungId);
            d.stepTo(ladder.rung(d.rungId).orElse(null), to);
            if (!ladder.callsMarkers(to)) d.called = null;
        }
    }

    /** Another task in the place of the block's; time and sets stay where the school of dose is by clock. */
    record ChooseTask(String blockId, String ladderId, String rungId) implements BlockEdit {
        @Override
        public void change(BlockDraft d, Setting setting) {
            Ladder ladder = Tasks.ladder(setting, ladderId);
            Rung rung = Tasks.rung(ladder, rungId);
            BlockDraft fresh = BlockDraft.on(d.id, ladder, rung);
            boolean byClock = d.dose.type() == BlockDose.Type.CLOCK && fresh.dose.type() == BlockDose.Type.CLOCK;
            d.ladderId = fresh.ladderId;
            d.rungId = fresh.rungId;
            d.rungBy = Block.RungBy.ONE;
            d.laterRungIds = List.of();
            d.modifiers = List.of();
            if (!byClock) {
                d.dose = fresh.dose;
                d.sets = Math.max(fresh.sets, d.cue == Block.Cue.AFTER_A_TRY ? 2 : 1);
                d.optionalSets = Math.min(d.optionalSets, d.sets);
            }
            d.sides = Block.SideChoice.EACH;
            d.part = null;
            d.reverses = null;
            d.attitude = null;
            d.kit = List.of();
            d.gate = null;
            d.measure = null;
            d.standM = null;
            d.called = null;
            d.target = null;
            d.mark = null;
            d.spot = null;
            d.mostSpots = null;
            d.helpers = null;
            d.variants = List.of();
            d.counted = ladder.counted();
        }
    }

    /** All on one rung, each on their own, or each as they choose. */
    record ChooseWho(String blockId, Block.RungBy rungBy) implements BlockEdit {
        public ChooseWho {
            new Checks().required("rungBy", rungBy).done();
        }

        @Override
        public void change(BlockDraft d, Setting setting) {
            d.rungBy = rungBy;
        }
    }

    /** The rung's planning dose of another school. */
    record ChooseDose(String blockId, BlockDose.Type school) implements BlockEdit {
        public ChooseDose {
            new Checks().required("school", school).done();
        }

        @Override
        public void change(BlockDraft d, Setting setting) {
            d.dose = BlockDraft.doseOf(school, Tasks.rung(Tasks.ladder(setting, d.ladderId), d.rungId));
        }
    }

    record SetDose(String blockId, BlockDose dose) implements BlockEdit {
        public SetDose {
            new Checks().required("dose", dose).done();
        }

        @Override
        public void change(BlockDraft d, Setting setting) {
            d.dose = dose;
        }
    }

    record SetSets(String blockId, Integer sets) implements BlockEdit {
        public SetSets {
            new Checks().range("sets", sets, 1, 60).done();
        }

        @Override
        public void change(BlockDraft d, Setting setting) {
            d.sets = sets;
            d.optionalSets = Math.min(d.optionalSets, sets);
        }
    }

    /** The seconds around the work; what is null stays as it is. */
    record SetSeconds(
            String blockId,
            @Nullable Integer setupSec,
            @Nullable Integer explainSec,
            @Nullable Integer restSec) implements BlockEdit {
        @Override
        public void change(BlockDraft d, Setting setting) {
            if (setupSec != null) d.setupSec = setupSec;
            if (explainSec != null) d.explainSec = explainSec;
            if (restSec != null) d.restSec = restSec;
        }
    }

    /** The rounds for those who want them are left out; where all are, one stays. */
    record DropOptional(String blockId) implements BlockEdit {
        @Override
        public void change(BlockDraft d, Setting setting) {
            d.sets = Math.max(d.cue == Block.Cue.AFTER_A_TRY ? 2 : 1, d.sets - d.optionalSets);
            d.optionalSets = 0;
        }
    }

    record ChooseSides(String blockId, Block.SideChoice sides) implements BlockEdit {
        public ChooseSides {
            new Checks().required("sides", sides).done();
        }

        @Override
        public void change(BlockDraft d, Setting setting) {
            d.sides = sides;
        }
    }

    /** When the cue is given; after a first try the same round comes again. */
    record GiveCue(String blockId, Block.Cue cue) implements BlockEdit {
        public GiveCue {
            new Checks().required("cue", cue).done();
        }

        @Override
        public void change(BlockDraft d, Setting setting) {
            d.cue = cue;
            if (cue == Block.Cue.AFTER_A_TRY) d.sets = Math.max(2, d.sets);
        }
    }

    /** Whether the change from the cue before is said aloud; saying it takes its seconds. */
    record SayChange(String blockId, Boolean said) implements BlockEdit {

        public static final int SEC = 10;

        public SayChange {
            new Checks().required("said", said).done();
        }

        @Override
        public void change(BlockDraft d, Setting setting) {
            if (d.sayChange == said) return;
            d.sayChange = said;
            d.explainSec = Math.max(0, d.explainSec + (said ? SEC : -SEC));
        }
    }

    /** Where in the lesson it belongs. */
    record ChoosePart(String blockId, Part part) implements BlockEdit {
        public ChoosePart {
            new Checks().required("part", part).done();
        }

        @Override
        public void change(BlockDraft d, Setting setting) {
            d.part = part == Tasks.ladder(setting, d.ladderId).part() ? null : part;
            if (part != Part.COOL_DOWN) d.reverses = null;
        }
    }

    /** Its steps are those of another block backwards. @param of that block, or null for its own task forwards */
    record GoBackwards(String blockId, @Nullable String of) implements BlockEdit {
        @Override
        public Lesson on(Lesson lesson, Setting setting) {
            if (of == null) return BlockEdit.super.on(lesson, setting);
            int at = lesson.indexOf(of);
            if (lesson.indexOf(blockId) < 0) throw new Refused("blockId", Fault.Rule.UNKNOWN, blockId);
            if (at < 0 || of.equals(blockId)) throw new Refused("of", Fault.Rule.UNKNOWN, of);
            Block first = lesson.blocks().get(at);
            return lesson.change(blockId, d -> {
                d.ladderId = first.ladderId();
                d.rungId = first.rungId();
                d.part = Part.COOL_DOWN;
                d.reverses = of;
                d.kit = List.of();
                d.modifiers = first.modifiers();
                d.gate = null;
                d.mark = first.mark();
            });
        }

        @Override
        public void change(BlockDraft d, Setting setting) {
            d.reverses = null;
        }
    }

    /** With something that makes it harder, or without. */
    record SetModifier(String blockId, Modifier modifier, Boolean on) implements BlockEdit {
        public SetModifier {
            new Checks().required("modifier", modifier).required("on", on).done();
        }

        @Override
        public void change(BlockDraft d, Setting setting) {
            List<Modifier> next = new ArrayList<>(
                    d.modifiers.stream().filter(m -> m != modifier).toList());
            if (on) next.add(modifier);
            d.modifiers = List.copyOf(next);
        }
    }

    /** @param gate null for the rung's own */
    record SetGate(String blockId, @Nullable Gate gate) implements BlockEdit {
        @Override
        public void change(BlockDraft d, Setting setting) {
            d.gate = gate;
        }
    }

    /**
     * By what it is scored. A gate of the teacher's own goes with the other measure's unit; goes are counted out and the rest is by the clock.
     *
     * @param measure null for the rung's own
     */
    record SetMeasure(String blockId, @Nullable Measure measure) implements BlockEdit {
        @Override
        public void change(BlockDraft d, Setting setting) {
            Rung rung = Tasks.rung(Tasks.ladder(setting, d.ladderId), d.rungId);
            Measure now = d.measure == null ? rung.measure() : d.measure;
            Measure next = measure == null ? rung.measure() : measure;
            new Checks()
                    .that(
                            rung.measure().mayBeScoredAs(next),
                            "measure",
                            Fault.Rule.ONE_OF,
                            String.join(
                                    ", ", rung.ways().stream().map(Enum::name).toList()))
                    .done();
            d.measure = next.equals(rung.measure()) ? null : next;
            if (next.kind() == now.kind()) return;
            d.gate = null;
            if (next.byGoes() && d.dose.type() == BlockDose.Type.CLOCK)
                d.dose = BlockDraft.doseOf(BlockDose.Type.COUNT, rung);
            else if (!next.byGoes() && d.dose.type() == BlockDose.Type.COUNT)
                d.dose = BlockDraft.doseOf(BlockDose.Type.CLOCK, rung);
        }
    }

    /**
     * A set on another rung than the set before it. Those after it stay where they are; a set that is dropped takes its rung along.
     *
     * @param set from 2
     */
    record ChooseRungOfSet(String blockId, Integer set, String rungId) implements BlockEdit {
        public ChooseRungOfSet {
            new Checks().range("set", set, 2, 60).done();
        }

        @Override
        public void change(BlockDraft d, Setting setting) {
            Ladder ladder = Tasks.ladder(setting, d.ladderId);
            Tasks.rung(ladder, rungId);
            new Checks()
                    .that(set <= d.sets, "set", Fault.Rule.RANGE, 2, d.sets)
                    .that(
                            Allowed.goesAfter(d.block(), ladder, rungId),
                            "rungId",
                            Fault.Rule.ONE_OF,
                            "a rung with the same sides")
                    .done();
            Block now = d.block();
            List<String> later = new ArrayList<>();
            for (int k = 2; k <= d.sets; k++) later.add(k == set ? rungId : now.rungIdOfSet(k));
            d.laterRungIds = later.stream().allMatch(d.rungId::equals) ? List.of() : List.copyOf(later);
        }
    }

    /** @param standM metres from wall, partner or target; null for the rung's */
    record SetStand(String blockId, @Nullable Double standM) implements BlockEdit {
        @Override
        public void change(BlockDraft d, Setting setting) {
            d.standM = standM;
        }
    }

    /** @param target in words; null for the rung's */
    record SetTarget(String blockId, @Nullable String target) implements BlockEdit {
        @Override
        public void change(BlockDraft d, Setting setting) {
            d.target = target;
        }
    }

    /** @param band null for none */
    record SetBand(String blockId, Block.@Nullable Band band) implements BlockEdit {
        @Override
        public void change(BlockDraft d, Setting setting) {
            d.mark = band;
        }
    }

    /** Marks a band where there was none, about as high as a pupil of ten reaches with a jump, to be changed from there. */
    record MarkBand(String blockId) implements BlockEdit {

        private static final Block.Band USUAL = new Block.Band(2.1, 2.6);

        @Override
        public void change(BlockDraft d, Setting setting) {
            if (d.mark == null) d.mark = USUAL;
        }
    }

    /** @param spot null for the ladder's own */
    record SetSpot(String blockId, @Nullable Footprint spot) implements BlockEdit {
        @Override
        public void change(BlockDraft d, Setting setting) {
            d.spot = spot;
        }
    }

    /** @param spots null for as many as fit */
    record SetMostSpots(String blockId, @Nullable Integer spots) implements BlockEdit {
        @Override
        public void change(BlockDraft d, Setting setting) {
            d.mostSpots = spots;
        }
    }

    /** Who is at a spot beside those who work and feed. @param helpers null for the ladder's own */
    record SetHelpers(String blockId, @Nullable List<HelpPart> helpers) implements BlockEdit {
        @Override
        public void change(BlockDraft d, Setting setting) {
            d.helpers = helpers;
        }
    }

    /** The markers that are called. @param called null for as the rung has them */
    record SetCalled(String blockId, @Nullable CalledMarkers called) implements BlockEdit {
        @Override
        public void change(BlockDraft d, Setting setting) {
            d.called = called;
        }
    }

    /** What plays a role of the kit. @param kinds in the order in which they are handed out; null for as the task says */
    record PlayWith(String blockId, String role, @Nullable List<String> kinds) implements BlockEdit {
        public PlayWith {
            new Checks().text("role", role, 30).done();
            kinds = kinds == null ? null : List.copyOf(kinds);
        }

        @Override
        public void change(BlockDraft d, Setting setting) {
            boolean asTheTaskSays = kinds == null
                    || setting.catalogue().ladder(d.ladderId).stream()
                            .flatMap(l -> l.rung(d.rungId).map(l::kit).orElse(l.kit()).stream())
                            .anyMatch(r -> r.role().equals(role) && kinds.equals(List.of(r.kind())));
            if (!asTheTaskSays) d.play(role, kinds);
            else d.kit = d.kit.stream().filter(c -> !c.role().equals(role)).toList();
        }
    }

    /** What those do who wait. @param task null for nothing */
    record SetMeanwhile(String blockId, Block.@Nullable Task task) implements BlockEdit {
        @Override
        public void change(BlockDraft d, Setting setting) {
            if (task != null) {
                Ladder ladder = Tasks.ladder(setting, task.ladderId());
                Tasks.rung(ladder, task.rungId());
                new Checks()
                        .that(ladder.goesMeanwhile(), "task", Fault.Rule.ONE_OF, "a quiet task")
                        .done();
                // What an earlier quiet task was played with goes with it.
                d.kit = d.kit.stream()
                        .filter(c -> !c.role().startsWith("meanwhile "))
                        .toList();
            }
            d.meanwhile = task;
        }
    }

    record AddVariant(String blockId, Block.Variant variant) implements BlockEdit {
        public AddVariant {
            new Checks().required("variant", variant).done();
        }

        @Override
        public void change(BlockDraft d, Setting setting) {
            List<Block.Variant> all = new ArrayList<>(d.variants);
            all.add(variant);
            d.variants = List.copyOf(all);
        }
    }

    record TakeOutVariant(String blockId, String pupilId, Adaptation adaptation) implements BlockEdit {
        @Override
        public void change(BlockDraft d, Setting setting) {
            d.variants = d.variants.stream()
                    .filter(v -> !v.pupilId().equals(pupilId) || v.adaptation() != adaptation)
                    .toList();
        }
    }

    /** @param pupilIds whom it is for; empty for everyone */
    record SetOnlyFor(String blockId, List<String> pupilIds) implements BlockEdit {
        public SetOnlyFor {
            new Checks().entries("pupilIds", pupilIds, 0, 500).done();
            pupilIds = List.copyOf(pupilIds);
        }

        @Override
        public void change(BlockDraft d, Setting setting) {
            d.onlyPupilIds = pupilIds;
        }
    }
}
