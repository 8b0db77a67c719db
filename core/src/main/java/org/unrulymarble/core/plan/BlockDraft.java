package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.ladder.CalledMarkers;
import org.unrulymarble.core.ladder.Doses;
import org.unrulymarble.core.ladder.HelpPart;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Manner;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.ladder.Routine;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.place.Footprint;

/** A block that is being put together or changed; {@link #block()} checks it. */
public final class BlockDraft {

    public String id;
    public Block.Kind kind = Block.Kind.TASK;
    public String ladderId;
    public String rungId;
    public List<String> laterRungIds = List.of();
    public Routine routine;
    public CalledMarkers called;
    public Block.RungBy rungBy = Block.RungBy.ONE;
    public List<Modifier> modifiers = List.of();
    public BlockDose dose;
    public int sets = 1;
    public int optionalSets;
    public Block.SideChoice sides = Block.SideChoice.EACH;
    public Block.SideOrder sideOrder = Block.SideOrder.ONE_THEN_OTHER;
    public int setupSec;
    public int explainSec;
    public Block.Cue cue = Block.Cue.FIRST;
    public int countInSec;
    public int sideSwapSec = 5;
    public int turnSwapSec = 10;
    public Block.Rest rest = Block.Rest.FIXED;
    public int restSec;
    public boolean waitIsRest = true;
    public Block.RoleTurns roleTurns = Block.RoleTurns.EVERYONE_WORKS;
    public Block.Together together = Block.Together.IN_ORDER;
    public boolean counted;
    public Part part;
    public String reverses;
    public Manner.Attitude attitude;
    public boolean beat;
    public Block.Task meanwhile;
    public List<Block.KitChoice> kit = List.of();
    public Gate gate;
    public Measure measure;
    public Double standM;
    public String target;
    public Block.Band mark;
    public Footprint spot;
    public Integer mostSpots;
    public boolean sayChange;
    public List<Block.Variant> variants = List.of();
    public List<String> onlyPupilIds = List.of();
    public List<HelpPart> helpers;
    public String note;

    BlockDraft() {}

    BlockDraft(Block b) {
        id = b.id();
        kind = b.kind();
        ladderId = b.ladderId();
        rungId = b.rungId();
        rungBy = b.rungBy();
        laterRungIds = b.laterRungIds();
        routine = b.routine();
        called = b.called();
        modifiers = b.modifiers();
        dose = b.dose();
        sets = b.sets();
        optionalSets = b.optionalSets();
        sides = b.sides();
        sideOrder = b.sideOrder();
        setupSec = b.setupSec();
        explainSec = b.explainSec();
        cue = b.cue();
        countInSec = b.countInSec();
        sideSwapSec = b.sideSwapSec();
        turnSwapSec = b.turnSwapSec();
        rest = b.rest();
        restSec = b.restSec();
        waitIsRest = b.waitIsRest();
        roleTurns = b.roleTurns();
        together = b.together();
        counted = b.counted();
        part = b.part();
        reverses = b.reverses();
        attitude = b.attitude();
        beat = b.beat();
        meanwhile = b.meanwhile();
        kit = b.kit();
        gate = b.gate();
        measure = b.measure();
        standM = b.standM();
        target = b.target();
        mark = b.mark();
        spot = b.spot();
        mostSpots = b.mostSpots();
        sayChange = b.sayChange();
        variants = b.variants();
        onlyPupilIds = b.onlyPupilIds();
        helpers = b.helpers();
        note = b.note();
    }

    /** A task with the rung's own planning dose: by count where tries are what is counted, else by clock. */
    public static BlockDraft on(String id, Ladder ladder, Rung rung) {
        BlockDraft d = new BlockDraft();
        d.id = id;
        d.ladderId = ladder.id();
        d.rungId = rung.id();
        boolean byCount = rung.measure().byGoes();
        d.dose = byCount
                ? countDose(rung)
                : BlockDose.byClock(rung.doses().clock().workSec());
        d.sets = byCount ? rung.doses().count().sets() : rung.doses().clock().sets();
        d.restSec =
                byCount ? rung.doses().count().restSec() : rung.doses().clock().restSec();
        d.setupSec = ladder.kit(rung).isEmpty() ? 0 : 20;
        d.explainSec = 25;
        d.countInSec = 5;
        d.counted = ladder.counted();
        d.waitIsRest = !ladder.partnerWorks();
        return d;
    }

