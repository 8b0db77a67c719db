import { HIT, type MeasureView, MISS, mostHits, only } from "../measure-view";
import { HitPad } from "../shared/hit-pad";
import { hitsIn } from "../shared/hits";

export const countInTime: MeasureView<"COUNT_IN_TIME"> = {
  Pad: HitPad,
  key: () => HIT,
  miss: MISS,
  score: (taps) => only(hitsIn(taps)),
  ask: (rung, _, sec) => `How many ${rung.unit}${sec > 0 ? ` in ${sec} s` : ""}?`,
  most: (_, sec) => mostHits(sec),
  allDone: true,
  countsTries: true,
  blank: { type: "COUNT_IN_TIME" },
};
