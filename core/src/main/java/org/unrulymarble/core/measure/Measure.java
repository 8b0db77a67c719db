package org.unrulymarble.core.measure;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;

/** What is counted in a round, with the figures that it needs. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
    @JsonSubTypes.Type(value = CountInTime.class, name = "COUNT_IN_TIME"),
    @JsonSubTypes.Type(value = LongestRun.class, name = "LONGEST_RUN"),
    @JsonSubTypes.Type(value = HeldForTime.class, name = "HELD_FOR_TIME"),
    @JsonSubTypes.Type(value = HitsOfN.class, name = "HITS_OF_N"),
    @JsonSubTypes.Type(value = TimeForN.class, name = "TIME_FOR_N"),
    @JsonSubTypes.Type(value = Furthest.class, name = "FURTHEST"),
    @JsonSubTypes.Type(value = Rings.class, name = "RINGS"),
    @JsonSubTypes.Type(value = Levels.class, name = "LEVELS"),
    @JsonSubTypes.Type(value = MadeFromSpots.class, name = "MADE_FROM_SPOTS"),
    @JsonSubTypes.Type(value = KeepAll.class, name = "KEEP_ALL"),
    @JsonSubTypes.Type(value = CourseTime.class, name = "COURSE_TIME"),
    @JsonSubTypes.Type(value = Match.class, name = "MATCH"),
    @JsonSubTypes.Type(value = NoBalls.class, name = "NO_BALLS")
})
public sealed interface Measure
        permits CountInTime,
                LongestRun,
                HeldForTime,
                HitsOfN,
                TimeForN,
                Furthest,
                Rings,
                Levels,
                MadeFromSpots,
                KeepAll,
                CourseTime,
                Match,
                NoBalls {

    /** The measures by name, as files and screens call them. */
    enum Kind {
        COUNT_IN_TIME,
        LONGEST_RUN,
        HELD_FOR_TIME,
        HITS_OF_N,
        TIME_FOR_N,
        FURTHEST,
        RINGS,
        LEVELS,
        MADE_FROM_SPOTS,
        KEEP_ALL,
        COURSE_TIME,
        MATCH,
        NO_BALLS
    }

    /** How results of rounds that were not equally long, or had not equally many tries, stand to each other. */
    enum Compared {
        /** So many a second; a longer round only if it keeps the pace. */
        BY_SECONDS,
        /** So many of the tries; where nobody knows the tries, with nothing. */
        BY_TRIES,
        /** Only with rounds for which the same time was asked: a row or a place has no rate. */
        SAME_SECONDS,
        /** As it is: the round's length is no part of it. */
        AS_IT_IS
    }

    Kind kind();

    /** Whether what is counted may be in the air at a stop: goes and places, not a time, a watch or a match. */
    default boolean thrown() {
        return switch (kind()) {
            case HELD_FOR_TIME, TIME_FOR_N, COURSE_TIME, MATCH -> false;
            default -> true;
        };
    }

    /** Whether a round is so many goes rather than so long. */
    default boolean byGoes() {
        return compared() == Compared.BY_TRIES || kind() == Kind.RINGS;
    }

    /**
     * What taps come to.
     *
     * @param taps in order
     * @param missesCounted whether whoever tapped taps misses too; where the measure lives by misses it makes no difference
     * @param workedMs milliseconds of the round that were worked, at which a watch that still ran stood
     */
    Scored score(List<Tap> taps, boolean missesCounted, long workedMs);

    /**
     * What a number that was told says: seven of ten tells the misses too, a bare number does not.
     *
     * @param timeMs where a time was told with its tenths, else null
     */
    default Scored told(int score, Integer timeMs) {
        return new Scored(score, null, null, null, timeMs == null ? null : new Detail.Timed(timeMs, List.of()));
    }

    /** The most that a number told can be in a round of so many seconds; more is asked back. */
    default int most(int sec) {
        return 100_000;
    }

    /** Whether a smaller number is the better one: times to beat, goes until all are kept. */
    default boolean lessIsBetter() {
        return false;
    }

    Compared compared();

    /** Whether its tries hit or miss one by one, so that a share can be told of them. */
    default boolean countsTries() {
        return false;
    }

    /** Whether single hits can be tapped as they happen, by whoever stands beside. */
    default boolean tappable() {
        return false;
    }

    /** Whether one pupil can be scored by it while others beside are scored by another: it needs no match, no watch of its own and no call for all. */
    default boolean goesBesideOthers() {
        return switch (kind()) {
            case MATCH, NO_BALLS, KEEP_ALL, TIME_FOR_N, COURSE_TIME -> false;
            default -> true;
        };
    }

    /** What a task may be scored by instead: itself with other figures, and where goes are counted one by one, so many in a time, a row, or of so many. */
    default boolean mayBeScoredAs(Measure other) {
        return kind() == other.kind() || ways().contains(other.kind());
    }

    /** The measures that a task of this one may be scored by, itself first. */
    default List<Kind> ways() {
        return switch (kind()) {
            case COUNT_IN_TIME -> List.of(Kind.COUNT_IN_TIME, Kind.LONGEST_RUN, Kind.HITS_OF_N, Kind.TIME_FOR_N);
            case LONGEST_RUN -> List.of(Kind.LONGEST_RUN, Kind.COUNT_IN_TIME, Kind.HITS_OF_N);
            case HITS_OF_N -> List.of(Kind.HITS_OF_N, Kind.COUNT_IN_TIME, Kind.LONGEST_RUN);
            case TIME_FOR_N -> List.of(Kind.TIME_FOR_N, Kind.COUNT_IN_TIME);
            default -> List.of(kind());
        };
    }

    /** Whether a rung of this measure may open by this gate: a reach always, the others wherever tries hit or miss. */
    default boolean mayHave(Gate gate) {
        return gate instanceof Gate.Reach || countsTries();
    }
}
