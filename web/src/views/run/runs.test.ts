import { expect, it } from "vitest";
import bests from "../../../../core/src/test/resources/runs/bests.json";
import clock from "../../../../core/src/test/resources/runs/clock.json";
import measures from "../../../../core/src/test/resources/runs/measures.json";
import pupils from "../../../../core/src/test/resources/runs/pupils.json";
import allScripts from "../../../../core/src/test/resources/runs/scripts.json";
import stations from "../../../../core/src/test/resources/runs/stations.json";
import takes from "../../../../core/src/test/resources/runs/takes.json";
import type { Measure, RoundResult, RunEvent, RunScript, What } from "../../api/types";
import { disputes, Played, standing, tallies } from "./log";
import { walked } from "./measures/shared/hits";
import { resultOf } from "./result-of";

/** Runs worked out by hand; the core passes the very same files. What the core alone tells (misses, bests) is not looked at here. */
type Case = {
  name: string;
  script: string;
  measure?: Measure;
  events: [sec: number, what: Omit<What, "target"> & { target?: number }, device?: string][];
  at: number;
  expect: {
    position?: [number, number];
    playing?: boolean;
    stopped?: boolean;
    finished?: boolean;
    away?: string[];
    disputes?: number;
    take?: Record<string, number>;
    trial?: Record<string, boolean>;
    rungs?: Record<string, Record<string, string>>;
    next?: Record<string, number>;
    results?: (Partial<RoundResult> & {
      pupil: string;
      segment: number;
      score: number;
      timeMs?: number;
      workedSec?: number | null;
    })[];
  };
};

const START_MS = 1_000_000;
const scripts = allScripts as unknown as Record<string, RunScript>;
const cases = [measures, clock, takes, pupils, bests, stations].flat() as unknown as Case[];

const id = (n: number) => `0198-${String(n).padStart(6, "0")}`;

function scriptOf(c: Case): RunScript {
  const script = structuredClone(scripts[c.script]) as RunScript;
  for (const block of script.blocks) if (c.measure && block.rungs[0]) block.rungs[0].measure = c.measure;
  return script;
}

function log(c: Case): RunEvent[] {
  return c.events.map(([sec, what, device], n) => ({
    id: id(n),
    atMs: START_MS + 1000 * sec,
    device: device ?? "tablet",
    what: (what.target === undefined ? what : { ...what, target: id(what.target) }) as What,
  }));
}

it.each(cases.map((c) => [c.name, c] as const))("%s", (_, c) => {
  const script = scriptOf(c);
  const events = standing(log(c));
  const played = new Played(script, events);
  const counts = tallies(events);
  const nowMs = START_MS + 1000 * c.at;
  const e = c.expect;

  const at = played.at(nowMs);
  if (e.position) expect([at.segment, at.offsetMs]).toEqual(e.position);
  if (e.playing !== undefined) expect(played.anchor.playing).toBe(e.playing);
  if (e.stopped !== undefined) expect(played.stopped).toBe(e.stopped);
  if (e.finished !== undefined) expect(played.finished).toBe(e.finished);
  if (e.away) expect([...played.away].sort()).toEqual(e.away);
  if (e.disputes !== undefined) expect(disputes(counts)).toHaveLength(e.disputes);
  for (const [round, take] of Object.entries(e.take ?? {})) expect(played.take(Number(round))).toBe(take);
  for (const [round, trial] of Object.entries(e.trial ?? {})) expect(played.isTrial(Number(round), 1)).toBe(trial);
  for (const [round, rungs] of Object.entries(e.rungs ?? {}))
    for (const [pupil, rung] of Object.entries(rungs)) expect(played.rungId(Number(round), pupil)).toBe(rung);
  for (const [pupil, step] of Object.entries(e.next ?? {})) {
    const taps = counts.get(`1/1/${pupil}`)?.taps ?? [];
    expect(c.measure?.type === "FURTHEST" && walked(taps, c.measure.stairs).step).toBe(step);
  }
  if (!e.results) return;
  expect(shown(c, script, played, counts, nowMs)).toEqual(
    e.results.map((r) => ({
      pupil: r.pupil,
      segment: r.segment,
      take: r.take ?? 1,
      score: r.score,
      ...(r.timeMs === undefined ? {} : { timeMs: r.timeMs }),
      ...(r.workedSec ? { workedSec: r.workedSec } : {}),
    })),
  );
});

/** All results that the screen would show, in the order of the script; of the figures those that the case tells. */
function shown(c: Case, script: RunScript, played: Played, counts: ReturnType<typeof tallies>, nowMs: number) {
  const out: Record<string, unknown>[] = [];
  for (const { index, block, turn, kind } of script.segments) {
    if (kind !== "WORK") continue;
    for (let take = 1; take <= played.take(index); take++)
      for (const crew of script.blocks[block]?.turns[turn]?.crews ?? [])
        for (const pupil of crew.workers) {
          const known = resultOf(script, played, counts, index, crew, pupil, nowMs, take);
          if (!known) continue;
          const told = c.expect.results?.find(
            (r) => r.pupil === pupil && r.segment === index && (r.take ?? 1) === take,
          );
          const workedMs = played.workedMs(index, take, nowMs) ?? played.lengthMs(index);
          out.push({
            pupil,
            segment: index,
            take,
            score: known.score,
            ...(told?.timeMs === undefined ? {} : { timeMs: known.timeMs }),
            ...(told?.workedSec ? { workedSec: Math.round(workedMs / 1000) } : {}),
          });
        }
  }
  return out;
}
