import { useQuery } from "@tanstack/react-query";
import { type ComponentType, lazy, Suspense, useState } from "react";
import { Link, useParams } from "react-router";
import { lessons, planning, spaces } from "../../api/queries";
import { useChosenClass } from "../../chosen-class";
import { savedUnits, saveUnits } from "../../lengths";
import { localDay } from "../../local-day";
import { Empty, Failed, Loading } from "../../ui/states";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { type WorkingId, workings } from "../../words-marks";
import type { Given } from "./given";
import { WorkingIcon } from "./working-icon";

const t = textsOf("marks", saidMarks);

type Part = ComponentType<{ given: Given }>;

const parts: Record<WorkingId, Part> = {
  net: lazy(() => import("./net-on-wall").then((m) => ({ default: m.NetOnWallWorking }))),
  aim: lazy(() => import("./aim").then((m) => ({ default: m.AimWorking }))),
  ceiling: lazy(() => import("./under-ceiling").then((m) => ({ default: m.CeilingWorking }))),
  "off-the-wall": lazy(() => import("./off-the-wall").then((m) => ({ default: m.OffTheWallWorking }))),
  "in-a-row": lazy(() => import("./in-a-row").then((m) => ({ default: m.InARowWorking }))),
  "step-by-step": lazy(() => import("./step-by-step").then((m) => ({ default: m.StepByStepWorking }))),
  room: lazy(() => import("./room-working").then((m) => ({ default: m.RoomWorking }))),
  markers: lazy(() => import("./markers").then((m) => ({ default: m.MarkersWorking }))),
  jack: lazy(() => import("./jack").then((m) => ({ default: m.JackWorking }))),
  bowling: lazy(() => import("./bowling").then((m) => ({ default: m.BowlingWorking }))),
  stations: lazy(() => import("./stations").then((m) => ({ default: m.StationsWorking }))),
};

/** The board of workings, and the one that is open. */
export function MarksView() {
  const { id } = useParams();
  const { chosen } = useChosenClass();
  const values = useQuery(planning);
  const rooms = useQuery(spaces);
  const plans = useQuery({ ...lessons(chosen?.id ?? ""), enabled: !!chosen });
  const [units, setUnits] = useState(savedUnits);
  const [shoeM, setShoeM] = useState<number>();
  const [paceM, setPaceM] = useState<number>();
  if (id === undefined) return <Board />;
  const Open = parts[id as WorkingId];
  if (!Open)
    return (
      <Empty title={t("marksView.thereIsNoSuch")}>
        <p>
          {t("marksView.chooseOneFromThe")} <Link to="/marks">{t("marksView.board")}</Link>.
        </p>
      </Empty>
    );
  if (values.isPending || rooms.isPending || (chosen && plans.isPending))
    return <Loading what={t("marksView.thePlanningValues")} />;
  if (values.isLoadingError) return <Failed error={values.error} again={() => values.refetch()} />;
  if (rooms.isLoadingError) return <Failed error={rooms.error} again={() => rooms.refetch()} />;
  const known = chosen?.pupils.map((p) => p.details.shoeCm).filter((s): s is number => s !== null) ?? [];
  const classShoe = known.length ? known.reduce((a, b) => a + b, 0) / known.length : values.data.usual.shoeCm;
  // The space in hand is that of the class's next lesson, or of the last there was.
  const byDay = [...(plans.data ?? [])].sort((a, b) => a.onDay.localeCompare(b.onDay));
  const today = localDay();
  const inHand = byDay.find((l) => l.onDay >= today) ?? byDay[byDay.length - 1];
  const given: Given = {
    planning: values.data,
    spaces: rooms.data,
    space: rooms.data.find((s) => s.name === inHand?.spaceName) ?? rooms.data[0],
    chosen,
    units,
    setUnits: (next) => {
      saveUnits(next);
      setUnits(next);
    },
    shoeM: shoeM ?? Math.round(classShoe) / 100,
    setShoeM,
    paceM: paceM ?? values.data.usual.paceM,
    setPaceM,
    thisYear: new Date().getFullYear(),
  };
  return (
    <Suspense fallback={<Loading what={t("marksView.theWorking")} />}>
      <Open key={`${id} ${chosen?.id}`} given={given} />
    </Suspense>
  );
}

function Board() {
  return (
    <>
      <h1 className="border-b-[3px] border-ink pb-2">{t("marksView.marks")}</h1>
      <p className="mt-2 max-w-2xl text-soft">{t("marksView.eachWorkingIsA")}</p>
      <ul className="mt-4 grid gap-x-10 sm:grid-cols-2">
        {workings.map(([id, title, about]) => (
          <li key={id} className="border-b border-rule">
            <Link to={`/marks/${id}`} className="flex items-center gap-5 py-3.5 no-underline hover:bg-tint">
              <WorkingIcon of={id} />
              <span>
                <strong className="block font-head text-lg">{title}</strong>
                <span className="text-soft">{about}</span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}
