import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import type { Brought } from "../../api/types";
import { BringFile } from "../../ui/bring-file";
import { Sheet } from "../../ui/sheet";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";

const t = textsOf("pupils", saidPupils);

/** A class's results out as a file and in again; and everything else out. */
export function ResultsSheet({
  classId,
  className,
  mayChange,
}: {
  classId: string;
  className: string;
  mayChange: boolean;
}) {
  const [open, setOpen] = useState(false);
  const client = useQueryClient();
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        {t("resultsSheet.resultsInAndOut")}
      </button>
      <Sheet title={t("resultsSheet.resultsOf", { className })} open={open} onOpenChange={setOpen} wide>
        <p>
          <a className="btn no-underline" href={`/api/classes/${classId}/results.csv`} download>
            {t("resultsSheet.saveAllResultsAs")}
          </a>
        </p>
        {mayChange && (
          <BringFile<Brought>
            name={`results ${classId}`}
            ask={(body) => api("post", "/api/classes/{id}/results", { params: { path: { id: classId } }, body })}
            far={(key) =>
              api("get", "/api/classes/{id}/results/progress/{key}", { params: { path: { id: classId, key } } })
            }
            brings={(b) => b.added > 0}
            onKept={() => client.invalidateQueries({ queryKey: ["record"] })}
            tell={(b) => (
              <p>
                {b.kept
                  ? t("resultsSheet.broughtIn", { count: b.added })
                  : t("resultsSheet.itWouldBring", { count: b.added })}{" "}
                {b.same > 0 && t("resultsSheet.areHereAlreadyAndStay", { same: b.same })}
              </p>
            )}
          />
        )}
        {mayChange && (
          <section className="mt-6 border-t border-rule pt-3">
            <h3>{t("resultsSheet.everythingOfAllYour")}</h3>
            <p className="mt-1 text-soft">{t("resultsSheet.classListsLessonsRuns")}</p>
            <p className="mt-2 flex flex-wrap gap-2">
              <a className="btn btn-small no-underline" href="/api/export.json" download>
                {t("resultsSheet.saveAsJson")}
              </a>
              <a className="btn btn-small no-underline" href="/api/export.zip" download>
                {t("resultsSheet.saveTheTablesAs")}
              </a>
            </p>
          </section>
        )}
      </Sheet>
    </>
  );
}
