import type { Tap } from "../../../../api/types";
import type { Of } from "../measure-view";

type Rings = Of<"RINGS">["rings"];

/** Points of the ring where a throw landed, on a line the smaller one; 0 outside. */
export function ringPoints(t: Tap, rings: Rings): number {
  if (t.type === "HIT") return rings[(t.number ?? 0) - 1]?.points ?? 0;
  if (t.type !== "LANDED") return 0;
  const fromMiddle = Math.hypot(t.xCm, t.yCm);
  return rings.find((r) => fromMiddle <= r.radiusCm + 1e-9)?.points ?? 0;
}

export function pointsOf(taps: Tap[], rings: Rings): number {
  return taps.reduce((sum, t) => sum + ringPoints(t, rings), 0);
}
