import type { Ladder, MeasureType, Rung, RungFit } from "./api/types";
import { mendOf } from "./words-findings";

/** The words of the catalogue. */

export const lever: Record<Rung["lever"], string> = {
  START: "start",
  HAND: "hand",
  CLAP: "clap",
  BOUNCE: "bounce",
  HEIGHT: "height",
  TURN: "turn",
  FEET: "feet",
  DISTANCE: "distance",
  TARGET_SIZE: "target size",
  SPEED: "speed",
  TOGETHER: "together or apart",
  NUMBER_OF_BALLS: "number of balls",
  EYES: "eyes",
  DIRECTION: "direction",
  BALL: "ball",
  PARTNER: "partner",
  MEMORY_LOAD: "memory",
  HOLD: "hold",
  BALANCE: "balance",
  EQUIPMENT: "equipment",
};

export const measure: Record<MeasureType, string> = {
  COUNT_IN_TIME: "count in the time",
  LONGEST_RUN: "longest run",
  HELD_FOR_TIME: "seconds held",
  HITS_OF_N: "hits of so many",
  TIME_FOR_N: "seconds for so many",
  FURTHEST: "furthest place",
  RINGS: "points by ring",
  LEVELS: "level reached",
  MADE_FROM_SPOTS: "made from the spots",
  KEEP_ALL: "goes until all are kept",
  COURSE_TIME: "seconds for the course",
  MATCH: "match",
  NO_BALLS: "fair balls, no-balls kept",
};

export const aspect: Record<Ladder["aspects"][number], string> = {
  HANDS: "hands",
  BOTH_SIDES: "both sides",
  FEET: "feet",
  EYES_UP: "eyes up",
  BALANCE: "balance",
  REACTION: "reaction",
  TIMING: "timing",
  STRENGTH: "strength",
  AIM: "aim",
  MEMORY: "memory",
};

export const noise: Record<Ladder["noise"], string> = { QUIET: "quiet", BOUNCE: "bounces", LOUD: "loud" };

export const part: Record<Ladder["part"], string> = { WARM_UP: "warm-up", MAIN: "main part", COOL_DOWN: "cool-down" };

export const rungSides: Record<Rung["sides"], string> = {
  NONE: "no side",
  BOTH: "right and left in turn",
  BOTH_DIRECTIONS: "one way, then the other",
  STRONG_ONLY: "the strong side",
  OWN_JOBS: "each hand its own job",
};

export const refusedPlace: Record<Ladder["refusedPlaces"][number], string> = {
  WINDOW_AT_WALL: "beside a window in the wall",
  LOW_LAMPS: "under low lamps",
  OTHERS_WALL: "at a wall that belongs to somebody else",
  NEIGHBOURS_BELOW: "above neighbours",
  BREAKABLES: "near things that break",
  WET_FLOOR: "on a wet floor",
  STAIRS: "beside stairs",
  CARS: "beside cars",
  OPEN_WATER: "beside open water",
};

export const needs: Record<Ladder["kit"][number]["needs"][number], string> = {
  BOUNCES: "bounces",
  SOFT: "soft",
  ROLLS: "rolls",
  GRIPS: "can be gripped",
  BRIGHT: "bright",
};

export const onMiss: Record<Rung["doses"]["staircase"]["onMiss"], string> = {
  STAY: "stay after a miss",
  STEP_IN: "a step in after a miss",
  RESTART: "from the start after a miss",
};

export function people(ladder: Ladder): string {
  return ["", "alone", "in pairs", "in threes", "in fours", "in fives", "in sixes"][ladder.roles.length] ?? "";
}

export function sports(ladder: Ladder): string {
  return ladder.sports[0] === "all" ? "every sport" : ladder.sports.join(", ");
}

export const verdict: Record<RungFit["verdict"], string> = {
  FITS: "Fits",
  WITH_CHANGE: "Fits with a change",
  FEW_AT_A_TIME: "A few at a time",
  NOT: "Does not fit",
};

/** How many are at work here, and what is changed for it: "6 spots, 2 waves. Fill up with tennis balls." */
export function hereIs(fit: RungFit): string {
  if (fit.verdict === "NOT" || !fit.waves) return "";
  const spots = `${fit.spots} ${fit.spots === 1 ? "spot" : "spots"}, ${fit.waves} ${fit.waves === 1 ? "wave" : "waves"}.`;
  const changes = fit.changes.map((c) => {
    const [press, does] = mendOf(c);
    const joined = does.startsWith("with ") ? `${press} ${does}` : [press, does].filter(Boolean).join(": ");
    return joined.replace(/[.:]?$/, ".");
  });
  return [spots, ...changes].join(" ");
}

export const ours =
  "Paces, footprints, doses and gates are planning values of our own: change them in a plan, or in a copy that is yours.";
