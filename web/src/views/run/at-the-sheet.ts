import type { Run, RunEvent } from "../../api/types";
import { type Played, roundsOfTurn, type Tally } from "./log";
import { missingIn } from "./missing";
import { wordOf } from "./own-word";

/** Whether somebody is at the collect sheet right now. */
export function atTheSheet(): boolean {
  return !!document.activeElement?.closest("form[aria-label='Collect the numbers']");
}

/** Whether a turn has all its numbers, and everybody who worked in it has said their word. */
export function nothingLeft(
  run: Run,
  turn: number,
  played: Played,
  on: { counts: Map<string, Tally>; events: RunEvent[] },
  nowMs: number,
): boolean {
  if (missingIn(run, turn, played, on.counts, nowMs) > 0) return false;
  const { segments, blocks } = run.sheet.script;
  const segment = segments[turn];
  const crews = blocks[segment?.block ?? -1]?.turns[segment?.turn ?? -1]?.crews ?? [];
  const last = roundsOfTurn(segments, turn).at(-1) ?? turn;
  return crews
    .filter((c) => c.workers.length === 1)
    .flatMap((c) => c.workers)
    .every((w) => played.away.has(w) || wordOf(on.events, last, w) !== undefined);
}

export function isCounted(run: Run, round: number): boolean {
  const { segments, blocks } = run.sheet.script;
  return blocks[segments[round]?.block ?? 0]?.counted ?? false;
}
