package org.unrulymarble.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Rounding;

/** Points on rings. @param rings from the middle out, 1 to 8, each larger than the one before; 10, 20, 30 cm for 5, 3, 1 where nothing was said */
public record Rings(List<Ring> rings) implements Measure {

    /** The outer radius of a ring, 1 to 500 cm, and what it is worth, 0 to 1,000. */
    public record Ring(Integer radiusCm, Integer points) {
        public Ring {
            new Checks()
                    .range("radiusCm", radiusCm, 1, 500)
                    .range("points", points, 0, 1000)
                    .done();
        }
    }

    private static final List<Ring> USUAL = List.of(new Ring(10, 5), new Ring(20, 3), new Ring(30, 1));

    public Rings {
        if (rings == null) rings = USUAL;
        Checks checks = new Checks().entries("rings", rings, 1, 8);
        for (int i = 1; i < rings.size(); i++)
            if (rings.get(i) != null && rings.get(i - 1) != null)
                checks.that(
                        rings.get(i).radiusCm() > rings.get(i - 1).radiusCm(),
                        "rings[" + i + "].radiusCm",
                        Fault.Rule.ABOVE_FIELD,
                        "rings[" + (i - 1) + "].radiusCm");
        checks.done();
        rings = List.copyOf(rings);
    }

    @Override
    public Kind kind() {
        return Kind.RINGS;
    }

    /** On a line it is the smaller ring. A throw told without its place is a hit with the number of its ring, or a miss. */
    @Override
    public Scored score(List<Tap> taps, boolean missesCounted, long workedMs) {
        int points = 0;
        int inside = 0;
        int run = 0;
        int longest = 0;
        List<Detail.Landing> landings = new ArrayList<>();
        for (Tap tap : taps) {
            Ring ring = null;
            if (tap instanceof Tap.Hit hit && hit.number() != null && hit.number() >= 1 && hit.number() <= rings.size())
                ring = rings.get(hit.number() - 1);
            if (tap instanceof Tap.Landed landed) {
                landings.add(new Detail.Landing(landed.xCm(), landed.yCm()));
                ring = ringOf(Math.hypot(landed.xCm(), landed.yCm()));
            }
            run = ring == null ? 0 : run + 1;
            longest = Math.max(longest, run);
            if (ring == null) continue;
            points += ring.points();
            inside++;
        }
        return new Scored(points, inside, taps.size() - inside, longest, new Detail.Landings(landings));
    }

    private Ring ringOf(double fromMiddleCm) {
        for (Ring ring : rings) if (Rounding.fits(fromMiddleCm, ring.radiusCm())) return ring;
        return null;
    }

    @Override
    public Compared compared() {
        return Compared.BY_SECONDS;
    }

    @Override
    public boolean countsTries() {
        return true;
    }
}
