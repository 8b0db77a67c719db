import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { type MeasureView, only } from "../measure-view";
import { watch } from "../shared/watch";
import { WatchPad } from "../shared/watch-pad";

const t = textsOf("run", saidRun);

export const heldForTime: MeasureView<"HELD_FOR_TIME"> = {
  Pad: WatchPad,
  key: (taps, _, { workedMs }) => ({
    type: watch(taps).sinceMs === null ? "START" : "STOP",
    offsetMs: workedMs(),
  }),
  miss: null,
  score: (taps, _, workedMs) => {
    const { sinceMs, goesMs } = watch(taps);
    const all = sinceMs === null ? goesMs : [...goesMs, workedMs - sinceMs];
    const longest = Math.max(-1, ...all);
    return only(longest < 0 ? null : Math.floor(longest / 1000));
  },
  ask: () => t("index.howLongWasItKept"),
  most: (_, sec) => sec,
  blank: { type: "HELD_FOR_TIME" },
};
