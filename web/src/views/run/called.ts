import type { RunScript, Segment } from "../../api/types";

/**
 * The word that is called now, and since when in milliseconds; it goes by the run's clock, so that every screen calls the same. Undefined where nothing
 * is called by the clock.
 */
export function calledNow(
  script: RunScript,
  segment: Segment,
  offsetMs: number,
): { word: string; number: number; sinceMs: number } | undefined {
  const calls = script.blocks[segment.block]?.calls;
  if (!calls || calls.everySec === 0 || segment.kind !== "WORK") return undefined;
  const perRound = Math.ceil(segment.durationSec / calls.everySec);
  const before = script.segments.filter(
    (s) => s.kind === "WORK" && s.block === segment.block && s.index < segment.index,
  ).length;
  const inRound = Math.floor(offsetMs / (calls.everySec * 1000));
  const number = before * perRound + inRound;
  const word = calls.words[calls.order[number % calls.order.length] ?? 0];
  return word === undefined ? undefined : { word, number, sinceMs: offsetMs - inRound * calls.everySec * 1000 };
}
