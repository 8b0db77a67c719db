import { useQuery } from "@tanstack/react-query";
import { keptOf } from "../api/queries";
import type { KeptOf } from "../api/types";
import { count } from "../words";
import { texts } from "../words/texts";
import { Failed, Loading } from "./states";

const t = texts("ui");

const things: Record<string, [string, string]> = {
  rounds: ["round", "rounds"],
  corrections: ["correction", "corrections"],
  standings: ["word on a rung", "words on rungs"],
  homeCards: ["card for home", "cards for home"],
  remarks: ["thing said or seen", "things said or seen"],
  runs: ["name on a run’s sheet", "names on runs’ sheets"],
  notes: ["name in a lesson’s note", "names in lessons’ notes"],
};

/** What of a pupil is kept, as a list: what would go, or has gone. */
export function KeptList({ kept }: { kept: KeptOf["kept"] }) {
  const there = Object.entries(kept).filter(([, n]) => n > 0);
  if (there.length === 0) return <p>{t("whatGoes.nothingButTheName")}</p>;
  return (
    <ul className="list-disc pl-5">
      <li>{t("whatGoes.theNameAndWhat")}</li>
      {there.map(([what, n]) => (
        <li key={what}>{count(n, ...(things[what] ?? [what, what]))}</li>
      ))}
    </ul>
  );
}

/** Asks what would go with a pupil. */
export function WhatGoes({ pupilId }: { pupilId: string }) {
  const kept = useQuery(keptOf(pupilId));
  if (kept.isLoadingError) return <Failed error={kept.error} again={() => kept.refetch()} />;
  if (!kept.data) return <Loading what={t("whatGoes.whatIsKept")} />;
  return (
    <>
      <p>{t("whatGoes.withGoAtOnce", { name: kept.data.name })}</p>
      <KeptList kept={kept.data.kept} />
      <p className="mt-2">{t("whatGoes.countsInTheLogs")}</p>
    </>
  );
}
