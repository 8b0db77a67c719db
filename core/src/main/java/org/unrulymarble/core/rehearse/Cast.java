package org.unrulymarble.core.rehearse;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.unrulymarble.core.chance.GateChance;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.plan.GateOdds;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.ScriptWriter;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.run.RunScript;

/** A lesson for so many pupils: the very script that a run would play, with who works in each round by their place among those who are there. */
final class Cast {

    private final List<Placed> placed;
    private final LessonPlan plan;
    private final RunScript script;
    private final List<int[]> workers = new ArrayList<>();

    Cast(Lesson lesson, Setting setting, int pupils) {
        Setting here = setting.of(setting.pupils().subList(0, pupils));
        placed = Placed.all(lesson, here);
        plan = LessonPlan.of(lesson, here, placed);
        script = ScriptWriter.write(lesson, here);
        Map<String, Integer> places = new HashMap<>();
        for (PlanPupil p : here.pupils()) places.put(p.id(), places.size());
        for (Segment s : script.segments())
            workers.add(
                    s.kind() != Segment.Kind.WORK
                            ? new int[0]
                            : script.turnOf(s).crews().stream()
                                    .flatMap(c -> c.workers().stream())
                                    .mapToInt(places::get)
                                    .toArray());
    }

    List<Segment> segments() {
        return script.segments();
    }

    int[] workers(int segment) {
        return workers.get(segment);
    }

    Placed placed(int block) {
        return placed.get(block);
    }

    RunScript.ScriptBlock scriptBlock(int block) {
        return script.blocks().get(block);
    }

    double waitSec(int block) {
        return Plays.waitSec(plan, block);
    }

    /** Whether there is a gate that can be told. */
    boolean told(int block) {
        Placed p = placed.get(block);
        return p.isTask() && p.block().counted() && GateChance.known(GateOdds.measure(p), GateOdds.gate(p));
    }
}
