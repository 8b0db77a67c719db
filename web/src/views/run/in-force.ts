import type { Ladder, Run } from "../../api/types";
import type { ScriptBlock } from "./script";

/** A block's ladder as it reads in this block: each rung's sentences with the figures in force. Runs of earlier versions have the ladder's own. */
export function ladderInForce(run: Run, block: ScriptBlock | undefined): Ladder | undefined {
  const ladder = run.sheet.ladders.find((l) => l.id === block?.ladderId);
  if (!ladder || !block) return undefined;
  return {
    ...ladder,
    // Who is at a spot where the lesson says so.
    roles: block.roles?.length ? block.roles : ladder.roles,
    rungs: ladder.rungs.map((r) => ({ ...r, ...(block.rungs.find((here) => here.id === r.id)?.words ?? {}) })),
  };
}
