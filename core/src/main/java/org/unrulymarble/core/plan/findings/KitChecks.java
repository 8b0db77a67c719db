package org.unrulymarble.core.plan.findings;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.unrulymarble.core.kit.Kit;
import org.unrulymarble.core.kit.KitFits;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.kit.KitProperty;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.ladder.Caution;
import org.unrulymarble.core.plan.Circuit;
import org.unrulymarble.core.plan.KitNeed;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.edit.BlockEdit;
import org.unrulymarble.core.plan.findings.Finding.Code;
import org.unrulymarble.core.plan.findings.Finding.Mend;
import org.unrulymarble.core.plan.findings.Found.Change;

/** Kit that is short, missing, does not fit, or asks for protective gear. */
final class KitChecks {

    private static final String MOUTH_GUARD = "mouth-guard";

    private final View view;
    private final Kit kit;
    private final Mends mends;
    private final List<Found> out;

    private KitChecks(View view, List<Found> out) {
        this.view = view;
        this.kit = view.setting().kit();
        this.mends = new Mends(view);
        this.out = out;
    }

    static void look(View view, List<Found> out) {
        KitChecks checks = new KitChecks(view, out);
        Map<Circuit, Map<String, Integer>> inCircuits = new HashMap<>();
        for (Placed p : view.tasks()) {
            if (view.atHome()) checks.atHome(p);
            else
                checks.enough(
                        p,
                        p.station() == null
                                ? new HashMap<>()
                                : inCircuits.computeIfAbsent(p.station().circuit(), c -> new HashMap<>()));
            checks.misfit(p);
            checks.unsuited(p);
            checks.gear(p);
        }
    }

    /** @param taken what the stations before it in its circuit have, at the same time */
    private void enough(Placed p, Map<String, Integer> taken) {
        for (KitNeed need : KitNeed.of(p)) {
            int left = need.count();
            for (String kind : need.kinds()) left -= take(taken, kind, left);
            if (left <= 0) continue;
            int missing = left;
            Code code = missing == need.count() ? Code.KIT_MISSING : Code.KIT_SHORT;
            out.add(Found.stop(code)
                    .at(p)
                    .about(need.label())
                    .figure("need", need.count())
                    .figure("have", need.count() - missing)
                    .figure("what", need.role().what())
                    .figure("kind", need.kinds().get(0))
                    .figure("meanwhile", need.meanwhile())
                    .mend(mends.first(
                            () -> fillUp(p, need, missing, taken),
                            () -> need.meanwhile() ? Optional.empty() : fewerSpots(p, need, need.count() - missing),
                            () -> need.meanwhile() ? otherQuiet(p) : Optional.empty(),
                            () -> need.meanwhile() ? Optional.empty() : mends.otherTask(p),
                            () -> need.meanwhile() ? Optional.empty() : mends.remove(p)))
                    .done());
        }
    }

    private int take(Map<String, Integer> taken, String kind, int want) {
        int have = kit.have(kind);
        if (have == Kit.PLENTY) return want;
        int used = taken.getOrDefault(kind, 0);
        int got = Math.max(0, Math.min(want, have - used));
        taken.put(kind, used + got);
        return got;
    }

    private Optional<Change> fillUp(Placed p, KitNeed need, int missing, Map<String, Integer> taken) {
        List<String> kinds = new ArrayList<>(need.kinds());
        List<String> added = new ArrayList<>();
        Kit.Choice first = null;
        int left = missing;
        for (Kit.Choice choice : kit.standInsFor(need.role())) {
            if (left <= 0) break;
            if (kinds.contains(choice.kind())) continue;
            int got = take(new HashMap<>(taken), choice.kind(), left);
            if (got == 0) continue;
            left -= got;
            kinds.add(choice.kind());
            added.add(choice.name());
            if (first == null) first = choice;
        }
        if (first == null) return Optional.empty();
        // What is not there at all is not handed out.
        List<String> handed = kinds.stream().filter(k -> kit.have(k) > 0).toList();
        String id = p.block().id();
        Map<String, Object> figures = new HashMap<>(
                Map.of("with", String.join(", ", added), "changes", first.changes(), "left", Math.max(0, left)));
        if (first.make() != null) {
            figures.put("make", first.make());
            figures.put("makeMin", first.makeMin());
        }
        return Optional.of(Change.of(Mend.Kind.FILL_UP, figures, new BlockEdit.PlayWith(id, need.label(), handed)));
    }

