import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { api, type Problem } from "../../api/client";
import { lesson, lessons, spaces } from "../../api/queries";
import type { LessonDoc, LessonView } from "../../api/types";
import { localDay, plusDays } from "../../local-day";
import { day } from "../../words";
import { texts } from "../../words/texts";

const t = texts("plan");

/** One press: a lesson a week after the class's last one, in the same room and as long, with a proposal open. */
export function PlanNext({ classId }: { classId: string }) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const all = useQuery(lessons(classId));
  const rooms = useQuery(spaces);
  const last = all.data?.at(-1);
  const room = rooms.data?.find((r) => r.name === last?.spaceName) ?? rooms.data?.[0];
  const make = useMutation<LessonView, Problem, LessonDoc>({
    mutationFn: (doc) => api<LessonView>("POST", "/lessons", doc),
    onSuccess: (made) => {
      client.setQueryData(lesson(made.id).queryKey, made);
      client.invalidateQueries({ queryKey: ["lessons"] });
      navigate(`/plan/${made.id}#propose`);
    },
  });
  if (!all.data || !room) return null;
  const onDay = weekAfter(last?.onDay);
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
            lesson: {
              minutes: last?.minutes ?? 40,
              startMin: null,
              audience: "CLASS",
              shape: "MOBILITY_FIRST",
              heat: false,
              restRule: "BETWEEN_SETS",
              transitionSec: 30,
              silenced: [],
              blocks: [],
              afterNote: null,
            },
          })
        }
      >
        {t("next.plan")}
      </button>
      <span className="text-sm text-soft">
        {t("next.where", { day: day(onDay), room: room.name, minutes: last?.minutes ?? 40 })}
      </span>
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
