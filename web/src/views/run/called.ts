import type { RunScript, Segment } from "../../api/types";
import { circuitOf } from "./stations";

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
  // One voice for all stations would call at the wrong ones.
  if (!calls || segment.kind !== "WORK" || circuitOf(script, segment.block)) return undefined;
  if (calls.atSec) return atItsSecond(calls.words, calls.order, calls.atSec, offsetMs);
  if (calls.everySec === 0) return undefined;
  const perRound = Math.ceil(segment.durationSec / calls.everySec);
  const before = script.segments.filter(
    (s) => s.kind === "WORK" && s.block === segment.block && s.index < segment.index,
  ).length;
  const inRound = Math.floor(offsetMs / (calls.everySec * 1000));
  const number = before * perRound + inRound;
  const word = calls.words[calls.order[number % calls.order.length] ?? 0];
  return word === undefined ? undefined : { word, number, sinceMs: offsetMs - inRound * calls.everySec * 1000 };
}

/** Moves that last as long as they do: each round begins with the first. */
function atItsSecond(words: string[], order: number[], atSec: number[], offsetMs: number) {
  const number = atSec.findLastIndex((sec) => sec * 1000 <= offsetMs);
  const word = words[order[number] ?? -1];
  return word === undefined ? undefined : { word, number, sinceMs: offsetMs - (atSec[number] ?? 0) * 1000 };
}
