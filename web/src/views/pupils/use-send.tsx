import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, Problem } from "../../api/client";

/** Sends a change of the record and reads the record anew; what is refused is kept to be shown. */
export function useSend() {
  const client = useQueryClient();
  const [problem, setProblem] = useState<Problem>();
  const send = async (method: "POST" | "PUT", path: string, body?: unknown): Promise<boolean> => {
    try {
      await api(method, path, body);
      setProblem(undefined);
      await client.invalidateQueries({ queryKey: ["record"] });
      return true;
    } catch (e) {
      setProblem(e instanceof Problem ? e : new Problem(0, "Not saved", String(e)));
      return false;
    }
  };
  return { send, problem };
}

/** What was refused, field by field in the words of the screen. */
export function Refused({ problem, fields }: { problem: Problem | undefined; fields: Record<string, string> }) {
  if (!problem) return null;
  const named = Object.keys(fields).filter((f) => problem.must(f));
  return (
    <div role="alert" className="mt-3 font-semibold text-alert">
      {named.length === 0 ? (
        <p>
          {problem.title}. {problem.detail}
        </p>
      ) : (
        named.map((f) => (
          <p key={f}>
            {fields[f]} {problem.must(f)}.
          </p>
        ))
      )}
    </div>
  );
}
