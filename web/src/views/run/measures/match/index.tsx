import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { type MeasureView, only } from "../measure-view";
import { teamPoints } from "./fold";
import { MatchForm } from "./form";
import { MatchPad } from "./pad";

const t = textsOf("run", saidRun);

export const match: MeasureView<"MATCH"> = {
  Pad: MatchPad,
  key: () => null,
  miss: null,
  score: (taps) => only(taps.some((x) => x.type === "END_WON") ? teamPoints(taps, "A") : null),
  ask: () => t("match.ask"),
  most: () => 1000,
  bySide: true,
  wide: true,
  blank: {
    type: "MATCH",
    ballsPerPlayer: 3,
    targetScore: null,
    maxEnds: null,
    timeCapSec: null,
    jackRule: "WINNER",
    playerOrder: "IN_TURN",
    tieRule: "NONE_SCORES",
    toleranceCm: 1,
    footLineKills: true,
    shortLineKills: true,
  },
  Form: MatchForm,
};
