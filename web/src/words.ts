import type {
  Attempt,
  Block,
  BlockPlan,
  Challenge,
  Circuit,
  Family,
  Ladder,
  LessonPlan,
  Mark,
  RoundAgainst,
  RoundResult,
  Rung,
  Side,
} from "./api/types";
import { texts } from "./words/texts";
import { noRoom } from "./words-marks";

const say = texts("plan");
const ui = texts("ui");

/** Sides of a room, drawn with its length from left to right. */
export const edgeWord = {
  TOP: ui("edge.TOP"),
  RIGHT: ui("edge.RIGHT"),
  BOTTOM: ui("edge.BOTTOM"),
  LEFT: ui("edge.LEFT"),
} as const;

/** All words of the screens, in one place. Sentences as a colleague would say them; numbers carry units. */

export const family: Record<Family, string> = {
  THROW: "Throw",
  CATCH: "Catch",
  HANDLE: "Handle",
  TARGET: "Target",
  MOVE: "Move",
};

export const side: Record<Side, string> = {
  NONE: "both together",
  RIGHT: "right",
  LEFT: "left",
  CLOCKWISE: "clockwise",
  COUNTER_CLOCKWISE: "other way",
  STRONG: "strong hand",
  MIXED: "both in turn",
};

export const sideCall: Record<Side, string> = {
  NONE: "",
  RIGHT: "Right hand",
  LEFT: "Left hand",
  CLOCKWISE: "Clockwise",
  COUNTER_CLOCKWISE: "The other way",
  STRONG: "Strong hand",
  MIXED: "Both in turn",
};

export const modifier: Record<Block["modifiers"][number], string> = {
  STEP_ADDED: "step added",
  GLOVES: "gloves",
  CLOTH_COVER: "cloth cover",
  SMALLER_BALL: "smaller ball",
  EYES_ON_MARK: "eyes on a mark",
  OTHER_HAND: "other hand",
  SECOND_TASK: "second task",
};

export const countedBy: Record<RoundResult["source"], string> = {
  ADULT: "adult",
  PARTNER: "partner",
  SELF: "self",
  TYPED: "typed in afterwards",
};

/** The pupil's own word on a round. */
export const ownWord: Record<"TOO_EASY" | "RIGHT" | "TOO_HARD", { short: string; full: string }> = {
  TOO_EASY: { short: "easy", full: "too easy" },
  RIGHT: { short: "fits", full: "just right" },
  TOO_HARD: { short: "hard", full: "too hard" },
};

export const caution: Record<Ladder["cautions"][number], string> = {
  CEILING_AND_LAMPS: "Mind the ceiling and lamps.",
  GLASS_BEHIND_TARGET: "No glass behind or beside the target.",
  HARD_BALL_FACE: "No hard ball at face height.",
  SWING_CLEARANCE: "Nobody inside the reach of a swing.",
  FAST_RETURN: "The ball comes back fast: keep the distance.",
  LOOSE_BALLS: "Loose balls: stop all, then fetch.",
  THIN_BAGS: "No thin plastic bags near small children.",
  HARD_TOSS: "Toss soft things only.",
  TRIP_MARKERS: "Markers soft and flat where people run.",
  WET_FLOOR: "Not on a wet floor.",
  SOCKS_ON_HARD_FLOOR: "Shoes on a hard floor, no socks.",
  LACES: "Laces tied.",
  STAIRS_AND_DOORS: "Keep clear of stairs, doors and the way out.",
  WATER_AND_CARS: "Away from open water and cars.",
  SMALL_SIBLINGS_AND_PETS: "Small siblings and pets out of the room.",
  GLASSES_AND_JEWELLERY: "Glasses secured, jewellery off.",
  DIZZINESS: "Stop when dizzy.",
  BALL_ON_HEAD: "Head: foam or balloon only, and local rules.",
  PROTECTIVE_GEAR: "Protective gear as the sport asks.",
  OVERSTRETCHING: "Stretch without pain, never bounce.",
  THROWING_COUNTS: "Young shoulders: keep the number of throws small.",
  HEAT: "Heat: water more often.",
  AT_PERSON_SOFT_ONLY: "At people only foam or socks, below the shoulders.",
};

export const moveHelp =
  "Space takes a block up, arrow keys move it, space puts it down, escape leaves it where it was.";

export const deferring =
  "The school's own risk assessment and local rules come first; pain, injury or medical questions go to qualified staff.";

/** 12,340 ms -> "12.3 s" */
export function seconds(ms: number): string {
  return `${(ms / 1000).toFixed(1)} s`;
}

