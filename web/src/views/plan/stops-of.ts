import type { LessonView } from "../../api/types";

/** How many findings stop a lesson and were not let stand. */
export const stopsOf = (view: Pick<LessonView, "findings">) =>
  view.findings.filter((f) => f.level === "STOP" && f.silenced === null).length;
