import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { HIT, type MeasureView, MISS, mostHits, only } from "../measure-view";
import { HitPad } from "../shared/hit-pad";
import { hitsIn } from "../shared/hits";

const t = textsOf("run", saidRun);

export const hitsOfN: MeasureView<"HITS_OF_N"> = {
  Pad: HitPad,
  key: () => HIT,
  miss: MISS,
  score: (taps) => only(hitsIn(taps)),
  ask: (_, { n }) => (n === null ? t("index.howManyWentIn") : t("index.howManyOfYourWent", { n })),
  most: ({ n }, sec) => n ?? mostHits(sec),
  countsTries: true,
  blank: { type: "HITS_OF_N", n: null },
};
