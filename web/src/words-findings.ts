import type { Block, Finding, Lesson } from "./api/types";
import { clock, count, family as familyWord, percent, side } from "./words";

/** The words of "Before you run it": what stands against a lesson, in figures, and what one press would change. */

type Figures = Finding["figures"];

const n = (f: Figures, name: string) => Number(f[name] ?? 0);
const t = (f: Figures, name: string) => String(f[name] ?? "");
const m = (f: Figures, name: string) => `${Number(n(f, name).toFixed(2))} m`;

export const adaptation: Record<string, string> = {
  SEATED: "seated",
  ONE_HAND: "uses one hand",
  SEES_LITTLE: "sees little",
  HEARS_LITTLE: "hears little",
};

/** What goes with every task, where a ladder says nothing of its own. */
export const everyTask: Record<string, string> = {
  SEES_LITTLE: "A bright ball against the floor, a voice before each throw, a bell or a clap behind the target.",
  HEARS_LITTLE: "Every call is shown with an arm as well; stand where they see you.",
};

const refusedPlace: Record<string, string> = {
  LOW_LAMPS: "low lamps",
  OTHERS_WALL: "a wall that belongs to somebody else",
  NEIGHBOURS_BELOW: "neighbours below",
  BREAKABLES: "things that break",
  STAIRS: "stairs beside it",
  CARS: "cars beside it",
  OPEN_WATER: "open water beside it",
};

export const surface: Record<string, string> = {
  WOOD: "wood",
  CONCRETE: "concrete",
  TARMAC: "tarmac",
  TILES: "tiles",
  CARPET: "carpet",
  GRASS: "grass",
  SAND: "sand",
  ANY: "any surface",
};

const clashing: Record<string, string> = {
  FEET: "one wants the feet planted, the other always working",
  EYES: "one wants the eyes on the ball, the other on the mark",
  ATTITUDE: "one pushes and lets mistakes happen, the other slows down until nothing drops",
};

/** What a kind of kit cannot do that a task needs. */
const lacking: Record<string, string> = {
  BOUNCES: "it does not bounce",
  SOFT: "it is not soft",
  ROLLS: "it does not roll",
  GRIPS: "a hand does not close on it",
  BRIGHT: "it is hard to see",
};

const cap = (s: string) => s.charAt(0).toUpperCase() + s.slice(1);

type Say = (f: Figures, pupils: string[]) => string;

const tries = (f: Figures) =>
  n(f, "byPlanningRate") > 0
    ? ` ${n(f, "byPlanningRate")} of them have no counted tries and are reckoned by the rung's planning rate.`
    : "";

/** What would let everybody move more, by what takes most of the time. */
const raises: Record<string, string> = {
  WAITING: "More places, or stations at the same time, would raise it.",
  HELPING: "Tasks in which all work at once would raise it.",
  AROUND: "Fewer changes and shorter talks would raise it.",
};

