package org.unrulymarble.core.plan.findings;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.unrulymarble.core.ladder.Delivery;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Sides;
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
        List<Placed> balls = adaptation == Adaptation.SEES_LITTLE
                ? open.stream()
                        .filter(p -> fastest(p) >= view.thresholds().seesLittleMs())
                        .toList()
                : List.of();
        balls.forEach(p -> ballAt(p, pupil));
        List<Placed> withVariant = open.stream()
                .filter(p -> has(p, adaptation) && !balls.contains(p))
                .toList();
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
            if (has(p, adaptation) || balls.contains(p)) continue;
            Optional<Kin> kin =
                    view.trial() ? Optional.empty() : Kin.of(view, p, k -> has(k.ladder(), k.rung(), adaptation));
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

    /** A ball that comes at somebody who sees it late: the ladder's variant first, or another task. */
    private void ballAt(Placed p, PlanPupil pupil) {
        String id = p.block().id();
        Optional<Kin> kin = view.trial() || p.ladder().seesLittle() != null
                ? Optional.empty()
                : Kin.of(view, p, k -> k.rung().delivery() == null && k.ladder().seesLittle() != null);
        Change variant = p.ladder().seesLittle() == null
                ? kin.map(k -> instead(p, pupil, Adaptation.SEES_LITTLE, k)).orElse(null)
                : Change.of(
                        Mend.Kind.USE_VARIANTS,
                        Map.of("tasks", 1),
                        new BlockEdit.AddVariant(id, new Block.Variant(pupil.id(), Adaptation.SEES_LITTLE, null)));
        out.add(Found.stop(Code.SEES_LITTLE_BALL)
                .at(p)
                .about(pupil.id())
                .pupil(pupil.name())
                .figure("speedMs", fastest(p))
                .figure("variant", p.ladder().seesLittle())
                .beyond("seesLittleMs", view.thresholds().seesLittleMs())
                .school(Finding.School.SAFETY)
                .mend(view.trial() ? null : variant)
                .done());
    }

    private double fastest(Placed p) {
        return view.rungsInUse(p).stream()
                .map(r -> view.delivery(p, r))
                .flatMap(Optional::stream)
                .mapToDouble(Delivery::speedMs)
                .max()
                .orElse(0);
    }

    private static boolean has(Placed p, Adaptation adaptation) {
        return has(p.ladder(), p.rung(), adaptation);
    }

    /** Calls that are shown as well as heard go with every task, and a bright ball with a voice where nothing comes flying. */
    private static boolean has(Ladder ladder, Rung rung, Adaptation adaptation) {
        return switch (adaptation) {
            case SEATED -> ladder.seated() != null;
            case ONE_HAND -> ladder.oneHand() != null || rung.sides() == Sides.STRONG_ONLY;
            case SEES_LITTLE -> ladder.seesLittle() != null || rung.delivery() == null;
            case HEARS_LITTLE -> true;
        };
    }
}
