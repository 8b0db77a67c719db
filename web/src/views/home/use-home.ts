import { useMutation, useQueryClient } from "@tanstack/react-query";
import type { Problem } from "../../api/client";
import { home } from "../../api/queries";

/** Sends a change of a class's home practice and looks anew; records follow where something was kept. */
export function useHome<Sent, Answer>(classId: string, send: (sent: Sent) => Promise<Answer>) {
  const client = useQueryClient();
  return useMutation<Answer, Problem, Sent>({
    mutationFn: send,
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: home(classId).queryKey });
      client.invalidateQueries({ queryKey: ["record"] });
    },
  });
}
