import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Download, FilePlus, Upload } from "lucide-react";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { fits, foundLadders, ladders, ownLadders, session } from "../../api/queries";
import type { Family, FitLine, Ladder, OwnLadder } from "../../api/types";
import { Choice } from "../../ui/choice";
import { FamilyGlyph } from "../../ui/marble";
import { Empty, Failed, Loading } from "../../ui/states";
import { Term } from "../../ui/term";
import { caution, deferring, family as familyWord } from "../../words";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { aspect as aspectWord, noise as noiseWord } from "../../words-ladders";
import { byFit } from "./by-fit";
import { Export } from "./export";
import { useHere } from "./here";
import { Import } from "./import";
import { Line } from "./line";

const t = textsOf("ladders", saidLadders);

const families: Family[] = ["THROW", "CATCH", "HANDLE", "TARGET", "MOVE"];
const all = "all";

/** The catalogue: what there is, what fits here and now, and the school's own. */
export function LaddersView() {
  const [params, setParams] = useSearchParams();
  const here = useHere();
  const who = useQuery(session);
  const known = useQuery(ladders);
  const own = useQuery(ownLadders);
  const [importing, setImporting] = useState(false);
  const [exporting, setExporting] = useState(false);
  const asked = new URLSearchParams();
  for (const field of ["words", "sport", "family", "aspect", "people", "noise"])
    if (params.get(field)) asked.set(field, params.get(field) ?? "");
  const found = useQuery({ ...foundLadders(asked.toString()), placeholderData: keepPreviousData });
  const fit = useQuery({ ...fits(here.query), enabled: here.query !== "" });
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
  const onlyFitting = params.get("only") === "fits" && here.query !== "";
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
      <search className="mt-4 flex flex-wrap items-center gap-x-4 gap-y-2.5">
        <input
          className="field min-w-56 flex-1"
          type="search"
          aria-label={t("laddersView.searchLaddersByWords")}
          placeholder={t("laddersView.skillSportBallOr")}
          defaultValue={params.get("words") ?? ""}
          onChange={(e) => set("words", e.target.value)}
        />
        <Choice
          label={t("laddersView.sport")}
          value={get("sport")}
          onChange={(v) => set("sport", v)}
          options={[{ value: all, text: t("laddersView.everySport") }, ...sports.map((s) => ({ value: s, text: s }))]}
        />
        <Choice
          label={t("laddersView.trains")}
          value={get("aspect")}
          onChange={(v) => set("aspect", v)}
          options={[
            { value: all, text: t("laddersView.trainsAnything") },
            ...Object.entries(aspectWord).map(([value, text]) => ({ value, text })),
          ]}
        />
        <Choice
          label={t("laddersView.peopleToASpot")}
          value={get("people")}
          onChange={(v) => set("people", v)}
          options={[
            { value: all, text: t("laddersView.anyNumber") },
            { value: "1", text: t("laddersView.alone") },
            { value: "2", text: t("laddersView.inPairs") },
            { value: "3", text: t("laddersView.threeOrMore") },
          ]}
        />
        <Choice
          label={t("laddersView.noise")}
          value={get("noise")}
          onChange={(v) => set("noise", v)}
          options={[
            { value: all, text: t("laddersView.anyNoise") },
            { value: "QUIET", text: t("laddersView.quietOnly") },
            { value: "BOUNCE", text: t("laddersView.noLouderThanA") },
          ]}
        />
        <Choice
          label={t("laddersView.whose")}
          value={get("whose")}
          onChange={(v) => set("whose", v)}
          options={[
            { value: all, text: t("laddersView.allLadders") },
            { value: "OURS", text: t("laddersView.ourOwn") },
            { value: "RETIRED", text: t("laddersView.ourOwnRetired") },
          ]}
        />
      </search>
      <fieldset className="mt-3 flex flex-wrap gap-2">
        <legend className="sr-only">{t("laddersView.family")}</legend>
        {[all, ...families].map((f) => (
          <button
            key={f}
            type="button"
            aria-pressed={get("family") === f}
            className={`btn btn-small ${get("family") === f ? "btn-main" : ""}`}
            onClick={() => set("family", f)}
          >
            {f === all ? "All families" : familyWord[f as Family]}
          </button>
        ))}
      </fieldset>
      <div className="mt-4 flex flex-wrap items-center gap-x-4 gap-y-2 bg-tint px-4 py-3">
        <span className="flex items-center gap-2">
          <strong>{t("laddersView.whatFits")}</strong>
          <Choice
            label={t("laddersView.whereItShouldFit")}
            value={here.value}
            onChange={here.choose}
            options={here.options}
          />
        </span>
        {!here.query && (
          <span className="text-soft">
            {here.className
              ? `Choose a space to see what fits there for ${here.className}, and why the rest does not.`
              : "Make a class in the store, then choose a space here."}
          </span>
        )}
        {here.query && (
          <>
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                checked={onlyFitting}
                onChange={(e) => set("only", e.target.checked ? "fits" : "")}
              />{" "}
              {t("laddersView.onlyWhatFits")}
            </label>
            <span className="text-soft">
              {t("laddersView.forWithTheKit", { className: here.className })}
              {here.atHome ? " and at home" : ""}
              {t("laddersView.atThisHour")}
            </span>
          </>
        )}
      </div>

      <p className="mt-3" role="status" data-testid="found">
        {here.query && fit.isPending ? "Looking what fits …" : said(shown, fitOf, candidates.length)}
      </p>
      {shown.length === 0 ? (
        <Empty title={retired ? "Nothing was retired" : "No ladder is like that"}>
          <p>
            {retired
              ? "A ladder of your own that is not wanted any more can be retired on its page; plans and results keep it."
              : "Take a filter away, or try a shorter word."}
          </p>
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
  const some = shown.length === of ? "" : ` of ${of}`;
  const head = `${shown.length}${some} ${shown.length === 1 ? "ladder" : "ladders"} with ${rungs} rungs`;
  if (fitOf.size === 0) return `${head}.`;
  const how = (v: FitLine["best"]["verdict"]) => shown.filter((l) => fitOf.get(l.id)?.best.verdict === v).length;
  return `${head}: ${how("FITS")} fit as they are, ${how("WITH_CHANGE")} with a change, ${how("FEW_AT_A_TIME")} for a few at a time, ${how("NOT")} not.`;
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
