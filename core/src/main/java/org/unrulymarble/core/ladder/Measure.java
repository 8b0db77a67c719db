package org.unrulymarble.core.ladder;

/** What is counted in a round. */
public enum Measure {
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
    MATCH;

    /** Whether fewer is better: the two measures that are times to beat, and goes needed until all are kept. */
    public boolean lessIsBetter() {
        return this == TIME_FOR_N || this == COURSE_TIME || this == KEEP_ALL;
    }

    /** Whether single hits can be tapped as they happen. */
    public boolean tappable() {
        return this == COUNT_IN_TIME || this == LONGEST_RUN || this == HITS_OF_N || this == MADE_FROM_SPOTS;
    }
}
