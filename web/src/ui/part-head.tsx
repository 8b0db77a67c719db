import { Undo2 } from "lucide-react";
import type { ReactNode } from "react";
import { texts } from "../words/texts";

const t = texts("ui");

/** The head of one part of the store. */
export function PartHead({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div className="flex flex-wrap items-center gap-3 border-b-[3px] border-ink pb-2">
      <h1 className="mr-auto">{title}</h1>
      {children}
    </div>
  );
}

export function UndoButton({ undo }: { undo: (() => void) | undefined }) {
  return (
    <button type="button" className="btn" onClick={undo} disabled={!undo}>
      <Undo2 size={18} aria-hidden /> {t("partHead.undo")}
    </button>
  );
}
