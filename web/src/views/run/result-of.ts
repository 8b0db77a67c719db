import type { Challenge, Crew, Run, RunScript } from "../../api/types";
import { type Played, type Tally, tallyKey } from "./log";
import { type ScriptBlock, type ScriptRung, scored, sidePoints } from "./scored";

const noScoring: ScriptRung["scoring"] = {
  rings: null,
  n: null,
  spots: null,
  balls: null,
  draw: null,
  noBalls: null,
  calls: null,
  callEverySec: null,
};

/** What is counted on the rung that a pupil is on in a round. */
export function rungIn(block: ScriptBlock, rungId: string | undefined): ScriptRung {
  return (
    block.rungs.find((r) => r.id === rungId) ?? {
      id: rungId ?? "",
      measure: block.measure ?? "COUNT_IN_TIME",
      scoring: noScoring,
      stairs: null,
    }
  );
}

/** Which side of a match a pupil plays on: the first half of the crew is A. */
export function sideOf(crew: Crew, pupilId: string): "A" | "B" {
  return crew.workers.indexOf(pupilId) < Math.ceil(crew.workers.length / 2) ? "A" : "B";
}

export type Known = { score: number; timeMs: number | null; told: boolean };

/** The result that is known of a pupil in a round so far: the number told, else what the taps come to; null for none. */
export function resultOf(
  script: RunScript,
  played: Played,
  counts: Map<string, Tally>,
  round: number,
  crew: Crew,
  pupilId: string,
): Known | null {
  const { segments, blocks } = script;
  const block = blocks[segments[round]?.block ?? -1];
  if (!block) return null;
  const take = played.take(round);
  const mine = counts.get(tallyKey(round, take, pupilId));
  if (mine && mine.told !== null) return { score: mine.told, timeMs: mine.toldMs, told: true };
  const rung = rungIn(block, played.rungId(round, pupilId));
  if (rung.measure === "MATCH") {
    const sheet = counts.get(tallyKey(round, take, crew.workers[0] ?? ""));
    const ended = sheet?.taps.some((t) => t.kind === "ENDED");
    return sheet && ended ? { score: sidePoints(sheet.taps, sideOf(crew, pupilId)), timeMs: null, told: false } : null;
  }
  if (!mine || mine.taps.length === 0) return null;
  const got = scored(mine.taps, rung, played.lengthMs(round));
  return got.score === null ? null : { score: got.score, timeMs: got.timeMs, told: false };
}

/** Those of a crew whose numbers are asked for: of a match each side's own, else one for all who share the result. */
export function askedOf(block: ScriptBlock, played: Played, round: number, crew: Crew): string[] {
  const here = crew.workers.filter((w) => !played.away.has(w));
  const first = here[0];
  if (first === undefined) return [];
  return rungIn(block, played.rungId(round, first)).measure === "MATCH" ? here : [first];
}

/** A pupil's best and last of the kind before this run. */
export function bestBefore(
  run: Run,
  played: Played,
  round: number,
  pupilId: string,
): Challenge["sides"][number] | undefined {
  const { segments, blocks } = run.sheet.script;
  const segment = segments[round];
  const block = blocks[segment?.block ?? -1];
  const rungId = played.rungId(round, pupilId);
  return run.before
    .find((c) => c.pupilId === pupilId && c.ladderId === block?.ladderId && c.rungId === rungId)
    ?.sides.find((s) => s.side === block?.sides[segment?.side ?? 0]);
}
