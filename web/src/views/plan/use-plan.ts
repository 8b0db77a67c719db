import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";
import { api, Problem } from "../../api/client";
import { lesson as lessonQuery } from "../../api/queries";
import type { Lesson, LessonDoc, LessonView } from "../../api/types";

export type Draft = Omit<LessonDoc, "version">;

/** Typing into one field within this time is one step of undo. */
const ONE_STEP_MS = 900;

export function draftOf(v: LessonView): Draft {
  return { classId: v.classId, spaceId: v.spaceId, name: v.name, onDay: v.onDay, lesson: v.lesson };
}

/**
 * A lesson being changed. Every change goes to the server at once, is worked out there, and comes back saved. What the server
 * refuses stays on the screen with its fields marked; what somebody else changed meanwhile is never overwritten unasked.
 */
export function usePlan(loaded: LessonView) {
  const client = useQueryClient();
  const [saved, setSaved] = useState(loaded);
  const [draft, setDraft] = useState(() => draftOf(loaded));
  const [past, setPast] = useState<Draft[]>([]);
  const [future, setFuture] = useState<Draft[]>([]);
  const [problem, setProblem] = useState<Problem>();
  const [unsaved, setUnsaved] = useState(false);
  const wanted = useRef<Draft | null>(null);
  const version = useRef(loaded.version);
  const sending = useRef(false);
  const lastStep = useRef<{ key: string; at: number }>({ key: "", at: 0 });

  const send = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    try {
      while (wanted.current) {
        const doc = wanted.current;
        wanted.current = null;
        const view = await api<LessonView>("PUT", `/lessons/${loaded.id}`, { ...doc, version: version.current });
        version.current = view.version;
        client.setQueryData(lessonQuery(loaded.id).queryKey, view);
        client.invalidateQueries({ queryKey: ["lessons"] });
        setSaved(view);
        if (!wanted.current) {
          setUnsaved(false);
          setProblem(undefined);
        }
      }
    } catch (error) {
      setProblem(error instanceof Problem ? error : new Problem(0, "Not saved", String(error)));
    } finally {
      sending.current = false;
      // What was changed while the refused one was on its way deserves its own answer.
      if (wanted.current) send();
    }
  }, [client, loaded.id]);

  const put = useCallback(
    (next: Draft) => {
      setDraft(next);
      setUnsaved(true);
      wanted.current = next;
      send();
    },
    [send],
  );

  /** @param step changes of the same step soon after one another are undone together */
  const change = useCallback(
    (next: Draft, step: string) => {
      const now = Date.now();
      const same = step === lastStep.current.key && now - lastStep.current.at < ONE_STEP_MS;
      lastStep.current = { key: step, at: now };
      if (!same) setPast((p) => [...p.slice(-99), draft]);
      setFuture([]);
      put(next);
    },
    [draft, put],
  );

  const undo = useCallback(() => {
    const before = past.at(-1);
    if (!before) return;
    setPast(past.slice(0, -1));
    setFuture([draft, ...future]);
    lastStep.current = { key: "", at: 0 };
    put(before);
  }, [past, future, draft, put]);

  const redo = useCallback(() => {
    const after = future[0];
    if (!after) return;
    setFuture(future.slice(1));
    setPast([...past, draft]);
    put(after);
  }, [past, future, draft, put]);

  /** Shows what the other one saved; what was here is one undo away. */
  const takeTheirs = useCallback(async () => {
    const theirs = await api<LessonView>("GET", `/lessons/${loaded.id}`);
    version.current = theirs.version;
    setPast((p) => [...p, draft]);
    setSaved(theirs);
    setDraft(draftOf(theirs));
    setUnsaved(false);
    setProblem(undefined);
  }, [draft, loaded.id]);

  /** Saves what is on this screen over what the other one saved. */
  const keepMine = useCallback(async () => {
    const theirs = await api<LessonView>("GET", `/lessons/${loaded.id}`);
    version.current = theirs.version;
    put(draft);
  }, [draft, loaded.id, put]);

  useEffect(() => {
    const leaving = (e: BeforeUnloadEvent) => {
      if (unsaved) e.preventDefault();
    };
    window.addEventListener("beforeunload", leaving);
    return () => window.removeEventListener("beforeunload", leaving);
  }, [unsaved]);

  const changeLesson = useCallback(
    (lesson: Lesson, step: string) => change({ ...draft, lesson }, step),
    [change, draft],
  );

  return {
    saved,
    draft,
    problem,
    unsaved,
    change,
    changeLesson,
    undo: past.length > 0 ? undo : undefined,
    redo: future.length > 0 ? redo : undefined,
    again: () => put(draft),
    takeTheirs,
    keepMine,
  };
}
