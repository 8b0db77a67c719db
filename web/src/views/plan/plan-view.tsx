import { useQuery } from "@tanstack/react-query";
import { Printer, Redo2, Undo2 } from "lucide-react";
import { Link, useParams } from "react-router";
import { v4 } from "uuid";
import { ladders, lesson, ownLadders, spaces } from "../../api/queries";
import { Lane } from "../../lane/lane";
import { laneBlocks } from "../../lane/lane-blocks";
import { Failed, Loading } from "../../ui/states";
import { texts } from "../../words/texts";
import { BegunNote } from "../begin/begun-note";
import { RunButton } from "../run/run-button";
import { AddBlock } from "./add-block";
import { AfterNote, NoteBefore } from "./after-note";
import { BlockList } from "./block-list";
import { Figures } from "./figures";
import { FindingsChip } from "./findings-chip";
import { Gather } from "./gather";
import { LessonLine } from "./lesson-line";
import { LessonOnPage } from "./on-page";
import { Beside } from "./plan-beside";
import { ProposeButton, ProposeLesson } from "./propose-lesson";
import { Rehearse, RehearseButton } from "./rehearse";
import { SaveState } from "./save-state";
import { SideBySide } from "./side-by-side";
import { type Parts, useEditor } from "./use-editor";

const t = texts("plan");

export function PlanView() {
  const { id = "" } = useParams();
  const loaded = useQuery({ ...lesson(id), refetchOnWindowFocus: false });
  const catalogue = useQuery(ladders);
  const own = useQuery(ownLadders);
  const rooms = useQuery(spaces);
  const failed = [loaded, catalogue, own, rooms].find((q) => q.isLoadingError);
  if (failed) return <Failed error={failed.error} again={() => failed.refetch()} />;
  if (!loaded.data || !catalogue.data || !own.data || !rooms.data) return <Loading what={t("planView.thePlan")} />;
  const retired = new Set(own.data.filter((o) => o.retired).map((o) => o.id));
  const onOffer = catalogue.data.filter((l) => !retired.has(l.id));
  return <Editor key={id} loaded={loaded.data} catalogue={catalogue.data} onOffer={onOffer} rooms={rooms.data} />;
}

function Editor(props: Parameters<typeof useEditor>[0]) {
  const parts = useEditor(props);
  const {
    loaded,
    catalogue,
    onOffer,
    rooms,
    plan,
    saved,
    draft,
    changeLesson,
    chosenId,
    setChosenId,
    adding,
    setAdding,
    proposing,
    setProposing,
    readOnly,
    chosen,
    must,
    atHome,
    rehearsal,
    rehearsed,
    mayRehearse,
    here,
    add,
  } = parts;
  return (
    <div>
      <BegunNote pupils={saved.pupils} />
      <Top {...parts} />
      {must("name") && (
        <p className="font-semibold text-alert">
          {t("planView.name")} {must("name")}.
        </p>
      )}

      <LessonLine plan={plan} rooms={rooms} readOnly={readOnly} must={must} />

      <NoteBefore classId={saved.classId} id={loaded.id} onDay={draft.onDay} />
      <Figures plan={saved.plan} atHome={atHome} />
      <Lane
        blocks={laneBlocks(saved.lesson, saved.plan, catalogue)}
        totalSec={saved.plan.totalSec}
        bellSec={saved.plan.bellSec}
        chosen={chosenId}
        onChoose={setChosenId}
        ends={rehearsed?.blocks.map((b) => ({ lowSec: b.endSec.low, highSec: b.endSec.high }))}
      />
      {mayRehearse && <Rehearse rehearsal={rehearsal} lesson={draft.lesson} catalogue={catalogue} />}

      <div className="mt-4 grid grid-cols-[minmax(0,1fr)] items-start gap-8 lg:grid-rows-[auto_1fr] lg:grid-cols-[minmax(0,1.7fr)_minmax(18rem,1fr)]">
        <div>
          <Blocks {...parts} />
        </div>
        <aside aria-label={t("planView.roomAndFindings")} className="space-y-5 lg:row-span-2">
          <Beside {...parts} />
        </aside>
        {/* Behind the findings where there is one column: what stands against the lesson comes before its kit. */}
        <div>
          <AfterNote plan={plan} readOnly={readOnly} must={must} />
          <div className="mt-8">
            <Gather view={saved} atHome={atHome} />
          </div>
        </div>
      </div>
      <ProposeLesson
        open={proposing}
        onOpenChange={setProposing}
        lessonId={loaded.id}
        lesson={draft.lesson}
        ladders={onOffer}
        pupils={saved.pupils}
        onUse={(lesson) => {
          changeLesson(lesson, `proposed ${v4()}`);
          setChosenId(undefined);
          setProposing(false);
        }}
      />
      <AddBlock
        open={adding}
        onOpenChange={setAdding}
        onOffer={onOffer}
        here={here}
        spaceName={saved.spaceName}
        after={chosen ? catalogue.find((l) => l.id === chosen.ladderId)?.name : undefined}
        onAdd={(l, r) => add((id, at) => ({ type: "ADD", id, at, ladderId: l.id, rungId: r.id }))}
      />
    </div>
  );
}

