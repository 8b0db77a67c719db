import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { fits, foundLadders } from "../../api/queries";
import type { Family, Ladder, Rung } from "../../api/types";
import { FamilyGlyph } from "../../ui/marble";
import { Sheet } from "../../ui/sheet";
import { family as familyWord, gate } from "../../words";
import { noise, people } from "../../words-ladders";
import { Verdict } from "../ladders/verdict";

const families: Family[] = ["THROW", "CATCH", "HANDLE", "TARGET", "MOVE"];

/** Choose a rung of a ladder as the next block; says of each whether it fits where the lesson is. */
export function AddBlock({
  open,
  onOpenChange,
  onOffer,
  here,
  spaceName,
  onAdd,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onOffer: Ladder[];
  /** class, space and time of the lesson, as the question what fits there */
  here: string;
  spaceName: string;
  onAdd: (ladder: Ladder, rung: Rung) => void;
}) {
  const [search, setSearch] = useState("");
  const [onlyFitting, setOnlyFitting] = useState(false);
  const asked = useQuery({
    ...foundLadders(new URLSearchParams(search.trim() ? { words: search.trim() } : {}).toString()),
    placeholderData: keepPreviousData,
    enabled: open,
  });
  const fit = useQuery({ ...fits(here), enabled: open });
  const verdictOf = new Map((fit.data ?? []).map((f) => [f.ladderId, f.best.verdict]));
  const byId = new Map(onOffer.map((l) => [l.id, l]));
  const found = (asked.data ? asked.data.flatMap((id) => byId.get(id) ?? []) : onOffer).filter((l) => {
    const v = verdictOf.get(l.id);
    return !onlyFitting || !v || v === "FITS" || v === "WITH_CHANGE";
  });
  return (
    <Sheet title="Add a block" open={open} onOpenChange={onOpenChange} wide>
      <input
        className="field mb-3 w-full"
        type="search"
        aria-label="Search ladders by words"
        placeholder="Skill, sport, ball or what they do"
        value={search}
        onChange={(e) => setSearch(e.target.value)}
      />
      <p className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-1">
        <label className="flex items-center gap-2">
          <input type="checkbox" checked={onlyFitting} onChange={(e) => setOnlyFitting(e.target.checked)} /> only what
          fits in {spaceName}
        </label>
        <Link to="/ladders">Look at all ladders</Link>
      </p>
      {found.length === 0 && <p className="py-4 text-soft">No ladder is like that. Try a sport or a shorter word.</p>}
      {families.map((f) => {
        const mine = found.filter((l) => l.family === f);
        if (mine.length === 0) return null;
        return (
          <section key={f} className="mb-4">
            <h3 className="flex items-center gap-2 border-b-2 border-ink pb-1 font-bold">
              <FamilyGlyph family={f} /> {familyWord[f]}
            </h3>
            {mine.map((l) => (
              <div key={l.id} className="grid gap-x-4 gap-y-1 border-b border-rule py-2 sm:grid-cols-[12rem_1fr]">
                <span>
                  <strong>{l.name}</strong>
                  <span className="block text-sm text-soft">
                    {people(l)} · {noise[l.noise]} ·{" "}
                    {l.footprint.needsWall ? "at a wall" : `${l.footprint.lengthM} × ${l.footprint.widthM} m`}
                  </span>
                  {verdictOf.has(l.id) && (
                    <span className="block text-sm">
                      <Verdict verdict={verdictOf.get(l.id) ?? "FITS"} />
                    </span>
                  )}
                </span>
                <span className="flex flex-wrap items-start gap-1.5">
                  {l.rungs.map((r, i) => (
                    <button
                      key={r.id}
                      type="button"
                      className="btn btn-small"
                      title={`${r.change} Gate: ${gate(r)}.`}
                      aria-label={`Add ${l.name}, rung ${i + 1}, ${r.name}`}
                      onClick={() => onAdd(l, r)}
                    >
                      {i + 1} {r.name}
                    </button>
                  ))}
                </span>
              </div>
            ))}
          </section>
        );
      })}
    </Sheet>
  );
}
