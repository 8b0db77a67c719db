import { useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { Problem } from "../../api/client";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";

const t = textsOf("store", saidStore);

/** Makes a new thing of the store: the list behind it is asked anew, a refusal stays with the form. */
export function useMade<D, T>(make: (doc: D) => Promise<T>, queryKey: readonly unknown[], onSaved: (made: T) => void) {
  const client = useQueryClient();
  const [problem, setProblem] = useState<Problem>();
  const making = useRef(false);
  const save = async (doc: D) => {
    // A second press while the first is on its way would make a second one.
    if (making.current) return;
    making.current = true;
    try {
      const made = await make(doc);
      setProblem(undefined);
      await client.invalidateQueries({ queryKey });
      onSaved(made);
    } catch (e) {
      setProblem(e instanceof Problem ? e : new Problem(0, t("useMade.notSaved"), String(e)));
    } finally {
      making.current = false;
    }
  };
  return { problem, save };
}
