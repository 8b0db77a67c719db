import { Minus, Plus } from "lucide-react";
import type { Course } from "../../../../api/types";
import { CourseDrawing } from "../../../../room/course";
import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import type { Must } from "../../../ladders/form-bits";
import type { Of } from "../measure-view";

const t = textsOf("run", saidRun);

const MOST = 30;

const course = (back: boolean, ...at: [number, number][]): Course => ({
  markers: at.map(([xM, yM]) => ({ xM, yM })),
  back,
});

/** Usual ones to begin with; every marker can be moved. */
const USUAL = {
  ROW: course(true, [0, 0.5], [1.5, 0], [2.5, 1], [3.5, 0], [4.5, 1], [5.5, 0.5]),
  SQUARE: course(false, [0, 0], [3, 0], [3, 3], [0, 3], [0, 0]),
  EIGHT: course(false, [0, 1], [1.5, 0], [3, 1], [4.5, 2], [6, 1], [4.5, 0], [3, 1], [1.5, 2], [0, 1]),
  THERE: course(true, [0, 0], [5, 0]),
};

/** Draws the course of a task: a usual one, markers more and fewer, each where it lies. */
export function CourseForm({
  measure,
  must,
  onChange,
}: {
  measure: Of<"COURSE_TIME">;
  must: Must;
  onChange: (measure: Of<"COURSE_TIME">) => void;
}) {
  const drawn = measure.course;
  const set = (next: Course | null) => onChange({ ...measure, course: next });
  const more = (c: Course) => {
    const last = c.markers[c.markers.length - 1];
    set({ ...c, markers: [...c.markers, { xM: (last?.xM ?? 0) + 1, yM: last?.yM ?? 0 }] });
  };
  const wrong = must("scoring.course.markers") ?? must("scoring.course");
  return (
    <div className="w-full space-y-2">
      <p className="flex flex-wrap items-center gap-2">
        <span>{drawn ? t("course.asDrawn") : t("course.asTheTaskSays")}</span>
        {(Object.keys(USUAL) as (keyof typeof USUAL)[]).map((usual) => (
          <button key={usual} type="button" className="btn btn-small" onClick={() => set(USUAL[usual])}>
            {t(`course.usual.${usual}`)}
          </button>
        ))}
        {drawn && (
          <button type="button" className="underline" onClick={() => set(null)}>
            {t("course.none")}
          </button>
        )}
      </p>
      {drawn && (
        <>
          <CourseDrawing course={drawn} onChange={set} />
          <p className="flex flex-wrap items-center gap-3">
            <button
              type="button"
              className="btn btn-small"
              disabled={drawn.markers.length >= MOST}
              onClick={() => more(drawn)}
            >
              <Plus size={15} aria-hidden /> {t("course.marker")}
            </button>
            <button
              type="button"
              className="btn btn-small"
              disabled={drawn.markers.length <= 2}
              onClick={() => set({ ...drawn, markers: drawn.markers.slice(0, -1) })}
            >
              <Minus size={15} aria-hidden /> {t("course.lastMarker")}
            </button>
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                className="size-4 accent-ink"
                checked={drawn.back}
                onChange={(e) => set({ ...drawn, back: e.target.checked })}
              />
              {t("course.back")}
            </label>
            <span className="text-sm text-soft">{t("course.how")}</span>
          </p>
        </>
      )}
      {wrong && (
        <p role="alert" className="font-semibold text-alert">
          {wrong}
        </p>
      )}
    </div>
  );
}
