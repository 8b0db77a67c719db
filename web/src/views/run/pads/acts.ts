import type { Kind } from "../log";
import { numbers, type ScriptBlock, type ScriptRung, type Tap, watch } from "../scored";

type Act = { kind: Kind; details?: Partial<Tap> };

/** Which spot is next when all are made in order. */
export function nextSpot(taps: Tap[], spots: number): number {
  return (taps.length % spots) + 1;
}

/** The number that is drawn next; kept ones are passed over where they have left the game. */
export function drawn(taps: Tap[], rung: ScriptRung, block: ScriptBlock, spot: number): number {
  const balls = rung.scoring.balls ?? 1;
  const { kept } = numbers(taps, balls);
  const order = block.calls?.order ?? [];
  // Each spot begins at another place of the drawn order.
  let at = spot * 37 + taps.length;
  for (let i = 0; i < order.length; i++) {
    const number = (order[at % order.length] ?? 0) + 1;
    if (rung.scoring.draw === "ALL" || !kept.has(number)) return number;
    at++;
  }
  return 1;
}

/** What a pad's key does; null where a place has to be pointed at. */
export function mainAct(taps: Tap[], rung: ScriptRung, block: ScriptBlock, spot: number): Act | null {
  const w = watch(taps);
  switch (rung.measure) {
    case "HELD_FOR_TIME":
    case "COURSE_TIME":
      return { kind: w.sinceMs === null ? "START" : "STOP" };
    case "TIME_FOR_N":
      return { kind: w.sinceMs === null ? "START" : w.splits + 1 >= (rung.scoring.n ?? 1) ? "STOP" : "SPLIT" };
    case "MADE_FROM_SPOTS":
      return { kind: "HIT", details: { score: nextSpot(taps, rung.scoring.spots ?? 1) } };
    case "LEVELS":
      return { kind: "HIT", details: { score: highest(taps) + 1 } };
    case "KEEP_ALL":
      return numbers(taps, rung.scoring.balls ?? 1).kept.size === rung.scoring.balls
        ? null
        : { kind: "HIT", details: { score: drawn(taps, rung, block, spot) } };
    case "RINGS":
    case "MATCH":
      return null;
    default:
      return { kind: "HIT" };
  }
}

/** What a pad's key does with shift. */
export function missAct(rung: ScriptRung): Act | null {
  return ["HELD_FOR_TIME", "COURSE_TIME", "TIME_FOR_N", "MATCH"].includes(rung.measure) ? null : { kind: "MISS" };
}

export function highest(taps: Tap[]): number {
  return Math.max(0, ...taps.filter((t) => t.kind === "HIT").map((t) => t.score ?? 0));
}
