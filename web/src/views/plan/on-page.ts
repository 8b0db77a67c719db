import { createContext } from "react";
import type { Lesson } from "../../api/types";

/** The lesson as it stands on the page, for what asks the core about it. */
export type OnPage = { id: string; lesson: Lesson; totalSec: number; movingShare: number };

export const LessonOnPage = createContext<OnPage | null>(null);
