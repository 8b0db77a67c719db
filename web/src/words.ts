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
  Whereabouts,
} from "./api/types";
import words from "./words/said.json";
import { each, texts } from "./words/texts";
import { noRoom } from "./words-marks";

const t = texts("said");
const say = texts("plan");
const ui = texts("ui");

/** Sides of a room, drawn with its length from left to right. */
export const edgeWord = {
  TOP: ui("edge.TOP"),
  RIGHT: ui("edge.RIGHT"),
  BOTTOM: ui("edge.BOTTOM"),
  LEFT: ui("edge.LEFT"),
} as const;

/** Where in a room a station lies, as one would say it; "none" where that is not known. */
export const whereWord = (where: Whereabouts | null | undefined): string =>
  where
    ? ui(`where.${where.part}`, { by: where.by ?? "none", near: ui("where.near", { by: where.by ?? "none" }) })
    : "none";

/** All words of the screens, in one place. Sentences as a colleague would say them; numbers carry units. */

export const family: Record<Family, string> = each(words.family, (key) => t(`family.${key}`));

export const side: Record<Side, string> = each(words.side, (key) => t(`side.${key}`));

export const sideCall: Record<Side, string> = { NONE: "", ...each(words.sideCall, (key) => t(`sideCall.${key}`)) };

export const modifier: Record<Block["modifiers"][number], string> = each(words.modifier, (key) => t(`modifier.${key}`));

export const countedBy: Record<RoundResult["source"], string> = each(words.countedBy, (key) => t(`countedBy.${key}`));

/** The pupil's own word on a round. */
export const ownWord: Record<"TOO_EASY" | "RIGHT" | "TOO_HARD", { short: string; full: string }> = {
  TOO_EASY: { short: t("ownShort.TOO_EASY"), full: t("ownFull.TOO_EASY") },
  RIGHT: { short: t("ownShort.RIGHT"), full: t("ownFull.RIGHT") },
  TOO_HARD: { short: t("ownShort.TOO_HARD"), full: t("ownFull.TOO_HARD") },
};

export const caution: Record<Ladder["cautions"][number], string> = each(words.caution, (key) => t(`caution.${key}`));

export const moveHelp = t("moveHelp");

export const deferring = t("deferring");

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
  if (!b.spots) return t(b.kind === "FREE" || b.kind === "ROUTINE" ? "places.anywhere" : "places.nobody");
  if (b.spots.reason) return t("places.nothing", { space: spaceName, why: noRoom[b.spots.reason] });
  if (atHome) return t("places.atHome");
  const walls = b.atWalls.map((at) => say("room.wall", { n: at.spots, edge: edgeWord[at.edge] })).join(", ");
  const spots = say(b.atWalls.length > 1 ? "room.walls" : "room.spots", { spots: b.spots.spots, walls });
  const who = t("places.who", {
    spots,
    work: b.workingAtOnce,
    help: b.helping,
    wait: b.waiting,
    quiet: String(b.quietSecPerPupil > 0),
  });
  const left = [
    b.leftFree > 0 && t("places.leftFree", { n: b.leftFree }),
    b.leftForWindows > 0 && t("places.leftForWindows", { n: b.leftForWindows }),
  ].filter(Boolean);
  return left.length ? `${who} ${left.join("; ")}.` : who;
}

/** How the turns come about; the number is worked out, never typed. */
export const turns = (b: BlockPlan) => [wavesOf(b), turnsOf(b)].filter(Boolean).join(" = ");

export const wavesOf = (b: BlockPlan) =>
  t(b.partsToRotate === 1 ? "turns.waves" : "turns.wavesByRoles", { waves: b.waves, roles: b.partsToRotate });

/** Nothing where a turn is a wave. */
export const turnsOf = (b: BlockPlan) => (b.partsToRotate === 1 ? "" : t("turns.number", { turns: b.turns }));

export const doseSchool: Record<Block["dose"]["type"], string> = each(words.doseSchool, (key) =>
  t(`doseSchool.${key}`),
);

export const blockKind: Record<Block["kind"], string> = each(words.blockKind, (key) => t(`blockKind.${key}`));

/** What a block is for that is no task. */
export const timeAbout: Record<"FREE" | "ROUTINE" | "TALK" | "WATER", string> = each(words.timeAbout, (key) =>
  t(`timeAbout.${key}`),
);

/** What a station asks of each pupil of a group in one visit. */
export function stationDose(block: Block, plan: BlockPlan, circuit: Circuit): string {
  return say("circuit.works", {
    school: doseSchool[block.dose.type],
    sets: Math.max(1, Math.floor(circuit.rounds / Math.max(1, plan.turns))),
    rounds: circuit.rounds,
    sec: plan.workSec,
    own: ownOf(block),
  });
}

/** That each pupil is on a rung of their own, after what is asked. */
const ownOf = (block: Block) => (block.rungBy === "ONE" ? "" : t(`dose.${block.rungBy}`));

