import type { Run } from "../../api/types";
import { type Played, roundsOfTurn, type Tally, tallyKey } from "./log";

/** How many numbers of a turn are not in yet: neither tapped nor told. */
export function missingIn(run: Run, round: number, played: Played, counts: Map<string, Tally>): number {
  const { segments, blocks } = run.sheet.script;
  const segment = segments[round];
  const turn = segment && blocks[segment.block]?.turns[segment.turn];
  if (!turn || !blocks[segment.block]?.counted) return 0;
  let missing = 0;
  for (const r of roundsOfTurn(segments, round))
    for (const crew of turn.crews) {
      const here = crew.workers.filter((w) => !played.away.has(w));
      const first = here[0];
      if (first !== undefined && !counts.has(tallyKey(r, played.take(r), first))) missing++;
    }
  return missing;
}
