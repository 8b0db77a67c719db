package org.unrulymarble.core.ladder;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.check.Mapping;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.Stairs;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.place.Noise;
import org.unrulymarble.core.place.Surface;

/**
 * A ladder as files have it. What it says of measure, unit, sides, pace, doses, modifiers and stepping holds for each rung without its own; written, each
 * rung says it.
 */
final class LadderMapping extends KitMappings.NamingKinds<Ladder> {

    private static final Mapping<Role> ROLE = new Mapping<>() {
        private final Entry<Role, String> name =
                text("name", Role::name).upTo(30).must();
        private final Entry<Role, Boolean> works =
                bool("works", Role::works).must().says("Whether whoever plays it does the counted work.");
        private final Entry<Role, Boolean> busy = bool("busy", r -> r.busy() ? true : null)
                .says(
                        "Whether whoever plays it moves too, without being counted: feeds, hits, rolls. Waiting in it is no rest.");
        private final Entry<Role, String> line =
                text("line", Role::line).upTo(200).must().says("What a helper needs to be told.");

        @Override
        protected Role from(Fields f) {
            return new Role(name.of(f), works.of(f), line.of(f), busy.of(f));
        }
    };

    private static final Mapping<UsualFault> FAULT = new Mapping<>() {
        private final Entry<UsualFault, String> id =
                text("id", UsualFault::id).upTo(40).must();
        private final Entry<UsualFault, String> seen =
                text("seen", UsualFault::seen).upTo(120).must();
        private final Entry<UsualFault, String> mend =
                text("mend", UsualFault::mend).upTo(160).must();

        @Override
        protected UsualFault from(Fields f) {
            return new UsualFault(id.of(f), seen.of(f), mend.of(f));
        }
    };

    private static final Mapping<NetMark> NET = new Mapping<>(null, "What its wall stands in for.") {
        private final Entry<NetMark, String> preset =
                text("preset", NetMark::preset).upTo(60).must();
        private final Entry<NetMark, Double> launchM =
                number("launchM", NetMark::launchM).range(0, 3).must();
        private final Entry<NetMark, Double> angleDeg = number("angleDeg", NetMark::angleDeg)
                .limit("exclusiveMinimum", -90)
                .limit("exclusiveMaximum", 90)
                .must();

        @Override
        protected NetMark from(Fields f) {
            return new NetMark(preset.of(f), launchM.of(f), angleDeg.of(f));
        }
    };

    private static final Mapping<Footprint> FOOTPRINT =
            new Mapping<>("footprint", "The floor that one spot takes, in metres.") {
                private final Entry<Footprint, Double> lengthM = number("lengthM", Footprint::lengthM)
                        .above(0, 200)
                        .must()
                        .says("Along the throw, or away from the wall.");
                private final Entry<Footprint, Double> widthM =
                        number("widthM", Footprint::widthM).above(0, 200).must();
                private final Entry<Footprint, Double> gapM =
                        number("gapM", Footprint::gapM).range(0, 200).must().says("Free floor between two spots.");
                private final Entry<Footprint, Double> edgeM =
                        number("edgeM", Footprint::edgeM).range(0, 200).must().says("Free floor to the walls.");
                private final Entry<Footprint, Boolean> needsWall = bool("needsWall", Footprint::needsWall);
                private final Entry<Footprint, Boolean> oneRow =
                        bool("oneRow", Footprint::oneRow).says("Never two rows behind each other.");
                private final Entry<Footprint, Double> heightM =
                        number("heightM", Footprint::heightM).range(0, 200).says("Free height, where it matters.");

                @Override
                protected Footprint from(Fields f) {
                    return new Footprint(
                            lengthM.of(f),
                            widthM.of(f),
                            gapM.of(f),
                            edgeM.of(f),
                            needsWall.of(f, false),
                            oneRow.of(f, false),
                            heightM.of(f));
                }
            };

    private static final Mapping<Ages> AGES = new Mapping<>(null, "The ages that it suits.") {
        private final Entry<Ages, Integer> from =
                whole("from", Ages::from).range(3, 99).must();
        private final Entry<Ages, Integer> to =
                whole("to", Ages::to).range(3, 99).says("Absent where nobody is too old for it.");

        @Override
        protected Ages from(Fields f) {
            return new Ages(from.of(f), to.of(f));
        }
    };

