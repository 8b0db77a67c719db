import { HIT, type MeasureView, MISS, mostHits, only } from "../measure-view";
import { HitPad } from "../shared/hit-pad";
import { hitsIn } from "../shared/hits";

export const hitsOfN: MeasureView<"HITS_OF_N"> = {
  Pad: HitPad,
  key: () => HIT,
  miss: MISS,
  score: (taps) => only(hitsIn(taps)),
  ask: (_, { n }) => (n === null ? "How many went in?" : `How many of your ${n} went in?`),
  most: ({ n }, sec) => n ?? mostHits(sec),
  countsTries: true,
  blank: { type: "HITS_OF_N", n: null },
};
