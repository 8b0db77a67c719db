import type { Tap } from "../../../../api/types";

export type Team = "A" | "B";

/** Points of a side: its own ends, and ends that were level for both. */
export function teamPoints(taps: Tap[], team: Team): number {
  return taps.reduce(
    (sum, t) => sum + (t.type === "END_WON" && (t.team === null || t.team === team) ? t.points : 0),
    0,
  );
}
