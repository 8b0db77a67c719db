import type { RunEvent, RunScript } from "../../api/types";

/** What taps come to, for the pad that shows them; the core folds the same taps, and only its fold is recorded. Both pass the same cases. */

export type Tap = Pick<RunEvent, "kind" | "score" | "offsetMs" | "xCm" | "yCm" | "note">;
export type ScriptBlock = RunScript["blocks"][number];
export type ScriptRung = ScriptBlock["rungs"][number];
export type Stairs = NonNullable<ScriptRung["stairs"]>;

/** @param score null while the taps make no result yet */
export type Scored = { score: number | null; timeMs: number | null };

/** Hits in a row now, and the most so far. */
export function runs(taps: Tap[]): { now: number; longest: number } {
  let now = 0;
  let longest = 0;
  for (const t of taps) {
    now = t.kind === "HIT" ? now + 1 : 0;
    longest = Math.max(longest, now);
  }
  return { now, longest };
}

/** Where to stand next, what is held, and how many hits in a row are still wanted here. */
export function walked(taps: Tap[], stairs: Stairs): { step: number; held: number; wanted: number } {
  let step = 1;
  let run = 0;
  let held = 0;
  for (const t of taps) {
    if (t.kind === "MISS") {
      run = 0;
      step = stairs.onMiss === "STAY" ? step : stairs.onMiss === "RESTART" ? 1 : Math.max(1, step - 1);
    } else if (++run === stairs.makesToStep) {
      run = 0;
      held = Math.max(held, step);
      step++;
    }
  }
  return { step, held, wanted: stairs.makesToStep - run };
}

/** A watch: since when it runs, the goes that were stopped, and the splits of the go that is on. */
export function watch(taps: Tap[]): { sinceMs: number | null; goesMs: number[]; splits: number } {
  let sinceMs: number | null = null;
  let splits = 0;
  const goesMs: number[] = [];
  for (const t of taps) {
    if (t.kind === "START") {
      sinceMs = t.offsetMs;
      splits = 0;
    } else if (t.kind === "SPLIT") splits++;
    else if (t.kind === "STOP" && sinceMs !== null) {
      goesMs.push((t.offsetMs ?? 0) - sinceMs);
      sinceMs = null;
    }
  }
  return { sinceMs, goesMs, splits };
}

/** Numbered balls that are kept, and the goes until all were. */
export function numbers(taps: Tap[], balls: number): { kept: Set<number>; goes: number } {
  const kept = new Set<number>();
  let goes = 0;
  for (const t of taps) {
    if (kept.size === balls) break;
    goes++;
    if (t.kind === "HIT" && t.score !== null && t.score >= 1 && t.score <= balls) kept.add(t.score);
  }
  return { kept, goes };
}

/** Points of the ring where a throw landed; 0 outside. */
export function ringPoints(t: Tap, rings: NonNullable<ScriptRung["scoring"]["rings"]>): number {
  if (t.kind === "HIT") return rings[(t.score ?? 0) - 1]?.points ?? 0;
  const fromMiddle = Math.hypot(t.xCm ?? 0, t.yCm ?? 0);
  return (t.kind === "LANDED" && rings.find((r) => fromMiddle <= r.radiusCm + 1e-9)?.points) || 0;
}

/** No-balls: how many, half scores given, and whether one runs. */
export function noBalls(taps: Tap[]): { all: number; halfScores: number; oneRuns: boolean } {
  let all = 0;
  let halfScores = 0;
  let oneRuns = false;
  for (const t of taps) {
    const noBall = t.kind === "MISS" && t.note !== null;
    const half: boolean = noBall && oneRuns;
    if (noBall) all++;
    if (half) halfScores++;
    oneRuns = noBall && !half;
  }
  return { all, halfScores, oneRuns };
}

/** Points of a side: its own ends, and ends that were level for both. */
export function sidePoints(taps: Tap[], side: "A" | "B"): number {
  return taps
    .filter((t) => t.kind === "ENDED" && (t.note === side || t.note === "TIE"))
    .reduce((sum, t) => sum + (t.score ?? 0), 0);
}

const plainStairs: Stairs = { makesToStep: 1, onMiss: "STAY", stepM: 0 };

/** @param endMs milliseconds of work in the round so far, at which a watch that runs stands */
export function scored(taps: Tap[], rung: ScriptRung, endMs: number): Scored {
  const { scoring } = rung;
  const plain = (score: number | null): Scored => ({ score, timeMs: null });
  switch (rung.measure) {
    case "LONGEST_RUN":
      return plain(runs(taps).longest);
    case "HELD_FOR_TIME": {
      const w = watch(taps);
      const all = w.sinceMs === null ? w.goesMs : [...w.goesMs, endMs - w.sinceMs];
      return plain(all.length === 0 ? null : Math.floor(Math.max(...all) / 1000));
    }
    case "TIME_FOR_N":
    case "COURSE_TIME": {
      const { goesMs } = watch(taps);
      if (goesMs.length === 0) return plain(null);
      const timeMs = Math.min(...goesMs);
      return { score: Math.ceil(timeMs / 1000), timeMs };
    }
    case "FURTHEST":
      return plain(walked(taps, rung.stairs ?? plainStairs).held);
    case "LEVELS":
      return plain(Math.max(0, ...taps.filter((t) => t.kind === "HIT").map((t) => t.score ?? 0)));
    case "RINGS":
      return plain(taps.reduce((sum, t) => sum + ringPoints(t, scoring.rings ?? []), 0));
    case "KEEP_ALL": {
      const n = numbers(taps, scoring.balls ?? 1);
      return plain(n.kept.size < (scoring.balls ?? 1) ? null : n.goes);
    }
    case "MATCH":
      return plain(taps.some((t) => t.kind === "ENDED") ? sidePoints(taps, "A") : null);
    default:
      return plain(taps.filter((t) => t.kind === "HIT").length);
  }
}
