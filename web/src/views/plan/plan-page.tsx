import { useQuery } from "@tanstack/react-query";
import { ArrowLeft, Printer } from "lucide-react";
import { Link, useParams } from "react-router";
import { ladders, lesson } from "../../api/queries";
import type { Block, BlockPlan, Circuit, CircuitPlan, Ladder, LessonView } from "../../api/types";
import { Lane } from "../../lane/lane";
import { blockName, laneBlocks } from "../../lane/lane-blocks";
import { CourseDrawing } from "../../room/course";
import { Room } from "../../room/room";
import { StationsRoom } from "../../room/stations-room";
import { Failed, Loading } from "../../ui/states";
import { bell, caution, clock, day, deferring, dose, gate, stationDose, turns } from "../../words";
import { texts } from "../../words/texts";
import { WhoIsWhere } from "./who-is-where";

const t = texts("plan");

/** A lesson on one page for a clipboard, or for whoever takes it over: times, tasks, cues, room, kit, cautions, room for notes. */
export function PlanPage() {
  const { id = "" } = useParams();
  const one = useQuery(lesson(id));
  const catalogue = useQuery(ladders);
  const failed = [one, catalogue].find((q) => q.isLoadingError);
  if (failed) return <Failed error={failed.error} again={() => failed.refetch()} />;
  if (!one.data || !catalogue.data) return <Loading what={t("page.loading")} />;
  return <Page view={one.data} catalogue={catalogue.data} />;
}

