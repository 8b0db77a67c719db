import { HIT, type MeasureView, MISS, mostHits, only } from "../measure-view";
import { hitsIn } from "../shared/hits";
import { NoBallsPad } from "./pad";

export const noBallsKept: MeasureView<"NO_BALLS"> = {
  Pad: NoBallsPad,
  wide: true,
  key: () => HIT,
  miss: MISS,
  score: (taps) => only(hitsIn(taps)),
  ask: (_, { n }) => (n === null ? "How many balls were fair?" : `How many of your ${n} were fair?`),
  most: ({ n }, sec) => n ?? mostHits(sec),
  countsTries: true,
  blank: { type: "NO_BALLS", n: null },
};
