package org.unrulymarble.core.ladder;

import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * The ages that a task suits, by our own judgement: whoever knows the pupils decides.
 *
 * @param from years, 3 to 99
 * @param to years, not below {@code from}; null where nobody is too old for it
 */
public record Ages(Integer from, @Nullable Integer to) {
    public Ages {
        Checks checks = new Checks().range("from", from, 3, 99);
        if (to != null) checks.range("to", to, 3, 99);
        checks.done();
        checks.that(to == null || to >= from, "to", Fault.Rule.AT_LEAST_FIELD, "from")
                .done();
    }

    public boolean suits(int years) {
        return years >= from && (to == null || years <= to);
    }
}
