import { useQuery } from "@tanstack/react-query";
import { lessons, spaces } from "../../api/queries";
import { localDay, plusDays } from "../../local-day";
import { day } from "../../words";
import { texts } from "../../words/texts";
import { emptyLesson, USUAL_MINUTES, useMakeLesson } from "./make-lesson";

const t = texts("plan");

/** One press: a lesson a week after the class's last one, in the same room and as long, with a proposal open. */
export function PlanNext({ classId }: { classId: string }) {
  const all = useQuery(lessons(classId));
  const rooms = useQuery(spaces);
  const last = all.data?.at(-1);
  const room = rooms.data?.find((r) => r.name === last?.spaceName) ?? rooms.data?.[0];
  const make = useMakeLesson("#propose");
  if (!all.data || !room) return null;
  const onDay = weekAfter(last?.onDay);
  const minutes = last?.minutes ?? USUAL_MINUTES;
  return (
    <p className="flex flex-wrap items-center gap-3">
      <button
        type="button"
        className="btn"
        disabled={make.isPending}
        onClick={() =>
          make.mutate({
            version: null,
            classId,
            spaceId: room.id,
            name: t("next.name", { day: day(onDay) }),
            onDay,
            lesson: { ...emptyLesson(minutes), startMin: last?.startMin ?? null },
          })
        }
      >
        {t("next.plan")}
      </button>
      <span className="text-sm text-soft">{t("next.where", { day: day(onDay), room: room.name, minutes })}</span>
      {make.error && <span className="font-semibold text-alert">{make.error.detail}</span>}
    </p>
  );
}

/** A week after a day, or today where that is over. */
function weekAfter(last: string | undefined, today = localDay()): string {
  if (!last) return today;
  const then = plusDays(last, 7);
  return then < today ? today : then;
}
