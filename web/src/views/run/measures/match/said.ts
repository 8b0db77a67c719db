import type { Attempt } from "../../../../api/types";
import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";

const t = textsOf("run", saidRun);

/** A match as one side's result: who won it, and end by end. Null for what is no match. */
export function matchSaid(detail: Attempt["detail"]): string | null {
  if (detail?.type !== "PLAYED") return null;
  const sum = (of: "own" | "theirs") => detail.ends.reduce((all, e) => all + e[of], 0);
  const own = sum("own");
  const theirs = sum("theirs");
  const outcome = own > theirs ? "WON" : own < theirs ? "LOST" : "LEVEL";
  const list = detail.ends.map((e) => `${e.own}–${e.theirs}`).join(", ");
  return `${t("match.result", { outcome, own, theirs })} (${list})`;
}
