package org.unrulymarble.core.ladder;

/** The house's one list of cautions; their words live with the screens. */
public enum Caution {
    CEILING_AND_LAMPS,
    GLASS_BEHIND_TARGET,
    HARD_BALL_FACE,
    SWING_CLEARANCE,
    FAST_RETURN,
    LOOSE_BALLS,
    THIN_BAGS,
    HARD_TOSS,
    TRIP_MARKERS,
    WET_FLOOR,
    SOCKS_ON_HARD_FLOOR,
    LACES,
    STAIRS_AND_DOORS,
    WATER_AND_CARS,
    SMALL_SIBLINGS_AND_PETS,
    GLASSES_AND_JEWELLERY,
    DIZZINESS,
    BALL_ON_HEAD,
    PROTECTIVE_GEAR,
    OVERSTRETCHING,
    THROWING_COUNTS,
    HEAT,
    AT_PERSON_SOFT_ONLY
}
