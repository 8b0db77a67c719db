import { useState } from "react";
import type { Ladder, OwnLadder } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Sheet } from "../../ui/sheet";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";

const t = textsOf("ladders", saidLadders);

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
    <Sheet title={t("export.exportLadders")} open={open} onOpenChange={onOpenChange}>
      <p className="flex flex-wrap items-center gap-2">
        {t("export.write")}
        <Choice<Which>
          label={t("export.whichLadders")}
          value={which}
          onChange={setWhich}
          options={[
            { value: "own", text: t("export.ourOwn", { length: own.length }) },
            { value: "shown", text: t("export.thoseInTheList", { length: shown.length }) },
          ]}
        />
        {t("export.toOneFile")}
      </p>
      <DownloadLinks ids={ids} />
      <p className="mt-4 text-sm text-soft">
        {t("export.bothFormsHoldThe")}{" "}
        <a href="/api/ladders/schema" target="_blank" rel="noreferrer">
          {t("export.publishedSchema")}
        </a>
        .
      </p>
    </Sheet>
  );
}

export function DownloadLinks({ ids }: { ids: string[] }) {
  if (ids.length === 0) return <p className="mt-3 font-semibold">{t("export.thereIsNone")}</p>;
  const href = (format: string) =>
    `/api/ladders/export?format=${format}&${ids.map((id) => `ids=${encodeURIComponent(id)}`).join("&")}`;
  return (
    <p className="mt-4 flex gap-3">
      <a className="btn btn-main no-underline" href={href("YAML")} download>
        {t("export.yaml")}
      </a>
      <a className="btn no-underline" href={href("JSON")} download>
        {t("export.json")}
      </a>
    </p>
  );
}
