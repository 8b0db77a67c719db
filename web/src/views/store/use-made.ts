import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, Problem } from "../../api/client";

/** Makes a new thing of the store: the list behind it is asked anew, a refusal stays with the form. */
export function useMade<T>(path: string, queryKey: readonly unknown[], onSaved: (made: T) => void) {
  const client = useQueryClient();
  const [problem, setProblem] = useState<Problem>();
  const save = async (doc: unknown) => {
    try {
      const made = await api<T>("POST", path, doc);
      await client.invalidateQueries({ queryKey });
      onSaved(made);
    } catch (e) {
      setProblem(e instanceof Problem ? e : new Problem(0, "Not saved", String(e)));
    }
  };
  return { problem, save };
}
