import type { FitLine, Ladder } from "../../api/types";

const order: FitLine["best"]["verdict"][] = ["FITS", "WITH_CHANGE", "FEW_AT_A_TIME", "NOT"];

/**
 * What fits first; else as it was found. Of what was looked for in words the best match comes first, whether it fits as it is or with a change: else a
 * word that stands somewhere in a text would go before the name that was meant.
 */
export function byFit(ladders: Ladder[], fitOf: Map<string, FitLine>, byWords: boolean): Ladder[] {
  const rank = (l: Ladder) => {
    const at = order.indexOf(fitOf.get(l.id)?.best.verdict ?? "FITS");
    return byWords ? Math.max(1, at) : at;
  };
  return fitOf.size === 0 ? ladders : [...ladders].sort((a, b) => rank(a) - rank(b));
}
