import type { Run } from "../../api/types";
import { type Played, roundsOfTurn, type Tally } from "./log";
import { askedOf, resultOf } from "./result-of";

/** A round that Next left within a second was passed over, not worked. */
const PASSED_OVER_MS = 1000;

/** How many numbers of a turn are not in yet: neither tapped to an end nor told. A turn that was skipped has none to ask for. */
export function missingIn(run: Run, round: number, played: Played, counts: Map<string, Tally>, nowMs: number): number {
  const { segments, blocks } = run.sheet.script;
  const segment = segments[round];
  const block = segment && blocks[segment.block];
  const turn = segment && block?.turns[segment.turn];
  if (!turn || !block.counted) return 0;
  let missing = 0;
  for (const r of roundsOfTurn(segments, round)) {
    if ((played.workedMs(r, played.take(r), nowMs) ?? 0) < PASSED_OVER_MS) continue;
    for (const crew of turn.crews)
      for (const pupilId of askedOf(block, played, r, crew))
        if (!resultOf(run.sheet.script, played, counts, r, crew, pupilId, nowMs)) missing++;
  }
  return missing;
}
