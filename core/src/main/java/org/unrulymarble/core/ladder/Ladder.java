package org.unrulymarble.core.ladder;

import java.util.List;
import java.util.Optional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.place.Surface;

/**
 * A task as a ladder of 3 to 7 rungs, each changing one lever against the rung below.
 *
 * @param part where in a lesson it belongs
 * @param roles who is at a spot; the first role works
 * @param effort 1 (hardly any) to 5 (out of breath)
 * @param counted whether a round's result is worth keeping as a rule; a warm-up's is not
 * @param ballOrder ids of kinds in the order in which this skill meets balls, first to last
 * @param gear ids of protective gear that its hard ball or stick asks for
 * @param manner how it wants to be done, unless a rung says otherwise
 * @param swingM reach of what is swung, from the middle of the body, 0.1 to 5, or null where nothing is
 * @param net what its wall stands in for, or null
 * @param eyes where the eyes are
 * @param seated how it is done sitting, or null where it makes no sense
 * @param oneHand how it is done with one hand, or null where it makes no sense
 * @param seesLittle how it is done by somebody who sees little, or null where it makes no sense
 */
public record Ladder(
        String id,
        Family family,
        String name,
        Part part,
        List<String> sports,
        List<Aspect> aspects,
        List<Role> roles,
        Footprint footprint,
        List<Surface> surfaces,
        Noise noise,
        Integer effort,
        Boolean counted,
        List<String> ballOrder,
        List<KitRole> kit,
        List<String> gear,
        Manner manner,
        Double swingM,
        NetMark net,
        List<String> cues,
        List<UsualFault> faults,
        String eyes,
        List<Caution> cautions,
        List<RefusedPlace> refusedPlaces,
        String seated,
        String oneHand,
        String seesLittle,
        List<Rung> rungs) {

    public Ladder {
        part = part == null ? Part.MAIN : part;
        manner = manner == null ? Manner.ANY : manner;
        ballOrder = ballOrder == null ? List.of() : ballOrder;
        kit = kit == null ? List.of() : kit;
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
                .entries("ballOrder", ballOrder, 0, 10)
                .entries("kit", kit, 0, 10)
                .entries("cues", cues, 2, 4)
                .entries("faults", faults, 1, 8)
                .text("eyes", eyes, 120)
                .entries("cautions", cautions, 1, 12)
                .entries("rungs", rungs, 3, 7);
        each(checks, "sports", sports, 40);
        each(checks, "cues", cues, 120);
        if (swingM != null) checks.range("swingM", swingM, 0.1, 5);
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
        gear = gear == null ? List.of() : List.copyOf(gear);
        cues = List.copyOf(cues);
        faults = List.copyOf(faults);
        cautions = List.copyOf(cautions);
        refusedPlaces = refusedPlaces == null ? List.of() : List.copyOf(refusedPlaces);
        rungs = List.copyOf(rungs);
    }

    private static void each(Checks checks, String field, List<String> texts, int most) {
        if (texts != null)
            for (int i = 0; i < texts.size(); i++) checks.text(field + "[" + i + "]", texts.get(i), most);
    }

    public Optional<Rung> rung(String rungId) {
        return rungs.stream().filter(r -> r.id().equals(rungId)).findFirst();
    }

    /** What is best played with; empty where no ball is in play. */
    public Optional<String> ball() {
        return ballRole().map(KitRole::what);
    }

    public Optional<KitRole> ballRole() {
        return kit.stream().filter(KitRole::countsAsBall).findFirst();
    }

    /** The floor that a rung takes: the ladder's footprint, with the rung's own height if it has one. */
    public Footprint footprint(Rung rung) {
        if (rung.heightM() == null) return footprint;
        return new Footprint(
                footprint.lengthM(),
                footprint.widthM(),
                footprint.gapM(),
                footprint.edgeM(),
                footprint.needsWall(),
                footprint.oneRow(),
                rung.heightM());
    }

    public boolean worksOn(Surface surface) {
        return surface == Surface.ANY || surfaces.contains(Surface.ANY) || surfaces.contains(surface);
    }

    public boolean refuses(RefusedPlace place) {
        return refusedPlaces.contains(place);
    }

    public int numberOf(String rungId) {
        for (int i = 0; i < rungs.size(); i++) if (rungs.get(i).id().equals(rungId)) return i;
        return -1;
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
