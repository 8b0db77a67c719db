package org.unrulymarble.core.plan;

import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Rung;

/**
 * What a block may ask of its task. A lesson that is saved is held to it; one that was saved before its ladder changed can still be read, and its plan
 * shows what is too much.
 */
public final class Allowed {

    private Allowed() {}

    /** @throws org.unrulymarble.core.check.Refused naming each field that its task does not allow */
    public static void check(Lesson lesson, Catalogue catalogue) {
        Checks checks = new Checks();
        for (int i = 0; i < lesson.blocks().size(); i++) {
            Block block = lesson.blocks().get(i);
            String at = "blocks[" + i + "].";
            catalogue
                    .ladder(block.ladderId() == null ? "" : block.ladderId())
                    .ifPresent(ladder -> block(checks, at, block, ladder));
        }
        checks.done();
    }

    private static void block(Checks checks, String at, Block block, Ladder ladder) {
        ladder.rung(block.rungId()).map(Rung::modifiers).ifPresent(allowed -> {
            List<Modifier> asked = block.modifiers();
            for (int m = 0; m < asked.size(); m++)
                checks.that(
                        allowed.contains(asked.get(m)), at + "modifiers[" + m + "]", Fault.Rule.ONE_OF, names(allowed));
        });
        checks.that(
                block.mark() == null || ladder.footprint().needsWall(),
                at + "mark",
                Fault.Rule.ONE_OF,
                "none: this task is not played at a wall");
    }

    private static String names(List<Modifier> allowed) {
        return allowed.isEmpty()
                ? "none"
                : String.join(", ", allowed.stream().map(Modifier::name).toList());
    }
}
