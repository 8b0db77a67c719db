import type { Tap } from "../../../../api/types";

/** No-balls: how many, half scores given, and whether one runs. */
export function noBalls(taps: Tap[]): { all: number; halfScores: number; oneRuns: boolean } {
  let all = 0;
  let halfScores = 0;
  let oneRuns = false;
  for (const t of taps) {
    const noBall = t.type === "MISS" && t.noBall !== null;
    const half: boolean = noBall && oneRuns;
    if (noBall) all++;
    if (half) halfScores++;
    oneRuns = noBall && !half;
  }
  return { all, halfScores, oneRuns };
}
