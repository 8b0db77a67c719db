package org.unrulymarble.core.plan;

import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.place.Footprint;

/**
 * The rung on which a pupil works where each is on their own.
 *
 * @param standsOn the rung that the pupil's page shows
 * @param why it is another one, or null where it is that
 */
record OwnRung(Rung rung, Rung standsOn, Why why) {

    /** What keeps a rung out of a block that was planned for another one. */
    enum Why {
        /** It is done with other sides than the block has turns for. */
        SIDES,
        /** A match, a watch or a call for all goes with nothing beside it. */
        MEASURE,
        /** It needs things that nobody gathers for this block. */
        KIT,
        /** It needs a higher ceiling than the room has. */
        CEILING
    }

    /** Their own where it can be, else the nearest below that can, else above, else the block's. */
    static OwnRung of(Placed p, Rung own, Setting setting) {
        Why why = why(p, own, setting);
        if (why == null) return new OwnRung(own, own, null);
        int at = p.ladder().numberOf(own.id());
        for (int i = at - 1; i >= 0; i--)
            if (can(p, i, setting)) return new OwnRung(p.ladder().rungs().get(i), own, why);
        for (int i = at + 1; i < p.ladder().rungs().size(); i++)
            if (can(p, i, setting)) return new OwnRung(p.ladder().rungs().get(i), own, why);
        return new OwnRung(p.rung(), own, why);
    }

    private static boolean can(Placed p, int at, Setting setting) {
        return why(p, p.ladder().rungs().get(at), setting) == null;
    }

    private static Why why(Placed p, Rung other, Setting setting) {
        if (other.id().equals(p.rung().id())) return null;
        if (!p.sidesOn(other).equals(p.sidesOn(p.rung()))) return Why.SIDES;
        boolean beside =
                p.rung().measure().goesBesideOthers() && other.measure().goesBesideOthers();
        if (!beside && p.rung().measure().kind() != other.measure().kind()) return Why.MEASURE;
        if (!p.ladder().kit(p.rung()).containsAll(p.ladder().kit(other))) return Why.KIT;
        return fitsUnder(setting.place().size().ceilingM(), p.ladder().footprint(other)) ? null : Why.CEILING;
    }

    private static boolean fitsUnder(Double ceilingM, Footprint spot) {
        return ceilingM == null || spot.heightM() == null || Rounding.fits(spot.heightM(), ceilingM);
    }
}
