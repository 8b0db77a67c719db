import { type MeasureView, MISS, only } from "../measure-view";
import { highest } from "./fold";
import { LevelsPad } from "./pad";

export const levels: MeasureView<"LEVELS"> = {
  Pad: LevelsPad,
  key: (taps) => ({ type: "HIT", number: highest(taps) + 1 }),
  miss: MISS,
  score: (taps) => only(highest(taps)),
  ask: (rung) => `The highest that was made: how many ${rung.unit}?`,
  most: () => 1000,
  blank: { type: "LEVELS" },
};
