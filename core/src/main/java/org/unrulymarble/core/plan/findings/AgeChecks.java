package org.unrulymarble.core.plan.findings;

import java.util.List;
import org.unrulymarble.core.ladder.Ages;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.findings.Finding.Code;

/** A task for other ages than those of most who do it. Whoever is a year out in a class is no reason. */
final class AgeChecks {

    private AgeChecks() {}

    static void look(View view, List<Found> out) {
        for (Placed p : view.tasks()) {
            List<PlanPupil> known = known(p.members(view.setting()));
            if (suitsMost(p.ladder(), known)) continue;
            Ages ages = p.ladder().ages();
            out.add(Found.mind(Code.AGE_UNSUITED)
                    .at(p)
                    .figure("from", ages.from())
                    .figure("to", ages.to())
                    .figure(
                            "others",
                            known.stream().filter(m -> !ages.suits(m.age())).count())
                    .figure("pupils", known.size())
                    .mend(new Mends(view).otherTask(p).orElse(null))
                    .done());
        }
    }

    /** Whether it suits at least half of those whose age is known. */
    static boolean suitsMost(Ladder ladder, Setting setting) {
        return suitsMost(ladder, known(setting.pupils()));
    }

    private static boolean suitsMost(Ladder ladder, List<PlanPupil> known) {
        if (ladder.ages() == null || known.isEmpty()) return true;
        long suited = known.stream().filter(m -> ladder.ages().suits(m.age())).count();
        return 2 * suited >= known.size();
    }

    private static List<PlanPupil> known(List<PlanPupil> pupils) {
        return pupils.stream().filter(m -> m.age() != null).toList();
    }
}