/** The name, and what can be done with the whole lesson. */
function Top({
  loaded,
  plan,
  saved,
  draft,
  change,
  readOnly,
  choose,
  blocks,
  must,
  atHome,
  rehearsal,
  mayRehearse,
  undo,
  redo,
}: Parts) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h1 className="mr-auto">
        <input
          aria-label={t("planView.nameOfTheLesson")}
          className="w-full min-w-64 bg-transparent font-head font-bold"
          aria-invalid={!!must("name")}
          value={draft.name}
          readOnly={readOnly}
          onChange={(e) => change({ ...draft, name: e.target.value }, "name")}
        />
      </h1>
      <SaveState plan={plan} />
      {!readOnly && (
        <>
          <button type="button" className="btn" onClick={undo} disabled={!undo} aria-keyshortcuts="Control+Z">
            <Undo2 size={18} aria-hidden /> {t("planView.undo")}
          </button>
          <button type="button" className="btn" onClick={redo} disabled={!redo} aria-keyshortcuts="Control+Shift+Z">
            <Redo2 size={18} aria-hidden /> {t("planView.redo")}
          </button>
        </>
      )}
      {atHome && !readOnly && (
        <Link className="btn btn-main" to={`/home?lesson=${loaded.id}`} onClick={() => choose(loaded.classId)}>
          {t("planView.sendItHome")}
        </Link>
      )}
      <FindingsChip findings={saved.findings} />
      {mayRehearse && <RehearseButton rehearsal={rehearsal} lesson={draft.lesson} />}
      {!atHome && blocks.length > 0 && (
        <Link className="btn no-underline" to={`/plan/${loaded.id}/page`}>
          <Printer size={18} aria-hidden /> {t("planView.print")}
        </Link>
      )}
      {!atHome && <RunButton lessonId={loaded.id} disabled={blocks.length === 0 || plan.unsaved} />}
    </div>
  );
}

/** The tasks in their order, and what can be added. */
function Blocks({
  catalogue,
  onOffer,
  plan,
  saved,
  draft,
  problem,
  changeLesson,
  chosenId,
  setChosenId,
  setAdding,
  setProposing,
  readOnly,
  blocks,
  setBlocks,
  atHome,
  addTime,
}: Parts) {
  return (
    <>
      <LessonOnPage
        value={{
          id: saved.id,
          lesson: draft.lesson,
          totalSec: saved.plan.totalSec,
          movingShare: saved.plan.movingShare,
        }}
      >
        <BlockList
          blocks={blocks}
          plans={saved.plan.blocks}
          circuits={atHome ? [] : draft.lesson.circuits}
          circuitPlans={saved.plan.circuits}
          catalogue={catalogue}
          onOffer={onOffer}
          problem={problem}
          chosenId={chosenId}
          onChoose={setChosenId}
          onChange={setBlocks}
          onCircuits={(circuits, step) => changeLesson({ ...draft.lesson, circuits }, step)}
          onEdit={plan.edit}
          who={saved.who}
          findings={saved.findings}
          readOnly={readOnly}
        />
      </LessonOnPage>
      {!readOnly && (
        <p className="mt-4 flex flex-wrap gap-2">
          <button type="button" className="btn" onClick={() => setAdding(true)} aria-keyshortcuts="n">
            {t("planView.addABlock")}
          </button>
          <ProposeButton onPress={() => setProposing(true)} />
          {!atHome && <SideBySide blocks={blocks} catalogue={catalogue} onEdit={plan.edit} />}
          <button type="button" className="btn" onClick={() => addTime("ROUTINE")}>
            {t("planView.routine")}
          </button>
          <button type="button" className="btn" onClick={() => addTime("WATER")}>
            {t("planView.water")}
          </button>
          <button type="button" className="btn" onClick={() => addTime("TALK")}>
            {t("planView.talk")}
          </button>
          <button type="button" className="btn" onClick={() => addTime("FREE")}>
            {t("planView.freeCombining")}
          </button>
        </p>
      )}
    </>
  );
}
