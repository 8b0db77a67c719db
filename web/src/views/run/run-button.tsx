import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { api, type Problem } from "../../api/client";
import { openRuns, run } from "../../api/queries";
import type { Run } from "../../api/types";

/** Begins the run of a lesson, or goes on with the one that is open. */
export function RunButton({ lessonId, disabled, small }: { lessonId: string; disabled?: boolean; small?: boolean }) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const begin = useMutation<Run, Problem>({
    mutationFn: () => api<Run>("POST", "/runs", { lessonId }),
    onSuccess: (begun) => {
      client.setQueryData(run(begun.id).queryKey, begun);
      client.invalidateQueries({ queryKey: openRuns.queryKey });
      navigate(`/run/${begun.id}`);
    },
  });
  return (
    <>
      <button
        type="button"
        className={`btn btn-main ${small ? "btn-small" : ""}`}
        disabled={disabled || begin.isPending}
        onClick={() => begin.mutate()}
      >
        Run it
      </button>
      {begin.isError && (
        <span role="alert" className="text-sm font-semibold text-alert">
          {begin.error.errors[0] ? `${begin.error.errors[0].field} ${begin.error.errors[0].must}` : begin.error.detail}
        </span>
      )}
    </>
  );
}
