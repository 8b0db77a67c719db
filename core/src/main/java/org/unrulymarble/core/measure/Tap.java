package org.unrulymarble.core.measure;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.games.Bowling;

/** One thing seen of a pupil in a round, as a pad tells it. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
    @JsonSubTypes.Type(value = Tap.Hit.class, name = "HIT"),
    @JsonSubTypes.Type(value = Tap.Miss.class, name = "MISS"),
    @JsonSubTypes.Type(value = Tap.Landed.class, name = "LANDED"),
    @JsonSubTypes.Type(value = Tap.Start.class, name = "START"),
    @JsonSubTypes.Type(value = Tap.Split.class, name = "SPLIT"),
    @JsonSubTypes.Type(value = Tap.Stop.class, name = "STOP"),
    @JsonSubTypes.Type(value = Tap.Ball.class, name = "BALL"),
    @JsonSubTypes.Type(value = Tap.Toss.class, name = "TOSS"),
    @JsonSubTypes.Type(value = Tap.JackMoved.class, name = "JACK_MOVED"),
    @JsonSubTypes.Type(value = Tap.EndWon.class, name = "END_WON"),
    @JsonSubTypes.Type(value = Tap.NextBatter.class, name = "NEXT_BATTER"),
    @JsonSubTypes.Type(value = Tap.Bowls.class, name = "BOWLS")
})
public sealed interface Tap {

    /** @param number the level, ring, spot, ball or kind of fair ball where the measure asks for one, 0 to 100,000; else null */
    record Hit(@Nullable Integer number) implements Tap {
        public Hit {
            if (number != null) new Checks().range("number", number, 0, 100_000).done();
        }
    }

    /** @param noBall why it was one, where no-balls are kept; else null */
    record Miss(Bowling.@Nullable NoBall noBall) implements Tap {}

    /** Where a throw landed on the drawn target: right of its middle and above it, -20,000 to 20,000 cm. */
    record Landed(Double xCm, Double yCm) implements Tap {
        public Landed {
            place(xCm, yCm);
        }
    }

    /** A watch is begun, so many milliseconds into the round. */
    record Start(Long offsetMs) implements Timed {
        public Start {
            moment(offsetMs);
        }
    }

    /** One of so many is done. */
    record Split(Long offsetMs) implements Timed {
        public Split {
            moment(offsetMs);
        }
    }

    /** The watch is stopped. */
    record Stop(Long offsetMs) implements Timed {
        public Stop {
            moment(offsetMs);
        }
    }

    /**
     * Where a ball of a match lies: right of the jack and beyond it, -20,000 to 20,000 cm.
     *
     * @param fault what may make it dead, by house rule; else null
     */
    record Ball(Team team, Double xCm, Double yCm, @Nullable Fault fault) implements Tap {

        /** What went wrong with a ball. */
        public enum Fault {
            /** Off the ground that is played on: always dead. */
            OUT,
            FOOT_OVER,
            LANDED_SHORT
        }

        /** A ball without a fault. */
        public Ball(Team team, Double xCm, Double yCm) {
            this(team, xCm, yCm, null);
        }

        public Ball {
            new Checks().required("team", team).done();
            place(xCm, yCm);
        }
    }

    /** Who won the toss of a match, and has the first jack. */
    record Toss(Team team) implements Tap {
        public Toss {
            new Checks().required("team", team).done();
        }
    }

    /** The jack was moved in an end: so far to the right and beyond, -20,000 to 20,000 cm. The balls stay where they lie. */
    record JackMoved(Double xCm, Double yCm) implements Tap {
        public JackMoved {
            place(xCm, yCm);
        }
    }

    /**
     * An end of a match is over.
     *
     * @param team whose points they are; null for both, where the end was level
     * @param points 0 to 64
     */
    record EndWon(@Nullable Team team, Integer points) implements Tap {
        public EndWon {
            new Checks().range("points", points, 0, 64).done();
        }
    }

    /** Another batter stands in: no-balls running were to the one before. */
    record NextBatter() implements Tap {}

    /** This pupil bowls from here on; whoever is named by the round did until then. */
    record Bowls(String pupilId) implements Tap {
        public Bowls {
            new Checks().text("pupilId", pupilId, 60).done();
        }
    }

    /** What tells a moment of the round. */
    sealed interface Timed extends Tap {
        Long offsetMs();
    }

    /** The two sides of a match. */
    enum Team {
        A,
        B
    }

    /** Far enough ahead for any device, and small enough that sums cannot overflow. */
    double MAX_MS = 1e14;

    private static void place(Double xCm, Double yCm) {
        new Checks()
                .range("xCm", xCm, -20_000, 20_000)
                .range("yCm", yCm, -20_000, 20_000)
                .done();
    }

    private static void moment(Long offsetMs) {
        new Checks().range("offsetMs", offsetMs, 0, MAX_MS).done();
    }
}