const says: Record<Finding["code"], Say> = {
  NO_WALL: () => "There is no free wall here, and this is done at one.",
  WALL_TOO_SHORT: (f) => `One spot needs ${m(f, "needM")} of free wall; there are ${m(f, "haveM")}.`,
  TOO_LITTLE_DEPTH: (f) => `One spot needs ${m(f, "needM")} of floor before the wall; there are ${m(f, "haveM")}.`,
  FLOOR_TOO_SMALL: (f) =>
    `One spot with its edges needs ${m(f, "needM")} × ${m(f, "byM")}; the floor is ${m(f, "haveM")} × ${m(f, "haveByM")}.`,
  WALL_TOO_LOW: (f) => `The mark goes up to ${m(f, "needM")}; the highest free wall ends at ${m(f, "haveM")}.`,
  CEILING_TOO_LOW: (f) => `It needs ${m(f, "needM")} of height; the ceiling is at ${m(f, "haveM")}.`,
  SPOT_TOO_SMALL: (f) =>
    f.standM
      ? `The spot is ${m(f, "haveM")} long, and they stand ${m(f, "standM")} off.`
      : `The spot is ${m(f, "haveM")} × ${m(f, "haveByM")}; the task takes ${m(f, "needM")} × ${m(f, "byM")}.`,
  STAIRCASE_TOO_LONG: (f) =>
    n(f, "places") < 2
      ? `There is no room to step back by ${m(f, "stepM")}: ${m(f, "leftM")} are left behind the first place.`
      : `Steps of ${m(f, "stepM")} make ${n(f, "places")} places: ${m(f, "leftM")} are left behind the first one.`,
  NOTHING_LEFT_FREE: (f) =>
    n(f, "windows") > 0
      ? "Every spot would stand beside a window or in the way of something."
      : "Every spot would stand before a door, a way out, stairs or something else.",
  NO_ROOM_BESIDE: () => "There is no room for it beside the other stations.",
  STATION_TURNS: (f) =>
    n(f, "rounds") < n(f, "turns")
      ? `A group takes ${n(f, "turns")} turns here, and a visit has ${count(n(f, "rounds"), "round", "rounds")}: somebody never works.`
      : `A group takes ${n(f, "turns")} turns here, and a visit has ${n(f, "rounds")} rounds: some work once more than others.`,
  WAVES_MANY: (f) =>
    `${count(n(f, "spots"), "spot makes", "spots make")} ${n(f, "waves")} waves: each pupil waits ${clock(n(f, "addsSec"))} for a place.`,
  SURFACE: (f) => `It does not go on ${surface[t(f, "surface")] ?? t(f, "surface")}.`,
  WET: (f) =>
    t(f, "when") === "NOW"
      ? "The floor is wet, and people move here."
      : "The floor is wet in the mornings, and people move here. Set an afternoon start, or look at the floor first.",
  PLACE_REFUSED: (f) =>
    `It is not done where there are ${refusedPlace[t(f, "place")] ?? t(f, "place")}.`.replace("are a ", "is a "),
  BREAKABLES: (f) => `There are things that break, and a ${t(f, "ball")} is firm.`,
  NOISE: (f) => `Neighbours below hear ${t(f, "noise") === "LOUD" ? "every bounce and step" : "every bounce"}.`,
  ROLLS_AWAY: (f) =>
    `A ${t(f, "ball")} rolls, and there ${t(f, "to") === "CARS" ? "are cars" : "is open water"} beside it.`,
  CLAPS_TOO_MANY: (f) =>
    `Ceiling ${m(f, "haveM")}: ${count(n(f, "fit"), "clap is", "claps are")} the most that fits; the rung asks for ${n(f, "claps")}.`,
  KIT_SHORT: (f) =>
    `${n(f, "need")} × ${t(f, "what")} at once${f.meanwhile ? " for those who wait" : ""}; there are ${n(f, "have")}.`,
  KIT_MISSING: (f) =>
    `${n(f, "need")} × ${t(f, "what")} at once${f.meanwhile ? " for those who wait" : ""}; there are none in the store.`,
  KIT_AT_HOME: (f, pupils) =>
    `${n(f, "without")} have no ${t(f, "what")} at home, or it is not known: ${names(pupils)}.`,
  KIT_MISFIT: (f) =>
    `A ${t(f, "ball")} of ${n(f, "ballCm")} cm does not go into a ${t(f, "into")} of ${n(f, "openingCm")} cm.`,
  KIT_UNSUITED: (f) =>
    f.lacks
      ? `${cap(t(f, "with"))}: ${lacking[t(f, "lacks")] ?? ""}, and this needs it.`
      : `${cap(t(f, "with"))}: refused in this task, whatever the store has.`,
  GEAR_MISSING: (f) =>
    `${t(f, "ball") ? `With a ${t(f, "ball")} it` : "It"} asks for ${n(f, "need")} × ${t(f, "gear")}; there are ${n(f, "have")}.`,
  TOO_FAST_TO_REACT: (f) =>
    `At ${n(f, "age")} years${f.ageKnown ? "" : " (no birth year known)"} a ${f.hard ? "hard " : ""}ball at ${n(f, "speedMs")} m/s needs ${m(f, "leastM")} to react; here it comes from ${m(f, "fromM")}.`,
  SWING_TOO_NEAR: (f) =>
    `A swing reaches ${m(f, "reachM")}: neighbours need ${m(f, "needM")} from middle to middle and have ${m(f, "haveM")}.`,
  PARTNER_IN_SWING: (f) =>
    `A swing reaches ${m(f, "reachM")}: the partner opposite must be ${m(f, "needM")} off and stands at ${m(f, "haveM")}.`,
  THROW_LINES: (f) => `${n(f, "rows")} rows throw across each other; throwers stand in one row and throw the same way.`,
  MARK_NOT_NET_HEIGHT: (f) =>
    `From ${m(f, "standM")} the band to hit ${f.ball ? `with the ${t(f, "ball")}, air included, ` : ""}is ${m(f, "lowM")} to ${m(f, "highM")}, not net height (${m(f, "netM")}, ${t(f, "net")}).`,
  MARK_TOO_LOW: (f) =>
    `The band begins at ${m(f, "ownLowM")}; ${f.ball ? `with the ${t(f, "ball")}, air included, ` : ""}what clears the net of ${m(f, "netM")} (${t(f, "net")}) meets the wall at ${m(f, "lowM")} or higher.`,
  PAST_BELL: (f) =>
    `It takes ${clock(n(f, "totalSec"))}: ${clock(n(f, "pastSec"))} past the bell at ${clock(n(f, "bellSec"))}.`,
  WATER_MISSING: (f) =>
    `${Math.round(n(f, "activeSec") / 60)} active minutes without water${f.heat ? " on a hot day" : ""}.`,
  QUIET_TASK_AGAIN: (f) =>
    `“${t(f, "task")}” is the quiet task for the ${n(f, "times") === 3 ? "third" : `${n(f, "times")}th`} time.`,
  THROWS_MANY: (f) =>
    `About ${n(f, "throws")} full throws each in one lesson; the youngest is ${n(f, "age")}. Young shoulders: keep the number small.`,
  MOVING_LITTLE: (f) =>
    `Each pupil moves ${percent(n(f, "share"))} of the time: ${clock(n(f, "helpsSec"))} they count or feed for others, ${clock(n(f, "waitsSec"))} they wait for a place, ${clock(n(f, "restSec"))} go with setting up, telling, changing and rest. ${raises[t(f, "most")] ?? ""}`,
  WAVE_IDLE: (f) => `${n(f, "waiting")} wait ${clock(n(f, "waitsSec"))} in each set with nothing to do.`,
  SIDE_LEFT_OUT: (f) =>
    `The ${side[t(f, "side") as keyof typeof side] ?? t(f, "side")} side gets ${Math.round(100 * n(f, "share"))} % of it.`,
  WARM_UP_MISSING: () => "It does not begin with a warm-up.",
  COOL_DOWN_MISSING: () => "It does not end with a cool-down.",
  COOL_DOWN_NOT_REVERSED: () => "The cool-down is not the warm-up backwards.",
  BALL_NOT_FIRST: () => "It does not open with the ball in both hands.",
  SKILLS_MIXED: (f) =>
    `${(f.families as string[] | undefined)?.map((x) => familyWord[x as keyof typeof familyWord].toLowerCase()).join(", ")}: more than one skill.`,
  EFFORT_LEAP: (f) => `Effort leaps from ${n(f, "from")} to ${n(f, "to")} of 5.`,
  CUES_CLASH: (f) => `Cues contradict those of “${t(f, "before")}” just before: ${clashing[t(f, "what")]}.`,
  GATE_CANNOT_BE_MET: (f) =>
    f.inSec
      ? `A gate of ${n(f, "reach")} in ${n(f, "inSec")} s cannot be met: at best one takes ${n(f, "hitSec")} s.`
      : `A gate of ${n(f, "reach")}${f.of ? ` of ${n(f, "of")}` : " in a row"} cannot be met with ${count(n(f, "reps"), "go", "goes")}.`,
  GATE_OUT_OF_REACH: (f) =>
    `About ${Math.round(n(f, "expected"))} of ${n(f, "pupils")} reach ${n(f, "reach")}${f.of ? ` of ${n(f, "of")}` : ""} within ${n(f, "limitSec")} s.${tries(f)}`,
  COUNT_TAKES_LONGER: (f) =>
    `${n(f, "reps")} take half of this class ${clock(n(f, "halfSec"))}; the plan gives ${clock(n(f, "plannedSec"))}.${tries(f)}`,
  AGE_UNSUITED: (f) =>
    `Meant for pupils ${f.to ? `of ${n(f, "from")} to ${n(f, "to")}` : `from ${n(f, "from")} years on`}; ${n(f, "others")} of ${n(f, "pupils")} are not.`,
  SEES_LITTLE_BALL: (f, pupils) =>
    `A ball comes at ${n(f, "speedMs")} m/s, and ${names(pupils)} sees little.${f.variant ? ` Here: ${t(f, "variant")}` : ""}`,
  ADAPTATION: (f, pupils) =>
    `${names(pupils)}, ${adaptation[t(f, "adaptation")]}: ${count((f.blocks as string[] | undefined)?.length ?? 0, "task has", "tasks have")} a variant to use.`,
  ADAPTATION_NO_VARIANT: (f, pupils) =>
    `${names(pupils)}, ${adaptation[t(f, "adaptation")]}: this task has no such variant.`,
};