    private final Entry<Ladder, String> id =
            text("id", Ladder::id).upTo(60).must().says("Lasting; results of pupils hang on it.");
    private final Entry<Ladder, Family> family = word("family", Family.class, Ladder::family);
    private final Entry<Ladder, String> name =
            text("name", Ladder::name).upTo(60).must();
    private final Entry<Ladder, Part> part =
            word("part", Part.class, Ladder::part).says("Where in a lesson it belongs; main if absent.");
    private final Entry<Ladder, List<String>> sports =
            texts("sports", 40, Ladder::sports).entries(1, 20).must();
    private final Entry<Ladder, List<Aspect>> aspects =
            words("aspects", Aspect.class, Ladder::aspects).entries(1, 10).must();
    private final Entry<Ladder, Ages> ages = part("ages", AGES, Ladder::ages);
    private final Entry<Ladder, List<Role>> roles =
            parts("roles", ROLE, Ladder::roles).entries(1, 6).must().says("Who is at a spot; the first one works.");
    private final Entry<Ladder, Footprint> footprint =
            part("footprint", FOOTPRINT, Ladder::footprint).must();
    private final Entry<Ladder, List<Surface>> surfaces =
            words("surfaces", Surface.class, Ladder::surfaces).entries(1, 10).must();
    private final Entry<Ladder, Noise> noise =
            word("noise", Noise.class, Ladder::noise).must();
    private final Entry<Ladder, Integer> effort =
            whole("effort", Ladder::effort).range(1, 5).must().says("1 hardly any, 5 out of breath.");
    private final Entry<Ladder, Boolean> counted =
            bool("counted", Ladder::counted).says("Whether results are kept as a rule; true if absent.");
    private final Entry<Ladder, List<String>> ballOrder = kinds("ballOrder", Ladder::ballOrder)
            .entries(0, 10)
            .says("Kinds in the order in which this skill meets balls.");
    private final Entry<Ladder, List<KitRole>> kit;
    private final Entry<Ladder, List<String>> gear = kinds("gear", Ladder::gear).entries(0, 10);
    private final Entry<Ladder, Manner> manner = part("manner", RungMapping.MANNER, Ladder::manner);
    private final Entry<Ladder, Double> swingM =
            number("swingM", Ladder::swingM).range(0.1, 5).says("Reach of what is swung.");
    private final Entry<Ladder, NetMark> net = part("net", NET, Ladder::net);
    private final Entry<Ladder, List<String>> cues =
            texts("cues", 120, Ladder::cues).entries(2, 4).must();
    private final Entry<Ladder, List<UsualFault>> faults =
            parts("faults", FAULT, Ladder::faults).entries(1, 8).must();
    private final Entry<Ladder, String> eyes =
            text("eyes", Ladder::eyes).upTo(120).must().says("Where the eyes are.");
    private final Entry<Ladder, List<Caution>> cautions =
            words("cautions", Caution.class, Ladder::cautions).entries(1, 12).must();
    private final Entry<Ladder, List<RefusedPlace>> refusedPlaces =
            words("refusedPlaces", RefusedPlace.class, Ladder::refusedPlaces).entries(0, RefusedPlace.values().length);
    private final Entry<Ladder, String> seated = text("seated", Ladder::seated);
    private final Entry<Ladder, String> oneHand = text("oneHand", Ladder::oneHand);
    private final Entry<Ladder, String> seesLittle = text("seesLittle", Ladder::seesLittle);

    // For all rungs; a ladder itself does not keep them.
    private final Entry<Ladder, Doses> doses = part("doses", DoseMappings.DOSES, l -> null);
    private final Entry<Ladder, Sides> sides = word("sides", Sides.class, l -> null);
    private final Entry<Ladder, Measure.Kind> measure = word("measure", Measure.Kind.class, l -> null);
    private final Entry<Ladder, String> unit = text("unit", l -> null).upTo(30);
    private final Entry<Ladder, Pace> pace = part("pace", DoseMappings.PACE, l -> null);
    private final Entry<Ladder, Stairs> stepping = part("stepping", DoseMappings.STAIRS, l -> null);
    private final Entry<Ladder, List<Modifier>> modifiers =
            words("modifiers", Modifier.class, l -> null).entries(0, Modifier.values().length);

    private final RungMapping rung;
    private final Entry<Ladder, List<Rung>> rungs;

    private final Object fileFamily;

    /**
     * @param kinds that may be named
     * @param fileFamily of all ladders of the file, where one does not name its own; or null
     */
    LadderMapping(KitKinds kinds, Object fileFamily) {
        this(new KitMappings(kinds), fileFamily);
    }

    private LadderMapping(KitMappings kits, Object fileFamily) {
        super(kits, "ladder");
        this.fileFamily = fileFamily;
        kit = parts("kit", kits.role, Ladder::kit).entries(0, 10);
        rung = new RungMapping(kits);
        rungs = parts("rungs", rung, Ladder::rungs)
                .entries(3, 7)
                .must()
                .says(
                        "Easiest first. What the ladder says holds for each rung without its own: doses, sides, measure, unit, pace, stepping, modifiers, manner.");
    }

    @Override
    protected Ladder from(Fields f) {
        RungMapping.Usual usual = new RungMapping.Usual(
                doses.of(f),
                manner.of(f, Manner.ANY),
                sides.of(f),
                measure.of(f),
                unit.of(f),
                pace.of(f),
                modifiers.of(f),
                stepping.of(f));
        List<Rung> read = rungs.parts(f, r -> rung.from(r, usual));
        return new Ladder(
                id.of(f),
                f.has("family") ? family.of(f) : familyOfFile(f),
                name.of(f),
                new Ladder.Purpose(
                        part.of(f), sports.of(f), aspects.of(f), effort.of(f), counted.of(f, true), ages.of(f)),
                roles.of(f),
                new Ladder.Room(footprint.of(f), surfaces.of(f), noise.of(f), net.of(f)),
                new Ladder.Equipment(ballOrder.of(f), kit.of(f), gear.of(f)),
                new Ladder.Teaching(usual.manner(), cues.of(f), faults.of(f), eyes.of(f)),
                new Ladder.Safety(swingM.of(f), cautions.of(f), refusedPlaces.of(f)),
                new Ladder.Adapted(seated.of(f), oneHand.of(f), seesLittle.of(f)),
                read == null ? null : new ArrayList<>(read));
    }

    private Family familyOfFile(Fields f) {
        for (Family one : Family.values()) if (Fields.small(one).equals(fileFamily)) return one;
        return f.wrong("family", Fault.Rule.ONE_OF, "throw, catch, handle, target, move");
    }
}
