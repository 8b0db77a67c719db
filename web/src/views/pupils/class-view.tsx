import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { classRecord, ladders } from "../../api/queries";
import { useChosenClass } from "../../chosen-class";
import { Empty, Failed, Loading } from "../../ui/states";
import { count, day } from "../../words";
import { Matrix } from "./matrix";
import { OneLadder } from "./one-ladder";
import { Answers, type Asked, QuestionBar } from "./questions";
import { RankingSheet } from "./ranking";
import { ReadinessSheet } from "./readiness-sheet";
import { ResultsSheet } from "./results-sheet";
import { Term } from "./term";

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
      <Empty title="No class yet">
        <p>Enter your class first; the page fills itself from the lessons you run.</p>
        <Link className="btn btn-main" to="/store">
          Make the first class
        </Link>
      </Empty>
    );
  const failed = [record, catalogue].find((q) => q.isLoadingError);
  if (failed) return <Failed error={failed.error} again={() => failed.refetch()} />;
  if (!record.data || !catalogue.data) return <Loading what={`the record of ${chosen.name}`} />;
  const tried = catalogue.data.filter((l) => record.data.ladderIds.includes(l.id));
  if (tried.length === 0 || !record.data.firstDay)
    return (
      <Empty title={`${record.data.className} has no tries yet`}>
        <p>Run a lesson and collect the numbers; who completed what then stands here.</p>
        <Link className="btn btn-main" to="/run">
          Run a lesson
        </Link>
      </Empty>
    );
  const ladder = tried.find((l) => l.id === ladderId);
  return (
    <>
      <div className="flex flex-wrap items-center gap-3 print:[&_button]:hidden">
        <h1 className="mr-auto">{record.data.className}: who stands where</h1>
        <button type="button" className="btn btn-small" aria-pressed={term} onClick={() => setTerm(!term)}>
          {term ? "The matrix" : "The term"}
        </button>
        <RankingSheet record={record.data} />
        <ResultsSheet classId={record.data.classId} className={record.data.className} mayChange={chosen.mayChange} />
        <ReadinessSheet classId={record.data.classId} className={record.data.className} />
      </div>
      <p className="mt-1 mb-3 text-soft">
        Since {day(record.data.firstDay)} · {count(record.data.rounds, "round", "rounds")}. A filled step is a rung
        whose gate was met; the marble lies on the rung where a pupil stands
        {ladder ? "" : "; press a ladder for bests and last results"}.
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
