import type { Tap } from "../../../../api/types";

export function highest(taps: Tap[]): number {
  return Math.max(0, ...taps.map((t) => (t.type === "HIT" ? (t.number ?? 0) : 0)));
}
