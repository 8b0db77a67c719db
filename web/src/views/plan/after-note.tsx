import { useQuery } from "@tanstack/react-query";
import { useId } from "react";
import { lessons } from "../../api/queries";
import { day } from "../../words";
import { texts } from "../../words/texts";
import { noteBefore } from "./lesson-order";
import type { usePlan } from "./use-plan";

const t = texts("plan");

/** What to remember of a lesson; it stands above the next one. */
export function AfterNote({
  plan,
  readOnly,
  must,
}: {
  plan: ReturnType<typeof usePlan>;
  readOnly: boolean;
  must: (field: string) => string | undefined;
}) {
  const id = useId();
  const { lesson } = plan.draft;
  return (
    <div className="mt-8">
      <label htmlFor={id} className="font-semibold">
        {t("lessons.afterNote")}
      </label>
      <textarea
        id={id}
        className="field mt-1 block w-full"
        rows={2}
        maxLength={500}
        readOnly={readOnly}
        aria-invalid={!!must("lesson.afterNote")}
        aria-describedby={`${id}-why`}
        value={lesson.afterNote ?? ""}
        onChange={(e) => plan.changeLesson({ ...lesson, afterNote: e.target.value || null }, "afterNote")}
      />
      <p id={`${id}-why`} className="text-sm text-soft">
        {t("lessons.shownNext")}
      </p>
    </div>
  );
}

/** What the class's lesson before this one left to remember. */
export function NoteBefore({ classId, id, onDay }: { classId: string; id: string; onDay: string }) {
  const all = useQuery(lessons(classId));
  const before = all.data && noteBefore(all.data, id, onDay);
  if (!before) return null;
  return (
    <p className="my-3 border-l-8 border-catch bg-tint p-3" data-testid="note-before">
      <strong>{t("lessons.afterLast", { name: before.name, day: day(before.onDay) })}</strong> {before.afterNote}
    </p>
  );
}
