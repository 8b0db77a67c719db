import type { Ladder, RunScript, ScriptCircuit } from "../../api/types";
import type { LaneBlock } from "../../lane/lane";
import { blockKind } from "../../words";
import { circuitOf } from "./stations";

/** A run's blocks as the lane draws them. */
export function runLane(script: RunScript, ladders: Ladder[]): LaneBlock[] {
  const { segments, blocks } = script;
  return blocks.map((b, i) => {
    const mine = segments.filter((s) => s.block === i && s.kind !== "TRANSITION");
    const ladder = ladders.find((l) => l.id === b.ladderId);
    const end = mine.at(-1);
    const circuit = circuitOf(script, i);
    return {
      id: String(i),
      name: ladder?.name ?? blockKind[b.kind],
      family: ladder?.family ?? null,
      effort: circuit ? meanEffort(script, circuit, ladders) : (ladder?.effort ?? 1),
      beside: circuit && { number: i - circuit.firstBlock, of: circuit.stations },
      startSec: mine[0]?.startSec ?? 0,
      endSec: end ? end.startSec + end.durationSec : 0,
      setStretches: mine
        .filter((s) => s.kind === "WORK")
        .map((s) => ({ startSec: s.startSec, endSec: s.startSec + s.durationSec })),
    };
  });
}

/** One height for all of a circuit: what they ask for on average. */
function meanEffort(script: RunScript, circuit: ScriptCircuit, ladders: Ladder[]): number {
  const of = script.blocks.slice(circuit.firstBlock, circuit.firstBlock + circuit.stations);
  const efforts = of.map((b) => ladders.find((l) => l.id === b.ladderId)?.effort ?? 1);
  return efforts.reduce((sum, e) => sum + e, 0) / efforts.length;
}
