import { texts } from "../../../../words/texts";
import { Num, Pick } from "../../../ladders/form-bits";
import { type MeasureView, MISS, only } from "../measure-view";
import { drawn, numbers } from "./fold";
import { NumbersPad } from "./pad";

const t = texts("run");

export const keepAll: MeasureView<"KEEP_ALL"> = {
  Pad: NumbersPad,
  key: (taps, measure, { block, spot }) =>
    numbers(taps, measure.balls).kept.size === measure.balls
      ? null
      : { type: "HIT", number: drawn(taps, measure, block, spot) },
  miss: MISS,
  score: (taps, { balls }) => {
    const { kept, goes } = numbers(taps, balls);
    return only(kept.size < balls ? null : goes);
  },
  ask: (_, { balls }) => `How many goes until all ${balls} were kept?`,
  most: () => 100_000,
  countsTries: true,
  blank: { type: "KEEP_ALL", balls: 6, draw: "ALL" },
  Form: ({ measure, must, onChange }) => (
    <>
      <Num
        label={t("keepAllIndex.numberedBalls")}
        value={measure.balls}
        must={must("scoring.balls")}
        onChange={(balls) => onChange({ ...measure, balls: balls as number })}
      />
      <Pick
        label={t("keepAllIndex.drawnFrom")}
        value={measure.draw}
        words={{ ALL: "all of them, with repeats", LEFT: "those that are left" }}
        onChange={(draw) => onChange({ ...measure, draw })}
      />
    </>
  ),
};
