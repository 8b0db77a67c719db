import type { Challenge, Crew, Measure, Run, RunScript } from "../../api/types";
import { type Played, type Tally, tallyKey } from "./log";
import { viewOf } from "./measures";
import { teamPoints } from "./measures/match/fold";
import { fairOfFirst } from "./measures/no-balls/fold";
import type { ScriptBlock, ScriptRung } from "./script";

const plain: Measure = { type: "COUNT_IN_TIME" };

/** What is counted on the rung that a pupil is on in a round; a rung that the ladder has lost counts plainly. */
export function rungIn(block: ScriptBlock, rungId: string | undefined): ScriptRung {
  return (
    block.rungs.find((r) => r.id === rungId) ?? {
      id: rungId ?? "",
      measure: plain,
      stairs: null,
      words: null,
      scoredBy: null,
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
  nowMs: number,
  take = played.take(round),
): Known | null {
  const { segments, blocks } = script;
  const block = blocks[segments[round]?.block ?? -1];
  if (!block || played.isDropped(round, take)) return null;
  const mine = counts.get(tallyKey(round, take, pupilId));
  if (mine && mine.told !== null) return { score: mine.told, timeMs: mine.toldMs, told: true };
  const { measure } = rungIn(block, played.rungId(round, pupilId));
  if (measure.type === "MATCH") {
    const sheet = counts.get(tallyKey(round, take, crew.workers[0] ?? ""));
    const ended = sheet?.taps.some((t) => t.type === "END_WON");
    return sheet && ended ? { score: teamPoints(sheet.taps, sideOf(crew, pupilId)), timeMs: null, told: false } : null;
  }
  if (!mine || mine.taps.length === 0) return null;
  if (measure.type === "NO_BALLS" && mine.taps.some((t) => t.type === "BOWLS"))
    return { score: fairOfFirst(mine.taps, pupilId), timeMs: null, told: false };
  const workedMs = played.workedMs(round, take, nowMs) ?? played.lengthMs(round);
  const got = viewOf(measure).score(mine.taps, measure, workedMs);
  return got.score === null ? null : { score: got.score, timeMs: got.timeMs, told: false };
}

/** Those of a crew whose numbers are asked for: of a match each side's own, else one for all who share the result. */
export function askedOf(block: ScriptBlock, played: Played, round: number, crew: Crew): string[] {
  const here = crew.workers.filter((w) => !played.away.has(w));
  const first = here[0];
  if (first === undefined) return [];
  return viewOf(rungIn(block, played.rungId(round, first)).measure).bySide ? here : [first];
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
