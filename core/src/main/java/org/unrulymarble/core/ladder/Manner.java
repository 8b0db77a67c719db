package org.unrulymarble.core.ladder;

/**
 * How a task wants to be done, so that neighbouring cues do not clash.
 *
 * @param feet planted, always working, or as it comes
 * @param eyes on the ball, off it, or as it comes
 * @param attitude push (fast, mistakes are the price), control (slow down until nothing drops), or either
 */
public record Manner(Feet feet, Eyes eyes, Attitude attitude) {

    /** What the feet do. */
    public enum Feet {
        PLANTED,
        WORKING,
        FREE
    }

    /** Where the eyes are. */
    public enum Eyes {
        BALL,
        MARK,
        FREE
    }

    /** What a mistake means. */
    public enum Attitude {
        PUSH,
        CONTROL,
        EITHER
    }

    public static final Manner ANY = new Manner(Feet.FREE, Eyes.FREE, Attitude.EITHER);

    public Manner {
        feet = feet == null ? Feet.FREE : feet;
        eyes = eyes == null ? Eyes.FREE : eyes;
        attitude = attitude == null ? Attitude.EITHER : attitude;
    }
}
