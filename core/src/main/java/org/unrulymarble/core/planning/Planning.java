package org.unrulymarble.core.planning;

import java.util.List;
import org.unrulymarble.core.check.Checks;

/**
 * The house's planning values, read from {@code planning/values.yaml} or the school's own copy of it. None is a standard: each is a starting point
 * to check against local rules and the pupils at hand.
 */
public record Planning(
        List<BallKind> balls,
        List<NetPreset> nets,
        List<ReactionByAge> reactions,
        List<SlalomLevel> slalomLevels,
        Usual usual) {

    /**
     * A kind of ball.
     *
     * @param wallRestitution share of the speed towards a wall that comes back, 0.001 to 1
     * @param floorRestitution share of the downward speed that comes back, 0.001 to 1
     */
    public record BallKind(
            String id, String name, Double radiusM, Double wallRestitution, Double floorRestitution, Boolean hard) {
        public BallKind {
            new Checks()
                    .text("id", id, 60)
                    .text("name", name, 80)
                    .above("radiusM", radiusM, 0, 1)
                    .range("wallRestitution", wallRestitution, 0.001, 1)
                    .range("floorRestitution", floorRestitution, 0.001, 1)
                    .required("hard", hard)
                    .done();
        }
    }

    /** A usual net or hoop, to be checked against local rules. @param distanceM from where it is served or thrown */
    public record NetPreset(String id, String name, Double heightM, Double distanceM, Double landWithinM) {
        public NetPreset {
            new Checks()
                    .text("id", id, 60)
                    .text("name", name, 80)
                    .above("heightM", heightM, 0, 20)
                    .above("distanceM", distanceM, 0, 200)
                    .length("landWithinM", landWithinM)
                    .done();
        }
    }

    /** From this age on. */
    public record ReactionByAge(Integer fromAge, Double reactionSec, Double handMoveSec) {
        public ReactionByAge {
            new Checks()
                    .range("fromAge", fromAge, 0, 99)
                    .range("reactionSec", reactionSec, 0, 10)
                    .range("handMoveSec", handMoveSec, 0, 10)
                    .done();
        }
    }

    /** How far apart markers lie for this way of moving. */
    public record SlalomLevel(String id, String name, Double gapM, Double passM) {
        public SlalomLevel {
            new Checks()
                    .text("id", id, 60)
                    .text("name", name, 80)
                    .above("gapM", gapM, 0, 20)
                    .range("passM", passM, 0, 5)
                    .done();
        }
    }

    /** Single figures. @param paceM an adult's walking step; shoeCm where a pupil's is not known */
    public record Usual(
            Double paceM,
            Double shoeCm,
            Double handAboveNetM,
            Double angleSpreadDeg,
            Double hardMarginShare,
            Double clapSec,
            Double handsSec,
            Double lampClearanceM,
            Double fetchSec,
            Double walkSecPerStep,
            Double throwSpeedMs) {
        public Usual {
            new Checks()
                    .range("paceM", paceM, 0.2, 2)
                    .range("shoeCm", shoeCm, 10, 50)
                    .range("handAboveNetM", handAboveNetM, 0, 2)
                    .range("angleSpreadDeg", angleSpreadDeg, 0, 45)
                    .range("hardMarginShare", hardMarginShare, 0, 5)
                    .range("clapSec", clapSec, 0.01, 60)
                    .range("handsSec", handsSec, 0, 60)
                    .range("lampClearanceM", lampClearanceM, 0, 10)
                    .range("fetchSec", fetchSec, 0, 600)
                    .range("walkSecPerStep", walkSecPerStep, 0, 600)
                    .above("throwSpeedMs", throwSpeedMs, 0, 60)
                    .done();
        }
    }

    public Planning {
        new Checks()
                .entries("balls", balls, 1, 60)
                .entries("nets", nets, 1, 60)
                .entries("reactions", reactions, 1, 60)
                .entries("slalomLevels", slalomLevels, 1, 60)
                .required("usual", usual)
                .done();
        balls = List.copyOf(balls);
        nets = List.copyOf(nets);
        reactions = List.copyOf(reactions);
        slalomLevels = List.copyOf(slalomLevels);
    }
}
