import { useState } from "react";
import { v4 } from "uuid";
import type { Block, Edit, Ladder } from "../../api/types";
import { blockName } from "../../lane/lane-blocks";
import { FamilyGlyph } from "../../ui/marble";
import { Sheet } from "../../ui/sheet";
import { texts } from "../../words/texts";

const t = texts("plan");

const FEWEST = 2;
const MOST = 8;

/** Chooses the tasks that become the stations of a circuit. */
export function SideBySide({
  blocks,
  catalogue,
  onEdit,
}: {
  blocks: Block[];
  catalogue: Ladder[];
  onEdit: (edits: Edit[], step: string) => void;
}) {
  const [open, setOpen] = useState(false);
  const [chosen, setChosen] = useState<string[]>([]);
  const tasks = blocks.filter((b) => b.kind === "TASK");
  const ids = chosen.filter((id) => tasks.some((b) => b.id === id));
  const make = () => {
    const id = v4();
    onEdit([{ type: "PUT_TOGETHER", id, blockIds: ids }], `circuit ${id}`);
    setChosen([]);
    setOpen(false);
  };
  if (tasks.length < FEWEST) return null;
  return (
    <>
      <button type="button" className="btn" onClick={() => setOpen(true)}>
        {t("circuit.make")}
      </button>
      <Sheet title={t("circuit.makeTitle")} open={open} onOpenChange={setOpen}>
        <p className="text-soft">{t("circuit.makeAbout")}</p>
        <ul className="my-3">
          {tasks.map((b) => {
            const ladder = catalogue.find((l) => l.id === b.ladderId);
            return (
              <li key={b.id} className="border-b border-rule">
                <label className="flex min-h-11 items-center gap-3">
                  <input
                    type="checkbox"
                    checked={ids.includes(b.id)}
                    disabled={ids.length >= MOST && !ids.includes(b.id)}
                    onChange={(e) => setChosen(e.target.checked ? [...ids, b.id] : ids.filter((id) => id !== b.id))}
                  />
                  {ladder && <FamilyGlyph family={ladder.family} size={22} />}
                  <span>
                    <strong>{blockName(b, catalogue)}</strong>{" "}
                    <span className="text-soft">{ladder?.rungs.find((r) => r.id === b.rungId)?.name}</span>
                  </span>
                </label>
              </li>
            );
          })}
        </ul>
        <button type="button" className="btn btn-main" disabled={ids.length < FEWEST} onClick={make}>
          {t("circuit.makeIt", { n: ids.length })}
        </button>
      </Sheet>
    </>
  );
}