    public static BlockDraft timeFor(String id, Block.Kind kind, int seconds) {
        BlockDraft d = new BlockDraft();
        d.id = id;
        d.kind = kind;
        d.dose = BlockDose.byClock(seconds);
        // Free combining needs a word before it; talk and water need none.
        d.explainSec = kind == Block.Kind.FREE || kind == Block.Kind.ROUTINE ? 15 : 0;
        d.waitIsRest = false;
        d.sideSwapSec = 0;
        d.turnSwapSec = 0;
        return d;
    }

    /** A rung's planning dose of one school. */
    public static BlockDose doseOf(BlockDose.Type school, Rung rung) {
        return switch (school) {
            case CLOCK -> BlockDose.byClock(rung.doses().clock().workSec());
            case COUNT -> countDose(rung);
            case GATE -> BlockDose.byGate(rung.doses().gate().limitSec());
            case SELF_PACED -> BlockDose.selfPaced(rung.doses().gate().limitSec());
            case STAIRCASE -> {
                Doses.ByStaircase s = rung.doses().staircase();
                yield BlockDose.byStaircase(s.makesToStep(), s.onMiss(), s.stepM(), s.limitSec());
            }
        };
    }

    /**
     * Another rung of the same ladder. Its pace and its way of stepping come along; the count and the clock were the teacher's choice and stay, and so
     * does a stepping that the teacher had changed.
     *
     * @param from the rung that it was on, or null where there is no such rung any more
     */
    public void stepTo(Rung from, Rung to) {
        rungId = to.id();
        laterRungIds = List.of();
        gate = null;
        if (measure != null && !to.measure().mayBeScoredAs(measure)) measure = null;
        standM = null;
        target = null;
        modifiers = modifiers.stream().filter(m -> to.modifiers().contains(m)).toList();
        if (dose instanceof BlockDose.ByCount count) dose = count.at(secPerRep(to));
        if (dose instanceof BlockDose.ByStaircase stairs
                && from != null
                && stairs.stairs().equals(from.doses().staircase().stairs())) {
            Doses.ByStaircase s = to.doses().staircase();
            dose = BlockDose.byStaircase(s.makesToStep(), s.onMiss(), s.stepM(), stairs.limitSec());
        }
    }

    static BlockDose countDose(Rung rung) {
        int reps = rung.gate().outOf() == null
                ? rung.doses().count().reps()
                : rung.gate().outOf();
        return BlockDose.byCount(reps, secPerRep(rung));
    }

    /**
     * Planning pace of one of a count: of a try, a hit or a miss and its fetch as often as the planning rate says; where only what goes in is counted,
     * of all the tries that one hit takes.
     */
    static double secPerRep(Rung rung) {
        double share = rung.pace().share();
        double sec = share * rung.pace().hitSec() + (1 - share) * rung.pace().missSec();
        if (rung.measure().countsTries() && !rung.measure().byGoes()) sec /= share;
        return Math.round(sec * 10) / 10.0;
    }

    /** Puts these kinds in the place of whatever played a role. */
    public void play(String role, List<String> kinds) {
        List<Block.KitChoice> choices =
                new ArrayList<>(kit.stream().filter(c -> !c.role().equals(role)).toList());
        choices.add(new Block.KitChoice(role, kinds));
        kit = choices;
    }

    public Block block() {
        return new Block(
                id,
                kind,
                new Block.Work(
                        ladderId,
                        rungId,
                        rungBy,
                        modifiers,
                        sides,
                        sideOrder,
                        attitude,
                        beat,
                        reverses,
                        laterRungIds,
                        routine,
                        called),
                new Block.Amount(dose, sets, null, optionalSets, rest, restSec, waitIsRest),
                new Block.Around(setupSec, explainSec, countInSec, sideSwapSec, turnSwapSec),
                new Block.Words(cue, sayChange, note),
                new Block.Scoring(counted, gate, measure),
                new Block.Setup(kit, mark, spot, mostSpots, standM, target),
                new Block.People(roleTurns, together, meanwhile, variants, onlyPupilIds, helpers),
                part);
    }
}
