import type { Advice, Found, Readiness, SideAdvice } from "./api/types";
import { count, percent } from "./words";

/** The words of the record: who is ready, how sure that is, and what can be asked. */

export const verdict: Record<Advice["verdict"], { short: string; sign: string }> = {
  UP: { short: "ready to go up", sign: "↑" },
  STAY: { short: "stay", sign: "=" },
  BACK: { short: "better a rung back", sign: "↓" },
  MORE: { short: "more tries needed", sign: "?" },
};

export const question: Record<Found["question"], { ask: string; nobody: string }> = {
  READY_TO_GO_UP: {
    ask: "Ready to go up",
    nobody: "Nobody is ready to go up by the school that this class has chosen.",
  },
  BETTER_A_RUNG_BACK: { ask: "Better a rung back", nobody: "Nobody has fallen below the floor." },
  OTHER_SIDE_BEHIND: { ask: "Other hand behind", nobody: "Nobody has one side surely behind the other." },
  NOT_SEEN: { ask: "Not seen for three weeks", nobody: "Everybody was seen within three weeks." },
  NEVER_TRIED: { ask: "Never tried", nobody: "Everybody has tried what the class has tried." },
  BEST_THIS_WEEK: { ask: "Best this week", nobody: "No best was bettered within the last seven days." },
  ALL_RUNGS_DONE: { ask: "All rungs done", nobody: "Nobody has done every rung of a ladder." },
};

export const school: Record<Readiness["school"], { name: string; about: string }> = {
  RECKONED: { name: "Reckoned", about: "how likely it is that the rung is held, read from every try on the ladder" },
  IN_A_ROW: { name: "So many in a row", about: "rounds that met the gate one after the other" },
  N_OF_M: { name: "So many of so many", about: "of the last rounds so many met the gate" },
  TEACHER: { name: "Teacher’s word", about: "nobody moves until the teacher says so" },
  PUPIL: { name: "Pupil’s own word", about: "too easy goes up, too hard goes back" },
};

/** A chance in words. */
export function certainty(chance: number): string {
  if (chance >= 0.97) return "almost certainly";
  if (chance >= 0.9) return "very likely";
  if (chance >= 0.75) return "likely";
  if (chance >= 0.5) return "perhaps";
  if (chance >= 0.1) return "hardly";
  return "almost certainly not";
}

/** A chance as a number; never said to be more certain than it is. */
export function sureness(chance: number): string {
  if (chance > 0.99) return "over 99 %";
  if (chance < 0.01) return "under 1 %";
  return `${Math.round(chance * 100)} %`;
}

/** What a side's tries say: how much goes in today and on what that rests, then whether that holds the rung; and why where gate and tries disagree. */
export function evidence(s: SideAdvice): string {
  if (!s.known) return "Nothing here says yet how much goes in.";
  return [
    `About ${percent(s.share.share)} go in now, between ${percent(s.share.low)} and ${percent(s.share.high)}: read from ${readFrom(s)}.`,
    `It takes ${percent(s.hold)} to hold this rung: ${certainty(s.chanceHolds)} so (${sureness(s.chanceHolds)}).`,
    s.ofMet > 0 && s.reckoned === "STAY" && "A round that met the gate can be luck; the tries do not yet say so.",
    s.ofMet === 0 && s.ofRounds > 0 && s.reckoned === "UP" && "The tries say so, though no round has met the gate.",
    s.seeAgain && "That was long ago: to be seen again.",
    howLong(s),
  ]
    .filter(Boolean)
    .join(" ");
}

function readFrom(s: SideAdvice): string {
  const here = s.hits + s.misses;
  const all = Math.round(s.triesOnLadder);
  if (all === 0) return "rounds that met the gate or did not";
  if (here === 0) return `${count(all, "try", "tries")} on this ladder, none on this rung`;
  return here >= all
    ? count(here, "try", "tries")
    : `${count(all, "try", "tries")} on this ladder, ${here} on this rung`;
}

/** What stands beside it, for who wants to know more. */
export function beside(s: SideAdvice): string {
  return [
    s.ofRounds > 0 && `The gate was met in ${s.ofMet} of the last ${count(s.ofRounds, "round", "rounds")}.`,
    s.known && s.nextShare && `On the next rung about ${percent(s.nextShare.share)} would go in.`,
    s.unconfirmedShare > 0.005 &&
      `${percent(s.unconfirmedShare)} of the tries on this rung nobody of the school has confirmed.`,
  ]
    .filter(Boolean)
    .join(" ");
}

/** How many lessons of practice until the rung is likely held; nothing where the record does not say. */
function howLong(s: SideAdvice): string {
  if (s.practicesLeast === null) return "";
  if (s.practicesMost === null)
    return `Likely held after ${count(s.practicesLeast, "more lesson", "more lessons")} or many more.`;
  return s.practicesLeast === s.practicesMost
    ? `Likely held after ${count(s.practicesLeast, "more lesson", "more lessons")}.`
    : `Likely held after ${s.practicesLeast} to ${s.practicesMost} more lessons.`;
}

export const evidenceWanted: Record<Advice["evidenceWanted"], string> = {
  NONE: "",
  TAP_MISSES: "To know more, tap the misses too, or take ten tries and tell how many went in.",
  HITS_OF_TEN: "To know more, take ten tries next time and tell how many went in.",
  ROUNDS: "Nothing is counted one by one here; rounds that meet the gate, or do not, tell more.",
};
