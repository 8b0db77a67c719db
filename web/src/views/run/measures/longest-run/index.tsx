import { HIT, type MeasureView, MISS, mostHits, only } from "../measure-view";
import { HitPad } from "../shared/hit-pad";
import { runs } from "../shared/hits";

export const longestRun: MeasureView<"LONGEST_RUN"> = {
  Pad: HitPad,
  key: () => HIT,
  miss: MISS,
  score: (taps) => only(runs(taps).longest),
  ask: (rung) => `The longest row: how many ${rung.unit} without a drop?`,
  most: (_, sec) => mostHits(sec),
  countsTries: true,
  blank: { type: "LONGEST_RUN" },
};
