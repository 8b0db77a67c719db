import { useQueries, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { ladders, pupilOnLadder, pupilRecord } from "../../api/queries";
import { useChosenClass } from "../../chosen-class";
import { Empty, Failed, Loading } from "../../ui/states";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { AttemptsOfPupil } from "./attempts-of-pupil";
import { DataOfPupil } from "./data-of-pupil";
import { LadderOfPupil } from "./ladder-of-pupil";
import { Matters } from "./matters";
import { PlaceOfPupil } from "./place-of-pupil";
import { SaidAndSeen } from "./said-and-seen";

const t = textsOf("pupils", saidPupils);

/** One pupil: rungs climbed, bests, and every attempt. */
export function PupilView() {
  const { id = "" } = useParams();
  const { all } = useChosenClass();
  const record = useQuery(pupilRecord(id));
  const catalogue = useQuery(ladders);
  // What was practised last stands first.
  const lately = [...(record.data?.ladders ?? [])].sort((a, b) => (b.lastOn ?? "").localeCompare(a.lastOn ?? ""));
  // The page stands only when the open ones have their tries, so that nothing moves below a finger; it does not go again.
  const opened = useQueries({ queries: lately.slice(0, OPEN_AT_FIRST).map((on) => pupilOnLadder(id, on.ladderId)) });
  const [stood, setStood] = useState(false);
  if (!stood && record.data && !opened.some((q) => q.isPending)) setStood(true);
  const failed = [record, catalogue].find((q) => q.isLoadingError);
  if (failed) return <Failed error={failed.error} again={() => failed.refetch()} />;
  if (!record.data || !catalogue.data || !stood) return <Loading what={t("pupilView.thePupilsPage")} />;
  const { details } = record.data;
  const mayChange = all.find((c) => c.id === record.data.classId)?.mayChange;
  const { rounds, days, completedRun } = record.data;
  const done = record.data.ladders
    .flatMap((l) => l.challenges)
    .filter((c) => c.completedOn && c.modifiers.length === 0);
  const movedMin = Math.round(record.data.ladders.reduce((sum, l) => sum + l.workedSec, 0) / 60);
  return (
    <>
      <p>
        <Link to="/pupils">{record.data.className}</Link>
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="mr-auto">{record.data.name}</h1>
        <Link className="btn btn-small no-underline print:hidden" to={`/pupils/${record.data.pupilId}/family`}>
          {t("pupilView.aPageForThe")}
        </Link>
      </div>
      <p className="mt-1 text-soft">
        {details.birthYear && t("pupilView.born", { birthYear: details.birthYear })}
        {details.strongHand === "LEFT" ? t("pupilView.leftHanded") : t("pupilView.rightHanded")}
        {details.shoeCm && t("pupilView.shoeCm", { shoeCm: details.shoeCm })}
        {details.reachCm && t("pupilView.reachCm", { reachCm: details.reachCm })}
        {details.adaptation && ` · ${details.adaptation}`}
      </p>
      {rounds === 0 && record.data.ladders.length === 0 ? (
        <Empty title={t("pupilView.noTriesYet")}>
          <p>{t("pupilView.whatIsScoredIn")}</p>
        </Empty>
      ) : (
        <>
          <p className="my-4 text-lg">
            {t("pupilView.completedInOnOf", { count: done.length, count2: rounds, count3: days, count4: movedMin })}
            {completedRun > 1 && t("pupilView.onEachOfTheLast", { completedRun })}
          </p>
          <Matters record={record.data} catalogue={catalogue.data} />
          <div className="grid grid-cols-1 items-start gap-x-10 gap-y-4 md:grid-cols-2">
            {lately.map((on, i) => {
              const ladder = catalogue.data.find((l) => l.id === on.ladderId);
              return (
                ladder && (
                  <LadderOfPupil
                    key={on.ladderId}
                    ladder={ladder}
                    on={on}
                    record={record.data}
                    open={i < OPEN_AT_FIRST}
                  />
                )
              );
            })}
          </div>
          <AttemptsOfPupil record={record.data} catalogue={catalogue.data} />
        </>
      )}
      <SaidAndSeen record={record.data} catalogue={catalogue.data} />
      {mayChange && <PlaceOfPupil record={record.data} />}
      {mayChange && <DataOfPupil record={record.data} />}
    </>
  );
}

/** The others are folded. */
const OPEN_AT_FIRST = 2;
