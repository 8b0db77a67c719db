package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.clock.Dose;
import org.unrulymarble.core.clock.Timing;
import org.unrulymarble.core.defaults.Planning;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Manner;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.ladder.RefusedPlace;
import org.unrulymarble.core.ladder.Routine;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.RungWords;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.ladder.Sides;
import org.unrulymarble.core.measure.Course;
import org.unrulymarble.core.measure.CourseTime;
import org.unrulymarble.core.measure.MadeFromSpots;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.Stairs;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.place.Layout;
import org.unrulymarble.core.record.Standings;

/**
 * A block with its ladder looked up and its spots placed.
 *
 * @param ladder null for time that is no task, as are rung and layout
 * @param quiet the rung of the quiet task, or null
 * @param mixed whether both sides come in one round of double length
 * @param pupils how many it is planned for, at a station the largest group; {@code others} are there and are not asked
 * @param station what it is in a circuit, or null for what the whole class does
 */
public record Placed(
        Block block,
        Ladder ladder,
        Rung rung,
        Ladder quietLadder,
        Rung quiet,
        Layout layout,
        int waves,
        List<Side> sides,
        boolean mixed,
        int pupils,
        int others,
        Station station,
        Planning.CoursePaces coursePaces) {

    private static final int MOST_TURNS = 60;

    /** @throws Refused naming the block and field, for what is not known */
    public static List<Placed> all(Lesson lesson, Setting setting) {
        Checks checks = new Checks();
        Map<String, Station> stations = Station.of(lesson, setting);
        List<Placed> placed = new ArrayList<>();
        for (int i = 0; i < lesson.blocks().size(); i++) {
            try {
                placed.add(one(lesson.blocks().get(i), lesson, setting, stations));
            } catch (Refused e) {
                checks.under("blocks[" + i + "]", e);
            }
        }
        checks.done();
        return placed;
    }

    private static Placed one(Block asked, Lesson lesson, Setting setting, Map<String, Station> stations) {
        boolean atHome = lesson.audience() == Lesson.Audience.EACH_AT_HOME;
        int pupils = atHome ? 1 : asked.members(setting.pupils()).size();
        int others = atHome ? 0 : setting.pupils().size() - pupils;
        if (asked.kind() != Block.Kind.TASK)
            return new Placed(
                    asked,
                    null,
                    null,
                    null,
                    null,
                    null,
                    1,
                    List.of(Side.NONE),
                    false,
                    pupils,
                    others,
                    null,
                    setting.planning().coursePaces());
        Block block = backwards(asked, lesson);
        Ladder ladder = known(setting.catalogue(), "", block.ladderId()).withHelpers(block.helpers());
        Rung rung = known(ladder, "", block.rungId());
        Ladder quietLadder = null;
        Rung quiet = null;
        if (block.meanwhile() != null) {
            quietLadder =
                    known(setting.catalogue(), "meanwhile.", block.meanwhile().ladderId());
            quiet = known(quietLadder, "meanwhile.", block.meanwhile().rungId());
        }
        Station station = stations.get(block.id());
        if (station != null) return atStation(block, ladder, rung, quietLadder, quiet, station, setting);
        Layout layout = Layout.of(new Layout.LayoutAsk(
                setting.place(),
                footprint(block, ladder, rung),
                // Who is one more in a crew needs no spot of their own.
                Math.min(pupils, Crews.count(pupils, ladder.perSpot()) * ladder.perSpot()),
                ladder.perSpot(),
                block.mostSpots(),
                markM(block),
                ladder.refuses(RefusedPlace.WINDOW_AT_WALL),
                setting.planning().thresholds().wayFreeM()));
        Integer waves = layout.spots().waves();
        List<Side> sides = sides(rung.sides(), block.sides());
        boolean mixed = sides.size() == 2 && block.sideOrder() != Block.SideOrder.ONE_THEN_OTHER;
        // The clock takes 60 turns; a space that would need more has a finding of its own.
        return new Placed(
                block,
                ladder,
                rung,
                quietLadder,
                quiet,
                layout,
                waves == null ? 1 : Math.max(1, Math.min(waves, MOST_TURNS / parts(block, ladder, pupils))),
                mixed ? List.of(Side.MIXED) : sides,
                mixed,
                pupils,
                others,
                null,
                setting.planning().coursePaces());
    }

    /** A visit has so many rounds for the whole group; where it takes turns, each pupil works in their share of them. */
    private static Placed atStation(
            Block block, Ladder ladder, Rung rung, Ladder quietLadder, Rung quiet, Station station, Setting setting) {
        Circuit circuit = station.circuit();
        Layout layout = station.layout(ladder.footprint(rung).needsWall());
        int waves =
                layout.spots().waves() == null ? 1 : Math.max(1, layout.spots().waves());
        int turns = waves * parts(block, ladder, station.pupils());
        List<Side> sides = sides(rung.sides(), block.sides());
        boolean mixed = sides.size() == 2;
        return new Placed(
                block.with(d -> {
                    d.sets = Math.max(1, circuit.rounds() / turns);
                    d.optionalSets = 0;
                    d.laterRungIds = List.of();
                    d.cue = Block.Cue.FIRST;
                    d.rest = Block.Rest.FIXED;
                    d.restSec = circuit.restSec();
                    d.turnSwapSec = circuit.restSec();
                    d.waitIsRest = false;
                    d.onlyPupilIds = List.of();
                    if (mixed && d.sideOrder == Block.SideOrder.ONE_THEN_OTHER)
                        d.sideOrder = Block.SideOrder.ALTERNATING;
                }),
                ladder,
                rung,
                quietLadder,
                quiet,
                layout,
                waves,
                mixed ? List.of(Side.MIXED) : sides,
                mixed,
                station.pupils(),
                0,
                station,
                setting.planning().coursePaces());
    }

    /** A block that goes backwards has the ladder and rung of the one that it reverses. */
    private static Block backwards(Block block, Lesson lesson) {
        if (block.reverses() == null) return block;
        int at = lesson.indexOf(block.reverses());
        Optional<Block> first =
                at < 0 ? Optional.empty() : Optional.of(lesson.blocks().get(at));
        Block forwards = first.filter(b -> b.kind() == Block.Kind.TASK && b.reverses() == null)
                .orElseThrow(() -> new Refused("reverses", Fault.Rule.UNKNOWN, block.reverses()));
        return block.with(d -> {
            d.ladderId = forwards.ladderId();
            d.rungId = forwards.rungId();
        });
    }

    /** The upper edge of the block's mark on the wall, or null. */
    static Double markM(Block block) {
        return block.mark() == null ? null : block.mark().highM();
    }

    static Footprint footprint(Block block, Ladder ladder, Rung rung) {
        Footprint usual = usualFootprint(block, ladder, rung);
        Footprint own = block.spot();
        if (own == null) return usual;
        // A teacher's spot is about floor; wall and height are the task's own.
        return new Footprint(
                own.lengthM(), own.widthM(), own.gapM(), own.edgeM(), usual.needsWall(), own.oneRow(), usual.heightM());
    }

    /** What the task takes with the block's figures, whatever floor the teacher gave it. */
    private static Footprint usualFootprint(Block block, Ladder ladder, Rung rung) {
        Footprint f = ladder.footprint(
                rung,
                block.standM() == null ? rung.standM() : block.standM(),
                block.gate() == null ? rung.gate() : block.gate());
        Measure measure = block.measure() == null ? rung.measure() : block.measure();
        if (block.called() != null)
            return new Footprint(
                    Math.max(f.lengthM(), block.called().alongM()),
                    Math.max(f.widthM(), block.called().acrossM()),
                    f.gapM(),
                    f.edgeM(),
                    f.needsWall(),
                    f.oneRow(),
                    f.heightM());
        if (measure instanceof MadeFromSpots spots && spots.wayM() > 0)
            return new Footprint(
                    f.lengthM() + spots.wayM(),
                    f.widthM(),
                    f.gapM(),
                    f.edgeM(),
                    f.needsWall(),
                    f.oneRow(),
                    f.heightM());
        if (!(measure instanceof CourseTime timed) || timed.course() == null) return f;
        return new Footprint(
                timed.course().alongM(),
                timed.course().acrossM(),
                f.gapM(),
                f.edgeM(),
                f.needsWall(),
                f.oneRow(),
                f.heightM());
    }

    /** The floor of one spot: the teacher's, else what the task takes. */
    public Footprint footprint() {
        return footprint(block, ladder, rung);
    }

    /** What the task takes with the block's figures. */
    public Footprint needed() {
        return usualFootprint(block, ladder, rung);
    }

    private static List<Side> sides(Sides asked, Block.SideChoice choice) {
        List<Side> all = Side.of(asked);
        if (all.size() < 2 || choice == Block.SideChoice.EACH) return all;
        return List.of(all.get(choice == Block.SideChoice.FIRST_ONLY ? 0 : 1));
    }

    private static Ladder known(Catalogue catalogue, String at, String ladderId) {
        return catalogue.ladder(ladderId).orElseThrow(() -> new Refused(at + "ladderId", Fault.Rule.UNKNOWN, ladderId));
    }

    private static Rung known(Ladder ladder, String at, String rungId) {
        return ladder.rung(rungId).orElseThrow(() -> new Refused(at + "rungId", Fault.Rule.UNKNOWN, rungId));
    }

    public boolean isTask() {
        return ladder != null;
    }

    /** How often a spot's crew changes parts; someone practising alone has nobody to change with. */
    public int parts() {
        return isTask() ? parts(block, ladder, pupils) : 1;
    }

    static int parts(Block block, Ladder ladder, int pupils) {
        int crew = Math.max(1, Math.min(ladder.perSpot(), pupils));
        if (block.roleTurns() == Block.RoleTurns.EVERY_ROLE) return crew;
        return (crew + ladder.workingAtOnce() - 1) / ladder.workingAtOnce();
    }

    public int turns() {
        return waves * parts();
    }

    /** Seconds of one round. */
    public int workSec() {
        int own = dose().seconds();
        if (station == null) return own;
        // One signal ends the round for all; only a shorter time by clock is the station's own.
        int round = station.circuit().workSec();
        return block.dose().type() == BlockDose.Type.CLOCK ? Math.min(own, round) : round;
    }

    /** What one round asks for by count, or null. */
    public Integer reps() {
        return block.dose() instanceof BlockDose.ByCount count ? (Integer) (count.reps() * (mixed ? 2 : 1)) : null;
    }

    private Dose dose() {
        return mixed ? block.dose().forBothSides() : block.dose().forClock();
    }

    /** Whether the class moves in it: a task, a routine, free combining. */
    public boolean moves() {
        return isTask() || block.kind() == Block.Kind.FREE || block.kind() == Block.Kind.ROUTINE;
    }

    public Timing timing() {
        if (!moves()) return new Timing(0, block.dose().seconds(), 0, 1, Dose.byClock(0), 1, 0, 1, 0, 0, false);
        return new Timing(
                block.setupSec(),
                block.explainSec(),
                block.countInSec(),
                block.sets(),
                station == null ? dose() : Dose.byClock(workSec()),
                sides.size(),
                block.sideSwapSec(),
                turns(),
                block.turnSwapSec(),
                block.rest() == Block.Rest.NONE ? 0 : block.restSec(),
                block.waitIsRest());
    }

    /** Seconds that one pupil works in it. */
    long workedSec() {
        return (long) block.sets() * sides.size() * workSec();
    }

    /** Where in the lesson it belongs. */
    public Part part() {
        if (block.part() != null) return block.part();
        return isTask() ? ladder.part() : Part.MAIN;
    }

    public Manner manner() {
        Manner m = isTask() ? rung.manner() : Manner.ANY;
        return block.attitude() == null ? m : new Manner(m.feet(), m.eyes(), block.attitude());
    }

    public int effort() {
        if (isTask()) return ladder.effort();
        return moves() ? 3 : 1;
    }

    /** What is done one after the other, backwards where the block reverses another. */
    public List<String> steps() {
        if (block.routine() != null)
            return block.routine().calls().stream().map(Routine.Call::said).toList();
        if (!isTask()) return List.of();
        List<String> steps = new ArrayList<>(rung.steps());
        if (block.reverses() != null) java.util.Collections.reverse(steps);
        return steps;
    }

    /** Crews that are at work in the fullest wave: they spread evenly over the waves, as the script of a run spreads them. */
    public int crewsAtOnce() {
        if (!isTask()) return pupils;
        if (layout.spots().waves() == null) return 0;
        return (Crews.count(pupils, ladder.perSpot()) + waves - 1) / waves;
    }

    public int atSpots() {
        if (!isTask()) return pupils;
        int crews = crewsAtOnce();
        boolean all = crews > 0 && crews == Crews.count(pupils, ladder.perSpot());
        return all ? pupils : Math.min(pupils, crews * ladder.perSpot());
    }

    /** Those whom it is for. */
    public List<PlanPupil> members(Setting setting) {
        return block.members(setting.pupils());
    }

    /** Pupils who are not at a spot while the first wave is at work. */
    public int waiting() {
        return pupils - atSpots() + others;
    }

    /** Seconds for which one pupil waits in the whole block, on average of all who are there: whom it is not for waits through all of it. */
    public long waitingSecOnAverage() {
        if (others == 0) return waitingSec();
        long all = (long) block.sets() * turns() * sides.size() * workSec();
        return (pupils * waitingSec() + others * all) / (pupils + others);
    }

    /** Seconds for which one pupil waits for a spot in the whole block: the others' work, their count-in, their changes of side and of place. */
    public long waitingSec() {
        Timing t = timing();
        long othersTurnSec = t.countInSec()
                + (long) t.sides() * workSec()
                + (long) (t.sides() - 1) * t.sideSwapSec()
                + t.turnSwapSec();
        return (long) block.sets() * (turns() - parts()) * othersTurnSec;
    }

    /** The rungs of the sets, the first set's first, each once; all on one where each pupil is on their own. */
    public List<Rung> setRungs() {
        if (block.rungBy() != Block.RungBy.ONE) return List.of(rung);
        return Stream.concat(
                        Stream.of(rung),
                        block.laterRungIds().stream().limit(block.sets() - 1L).flatMap(id -> ladder.rung(id).stream()))
                .distinct()
                .toList();
    }

    /** @param set from 1 */
    Rung rungOfSet(int set) {
        return ladder.rung(block.rungIdOfSet(set)).orElse(rung);
    }

    /** What is needed for all of its sets. */
    public List<KitRole> kit() {
        return setRungs().stream()
                .flatMap(r -> ladder.kit(r).stream().map(role -> laid(role, InForce.course(this, r))))
                .distinct()
                .toList();
    }

    /** As many markers as the course that is drawn has places. */
    private static KitRole laid(KitRole role, Course course) {
        return course == null || !role.role().equals("markers")
                ? role
                : new KitRole(
                        role.role(),
                        role.kind(),
                        RungWords.markersOf(course),
                        course.places(),
                        role.needs(),
                        role.standIns(),
                        role.refused());
    }

    /** Where it is done from, or null where that makes no difference. */
    public Double standM() {
        return InForce.standM(this, rung);
    }

    /** How it is stepped back, or null where nobody steps. */
    public Stairs stairs() {
        return InForce.stairs(this, rung);
    }

    /** The rung of one pupil: the block's, or their own. */
    public Rung rungOf(String pupilId, Setting setting) {
        return ownRung(pupilId, setting).rung();
    }

    OwnRung ownRung(String pupilId, Setting setting) {
        Standings standings = setting.standings();
        return switch (block.rungBy()) {
            case ONE -> new OwnRung(rung, rung, null);
            case OWN -> OwnRung.of(this, standings.ownRung(pupilId, ladder), setting);
            case CHOOSE -> OwnRung.of(this, standings.chosenRung(pupilId, ladder), setting);
        };
    }

    /** The sides that this block asks for on another rung of its ladder. */
    List<Side> sidesOn(Rung other) {
        return sides(other.sides(), block.sides());
    }
}
