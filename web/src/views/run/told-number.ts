import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";

const t = textsOf("run", saidRun);

/** What was typed: a score, and its milliseconds where a time was told; or what is wrong with it, asked back. */
export type ToldNumber = { score: number; timeMs: number | null } | { wrong: string } | null;

const MINUTES = /^(\d{1,3}):([0-5]?\d)([.,]\d{1,2})?$/;
const SECONDS = /^\d{1,5}([.,]\d{1,2})?$/;

/**
 * Reads what somebody typed; null for nothing.
 *
 * @param timed whether it is a time: 18, 18.4, 0:18 or 1:05.4
 * @param most the most that it can be; what is more is asked back
 * @param within what it is the most of, such as "in 25 s" or "of 10"
 */
export function toldNumber(text: string, timed: boolean, most: number, within: string): ToldNumber {
  const typed = text.trim();
  if (typed === "") return null;
  if (!timed) {
    if (!/^\d{1,6}$/.test(typed)) return { wrong: t("toldNumber.aWholeNumber") };
    const score = Number(typed);
    return score > most ? { wrong: t("toldNumber.reallyIsTheMost", { score, most, within }) } : { score, timeMs: null };
  }
  const asMinutes = MINUTES.exec(typed);
  if (!asMinutes && !SECONDS.test(typed)) return { wrong: t("toldNumber.aTime") };
  const sec = asMinutes
    ? 60 * Number(asMinutes[1]) + Number(asMinutes[2]) + Number((asMinutes[3] ?? "0").replace(",", "."))
    : Number(typed.replace(",", "."));
  // A second that was begun counts.
  const timeMs = Math.round(sec * 1000);
  return timeMs > most * 1000
    ? { wrong: t("toldNumber.noLongerThanADay") }
    : { score: Math.ceil(timeMs / 1000), timeMs };
}
