import type { Block, Ladder, Lesson, LessonPlan } from "../api/types";
import { blockKind } from "../words";
import type { LaneBlock } from "./lane";

/** The plan's blocks with their names, as the lane wants them. */
export function laneBlocks(lesson: Lesson, plan: LessonPlan, ladders: Ladder[]): LaneBlock[] {
  return plan.blocks.map((b, i) => {
    const block = lesson.blocks[i];
    return { ...b, name: block ? blockName(block, ladders) : "" };
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
