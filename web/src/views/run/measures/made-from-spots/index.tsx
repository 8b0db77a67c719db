import { Choice } from "../../../../ui/choice";
import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { Num } from "../../../ladders/form-bits";
import { type MeasureView, MISS, mostHits, only } from "../measure-view";
import { hitsIn } from "../shared/hits";
import { nextSpot } from "./fold";
import { SpotsPad } from "./pad";

const t = textsOf("run", saidRun);

export const madeFromSpots: MeasureView<"MADE_FROM_SPOTS"> = {
  Pad: SpotsPad,
  key: (taps, measure) => {
    const number = nextSpot(taps, measure);
    return number === null ? null : { type: "HIT", number };
  },
  miss: MISS,
  score: (taps) => only(hitsIn(taps)),
  ask: (_, { spots }) => t("index.howManyWentInFrom", { spots }),
  most: (_, sec) => mostHits(sec),
  countsTries: true,
  blank: { type: "MADE_FROM_SPOTS", spots: 5, spotOrder: "ROUND", spotBackM: 0 },
  Form: ({ measure, must, onChange }) => (
    <>
      <Num
        label={t("madeFromSpotsIndex.spots")}
        value={measure.spots}
        must={must("scoring.spots")}
        onChange={(spots) => onChange({ ...measure, spots: spots as number })}
      />
      <Choice
        label={t("madeFromSpotsIndex.order")}
        value={measure.spotOrder}
        options={(["ROUND", "OUT_AND_BACK", "UNTIL_MADE", "ANY"] as const).map((value) => ({
          value,
          text: t(`madeFromSpotsIndex.orderIs.${value}`),
        }))}
        onChange={(spotOrder) => onChange({ ...measure, spotOrder })}
      />
      <Num
        label={t("madeFromSpotsIndex.back")}
        unit={t("madeFromSpotsIndex.m")}
        value={measure.spotBackM}
        must={must("scoring.spotBackM")}
        onChange={(spotBackM) => onChange({ ...measure, spotBackM: spotBackM as number })}
      />
    </>
  ),
};
