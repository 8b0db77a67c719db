import type { ComponentType } from "react";
import type { Measure, MeasureType, Rung, Tap } from "../../../api/types";
import type { Must } from "../../ladders/form-bits";
import type { ScriptBlock } from "../script";
import type { PadProps } from "./shared/pad";

export type Of<T extends MeasureType> = Extract<Measure, { type: T }>;

/** @param score null while the taps make no result yet */
export type Scored = { score: number | null; timeMs: number | null };

export const only = (score: number | null): Scored => ({ score, timeMs: null });

/** What a pad's key is given beside the taps. */
export type KeyContext = { block: ScriptBlock; spot: number; workedMs: () => number };

/** Everything that the screen knows of one measure: its pad and key, what its taps come to, its words, its figures in a ladder's form. */
export type MeasureView<T extends MeasureType> = {
  Pad: ComponentType<PadProps<Of<T>>>;
  /** what the pad's key does; null where a place has to be pointed at */
  key: (taps: Tap[], measure: Of<T>, context: KeyContext) => Tap | null;
  /** what the key does with shift; null where nothing is missed */
  miss: Tap | null;
  /** what taps come to, for the pad that shows them; the core folds the same taps, and only its fold is recorded */
  score: (taps: Tap[], measure: Of<T>, workedMs: number) => Scored;
  /** what whoever counted is asked, of this rung in a round of so many seconds */
  ask: (rung: Rung, measure: Of<T>, sec: number) => string;
  /** the most that a number told can be in a round of so many seconds; more is asked back */
  most: (measure: Of<T>, sec: number) => number;
  /** told as a time, with tenths or as minutes and seconds */
  timed?: boolean;
  /** sides have numbers, not pupils */
  bySide?: boolean;
  /** drawn to be pointed at, or with rows of words: needs half the width */
  wide?: boolean;
  /** whether "did all" can be said of everybody at once: a number of things done, not of things that went in */
  allDone?: boolean;
  /** whether it may open by hits in a row, hits of so many, hits in a time */
  countsTries?: boolean;
  /** as a ladder begins with it */
  blank: Of<T>;
  /** its figures in a ladder's form */
  Form?: ComponentType<{ measure: Of<T>; must: Must; onChange: (measure: Of<T>) => void }>;
};

/** Faster than this nobody's hands are. */
export const MOST_A_SECOND = 10;
export const mostHits = (sec: number) => MOST_A_SECOND * Math.max(1, sec);

export const A_DAY_SEC = 86_400;
export const HIT: Tap = { type: "HIT", number: null };
export const MISS: Tap = { type: "MISS", noBall: null };
