import type { Tap } from "../../../../api/types";
import type { Of } from "../measure-view";

/** Which spot is next; null where whoever throws says from where. */
export function nextSpot(taps: Tap[], measure: Of<"MADE_FROM_SPOTS">): number | null {
  const { spots } = measure;
  const round = taps.length % spots;
  switch (measure.spotOrder) {
    case "OUT_AND_BACK": {
      const at = taps.length % (2 * spots - 2);
      return at < spots ? at + 1 : 2 * spots - 1 - at;
    }
    case "UNTIL_MADE":
      return (taps.filter((t) => t.type === "HIT").length % spots) + 1;
    case "ANY":
      return null;
    // A sheet that was kept on this device before there were orders does not say.
    default:
      return round + 1;
  }
}
