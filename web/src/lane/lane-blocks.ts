import type { Block, Ladder, Lesson, LessonPlan } from "../api/types";
import { blockKind } from "../words";
import { texts } from "../words/texts";
import type { LaneBlock } from "./lane";

const say = texts("plan");

/** The plan's blocks with their names, as the lane wants them. */
export function laneBlocks(lesson: Lesson, plan: LessonPlan, ladders: Ladder[]): LaneBlock[] {
  return plan.blocks.map((b, i) => {
    const block = lesson.blocks[i];
    const circuit = plan.circuits.find((c) => c.stations.some((s) => s.blockId === b.id));
    const named = { ...b, name: block ? blockName(block, ladders) : "" };
    if (!circuit) return named;
    const number = circuit.stations.findIndex((s) => s.blockId === b.id);
    const all = plan.blocks.filter((o) => circuit.stations.some((s) => s.blockId === o.id));
    return {
      ...named,
      // One height for all of a circuit: what they ask for on average.
      effort: all.reduce((sum, o) => sum + o.effort, 0) / all.length,
      name: number === 0 ? say("circuit.name", { n: all.length }) : "",
      beside: { number, of: all.length },
    };
  });
}

/** A task has its ladder's name, a routine its own; other time is called what it is. */
export function blockName(
  block: Pick<Block, "kind" | "ladderId"> & Partial<Pick<Block, "routine">>,
  ladders: Ladder[],
): string {
  if (block.routine) return block.routine.name;
  if (block.kind !== "TASK") return blockKind[block.kind];
  return ladders.find((l) => l.id === block.ladderId)?.name ?? "";
}
