package org.unrulymarble.core.ladder;

import java.util.List;
import java.util.Map;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.check.Mapping;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.measure.Furthest;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.Stairs;

/** A rung as files have it. Written, it says all that holds for it; read, its ladder may have said it. */
final class RungMapping extends Mapping<Rung> {

    /** What a ladder says for all its rungs; each may be null. */
    record Usual(
            Doses doses,
            Manner manner,
            Sides sides,
            Measure.Kind measure,
            String unit,
            Pace pace,
            List<Modifier> modifiers,
            Stairs stepping) {

        static final Usual NOTHING = new Usual(null, null, null, null, null, null, null, null);
    }

    private static final class MannerMapping extends Mapping<Manner> {
        private final Entry<Manner, Manner.Feet> feet = word("feet", Manner.Feet.class, Manner::feet);
        private final Entry<Manner, Manner.Eyes> eyes = word("eyes", Manner.Eyes.class, Manner::eyes);
        private final Entry<Manner, Manner.Attitude> attitude =
                word("attitude", Manner.Attitude.class, Manner::attitude);

        MannerMapping() {
            super("manner", null);
        }

        @Override
        protected Manner from(Fields f) {
            return over(f, null);
        }

        /** What is not said here is as its ladder says. */
        Manner over(Fields f, Manner usual) {
            Manner ladder = usual == null ? Manner.ANY : usual;
            return new Manner(feet.of(f, ladder.feet()), eyes.of(f, ladder.eyes()), attitude.of(f, ladder.attitude()));
        }
    }

    private static final Mapping<Delivery> DELIVERY = new Mapping<>(null, "A ball that comes at whoever works.") {
        private final Entry<Delivery, Double> speedMs =
                number("speedMs", Delivery::speedMs).above(0, 60).must();
        private final Entry<Delivery, Double> fromM =
                number("fromM", Delivery::fromM).range(0, 200).must();

        @Override
        protected Delivery from(Fields f) {
            return new Delivery(speedMs.of(f), fromM.of(f));
        }
    };

    private static final class OwnKitMapping extends Mapping<RungKit> {
        private final Entry<RungKit, List<String>> without = texts("without", RungKit::without)
                .entries(0, 10)
                .says("Roles of the ladder's kit that nobody needs on this rung.");
        private final Entry<RungKit, List<KitRole>> more;

        OwnKitMapping(KitMappings kit) {
            super(null, "How this rung's kit differs from its ladder's.");
            more = parts("more", kit.role, RungKit::more).entries(0, 10).says("What only this rung needs.");
        }

        @Override
        protected RungKit from(Fields f) {
            return new RungKit(without.of(f), more.of(f));
        }
    }

    static final MannerMapping MANNER = new MannerMapping();

