import { texts } from "../../../../words/texts";
import { Num } from "../../../ladders/form-bits";
import { type MeasureView, MISS, mostHits, only } from "../measure-view";
import { hitsIn } from "../shared/hits";
import { nextSpot } from "./fold";
import { SpotsPad } from "./pad";

const t = texts("run");

export const madeFromSpots: MeasureView<"MADE_FROM_SPOTS"> = {
  Pad: SpotsPad,
  key: (taps, { spots }) => ({ type: "HIT", number: nextSpot(taps, spots) }),
  miss: MISS,
  score: (taps) => only(hitsIn(taps)),
  ask: (_, { spots }) => `How many went in, from all ${spots} spots together?`,
  most: (_, sec) => mostHits(sec),
  countsTries: true,
  blank: { type: "MADE_FROM_SPOTS", spots: 5 },
  Form: ({ measure, must, onChange }) => (
    <Num
      label={t("madeFromSpotsIndex.spots")}
      value={measure.spots}
      must={must("scoring.spots")}
      onChange={(spots) => onChange({ ...measure, spots: spots as number })}
    />
  ),
};
