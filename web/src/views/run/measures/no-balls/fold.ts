import type { Tap } from "../../../../api/types";
import { hitsIn } from "../shared/hits";

/** What one who bowls has delivered. */
export type Spell = { balls: Tap[]; noBalls: number; halfScores: number };

/** An innings as it is being bowled: what each has delivered, who bowls now, to which batter (from 1), whether a no-ball runs. */
export type Innings = { spells: Map<string, Spell>; bowler: string; batter: number; oneRuns: boolean };

/** @param first who bowls until a tap says otherwise */
export function innings(taps: Tap[], first = ""): Innings {
  const out: Innings = { spells: new Map(), bowler: first, batter: 1, oneRuns: false };
  const spell = () => {
    const known = out.spells.get(out.bowler) ?? { balls: [], noBalls: 0, halfScores: 0 };
    out.spells.set(out.bowler, known);
    return known;
  };
  spell();
  for (const t of taps) {
    if (t.type === "BOWLS") {
      out.bowler = t.pupilId;
      spell();
    } else if (t.type === "NEXT_BATTER") {
      out.batter++;
      out.oneRuns = false;
    } else {
      const now = spell();
      const noBall = t.type === "MISS" && t.noBall !== null;
      const half = noBall && out.oneRuns;
      now.balls.push(t);
      if (noBall) now.noBalls++;
      if (half) now.halfScores++;
      out.oneRuns = noBall && !half;
    }
  }
  return out;
}

/** The fair balls of whoever bowled first: a relief bowler's are their own. */
export const fairOfFirst = (taps: Tap[], first: string): number =>
  hitsIn(innings(taps, first).spells.get(first)?.balls ?? []);
