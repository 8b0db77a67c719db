package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.run.RunScript;

/** Makes a lesson into the script of a run: every segment, and who is where in every turn. */
public final class ScriptWriter {

    private ScriptWriter() {}

    /**
     * @param setting with the pupils in the order in which they take the spots
     * @throws org.unrulymarble.core.check.Refused naming the block and field, for a ladder or rung that is not known
     */
    public static RunScript write(Lesson lesson, Setting setting) {
        return write(lesson, setting, Placed.all(lesson, setting));
    }

    /** @param placed the same lesson's blocks in the same setting, where somebody has placed them already */
    public static RunScript write(Lesson lesson, Setting setting, List<Placed> placed) {
        Timeline time = Timeline.of(lesson.restRule(), lesson.transitionSec(), placed);
        return new RunScript(
                time.segments(),
                placed.stream().map(p -> block(p, setting)).toList(),
                time.pieces().stream()
                        .filter(piece -> piece.circuit() != null)
                        .map(piece -> circuit(piece, setting))
                        .toList());
    }

    private static RunScript.ScriptCircuit circuit(Timeline.Piece piece, Setting setting) {
        Circuit circuit = piece.circuit();
        return new RunScript.ScriptCircuit(
                piece.first(),
                circuit.stations(),
                circuit.rounds(),
                circuit.groupsOf(setting).stream()
                        .map(g -> g.stream().map(PlanPupil::id).toList())
                        .toList(),
                IntStream.range(0, circuit.stations())
                        .mapToObj(visit -> IntStream.range(0, circuit.stations())
                                .mapToObj(station -> circuit.groupAt(station, visit))
                                .toList())
                        .toList(),
                piece.blocks().get(0).station().where());
    }

    private static RunScript.ScriptBlock block(Placed p, Setting setting) {
        Block block = p.block();
        Block.Task meanwhile = block.meanwhile();
        List<String> pupilIds = setting.pupils().stream().map(PlanPupil::id).toList();
        return new RunScript.ScriptBlock(
                RunScript.BlockKind.valueOf(block.kind().name()),
                p.isTask() ? p.ladder().id() : null,
                p.isTask() ? p.rung().id() : null,
                rungOf(p, setting),
                block.modifiers(),
                p.isTask() ? rungs(p) : List.of(),
                block.rungBy() == Block.RungBy.CHOOSE,
                Caller.of(p),
                block.attitude(),
                block.beat() && p.isTask() ? p.rung().pace().hitSec() : null,
                block.cue() == Block.Cue.AFTER_A_TRY,
                p.isTask() ? p.sides() : List.of(Side.NONE),
                p.reps(),
                p.moves() ? p.workSec() : 0,
                block.dose().type() != BlockDose.Type.CLOCK,
                p.isTask() && block.counted(),
                null,
                block.optionalSets(),
                p.steps(),
                block.routine() == null ? block.note() : block.routine().name(),
                p.isTask() ? ball(p, setting) : null,
                meanwhile == null ? null : meanwhile.ladderId(),
                meanwhile == null ? null : meanwhile.rungId(),
                p.isTask() ? turns(p, setting) : List.of(everyone(pupilIds)),
                otherwise(p),
                block.rungBy() == Block.RungBy.ONE ? block.laterRungIds() : List.of(),
                block.helpers() == null ? List.of() : p.ladder().roles());
    }

    /** What the record keeps beside a result: the rung's own distance is none of it; how called markers lay is, as another target would be. */
    private static RunScript.Otherwise otherwise(Placed p) {
        Double standM = p.block().standM();
        boolean own = p.isTask() && standM != null && standM.equals(p.rung().standM());
        return new RunScript.Otherwise(own ? null : standM, InForce.target(p));
    }

    /** As the ladder calls it; where the block is played with other kinds, those by their names. */
    private static String ball(Placed p, Setting setting) {
        return p.ladder()
                .ballRole()
                .map(role -> {
                    List<String> kinds = p.block().kindsFor(role.role(), role.kind());
                    return kinds.equals(List.of(role.kind()))
                            ? role.what()
                            : kinds.stream()
                                    .map(id -> setting.kit()
                                            .kind(id)
                                            .map(KitKind::name)
                                            .orElse(id))
                                    .collect(Collectors.joining(" or "));
                })
                .orElse(null);
    }

