import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useRef } from "react";
import { Problem } from "../../api/client";
import { reckoning } from "../../api/queries";

/** What the core answers; while a new answer is on its way, and while a field is wrong, the last one stays. */
export function useReckon<A>(name: string, ask: unknown) {
  const query = useQuery({ ...reckoning<A>(name, ask), placeholderData: keepPreviousData });
  const last = useRef<A>(undefined);
  if (query.data !== undefined) last.current = query.data;
  const problem = query.error instanceof Problem ? query.error : undefined;
  return {
    answer: query.data ?? last.current,
    problem,
    /** What a field of the question must be, if something is wrong with it. */
    must: (field: string) => problem?.must(field),
    settled: !query.isFetching,
  };
}

/** The values that the answer on show belongs to: what is said mixes no new value with an old answer. */
export function useAnswered<V>(values: V, settled: boolean): V {
  const answered = useRef(values);
  if (settled) answered.current = values;
  return answered.current;
}
