import type { FitLine, Ladder } from "../../api/types";

const order: FitLine["best"]["verdict"][] = ["FITS", "WITH_CHANGE", "FEW_AT_A_TIME", "NOT"];

/** What fits best first; else as it was found. */
export function byFit(ladders: Ladder[], fitOf: Map<string, FitLine>): Ladder[] {
  const rank = (l: Ladder) => order.indexOf(fitOf.get(l.id)?.best.verdict ?? "FITS");
  return fitOf.size === 0 ? ladders : [...ladders].sort((a, b) => rank(a) - rank(b));
}