    private Optional<Change> fewerSpots(Placed p, KitNeed need, int have) {
        int spots = have / need.role().perSpot();
        if (spots < 1 || spots >= p.crewsAtOnce()) return Optional.empty();
        String id = p.block().id();
        return Optional.of(
                Change.of(Mend.Kind.FEWER_SPOTS, Map.of("spots", spots), new BlockEdit.SetMostSpots(id, spots)));
    }

    /** Another quiet task whose kit is there; else none, and the wave is told to wait. */
    private Optional<Change> otherQuiet(Placed p) {
        String id = p.block().id();
        return TimeChecks.quietTask(view, p)
                .or(() -> Optional.of(Change.of(
                        Mend.Kind.REMOVE,
                        Map.of("task", p.quietLadder().name()),
                        new BlockEdit.SetMeanwhile(id, null))));
    }

    private void atHome(Placed p) {
        for (KitNeed need : KitNeed.of(p)) {
            if (need.kinds().stream().anyMatch(this::everywhere)) continue;
            List<String> without = view.setting().pupils().stream()
                    .filter(pupil -> need.kinds().stream()
                            .allMatch(k -> pupil.homeKit().getOrDefault(k, 0)
                                    < need.role().perSpot()))
                    .map(PlanPupil::name)
                    .toList();
            if (without.isEmpty()) continue;
            Found.Draft draft = Found.stop(Code.KIT_AT_HOME)
                    .at(p)
                    .about(need.label())
                    .figure("what", need.role().what())
                    .figure("without", without.size())
                    .mend(mends.first(() -> homeStandIn(p, need), () -> mends.otherTask(p), () -> mends.remove(p)));
            without.forEach(draft::pupil);
            out.add(draft.done());
        }
    }

    private boolean everywhere(String kind) {
        return kit.kind(kind)
                .filter(k -> k.household() || k.group() == KitKind.Group.MARK)
                .isPresent();
    }

    private Optional<Change> homeStandIn(Placed p, KitNeed need) {
        return kit.standInsFor(need.role()).stream()
                .filter(c -> everywhere(c.kind()))
                .findFirst()
                .map(c -> {
                    List<String> kinds = new ArrayList<>(need.kinds());
                    kinds.add(c.kind());
                    Map<String, Object> figures =
                            new HashMap<>(Map.of("with", c.name(), "changes", c.changes(), "left", 0));
                    if (c.make() != null) {
                        figures.put("make", c.make());
                        figures.put("makeMin", c.makeMin());
                    }
                    String id = p.block().id();
                    return Change.of(Mend.Kind.FILL_UP, figures, new BlockEdit.PlayWith(id, need.label(), kinds));
                });
    }

    /** A ball that does not go into what it should go into. */
    private void misfit(Placed p) {
        List<KitKind> openings = p.kit().stream()
                .filter(r -> !r.countsAsBall())
                .flatMap(r -> view.kinds(p, r).stream())
                .filter(k -> k.openingCm() != null)
                .toList();
        for (KitKind ball : view.balls(p))
            for (KitKind opening : openings) {
                if (KitFits.goes(ball, opening)) continue;
                out.add(Found.stop(Code.KIT_MISFIT)
                        .at(p)
                        .about(ball.id())
                        .figure("ball", ball.name())
                        .figure("ballCm", ball.sizeCm())
                        .figure("into", opening.name())
                        .figure("openingCm", opening.openingCm())
                        .mend(mends.first(
                                () -> mends.otherBall(
                                        p,
                                        Mend.Kind.BALL_THAT_FITS,
                                        k -> openings.stream().allMatch(o -> KitFits.goes(k, o))),
                                () -> mends.otherTask(p),
                                () -> mends.remove(p)))
                        .done());
                return;
            }
    }

