import type { Tap } from "../../../../api/types";

/** Which spot is next when all are made in order. */
export function nextSpot(taps: Tap[], spots: number): number {
  return (taps.length % spots) + 1;
}