function Page({ view, catalogue }: { view: LessonView; catalogue: Ladder[] }) {
  const { lesson: planned, plan } = view;
  const cautions = [
    ...new Set(planned.blocks.flatMap((b) => catalogue.find((l) => l.id === b.ladderId)?.cautions ?? [])),
  ];
  // The room as the fullest block needs it.
  const fullest = [...plan.blocks].sort((a, b) => (b.spots?.placed.length ?? 0) - (a.spots?.placed.length ?? 0))[0];
  const inRoom = planned.blocks.find((b) => b.id === fullest?.id);
  const circuit = plan.circuits[0];
  const stationNames = (c: CircuitPlan) =>
    c.stations.map((s) => {
      const station = planned.blocks.find((b) => b.id === s.blockId);
      return station ? blockName(station, catalogue) : "";
    });
  const roomLadder = catalogue.find((l) => l.id === inRoom?.ladderId);
  return (
    <article className="mx-auto max-w-4xl print:max-w-none" data-testid="plan-page">
      <p className="mb-4 flex flex-wrap gap-3 print:hidden">
        <Link className="btn btn-small no-underline" to={`/plan/${view.id}`}>
          <ArrowLeft size={16} aria-hidden /> {t("page.back")}
        </Link>
        <button type="button" className="btn btn-small btn-main" onClick={() => window.print()}>
          <Printer size={16} aria-hidden /> {t("page.print")}
        </button>
      </p>
      <h1>{view.name}</h1>
      <p>
        {t("page.head", { name: view.className, day: day(view.onDay), space: view.spaceName, pupils: view.pupils })}
        {planned.startMin !== null && ` · ${t("page.beginsAt", { at: at(planned.startMin, 0) })}`}
        {" · "}
        {t("page.sum", { total: clock(plan.totalSec), bell: bell(plan) })}
      </p>
      <Lane
        blocks={laneBlocks(planned, plan, catalogue)}
        totalSec={plan.totalSec}
        bellSec={plan.bellSec}
        labels={false}
      />
      <table className="mt-2 w-full border-collapse">
        <thead>
          <tr className="border-b-2 border-ink text-left text-sm">
            {(["time", "task", "cues"] as const).map((h) => (
              <th key={h} scope="col" className="pr-3">
                {t(`page.${h}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {planned.blocks.map((b, i) => (
            <Row
              key={b.id}
              number={i + 1}
              block={b}
              plan={plan.blocks.find((p) => p.id === b.id)}
              ladder={catalogue.find((l) => l.id === b.ladderId)}
              catalogue={catalogue}
              startMin={planned.startMin}
              circuit={planned.circuits.find((c) => c.stationIds.includes(b.id))}
            />
          ))}
        </tbody>
      </table>
      <div className="mt-4 grid grid-cols-[minmax(0,1fr)] gap-6 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] print:grid-cols-2">
        <div>
          {circuit && (
            <StationsRoom
              place={view.place}
              circuit={circuit}
              plans={plan.blocks}
              names={stationNames(circuit)}
              spaceName={view.spaceName}
            />
          )}
          {!circuit && inRoom && (
            <Room
              place={view.place}
              plan={fullest}
              block={inRoom}
              needsWall={roomLadder?.footprint.needsWall ?? false}
              name={`${view.spaceName}: ${roomLadder?.name ?? ""}`}
              atHome={false}
            />
          )}
        </div>
        <div className="space-y-3">
          <section>
            <h2 className="border-b-2 border-ink text-base">{t("page.kit")}</h2>
            <ul className="columns-2 text-[0.95rem]">
              {view.gather.items.map((i) => (
                <li key={i.kind}>
                  <span className="clock">{i.group === "MARK" ? t("page.some") : i.count}</span>{" "}
                  {i.group === "MARK" ? i.name : i.called}
                </li>
              ))}
            </ul>
          </section>
          <section>
            <h2 className="border-b-2 border-ink text-base">{t("page.care")}</h2>
            <p className="text-[0.95rem]">
              {cautions.map((c) => caution[c]).join(" ")} {deferring}
            </p>
          </section>
        </div>
      </div>
      {plan.circuits.map((c) => (
        <WhoIsWhere key={c.id} circuit={c} names={stationNames(c)} />
      ))}
      <section className="mt-4">
        <h2 className="text-base">{t("page.notes")}</h2>
        <p className="text-sm text-soft">{t("page.notesFor")}</p>
        <div className="h-24 border-b border-rule" />
      </section>
    </article>
  );
}

/** A block: when, what, and what to say. */
function Row({
  number,
  block,
  plan,
  ladder,
  catalogue,
  startMin,
  circuit,
}: {
  number: number;
  block: Block;
  plan: BlockPlan | undefined;
  ladder: Ladder | undefined;
  catalogue: Ladder[];
  startMin: number | null;
  circuit: Circuit | undefined;
}) {
  const rung = ladder?.rungs.find((r) => r.id === block.rungId);
  const words = plan?.words ?? rung;
  const quiet = catalogue.find((l) => l.id === block.meanwhile?.ladderId);
  const quietRung = quiet?.rungs.find((r) => r.id === block.meanwhile?.rungId);
  return (
    <tr className="break-inside-avoid border-b border-rule align-top">
      <td className="clock py-1 pr-3 whitespace-nowrap">
        {plan && at(startMin, plan.startSec)}
        <span className="block text-sm text-soft">{plan && clock(plan.endSec - plan.startSec)}</span>
        {circuit && (
          <span className="block text-sm">
            {t("circuit.pageStation", { n: circuit.stationIds.indexOf(block.id) + 1, of: circuit.stationIds.length })}
          </span>
        )}
      </td>
      <td className="py-1 pr-3">
        <strong>
          {number} {blockName(block, catalogue)}
        </strong>
        {words && `: ${words.name}`}{" "}
        <span className="text-soft">
          {circuit && plan ? stationDose(block, plan, circuit) : dose(block, plan, rung)}
        </span>
        {words && <span className="block text-[0.95rem]">{words.task}</span>}
        {plan?.measure?.type === "COURSE_TIME" && plan.measure.course && (
          <CourseDrawing course={plan.measure.course} high={130} />
        )}
        {block.called && (
          <CourseDrawing
            course={{ markers: block.called.markers, back: false }}
            words={block.called.markers.map((m) => m.word)}
            high={130}
          />
        )}
        {plan && !circuit && plan.turns > 1 && <span className="block text-[0.95rem]">{turns(plan)}</span>}
        {quiet && quietRung && (
          <span className="block text-[0.95rem]">
            {t("page.quiet", { task: `${quiet.name}, ${quietRung.name.toLowerCase()}` })}
          </span>
        )}
        {block.note && <span className="block text-[0.95rem]">{block.note}</span>}
      </td>
      <td className="py-1 text-[0.95rem]">
        {ladder?.cues.join(" · ")}
        {rung && ladder?.counted && block.counted && (
          <span className="block text-soft">
            {t("page.goal", { gate: gate({ ...rung, gate: plan?.gate ?? rung.gate }) })}
          </span>
        )}
      </td>
    </tr>
  );
}

/** The clock on the wall where the beginning is known, else from the beginning on. */
function at(startMin: number | null, sec: number): string {
  if (startMin === null) return clock(sec);
  const min = startMin + Math.floor(sec / 60);
  return `${Math.floor(min / 60)}:${String(min % 60).padStart(2, "0")}`;
}
