import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useRef } from "react";
import { type Answer, Problem } from "../../api/client";
import { type Reckoning, reckoning } from "../../api/queries";

type Reckoned<N extends Reckoning> = Answer<"post", `/api/reckon/${N}`>;

/**
 * What the core answers; while a new answer is on its way, and while a field is wrong, the last one stays.
 *
 * @param ask nothing where there is nothing to ask yet
 * @param values what the question was made of
 */
export function useReckon<N extends Reckoning, V>(
  name: N,
  ask: unknown,
  values: V,
): {
  answer: Reckoned<N> | undefined;
  problem: Problem | undefined;
  /** What a field of the question must be, if something is wrong with it. */
  must: (field: string) => string | undefined;
  /** The values that the answer on show belongs to: what is said mixes no new value with an old answer. */
  of: V;
} {
  const query = useQuery({ ...reckoning(name, ask), placeholderData: keepPreviousData, enabled: ask !== undefined });
  const last = useRef<Reckoned<N>>(undefined);
  const answered = useRef(values);
  const data = query.data as Reckoned<N> | undefined;
  if (data !== undefined) last.current = data;
  if (query.isSuccess && !query.isPlaceholderData) answered.current = values;
  const problem = query.error instanceof Problem ? query.error : undefined;
  return {
    answer: ask === undefined ? undefined : (data ?? last.current),
    problem,
    must: (field: string) => problem?.must(field),
    of: answered.current,
  };
}
