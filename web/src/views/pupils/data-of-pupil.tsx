import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, Problem } from "../../api/client";
import type { PupilGone, PupilRecord } from "../../api/types";
import { Sheet } from "../../ui/sheet";
import { KeptList, WhatGoes } from "../../ui/what-goes";
import { moment } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { Refused } from "./use-send";

const t = textsOf("pupils", saidPupils);

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
      setProblem(e instanceof Problem ? e : new Problem(0, t("dataOfPupil.notErased"), String(e)));
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
      <Sheet
        title={gone ? t("dataOfPupil.isGone", { name: gone.name }) : t("dataOfPupil.erase2", { name: record.name })}
        open={open}
        onOpenChange={leave}
      >
        {gone ? (
          <>
            <p>{t("dataOfPupil.erased")}</p>
            <KeptList kept={gone.went} />
            <p className="mt-2">
              {t("dataOfPupil.fromTheDataFile", { moment: moment(gone.left.goneByMs) })}{" "}
              {gone.left.untilMs === null
                ? t("dataOfPupil.thereIsNoBackupThat")
                : t("dataOfPupil.themUntilAtTheLatest", {
                    count: gone.left.backups.length,
                    untilMs: moment(gone.left.untilMs),
                  })}
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
