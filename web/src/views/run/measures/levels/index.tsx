import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { type MeasureView, MISS, only } from "../measure-view";
import { highest } from "./fold";
import { LevelsPad } from "./pad";

const t = textsOf("run", saidRun);

export const levels: MeasureView<"LEVELS"> = {
  Pad: LevelsPad,
  key: (taps) => ({ type: "HIT", number: highest(taps) + 1 }),
  miss: MISS,
  score: (taps) => only(highest(taps)),
  ask: (rung) => t("index.theHighestThatWasMade", { unit: rung.unit }),
  most: () => 1000,
  blank: { type: "LEVELS" },
};
