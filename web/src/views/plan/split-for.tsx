import { Split } from "lucide-react";
import { useState } from "react";
import { v4 } from "uuid";
import { Sheet } from "../../ui/sheet";
import { texts } from "../../words/texts";
import type { EditorProps } from "./block-editor";

const t = texts("plan");

/** Some keep the block, the others get one of their own with the same task. */
export function SplitFor({ block, ladder, who, readOnly, onEdit }: EditorProps) {
  const [open, setOpen] = useState(false);
  const [some, setSome] = useState<string[]>([]);
  const here = block.onlyPupilIds.length === 0 ? who : who.filter((w) => block.onlyPupilIds.includes(w.id));
  if (readOnly || here.length < 2) return null;
  const split = () => {
    onEdit({ type: "SPLIT_FOR", blockId: block.id, id: v4(), pupilIds: some });
    setOpen(false);
    setSome([]);
  };
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        <Split size={16} aria-hidden /> {t("split.open")}
      </button>
      <Sheet title={t("split.title", { task: ladder.name })} open={open} onOpenChange={setOpen}>
        <p className="text-soft">{t("split.why")}</p>
        <ul className="my-3 grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3">
          {here.map((w) => (
            <li key={w.id}>
              <label className="flex items-center gap-2 py-1">
                <input
                  type="checkbox"
                  className="size-4 accent-ink"
                  checked={some.includes(w.id)}
                  onChange={(e) => setSome(e.target.checked ? [...some, w.id] : some.filter((id) => id !== w.id))}
                />
                {w.name}
              </label>
            </li>
          ))}
        </ul>
        <button
          type="button"
          className="btn btn-main"
          disabled={some.length === 0 || some.length === here.length}
          onClick={split}
        >
          {t("split.do")}
        </button>
      </Sheet>
    </>
  );
}
