import type { MatchEnd } from "../../api/types";
import type { KeptAs } from "./keep-game";

export type Player = "A" | "B";
export type V = {
  format: string;
  nameA: string;
  nameB: string;
  playersA: number | null;
  playersB: number | null;
  ballsPerPlayer: number | null;
  tossWonBy: string;
  jackRule: string;
  playerOrder: string;
  tieRule: string;
  toleranceCm: number | null;
  footLineKills: boolean;
  shortLineKills: boolean;
  targetScore: number | null;
  maxEnds: number | null;
  timeCapSec: number | null;
  playedSec: number | null;
  ends: MatchEnd[];
  /** ids of pupils, captain first; "" for nobody of the class */
  seatsA: string[];
  seatsB: string[];
} & KeptAs;

export const colour: Record<Player, string> = { A: "var(--throw)", B: "var(--handle)" };
/** Players a side and balls each, by format. */
export const formats: Record<string, [number, number]> = { singles: [1, 3], pairs: [2, 2], teams: [3, 2] };
export const empty: MatchEnd = { balls: [], called: false, told: null };
