import { useState } from "react";
import { api } from "../../api/client";
import type { RosterBrought, SchoolClass } from "../../api/types";
import { BringFile } from "../../ui/bring-file";
import { Sheet } from "../../ui/sheet";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";

const t = textsOf("store", saidStore);

/** A class list out as a file and in again. A file adds and changes pupils; it removes nobody. */
export function RosterSheet({ known, onKept }: { known: SchoolClass; onKept: () => void }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        {t("rosterSheet.classListInAnd")}
      </button>
      <Sheet title={t("rosterSheet.classListOf", { name: known.name })} open={open} onOpenChange={setOpen} wide>
        <p>
          <a className="btn no-underline" href={`/api/classes/${known.id}/roster.csv`} download>
            {t("rosterSheet.saveTheClassList")}
          </a>
        </p>
        <p className="mt-3 text-soft">{t("rosterSheet.neededIsTheColumn")}</p>
        <BringFile<RosterBrought>
          name={`roster ${known.id}`}
          ask={(body) => api("post", "/api/classes/{id}/roster", { params: { path: { id: known.id } }, body })}
          brings={(b) => b.added.length + b.changed.length + b.back.length > 0}
          onKept={onKept}
          tell={(b) => (
            <ul className="list-disc pl-5">
              <li>
                {b.kept ? t("rosterSheet.added") : t("rosterSheet.itWouldAdd")}: {names(b.added)}
              </li>
              <li>
                {b.kept ? t("rosterSheet.changed") : t("rosterSheet.itWouldChange")}: {names(b.changed)}
              </li>
              {b.back.length > 0 && (
                <li>{t("rosterSheet.back", { kept: b.kept ? "yes" : "no", names: names(b.back) })}</li>
              )}
              <li>
                {t("rosterSheet.hereAlready", { count: b.same })}
                {b.same > 0 ? t("rosterSheet.justSo") : ""}
              </li>
            </ul>
          )}
        />
      </Sheet>
    </>
  );
}

const names = (all: string[]) => (all.length === 0 ? "nobody" : `${all.length} (${all.join(", ")})`);
