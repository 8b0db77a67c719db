import { useCallback, useState } from "react";
import { Problem } from "../api/client";
import { texts } from "../words/texts";

const t = texts("ui");

/** Single changes of a list that is edited in place: each is saved at once and can be undone, the last one first. */
export function useUndo(refresh: () => Promise<unknown>) {
  const [past, setPast] = useState<(() => Promise<unknown>)[]>([]);
  const [problem, setProblem] = useState<Problem>();

  /** @param back what undoes it; null for what cannot be undone */
  const act = useCallback(
    async (change: () => Promise<unknown>, back: (() => Promise<unknown>) | null) => {
      try {
        await change();
        if (back) setPast((p) => [...p.slice(-49), back]);
        setProblem(undefined);
        return true;
      } catch (error) {
        setProblem(error instanceof Problem ? error : new Problem(0, t("useUndo.notSaved"), String(error)));
        return false;
      } finally {
        await refresh();
      }
    },
    [refresh],
  );

  const undo = useCallback(async () => {
    const last = past.at(-1);
    if (!last) return;
    setPast(past.slice(0, -1));
    await act(last, null);
  }, [past, act]);

  return { act, problem, undo: past.length > 0 ? undo : undefined };
}
