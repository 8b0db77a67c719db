package org.unrulymarble.core.measure;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.games.Bowling;

/** What is known of a round beside its score, by its measure. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
    @JsonSubTypes.Type(value = Detail.Timed.class, name = "TIMED"),
    @JsonSubTypes.Type(value = Detail.Landings.class, name = "LANDINGS"),
    @JsonSubTypes.Type(value = Detail.Spots.class, name = "SPOTS"),
    @JsonSubTypes.Type(value = Detail.Steps.class, name = "STEPS"),
    @JsonSubTypes.Type(value = Detail.Bowled.class, name = "BOWLED"),
    @JsonSubTypes.Type(value = Detail.Guessed.class, name = "GUESSED"),
    @JsonSubTypes.Type(value = Detail.Played.class, name = "PLAYED")
})
public sealed interface Detail {

    /** Milliseconds of the best go, and of its splits from its start, in order. */
    record Timed(Integer timeMs, List<Integer> splitsMs) implements Detail {
        public Timed {
            splitsMs = splitsMs == null ? List.of() : List.copyOf(splitsMs);
        }
    }

    /** Where the throws landed. */
    record Landings(List<Landing> landings) implements Detail {
        public Landings {
            landings = List.copyOf(landings);
        }
    }

    /** Right of the middle of the target, and above it. */
    record Landing(double xCm, double yCm) {}

    /** How many at each spot. */
    record Spots(List<Integer> madeAtSpots) implements Detail {
        public Spots {
            madeAtSpots = List.copyOf(madeAtSpots);
        }
    }

    /** Metres of one step. */
    record Steps(double stepM) implements Detail {}

    /**
     * No-balls, and how often two ran to the same batter.
     *
     * @param fair how many of each kind that was told of a fair ball, none of no ball
     */
    record Bowled(int noBalls, int halfScores, List<FairBalls> fair) implements Detail {
        public Bowled {
            fair = fair == null ? List.of() : List.copyOf(fair);
        }
    }

    /** So many fair balls of a kind. */
    record FairBalls(Bowling.FairKind kind, int n) {}

    /**
     * A match, end by end.
     *
     * @param against ids of those who played against this pupil
     */
    record Played(List<EndPoints> ends, List<String> against) implements Detail {
        public Played {
            ends = List.copyOf(ends);
            against = against == null ? List.of() : List.copyOf(against);
        }
    }

    /** What an end was worth for one's own side, and for theirs. */
    record EndPoints(int own, int theirs) {}

    /** The share of goes without what guessing would have given; null where guessing explains them all. */
    record Guessed(@Nullable Double shareWithoutGuessing) implements Detail {}
}
