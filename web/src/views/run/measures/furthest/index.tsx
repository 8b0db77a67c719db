import { HIT, type MeasureView, MISS, only } from "../measure-view";
import { HitPad } from "../shared/hit-pad";
import { walked } from "../shared/hits";

export const furthest: MeasureView<"FURTHEST"> = {
  Pad: HitPad,
  key: () => HIT,
  miss: MISS,
  score: (taps, { stairs }) => only(walked(taps, stairs).held),
  ask: (rung) =>
    rung.unit === "shoe lengths"
      ? "The furthest place that was held: how many shoe lengths?"
      : "The furthest place that was held: how many steps back?",
  most: () => 1000,
  countsTries: true,
  blank: { type: "FURTHEST", stairs: { makesToStep: 2, onMiss: "STAY", stepM: 0.3, startM: null, unit: "METRE" } },
};
