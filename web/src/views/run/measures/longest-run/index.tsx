import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { HIT, type MeasureView, MISS, mostHits, only } from "../measure-view";
import { HitPad } from "../shared/hit-pad";
import { runs } from "../shared/hits";

const t = textsOf("run", saidRun);

export const longestRun: MeasureView<"LONGEST_RUN"> = {
  Pad: HitPad,
  key: () => HIT,
  miss: MISS,
  score: (taps) => only(runs(taps).longest),
  ask: (rung) => t("index.theLongestRowHowMany", { unit: rung.unit }),
  most: (_, sec) => mostHits(sec),
  countsTries: true,
  blank: { type: "LONGEST_RUN" },
};
