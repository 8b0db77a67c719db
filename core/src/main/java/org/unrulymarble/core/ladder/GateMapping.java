package org.unrulymarble.core.ladder;

import java.util.List;
import java.util.Map;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.check.Mapping;
import org.unrulymarble.core.measure.Gate;

/** What opens the next rung, as files have it: its kind is told by which figures it has. */
final class GateMapping extends Mapping<Gate> {

    private final Entry<Gate, Integer> inARow = whole("inARow", g -> g instanceof Gate.InARow row ? row.reach() : null)
            .range(1, Checks.MAX_SEC)
            .says("So many hits one after the other; alone.");
    private final Entry<Gate, Integer> reach = whole("reach", g -> g instanceof Gate.InARow ? null : g.reach())
            .range(1, Checks.MAX_SEC)
            .says("At least so many; for the measures that are times, and for keep-all, at most.");
    private final Entry<Gate, Integer> of = whole("of", Gate::outOf)
            .range(1, 1000)
            .says("Hits out of so many tries; for measures that count hits and misses.");
    private final Entry<Gate, Integer> inSec = whole("inSec", g -> g instanceof Gate.SoManyIn in ? in.inSec() : null)
            .range(1, Checks.MAX_SEC)
            .says("In so many seconds; for measures that count hits and misses.");

    GateMapping() {
        super(null, "What opens the next rung.");
    }

    @Override
    protected Map<String, Object> also() {
        return Map.of(
                "oneOf",
                List.of(
                        Map.of(
                                "required",
                                List.of("inARow"),
                                "properties",
                                Map.of("reach", false, "of", false, "inSec", false)),
                        Map.of("required", List.of("reach"), "properties", Map.of("inARow", false))));
    }

    @Override
    protected Gate from(Fields f) {
        Integer row = inARow.of(f);
        Integer many = reach.of(f);
        Integer tries = of.of(f);
        Integer sec = inSec.of(f);
        if (row == null) return Gate.of(many, tries, sec);
        for (String other : List.of("reach", "of", "inSec"))
            if (f.has(other)) f.wrong(other, Fault.Rule.NO_FIELD, "inARow");
        return new Gate.InARow(row);
    }
}
