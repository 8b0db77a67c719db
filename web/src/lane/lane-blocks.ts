import type { Ladder, Lesson, LessonPlan } from "../api/types";
import type { LaneBlock } from "./lane";

/** The plan's blocks with their names, as the lane wants them. */
export function laneBlocks(lesson: Lesson, plan: LessonPlan, ladders: Ladder[]): LaneBlock[] {
  return plan.blocks.map((b, i) => ({
    ...b,
    name: ladders.find((l) => l.id === lesson.blocks[i]?.ladderId)?.name ?? "",
  }));
}
