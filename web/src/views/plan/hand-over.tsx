import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Problem } from "../../api/client";
import { colleagues, handOvers } from "../../api/queries";
import type { HandOver, LessonLine } from "../../api/types";
import { localDay } from "../../local-day";
import { Choice } from "../../ui/choice";
import { DayField } from "../../ui/day-field";
import { Failed } from "../../ui/states";
import { day } from "../../words";
import { texts } from "../../words/texts";
import { Part } from "./lesson-part";

const t = texts("plan");

/** Somebody else gives the lesson on a day, and sees that lesson and those names on that day. */
export function HandOverLesson({ lesson }: { lesson: LessonLine }) {
  const client = useQueryClient();
  const people = useQuery(colleagues);
  const given = useQuery(handOvers(lesson.id));
  const [to, setTo] = useState<string>();
  const [onDay, setOnDay] = useState(lesson.onDay < localDay() ? localDay() : lesson.onDay);
  const known = (all: HandOver[]) => client.setQueryData(handOvers(lesson.id).queryKey, all);
  const path = { id: lesson.id };
  const first = people.data?.[0]?.id;
  const give = useMutation<HandOver[], Problem, void>({
    mutationFn: () =>
      api("post", "/api/lessons/{id}/hand-overs", { params: { path }, body: { accountId: to ?? first ?? "", onDay } }),
    onSuccess: known,
  });
  const takeBack = useMutation<HandOver[], Problem, string>({
    mutationFn: (id) =>
      api("delete", "/api/lessons/{id}/hand-overs/{handOverId}", { params: { path: { ...path, handOverId: id } } }),
    onSuccess: known,
  });
  const failed = [people, given].find((q) => q.isLoadingError)?.error ?? takeBack.error;
  const must = give.error?.must("onDay") ?? give.error?.must("accountId");
  return (
    <Part title={t("handOver.title")} onSend={() => give.mutate()}>
      {people.data?.length === 0 ? (
        <p className="text-soft">{t("handOver.nobodyElse")}</p>
      ) : (
        <>
          {first && (
            <Choice
              label={t("handOver.to")}
              value={to ?? first}
              options={(people.data ?? []).map((c) => ({ value: c.id, text: c.displayName }))}
              onChange={setTo}
            />
          )}
          <span className="flex items-center gap-2">
            {t("handOver.on")} <DayField label={t("handOver.day")} value={onDay} invalid={!!must} onChange={setOnDay} />
          </span>
          <button type="submit" className="btn" disabled={!first || give.isPending}>
            {t("handOver.do")}
          </button>
          {must && <span className="font-semibold text-alert">{must}</span>}
        </>
      )}
      <p className="basis-full text-sm text-soft">{t("handOver.what")}</p>
      {(given.data ?? []).map((h) => (
        <p key={h.id} className="flex basis-full flex-wrap items-center gap-3">
          {t("handOver.given", { name: h.displayName, day: day(h.onDay) })}
          <button
            type="button"
            className="underline"
            aria-label={t("handOver.backOf", { name: h.displayName, day: day(h.onDay) })}
            disabled={takeBack.isPending}
            onClick={() => takeBack.mutate(h.id)}
          >
            {t("handOver.back")}
          </button>
        </p>
      ))}
      {give.isError && !must && <Failed error={give.error} />}
      {failed && <Failed error={failed} />}
    </Part>
  );
}
