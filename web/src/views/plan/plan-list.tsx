import { useQuery } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link } from "react-router";
import { lessons, spaces } from "../../api/queries";
import type { LessonDoc, LessonLine, SchoolClass, Space } from "../../api/types";
import { useChosenClass } from "../../chosen-class";
import { localDay } from "../../local-day";
import { Choice } from "../../ui/choice";
import { DayField } from "../../ui/day-field";
import { Labelled, NumberField } from "../../ui/fields";
import { Sheet } from "../../ui/sheet";
import { Empty, Failed, Loading } from "../../ui/states";
import { day } from "../../words";
import { texts } from "../../words/texts";
import { Gone, LessonMore } from "./lesson-more";
import { inOrder } from "./lesson-order";
import { emptyLesson, USUAL_MINUTES, useMakeLesson } from "./make-lesson";

const t = texts("plan");

/** The lessons of the class in hand: what comes, what was, and a new one. */
export function PlanList() {
  const { chosen } = useChosenClass();
  const all = useQuery({ ...lessons(chosen?.id ?? ""), enabled: !!chosen });
  const rooms = useQuery(spaces);
  const [making, setMaking] = useState(false);
  const [handled, setHandled] = useState<LessonLine>();
  const [gone, setGone] = useState<LessonLine>();
  if (!chosen)
    return (
      <Empty title={t("lessons.noClass")}>
        <p>{t("lessons.noClassWhy")}</p>
        <Link className="btn btn-main" to="/begin">
          {t("lessons.makeClass")}
        </Link>
      </Empty>
    );
  if (all.isPending || rooms.isPending) return <Loading what={t("lessons.loading")} />;
  if (all.isLoadingError) return <Failed error={all.error} again={() => all.refetch()} />;
  if (rooms.isLoadingError) return <Failed error={rooms.error} again={() => rooms.refetch()} />;
  const { coming, before } = inOrder(all.data);
  const lines = (some: LessonLine[]) => (
    <Lines lessons={some} nextId={coming[0]?.id} onMore={chosen.mayChange ? setHandled : undefined} />
  );
  return (
    <>
      <div className="flex flex-wrap items-center gap-4">
        <h1 className="mr-auto">{t("lessons.of", { name: chosen.name })}</h1>
        {chosen.mayChange && (
          <button
            type="button"
            className="btn btn-main"
            onClick={() => setMaking(true)}
            disabled={rooms.data.length === 0}
          >
            {t("lessons.plan")}
          </button>
        )}
      </div>
      {gone && <Gone lesson={gone} onBack={() => setGone(undefined)} />}
      {rooms.data.length === 0 && (
        <p className="mt-3">
          {t("lessons.needsRoom")} <Link to="/store">{t("lessons.enterSpace")}</Link>
        </p>
      )}
      {all.data.length === 0 ? (
        <Empty title={t("lessons.none")}>
          <p>{t("lessons.noneWhy")}</p>
        </Empty>
      ) : (
        <>
          <h2 className="mt-6 mb-1">{t("lessons.coming")}</h2>
          {coming.length === 0 ? <p className="text-soft">{t("lessons.nothingComing")}</p> : lines(coming)}
          {before.length > 0 && <h2 className="mt-8 mb-1">{t("lessons.before")}</h2>}
          {before.length > 0 && lines(before)}
        </>
      )}
      <Sheet title={t("lessons.new")} open={making} onOpenChange={setMaking}>
        <NewLesson schoolClass={chosen} rooms={rooms.data} last={all.data.at(-1)} />
      </Sheet>
      <Sheet title={handled?.name ?? ""} open={!!handled} onOpenChange={(open) => !open && setHandled(undefined)}>
        {handled && (
          <LessonMore
            key={handled.id}
            lesson={handled}
            onDone={() => setHandled(undefined)}
            onGone={() => {
              setGone(handled);
              setHandled(undefined);
            }}
          />
        )}
      </Sheet>
    </>
  );
}

