import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { type FitsAsked, fits, foundLadders } from "../../api/queries";
import type { Family, Ladder, Rung, RungFit } from "../../api/types";
import { FamilyGlyph } from "../../ui/marble";
import { Sheet } from "../../ui/sheet";
import { family as familyWord, gate } from "../../words";
import { texts } from "../../words/texts";
import { finding } from "../../words-findings";
import { hereIs, noise, people } from "../../words-ladders";
import { byFit } from "../ladders/by-fit";
import { Verdict } from "../ladders/verdict";

const t = texts("plan");

const families: Family[] = ["THROW", "CATCH", "HANDLE", "TARGET", "MOVE"];

/** Choose a rung of a ladder as the next block; says of each whether it fits where the lesson is. */
export function AddBlock({
  open,
  onOpenChange,
  onOffer,
  here,
  spaceName,
  after,
  onAdd,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onOffer: Ladder[];
  /** class, space and time of the lesson, as the question what fits there */
  here: FitsAsked;
  spaceName: string;
  /** what it will stand behind; nothing: at the end */
  after: string | undefined;
  onAdd: (ladder: Ladder, rung: Rung) => void;
}) {
  const [search, setSearch] = useState("");
  const [onlyFitting, setOnlyFitting] = useState(true);
  // What was looked for the last time is done with.
  useEffect(() => {
    if (open) setSearch("");
  }, [open]);
  const asked = useQuery({
    ...foundLadders(search.trim() ? { words: search.trim() } : {}),
    placeholderData: keepPreviousData,
    enabled: open,
  });
  const fit = useQuery({ ...fits(here), enabled: open });
  const fitOf = new Map((fit.data ?? []).map((f) => [f.ladderId, f]));
  const byId = new Map(onOffer.map((l) => [l.id, l]));
  const words = search.trim() !== "";
  const found = byFit(
    (asked.data ? asked.data.flatMap((id) => byId.get(id) ?? []) : onOffer).filter((l) => {
      const v = fitOf.get(l.id)?.best.verdict;
      return !onlyFitting || !v || v === "FITS" || v === "WITH_CHANGE";
    }),
    fitOf,
    words,
  );
  const rows = (ladders: Ladder[]) =>
    ladders.map((l) => <LadderRow key={l.id} ladder={l} best={fitOf.get(l.id)?.best} onAdd={onAdd} />);
  return (
    <Sheet
      title={after ? t("addBlock.after", { name: after }) : t("addBlock.title")}
      open={open}
      onOpenChange={onOpenChange}
      wide
    >
      <input
        className="field mb-3 w-full"
        type="search"
        aria-label={t("addBlock.search")}
        placeholder={t("addBlock.like")}
        value={search}
        onChange={(e) => setSearch(e.target.value)}
      />
      <p className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-1">
        <label className="flex items-center gap-2">
          <input type="checkbox" checked={onlyFitting} onChange={(e) => setOnlyFitting(e.target.checked)} />{" "}
          {t("addBlock.only", { space: spaceName })}
        </label>
        <Link to="/ladders">{t("addBlock.all")}</Link>
        <span role="status" className="text-sm text-soft">
          {fit.isPending && t("addBlock.looking", { space: spaceName })}
        </span>
      </p>
      {found.length === 0 && <p className="py-4 text-soft">{t("addBlock.none")}</p>}
      {words
        ? rows(found)
        : families.map((f) => {
            const mine = found.filter((l) => l.family === f);
            if (mine.length === 0) return null;
            return (
              <section key={f} className="mb-4">
                <h3 className="flex items-center gap-2 border-b-2 border-ink pb-1 font-bold">
                  <FamilyGlyph family={f} /> {familyWord[f]}
                </h3>
                {rows(mine)}
              </section>
            );
          })}
    </Sheet>
  );
}

/** One ladder: whether it fits and why not, a button for each rung, and the tasks to read. */
function LadderRow({
  ladder: l,
  best,
  onAdd,
}: {
  ladder: Ladder;
  best: RungFit | undefined;
  onAdd: (ladder: Ladder, rung: Rung) => void;
}) {
  return (
    <div data-ladder={l.id} className="grid gap-x-4 gap-y-1 border-b border-rule py-2 sm:grid-cols-[13rem_1fr]">
      <span>
        <strong>{l.name}</strong>
        <span className="block text-sm text-soft">
          {people(l)} · {noise[l.noise]} ·{" "}
          {l.footprint.needsWall ? t("addBlock.atWall") : `${l.footprint.lengthM} × ${l.footprint.widthM} m`}
        </span>
        {best && (
          <span className="block text-sm">
            <Verdict verdict={best.verdict} /> {against(best)}
          </span>
        )}
      </span>
      <span>
        <span className="flex flex-wrap items-start gap-1.5">
          {l.rungs.map((r, i) => (
            <button
              key={r.id}
              type="button"
              className="btn btn-small"
              aria-label={t("addBlock.add", { ladder: l.name, number: i + 1, rung: r.name })}
              onClick={() => onAdd(l, r)}
            >
              {i + 1} {r.name}
            </button>
          ))}
        </span>
        <details className="mt-1 text-sm">
          <summary className="cursor-pointer text-soft" aria-label={t("addBlock.readOf", { ladder: l.name })}>
            {t("addBlock.read")}
          </summary>
          <ol className="mt-1 list-decimal space-y-1 pl-5">
            {l.rungs.map((r) => (
              <li key={r.id}>
                <strong>{r.name}.</strong> {r.change} {r.task}{" "}
                <span className="text-soft">{t("addBlock.gate", { gate: gate(r) })}</span>
              </li>
            ))}
          </ol>
        </details>
      </span>
    </div>
  );
}

/** What stands against it, in a sentence or two. */
function against(best: RungFit): string {
  if (best.verdict === "FITS" || best.verdict === "WITH_CHANGE") return hereIs(best);
  return best.findings
    .filter((f) => f.level === "STOP" || f.code === "WAVES_MANY")
    .slice(0, 2)
    .map(finding)
    .join(" ");
}
