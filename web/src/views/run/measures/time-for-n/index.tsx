import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { Num } from "../../../ladders/form-bits";
import { A_DAY_SEC, type MeasureView } from "../measure-view";
import { quickest, watch } from "../shared/watch";
import { WatchPad } from "../shared/watch-pad";

const t = textsOf("run", saidRun);

export const timeForN: MeasureView<"TIME_FOR_N"> = {
  Pad: WatchPad,
  key: (taps, { n }, { workedMs }) => {
    const w = watch(taps);
    const offsetMs = workedMs();
    return { type: w.sinceMs === null ? "START" : w.splits + 1 >= n ? "STOP" : "SPLIT", offsetMs };
  },
  miss: null,
  score: quickest,
  ask: (rung, { n }) =>
    t("index.howLongForInSeconds", { n, more: rung.unit === "seconds" ? t("index.ofThem") : rung.unit }),
  most: () => A_DAY_SEC,
  timed: true,
  blank: { type: "TIME_FOR_N", n: 20 },
  Form: ({ measure, must, onChange }) => (
    <Num
      label={t("timeForNIndex.howMany")}
      value={measure.n}
      must={must("scoring.n")}
      onChange={(n) => onChange({ ...measure, n: n as number })}
    />
  ),
};
