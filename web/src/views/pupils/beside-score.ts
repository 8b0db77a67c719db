import type { Attempt } from "../../api/types";
import saidPupils from "../../words/pupils.json";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";

const t = textsOf("pupils", saidPupils);
const run = textsOf("run", saidRun);

/** What a pad told of a round beside its score, in a few words; null where it told no more. */
export function besideScore(detail: Attempt["detail"]): string | null {
  switch (detail?.type) {
    case "BOWLED": {
      const said = [t("besideScore.noBalls", { n: detail.noBalls })];
      if (detail.halfScores > 0) said.push(t("besideScore.halfScores", { n: detail.halfScores }));
      if (detail.fair.length > 0)
        said.push(
          t("besideScore.fair", {
            kinds: detail.fair.map((f) => `${f.n} ${run(`noBallsPad.fair.${f.kind}`)}`).join(", "),
          }),
        );
      return said.join("; ");
    }
    case "SPOTS":
      return t("besideScore.atSpots", { made: detail.madeAtSpots.join(", ") });
    case "TIMED":
      return detail.splitsMs.length === 0
        ? null
        : t("besideScore.splits", { splits: detail.splitsMs.map((ms) => (ms / 1000).toFixed(1)).join(", ") });
    default:
      return null;
  }
}
