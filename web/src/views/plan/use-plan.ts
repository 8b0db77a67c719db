import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useRef } from "react";
import { api, Problem } from "../../api/client";
import { lesson as lessonQuery } from "../../api/queries";
import type { Edit, Lesson, LessonDoc, LessonView } from "../../api/types";
import { useVersionedDraft } from "../../ui/use-versioned-draft";
import { texts } from "../../words/texts";

const t = texts("plan");

export type Draft = Omit<LessonDoc, "version">;

export function draftOf(v: LessonView): Draft {
  return { classId: v.classId, spaceId: v.spaceId, name: v.name, onDay: v.onDay, lesson: v.lesson };
}

/** A lesson after some edits, as the core works it out; nothing is saved. */
export function edited(lessonId: string, lesson: Lesson, edits: Edit[]): Promise<Lesson> {
  return api("post", "/api/lessons/{id}/edited", { params: { path: { id: lessonId } }, body: { lesson, edits } });
}

const storeOf = (id: string) => ({
  load: () => api("get", "/api/lessons/{id}", { params: { path: { id } } }),
  save: (body: LessonDoc) => api("put", "/api/lessons/{id}", { params: { path: { id } }, body }),
});

/** A lesson being changed: every change is worked out on the server and comes back saved, with its findings. */
export function usePlan(loaded: LessonView) {
  const client = useQueryClient();
  const kept = useVersionedDraft<LessonView, Draft>(storeOf(loaded.id), loaded, draftOf, (view) => {
    client.setQueryData(lessonQuery(loaded.id).queryKey, view);
    client.invalidateQueries({ queryKey: ["lessons"] });
  });
  const { draft, newest, change, saved, setProblem } = kept;

  const changeLesson = useCallback(
    (lesson: Lesson, step: string) => change({ ...draft, lesson }, step),
    [change, draft],
  );

  const last = useRef<Promise<void>>(Promise.resolve());

  /** Edits, one after the other; what follows from them by a rule the core works out, and the lesson is then saved like any other change. */
  const edit = useCallback(
    (edits: Edit[], step: string) => {
      const once = async () => {
        try {
          for (;;) {
            const asked = newest().lesson;
            const lesson = await edited(loaded.id, asked, edits);
            // What was typed while it was worked out is not lost: the edits are made anew on that.
            if (newest().lesson !== asked) continue;
            change({ ...newest(), lesson }, step);
            return;
          }
        } catch (error) {
          setProblem(error instanceof Problem ? error : new Problem(0, t("usePlan.notChanged"), String(error)));
        }
      };
      last.current = last.current.then(once);
      return last.current;
    },
    [change, loaded.id, newest, setProblem],
  );

  /** One press: the core works out the mended lesson, which is then saved like any other change. */
  const mend = useCallback(
    async (finding: string) => {
      try {
        const lesson = await api("post", "/api/lessons/{id}/mended", {
          params: { path: { id: loaded.id } },
          body: { version: saved.version, finding },
        });
        change({ ...newest(), lesson }, `mend ${finding} ${Date.now()}`);
      } catch (error) {
        setProblem(error instanceof Problem ? error : new Problem(0, t("usePlan.notMended"), String(error)));
      }
    },
    [change, loaded.id, newest, saved.version, setProblem],
  );

  return { ...kept, changeLesson, edit, mend };
}
