import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api } from "../../api/client";
import { ladders, skillFigures } from "../../api/queries";
import { PartHead } from "../../ui/part-head";
import { Failed, Loading } from "../../ui/states";
import { percent } from "../../words";
import saidSchool from "../../words/school.json";
import { textsOf } from "../../words/texts";
import { learntFrom } from "../pupils/learnt-from";

const t = textsOf("school", saidSchool);

/** What the school's own records have taught, on what it rests, and a press to learn now. */
export function Learnt() {
  const client = useQueryClient();
  const known = useQuery(skillFigures);
  const all = useQuery(ladders);
  const learn = useMutation({
    mutationFn: () => api("post", "/api/skill/learn"),
    onSuccess: () => client.invalidateQueries(),
  });
  if (known.isPending) return <Loading what={t("learnt.title")} />;
  if (known.isLoadingError) return <Failed error={known.error} again={() => known.refetch()} />;
  const { afterALesson, onAGoodDay, rungs, figures } = known.data;
  const named = rungs.flatMap((r) => {
    const ladder = all.data?.find((l) => l.id === r.ladderId);
    const rung = ladder?.rungs.find((x) => x.id === r.rungId);
    return ladder && rung ? [{ ...r, name: t("learnt.rung", { ladder: ladder.name, rung: rung.name }) }] : [];
  });
  return (
    <section>
      <PartHead title={t("learnt.title")}>
        <button type="button" className="btn btn-main" disabled={learn.isPending} onClick={() => learn.mutate()}>
          {learn.isPending ? t("learnt.busy") : t("learnt.now")}
        </button>
      </PartHead>
      {learn.error && (
        <p role="alert" className="mt-3 border-l-4 border-alert bg-tint p-3">
          {t("learnt.refused", { why: learn.error.message })}
        </p>
      )}
      <p role="status" className="mt-3 max-w-prose">
        {learntFrom(known.data)}
      </p>
      <p className="mt-2 max-w-prose text-soft">{t("learnt.what")}</p>
      <ul className="mt-3 max-w-prose">
        <li>{t("learnt.lesson", { share: percent(afterALesson) })}</li>
        <li>{t("learnt.lasts", { share: percent(figures.gainLasts ?? 1) })}</li>
        <li>{t("learnt.day", { share: percent(onAGoodDay) })}</li>
      </ul>
      {named.length > 0 && (
        <>
          <h3 className="mt-4">{t("learnt.rungs")}</h3>
          <ul className="mt-1 max-w-prose divide-y divide-rule">
            {named.map((r) => (
              <li key={r.name} className="flex justify-between gap-4 py-1">
                <span>{r.name}</span>
                <span className="text-soft">{r.harder > 0 ? t("learnt.harder") : t("learnt.easier")}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