export function dose(block: Block, plan: BlockPlan | undefined, rung: Rung | undefined): string {
  const d = block.dose;
  if (block.kind === "TALK" || block.kind === "WATER")
    return block.note ?? (d.type === "CLOCK" ? t("dose.CLOCK", { sec: d.workSec }) : "");
  const what = () => {
    switch (d.type) {
      case "CLOCK":
        return t("dose.CLOCK", { sec: block.routine ? (plan?.workSec ?? "?") : d.workSec });
      case "COUNT":
        return t("dose.COUNT", {
          reps: [...d.orReps, d.reps].join(", "),
          unit: rung?.unit ?? "",
          sec: plan?.workSec ?? "?",
        });
      case "GATE":
        return t("dose.GATE", {
          gate: rung ? gate(block.gate ? { ...rung, gate: block.gate } : rung) : t("dose.theGate"),
          sec: d.limitSec,
        });
      case "STAIRCASE":
        return t("dose.STAIRCASE", { hits: d.makesToStep, sec: d.limitSec });
      case "SELF_PACED":
        return t("dose.SELF_PACED", { sec: d.limitSec });
    }
  };
  const all = block.optionalSets > 0 && block.optionalSets >= block.sets;
  return t("dose.said", {
    school: doseSchool[d.type],
    sets: block.sets,
    until: String(d.type === "GATE" || d.type === "SELF_PACED"),
    what: what(),
    sides: plan && plan.sides === 2 ? "each" : plan?.mixedSides ? "mixed" : "one",
    turns: Math.max(1, plan?.turns ?? 1),
    optional: all ? t("dose.optionalAll", { sets: block.sets }) : t("dose.optionalLast", { n: block.optionalSets }),
    own: ownOf(block),
  });
}

/** What a dose is expected to ask of this class. */
export function pacing(block: Block, plan: BlockPlan, pupils: number): string {
  const p = plan.pacing;
  const said: string[] = [];
  if (p.halfSec !== null && p.fourOfFiveSec !== null)
    said.push(t("pacing.both", { half: clock(p.halfSec), four: clock(p.fourOfFiveSec) }));
  else if (p.halfSec !== null) said.push(t("pacing.half", { half: clock(p.halfSec) }));
  else if (["COUNT", "GATE", "SELF_PACED"].includes(block.dose.type)) said.push(t("pacing.fewer"));
  if (block.dose.type === "GATE" && p.reachGate !== null)
    said.push(t("pacing.reach", { n: Math.round(p.reachGate), pupils }));
  if (p.stepLikely !== null) said.push(t("pacing.steps", { likely: p.stepLikely, low: p.stepLow, high: p.stepHigh }));
  if (said.length === 0) return "";
  const sentence = said.join("; ");
  return t("pacing.said", {
    sentence: `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}`,
    guess: p.byPlanningRate === 0 ? "no" : p.byPlanningRate === pupils ? "all" : "some",
    n: p.byPlanningRate,
  });
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
  const { unit } = rung;
  const g = rung.gate;
  if (g.type === "SO_MANY_OF") return t("gate.of", { n: g.reach, of: g.of, unit });
  if (g.type === "SO_MANY_IN") return t("gate.in", { n: g.reach, unit, sec: g.inSec });
  const row = g.type === "IN_A_ROW" || rung.measure.type === "LONGEST_RUN";
  return t(row ? "gate.row" : "gate.reach", { n: g.reach, unit });
}

export function score(
  a: Pick<Attempt, "score" | "tries"> & { workSec: number | null; timeMs?: number | null; brokenOff?: boolean },
  rung: Rung | undefined,
): string {
  if (a.timeMs) return seconds(a.timeMs);
  const broken = String(a.brokenOff ?? false);
  const type = rung?.measure.type;
  if ((type === "HITS_OF_N" || type === "NO_BALLS") && a.tries)
    return t("score.of", { n: a.score, of: a.tries, broken });
  const inTime = (type === "COUNT_IN_TIME" || a.brokenOff) && a.workSec !== null;
  return inTime ? t("score.in", { n: a.score, sec: a.workSec, broken }) : t("score.plain", { n: a.score, broken });
}

/** A round against the pupil's own before: "new best, was 12 · gate". A result of several together has no such before. */
export function againstOwn(a: RoundAgainst | undefined, joint: boolean): string {
  if (!a || joint) return "";
  const length = (sec: number | null) => (a.byRate && sec !== null ? t("against.in", { sec }) : "");
  const before = () => {
    if (!a.compares) return t("against.unknown");
    if (a.best === null) return a.brokenOff ? "" : t("against.first");
    return t(a.newBest ? "against.newBest" : "against.best", { n: a.best, length: length(a.bestWorkSec) });
  };
  const last =
    a.last !== null && a.last !== a.best ? t("against.last", { n: a.last, length: length(a.lastWorkSec) }) : "";
  const broken = a.brokenOff ? t("against.broken", { sec: a.workSec }) : "";
  return [broken, before(), last, a.metGate && t("against.gate")].filter(Boolean).join(" · ");
}

/** "best 20 in 40 s, last 17 in 40 s" */
export function bestAndLast(s: Challenge["sides"][number], rung: Rung | undefined): string {
  const told = (m: Mark) => score({ ...m, tries: null }, rung);
  return t(s.best.brokenOff ? "against.noFull" : "against.bestAndLast", { best: told(s.best), last: told(s.last) });
}

export function bell(plan: LessonPlan): string {
  if (plan.pastBellSec === 0) return t("bell.with");
  return t(plan.pastBellSec > 0 ? "bell.past" : "bell.before", { time: clock(plan.pastBellSec) });
}
