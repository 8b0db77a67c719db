import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { lessons, openRuns } from "../../api/queries";
import type { LessonLine } from "../../api/types";
import { useChosenClass } from "../../chosen-class";
import { Empty, Failed, Loading } from "../../ui/states";
import { day } from "../../words";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { inOrder } from "../plan/lesson-order";
import { RunButton } from "./run-button";

const t = textsOf("run", saidRun);

/** Which lesson to run. */
export function RunStart() {
  const { chosen } = useChosenClass();
  const runs = useQuery(openRuns);
  const all = useQuery({ ...lessons(chosen?.id ?? ""), enabled: !!chosen });
  if (!chosen)
    return (
      <Empty title={t("runStart.noClassYet")}>
        <p>{t("runStart.aRunNeedsA")}</p>
        <Link className="btn btn-main" to="/store">
          {t("runStart.makeTheFirstClass")}
        </Link>
      </Empty>
    );
  if (all.isPending || runs.isPending) return <Loading what={t("runStart.lessons")} />;
  if (all.isLoadingError) return <Failed error={all.error} again={() => all.refetch()} />;
  const { coming, before } = inOrder(all.data.filter((l) => l.audience === "CLASS"));
  return (
    <>
      <h1>{t("runStart.runALessonWith", { name: chosen.name })}</h1>
      {runs.data && runs.data.length > 0 && (
        <ul className="mt-4 space-y-2">
          {runs.data.map((r) => (
            <li key={r.id} className="flex flex-wrap items-center gap-4 border-l-8 border-catch bg-tint p-3">
              <span className="mr-auto">
                <strong>{r.lessonName}</strong> {t("runStart.withIsRunning", { className: r.className })}
              </span>
              <Link className="btn btn-main btn-small" to={`/run/${r.id}`}>
                {t("runStart.goOnWithIt")}
              </Link>
            </li>
          ))}
        </ul>
      )}
      {coming.length + before.length === 0 ? (
        <Empty title={t("runStart.noLessonYet")}>
          <p>{t("runStart.planOneFirst")}</p>
          <Link className="btn btn-main" to="/plan">
            {t("runStart.planALesson")}
          </Link>
        </Empty>
      ) : (
        <>
          {coming.length === 0 ? (
            <p className="mt-5 flex flex-wrap items-center gap-4 border-y-2 border-ink py-3">
              {t("runStart.nothingAhead")}
              <Link className="btn btn-main btn-small" to="/plan">
                {t("runStart.planALesson")}
              </Link>
            </p>
          ) : (
            <Lines lessons={coming} as={(i) => (i === 0 ? "next" : "later")} />
          )}
          {before.length > 0 && (
            <details className="mt-5" open={coming.length === 0}>
              <summary className="cursor-pointer font-semibold">
                {t("runStart.before", { count: before.length })}
              </summary>
              <Lines lessons={before} as={() => "again"} />
            </details>
          )}
        </>
      )}
    </>
  );
}

function Lines({ lessons: all, as }: { lessons: LessonLine[]; as: (i: number) => "next" | "later" | "again" }) {
  return (
    <ul className="mt-5 divide-y divide-rule border-y-2 border-ink">
      {all.map((l, i) => (
        <li key={l.id} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
          <span className="clock w-28 text-soft">{day(l.onDay)}</span>
          <Link to={`/plan/${l.id}`} className="mr-auto font-semibold">
            {l.name}
          </Link>
          <span className="text-soft">{t("runStart.min", { spaceName: l.spaceName, minutes: l.minutes })}</span>
          <RunButton lessonId={l.id} small as={as(i)} />
        </li>
      ))}
    </ul>
  );
}
