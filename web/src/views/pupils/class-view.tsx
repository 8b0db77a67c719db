import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { classRecord, ladders } from "../../api/queries";
import { useChosenClass } from "../../chosen-class";
import { Empty, Failed, Loading } from "../../ui/states";
import { day } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { Matrix } from "./matrix";
import { OneLadder } from "./one-ladder";
import { Answers, type Asked, QuestionBar } from "./questions";
import { RankingSheet } from "./ranking";
import { ReadinessSheet } from "./readiness-sheet";
import { ResultsSheet } from "./results-sheet";
import { Term } from "./term";

const t = textsOf("pupils", saidPupils);

/** Who completed which challenge; one ladder at a time with bests, last results and rounds. */
export function ClassView() {
  const { chosen } = useChosenClass();
  const record = useQuery({ ...classRecord(chosen?.id ?? ""), enabled: !!chosen });
  const catalogue = useQuery(ladders);
  const [ladderId, setLadderId] = useState<string>();
  const [params, setParams] = useSearchParams();
  const asked = (params.get("question") as Asked | null) ?? undefined;
  const setAsked = (question: Asked | undefined) => setParams(question ? { question } : {}, { replace: true });
  const [term, setTerm] = useState(false);
  if (!chosen)
    return (
      <Empty title={t("classView.noClassYet")}>
        <p>{t("classView.enterYourClassFirst")}</p>
        <Link className="btn btn-main" to="/store">
          {t("classView.makeTheFirstClass")}
        </Link>
      </Empty>
    );
  const failed = [record, catalogue].find((q) => q.isLoadingError);
  if (failed) return <Failed error={failed.error} again={() => failed.refetch()} />;
  if (!record.data || !catalogue.data) return <Loading what={t("classView.theRecordOf", { name: chosen.name })} />;
  const tried = catalogue.data.filter((l) => record.data.ladderIds.includes(l.id));
  if (tried.length === 0 || !record.data.firstDay)
    return (
      <Empty title={t("classView.hasNoTriesYet", { className: record.data.className })}>
        <p>{t("classView.runALessonAnd")}</p>
        <Link className="btn btn-main" to="/run">
          {t("classView.runALesson")}
        </Link>
      </Empty>
    );
  const ladder = tried.find((l) => l.id === ladderId);
  return (
    <>
      <div className="flex flex-wrap items-center gap-3 print:[&_button]:hidden">
        <h1 className="mr-auto">{t("classView.whoStandsWhere", { className: record.data.className })}</h1>
        <button type="button" className="btn btn-small" aria-pressed={term} onClick={() => setTerm(!term)}>
          {term ? t("classView.theMatrix") : t("classView.theTerm")}
        </button>
        <RankingSheet record={record.data} />
        <ResultsSheet classId={record.data.classId} className={record.data.className} mayChange={chosen.mayChange} />
        <ReadinessSheet classId={record.data.classId} className={record.data.className} />
      </div>
      <p className="mt-1 mb-3 text-soft">
        {t("classView.sinceAFilledStep", { day: day(record.data.firstDay), count: record.data.rounds })}
        {ladder ? "" : t("classView.pressALadderForBests")}.
      </p>
      {!term && <QuestionBar record={record.data} asked={asked} onAsk={setAsked} />}
      {term ? (
        <Term record={record.data} tried={tried} />
      ) : asked ? (
        <Answers record={record.data} tried={tried} asked={asked} mayChange={chosen.mayChange} />
      ) : ladder ? (
        <OneLadder record={record.data} ladder={ladder} onBack={() => setLadderId(undefined)} />
      ) : (
        <Matrix record={record.data} tried={tried} onLadder={setLadderId} />
      )}
    </>
  );
}
