import { useState } from "react";
import type { Block, Family, Ladder } from "../../api/types";
import { FamilyGlyph } from "../../ui/marble";
import { Sheet } from "../../ui/sheet";
import { family as familyWord, gate } from "../../words";
import { newBlock } from "./new-block";

const families: Family[] = ["THROW", "CATCH", "HANDLE", "TARGET", "MOVE"];

/** Choose a rung of a ladder as the next block. */
export function AddBlock({
  open,
  onOpenChange,
  catalogue,
  onAdd,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  catalogue: Ladder[];
  onAdd: (block: Block) => void;
}) {
  const [search, setSearch] = useState("");
  const wanted = search.trim().toLowerCase();
  const found = catalogue.filter((l) =>
    [l.name, ...l.sports, ...l.rungs.map((r) => r.name)].some((t) => t.toLowerCase().includes(wanted)),
  );
  return (
    <Sheet title="Add a block" open={open} onOpenChange={onOpenChange} wide>
      <input
        className="field mb-3 w-full"
        type="search"
        aria-label="Search ladders by name, rung or sport"
        placeholder="Name, rung or sport"
        value={search}
        onChange={(e) => setSearch(e.target.value)}
      />
      {found.length === 0 && <p className="py-4 text-soft">No ladder is called that. Try a sport or a shorter word.</p>}
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
                    {l.roles.length === 1 ? "each alone" : `${l.roles.length} to a spot`} · {l.noise.toLowerCase()} ·{" "}
                    {l.footprint.needsWall ? "at a wall" : `${l.footprint.lengthM} × ${l.footprint.widthM} m`}
                  </span>
                </span>
                <span className="flex flex-wrap items-start gap-1.5">
                  {l.rungs.map((r, i) => (
                    <button
                      key={r.id}
                      type="button"
                      className="btn btn-small"
                      title={`${r.change} Gate: ${gate(r)}.`}
                      aria-label={`Add ${l.name}, rung ${i + 1}, ${r.name}`}
                      onClick={() => onAdd(newBlock(l, r))}
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
