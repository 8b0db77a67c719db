package org.unrulymarble.core.plan.findings;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.plan.Adaptation;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.edit.BlockEdit;
import org.unrulymarble.core.plan.edit.Edit;
import org.unrulymarble.core.plan.findings.Finding.Code;
import org.unrulymarble.core.plan.findings.Finding.Mend;
import org.unrulymarble.core.plan.findings.Found.Change;

/** Named pupils who do it differently: the variant to use, or another task where there is none. */
final class PupilChecks {

    private final View view;
    private final List<Found> out;

    private PupilChecks(View view, List<Found> out) {
        this.view = view;
        this.out = out;
    }

    static void look(View view, List<Found> out) {
        PupilChecks checks = new PupilChecks(view, out);
        for (PlanPupil pupil : view.setting().pupils())
            for (Adaptation adaptation : pupil.adaptations().stream().sorted().toList()) checks.look(pupil, adaptation);
    }

    private void look(PlanPupil pupil, Adaptation adaptation) {
        List<Placed> open = view.tasks().stream()
                .filter(p -> p.members(view.setting()).contains(pupil))
                .filter(p -> p.block().variants().stream()
                        .noneMatch(v -> v.pupilId().equals(pupil.id()) && v.adaptation() == adaptation))
                .toList();
        List<Placed> withVariant =
                open.stream().filter(p -> has(p.ladder(), adaptation)).toList();
        if (!withVariant.isEmpty()) {
            List<String> ids = withVariant.stream().map(p -> p.block().id()).toList();
            out.add(Found.mind(Code.ADAPTATION)
                    .about(pupil.id() + ":" + adaptation)
                    .pupil(pupil.name())
                    .figure("adaptation", adaptation.name())
                    .figure("blocks", ids)
                    .mend(Change.of(
                            Mend.Kind.USE_VARIANTS,
                            Map.of("tasks", ids.size()),
                            ids.stream()
                                    .<Edit>map(id -> new BlockEdit.AddVariant(
                                            id, new Block.Variant(pupil.id(), adaptation, null)))
                                    .toList()))
                    .done());
        }
        for (Placed p : open) {
            if (has(p.ladder(), adaptation)) continue;
            Optional<Kin> kin = view.trial() ? Optional.empty() : Kin.of(view, p, k -> has(k.ladder(), adaptation));
            out.add(Found.mind(Code.ADAPTATION_NO_VARIANT)
                    .at(p)
                    .about(pupil.id() + ":" + adaptation)
                    .pupil(pupil.name())
                    .figure("adaptation", adaptation.name())
                    .mend(kin.map(k -> instead(p, pupil, adaptation, k)).orElse(null))
                    .done());
        }
    }

    private static Change instead(Placed p, PlanPupil pupil, Adaptation adaptation, Kin kin) {
        Block.Task task = new Block.Task(kin.ladder().id(), kin.rung().id());
        String id = p.block().id();
        return Change.of(
                Mend.Kind.OTHER_TASK_FOR_ONE,
                Map.of("task", kin.ladder().name(), "rung", kin.rung().words().name()),
                new BlockEdit.AddVariant(id, new Block.Variant(pupil.id(), adaptation, task)));
    }

    /** Calls that are shown as well as heard, and a bright ball with a voice before the throw, go with every task. */
    private static boolean has(Ladder ladder, Adaptation adaptation) {
        return switch (adaptation) {
            case SEATED -> ladder.seated() != null;
            case ONE_HAND -> ladder.oneHand() != null;
            case SEES_LITTLE, HEARS_LITTLE -> true;
        };
    }
}
