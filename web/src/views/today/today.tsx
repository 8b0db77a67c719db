import { useQuery } from "@tanstack/react-query";
import { Link, Navigate } from "react-router";
import { classRecord, handedToday, homeWaiting, ladders, lesson, lessons, openRuns } from "../../api/queries";
import type { ClassRecord, Ladder, LessonLine, Who } from "../../api/types";
import { useChosenClass } from "../../chosen-class";
import { Lane } from "../../lane/lane";
import { laneBlocks } from "../../lane/lane-blocks";
import { FamilyGlyph } from "../../ui/marble";
import { Empty, Failed, Loading } from "../../ui/states";
import { bell, clock, day } from "../../words";
import { texts } from "../../words/texts";
import { inOrder } from "../plan/lesson-order";
import { PlanNext } from "../plan/plan-next";
import { completed } from "../pupils/found-in";
import { RunButton } from "../run/run-button";

const t = texts("today");

/** The next lesson and what changed since the last one; one button to go on with. */
export function Today({ who }: { who: Who }) {
  const { chosen } = useChosenClass();
  const runs = useQuery(openRuns);
  const handed = useQuery(handedToday);
  // What was handed over stands above the rest: coming later it would push a button from under the finger.
  if (handed.isPending) return <Loading what={t("theNext")} />;
  if (!chosen && handed.data?.length) return <Handed lessons={handed.data} />;
  if (!chosen && !who.teaches)
    return (
      <Empty title={t("noClass")}>
        <p>{t("helperWaits")}</p>
      </Empty>
    );
  // Somebody who has pressed on already, and waits for that page, is not brought back.
  if (!chosen) return window.location.pathname === "/" ? <Navigate to="/begin" replace /> : null;
  if (runs.isPending) return <Loading what={t("theNext")} />;
  return (
    <div className="space-y-9">
      {runs.data?.map((r) => (
        <p key={r.id} className="flex flex-wrap items-center gap-4 border-l-8 border-catch bg-tint p-4">
          <span>
            <strong>{r.lessonName}</strong> {t("isRunning", { name: r.className })}
          </span>
          <Link className="btn btn-main" to={`/run/${r.id}`}>
            {t("goOn")}
          </Link>
        </p>
      ))}
      <Handed lessons={handed.data ?? []} />
      <NextLesson classId={chosen.id} mayChange={chosen.mayChange} />
      {chosen.mayChange && <FromHome classId={chosen.id} />}
      {chosen.mayChange && <Ready classId={chosen.id} />}
      {chosen.mayChange && <LastTime classId={chosen.id} />}
    </div>
  );
}

