import type { LessonLine } from "../../api/types";
import { localDay } from "../../local-day";

/** What comes, the next one first, and what was, the latest first. A lesson of today that was taught is over. */
export function inOrder(all: LessonLine[], today = localDay()): { coming: LessonLine[]; before: LessonLine[] } {
  const comes = (l: LessonLine) => l.onDay > today || (l.onDay === today && l.taughtOn === null);
  return { coming: all.filter(comes), before: all.filter((l) => !comes(l)).reverse() };
}

/** The lesson before another one of its class that has a note for the next. */
export function noteBefore(all: LessonLine[], id: string, onDay: string): LessonLine | undefined {
  return all.filter((l) => l.id !== id && l.afterNote && l.onDay <= onDay).at(-1);
}
