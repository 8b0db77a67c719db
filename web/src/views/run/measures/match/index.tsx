import { type MeasureView, only } from "../measure-view";
import { teamPoints } from "./fold";
import { MatchPad } from "./pad";

export const match: MeasureView<"MATCH"> = {
  Pad: MatchPad,
  key: () => null,
  miss: null,
  score: (taps) => only(taps.some((t) => t.type === "END_WON") ? teamPoints(taps, "A") : null),
  ask: () => "How many points did each side win?",
  most: () => 1000,
  bySide: true,
  drawn: true,
  blank: { type: "MATCH" },
};
