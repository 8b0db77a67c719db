import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { Link } from "react-router";
import { run as runQuery } from "../../api/queries";
import type { Run } from "../../api/types";
import { FamilyGlyph } from "../../ui/marble";
import { Failed, Loading } from "../../ui/states";
import { seconds, side as sideWord } from "../../words";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { matchSaid } from "./measures/match/said";
import { rungOfSet } from "./rung-of-set";
import { forget } from "./store";
import { TypedIn } from "./typed-in";
import type { useRun } from "./use-run";

const t = textsOf("run", saidRun);

/** What the server recorded of a finished run. */
export function Recorded({ on, takeBack }: { on: ReturnType<typeof useRun>; takeBack: () => void }) {
  const { unsent } = on;
  const run = on.run as Run;
  const client = useQueryClient();
  const saved = useQuery({ ...runQuery(run.id), enabled: unsent === 0, staleTime: 0, refetchOnMount: "always" });
  useEffect(() => {
    if (unsent !== 0) return;
    client.invalidateQueries({ queryKey: ["runs"] });
    client.invalidateQueries({ queryKey: ["record"] });
  }, [unsent, client]);
  const kept = saved.data?.state.finished && unsent === 0;
  useEffect(() => {
    if (kept) forget(run.id).catch(() => undefined);
  }, [kept, run.id]);
  if (unsent > 0 && !saved.data?.state.finished)
    return (
      <p role="status" className="p-10 text-xl">
        {t("recorded.keptOnThisDevice", { count: unsent })}
      </p>
    );
  if (saved.isLoadingError) return <Failed error={saved.error} again={() => saved.refetch()} />;
  if (!saved.data?.state.finished) return <Loading what={t("recorded.whatWasRecorded")} />;
  const { results, touchesPerPupil } = saved.data.state;
  const { script, ladders, pupils, lessonName, className } = saved.data.sheet;
  const newly = saved.data.completed;
  const pupilsIn = new Set(results.map((r) => r.pupilId));
  return (
    <div className="mx-auto max-w-5xl px-6 py-8" data-testid="recorded">
      <h1>{t("recorded.recorded", { lessonName, className })}</h1>
      <p className="mt-2 text-lg">
        {t("recorded.of", { count: results.length, count2: pupilsIn.size })}
        {touchesPerPupil > 0 && t("recorded.aPupilWereCounted", { count: touchesPerPupil })}
        {newly.length > 0 && t("recorded.completedForTheFirstTime", { count: newly.length })}
      </p>
      <p className="my-5 flex flex-wrap gap-3">
        <Link className="btn btn-main" to="/pupils">
          {t("recorded.whereEverybodyStands")}
        </Link>
        <Link className="btn" to="/">
          {t("recorded.today")}
        </Link>
        <button type="button" className="btn" onClick={takeBack}>
          {t("recorded.takeBackGoOn")}
        </button>
      </p>
      <TypedIn on={on} />
      {script.blocks.map((block, b) => {
        const mine = results.filter((r) => script.segments[r.segment]?.block === b);
        if (mine.length === 0) return null;
        const ladder = ladders.find((l) => l.id === block.ladderId);
        const rung = ladder?.rungs.find((r) => r.id === block.rungId);
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: blocks of a finished run never move
          <section key={b} className="mb-7">
            <h2 className="flex items-center gap-2 border-b-2 border-mist pb-1">
              {ladder && <FamilyGlyph family={ladder.family} />} {ladder?.name}
              <span className="font-text text-base font-normal text-mist">
                {rung?.name}, {rung?.unit}
              </span>
            </h2>
            <ul className="grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
              {pupils
                .filter((p) => mine.some((r) => r.pupilId === p.pupilId))
                .map((p) => (
                  <li key={p.pupilId} className="flex justify-between gap-3 border-b border-[#3a504d] py-1">
                    <Link className="whitespace-nowrap" to={`/pupils/${p.pupilId}`}>
                      {p.name}
                    </Link>
                    <span className="clock min-w-0 text-right">
                      {mine
                        .filter((r) => r.pupilId === p.pupilId)
                        .map((r) => {
                          const side = block.sides[script.segments[r.segment]?.side ?? 0] ?? "NONE";
                          const more = [
                            r.misses !== null && t("recorded.missed", { misses: r.misses }),
                            r.time?.brokenOff && t("recorded.brokenOffAfterS", { workedSec: r.time.workedSec }),
                            r.trial && "trial",
                            r.source === "TYPED" && t("recorded.typedIn"),
                            r.rungId !== rungOfSet(block, 0) && ladder?.rungs.find((x) => x.id === r.rungId)?.name,
                            r.jointWith.length > 0 && "joint",
                          ].filter(Boolean);
                          const told =
                            r.detail?.type === "TIMED" ? seconds(r.detail.timeMs) : (matchSaid(r.detail) ?? r.score);
                          const which = side === "NONE" || side === "STRONG" ? "" : `${sideWord[side]} `;
                          return `${which}${told}${more.length > 0 ? ` (${more.join(", ")})` : ""}`;
                        })
                        .join(" · ")}
                    </span>
                  </li>
                ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}
