import { useCallback, useEffect, useRef, useState } from "react";
import { Problem } from "../api/client";
import { texts } from "../words/texts";

const t = texts("ui");

/** Typing into one field within this time is one step of undo. */
const ONE_STEP_MS = 900;

/** Where something is kept: as it is there now, and put there with the version that it was changed from. */
type Store<View, Draft> = { load: () => Promise<View>; save: (doc: Draft & { version: number }) => Promise<View> };

/** Sends what is wanted, one after the other, the newest only; remembers what was refused. */
function useSending<View extends { version: number }, Draft extends object>(
  store: Store<View, Draft>,
  loaded: View,
  onSaved: (view: View) => void,
) {
  const [saved, setSaved] = useState(loaded);
  const [problem, setProblem] = useState<Problem>();
  const [unsaved, setUnsaved] = useState(false);
  const heard = useRef({ store, onSaved });
  heard.current = { store, onSaved };
  const wanted = useRef<Draft | null>(null);
  const version = useRef(loaded.version);
  const sending = useRef(false);

  const flush = useCallback(async () => {
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
      setProblem(error instanceof Problem ? error : new Problem(0, t("useVersionedDraft.notSaved"), String(error)));
    } finally {
      sending.current = false;
      // What was changed while the refused one was on its way deserves its own answer.
      if (wanted.current) flush();
    }
  }, []);

  const send = useCallback(
    (doc: Draft) => {
      setUnsaved(true);
      wanted.current = doc;
      flush();
    },
    [flush],
  );

  /** What the other one saved, or nothing, and why, where it cannot be had. */
  const theirs = useCallback(async () => {
    try {
      const view = await heard.current.store.load();
      version.current = view.version;
      return view;
    } catch (error) {
      setProblem(error instanceof Problem ? error : new Problem(0, t("useVersionedDraft.notThere"), String(error)));
      return undefined;
    }
  }, []);

  const settle = useCallback((view: View) => {
    setSaved(view);
    setUnsaved(false);
    setProblem(undefined);
  }, []);

  useEffect(() => {
    const leaving = (e: BeforeUnloadEvent) => {
      if (unsaved) e.preventDefault();
    };
    window.addEventListener("beforeunload", leaving);
    return () => window.removeEventListener("beforeunload", leaving);
  }, [unsaved]);

  return { saved, problem, setProblem, unsaved, send, theirs, settle };
}

/**
 * Something kept on the server while it is changed in place. Every change goes there at once and comes back saved. What the server refuses stays on
 * the screen with its fields marked; what somebody else changed meanwhile is never overwritten unasked.
 *
 * @param store where it is kept
 * @param draftOf what of it can be changed, without its version
 * @param onSaved what else wants to know
 */
export function useVersionedDraft<View extends { version: number }, Draft extends object>(
  store: Store<View, Draft>,
  loaded: View,
  draftOf: (view: View) => Draft,
  onSaved: (view: View) => void,
) {
  const { saved, problem, setProblem, unsaved, send, theirs, settle } = useSending(store, loaded, onSaved);
  const [draft, setDraft] = useState(() => draftOf(loaded));
  const heard = useRef(draftOf);
  heard.current = draftOf;
  // Two changes may come before the page is drawn again: each begins from the one before.
  const now = useRef(draft);
  const [past, setPast] = useState<Draft[]>([]);
  const [future, setFuture] = useState<Draft[]>([]);
  const lastStep = useRef<{ key: string; at: number }>({ key: "", at: 0 });

  const put = useCallback(
    (next: Draft) => {
      now.current = next;
      setDraft(next);
      send(next);
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

  /** Shows what the other one saved; what was here is one undo away. */
  const takeTheirs = useCallback(async () => {
    const view = await theirs();
    if (!view) return;
    setPast((p) => [...p, draft]);
    now.current = heard.current(view);
    setDraft(now.current);
    settle(view);
  }, [draft, theirs, settle]);

  /** Saves what is on this screen over what the other one saved. */
  const keepMine = useCallback(async () => {
    if (await theirs()) put(draft);
  }, [draft, theirs, put]);

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
