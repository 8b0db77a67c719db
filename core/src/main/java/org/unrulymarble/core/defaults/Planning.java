package org.unrulymarble.core.defaults;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;

/**
 * The house's planning values, read from {@code defaults/values.yaml} or the school's own copy of it. None is a standard: each is a starting point
 * to check against local rules and the pupils at hand.
 */
public record Planning(
        List<BallKind> balls,
        List<NetPreset> nets,
        List<ReactionByAge> reactions,
        List<SlalomLevel> slalomLevels,
        Usual usual,
        CoursePaces coursePaces,
        Thresholds thresholds) {

    /** How quickly a course can be gone that is drawn, for children of eight to thirteen in small rooms. */
    public record CoursePaces(CoursePace withBall, CoursePace free) {

        /** Where a school's own file says nothing. */
        static final CoursePaces USUAL = new CoursePaces(null, null);

        public CoursePaces {
            withBall = withBall == null ? new CoursePace(1.2, 1.0) : withBall;
            free = free == null ? new CoursePace(2.2, 0.5) : free;
        }
    }

    /** m/s on the straight, and seconds for a quarter turn. */
    public record CoursePace(Double straightMs, Double quarterTurnSec) {
        public CoursePace {
            new Checks()
                    .range("straightMs", straightMs, 0.1, 10)
                    .range("quarterTurnSec", quarterTurnSec, 0, 10)
                    .done();
        }
    }

    /**
     * A kind of ball.
     *
     * @param wallRestitution share of the speed towards a wall that comes back, 0.001 to 1
     * @param floorRestitution share of the downward speed that comes back, 0.001 to 1
     * @param massKg 0.001 to 20, or null where it is not known: then it is reckoned without air
     * @param dragCoefficient of a smooth or felt ball in the air, 0 to 2
     */
    public record BallKind(
            String id,
            String name,
            Double radiusM,
            Double wallRestitution,
            Double floorRestitution,
            Boolean hard,
            @Nullable Double massKg,
            Double dragCoefficient) {

        private static final double USUAL_DRAG = 0.5;

        public BallKind {
            dragCoefficient = dragCoefficient == null ? USUAL_DRAG : dragCoefficient;
            new Checks()
                    .text("id", id, 60)
                    .text("name", name, 80)
                    .above("radiusM", radiusM, 0, 1)
                    .range("wallRestitution", wallRestitution, 0.001, 1)
                    .range("floorRestitution", floorRestitution, 0.001, 1)
                    .required("hard", hard)
                    .range("massKg", massKg == null ? 1 : massKg, 0.001, 20)
                    .range("dragCoefficient", dragCoefficient, 0, 2)
                    .done();
        }
    }

    /** A usual net or hoop, to be checked against local rules. @param distanceM from where it is served or thrown */
    public record NetPreset(
            String id, String name, @Nullable Double heightM, Double distanceM, Double landWithinM) {
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

    /**
     * From where on a plan says something.
     *
     * @param waterActiveMin active minutes without water, {@code waterHeatActiveMin} on a hot day
     * @param idleSec seconds that a wave waits with nothing to do
     * @param wavesMost waves for one task
     * @param gateShare share of the class that should be able to reach a gate by which a block goes
     * @param countShare planned time against the time that the class is expected to need for a count
     * @param effortLeap steps of effort between two neighbours
     * @param sideShare least share of handed work for either hand
     * @param wayFreeM floor that is kept free before doors, ways out and stairs
     * @param quietApartM between a loud station and a quiet one
     * @param swingMarginM beyond the reach of a swing
     * @param ageYears age that is reckoned with where no birth year is known
     * @param spareEvery one spare ball for so many
     * @param throwsMost full throws of one pupil in a lesson, where the youngest is {@code throwsCountUpTo} years old or less
     * @param quietMost blocks of a lesson with the same quiet task
     * @param movingShare least share of the lesson that each pupil should move, but for games and calm lessons
     */
    public record Thresholds(
            Integer waterActiveMin,
            Integer waterHeatActiveMin,
            Integer idleSec,
            Integer wavesMost,
            Double gateShare,
            Double countShare,
            Integer effortLeap,
            Double sideShare,
            Double wayFreeM,
            Double swingMarginM,
            Integer ageYears,
            Integer spareEvery,
            Integer throwsMost,
            Integer throwsCountUpTo,
            Integer quietMost,
            Double movingShare,
            Double seesLittleMs,
            Integer placesLeast,
            Double quietApartM) {

        /** Where a school's own file says nothing. */
        static final Thresholds USUAL = new Thresholds(
                null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null,
                null, null);

        public Thresholds {
            waterActiveMin = waterActiveMin == null ? 20 : waterActiveMin;
            waterHeatActiveMin = waterHeatActiveMin == null ? 10 : waterHeatActiveMin;
            idleSec = idleSec == null ? 60 : idleSec;
            wavesMost = wavesMost == null ? 3 : wavesMost;
            gateShare = gateShare == null ? 0.5 : gateShare;
            countShare = countShare == null ? 0.7 : countShare;
            effortLeap = effortLeap == null ? 2 : effortLeap;
            sideShare = sideShare == null ? 0.4 : sideShare;
            wayFreeM = wayFreeM == null ? 0.8 : wayFreeM;
            swingMarginM = swingMarginM == null ? 0.3 : swingMarginM;
            ageYears = ageYears == null ? 9 : ageYears;
            spareEvery = spareEvery == null ? 8 : spareEvery;
            throwsMost = throwsMost == null ? 100 : throwsMost;
            throwsCountUpTo = throwsCountUpTo == null ? 12 : throwsCountUpTo;
            quietMost = quietMost == null ? 2 : quietMost;
            movingShare = movingShare == null ? 1 / 3.0 : movingShare;
            seesLittleMs = seesLittleMs == null ? 3.0 : seesLittleMs;
            placesLeast = placesLeast == null ? 3 : placesLeast;
            quietApartM = quietApartM == null ? 2.0 : quietApartM;
            new Checks()
                    .range("waterActiveMin", waterActiveMin, 1, 240)
                    .range("waterHeatActiveMin", waterHeatActiveMin, 1, 240)
                    .seconds("idleSec", idleSec)
                    .range("wavesMost", wavesMost, 1, 60)
                    .range("gateShare", gateShare, 0, 1)
                    .range("countShare", countShare, 0, 1)
                    .range("effortLeap", effortLeap, 0, 4)
                    .range("sideShare", sideShare, 0, 0.5)
                    .range("wayFreeM", wayFreeM, 0, 10)
                    .range("swingMarginM", swingMarginM, 0, 10)
                    .range("ageYears", ageYears, 3, 99)
                    .range("spareEvery", spareEvery, 1, 100)
                    .range("throwsMost", throwsMost, 1, 10_000)
                    .range("throwsCountUpTo", throwsCountUpTo, 0, 99)
                    .range("quietMost", quietMost, 1, 60)
                    .range("movingShare", movingShare, 0, 1)
                    .range("seesLittleMs", seesLittleMs, 0, 60)
                    .range("placesLeast", placesLeast, 2, 60)
                    .range("quietApartM", quietApartM, 0, 50)
                    .done();
        }
    }

    /** The times of a pupil of this age; the youngest there are below the first. */
    public ReactionByAge reaction(int age) {
        ReactionByAge found = reactions.get(0);
        for (ReactionByAge r : reactions) if (r.fromAge() <= age && r.fromAge() >= found.fromAge()) found = r;
        return found;
    }

    public java.util.Optional<NetPreset> net(String id) {
        return nets.stream().filter(n -> n.id().equals(id)).findFirst();
    }

    public Planning {
        thresholds = thresholds == null ? Thresholds.USUAL : thresholds;
        coursePaces = coursePaces == null ? CoursePaces.USUAL : coursePaces;
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
