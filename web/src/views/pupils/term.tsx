import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { taught as taughtQuery } from "../../api/queries";
import type { ClassRecord, Ladder } from "../../api/types";
import { daysBefore, localDay } from "../../local-day";
import { FamilyGlyph } from "../../ui/marble";
import { Failed, Loading } from "../../ui/states";
import { day } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { DayBox } from "./box";
import { completed } from "./found-in";

const t = textsOf("pupils", saidPupils);

const TERM_DAYS = 126;

/** A class's term on one page: what was taught when, time moved, challenges completed, and how the standings spread. */
export function Term({ record, tried }: { record: ClassRecord; tried: Ladder[] }) {
  const last = record.lastDay ?? localDay();
  const first = record.firstDay ?? last;
  const begun = daysBefore(last, TERM_DAYS);
  const [from, setFrom] = useState(begun > first ? begun : first);
  const [to, setTo] = useState(last);
  const days = useQuery({ ...taughtQuery(record.classId, from, to), enabled: to >= from });
  const done = completed(record).filter((c) => (c.completedOn ?? "") >= from && (c.completedOn ?? "") <= to);
  const moved = (days.data ?? []).reduce((sum, d) => sum + d.movedSecPerPupil, 0);
  return (
    <div data-testid="term">
      <p className="mb-3 flex flex-wrap gap-3 print:hidden">
        <DayBox label={t("term.from")} field="from" value={from} onChange={setFrom} />
        <DayBox label={t("term.to")} field="to" value={to} onChange={setTo} />
      </p>
      {to < from && (
        <p role="alert" className="mb-3 font-semibold">
          {t("term.toMustBeOr", { day: day(from) })}
        </p>
      )}
      <p className="mb-4 text-lg">
        {day(from)} {t("term.to2")} {day(to)}
        {t("term.completedBy", { count: done.length, count2: record.pupils.length })}
        {days.data && t("term.byTheClock", { min: Math.round(moved / 60), days: days.data.length })}.
      </p>
      <div className="grid grid-cols-1 gap-x-10 gap-y-6 *:overflow-x-auto md:grid-cols-2">
        <section>
          <h2>{t("term.whatWasTaughtWhen")}</h2>
          {days.isLoadingError && <Failed error={days.error} again={() => days.refetch()} />}
          {days.isLoading && <Loading what={t("term.whatWasTaught")} />}
          {days.data?.length === 0 && <p className="text-soft">{t("term.nothingWasRecordedBetween")}</p>}
          <table className="mt-1 w-full border-collapse text-[0.95rem]">
            <tbody>
              {days.data?.map((d) => (
                <tr key={d.on} className="border-b border-rule align-top">
                  <th scope="row" className="clock py-1 pr-3 text-left font-normal whitespace-nowrap text-soft">
                    {day(d.on)}
                  </th>
                  <td className="pr-3">
                    {d.ladderIds
                      .map((id) => tried.find((l) => l.id === id)?.name)
                      .filter(Boolean)
                      .join(", ")}
                  </td>
                  <td className="clock text-right whitespace-nowrap text-soft">
                    {t("term.thereMin", { pupils: d.pupils, round: Math.round(d.movedSecPerPupil / 60) })}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
        <section>
          <h2>{t("term.howTheyStandNow")}</h2>
          <p className="text-soft">{t("term.howManyPupilsStand")}</p>
          <ul className="mt-1">
            {tried.map((l) => (
              <li key={l.id} className="border-b border-rule py-1.5">
                <span className="flex items-center gap-2 font-semibold">
                  <FamilyGlyph family={l.family} /> {l.name}
                </span>
                <ol className="flex flex-wrap gap-x-4 text-[0.95rem]">
                  {l.rungs.map((r, i) => (
                    <li key={r.id} title={r.name}>
                      <span className="text-soft">{i + 1}:</span>{" "}
                      {record.onLadders.filter((o) => o.ladderId === l.id && o.rungId === r.id && o.rounds > 0).length}{" "}
                      ({done.filter((c) => c.ladderId === l.id && c.rungId === r.id).length})
                    </li>
                  ))}
                </ol>
              </li>
            ))}
          </ul>
        </section>
      </div>
      <p className="mt-4 print:hidden">
        <button type="button" className="btn btn-small" onClick={() => window.print()}>
          {t("term.print")}
        </button>
      </p>
    </div>
  );
}
