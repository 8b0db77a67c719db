import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, Problem } from "../../api/client";
import type { PupilGone, PupilRecord } from "../../api/types";
import { Sheet } from "../../ui/sheet";
import { KeptList, WhatGoes } from "../../ui/what-goes";
import { count, moment } from "../../words";
import { texts } from "../../words/texts";
import { Refused } from "./use-send";

const t = texts("pupils");

/** All that is kept of a pupil, to be carried out or erased. */
export function DataOfPupil({ record }: { record: PupilRecord }) {
  const [open, setOpen] = useState(false);
  const [gone, setGone] = useState<PupilGone>();
  const [problem, setProblem] = useState<Problem>();
  const client = useQueryClient();
  const navigate = useNavigate();
  const erase = async () => {
    try {
      setGone(await api("delete", "/api/pupils/{id}", { params: { path: { id: record.pupilId } } }));
    } catch (e) {
      setProblem(e instanceof Problem ? e : new Problem(0, "Not erased", String(e)));
    }
  };
  const leave = (o: boolean) => {
    setOpen(o);
    setProblem(undefined);
    if (o || !gone) return;
    navigate("/pupils");
    client.removeQueries({ queryKey: ["record", "pupil", record.pupilId] });
    for (const key of ["record", "classes", "lesson", "runs", "run"]) client.invalidateQueries({ queryKey: [key] });
  };
  return (
    <section className="mt-9 print:hidden">
      <h2>{t("dataOfPupil.whatIsKeptOf", { name: record.name })}</h2>
      <p className="mt-2 flex flex-wrap gap-2">
        <a className="btn btn-small no-underline" href={`/api/pupils/${record.pupilId}/export.json`} download>
          {t("dataOfPupil.saveAllOfIt")}
        </a>
        <a className="btn btn-small no-underline" href={`/api/pupils/${record.pupilId}/results.csv`} download>
          {t("dataOfPupil.saveTheResultsAs")}
        </a>
        <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
          {t("dataOfPupil.erase", { name: record.name })}
        </button>
      </p>
      <Sheet title={gone ? `${gone.name} is gone` : `Erase ${record.name}?`} open={open} onOpenChange={leave}>
        {gone ? (
          <>
            <p>{t("dataOfPupil.erased")}</p>
            <KeptList kept={gone.went} />
            <p className="mt-2">
              {t("dataOfPupil.fromTheDataFile", { moment: moment(gone.left.goneByMs) })}{" "}
              {gone.left.untilMs === null
                ? "There is no backup that holds them."
                : `${count(gone.left.backups.length, "backup still holds", "backups still hold")} them, until ${moment(gone.left.untilMs)} at the latest; copies that were taken elsewhere are the school’s to delete.`}
            </p>
            <button type="button" className="btn btn-main mt-4" onClick={() => leave(false)}>
              {t("dataOfPupil.backToTheClass")}
            </button>
          </>
        ) : (
          <>
            <WhatGoes pupilId={record.pupilId} />
            <Refused problem={problem} />
            <p className="mt-4 flex gap-3">
              <button type="button" className="btn btn-main" onClick={erase}>
                {t("dataOfPupil.yesErase")}
              </button>
              <button type="button" className="btn" onClick={() => leave(false)}>
                {t("dataOfPupil.keep")}
              </button>
            </p>
          </>
        )}
      </Sheet>
    </section>
  );
}
