import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { ranking } from "../../api/queries";
import type { ClassRecord } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Sheet } from "../../ui/sheet";
import { Failed, Loading } from "../../ui/states";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";

const t = textsOf("pupils", saidPupils);

const orders = {
  GAIN: t("ranking.byGrowthAgainstTheirOwn"),
  COMPLETED: t("ranking.byChallengesCompleted"),
  ROUNDS: t("ranking.byRoundsPractised"),
} as const;

/** The class in order, only when somebody asks for it: growth first, since that is the fairer one. */
export function RankingSheet({ record }: { record: ClassRecord }) {
  const [open, setOpen] = useState(false);
  const [by, setBy] = useState<keyof typeof orders>("GAIN");
  const ranked = useQuery({ ...ranking(record.classId, by), enabled: open });
  const name = (id: string) => record.pupils.find((p) => p.pupilId === id)?.name ?? "?";
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        {t("ranking.inOrder")}
      </button>
      <Sheet title={t("ranking.inOrder2", { className: record.className })} open={open} onOpenChange={setOpen}>
        <p className="mb-3 text-soft">{t("ranking.forYouNotFor")}</p>
        <Choice
          label={t("ranking.order")}
          value={by}
          options={(Object.keys(orders) as (keyof typeof orders)[]).map((v) => ({ value: v, text: orders[v] }))}
          onChange={setBy}
        />
        {ranked.isLoadingError && <Failed error={ranked.error} again={() => ranked.refetch()} />}
        {ranked.isLoading && <Loading what={t("ranking.theOrder")} />}
        {ranked.data && (
          <ol className="mt-3" data-testid="ranking">
            {ranked.data.map((r) => (
              <li key={r.pupilId} className="flex gap-3 border-b border-rule py-1">
                <span className="clock w-8 text-right">{r.place}</span>
                <Link className="mr-auto font-semibold" to={`/pupils/${r.pupilId}`}>
                  {name(r.pupilId)}
                </Link>
                <span className="text-soft">
                  {r.gain === null
                    ? t("ranking.nothingTriedTwiceYet")
                    : t("ranking.grewBy", { round: Math.round(r.gain * 100) })}{" "}
                  {t("ranking.completed", { completed: r.completed, count: r.rounds })}
                </span>
              </li>
            ))}
          </ol>
        )}
      </Sheet>
    </>
  );
}
