import { useInfiniteQuery } from "@tanstack/react-query";
import { api } from "../../api/client";
import { attemptsOfPupil } from "../../api/queries";
import type { Ladder, PupilRecord } from "../../api/types";
import { Failed } from "../../ui/states";
import { countedBy, day, modifier, score, side } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { matchSaid } from "../run/measures/match/said";
import { besideScore } from "./beside-score";
import { Correct } from "./correct";
import { TypeIn } from "./type-in";
import { Refused, useSend } from "./use-send";

const t = textsOf("pupils", saidPupils);

/** Every attempt, newest first; the page brings the latest, older ones come when asked for. */
export function AttemptsOfPupil({ record, catalogue }: { record: PupilRecord; catalogue: Ladder[] }) {
  const older = useInfiniteQuery({ ...attemptsOfPupil(record.pupilId, record.attempts.length), enabled: false });
  const shown = [...record.attempts, ...(older.data?.pages.flat() ?? [])];
  const more = older.data ? older.hasNextPage : record.rounds > record.attempts.length;
  return (
    <section className="mt-9">
      <div className="flex flex-wrap items-center gap-3">
        <h2>{t("attemptsOfPupil.everyAttemptNewestFirst")}</h2>
        <TypeIn record={record} ladders={catalogue} />
      </div>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a table that scrolls sideways must be reachable by keyboard */}
      <section className="relative mt-2 overflow-x-auto" tabIndex={0} aria-label={t("attemptsOfPupil.attempts")}>
        <table className="stacks w-full border-collapse text-[0.95rem]" data-testid="attempts">
          <thead>
            <tr className="border-b-[3px] border-ink text-left">
              {[
                t("attemptsOfPupil.day"),
                t("attemptsOfPupil.task"),
                t("attemptsOfPupil.side"),
                t("attemptsOfPupil.set2"),
                t("attemptsOfPupil.score"),
                t("attemptsOfPupil.missed2"),
                t("attemptsOfPupil.ball"),
                t("attemptsOfPupil.space"),
                t("attemptsOfPupil.countedBy"),
                "",
              ].map((h) => (
                <th key={h} scope="col" className="py-1.5 pr-4">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((tried) => {
              const { attempt: a, metGate, jointWithNames, againstNames } = tried;
              const corrections = record.corrections.filter((c) => c.attemptId === a.id);
              const ladder = catalogue.find((l) => l.id === a.ladderId);
              const rung = ladder?.rungs.find((r) => r.id === a.rungId);
              const beside = besideScore(a.detail);
              return (
                <tr key={a.id} className={`border-b border-rule ${tried.struck ? "text-soft line-through" : ""}`}>
                  <td className="clock py-1 pr-4 whitespace-nowrap">{day(a.on)}</td>
                  <td className="pr-4">
                    {ladder?.name}, {rung?.name.toLowerCase()}
                    {a.modifiers.length > 0 && ` + ${a.modifiers.map((m) => modifier[m]).join(", ")}`}
                  </td>
                  <td className="pr-4">{side[a.side]}</td>
                  <td className="clock pr-4" data-label={t("attemptsOfPupil.set")}>
                    {a.set}
                  </td>
                  <td className="clock pr-4 whitespace-nowrap">
                    {matchSaid(a.detail) ??
                      score(
                        {
                          ...a,
                          workSec: a.time?.workedSec ?? null,
                          timeMs: a.detail?.type === "TIMED" ? a.detail.timeMs : null,
                        },
                        rung && a.scoredBy ? { ...rung, measure: a.scoredBy } : rung,
                      )}
                    {beside && <span className="block font-text text-sm whitespace-normal text-soft">{beside}</span>}
                    {a.trial && <span className="font-text text-soft"> {t("attemptsOfPupil.trial")}</span>}
                    {metGate && (
                      <strong className="text-catch" title={t("attemptsOfPupil.metTheGate")}>
                        {" "}
                        ✓<span className="sr-only">{t("attemptsOfPupil.metTheGate")}</span>
                      </strong>
                    )}
                  </td>
                  <td className="clock pr-4" data-label={t("attemptsOfPupil.missed")}>
                    {a.misses ?? "–"}
                  </td>
                  <td className="pr-4">{a.ball ?? "–"}</td>
                  <td className="pr-4">{a.space}</td>
                  <td className="pr-4 no-underline">
                    {countedBy[a.countedBy]}
                    {a.where === "HOME" && t("attemptsOfPupil.atHome")}
                    {!a.confirmed && t("attemptsOfPupil.notConfirmed")}
                    {againstNames.length > 0 && t("attemptsOfPupil.against", { againstNames: againstNames.join(", ") })}
                    {jointWithNames.length > 0 &&
                      t("attemptsOfPupil.togetherWith", { jointWithNames: jointWithNames.join(", ") })}
                    {corrections.map((c) => (
                      <span key={c.at} className="block text-sm text-soft">
                        {c.struck
                          ? t("attemptsOfPupil.struckOut")
                          : t("attemptsOfPupil.was", { figures: figures(c.before) })}
                        , {c.by}: “{c.reason}”
                      </span>
                    ))}
                  </td>
                  <td className="whitespace-nowrap print:hidden">
                    <Correct
                      key={`${a.id}/${a.score}/${tried.struck}`}
                      tried={tried}
                      what={`${ladder?.name}, ${day(a.on)}`}
                    />{" "}
                    {!a.confirmed && <Confirm id={a.id} />}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </section>
      {older.isError && <Failed error={older.error} again={() => older.fetchNextPage()} />}
      {more && (
        <button
          type="button"
          className="btn mt-3 print:hidden"
          disabled={older.isFetching}
          onClick={() => (older.data ? older.fetchNextPage() : older.refetch())}
        >
          {t("attemptsOfPupil.showOlderOnesOf", { length: shown.length, rounds: record.rounds })}
        </button>
      )}
    </section>
  );
}

const figures = (f: { score: number; hits: number | null; misses: number | null }) =>
  `${f.score}${f.misses === null ? "" : t("attemptsOfPupil.missed3", { misses: f.misses })}`;

/** One press makes a result from home count in full. */
function Confirm({ id }: { id: string }) {
  const { send, problem } = useSend();
  return (
    <>
      <button
        type="button"
        className="text-sm underline"
        onClick={() => send(() => api("post", "/api/attempts/{id}/confirm", { params: { path: { id } } }))}
      >
        {t("attemptsOfPupil.confirm")}
      </button>
      <Refused problem={problem} />
    </>
  );
}