function Lines({
  lessons: some,
  nextId,
  onMore,
}: {
  lessons: LessonLine[];
  nextId: string | undefined;
  onMore?: (lesson: LessonLine) => void;
}) {
  return (
    <ul className="divide-y divide-rule border-y-2 border-ink">
      {some.map((l) => (
        <li key={l.id} className="flex flex-wrap items-baseline gap-x-4 gap-y-1 py-2.5">
          <span className="clock w-28 text-soft">{day(l.onDay)}</span>
          <Link to={`/plan/${l.id}`} className="font-semibold">
            {l.name}
          </Link>
          <span className="mr-auto text-soft">
            {l.id === nextId && <strong className="text-ink">{t("lessons.next")}</strong>}
            {l.taughtOn &&
              (l.taughtOn === l.onDay ? t("lessons.taught") : t("lessons.taughtOn", { day: day(l.taughtOn) }))}
            {!l.taughtOn && l.onDay < localDay() && t("lessons.notTaught")}
          </span>
          <span className="text-soft">
            {t("lessons.line", { space: l.spaceName, minutes: l.minutes, blocks: l.blocks })}
          </span>
          {onMore && (
            <button
              type="button"
              className="underline"
              aria-label={t("lessons.moreOf", { name: l.name })}
              onClick={() => onMore(l)}
            >
              {t("lessons.more")}
            </button>
          )}
          {l.afterNote && <span className="basis-full pl-0 text-[0.95rem] text-soft sm:pl-32">{l.afterNote}</span>}
        </li>
      ))}
    </ul>
  );
}

function NewLesson({
  schoolClass,
  rooms,
  last,
}: {
  schoolClass: SchoolClass;
  rooms: Space[];
  /** the latest of the class: where, when and how long it usually is */
  last: LessonLine | undefined;
}) {
  const [doc, setDoc] = useState<LessonDoc>({
    version: null,
    classId: schoolClass.id,
    spaceId: (rooms.find((r) => r.name === last?.spaceName) ?? rooms[0])?.id ?? "",
    name: "",
    onDay: localDay(),
    lesson: { ...emptyLesson(last?.minutes ?? USUAL_MINUTES), startMin: last?.startMin ?? null },
  });
  const make = useMakeLesson();
  const must = (field: string) => make.error?.must(field);
  const send = (e: FormEvent) => {
    e.preventDefault();
    make.mutate(doc);
  };
  return (
    <form onSubmit={send} className="space-y-4">
      <Labelled label={t("lessons.name")} must={must("name")}>
        {(ids) => (
          <input
            {...ids}
            className="field"
            value={doc.name}
            onChange={(e) => setDoc({ ...doc, name: e.target.value })}
          />
        )}
      </Labelled>
      <Labelled label={t("lessons.day")} must={must("onDay")}>
        {(ids) => (
          <DayField
            id={ids.id}
            label={t("lessons.day")}
            invalid={ids["aria-invalid"]}
            describedBy={ids["aria-describedby"]}
            value={doc.onDay}
            onChange={(onDay) => setDoc({ ...doc, onDay })}
          />
        )}
      </Labelled>
      <p className="flex flex-wrap items-center gap-2">
        <NumberField
          label={t("lessons.minutes")}
          value={doc.lesson.minutes}
          must={must("lesson.minutes")}
          onChange={(minutes) => setDoc({ ...doc, lesson: { ...doc.lesson, minutes: minutes as number } })}
        />
        <span>{t("lessons.minutesIn")}</span>
        <Choice
          label={t("lessons.space")}
          value={doc.spaceId}
          options={rooms.map((r) => ({ value: r.id, text: r.name }))}
          onChange={(spaceId) => setDoc({ ...doc, spaceId })}
        />
        <span>{t("lessons.for")}</span>
        <Choice
          label={t("lessons.forWhom")}
          value={doc.lesson.audience}
          options={[
            { value: "CLASS", text: schoolClass.name },
            { value: "EACH_AT_HOME", text: t("lessons.eachAtHome") },
          ]}
          onChange={(audience) => setDoc({ ...doc, lesson: { ...doc.lesson, audience } })}
        />
      </p>
      {make.isError && make.error.errors.length === 0 && <Failed error={make.error} />}
      <button type="submit" className="btn btn-main" disabled={make.isPending}>
        {t("lessons.planIt")}
      </button>
    </form>
  );
}