/** What somebody else's class is given today. */
function Handed({ lessons: some }: { lessons: LessonLine[] }) {
  if (some.length === 0) return null;
  return (
    <section aria-labelledby="handed">
      <h2 id="handed">{t("handed")}</h2>
      <ul className="mt-1 divide-y divide-rule border-y border-rule">
        {some.map((l) => (
          <li key={l.id} className="flex flex-wrap items-center gap-x-4 gap-y-2 py-2">
            <span className="mr-auto">
              <strong>{l.name}</strong>{" "}
              <span className="text-soft">
                {t("handedLine", { className: l.className, space: l.spaceName, minutes: l.minutes })}
              </span>
            </span>
            <Link className="btn" to={`/plan/${l.id}`}>
              {t("openPlan")}
            </Link>
            <RunButton lessonId={l.id} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function NextLesson({ classId, mayChange }: { classId: string; mayChange: boolean }) {
  const all = useQuery(lessons(classId));
  if (all.isPending) return <Loading what={t("theNext")} />;
  if (all.isLoadingError) return <Failed error={all.error} again={() => all.refetch()} />;
  const [next] = inOrder(all.data).coming;
  if (!next)
    return (
      <Empty title={t("nothingPlanned")}>
        <p>{t("toPlan")}</p>
        <p className="flex flex-wrap gap-3">
          <Link className="btn btn-main" to="/plan">
            {t("plan")}
          </Link>
        </p>
        {mayChange && <PlanNext classId={classId} />}
      </Empty>
    );
  return (
    <div className="space-y-4">
      <Ahead line={next} mayChange={mayChange} />
      {mayChange && <PlanNext classId={classId} />}
    </div>
  );
}

function Ahead({ line, mayChange }: { line: LessonLine; mayChange: boolean }) {
  const one = useQuery(lesson(line.id));
  const catalogue = useQuery(ladders);
  return (
    <section aria-labelledby="next">
      <p className="text-soft">{t("next", { day: day(line.onDay), space: line.spaceName, minutes: line.minutes })}</p>
      <div className="mt-1 mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 id="next" className="mr-auto">
          {line.name}
        </h1>
        <Link className="btn" to={`/plan/${line.id}`}>
          {t("openPlan")}
        </Link>
        {/* What a press does is known with the line: a button that came later would come under the finger. */}
        {line.audience === "EACH_AT_HOME" && mayChange && (
          <Link className="btn btn-main" to={`/home?lesson=${line.id}`}>
            {t("sendHome")}
          </Link>
        )}
        {line.audience === "CLASS" && <RunButton lessonId={line.id} />}
      </div>
      {one.data && catalogue.data && (
        <>
          <p className="mb-2">
            <strong className="clock">{clock(one.data.plan.totalSec)}</strong>, {bell(one.data.plan)}.{" "}
            {one.data.plan.quietSecPerPupil > 0
              ? t("movingAndQuiet", {
                  moving: clock(one.data.plan.movingSecPerPupil),
                  quiet: clock(one.data.plan.quietSecPerPupil),
                })
              : t("moving", { moving: clock(one.data.plan.movingSecPerPupil) })}
          </p>
          <Lane
            blocks={laneBlocks(one.data.lesson, one.data.plan, catalogue.data)}
            totalSec={one.data.plan.totalSec}
            bellSec={one.data.plan.bellSec}
          />
        </>
      )}
    </section>
  );
}

/** What came back and waits; nothing where nothing does. */
function FromHome({ classId }: { classId: string }) {
  const { data } = useQuery(homeWaiting(classId));
  if (!data?.waiting) return null;
  return (
    <p className="flex flex-wrap items-center gap-4 border-l-8 border-catch bg-tint p-4">
      <span>{t("fromHome", { n: data.waiting })}</span>
      <Link className="btn" to="/home">
        {t("toHome")}
      </Link>
    </p>
  );
}

/** Who is ready, and who needs something else: three questions that have an answer today. */
function Ready({ classId }: { classId: string }) {
  const { data } = useQuery(classRecord(classId));
  const found = TODAYS.map((question) => ({
    question,
    pupils: new Set(data?.found.filter((f) => f.question === question).map((f) => f.pupilId)).size,
  })).filter((q) => q.pupils > 0);
  if (found.length === 0) return null;
  return (
    <section aria-labelledby="ready">
      <h2 id="ready">{t("ready.title")}</h2>
      <ul className="mt-2 flex flex-wrap gap-x-8 gap-y-1">
        {found.map(({ question, pupils }) => (
          <li key={question}>
            <Link to={`/pupils?question=${question}`}>{t(`ready.${question}`, { n: pupils })}</Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

const TODAYS = ["READY_TO_GO_UP", "BETTER_A_RUNG_BACK", "OTHER_SIDE_BEHIND", "NOT_SEEN"] as const;

function LastTime({ classId }: { classId: string }) {
  const record = useQuery(classRecord(classId));
  const catalogue = useQuery(ladders);
  if (record.isPending || catalogue.isPending) return <Loading what={t("theLast")} />;
  if (record.isLoadingError) return <Failed error={record.error} again={() => record.refetch()} />;
  if (catalogue.isLoadingError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  const lastDay = record.data.lastAtSchool;
  if (!lastDay) return null;
  return (
    <section aria-labelledby="last">
      <h2 id="last">{t("lastTime", { day: day(lastDay) })}</h2>
      <Completed record={record.data} lastDay={lastDay} catalogue={catalogue.data} />
      <Link to="/pupils" className="mt-4 inline-block font-semibold">
        {t("whereAllStand")}
      </Link>
    </section>
  );
}

function Completed({ record, lastDay, catalogue }: { record: ClassRecord; lastDay: string; catalogue: Ladder[] }) {
  const done = completed(record).filter((c) => c.completedOn === lastDay);
  const byRung = catalogue.flatMap((l) =>
    l.rungs.map((r) => ({
      ladder: l,
      rung: r,
      names: record.pupils
        .filter((p) => done.some((c) => c.pupilId === p.pupilId && c.ladderId === l.id && c.rungId === r.id))
        .map((p) => p.name),
    })),
  );
  const lines = byRung.filter((l) => l.names.length > 0);
  if (lines.length === 0) return <p className="mt-2 text-soft">{t("nobody")}</p>;
  return (
    <ul className="mt-2 divide-y divide-rule border-y border-rule">
      {lines.map(({ ladder, rung, names }) => (
        <li key={ladder.id + rung.id} className="flex items-start gap-3 py-2">
          <FamilyGlyph family={ladder.family} />
          <span>
            <strong>{ladder.name}</strong>, {rung.name.toLowerCase()}
            <span className="block text-soft">
              {t("completedBy", { count: names.length, names: names.join(", ") })}
            </span>
          </span>
        </li>
      ))}
    </ul>
  );
}
