import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import type { Given } from "./given";

const t = textsOf("marks", saidMarks);

/** What a working stands on, of nobody in particular: for tests. */
export const given = {
  planning: {
    balls: [
      {
        id: "netball",
        name: t("anyGiven.netball"),
        radiusM: 0.11,
        massKg: 0.4,
        dragCoefficient: 0.5,
        wallRestitution: 0.7,
        floorRestitution: 0.75,
        hard: false,
      },
    ],
    nets: [{ id: "net", name: "A net", heightM: 2.1, distanceM: 6, landWithinM: 6 }],
    slalomLevels: [{ id: "jog", name: t("anyGiven.jogging"), gapM: 1.4, passM: 0.35 }],
    reactions: [{ fromAge: 4, reactionSec: 0.4, handMoveSec: 0.3 }],
    usual: {
      paceM: 0.75,
      shoeCm: 22,
      handAboveNetM: 0.2,
      angleSpreadDeg: 5,
      hardMarginShare: 0.5,
      clapSec: 0.28,
      handsSec: 0.2,
      lampClearanceM: 0.15,
      fetchSec: 6,
      walkSecPerStep: 1,
      throwSpeedMs: 8,
    },
  },
  spaces: [],
  space: undefined,
  chosen: undefined,
  units: "metric",
  shoeM: 0.22,
  paceM: 0.75,
  thisYear: 2026,
} as unknown as Given;
