package org.unrulymarble.core.plan.findings;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Something that stands against a lesson, as data; the words for it live with the screens.
 *
 * @param id lasting for the same thing in the same lesson, so that it can be silenced
 * @param blockId the block that it is about, or null for the lesson
 * @param pupils names of those whom it is about
 * @param figures what it is reckoned from, by name
 * @param threshold the figure beyond which it is said, or null where anything at all is too much
 * @param school whose rule it is
 * @param mend what one press would change, or null where only the teacher can
 * @param silenced the teacher's reason for letting it stand, or null
 */
public record Finding(
        String id,
        Code code,
        Level level,
        @Nullable String blockId,
        List<String> pupils,
        Map<String, Object> figures,
        @Nullable Threshold threshold,
        School school,
        @Nullable Mend mend,
        @Nullable String silenced) {

    /** How much it weighs. */
    public enum Level {
        /** The lesson cannot be run like this, or not safely. */
        STOP,
        /** It can be run; this would make it better. */
        MIND
    }

    /** Whose rule it is: everybody's, safety's, or that of one school. */
    public enum School {
        EVERY,
        SAFETY,
        MOBILITY_FIRST,
        MIRRORED,
        BALL_FIRST,
        ONE_SKILL,
        BY_GATE,
        BY_COUNT,
        FLIGHT
    }

    /** The planning value that it goes by. */
    public record Threshold(String name, double value) {}

    /** What can be found. */
    public enum Code {
        NO_WALL,
        WALL_TOO_SHORT,
        WALL_TOO_LOW,
        TOO_LITTLE_DEPTH,
        FLOOR_TOO_SMALL,
        SPOT_TOO_SMALL,
        STAIRCASE_TOO_LONG,
        CEILING_TOO_LOW,
        NOTHING_LEFT_FREE,
        NO_ROOM_BESIDE,
        STATION_TURNS,
        LOUD_BESIDE_QUIET,
        STATION_OUT_OF_SIGHT,
        WAVES_MANY,
        SURFACE,
        WET,
        PLACE_REFUSED,
        BREAKABLES,
        NOISE,
        ROLLS_AWAY,
        CLAPS_TOO_MANY,
        KIT_SHORT,
        KIT_MISSING,
        KIT_AT_HOME,
        KIT_MISFIT,
        KIT_UNSUITED,
        GEAR_MISSING,
        TOO_FAST_TO_REACT,
        SWING_TOO_NEAR,
        PARTNER_IN_SWING,
        THROW_LINES,
        MARK_NOT_NET_HEIGHT,
        MARK_TOO_LOW,
        PAST_BELL,
        WATER_MISSING,
        WAVE_IDLE,
        MOVING_LITTLE,
        QUIET_TASK_AGAIN,
        THROWS_MANY,
        SIDE_LEFT_OUT,
        WARM_UP_MISSING,
        COOL_DOWN_MISSING,
        COOL_DOWN_NOT_REVERSED,
        BALL_NOT_FIRST,
        SKILLS_MIXED,
        EFFORT_LEAP,
        CUES_CLASH,
        GATE_CANNOT_BE_MET,
        GATE_OUT_OF_REACH,
        COUNT_TAKES_LONGER,
        AGE_UNSUITED,
        SEES_LITTLE_BALL,
        ADAPTATION,
        ADAPTATION_NO_VARIANT
    }

    /** What one press changes. */
    public record Mend(Kind kind, Map<String, Object> figures) {

        /** In the order in which they are preferred: ball, rung, spots and order are changed before a task is. */
        public enum Kind {
            FILL_UP,
            SOFTER_BALL,
            QUIETER_BALL,
            BALL_THAT_FITS,
            OTHER_RUNG,
            TIGHTER_SPOTS,
            WIDER_SPOTS,
            SPOT_AS_TASK,
            SHORTER_STEPS,
            BY_THE_CLOCK,
            STAND_AS_RUNG,
            ONE_ROW,
            FEWER_SPOTS,
            SIDE_BY_SIDE,
            MORE_ROUNDS,
            LONGER_ROUNDS,
            LAY_OUT,
            TAKE_APART,
            MARK_BAND,
            QUIET_TASK,
            EACH_SIDE,
            OTHER_ORDER,
            SAY_CHANGE,
            GATE_THAT_SUITS,
            GATE_AS_RUNG,
            TIME_FOR_COUNT,
            WATER_IN,
            FIT_TO_BELL,
            LESS_OF_IT,
            WITHOUT_OPTIONAL,
            WARM_UP_IN,
            COOL_DOWN_IN,
            REVERSE_WARM_UP,
            FREE_SHAPE,
            USE_VARIANTS,
            OTHER_TASK_FOR_ONE,
            OTHER_TASK,
            REMOVE
        }
    }

    public Finding {
        pupils = List.copyOf(pupils);
        figures = Map.copyOf(figures);
    }

    Finding silencedBecause(String reason) {
        return new Finding(id, code, level, blockId, pupils, figures, threshold, school, mend, reason);
    }
}