    private static List<RunScript.ScriptRung> rungs(Placed p) {
        return p.ladder().rungs().stream()
                .map(r -> new RunScript.ScriptRung(
                        r.id(),
                        InForce.measure(p, r),
                        InForce.stairs(p, r),
                        InForce.words(p, r),
                        InForce.otherMeasure(p, r)))
                .toList();
    }

    /** Only those who are not on the block's own rung. */
    private static Map<String, String> rungOf(Placed p, Setting setting) {
        Map<String, String> own = new HashMap<>();
        if (p.isTask())
            for (PlanPupil pupil : setting.pupils()) {
                String rung = p.rungOf(pupil.id(), setting).id();
                if (!rung.equals(p.rung().id())) own.put(pupil.id(), rung);
            }
        return own;
    }

    private static RunScript.ScriptTurn everyone(List<String> pupilIds) {
        return new RunScript.ScriptTurn(0, 0, List.of(new RunScript.Crew(0, pupilIds, List.of())), List.of());
    }

    private static List<RunScript.ScriptTurn> turns(Placed p, Setting setting) {
        return p.station() == null ? ofTheClass(p, setting) : atStation(p, setting);
    }

    /** Every group's turns in the order in which the groups come: at station 2 the second begins, then the first, then the last. */
    private static List<RunScript.ScriptTurn> atStation(Placed p, Setting setting) {
        Circuit circuit = p.station().circuit();
        List<List<PlanPupil>> groups = circuit.groupsOf(setting);
        List<RunScript.ScriptTurn> turns = new ArrayList<>();
        for (int stage = 0; stage < circuit.stations(); stage++) {
            List<PlanPupil> here = groups.get(circuit.groupAt(p.station().number(), stage));
            List<List<List<String>>> waves =
                    waves(here.stream().map(PlanPupil::id).toList(), p, setting);
            for (int wave = 0; wave < waves.size(); wave++)
                for (int part = 0; part < p.parts(); part++) turns.add(turn(wave, part, waves, List.of(), p));
        }
        return turns;
    }

    private static List<RunScript.ScriptTurn> ofTheClass(Placed p, Setting setting) {
        List<PlanPupil> members = p.members(setting);
        List<String> others = setting.pupils().stream()
                .filter(pupil -> !members.contains(pupil))
                .map(PlanPupil::id)
                .toList();
        List<List<List<String>>> waves =
                waves(members.stream().map(PlanPupil::id).toList(), p, setting);
        List<RunScript.ScriptTurn> turns = new ArrayList<>();
        for (int wave = 0; wave < waves.size(); wave++)
            for (int part = 0; part < p.parts(); part++) turns.add(turn(wave, part, waves, others, p));
        return turns;
    }

    /** Crews in order, spread evenly over the waves: fourteen pairs in three waves are four, five and five. */
    private static List<List<List<String>>> waves(List<String> pupilIds, Placed p, Setting setting) {
        int waves = p.waves();
        List<List<String>> crews = Sharing.crews(pupilIds, p, setting);
        List<List<List<String>>> out = new ArrayList<>();
        for (int wave = 0; wave < waves; wave++)
            out.add(crews.subList(crews.size() * wave / waves, crews.size() * (wave + 1) / waves));
        return out;
    }

    private static RunScript.ScriptTurn turn(
            int wave, int part, List<List<List<String>>> waves, List<String> others, Placed p) {
        List<RunScript.Crew> crews = new ArrayList<>();
        List<String> waiting = new ArrayList<>();
        for (int w = 0; w < waves.size(); w++) {
            List<List<String>> members = waves.get(w);
            for (int spot = 0; spot < members.size(); spot++) {
                if (w == wave) crews.add(crew(spot, members.get(spot), part, p));
                else waiting.addAll(members.get(spot));
            }
        }
        waiting.addAll(others);
        return new RunScript.ScriptTurn(wave, part, crews, waiting);
    }

    private static RunScript.Crew crew(int spot, List<String> members, int part, Placed p) {
        List<String> workers = Crews.workers(members, part, p);
        return new RunScript.Crew(spot, workers, Crews.helpers(members, workers));
    }
}
