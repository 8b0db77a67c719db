import type { Tap } from "../../../../api/types";
import { only, type Scored } from "../measure-view";

/** A watch: since when it runs, the goes that were stopped, and the splits of the go that is on. */
export function watch(taps: Tap[]): { sinceMs: number | null; goesMs: number[]; splits: number } {
  let sinceMs: number | null = null;
  let splits = 0;
  const goesMs: number[] = [];
  for (const t of taps) {
    if (t.type === "START") {
      sinceMs = t.offsetMs;
      splits = 0;
    } else if (t.type === "SPLIT") splits++;
    else if (t.type === "STOP" && sinceMs !== null) {
      goesMs.push(t.offsetMs - sinceMs);
      sinceMs = null;
    }
  }
  return { sinceMs, goesMs, splits };
}

/** The quickest go; a second that was begun counts. */
export function quickest(taps: Tap[]): Scored {
  const { goesMs } = watch(taps);
  if (goesMs.length === 0) return only(null);
  const timeMs = Math.min(...goesMs);
  return { score: Math.ceil(timeMs / 1000), timeMs };
}
