package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.clock.Dose;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.score.RunScript;

/** Makes a lesson into the script of a run: every segment, and who is where in every turn. */
public final class ScriptWriter {

    private ScriptWriter() {}

    /**
     * @param pupilIds in the order in which they take the spots
     * @throws org.unrulymarble.core.check.Refused naming the block and field, for a ladder or rung that is not known
     */
    public static RunScript write(Lesson lesson, Space space, List<String> pupilIds, Catalogue catalogue) {
        List<LessonPlan.Placed> placed = LessonPlan.place(lesson, space, pupilIds.size(), catalogue);
        LessonClock clock = LessonClock.of(new LessonClock.ClockAsk(
                lesson.restRule(),
                lesson.transitionSec(),
                placed.stream().map(LessonPlan.Placed::timing).toList()));
        return new RunScript(
                clock.segments(), placed.stream().map(p -> block(p, pupilIds)).toList());
    }

    private static RunScript.ScriptBlock block(LessonPlan.Placed p, List<String> pupilIds) {
        Block block = p.block();
        Block.Task meanwhile = block.meanwhile();
        List<List<List<String>>> waves = waves(pupilIds, p.ladder().perSpot(), p.waves());
        List<RunScript.ScriptTurn> turns = new ArrayList<>();
        for (int wave = 0; wave < waves.size(); wave++)
            for (int part = 0; part < p.parts(); part++)
                turns.add(turn(wave, part, waves, p.ladder().workingAtOnce()));
        return new RunScript.ScriptBlock(
                block.ladderId(),
                block.rungId(),
                block.modifiers(),
                p.rung().measure(),
                p.sides(),
                block.dose().type() == Dose.Type.COUNT ? block.dose().reps() : null,
                block.dose().seconds(),
                block.counted(),
                meanwhile == null ? null : meanwhile.ladderId(),
                meanwhile == null ? null : meanwhile.rungId(),
                turns);
    }

    /** Crews of {@code perSpot}, in order, spread evenly over the waves: fourteen pairs in three waves are four, five and five. */
    private static List<List<List<String>>> waves(List<String> pupilIds, int perSpot, int waves) {
        List<List<String>> crews = new ArrayList<>();
        for (int from = 0; from < pupilIds.size(); from += perSpot)
            crews.add(pupilIds.subList(from, Math.min(pupilIds.size(), from + perSpot)));
        List<List<List<String>>> out = new ArrayList<>();
        for (int wave = 0; wave < waves; wave++)
            out.add(crews.subList(crews.size() * wave / waves, crews.size() * (wave + 1) / waves));
        return out;
    }

    private static RunScript.ScriptTurn turn(int wave, int part, List<List<List<String>>> waves, int workingAtOnce) {
        List<RunScript.Crew> crews = new ArrayList<>();
        List<String> waiting = new ArrayList<>();
        for (int w = 0; w < waves.size(); w++) {
            List<List<String>> members = waves.get(w);
            for (int spot = 0; spot < members.size(); spot++) {
                if (w == wave) crews.add(crew(spot, members.get(spot), part, workingAtOnce));
                else waiting.addAll(members.get(spot));
            }
        }
        return new RunScript.ScriptTurn(wave, part, crews, waiting);
    }

    /** A crew that is short of people begins again at its first: nobody stands idle. */
    private static RunScript.Crew crew(int spot, List<String> members, int part, int workingAtOnce) {
        List<String> workers = new ArrayList<>();
        for (int k = 0; k < workingAtOnce; k++) {
            String worker = members.get((part * workingAtOnce + k) % members.size());
            if (!workers.contains(worker)) workers.add(worker);
        }
        List<String> helpers =
                members.stream().filter(m -> !workers.contains(m)).toList();
        return new RunScript.Crew(spot, workers, helpers);
    }
}