    /** What was chosen in the place of the task's own kit and cannot do what the task needs of it, or is refused there. */
    private void unsuited(Placed p) {
        for (KitRole role : p.kit())
            for (KitKind kind : view.kinds(p, role)) {
                boolean refused = role.refused().contains(kind.id());
                Optional<KitProperty> lacks = named(role, kind)
                        ? Optional.empty()
                        : role.needs().stream()
                                .filter(need -> !kind.properties().contains(need))
                                .findFirst();
                if (!refused && lacks.isEmpty()) continue;
                out.add(Found.stop(Code.KIT_UNSUITED)
                        .at(p)
                        .about(role.role() + ":" + kind.id())
                        .figure("with", kind.name())
                        .figure("what", role.what())
                        .figure("lacks", refused ? null : lacks.get().name())
                        .school(Finding.School.SAFETY)
                        .mend(mends.first(() -> suited(p, role)))
                        .done());
            }
    }

    /** What the ladder itself names, with what it changes there. */
    private static boolean named(KitRole role, KitKind kind) {
        return role.kind().equals(kind.id())
                || role.standIns().stream().anyMatch(s -> s.kind().equals(kind.id()));
    }

    private Optional<Change> suited(Placed p, KitRole role) {
        List<String> kinds = kit.standInsFor(role).stream()
                .map(Kit.Choice::kind)
                .filter(k -> kit.have(k) > 0)
                .toList();
        String best = kit.have(role.kind()) > 0 || kinds.isEmpty() ? role.kind() : kinds.get(0);
        String id = p.block().id();
        return Optional.of(Change.of(
                Mend.Kind.BALL_THAT_FITS,
                Map.of("ball", kit.kind(best).map(KitKind::name).orElse(best), "changes", ""),
                new BlockEdit.PlayWith(id, role.role(), List.of(best))));
    }

    /** Gear is asked for by a hard ball, or by a task that has no ball and names gear all the same; raised sticks ask for mouth guards with any ball. */
    private void gear(Placed p) {
        List<KitKind> balls = view.balls(p);
        Optional<KitKind> hard = balls.stream().filter(KitKind::hard).findFirst();
        Set<String> asked = new LinkedHashSet<>();
        if (balls.isEmpty() || hard.isPresent()) asked.addAll(p.ladder().gear());
        if (p.ladder().cautions().contains(Caution.HARD_BALL_FACE)
                && balls.stream().anyMatch(k -> k.hard() && k.grips())) asked.add(MOUTH_GUARD);
        boolean raised = asked.isEmpty() && p.ladder().gear().contains(MOUTH_GUARD) && sticks(p);
        if (raised) asked.add(MOUTH_GUARD);
        int need = view.atHome() ? 1 : p.crewsAtOnce() * p.ladder().perSpot();
        for (String gear : asked) {
            int have = kit.have(gear);
            if (have >= need) continue;
            out.add((raised ? Found.mind(Code.GEAR_MISSING) : Found.stop(Code.GEAR_MISSING))
                    .at(p)
                    .about(gear)
                    .figure("gear", kit.kind(gear).map(KitKind::name).orElse(gear))
                    .figure("need", need)
                    .figure("have", have)
                    .figure("ball", hard.map(KitKind::name).orElse(null))
                    .school(Finding.School.SAFETY)
                    .mend(mends.first(
                            () -> hard.isEmpty()
                                    ? Optional.empty()
                                    : mends.otherBall(p, Mend.Kind.SOFTER_BALL, k -> !k.hard()),
                            () -> mends.otherTask(p),
                            () -> raised ? Optional.empty() : mends.remove(p)))
                    .done());
        }
    }

    private boolean sticks(Placed p) {
        return p.kit().stream()
                .flatMap(role -> view.kinds(p, role).stream())
                .anyMatch(k -> k.group() == KitKind.Group.STICK);
    }
}
