import { useQueryClient } from "@tanstack/react-query";
import { useCallback } from "react";
import { api, Problem } from "../../api/client";
import { lesson as lessonQuery } from "../../api/queries";
import type { Lesson, LessonDoc, LessonView } from "../../api/types";
import { useKept } from "../../ui/use-kept";

export type Draft = Omit<LessonDoc, "version">;

export function draftOf(v: LessonView): Draft {
  return { classId: v.classId, spaceId: v.spaceId, name: v.name, onDay: v.onDay, lesson: v.lesson };
}

/** A lesson being changed: every change is worked out on the server and comes back saved, with its findings. */
export function usePlan(loaded: LessonView) {
  const client = useQueryClient();
  const kept = useKept<LessonView, Draft>(`/lessons/${loaded.id}`, loaded, draftOf, (view) => {
    client.setQueryData(lessonQuery(loaded.id).queryKey, view);
    client.invalidateQueries({ queryKey: ["lessons"] });
  });
  const { draft, change, saved, setProblem } = kept;

  const changeLesson = useCallback(
    (lesson: Lesson, step: string) => change({ ...draft, lesson }, step),
    [change, draft],
  );

  /** One press: the core works out the mended lesson, which is then saved like any other change. */
  const mend = useCallback(
    async (finding: string) => {
      try {
        const lesson = await api<Lesson>("POST", `/lessons/${loaded.id}/mended`, { version: saved.version, finding });
        change({ ...draft, lesson }, `mend ${finding} ${Date.now()}`);
      } catch (error) {
        setProblem(error instanceof Problem ? error : new Problem(0, "Not mended", String(error)));
      }
    },
    [change, draft, loaded.id, saved.version, setProblem],
  );

  return { ...kept, changeLesson, mend };
}
