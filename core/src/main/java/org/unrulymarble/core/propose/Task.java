package org.unrulymarble.core.propose;

import java.util.List;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.findings.Finding;
import org.unrulymarble.core.plan.findings.Fits;
import org.unrulymarble.core.record.Due;

/**
 * A rung that may be in the next lesson, as it would be done here.
 *
 * @param ways with so many sets each, all within the lesson; none where it does not go here
 * @param near pupils who are a round or a few from its gate
 * @param held pupils who have little left to gain there
 */
record Task(
        Ladder ladder,
        Rung rung,
        Fits.Here here,
        List<ProposeAsk.Way> ways,
        Due due,
        Integer daysSince,
        int near,
        int held,
        double merit) {

    boolean goes() {
        return !ways.isEmpty();
    }

    Block block(String id, int option) {
        int sets = ways.get(option).sets();
        return here.block().with(d -> {
            d.id = id;
            d.sets = sets;
            d.optionalSets = 0;
        });
    }

    ProposeAsk.Candidate candidate(boolean must) {
        return new ProposeAsk.Candidate(
                ladder.id(),
                ladder.id(),
                ladder.part() == Part.WARM_UP
                        ? ProposeAsk.Place.OPEN
                        : ladder.part() == Part.COOL_DOWN ? ProposeAsk.Place.CLOSE : ProposeAsk.Place.MAIN,
                Fields.small(ladder.family()),
                aspects(),
                ladder.effort(),
                merit,
                ladder.kit(rung).stream()
                        .map(KitRole::kind)
                        .distinct()
                        .limit(12)
                        .toList(),
                must,
                ways);
    }

    private List<String> aspects() {
        return ladder.aspects().stream().map(Fields::small).distinct().limit(10).toList();
    }

    NextLesson.Reason reason(String blockId) {
        return new NextLesson.Reason(
                blockId,
                ladder.id(),
                rung.id(),
                daysSince,
                due.dueInDays(),
                near,
                held,
                here.fit().spots() * ladder.workingAtOnce(),
                aspects());
    }

    NextLesson.PassedOver passedOver() {
        Finding stops = goes()
                ? null
                : here.fit().findings().stream()
                        .filter(f -> f.level() == Finding.Level.STOP)
                        .findFirst()
                        .orElse(null);
        return new NextLesson.PassedOver(
                ladder.id(), rung.id(), merit, here.fit().verdict(), stops, due.dueInDays(), near);
    }
}
