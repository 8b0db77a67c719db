import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Problem } from "../../api/client";
import type { LessonLine } from "../../api/types";
import { useChosenClass } from "../../chosen-class";
import { daysBetween, plusDays } from "../../local-day";
import { Choice } from "../../ui/choice";
import { DayField } from "../../ui/day-field";
import { NumberField } from "../../ui/fields";
import { Failed } from "../../ui/states";
import { day } from "../../words";
import { texts } from "../../words/texts";
import { HandOverLesson } from "./hand-over";
import { Part } from "./lesson-part";

const t = texts("plan");

/** What can be done with a whole lesson: copied once or every week, moved with all later ones, handed over, deleted. */
export function LessonMore(props: { lesson: LessonLine; onDone: () => void; onGone: () => void }) {
  return (
    <div className="space-y-6">
      <CopyLesson {...props} />
      <MoveLesson {...props} />
      {props.lesson.audience === "CLASS" && <HandOverLesson lesson={props.lesson} />}
      <DeleteLesson {...props} />
    </div>
  );
}

/** A change of the list of lessons. */
function useLessons<Answered>(send: () => Promise<Answered>, then: () => void) {
  const client = useQueryClient();
  return useMutation<Answered, Problem, undefined>({
    mutationFn: send,
    onSuccess: () => {
      client.invalidateQueries({ queryKey: ["lessons"] });
      client.invalidateQueries({ queryKey: ["lesson"] });
      then();
    },
  });
}

function CopyLesson({ lesson }: { lesson: LessonLine }) {
  const { all } = useChosenClass();
  const [classId, setClassId] = useState(lesson.classId);
  const [onDay, setOnDay] = useState(plusDays(lesson.onDay, WEEK));
  const [times, setTimes] = useState<number | null>(1);
  const [everyDays, setEveryDays] = useState<number | null>(WEEK);
  const copy = useLessons(
    () =>
      api("post", "/api/lessons/{id}/copies", {
        params: { path: { id: lesson.id } },
        body: { classId, onDay, times, everyDays },
      }),
    () => undefined,
  );
  const mine = all.filter((c) => c.mayChange);
  return (
    <Part title={t("lessons.copy")} onSend={() => copy.mutate(undefined)}>
      <span className="flex items-center gap-2">
        {t("lessons.copyOn")} <DayField label={t("lessons.copyOn")} value={onDay} onChange={setOnDay} />
      </span>
      <NumberField
        label={t("lessons.times")}
        unit={t("lessons.timesEvery")}
        value={times}
        must={copy.error?.must("times")}
        onChange={setTimes}
      />
      <NumberField
        label={t("lessons.daysApart")}
        unit={t("lessons.daysApart")}
        value={everyDays}
        must={copy.error?.must("everyDays")}
        onChange={setEveryDays}
      />
      {mine.length > 1 && (
        <Choice
          label={t("lessons.forClass")}
          value={classId}
          options={mine.map((c) => ({ value: c.id, text: c.name }))}
          onChange={setClassId}
        />
      )}
      <button type="submit" className="btn btn-main" disabled={copy.isPending}>
        {t("lessons.copyIt")}
      </button>
      <p className="basis-full text-sm text-soft">{t("lessons.repeat")}</p>
      {copy.data?.[0] && (
        <p role="status" className="basis-full font-semibold">
          {t("lessons.copied", { n: copy.data.length, day: day(copy.data[0].onDay) })}
        </p>
      )}
      {copy.isError && copy.error.errors.length === 0 && <Failed error={copy.error} />}
    </Part>
  );
}

function MoveLesson({ lesson, onDone }: { lesson: LessonLine; onDone: () => void }) {
  const [onDay, setOnDay] = useState(plusDays(lesson.onDay, WEEK));
  const [andLater, setAndLater] = useState(false);
  const move = useLessons(
    () =>
      api("post", "/api/lessons/{id}/shifted", {
        params: { path: { id: lesson.id } },
        body: { days: daysBetween(lesson.onDay, onDay), andLater },
      }),
    onDone,
  );
  if (lesson.taughtOn) return null;
  return (
    <Part title={t("lessons.move")} onSend={() => move.mutate(undefined)}>
      <span className="flex items-center gap-2">
        {t("lessons.moveTo")} <DayField label={t("lessons.moveTo")} value={onDay} onChange={setOnDay} />
      </span>
      <label className="flex items-center gap-1.5">
        <input
          type="checkbox"
          className="size-4 accent-ink"
          checked={andLater}
          onChange={(e) => setAndLater(e.target.checked)}
        />
        {t("lessons.andLater")}
      </label>
      <button type="submit" className="btn" disabled={move.isPending}>
        {t("lessons.moveIt")}
      </button>
      <p className="basis-full text-sm text-soft">{t("lessons.taughtStays")}</p>
      {move.isError && <Failed error={move.error} />}
    </Part>
  );
}

function DeleteLesson({ lesson, onGone }: { lesson: LessonLine; onGone: () => void }) {
  const remove = useLessons(() => api("delete", "/api/lessons/{id}", { params: { path: { id: lesson.id } } }), onGone);
  return (
    <Part title={t("lessons.delete")} onSend={() => remove.mutate(undefined)}>
      <button type="submit" className="btn" disabled={remove.isPending}>
        {t("lessons.deleteIt")}
      </button>
      <span className="text-sm text-soft">{t("lessons.forDays")}</span>
      {remove.isError && <Failed error={remove.error} />}
    </Part>
  );
}

/** A lesson that was deleted a moment ago. */
export function Gone({ lesson, onBack }: { lesson: LessonLine; onBack: () => void }) {
  const back = useLessons(() => api("post", "/api/lessons/{id}/back", { params: { path: { id: lesson.id } } }), onBack);
  return (
    <div role="status" className="mt-4 flex flex-wrap items-center gap-4 border-l-8 border-catch bg-tint p-4">
      <span>{t("lessons.gone", { name: lesson.name })}</span>
      <button type="button" className="btn" disabled={back.isPending} onClick={() => back.mutate(undefined)}>
        {t("lessons.back")}
      </button>
      <span className="text-sm text-soft">{t("lessons.forDays")}</span>
      {back.isError && <Failed error={back.error} />}
    </div>
  );
}

const WEEK = 7;
