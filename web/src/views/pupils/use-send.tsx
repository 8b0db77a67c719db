import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Problem } from "../../api/client";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";

const t = textsOf("pupils", saidPupils);

/** Sends a change of the record and reads the record anew; what is refused is kept to be shown. */
export function useSend() {
  const client = useQueryClient();
  const [problem, setProblem] = useState<Problem>();
  const send = async (ask: () => Promise<unknown>): Promise<boolean> => {
    try {
      await ask();
      setProblem(undefined);
      await client.invalidateQueries({ queryKey: ["record"] });
      return true;
    } catch (e) {
      setProblem(e instanceof Problem ? e : new Problem(0, t("useSend.notSaved"), String(e)));
      return false;
    }
  };
  return { send, problem };
}

/** What was refused, unless a field of the sheet shows it already. */
export function Refused({ problem, shown = [] }: { problem: Problem | undefined; shown?: string[] }) {
  if (!problem || shown.some((field) => problem.must(field))) return null;
  return (
    <p role="alert" className="mt-3 font-semibold text-alert">
      {problem.title}. {problem.detail}
    </p>
  );
}
