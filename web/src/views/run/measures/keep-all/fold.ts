import type { Tap } from "../../../../api/types";
import type { ScriptBlock } from "../../script";
import type { Of } from "../measure-view";

/** Numbered balls that are kept, and the goes until all were. */
export function numbers(taps: Tap[], measure: Of<"KEEP_ALL">): { kept: Set<number>; goes: number } {
  const { balls } = measure;
  const first = firstOf(measure);
  const kept = new Set<number>();
  let goes = 0;
  for (const t of taps) {
    if (kept.size === balls) break;
    goes++;
    if (t.type === "HIT" && t.number !== null && t.number >= first && t.number < first + balls) kept.add(t.number);
  }
  return { kept, goes };
}

/** A sheet that was kept on this device before balls could begin elsewhere does not say. */
export const firstOf = (measure: Of<"KEEP_ALL">): number => measure.firstBall ?? 1;

/** The number that is drawn next; kept ones are passed over where they have left the game. */
export function drawn(taps: Tap[], measure: Of<"KEEP_ALL">, block: ScriptBlock, spot: number): number {
  const { kept } = numbers(taps, measure);
  const order = block.calls?.order ?? [];
  // Each spot begins at another place of the drawn order.
  let at = spot * 37 + taps.length;
  for (let i = 0; i < order.length; i++) {
    const number = (order[at % order.length] ?? 0) + firstOf(measure);
    if (measure.draw === "ALL" || !kept.has(number)) return number;
    at++;
  }
  return firstOf(measure);
}
