import { useState } from "react";
import type { Ladder, OwnLadder } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Sheet } from "../../ui/sheet";

type Which = "own" | "shown";

/** A file of ladders to keep, to mend by hand or to give to another school. */
export function Export({
  open,
  onOpenChange,
  shown,
  own,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  shown: Ladder[];
  own: OwnLadder[];
}) {
  const [which, setWhich] = useState<Which>(own.length > 0 ? "own" : "shown");
  const ids = which === "own" ? own.map((o) => o.id) : shown.map((l) => l.id);
  return (
    <Sheet title="Export ladders" open={open} onOpenChange={onOpenChange}>
      <p className="flex flex-wrap items-center gap-2">
        Write
        <Choice<Which>
          label="Which ladders"
          value={which}
          onChange={setWhich}
          options={[
            { value: "own", text: `our own (${own.length})` },
            { value: "shown", text: `those in the list (${shown.length})` },
          ]}
        />
        to one file.
      </p>
      <DownloadLinks ids={ids} />
      <p className="mt-4 text-sm text-soft">
        Both forms hold the same and are read back by “Import”. Their fields are in the{" "}
        <a href="/api/ladders/schema" target="_blank" rel="noreferrer">
          published schema
        </a>
        .
      </p>
    </Sheet>
  );
}

export function DownloadLinks({ ids }: { ids: string[] }) {
  if (ids.length === 0) return <p className="mt-3 font-semibold">There is none.</p>;
  const href = (format: string) =>
    `/api/ladders/export?format=${format}&${ids.map((id) => `ids=${encodeURIComponent(id)}`).join("&")}`;
  return (
    <p className="mt-4 flex gap-3">
      <a className="btn btn-main no-underline" href={href("YAML")} download>
        YAML
      </a>
      <a className="btn no-underline" href={href("JSON")} download>
        JSON
      </a>
    </p>
  );
}
