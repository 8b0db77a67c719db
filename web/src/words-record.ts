import type { Advice, Found, Readiness, SideAdvice } from "./api/types";
import { percent } from "./words";
import words from "./words/record.json";
import { each, textsOf } from "./words/texts";

const t = textsOf("record", words);

/** The words of the record: who is ready, how sure that is, and what can be asked. */

export const verdict: Record<Advice["verdict"], { short: string; sign: string }> = {
  UP: { short: t("verdictShort.UP"), sign: "↑" },
  STAY: { short: t("verdictShort.STAY"), sign: "=" },
  BACK: { short: t("verdictShort.BACK"), sign: "↓" },
  MORE: { short: t("verdictShort.MORE"), sign: "?" },
};

export const question: Record<Found["question"], { ask: string; nobody: string }> = {
  READY_TO_GO_UP: { ask: t("questionAsk.READY_TO_GO_UP"), nobody: t("questionNobody.READY_TO_GO_UP") },
  BETTER_A_RUNG_BACK: { ask: t("questionAsk.BETTER_A_RUNG_BACK"), nobody: t("questionNobody.BETTER_A_RUNG_BACK") },
  OTHER_SIDE_BEHIND: { ask: t("questionAsk.OTHER_SIDE_BEHIND"), nobody: t("questionNobody.OTHER_SIDE_BEHIND") },
  NOT_SEEN: { ask: t("questionAsk.NOT_SEEN"), nobody: t("questionNobody.NOT_SEEN") },
  NEVER_TRIED: { ask: t("questionAsk.NEVER_TRIED"), nobody: t("questionNobody.NEVER_TRIED") },
  BEST_THIS_WEEK: { ask: t("questionAsk.BEST_THIS_WEEK"), nobody: t("questionNobody.BEST_THIS_WEEK") },
  ALL_RUNGS_DONE: { ask: t("questionAsk.ALL_RUNGS_DONE"), nobody: t("questionNobody.ALL_RUNGS_DONE") },
};

export const school: Record<Readiness["school"], { name: string; about: string }> = {
  RECKONED: { name: t("schoolName.RECKONED"), about: t("schoolAbout.RECKONED") },
  IN_A_ROW: { name: t("schoolName.IN_A_ROW"), about: t("schoolAbout.IN_A_ROW") },
  N_OF_M: { name: t("schoolName.N_OF_M"), about: t("schoolAbout.N_OF_M") },
  TEACHER: { name: t("schoolName.TEACHER"), about: t("schoolAbout.TEACHER") },
  PUPIL: { name: t("schoolName.PUPIL"), about: t("schoolAbout.PUPIL") },
};

/** A chance in words. */
export function certainty(chance: number): string {
  if (chance >= 0.97) return t("certainty.almost");
  if (chance >= 0.9) return t("certainty.very");
  if (chance >= 0.75) return t("certainty.likely");
  if (chance >= 0.5) return t("certainty.perhaps");
  if (chance >= 0.1) return t("certainty.hardly");
  return t("certainty.not");
}

/** A chance as a number; never said to be more certain than it is. */
export function sureness(chance: number): string {
  if (chance > 0.99) return t("sureness.over");
  if (chance < 0.01) return t("sureness.under");
  return percent(chance);
}

/** What a side's tries say: how much goes in today and on what that rests, then whether that holds the rung; and why where gate and tries disagree. */
export function evidence(s: SideAdvice): string {
  if (!s.known) return t("evidence.nothing");
  return [
    t("evidence.now", {
      share: percent(s.share.share),
      low: percent(s.share.low),
      high: percent(s.share.high),
      from: readFrom(s),
    }),
    t("evidence.holds", {
      hold: percent(s.hold),
      certainty: certainty(s.chanceHolds),
      sureness: sureness(s.chanceHolds),
    }),
    s.ofMet > 0 && s.reckoned === "STAY" && t("evidence.luck"),
    s.ofMet === 0 && s.ofRounds > 0 && s.reckoned === "UP" && t("evidence.noGate"),
    s.seeAgain && t("evidence.longAgo"),
    howLong(s),
  ]
    .filter(Boolean)
    .join(" ");
}

function readFrom(s: SideAdvice): string {
  const here = s.hits + s.misses;
  const all = Math.round(s.triesOnLadder);
  if (all === 0) return t("readFrom.rounds");
  if (here === 0) return t("readFrom.noneHere", { all });
  return here >= all ? t("readFrom.here", { here }) : t("readFrom.someHere", { all, here });
}

/** What stands beside it, for who wants to know more. */
export function beside(s: SideAdvice): string {
  return [
    s.ofRounds > 0 && t("beside.gate", { met: s.ofMet, rounds: s.ofRounds }),
    s.known && s.nextShare && t("beside.next", { share: percent(s.nextShare.share) }),
    s.unconfirmedShare > 0.005 && t("beside.unconfirmed", { share: percent(s.unconfirmedShare) }),
  ]
    .filter(Boolean)
    .join(" ");
}

/** How many lessons of practice until the rung is likely held; nothing where the record does not say. */
function howLong(s: SideAdvice): string {
  const least = s.practicesLeast;
  if (least === null) return "";
  if (s.practicesMost === null) return t("howLong.orMany", { least });
  return least === s.practicesMost ? t("howLong.just", { least }) : t("howLong.to", { least, most: s.practicesMost });
}

export const evidenceWanted: Record<Advice["evidenceWanted"], string> = {
  NONE: "",
  ...each(words.evidenceWanted, (key) => t(`evidenceWanted.${key}`)),
};
