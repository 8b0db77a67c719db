import type { Segment } from "../../api/types";
import { afterOf, roundsOfTurn } from "./log";

/** Where the run goes on when the turn that is on is ended early: after its last round, other side included; undefined outside a turn. */
export function afterTurn(segments: Segment[], at: number): number | undefined {
  const here = segments[at];
  if (!here || !["COUNT_IN", "WORK", "SIDE_SWAP"].includes(here.kind)) return undefined;
  const round = segments.find((s) => s.kind === "WORK" && s.beside == null && s.index >= at);
  const last = round && roundsOfTurn(segments, round.index).at(-1);
  return last === undefined ? undefined : afterOf(segments, last);
}
