import type { AimSheet, JackMatch, NetOnWall, OffTheWall, Spots } from "./api/types";

/** The words of the board of workings. */

export const workings = [
  ["net", "Net on a wall", "Where to chalk a net when the wall stands nearer than the net would."],
  ["aim", "Aim", "Rings on floor or wall: aiming off or scattered, how big, how far."],
  ["ceiling", "Under this ceiling", "How high a toss may go, how many claps fit."],
  ["off-the-wall", "Back off the wall", "Where the ball comes back, where to stand, how near is too near."],
  ["in-a-row", "In a row, or so many of so many", "The odds in this round, and the gate that suits."],
  ["step-by-step", "Step by step", "Step back when it works: where it settles, how far a round allows."],
  ["room", "Room", "How many can work here at once, who works, who counts, who waits."],
  ["markers", "Markers", "Gaps for a weave, a first time and a better one, calls of colours and numbers."],
  ["jack", "Nearest the jack", "A whole match: who plays, why, and what the end is worth."],
  ["bowling", "Bowling to a batter", "One tap a ball; two no-balls running are half a score."],
  ["stations", "Stations and partners", "Who goes where, with whom, in which part, and when it ends."],
] as const;

export type WorkingId = (typeof workings)[number][0];

export const noDrag =
  "Reckoned without air: a served volleyball falls 15 to 20 % short of this, a foam ball 40 % or more. Spin and float are not in it.";

export const withAir =
  "Reckoned with the air for a ball of this size and weight; a worn, hairy or wobbling ball falls shorter. Spin and float are not in it.";

export const presetNote = "A preset to check against local rules.";

export const plainMark: Record<NonNullable<NetOnWall["plainMarkIs"]>, string> = {
  OUT_OF_REACH: "out of reach of this serve",
  TOO_LOW: "below the band: a ball there would not clear the net",
  TOO_HIGH: "above the band: a ball there would land out",
  IN_BAND: "inside the band",
};

export const direction: Record<NonNullable<AimSheet["landings"]>["direction"], string> = {
  RIGHT: "right",
  HIGH_RIGHT: "high and right",
  HIGH: "high",
  HIGH_LEFT: "high and left",
  LEFT: "left",
  LOW_LEFT: "low and left",
  LOW: "low",
  LOW_RIGHT: "low and right",
  CENTRED: "nowhere in particular",
};

export const correct: Record<AimSheet["correct"], string> = {
  COUNTS_ONLY: "Counts alone cannot tell aiming off from scatter: tap where throws land to see which.",
  TOO_FEW: "Fewer than five landings: too few to say which to correct.",
  AIM: "Correct the aim: the throws lie together, but not on the mark.",
  SCATTER: "Aim is true, the throws are all over: go nearer or make the target bigger.",
  BOTH: "Both: the throws lie off the mark and all over. Nearer first, then correct the aim.",
  NEITHER: "Nothing to correct: on the mark and close together. Go further or smaller.",
};

export const rebound: Record<OffTheWall["rebound"]["outcome"], string> = {
  CEILING_FIRST: "The ball meets the ceiling first.",
  FLOOR_FIRST: "The ball meets the floor before the wall.",
  BOUNCES_FIRST: "It bounces before it is back.",
  BACK_ON_THE_FULL: "It is back on the full.",
};

export const nextWhy: Record<NonNullable<JackMatch["next"]>["why"], string> = {
  JACK_FIRST: "they have the jack and play first",
  NO_LIVE_BALL: "the other side played last and no ball lies live",
  NOT_NEAREST: "they are not nearest",
  TIE_LAST_AGAIN: "it is a tie, and who played last plays again",
  OTHER_HAS_NONE_LEFT: "the other side has no ball left",
};

export const pointsWhy: Record<JackMatch["ends"][number]["why"], string> = {
  NO_LIVE_BALL: "No ball lies live: no point.",
  TIE_NONE: "A tie: nobody scores, by house rule.",
  TIE_ONE_EACH: "A tie: one point each, by house rule.",
  NO_LIVE_BALL_AGAINST: "The other side has no live ball: every live ball counts.",
  NEARER_THAN_THEIR_BEST: "One point for each ball nearer than the other side's best.",
  TOLD: "As the players told it.",
};

export const noRoom: Record<NonNullable<Spots["reason"]>, string> = {
  NO_WALL: "there is no free wall",
  WALL_TOO_SHORT: "the free wall is too short",
  TOO_LITTLE_DEPTH: "there is too little floor in front of the wall",
  WALL_TOO_LOW: "the free wall ends below the mark",
  CEILING_TOO_LOW: "the ceiling is too low",
  FLOOR_TOO_SMALL: "the floor is too small",
  NO_ROOM_BESIDE: "there is no room beside the other stations",
  NOTHING_LEFT_FREE: "every spot would stand in the way of something",
};

export const zone: Record<string, string> = {
  FAIR: "Fair",
  HIGH: "Above the head",
  LOW: "Below the knee",
  BODY: "At the body",
  WIDE_OF_BAT: "Wide of the bat",
  WIDE_BEHIND: "Wide behind",
};

export const noBall: Record<string, string> = {
  HIGH: "too high",
  LOW: "too low",
  BODY: "at the body",
  WIDE: "wide",
  BOUNCED: "bounced",
  ARM: "arm not smooth",
  FOOT: "foot over",
};

export const seconds = (sec: number) => `${sec < 10 ? sec.toFixed(1) : Math.round(sec)} s`;
