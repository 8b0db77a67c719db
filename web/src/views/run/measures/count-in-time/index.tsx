import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { HIT, type MeasureView, MISS, mostHits, only } from "../measure-view";
import { HitPad } from "../shared/hit-pad";
import { hitsIn } from "../shared/hits";

const t = textsOf("run", saidRun);

export const countInTime: MeasureView<"COUNT_IN_TIME"> = {
  Pad: HitPad,
  key: () => HIT,
  miss: MISS,
  score: (taps) => only(hitsIn(taps)),
  ask: (rung, _, sec) => t("index.howMany", { unit: rung.unit, more: sec > 0 ? t("index.inS", { sec }) : "" }),
  most: (_, sec) => mostHits(sec),
  allDone: true,
  countsTries: true,
  blank: { type: "COUNT_IN_TIME" },
};
