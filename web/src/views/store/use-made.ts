import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Problem } from "../../api/client";

/** Makes a new thing of the store: the list behind it is asked anew, a refusal stays with the form. */
export function useMade<D, T>(make: (doc: D) => Promise<T>, queryKey: readonly unknown[], onSaved: (made: T) => void) {
  const client = useQueryClient();
  const [problem, setProblem] = useState<Problem>();
  const save = async (doc: D) => {
    try {
      const made = await make(doc);
      await client.invalidateQueries({ queryKey });
      onSaved(made);
    } catch (e) {
      setProblem(e instanceof Problem ? e : new Problem(0, "Not saved", String(e)));
    }
  };
  return { problem, save };
}
