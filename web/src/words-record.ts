import type { Advice, Found, Readiness, SideAdvice } from "./api/types";

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
  RECKONED: { name: "Reckoned", about: "how likely it is that the rung is held, from tries with counted misses" },
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

/** What a side's tries say, in one sentence with its figures. */
export function evidence(s: SideAdvice): string {
  const tries = s.hits + s.misses;
  const gates = s.ofRounds > 0 ? ` The gate was met in ${s.ofMet} of the last ${s.ofRounds} rounds.` : "";
  if (tries === 0) return `No tries with counted misses yet.${gates}`;
  const doubt =
    s.unconfirmedShare > 0.005
      ? ` ${Math.round(s.unconfirmedShare * 100)} % of that rests on results that nobody of the school has confirmed.`
      : "";
  const held = `It went in ${s.hits} of ${tries} times lately. Held at ${Math.round(s.hold * 100)} %: ${certainty(
    s.chanceHolds,
  )} (${sureness(s.chanceHolds)}).`;
  return `${held}${doubt}${gates}`;
}

export const evidenceWanted: Record<Advice["evidenceWanted"], string> = {
  NONE: "",
  TAP_MISSES: "To know more, tap the misses too, or take ten tries and tell how many went in.",
  HITS_OF_TEN: "To know more, take ten tries next time and tell how many went in.",
};
