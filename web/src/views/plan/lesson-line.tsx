import type { Space } from "../../api/types";
import { Choice } from "../../ui/choice";
import { DayField } from "../../ui/day-field";
import { NumberField } from "../../ui/fields";
import { TimeField } from "../../ui/time-field";
import { texts } from "../../words/texts";
import { shape, surface } from "../../words-findings";
import type { usePlan } from "./use-plan";

const t = texts("plan");

/** When, where and by which school: the lesson in a sentence that can be changed. */
export function LessonLine({
  plan,
  rooms,
  readOnly,
  must,
}: {
  plan: ReturnType<typeof usePlan>;
  rooms: Space[];
  readOnly: boolean;
  must: (field: string) => string | undefined;
}) {
  const { saved, draft, change, changeLesson } = plan;
  const { lesson } = draft;
  const { size } = saved.place;
  return (
    <fieldset disabled={readOnly} className="min-w-0 my-3 flex flex-wrap items-center gap-x-2 gap-y-2">
      <legend className="sr-only">{t("rules.lesson")}</legend>
      <span>{t("rules.classOn", { name: saved.className })}</span>
      <DayField
        label={t("rules.day")}
        value={draft.onDay}
        disabled={readOnly}
        onChange={(onDay) => change({ ...draft, onDay }, "day")}
      />
      <span>{t("rules.at")}</span>
      <TimeField
        label={t("rules.beginning")}
        value={lesson.startMin}
        onChange={(startMin) => changeLesson({ ...lesson, startMin }, "start")}
      />
      <span>{t("rules.for")}</span>
      <NumberField
        label={t("lessons.minutes")}
        value={lesson.minutes}
        must={must("lesson.minutes")}
        onChange={(minutes) => changeLesson({ ...lesson, minutes: minutes as number }, "minutes")}
      />
      <span>{t("rules.minIn")}</span>
      <Choice
        label={t("lessons.space")}
        value={draft.spaceId}
        options={rooms.map((r) => ({ value: r.id, text: r.name }))}
        onChange={(spaceId) => change({ ...draft, spaceId }, "space")}
      />
      <span className="whitespace-nowrap">
        {t(size.ceilingM === null ? "rules.openRoom" : "rules.room", {
          long: size.lengthM,
          wide: size.widthM,
          ceiling: size.ceilingM,
          surface: surface[saved.place.surface],
        })}
      </span>
      <details className="group" open={!!must("lesson.transitionSec") || undefined}>
        <summary className="cursor-pointer text-[0.95rem]">
          <span className="font-semibold">{t("rules.title")}</span>
          <span className="text-soft group-open:hidden">
            {" · "}
            {t("rules.told", { sec: lesson.transitionSec, rest: t(`rules.${lesson.restRule}`) })}
            {lesson.heat && `, ${t("rules.hot")}`}
          </span>
        </summary>
        <div className="mt-2 flex flex-wrap items-center gap-x-2 gap-y-2">
          <NumberField
            label={t("rules.change")}
            value={lesson.transitionSec}
            step={5}
            must={must("lesson.transitionSec")}
            onChange={(transitionSec) =>
              changeLesson({ ...lesson, transitionSec: transitionSec as number }, "transition")
            }
          />
          <span>{t("rules.between")}</span>
          <Choice
            label={t("rules.rest")}
            value={lesson.restRule}
            options={(["BETWEEN_SETS", "AFTER_EVERY_SET"] as const).map((value) => ({
              value,
              text: t(`rules.${value}`),
            }))}
            onChange={(restRule) => changeLesson({ ...lesson, restRule }, "rest rule")}
          />
          <Choice
            label={t("rules.shape")}
            value={lesson.shape}
            options={(Object.keys(shape) as (keyof typeof shape)[]).map((value) => ({ value, text: shape[value][0] }))}
            onChange={(next) => changeLesson({ ...lesson, shape: next }, "shape")}
          />
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={lesson.heat}
              onChange={(e) => changeLesson({ ...lesson, heat: e.target.checked }, "heat")}
            />
            {t("rules.hot")}
          </label>
        </div>
      </details>
    </fieldset>
  );
}
