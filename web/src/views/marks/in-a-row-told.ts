import type { GateFor, Odds, Rates, Streak } from "../../api/types";
import { percent } from "../../words";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { seconds } from "../../words-marks";
import type { Said } from "./working";

const t = textsOf("marks", saidMarks);

/** What stands on the page. */
export type V = {
  percentIn: number | null;
  run: number | null;
  of: number | null;
  hits: number | null;
  roundSec: number | null;
  secPerTry: number | null;
  wantPercent: number | null;
  rung: string;
  who: string;
  firstCount: number | null;
  firstSec: number | null;
  lastCount: number | null;
  lastSec: number | null;
};

export function toldRow(a: Streak, v: V): Said[] {
  const half =
    a.triesForHalf === null
      ? t("inARow.moreThan100000Tries")
      : t("inARow.tries", { triesForHalf: a.triesForHalf, seconds: seconds(a.triesForHalf * (v.secPerTry ?? 0)) });
  const four =
    a.triesForFourOfFive === null
      ? t("inARow.moreThan100000")
      : `${a.triesForFourOfFive} (${seconds(a.triesForFourOfFive * (v.secPerTry ?? 0))})`;
  return [
    {
      text: t("inARow.inARowAtHalf", { run: v.run, percentIn: v.percentIn, half, four }),
    },
    {
      text: t("inARow.inThisRoundThereIs", {
        count: a.tries,
        chance: percent(a.chance),
        more:
          a.expectedTries === null
            ? ""
            : t("inARow.onAverageItTakesTries", { expectedTries: Math.round(a.expectedTries) }),
      }),
    },
  ];
}

export const toldOdds = (a: Odds, v: V): Said => ({
  text: t("inARow.atLeastOfTheMost", {
    hits: v.hits,
    of: v.of,
    chance: percent(a.chance),
    mostHitsForChance: a.mostHitsForChance,
    expectedHits: a.expectedHits.toFixed(1),
  }),
});

export function toldGate(a: GateFor, v: V, pupils: number): Said[] {
  const gate = t("inARow.orOf", {
    more: a.classRun > 0 ? t("inARow.inARow4", { classRun: a.classRun }) : t("inARow.noRunInARow"),
    classHits: a.classHits,
    of: v.of,
  });
  return pupils
    ? [
        {
          text: t("inARow.theGateThatSuitsThese", { pupils, gate, wantPercent: v.wantPercent }),
        },
      ]
    : [{ text: t("inARow.theGateThatSuits2", { gate }) }];
}

export const toldEvidence = (name: string, hits: number, misses: number, low: number, high: number): Said => ({
  kind: "note",
  text: t("inARow.evidence", { name, hits, tries: hits + misses, low: percent(low), high: percent(high) }),
});

export function toldRates(a: Rates, v: V): string {
  const [before, now] = a.rates;
  if (!before || !now) return "";
  const rate = (r: typeof before) =>
    t("inARow.aMinuteLikelyTo", {
      perMin: r.perMin.toFixed(1),
      lowPerMin: r.lowPerMin.toFixed(1),
      highPerMin: r.highPerMin.toFixed(1),
    });
  return t("inARow.inSIsInS", {
    firstCount: v.firstCount,
    firstSec: v.firstSec,
    rate: rate(before),
    lastCount: v.lastCount,
    lastSec: v.lastSec,
    rate2: rate(now),
    lastHigherThanFirst: percent(a.lastHigherThanFirst ?? 0),
  });
}
