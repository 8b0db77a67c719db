import type { Rung, Stairs, Tap } from "../../../../api/types";

export const missesIn = (taps: Tap[]) => taps.filter((t) => t.type === "MISS").length;
export const hitsIn = (taps: Tap[]) => taps.filter((t) => t.type === "HIT").length;

/** Hits in a row now, and the most so far. */
export function runs(taps: Tap[]): { now: number; longest: number } {
  let now = 0;
  let longest = 0;
  for (const t of taps) {
    now = t.type === "HIT" ? now + 1 : 0;
    longest = Math.max(longest, now);
  }
  return { now, longest };
}

/** Where to stand next, what is held, and how many hits in a row are still wanted here. */
export function walked(taps: Tap[], stairs: Stairs): { step: number; held: number; wanted: number } {
  let step = 1;
  let run = 0;
  let held = 0;
  for (const t of taps) {
    if (t.type !== "HIT") {
      run = 0;
      step = stairs.onMiss === "STAY" ? step : stairs.onMiss === "RESTART" ? 1 : Math.max(1, step - 1);
    } else if (++run === stairs.makesToStep) {
      run = 0;
      held = Math.max(held, step);
      step++;
    }
  }
  return { step, held, wanted: stairs.makesToStep - run };
}

/** How far off a place is, place 1 being where one begins: in one's own shoe lengths or in metres; null where nobody said where that is. */
export function off(
  place: number,
  stairs: Stairs,
  rung: Pick<Rung, "standM">,
): { shoes: number } | { m: number } | null {
  const startM = stairs.startM ?? rung.standM;
  if (startM === null) return null;
  if (stairs.unit === "SHOE" && stairs.stepM > 0) return { shoes: Math.round(startM / stairs.stepM) + place - 1 };
  return { m: startM + (place - 1) * stairs.stepM };
}
