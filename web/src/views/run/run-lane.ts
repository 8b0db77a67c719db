import type { Ladder, RunScript } from "../../api/types";
import type { LaneBlock } from "../../lane/lane";
import { blockKind } from "../../words";

/** A run's blocks as the lane draws them. */
export function runLane({ segments, blocks }: RunScript, ladders: Ladder[]): LaneBlock[] {
  return blocks.map((b, i) => {
    const mine = segments.filter((s) => s.block === i && s.kind !== "TRANSITION");
    const ladder = ladders.find((l) => l.id === b.ladderId);
    const end = mine.at(-1);
    return {
      id: String(i),
      name: ladder?.name ?? blockKind[b.kind],
      family: ladder?.family ?? null,
      effort: ladder?.effort ?? 1,
      startSec: mine[0]?.startSec ?? 0,
      endSec: end ? end.startSec + end.durationSec : 0,
      setStretches: mine
        .filter((s) => s.kind === "WORK")
        .map((s) => ({ startSec: s.startSec, endSec: s.startSec + s.durationSec })),
    };
  });
}
