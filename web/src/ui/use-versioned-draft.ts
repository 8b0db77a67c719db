import { useCallback, useEffect, useRef, useState } from "react";
import { Problem } from "../api/client";

/** Typing into one field within this time is one step of undo. */
const ONE_STEP_MS = 900;

/**
 * Something kept on the server while it is changed in place. Every change goes there at once and comes back saved. What the server refuses stays on
 * the screen with its fields marked; what somebody else changed meanwhile is never overwritten unasked.
 *
 * @param store where it is kept
 * @param draftOf what of it can be changed, without its version
 * @param onSaved what else wants to know
 */
export function useVersionedDraft<View extends { version: number }, Draft extends object>(
  store: { load: () => Promise<View>; save: (doc: Draft & { version: number }) => Promise<View> },
  loaded: View,
  draftOf: (view: View) => Draft,
  onSaved: (view: View) => void,
) {
  const [saved, setSaved] = useState(loaded);
  const [draft, setDraft] = useState(() => draftOf(loaded));
  const heard = useRef({ store, draftOf, onSaved });
  heard.current = { store, draftOf, onSaved };
  // Two changes may come before the page is drawn again: each begins from the one before.
  const now = useRef(draft);
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
        const view = await heard.current.store.save({ ...doc, version: version.current });
        version.current = view.version;
        heard.current.onSaved(view);
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
  }, []);

  const put = useCallback(
    (next: Draft) => {
      now.current = next;
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
      const at = Date.now();
      const same = step === lastStep.current.key && at - lastStep.current.at < ONE_STEP_MS;
      lastStep.current = { key: step, at };
      const before = now.current;
      if (!same) setPast((p) => [...p.slice(-99), before]);
      setFuture([]);
      put(next);
    },
    [put],
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

  /** What the other one saved, or nothing, and why, where it cannot be had. */
  const theirs = useCallback(async () => {
    try {
      const view = await heard.current.store.load();
      version.current = view.version;
      return view;
    } catch (error) {
      setProblem(error instanceof Problem ? error : new Problem(0, "Not there", String(error)));
      return undefined;
    }
  }, []);

  /** Shows what the other one saved; what was here is one undo away. */
  const takeTheirs = useCallback(async () => {
    const view = await theirs();
    if (!view) return;
    setPast((p) => [...p, draft]);
    setSaved(view);
    now.current = heard.current.draftOf(view);
    setDraft(now.current);
    setUnsaved(false);
    setProblem(undefined);
  }, [draft, theirs]);

  /** Saves what is on this screen over what the other one saved. */
  const keepMine = useCallback(async () => {
    if (await theirs()) put(draft);
  }, [draft, theirs, put]);

  useEffect(() => {
    const leaving = (e: BeforeUnloadEvent) => {
      if (unsaved) e.preventDefault();
    };
    window.addEventListener("beforeunload", leaving);
    return () => window.removeEventListener("beforeunload", leaving);
  }, [unsaved]);

  return {
    saved,
    draft,
    /** The draft as it is now, also before the page is drawn again. */
    newest: useCallback(() => now.current, []),
    problem,
    setProblem,
    unsaved,
    change,
    undo: past.length > 0 ? undo : undefined,
    redo: future.length > 0 ? redo : undefined,
    again: () => put(draft),
    takeTheirs,
    keepMine,
  };
}
