import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { HIT, type MeasureView, MISS, mostHits, only } from "../measure-view";
import { hitsIn } from "../shared/hits";
import { NoBallsPad } from "./pad";

const t = textsOf("run", saidRun);

export const noBallsKept: MeasureView<"NO_BALLS"> = {
  Pad: NoBallsPad,
  wide: true,
  key: () => HIT,
  miss: MISS,
  score: (taps) => only(hitsIn(taps)),
  ask: (_, { n }) => (n === null ? t("index.howManyBallsWereFair") : t("index.howManyOfYourWere", { n })),
  most: ({ n }, sec) => n ?? mostHits(sec),
  countsTries: true,
  blank: { type: "NO_BALLS", n: null },
};