function names(pupils: string[]): string {
  return pupils.length > 4 ? `${pupils.slice(0, 3).join(", ")} and ${pupils.length - 3} more` : pupils.join(", ");
}

export function finding(f: Finding): string {
  return says[f.code](f.figures, f.pupils);
}

type MendKind = NonNullable<Finding["mend"]>["kind"];

/** The press, and what it does. */
const mends: Record<MendKind, (f: Figures) => [press: string, does: string]> = {
  FILL_UP: (f) => [
    "Fill up",
    `with ${t(f, "with")}${n(f, "left") > 0 ? `, ${n(f, "left")} are still missing` : ""}: ${[t(f, "changes"), t(f, "make") && `${t(f, "make")}${n(f, "makeMin") > 0 ? ` (${n(f, "makeMin")} min)` : ""}`].filter(Boolean).join(". ")}`,
  ],
  SOFTER_BALL: (f) => [`Take ${t(f, "ball")}`, t(f, "changes")],
  QUIETER_BALL: (f) => [`Take ${t(f, "ball")}`, t(f, "changes")],
  BALL_THAT_FITS: (f) => [`Take ${t(f, "ball")}`, t(f, "changes")],
  OTHER_RUNG: (f) => [`Rung ${n(f, "number")}`, `“${t(f, "rung")}” fits here`],
  TIGHTER_SPOTS: (f) => [
    "Closer together",
    `${n(f, "spots")} spots with ${m(f, "gapM")} between and ${m(f, "edgeM")} to the edge`,
  ],
  WIDER_SPOTS: (f) => ["Further apart", `${m(f, "gapM")} between spots`],
  SPOT_AS_TASK: (f) => ["As the task", `spots of ${m(f, "needM")} × ${m(f, "byM")}`],
  SHORTER_STEPS: (f) => ["Shorter steps", `${m(f, "stepM")} each`],
  BY_THE_CLOCK: () => ["By the clock", "nobody steps back"],
  STAND_AS_RUNG: (f) => ["Back again", `to ${m(f, "standM")}, as the rung has it`],
  ONE_ROW: () => ["One row", "all throw the same way"],
  FEWER_SPOTS: (f) => ["Share it", `${count(n(f, "spots"), "spot", "spots")} at a time, in waves`],
  SIDE_BY_SIDE: (f) => [
    "Side by side",
    `${n(f, "stations")} stations at the same time: ${percent(n(f, "share"))} moving`,
  ],
  MORE_ROUNDS: (f) => ["More rounds", `${n(f, "rounds")} in each visit`],
  LONGER_ROUNDS: (f) => ["Longer rounds", `${n(f, "sec")} s at all stations`],
  TAKE_APART: () => ["Take it apart", "the tasks come one after the other again"],
  MARK_BAND: (f) => ["Mark it", `chalk from ${m(f, "lowM")} to ${m(f, "highM")}`],
  QUIET_TASK: (f) => ["Give them one", `“${t(f, "task")}” as a quiet task`],
  EACH_SIDE: () => ["Both sides", "each gets its due"],
  OTHER_ORDER: (f) => ["Change the order", t(f, "task") ? `“${t(f, "task")}” moves` : ""],
  SAY_CHANGE: (f) => ["Say the change", `${n(f, "seconds")} s more to explain`],
  GATE_AS_RUNG: () => ["The rung's gate", "for as many goes as the block gives"],
  GATE_THAT_SUITS: (f) => [`Gate ${n(f, "reach")}`, "half of them can be expected to reach it"],
  TIME_FOR_COUNT: (f) => ["Plan the time", `${n(f, "secPerRep")} s each`],
  WATER_IN: (f) => ["Water", `${n(f, "seconds")} s before block ${n(f, "before")}`],
  FIT_TO_BELL: (f) => ["Fit to the bell", `sets and seconds so that it ends at ${clock(n(f, "endsSec"))}`],
  LESS_OF_IT: (f) => [
    "Less of it",
    f.sets
      ? `“${t(f, "task")}” with ${count(n(f, "sets"), "set", "sets")}`
      : f.reps
        ? `${count(n(f, "reps"), "try", "tries")} instead`
        : `${n(f, "limitSec")} s at most`,
  ],
  WITHOUT_OPTIONAL: (f) => ["Leave out the optional", `saves ${clock(n(f, "savesSec"))}`],
  WARM_UP_IN: (f) => ["Put one in", `“${t(f, "task")}”, ${clock(n(f, "seconds"))}`],
  COOL_DOWN_IN: (f) => ["Put one in", `“${t(f, "task")}”, ${clock(n(f, "seconds"))}`],
  REVERSE_WARM_UP: (f) => ["Turn it round", `“${t(f, "task")}” backwards`],
  FREE_SHAPE: () => ["Free order", "no order is asked then"],
  USE_VARIANTS: (f) => [n(f, "tasks") === 1 ? "Use it" : "Use them", `in ${count(n(f, "tasks"), "task", "tasks")}`],
  OTHER_TASK_FOR_ONE: (f) => ["Another task", `“${t(f, "task")}” instead, for this pupil`],
  OTHER_TASK: (f) => ["Another task", `“${t(f, "task")}” trains the nearest to it and fits here`],
  REMOVE: (f) => ["Leave it out", `nothing like “${t(f, "task")}” fits here`],
};

