import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { HIT, type MeasureView, MISS, only } from "../measure-view";
import { HitPad } from "../shared/hit-pad";
import { walked } from "../shared/hits";

const t = textsOf("run", saidRun);

export const furthest: MeasureView<"FURTHEST"> = {
  Pad: HitPad,
  key: () => HIT,
  miss: MISS,
  score: (taps, { stairs }) => only(walked(taps, stairs).held),
  ask: () => t("furthest.ask"),
  most: () => 1000,
  countsTries: true,
  blank: { type: "FURTHEST", stairs: { makesToStep: 2, onMiss: "STAY", stepM: 0.3, startM: null, unit: "METRE" } },
};