/** 75 -> "1:15"; negative as a distance from zero. */
export function clock(sec: number): string {
  const s = Math.abs(Math.round(sec));
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, "0")}`;
}

export function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}

export function count(n: number, one: string, many: string): string {
  return `${n} ${n === 1 ? one : many}`;
}

/** "2026-12-01" -> "Tue 1 Dec" */
export function day(iso: string): string {
  return new Intl.DateTimeFormat("en-GB", { weekday: "short", day: "numeric", month: "short" }).format(
    new Date(`${iso}T12:00:00`),
  );
}

/** What a rung is played with: its ladder's kit, without what it does without, and what it alone needs. */
export function kitOf(ladder: Ladder, rung: Rung): Ladder["kit"] {
  return [...ladder.kit.filter((k) => !rung.kit.without.includes(k.role)), ...rung.kit.more];
}

export function metres(m: number): string {
  return `${Number(m.toFixed(2))} m`;
}

/** Who is where, in one sentence. */
export function places(b: BlockPlan, spaceName: string, atHome: boolean): string {
  if (!b.spots)
    return b.kind === "FREE" || b.kind === "ROUTINE" ? "All at once, wherever there is room." : "Nobody moves.";
  if (b.spots.reason) return `Nothing fits in ${spaceName}: ${noRoom[b.spots.reason]}.`;
  if (atHome) return "At home: each pupil alone.";
  const walls = b.atWalls.map((at) => say("room.wall", { n: at.spots, edge: edgeWord[at.edge] })).join(", ");
  const spots = say(b.atWalls.length > 1 ? "room.walls" : "room.spots", { spots: b.spots.spots, walls });
  const working = b.helping ? `${b.workingAtOnce} work, ${b.helping} help` : `${b.workingAtOnce} work`;
  const rest = b.waiting === 0 ? "nobody waits" : `${b.waiting} ${b.quietSecPerPupil ? "at the quiet task" : "wait"}`;
  const left = [
    b.leftFree > 0 && `${count(b.leftFree, "more is", "more are")} left free before ways and things that stand there`,
    b.leftForWindows > 0 && `${count(b.leftForWindows, "more is", "more are")} left out beside the window`,
  ].filter(Boolean);
  return `${spots}: ${working}, ${rest}.${left.length ? ` ${left.join("; ")}.` : ""}`;
}

/** How the turns come about; the number is worked out, never typed. */
export function turns(b: BlockPlan): string {
  const waves = count(b.waves, "wave", "waves");
  if (b.partsToRotate === 1) return b.waves === 1 ? "all at once" : waves;
  return `${waves} × ${count(b.partsToRotate, "role", "roles")} = ${count(b.turns, "turn", "turns")}`;
}

export const doseSchool: Record<Block["dose"]["type"], string> = {
  CLOCK: "by clock",
  COUNT: "by count",
  GATE: "by gate",
  STAIRCASE: "by staircase",
  SELF_PACED: "self-paced",
};

export const blockKind: Record<Block["kind"], string> = {
  TASK: "Task",
  FREE: "Free combining",
  ROUTINE: "Routine",
  TALK: "Talk",
  WATER: "Water",
};

/** What a block is for that is no task. */
export const timeAbout: Record<"FREE" | "ROUTINE" | "TALK" | "WATER", string> = {
  ROUTINE:
    "Small moves one after the other without a stop; each is called when its turn comes. A stretch that is held has no count.",
  FREE: "Everyone puts together what was learnt as they like, each with the ball in hand. No score; one word afterwards.",
  TALK: "Time to talk: what comes, what was good, what to try at home.",
  WATER: "Everyone drinks; nobody moves.",
};

/** What a station asks of each pupil of a group in one visit. */
export function stationDose(block: Block, plan: BlockPlan, circuit: Circuit): string {
  return say("circuit.works", {
    school: doseSchool[block.dose.type],
    sets: Math.max(1, Math.floor(circuit.rounds / Math.max(1, plan.turns))),
    rounds: circuit.rounds,
    sec: plan.workSec,
    own: block.rungBy === "OWN" ? ownRungs : block.rungBy === "CHOOSE" ? asTheyChoose : "",
  });
}

const ownRungs = " · each on their own rung";
const asTheyChoose = " · rung as they choose";

export function dose(block: Block, plan: BlockPlan | undefined, rung: Rung | undefined): string {
  const d = block.dose;
  if (block.kind === "TALK" || block.kind === "WATER")
    return block.note ?? (d.type === "CLOCK" ? `${d.workSec} s` : "");
  const sets = count(block.sets, "set", "sets");
  // "2 sets, each until …", "2 sets of 30 s"
  const of = d.type === "GATE" || d.type === "SELF_PACED" ? (block.sets === 1 ? "," : ", each") : " of";
  const { optionalSets } = block;
  const all = block.sets === 1 ? ", for who wants it" : ", all for who wants them";
  const some = optionalSets === 1 ? ", the last one for who wants it" : `, the last ${optionalSets} for who wants them`;
  const last = optionalSets === 0 ? "" : optionalSets >= block.sets ? all : some;
  const each = plan && plan.sides === 2 ? " each side" : plan?.mixedSides ? " both sides in turn" : "";
  const turn = plan && plan.turns > 1 ? `, ${plan.turns} turns` : "";
  const own = block.rungBy === "OWN" ? ownRungs : block.rungBy === "CHOOSE" ? asTheyChoose : "";
  const what = () => {
    switch (d.type) {
      case "CLOCK":
        return `${block.routine ? (plan?.workSec ?? "?") : d.workSec} s`;
      case "COUNT":
        return `${[...d.orReps, d.reps].join(", ")} ${rung?.unit ?? ""} (${plan?.workSec ?? "?"} s)`;
      case "GATE":
        return `until ${rung ? gate(block.gate ? { ...rung, gate: block.gate } : rung) : "the gate"}, ${d.limitSec} s at most`;
      case "STAIRCASE":
        return `${count(d.makesToStep, "hit", "hits")} a step, ${d.limitSec} s`;
      case "SELF_PACED":
        return `until content, ${d.limitSec} s at most`;
    }
  };
  return `${doseSchool[d.type]} · ${sets}${of} ${what()}${each}${turn}${last}${own}`;
}

/** What a dose is expected to ask of this class. */
export function pacing(block: Block, plan: BlockPlan, pupils: number): string {
  const p = plan.pacing;
  const said: string[] = [];
  if (p.halfSec !== null && p.fourOfFiveSec !== null)
    said.push(`half are through after ${clock(p.halfSec)}, four of five after ${clock(p.fourOfFiveSec)}`);
  else if (p.halfSec !== null)
    said.push(`half are through after ${clock(p.halfSec)}, four of five not in three such rounds`);
  else if (["COUNT", "GATE", "SELF_PACED"].includes(block.dose.type))
    said.push("fewer than half get through in three such rounds");
  if (block.dose.type === "GATE" && p.reachGate !== null)
    said.push(`about ${Math.round(p.reachGate)} of ${pupils} reach the gate in this block`);
  if (p.stepLikely !== null)
    said.push(`the middle pupil holds place ${p.stepLikely}, most between ${p.stepLow} and ${p.stepHigh}`);
  if (said.length === 0) return "";
  const guess =
    p.byPlanningRate > 0
      ? ` ${p.byPlanningRate === pupils ? "Nobody has" : `${p.byPlanningRate} have not`} tried this rung with misses counted: reckoned by its planning rate, and wide.`
      : "";
  const sentence = said.join("; ");
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.${guess}`;
}