export function mend(f: Finding): [press: string, does: string] {
  return f.mend ? mendOf(f.mend) : ["", ""];
}

export function mendOf(m: NonNullable<Finding["mend"]>): [press: string, does: string] {
  return mends[m.kind](m.figures);
}

const schools: Record<Finding["school"], string> = {
  EVERY: "",
  SAFETY: "safety",
  MOBILITY_FIRST: "school: mobility first, holds last",
  MIRRORED: "school: holds at both ends",
  BALL_FIRST: "school: ball first",
  ONE_SKILL: "school: one skill",
  BY_GATE: "school: by gate",
  BY_COUNT: "school: by count",
  FLIGHT: "flight",
};

const thresholds: Record<string, (value: number) => string> = {
  wavesMost: (v) => `more than ${v} waves`,
  wayFreeM: (v) => `${v} m before ways are kept free`,
  swingMarginM: (v) => `reach, a body and ${v} m`,
  minutes: (v) => `the bell at ${v} min`,
  waterActiveMin: (v) => `${v} active minutes`,
  waterHeatActiveMin: (v) => `${v} active minutes in the heat`,
  idleSec: (v) => `more than ${v} s of waiting`,
  quietMost: (v) => `more than ${v} times the same`,
  throwsMost: (v) => `more than ${v} throws`,
  movingShare: (v) => `less than ${Math.round(100 * v)} % of the time`,
  seesLittleMs: (v) => `${v} m/s`,
  placesLeast: (v) => `fewer than ${v} places`,
  sideShare: (v) => `less than ${Math.round(100 * v)} %`,
  effortLeap: (v) => `more than ${v} steps of effort`,
  gateShare: (v) => `fewer than ${Math.round(100 * v)} % of the class`,
  countShare: (v) => `less than ${Math.round(100 * v)} % of the time half of them need`,
};

/** From where on it is said, and by whose rule. */
export function said(f: Finding): string {
  const from = f.threshold ? (thresholds[f.threshold.name]?.(f.threshold.value) ?? "") : "";
  return [from && `Said from: ${from}`, schools[f.school]].filter(Boolean).join(" · ");
}

export const shape: Record<Lesson["shape"], [name: string, about: string]> = {
  MOBILITY_FIRST: ["mobility first, holds last", "moving mobility at the start, held stretches at the end"],
  MIRRORED: ["holds at both ends", "the cool-down is the warm-up backwards"],
  BALL_FIRST: ["ball first", "opens with the ball in both hands to switch heads over"],
  ONE_SKILL: ["one skill", "one skill from start to end"],
  FREE: ["free order", "no order is asked"],
};

export const sideOrder: Record<Block["sideOrder"], string> = {
  ONE_THEN_OTHER: "one, then the other",
  ALTERNATING: "alternating every try",
  OUT_AND_BACK: "out with one, back with the other",
  CALLED: "as they are called",
};
