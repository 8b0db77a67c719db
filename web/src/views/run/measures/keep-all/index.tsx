import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { Num, Pick } from "../../../ladders/form-bits";
import { type MeasureView, MISS, only } from "../measure-view";
import { drawn, numbers } from "./fold";
import { NumbersPad } from "./pad";

const t = textsOf("run", saidRun);

export const keepAll: MeasureView<"KEEP_ALL"> = {
  Pad: NumbersPad,
  key: (taps, measure, { block, spot }) =>
    numbers(taps, measure).kept.size === measure.balls
      ? null
      : { type: "HIT", number: drawn(taps, measure, block, spot) },
  miss: MISS,
  score: (taps, measure) => {
    const { kept, goes } = numbers(taps, measure);
    return only(kept.size < measure.balls ? null : goes);
  },
  ask: (_, { balls }) => t("index.howManyGoesUntilAll", { balls }),
  most: () => 100_000,
  countsTries: true,
  blank: { type: "KEEP_ALL", balls: 6, draw: "ALL", firstBall: 1 },
  Form: ({ measure, must, onChange }) => (
    <>
      <Num
        label={t("keepAllIndex.numberedBalls")}
        value={measure.balls}
        must={must("scoring.balls")}
        onChange={(balls) => onChange({ ...measure, balls: balls as number })}
      />
      <Num
        label={t("keepAllIndex.firstBall")}
        value={measure.firstBall}
        must={must("scoring.firstBall")}
        onChange={(firstBall) => onChange({ ...measure, firstBall: firstBall as number })}
      />
      <Pick
        label={t("keepAllIndex.drawnFrom")}
        value={measure.draw}
        words={{ ALL: t("index.allOfThemWithRepeats"), LEFT: t("index.thoseThatAreLeft") }}
        onChange={(draw) => onChange({ ...measure, draw })}
      />
    </>
  ),
};
