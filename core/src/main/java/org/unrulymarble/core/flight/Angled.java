package org.unrulymarble.core.flight;

import org.unrulymarble.core.check.Checks;

/** An angled pass along a wall, from above: how far along it meets the wall, and how far along it is back at the thrower's distance. */
public record Angled(double lateralAtWallM, double lateralAtReturnM) {

    /** standM 0 to 200 m, angleDeg between -90 and 90 from straight at the wall, restitution 0.001 to 1 of the speed towards the wall. */
    public record AngledAsk(Double standM, Double angleDeg, Double restitution) {
        public AngledAsk {
            new Checks()
                    .length("standM", standM)
                    .angle("angleDeg", angleDeg)
                    .range("restitution", restitution, 0.001, 1)
                    .done();
        }
    }

    public static Angled of(AngledAsk ask) {
        double atWall = ask.standM() * Math.tan(Math.toRadians(ask.angleDeg()));
        return new Angled(atWall, atWall * (1 + 1 / ask.restitution()));
    }
}
