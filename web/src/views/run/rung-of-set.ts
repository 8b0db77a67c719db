import type { Run } from "../../api/types";

type ScriptBlock = Run["sheet"]["script"]["blocks"][number];

/** The rung of a set, from 0: the block's, or another for this set. */
export function rungOfSet(block: ScriptBlock, set: number): string | null {
  // A run that was begun before sets could differ, and is still on this device, has none.
  const later = block.laterRungIds ?? [];
  return set <= 0 ? block.rungId : (later[Math.min(set, later.length) - 1] ?? block.rungId);
}
