import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useLocation, useNavigate } from "react-router";
import { api, type Problem } from "../../api/client";
import { lesson, openRuns, run } from "../../api/queries";
import type { Run } from "../../api/types";
import { Sheet } from "../../ui/sheet";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { stopsOf } from "../plan/stops-of";

const t = textsOf("run", saidRun);

/** Begins the run of a lesson, or goes on with the one that is open. What findings stop can be run too, but not by accident. */
export function RunButton({
  lessonId,
  disabled,
  small,
  as = "next",
}: {
  lessonId: string;
  disabled?: boolean;
  small?: boolean;
  /** the one that is next, one of several, or one that was there before */
  as?: "next" | "later" | "again";
}) {
  const [stops, setStops] = useState(0);
  const navigate = useNavigate();
  const plan = `/plan/${lessonId}`;
  const atPlan = useLocation().pathname === plan;
  const client = useQueryClient();
  const begin = useMutation<Run | null, Problem, { allTheSame: boolean }>({
    mutationFn: async ({ allTheSame }) => {
      const found = allTheSame ? 0 : stopsOf(await client.fetchQuery(lesson(lessonId)));
      if (found === 0) return api("post", "/api/runs", { body: { lessonId } });
      setStops(found);
      return null;
    },
    onSuccess: (begun) => {
      if (!begun) return;
      client.setQueryData(run(begun.id).queryKey, begun);
      client.invalidateQueries({ queryKey: openRuns.queryKey });
      navigate(`/run/${begun.id}`);
    },
  });
  return (
    <>
      <button
        type="button"
        className={`btn ${as === "next" ? "btn-main" : ""} ${small ? "btn-small" : ""}`}
        disabled={disabled || begin.isPending}
        onClick={() => begin.mutate({ allTheSame: false })}
      >
        {t(as === "again" ? "runButton.runItAgain" : "runButton.runIt")}
      </button>
      <Sheet title={t("runButton.runItAsIt")} open={stops > 0} onOpenChange={(open) => !open && setStops(0)}>
        <p>{t("runButton.againstThisLessonSomething", { n: stops })}</p>
        <p className="mt-4 flex flex-wrap gap-3">
          {atPlan ? (
            <button type="button" className="btn btn-main" onClick={() => setStops(0)}>
              {t("runButton.lookAtThePlan")}
            </button>
          ) : (
            <Link className="btn btn-main" to={plan}>
              {t("runButton.lookAtThePlan")}
            </Link>
          )}
          <button
            type="button"
            className="btn"
            onClick={() => {
              setStops(0);
              begin.mutate({ allTheSame: true });
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