/** "27 Nov 2026, 14:05" */
export function moment(ms: number): string {
  return new Intl.DateTimeFormat("en-GB", {
    day: "numeric",
    month: "short",
    year: "numeric",
    hour: "2-digit",
    minute: "2-digit",
  }).format(ms);
}

/** "14:05" */
export function timeOfDay(ms: number): string {
  return new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" }).format(ms);
}

export function gate(rung: Pick<Rung, "gate" | "unit" | "measure">): string {
  const g = rung.gate;
  if (g.type === "SO_MANY_OF") return `${g.reach} of ${g.of} ${rung.unit}`;
  if (g.type === "SO_MANY_IN") return `${g.reach} ${rung.unit} in ${g.inSec} s`;
  if (g.type === "IN_A_ROW" || rung.measure.type === "LONGEST_RUN") return `${g.reach} ${rung.unit} in a row`;
  return `${g.reach} ${rung.unit}`;
}

export function score(
  a: Pick<Attempt, "score" | "tries"> & { workSec: number | null; timeMs?: number | null; brokenOff?: boolean },
  rung: Rung | undefined,
): string {
  const broken = a.brokenOff ? ", broken off" : "";
  if (a.timeMs) return seconds(a.timeMs);
  const type = rung?.measure.type;
  if ((type === "HITS_OF_N" || type === "NO_BALLS") && a.tries) return `${a.score} of ${a.tries}${broken}`;
  const told = type === "COUNT_IN_TIME" || a.brokenOff;
  const inTime = told && a.workSec !== null ? ` in ${a.workSec} s` : "";
  return `${a.score}${inTime}${broken}`;
}

/** A round against the pupil's own before: "new best, was 12 · gate". A result of several together has no such before. */
export function againstOwn(a: RoundAgainst | undefined, joint: boolean): string {
  if (!a || joint) return "";
  const length = (sec: number | null) => (a.byRate && sec !== null ? ` in ${sec} s` : "");
  const before = !a.compares
    ? "tries not known: set against nothing"
    : a.best === null
      ? a.brokenOff
        ? ""
        : "first"
      : a.newBest
        ? `new best, was ${a.best}${length(a.bestWorkSec)}`
        : `best ${a.best}${length(a.bestWorkSec)}`;
  const last = a.last !== null && a.last !== a.best ? `last ${a.last}${length(a.lastWorkSec)}` : "";
  const broken = a.brokenOff ? `broken off after ${a.workSec} s` : "";
  return [broken, before, last, a.metGate && "gate"].filter(Boolean).join(" · ");
}

/** "best 20 in 40 s, last 17 in 40 s" */
export function bestAndLast(s: Challenge["sides"][number], rung: Rung | undefined): string {
  const told = (m: Mark) => score({ ...m, tries: null }, rung);
  const best = told(s.best);
  const last = told(s.last);
  return s.best.brokenOff ? `no full round yet, last ${last}` : `best ${best}, last ${last}`;
}

export function bell(plan: LessonPlan): string {
  if (plan.pastBellSec > 0) return `${clock(plan.pastBellSec)} past the bell`;
  if (plan.pastBellSec < 0) return `${clock(plan.pastBellSec)} before the bell`;
  return "ends with the bell";
}
