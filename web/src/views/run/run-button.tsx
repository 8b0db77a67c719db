import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, type Problem } from "../../api/client";
import { openRuns, run } from "../../api/queries";
import type { Run } from "../../api/types";
import { Sheet } from "../../ui/sheet";
import { texts } from "../../words/texts";

const t = texts("run");

/** Begins the run of a lesson, or goes on with the one that is open. */
export function RunButton({
  lessonId,
  disabled,
  small,
  stops = 0,
}: {
  lessonId: string;
  disabled?: boolean;
  small?: boolean;
  /** Findings that stop it: it can be run all the same, but not by accident. */
  stops?: number;
}) {
  const [asking, setAsking] = useState(false);
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
        onClick={() => (stops > 0 ? setAsking(true) : begin.mutate())}
      >
        {t("runButton.runIt")}
      </button>
      <Sheet title={t("runButton.runItAsIt")} open={asking} onOpenChange={setAsking}>
        <p>
          {stops === 1 ? "One finding stands" : `${stops} findings stand`} {t("runButton.againstThisLessonSomething")}
        </p>
        <p className="mt-4 flex flex-wrap gap-3">
          <button type="button" className="btn btn-main" onClick={() => setAsking(false)}>
            {t("runButton.lookAtThePlan")}
          </button>
          <button
            type="button"
            className="btn"
            onClick={() => {
              setAsking(false);
              begin.mutate();
            }}
          >
            {t("runButton.runItAllThe")}
          </button>
        </p>
      </Sheet>
      {begin.isError && (
        <span role="alert" className="text-sm font-semibold text-alert">
          {begin.error.errors[0] ? `${begin.error.errors[0].field} ${begin.error.errors[0].must}` : begin.error.detail}
        </span>
      )}
    </>
  );
}
