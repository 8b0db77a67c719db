import type { Space } from "../../api/types";
import { Choice } from "../../ui/choice";
import { DayField } from "../../ui/day-field";
import { NumberField } from "../../ui/fields";
import { shape, surface } from "../../words-findings";
import type { usePlan } from "./use-plan";

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
      <legend className="sr-only">The lesson</legend>
      <span>{saved.className} on</span>
      <DayField
        label="Day"
        value={draft.onDay}
        disabled={readOnly}
        onChange={(onDay) => change({ ...draft, onDay }, "day")}
      />
      <span>at</span>
      <input
        type="time"
        aria-label="Beginning"
        className="field"
        value={lesson.startMin === null ? "" : toTime(lesson.startMin)}
        onChange={(e) => changeLesson({ ...lesson, startMin: toMinutes(e.target.value) }, "start")}
      />
      <span>for</span>
      <NumberField
        label="Minutes"
        value={lesson.minutes}
        must={must("lesson.minutes")}
        onChange={(minutes) => changeLesson({ ...lesson, minutes: minutes as number }, "minutes")}
      />
      <span>min in</span>
      <Choice
        label="Space"
        value={draft.spaceId}
        options={rooms.map((r) => ({ value: r.id, text: r.name }))}
        onChange={(spaceId) => change({ ...draft, spaceId }, "space")}
      />
      <span className="whitespace-nowrap">
        {size.lengthM} × {size.widthM} m, {size.ceilingM ? `ceiling ${size.ceilingM} m` : "open sky"},{" "}
        {surface[saved.place.surface]},
      </span>
      <NumberField
        label="Change between blocks"
        value={lesson.transitionSec}
        step={5}
        must={must("lesson.transitionSec")}
        onChange={(transitionSec) => changeLesson({ ...lesson, transitionSec: transitionSec as number }, "transition")}
      />
      <span>s between blocks, rest</span>
      <Choice
        label="Rest school"
        value={lesson.restRule}
        options={[
          { value: "BETWEEN_SETS", text: "between sets" },
          { value: "AFTER_EVERY_SET", text: "after every set" },
        ]}
        onChange={(restRule) => changeLesson({ ...lesson, restRule }, "rest rule")}
      />
      <Choice
        label="Shape of the lesson"
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
        hot day
      </label>
    </fieldset>
  );
}

function toTime(min: number): string {
  return `${String(Math.floor(min / 60)).padStart(2, "0")}:${String(min % 60).padStart(2, "0")}`;
}

function toMinutes(time: string): number | null {
  const [h, m] = time.split(":").map(Number);
  return h === undefined || m === undefined || Number.isNaN(h + m) ? null : h * 60 + m;
}
