import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Download, FilePlus, Upload } from "lucide-react";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { fits, foundLadders, type LaddersAsked, ladders, ownLadders, session } from "../../api/queries";
import type { Family, FitLine, Ladder, OwnLadder } from "../../api/types";
import { FamilyGlyph } from "../../ui/marble";
import { Empty, Failed, Loading } from "../../ui/states";
import { Term } from "../../ui/term";
import { caution, deferring, family as familyWord } from "../../words";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { noise as noiseWord } from "../../words-ladders";
import { byFit } from "./by-fit";
import { Export } from "./export";
import { useHere } from "./here";
import { Import } from "./import";
import { all, Filters, families, WhatFits } from "./ladder-filters";
import { Line } from "./line";

const t = textsOf("ladders", saidLadders);

/** The catalogue: what there is, what fits here and now, and the school's own. */
export function LaddersView() {
  const [params, setParams] = useSearchParams();
  const here = useHere();
  const who = useQuery(session);
  const known = useQuery(ladders);
  const own = useQuery(ownLadders);
  const [importing, setImporting] = useState(false);
  const [exporting, setExporting] = useState(false);
  const asked = Object.fromEntries(
    ["words", "sport", "family", "aspect", "people", "noise"].flatMap((field) => {
      const value = params.get(field);
      return value ? [[field, value]] : [];
    }),
  ) as LaddersAsked;
  const found = useQuery({ ...foundLadders(asked), placeholderData: keepPreviousData });
  const fit = useQuery({ ...fits(here.query) });
  const failed = [known, own, found, fit].find((q) => q.isLoadingError);
  if (failed) return <Failed error={failed.error} again={() => failed.refetch()} />;
  if (!known.data || !own.data || !found.data) return <Loading what={t("laddersView.theLadders")} />;

  const set = (field: string, value: string) =>
    setParams(
      (p) => {
        if (value && value !== all) p.set(field, value);
        else p.delete(field);
        return p;
      },
      { replace: true },
    );
  const get = (field: string) => params.get(field) ?? all;
  const byId = new Map(known.data.map((l) => [l.id, l]));
  const mine = new Map(own.data.map((o) => [o.id, o]));
  const fitOf = new Map((here.query ? (fit.data ?? []) : []).map((f) => [f.ladderId, f]));
  const retired = get("whose") === "RETIRED";
  const candidates = retired
    ? own.data.filter((o) => o.retired).map((o) => o.ladder)
    : found.data.flatMap((id) => byId.get(id) ?? []).filter((l) => get("whose") !== "OURS" || mine.has(l.id));
  const onlyFitting = params.get("only") === "fits" && here.query !== undefined;
  const shown = candidates.filter((l) => {
    const v = fitOf.get(l.id)?.best.verdict;
    return !onlyFitting || !v || v === "FITS" || v === "WITH_CHANGE";
  });
  const sports = [...new Set(known.data.flatMap((l) => l.sports))].filter((s) => s !== all).sort();
  const teaches = !!who.data?.who?.teaches;

  return (
    <>
      <div className="flex flex-wrap items-center gap-3 border-b-[3px] border-ink pb-2">
        <h1 className="mr-auto">{t("laddersView.ladders")}</h1>
        {teaches && (
          <>
            <Link className="btn btn-main no-underline" to="/ladders/new">
              <FilePlus size={18} aria-hidden /> {t("laddersView.writeOne")}
            </Link>
            <button type="button" className="btn" onClick={() => setImporting(true)}>
              <Upload size={18} aria-hidden /> {t("laddersView.import")}
            </button>
          </>
        )}
        <button type="button" className="btn" onClick={() => setExporting(true)}>
          <Download size={18} aria-hidden /> {t("laddersView.export")}
        </button>
      </div>

      <p className="mt-2 text-soft">
        {t("laddersView.a")} <Term of="ladder">{t("laddersView.ladder")}</Term> {t("laddersView.leadsFromEasyTo")}{" "}
        <Term of="rung">{t("laddersView.rung")}</Term> {t("laddersView.isATaskWith")}{" "}
        <Term of="gate">{t("laddersView.gate")}</Term> {t("laddersView.thatOpensTheNext")}
      </p>
      <Filters sports={sports} words={params.get("words") ?? ""} get={get} set={set} />
      <WhatFits here={here} only={onlyFitting} onOnly={(on) => set("only", on ? "fits" : "")} />

      <p className="mt-3" role="status" data-testid="found">
        {here.query && fit.isPending ? t("laddersView.lookingWhatFits") : said(shown, fitOf, candidates.length)}
      </p>
      {shown.length === 0 ? (
        <Empty title={retired ? t("laddersView.nothingWasRetired") : t("laddersView.noLadderIsLikeThat")}>
          <p>{retired ? t("laddersView.aLadderOfYourOwn") : t("laddersView.takeAFilterAwayOr")}</p>
        </Empty>
      ) : (
        families.map((f) => (
          <Group
            key={f}
            family={f}
            ladders={byFit(
              shown.filter((l) => l.family === f),
              fitOf,
              params.has("words"),
            )}
            fitOf={fitOf}
            mine={mine}
            search={params.toString()}
          />
        ))
      )}
      <p className="mt-6 text-sm text-soft">
        {caution.LOOSE_BALLS} {deferring}
      </p>
      <Import open={importing} onOpenChange={setImporting} />
      <Export open={exporting} onOpenChange={setExporting} shown={shown} own={own.data} />
    </>
  );
}

function said(shown: Ladder[], fitOf: Map<string, FitLine>, of: number): string {
  const rungs = shown.reduce((n, l) => n + l.rungs.length, 0);
  const some = shown.length === of ? "" : t("laddersView.of", { of });
  const head = t("laddersView.withRungs", {
    length: shown.length,
    some,
    more: shown.length === 1 ? "ladder" : "ladders",
    rungs,
  });
  if (fitOf.size === 0) return `${head}.`;
  const how = (v: FitLine["best"]["verdict"]) => shown.filter((l) => fitOf.get(l.id)?.best.verdict === v).length;
  return t("laddersView.fitAsTheyAreWith", {
    head,
    how: how("FITS"),
    how2: how("WITH_CHANGE"),
    how3: how("FEW_AT_A_TIME"),
    how4: how("NOT"),
  });
}

function Group({
  family,
  ladders,
  fitOf,
  mine,
  search,
}: {
  family: Family;
  ladders: Ladder[];
  fitOf: Map<string, FitLine>;
  mine: Map<string, OwnLadder>;
  search: string;
}) {
  if (ladders.length === 0) return null;
  return (
    <section className="mt-5">
      <h2 className="flex items-center gap-2 border-b-2 border-ink pb-1">
        <FamilyGlyph family={family} /> {familyWord[family]}
        <span className="font-text text-base font-normal text-soft">{ladders.length}</span>
      </h2>
      <ul>
        {ladders.map((l) => (
          <Line
            key={l.id}
            ladder={l}
            fit={fitOf.get(l.id)}
            own={mine.get(l.id)}
            search={search}
            noise={noiseWord[l.noise]}
          />
        ))}
      </ul>
    </section>
  );
}
