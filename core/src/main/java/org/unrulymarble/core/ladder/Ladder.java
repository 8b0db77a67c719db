package org.unrulymarble.core.ladder;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.place.Noise;
import org.unrulymarble.core.place.Surface;

/**
 * A task as a ladder of 3 to 7 rungs, each changing one lever against the rung below. In JSON all of it lies side by side.
 *
 * @param roles who is at a spot; the first role works
 */
@JsonIgnoreProperties(value = "meanwhile", allowGetters = true)
public record Ladder(
        String id,
        Family family,
        String name,
        @JsonUnwrapped Purpose purpose,
        List<Role> roles,
        @JsonUnwrapped Room room,
        @JsonUnwrapped Equipment equipment,
        @JsonUnwrapped Teaching teaching,
        @JsonUnwrapped Safety safety,
        @JsonUnwrapped Adapted adapted,
        List<Rung> rungs) {

    private static final int MEANWHILE_EFFORT = 2;

    /**
     * What it is good for.
     *
     * @param part where in a lesson it belongs
     * @param effort 1 (hardly any) to 5 (out of breath)
     * @param counted whether a round's result is worth keeping as a rule; a warm-up's is not
     * @param ages whom it suits, or null where nobody said
     */
    public record Purpose(
            Part part,
            List<String> sports,
            List<Aspect> aspects,
            Integer effort,
            Boolean counted,
            @Nullable Ages ages) {

        public Purpose {
            part = part == null ? Part.MAIN : part;
            sports = copied(sports);
            aspects = copied(aspects);
        }
    }

    /**
     * Where it fits.
     *
     * @param net what its wall stands in for, or null
     */
    public record Room(
            Footprint footprint,
            List<Surface> surfaces,
            Noise noise,
            @Nullable NetMark net) {

        public Room {
            surfaces = copied(surfaces);
        }
    }

    /**
     * With what.
     *
     * @param ballOrder ids of kinds in the order in which this skill meets balls, first to last
     * @param gear ids of protective gear that its hard ball or stick asks for
     */
    public record Equipment(List<String> ballOrder, List<KitRole> kit, List<String> gear) {

        public Equipment {
            ballOrder = ballOrder == null ? List.of() : copied(ballOrder);
            kit = kit == null ? List.of() : copied(kit);
            gear = gear == null ? List.of() : copied(gear);
        }
    }

    /**
     * How it is taught.
     *
     * @param manner how it wants to be done, unless a rung says otherwise
     * @param eyes where the eyes are
     */
    public record Teaching(Manner manner, List<String> cues, List<UsualFault> faults, String eyes) {

        public Teaching {
            manner = manner == null ? Manner.ANY : manner;
            cues = copied(cues);
            faults = copied(faults);
        }
    }

    /**
     * What can hurt.
     *
     * @param swingM reach of what is swung, from the middle of the body, 0.1 to 5, or null where nothing is
     */
    public record Safety(@Nullable Double swingM, List<Caution> cautions, List<RefusedPlace> refusedPlaces) {

        public Safety {
            cautions = copied(cautions);
            refusedPlaces = refusedPlaces == null ? List.of() : copied(refusedPlaces);
        }
    }

    /** How it is done sitting, with one hand, or by somebody who sees little; null each where it makes no sense. */
    public record Adapted(
            @Nullable String seated,
            @Nullable String oneHand,
            @Nullable String seesLittle) {}

    /** Six of its own, and the helpers that a lesson may add. */
    private static final int MOST_ROLES = 6 + HelpPart.values().length;

    public Ladder {
        Checks checks = new Checks()
                .text("id", id, 60)
                .required("family", family)
                .text("name", name, 60)
                .entries("sports", purpose.sports(), 1, 20)
                .entries("aspects", purpose.aspects(), 1, 10)
                .entries("roles", roles, 1, MOST_ROLES)
                .required("footprint", room.footprint())
                .entries("surfaces", room.surfaces(), 1, 10)
                .required("noise", room.noise())
                .range("effort", purpose.effort(), 1, 5)
                .required("counted", purpose.counted())
                .entries("ballOrder", equipment.ballOrder(), 0, 10)
                .entries("kit", equipment.kit(), 0, 10)
                .entries("cues", teaching.cues(), 2, 4)
                .entries("faults", teaching.faults(), 1, 8)
                .text("eyes", teaching.eyes(), 120)
                .entries("cautions", safety.cautions(), 1, 12)
                .entries("rungs", rungs, 3, 7);
        each(checks, "sports", purpose.sports(), 40);
        each(checks, "cues", teaching.cues(), 120);
        if (safety.swingM() != null) checks.range("swingM", safety.swingM(), 0.1, 5);
        checks.done();
        roles = List.copyOf(roles);
        rungs = List.copyOf(rungs);
        checks.that(roles.get(0).works(), "roles[0].works", Fault.Rule.ONE_OF, "true")
                .distinct("rungs", rungs.stream().map(Rung::id).toList())
                .distinct(
                        "faults", teaching.faults().stream().map(UsualFault::id).toList());
        for (int i = 0; i < rungs.size(); i++)
            checks.that(
                    (rungs.get(i).lever() == Lever.START) == (i == 0),
                    "rungs[" + i + "].lever",
                    Fault.Rule.ONE_OF,
                    i == 0 ? "START" : "any lever but START");
        for (int i = 0; i < rungs.size(); i++) rungs.get(i).sentences(checks, "rungs[" + i + "].");
        checks.done();
    }

    /** Null stays null and a null entry stays in, so that the checks name them. */
    private static <T> List<T> copied(List<T> list) {
        return list == null ? null : Collections.unmodifiableList(new ArrayList<>(list));
    }

    private static void each(Checks checks, String field, List<String> texts, int most) {
        if (texts != null)
            for (int i = 0; i < texts.size(); i++) checks.text(field + "[" + i + "]", texts.get(i), most);
    }

    /**
     * The same with other helpers at a spot: who works and who feeds stays.
     *
     * @param parts who else is there; null for the ladder's own
     */
    public Ladder withHelpers(List<HelpPart> parts) {
        if (parts == null) return this;
        List<Role> there = new ArrayList<>(
                roles.stream().filter(r -> HelpPart.of(r).isEmpty()).toList());
        for (HelpPart part : parts)
            there.add(roles.stream()
                    .filter(r -> HelpPart.of(r).equals(Optional.of(part)))
                    .findFirst()
                    .orElseGet(part::usual));
        return there.equals(roles)
                ? this
                : new Ladder(id, family, name, purpose, there, room, equipment, teaching, safety, adapted, rungs);
    }

    public HelpPart.AtSpot atSpot() {
        return new HelpPart.AtSpot(
                roles.stream()
                        .filter(r -> HelpPart.of(r).isEmpty())
                        .map(Role::name)
                        .toList(),
                roles.stream().flatMap(r -> HelpPart.of(r).stream()).toList());
    }

    Ladder with(List<Rung> others) {
        return new Ladder(id, family, name, purpose, roles, room, equipment, teaching, safety, adapted, others);
    }

    public Optional<Rung> rung(String rungId) {
        return rungs.stream().filter(r -> r.id().equals(rungId)).findFirst();
    }

    /** What is best played with; empty where no ball is in play. */
    public Optional<String> ball() {
        return ballRole().map(KitRole::what);
    }

    public Optional<KitRole> ballRole() {
        return kit().stream().filter(KitRole::countsAsBall).findFirst();
    }

    /** What a rung is played with: the ladder's kit, without what this rung does without, and with what it alone needs. */
    public List<KitRole> kit(Rung rung) {
        if (rung.kit().equals(RungKit.AS_ITS_LADDER)) return kit();
        List<KitRole> all = new ArrayList<>(kit().stream()
                .filter(r -> !rung.kit().without().contains(r.role()))
                .toList());
        all.addAll(rung.kit().more());
        return List.copyOf(all);
    }

    /** Whether markers are called on a rung, which a lesson may lay and name as it likes: one at a time, and none that its task names itself. */
    public boolean callsMarkers(Rung rung) {
        if (rung.calls() == null || kit(rung).stream().noneMatch(r -> r.role().equals(KitRole.MARKERS))) return false;
        String task = rung.words().task().toLowerCase(Locale.ROOT);
        return rung.calls().words().stream()
                .noneMatch(w -> w.contains(" ") || task.contains(w.toLowerCase(Locale.ROOT)));
    }

    /**
     * The floor that a rung takes: the ladder's footprint, with the rung's own height if it has one, and as long as its throw or its way back is where
     * all send the ball the same way.
     */
    public Footprint footprint(Rung rung) {
        return footprint(rung, rung.standM(), rung.gate());
    }

    /** The same from another place and with another gate: a lesson that moves people back takes more floor. */
    public Footprint footprint(Rung rung, Double standM, Gate gate) {
        Footprint usual = room.footprint();
        boolean moved = standM != null && !standM.equals(rung.standM());
        boolean along = usual.oneRow() || usual.needsWall() || moved;
        double lengthM = along ? Math.max(usual.lengthM(), rung.wayM(standM, gate)) : usual.lengthM();
        if (rung.heightM() == null && lengthM == usual.lengthM()) return usual;
        return new Footprint(
                lengthM,
                usual.widthM(),
                usual.gapM(),
                usual.edgeM(),
                usual.needsWall(),
                usual.oneRow(),
                rung.heightM() == null ? usual.heightM() : rung.heightM());
    }

    public boolean worksOn(Surface surface) {
        return surface == Surface.ANY
                || surfaces().contains(Surface.ANY)
                || surfaces().contains(surface);
    }

    public boolean refuses(RefusedPlace place) {
        return refusedPlaces().contains(place);
    }

    public int numberOf(String rungId) {
        for (int i = 0; i < rungs.size(); i++) if (rungs.get(i).id().equals(rungId)) return i;
        return -1;
    }

    /**
     * Whether a kind may play a role here, whatever a school's own rules say: at people only what the task itself names, and hard balls only where the task
     * names them.
     */
    public boolean admits(KitRole role, KitKind kind) {
        if (!role.takes(kind)) return false;
        boolean named = role.kind().equals(kind.id())
                || role.standIns().stream().anyMatch(s -> s.kind().equals(kind.id()))
                || ballOrder().contains(kind.id());
        if (role.countsAsBall() && cautions().contains(Caution.AT_PERSON_SOFT_ONLY)) return named;
        return named || !kind.hard();
    }

    /** How many share one spot. */
    public int perSpot() {
        return roles.size();
    }

    /** How many of them do the counted work at the same time. */
    public int workingAtOnce() {
        return (int) roles.stream().filter(Role::works).count();
    }

    /** Whether a partner whose goes are not counted works too: feeds, hits, rolls. */
    public boolean partnerWorks() {
        return roles().stream().anyMatch(Role::busy);
    }

    /** Whether it goes on the spot or at a table while others work: quiet, alone, calm, without a wall and without a swing. */
    @JsonProperty("meanwhile")
    public boolean goesMeanwhile() {
        return noise() == Noise.QUIET
                && part() == Part.MAIN
                && perSpot() == 1
                && !footprint().needsWall()
                && swingM() == null
                && effort() <= MEANWHILE_EFFORT;
    }

    public Part part() {
        return purpose.part();
    }

    public List<String> sports() {
        return purpose.sports();
    }

    public List<Aspect> aspects() {
        return purpose.aspects();
    }

    public Integer effort() {
        return purpose.effort();
    }

    public Boolean counted() {
        return purpose.counted();
    }

    public Footprint footprint() {
        return room.footprint();
    }

    public List<Surface> surfaces() {
        return room.surfaces();
    }

    public Noise noise() {
        return room.noise();
    }

    public NetMark net() {
        return room.net();
    }

    public List<String> ballOrder() {
        return equipment.ballOrder();
    }

    public List<KitRole> kit() {
        return equipment.kit();
    }

    public List<String> gear() {
        return equipment.gear();
    }

    public Manner manner() {
        return teaching.manner();
    }

    public List<String> cues() {
        return teaching.cues();
    }

    public List<UsualFault> faults() {
        return teaching.faults();
    }

    public String eyes() {
        return teaching.eyes();
    }

    public Double swingM() {
        return safety.swingM();
    }

    public List<Caution> cautions() {
        return safety.cautions();
    }

    public List<RefusedPlace> refusedPlaces() {
        return safety.refusedPlaces();
    }

    public String seated() {
        return adapted.seated();
    }

    public Ages ages() {
        return purpose.ages();
    }

    public String oneHand() {
        return adapted.oneHand();
    }

    public String seesLittle() {
        return adapted.seesLittle();
    }
}
