import type { Measure, MeasureType } from "../../../api/types";
import { countInTime } from "./count-in-time";
import { courseTime } from "./course-time";
import { furthest } from "./furthest";
import { heldForTime } from "./held-for-time";
import { hitsOfN } from "./hits-of-n";
import { keepAll } from "./keep-all";
import { levels } from "./levels";
import { longestRun } from "./longest-run";
import { madeFromSpots } from "./made-from-spots";
import { match } from "./match";
import type { MeasureView } from "./measure-view";
import { noBallsKept } from "./no-balls";
import { rings } from "./rings";
import { timeForN } from "./time-for-n";

/** One for each measure that the core has: a new one that is missing here does not compile. */
export const measures: { [T in MeasureType]: MeasureView<T> } = {
  COUNT_IN_TIME: countInTime,
  LONGEST_RUN: longestRun,
  HELD_FOR_TIME: heldForTime,
  HITS_OF_N: hitsOfN,
  TIME_FOR_N: timeForN,
  FURTHEST: furthest,
  RINGS: rings,
  LEVELS: levels,
  MADE_FROM_SPOTS: madeFromSpots,
  KEEP_ALL: keepAll,
  COURSE_TIME: courseTime,
  MATCH: match,
  NO_BALLS: noBallsKept,
};

/** The view of whatever measure this is; what it takes and gives is of that very measure. */
export function viewOf(measure: Measure): MeasureView<MeasureType> {
  return measures[measure.type] as unknown as MeasureView<MeasureType>;
}
