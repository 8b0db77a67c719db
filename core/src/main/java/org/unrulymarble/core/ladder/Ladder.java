package org.unrulymarble.core.ladder;

import java.util.List;
import java.util.Optional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.place.Footprint;

/**
 * A task as a ladder of 3 to 7 rungs, each changing one lever against the rung below.
 *
 * @param roles who is at a spot; the first role works
 * @param effort 1 (hardly any) to 5 (out of breath)
 * @param counted whether a round's result is worth keeping as a rule; a warm-up's is not
 * @param ballOrder the order in which this skill meets balls, first to last
 * @param eyes where the eyes are
 * @param seated how it is done sitting, or null where it makes no sense
 * @param oneHand how it is done with one hand, or null where it makes no sense
 */
public record Ladder(
        String id,
        Family family,
        String name,
        List<String> sports,
        List<Aspect> aspects,
        List<Role> roles,
        Footprint footprint,
        List<String> surfaces,
        Noise noise,
        Integer effort,
        Boolean counted,
        List<String> ballOrder,
        List<KitRole> kit,
        List<String> protectiveGear,
        List<String> cues,
        List<UsualFault> faults,
        String eyes,
        List<Caution> cautions,
        List<String> refusedPlaces,
        String seated,
        String oneHand,
        List<Rung> rungs) {

    public Ladder {
        Checks checks = new Checks()
                .text("id", id, 60)
                .required("family", family)
                .text("name", name, 60)
                .entries("sports", sports, 1, 20)
                .entries("aspects", aspects, 1, 10)
                .entries("roles", roles, 1, 6)
                .required("footprint", footprint)
                .entries("surfaces", surfaces, 1, 10)
                .required("noise", noise)
                .range("effort", effort, 1, 5)
                .required("counted", counted)
                .entries("ballOrder", ballOrder, 1, 10)
                .entries("kit", kit, 0, 10)
                .entries("cues", cues, 2, 4)
                .entries("faults", faults, 1, 8)
                .text("eyes", eyes, 120)
                .entries("cautions", cautions, 1, 12)
                .entries("rungs", rungs, 3, 7);
        checks.done();
        checks.that(roles.get(0).works(), "roles[0].works", Fault.Rule.ONE_OF, "true")
                .distinct("rungs", rungs.stream().map(Rung::id).toList())
                .distinct("faults", faults.stream().map(UsualFault::id).toList());
        for (int i = 0; i < rungs.size(); i++)
            checks.that(
                    (rungs.get(i).lever() == Lever.START) == (i == 0),
                    "rungs[" + i + "].lever",
                    Fault.Rule.ONE_OF,
                    i == 0 ? "START" : "any lever but START");
        checks.done();
        sports = List.copyOf(sports);
        aspects = List.copyOf(aspects);
        roles = List.copyOf(roles);
        surfaces = List.copyOf(surfaces);
        ballOrder = List.copyOf(ballOrder);
        kit = List.copyOf(kit);
        protectiveGear = protectiveGear == null ? List.of() : List.copyOf(protectiveGear);
        cues = List.copyOf(cues);
        faults = List.copyOf(faults);
        cautions = List.copyOf(cautions);
        refusedPlaces = refusedPlaces == null ? List.of() : List.copyOf(refusedPlaces);
        rungs = List.copyOf(rungs);
    }

    public Optional<Rung> rung(String rungId) {
        return rungs.stream().filter(r -> r.id().equals(rungId)).findFirst();
    }

    /** What is best played with, by the kit's role "ball" or "balls"; empty where no ball is in play. */
    public Optional<String> ball() {
        return kit.stream()
                .filter(k -> k.role().equals("ball") || k.role().equals("balls"))
                .map(KitRole::what)
                .findFirst();
    }

    /** How many share one spot. */
    public int perSpot() {
        return roles.size();
    }

    /** How many of them do the counted work at the same time. */
    public int workingAtOnce() {
        return (int) roles.stream().filter(Role::works).count();
    }
}
