import { useQuery } from "@tanstack/react-query";
import { keptOf } from "../api/queries";
import type { KeptOf } from "../api/types";
import { texts } from "../words/texts";
import { Failed, Loading } from "./states";

const t = texts("ui");

/** Singular and plural of what is kept are in the file of texts. */
const things = ["rounds", "corrections", "standings", "homeCards", "remarks", "runs", "notes"] as const;

/** What of a pupil is kept, as a list: what would go, or has gone. */
export function KeptList({ kept }: { kept: KeptOf["kept"] }) {
  const there = Object.entries(kept).filter(([, n]) => n > 0);
  if (there.length === 0) return <p>{t("whatGoes.nothingButTheName")}</p>;
  return (
    <ul className="list-disc pl-5">
      <li>{t("whatGoes.theNameAndWhat")}</li>
      {there.map(([what, n]) => (
        <li key={what}>{said(what, n)}</li>
      ))}
    </ul>
  );
}

function said(what: string, n: number): string {
  const known = things.find((thing) => thing === what);
  return known ? t(`kept.${known}`, { n }) : `${n} ${what}`;
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