    private final Entry<Rung, String> id =
            text("id", Rung::id).upTo(40).must().says("Lasting within the ladder; never used again for another task.");
    private final Entry<Rung, String> name = text("name", Rung::name).upTo(100).must();
    private final Entry<Rung, Lever> lever = word("lever", Lever.class, Rung::lever)
            .must()
            .says("The one thing that it changes against the rung below; start for the first rung and for no other.");
    private final Entry<Rung, String> change =
            text("change", Rung::change).upTo(160).must().says("How.");
    private final Entry<Rung, String> task = text("task", Rung::task)
            .upTo(600)
            .must()
            .says("What to do; enough to start, to know what counts and when to stop.");
    private final Entry<Rung, String> counts =
            text("counts", Rung::counts).upTo(160).must();
    private final Entry<Rung, String> countsNot =
            text("countsNot", Rung::countsNot).upTo(160).must();
    private final Entry<Rung, Sides> sides = word("sides", Sides.class, Rung::sides);
    private final Entry<Rung, Measure.Kind> measure =
            word("measure", Measure.Kind.class, r -> Scoring.word(r.measure()));
    private final Entry<Rung, String> unit =
            text("unit", Rung::unit).upTo(30).says("What one counted thing is called, in the plural.");
    private final Entry<Rung, Gate> gate =
            part("gate", new GateMapping(), Rung::gate).must();
    private final Entry<Rung, Pace> pace = part("pace", DoseMappings.PACE, Rung::pace);
    private final Entry<Rung, Doses> doses = part("doses", DoseMappings.DOSES, Rung::doses);
    private final Entry<Rung, String> easier =
            text("easier", Rung::easier).upTo(160).must();
    private final Entry<Rung, String> harder =
            text("harder", Rung::harder).upTo(160).must();
    private final Entry<Rung, List<Modifier>> modifiers =
            words("modifiers", Modifier.class, Rung::modifiers).entries(0, Modifier.values().length);
    private final Entry<Rung, Manner> manner = part("manner", MANNER, Rung::manner);
    private final Entry<Rung, Integer> claps =
            whole("claps", Rung::claps).range(0, 20).says("Claps under the toss.");
    private final Entry<Rung, Double> heightM = number("heightM", Rung::heightM)
            .range(0, 200)
            .says("Free height that this rung needs, instead of its ladder's.");
    private final Entry<Rung, Double> standM =
            number("standM", Rung::standM).range(0, 200).says("Distance from wall, partner or target.");
    private final Entry<Rung, Stairs> stepping = part(
            "stepping", DoseMappings.STAIRS, r -> r.measure() instanceof Furthest furthest ? furthest.stairs() : null);
    private final Entry<Rung, Map<String, Double>> figures = numbers("figures", Rung::figures)
            .limit("additionalProperties", Map.of("type", "number", "minimum", 0, "maximum", Checks.MAX_SEC))
            .says(
                    "Numbers of its own that its sentences name: metres where the name ends in M, seconds in Sec, shoe lengths in Shoes.");
    private final Entry<Rung, Scoring> scoring =
            part("scoring", Scoring.MAPPING, r -> Scoring.of(r.measure(), r.calls()));
    private final Entry<Rung, Delivery> delivery = part("delivery", DELIVERY, Rung::delivery);
    private final Entry<Rung, List<String>> steps =
            texts("steps", Rung::steps).entries(0, 20).says("What is done one after the other.");
    private final Entry<Rung, RungKit> kit;

    RungMapping(KitMappings kits) {
        super("rung", null);
        kit = part("kit", new OwnKitMapping(kits), Rung::kit);
    }

    @Override
    protected Rung from(Fields f) {
        return from(f, Usual.NOTHING);
    }

    Rung from(Fields f, Usual usual) {
        Doses own = doses.of(f, usual.doses());
        Stairs stairs = stepping.of(f, usual.stepping());
        Scoring scored = scoring.of(f);
        Pace paceInForce = pace.of(f, usual.pace());
        Gate opens = gate.of(f);
        if (opens instanceof Gate.SoManyIn timed
                && paceInForce != null
                && timed.reach() * paceInForce.hitSec() > timed.inSec())
            f.wrong("gate.reach", Fault.Rule.RANGE, 1, (int) (timed.inSec() / paceInForce.hitSec()));
        Manner done = manner.part(f, m -> MANNER.over(m, usual.manner()));
        return new Rung(
                id.of(f),
                name.of(f),
                lever.of(f),
                change.of(f),
                task.of(f),
                counts.of(f),
                countsNot.of(f),
                sides.of(f, usual.sides()),
                Scoring.measure(measure.of(f, usual.measure()), scored, own, stairs),
                unit.of(f, usual.unit()),
                opens,
                paceInForce,
                stairs == null || own == null ? own : own.stepping(stairs),
                easier.of(f),
                harder.of(f),
                modifiers.of(f, usual.modifiers()),
                done == null ? usual.manner() : done,
                claps.of(f),
                heightM.of(f),
                standM.of(f),
                scored == null ? null : scored.calls(),
                delivery.of(f),
                steps.of(f),
                figures.of(f),
                kit.of(f));
    }
}
