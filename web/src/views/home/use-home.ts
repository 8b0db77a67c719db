import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api, type Problem } from "../../api/client";
import { home } from "../../api/queries";

/** Sends a change of a class's home practice and looks anew; records follow where something was kept. */
export function useHome<Sent, Answer>(classId: string, path: (sent: Sent) => string, body: (sent: Sent) => unknown) {
  const client = useQueryClient();
  return useMutation<Answer, Problem, Sent>({
    mutationFn: (sent) => api<Answer>("POST", path(sent), body(sent)),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: home(classId).queryKey });
      client.invalidateQueries({ queryKey: ["record"] });
    },
  });
}
