package org.unrulymarble.core.plan;

import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.kit.Kit;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Match;
import org.unrulymarble.core.measure.Measure;

/**
 * What a block may ask of its task. A lesson that is saved is held to it; one that was saved before its ladder changed can still be read, and its plan
 * shows what is too much.
 */
public final class Allowed {

    private Allowed() {}

    /**
     * @param kit what the school knows of each kind
     * @throws org.unrulymarble.core.check.Refused naming each field that its task does not allow
     */
    public static void check(Lesson lesson, Catalogue catalogue, Kit kit) {
        Checks checks = new Checks();
        for (int i = 0; i < lesson.blocks().size(); i++)
            kit(checks, "blocks[" + i + "].", lesson.blocks().get(i), catalogue, kit);
        for (int i = 0; i < lesson.blocks().size(); i++) {
            Block block = lesson.blocks().get(i);
            String at = "blocks[" + i + "].";
            catalogue
                    .ladder(block.ladderId() == null ? "" : block.ladderId())
                    .ifPresent(ladder -> block(checks, at, block, ladder));
        }
        checks.done();
    }

    /** What never plays a role, or not this one, is chosen by nobody: neither in a menu nor past it. */
    private static void kit(Checks checks, String at, Block block, Catalogue catalogue, Kit kit) {
        Ladder ladder = catalogue
                .ladder(block.ladderId() == null ? "" : block.ladderId())
                .orElse(null);
        Rung rung = ladder == null ? null : ladder.rung(block.rungId()).orElse(null);
        if (rung == null) return;
        for (int k = 0; k < block.kit().size(); k++) {
            Block.KitChoice choice = block.kit().get(k);
            for (KitRole role : ladder.kit(rung)) {
                if (!role.role().equals(choice.role())) continue;
                for (int n = 0; n < choice.kinds().size(); n++) {
                    boolean admitted = kit.kind(choice.kinds().get(n))
                            .map(kind -> ladder.admits(role, kind))
                            .orElse(true);
                    checks.that(
                            admitted,
                            at + "kit[" + k + "].kinds[" + n + "]",
                            Fault.Rule.ONE_OF,
                            "what this task allows for it");
                }
            }
        }
    }

    private static void block(Checks checks, String at, Block block, Ladder ladder) {
        ladder.rung(block.rungId()).map(Rung::modifiers).ifPresent(allowed -> {
            List<Modifier> asked = block.modifiers();
            for (int m = 0; m < asked.size(); m++)
                checks.that(
                        allowed.contains(asked.get(m)), at + "modifiers[" + m + "]", Fault.Rule.ONE_OF, names(allowed));
        });
        ladder.rung(block.rungId())
                .ifPresent(rung -> checks.that(
                        block.measure() == null || rung.measure().mayBeScoredAs(block.measure()),
                        at + "measure",
                        Fault.Rule.ONE_OF,
                        String.join(", ", rung.ways().stream().map(Enum::name).toList())));
        ladder.rung(block.rungId()).ifPresent(rung -> {
            Measure measure = block.measure() == null ? rung.measure() : block.measure();
            checks.that(
                    block.gate() == null || measure.mayHave(block.gate()),
                    at + "gate",
                    Fault.Rule.ONE_OF,
                    "reach alone");
        });
        checks.that(
                !(block.dose() instanceof BlockDose.ByCount count
                        && !count.orReps().isEmpty()
                        && byTries(block, ladder)),
                at + "dose.orReps",
                Fault.Rule.ONE_OF,
                "none: of so many is counted here, and all need as many");
        if (block.measure() instanceof Match match
                && ladder.rung(block.rungId())
                        .filter(r -> r.measure() instanceof Match own && own.targetScore() != null)
                        .isPresent())
            checks.that(match.targetScore() != null, at + "measure.targetScore", Fault.Rule.RANGE, 1, 1000);
        for (int k = 0; k < block.laterRungIds().size(); k++)
            checks.that(
                    goesAfter(block, ladder, block.laterRungIds().get(k)),
                    at + "laterRungIds[" + k + "]",
                    Fault.Rule.ONE_OF,
                    "a rung of the same ladder with the same sides");
        checks.that(
                block.called() == null
                        || ladder.rung(block.rungId())
                                .filter(ladder::callsMarkers)
                                .isPresent(),
                at + "called",
                Fault.Rule.ONE_OF,
                "none: no markers are called in this task");
        checks.that(
                block.mark() == null || ladder.footprint().needsWall(),
                at + "mark",
                Fault.Rule.ONE_OF,
                "none: this task is not played at a wall");
    }

    /** Whether a share of so many goes is what is scored. */
    private static boolean byTries(Block block, Ladder ladder) {
        Measure own = ladder.rung(block.rungId()).map(Rung::measure).orElse(null);
        Measure measure = block.measure() == null ? own : block.measure();
        return measure != null && measure.compared() == Measure.Compared.BY_TRIES;
    }

    /** Whether another set of the block may be on this rung: it has turns for the same sides. */
    public static boolean goesAfter(Block block, Ladder ladder, String rungId) {
        return ladder.rung(rungId)
                .filter(later -> ladder.rung(block.rungId()).stream()
                        .allMatch(first -> Side.of(first.sides()).equals(Side.of(later.sides()))))
                .isPresent();
    }

    private static String names(List<Modifier> allowed) {
        return allowed.isEmpty()
                ? "none"
                : String.join(", ", allowed.stream().map(Modifier::name).toList());
    }
}
