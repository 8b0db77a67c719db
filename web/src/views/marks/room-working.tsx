import { useQuery } from "@tanstack/react-query";
import { footprints } from "../../api/queries";
import type { RoomSheet } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { Dim } from "../../drawing/pieces";
import { Stage, useScale } from "../../drawing/stage";
import { length, type Units } from "../../lengths";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { noRoom } from "../../words-marks";
import type { Given } from "./given";
import { LengthField, NumberRow } from "./length-field";
import { FromSpace, Group, Pick, Switch } from "./prefill";
import { useReckon } from "./use-reckon";
import { useValues } from "./use-values";
import { type Said, Working } from "./working";

const t = textsOf("marks", saidMarks);

type V = {
  roomLengthM: number | null;
  roomWidthM: number | null;
  ceilingM: number | null;
  hasWall: boolean;
  runM: number | null;
  depthM: number | null;
  lengthM: number | null;
  widthM: number | null;
  gapM: number | null;
  edgeM: number | null;
  needsWall: boolean;
  oneRow: boolean;
  heightM: number | null;
  pupils: number | null;
  perSpot: number | null;
  workingPerSpot: number | null;
  space: string;
  ladder: string;
};

/** Its values, and what the core says of them. */
function useRoom(given: Given) {
  const { units } = given;
  const all = useQuery(footprints);
  const size = given.space?.place.size;
  const [v, change] = useValues<V>({
    roomLengthM: size?.lengthM ?? 9,
    roomWidthM: size?.widthM ?? 6,
    ceilingM: size?.ceilingM ?? null,
    hasWall: !!size?.wall,
    runM: size?.wall?.runM ?? size?.lengthM ?? 9,
    depthM: size?.wall?.depthM ?? size?.widthM ?? 6,
    lengthM: 2,
    widthM: 2,
    gapM: 0.5,
    edgeM: 0.5,
    needsWall: false,
    oneRow: false,
    heightM: null,
    pupils: given.chosen?.pupils.length ?? 24,
    perSpot: 2,
    workingPerSpot: 1,
    space: given.space?.id ?? "",
    ladder: "",
  });
  const { answer, must, problem, of } = useReckon(
    "room",
    {
      room: {
        space: {
          lengthM: v.roomLengthM,
          widthM: v.roomWidthM,
          ceilingM: v.ceilingM,
          wall: v.hasWall ? { runM: v.runM, depthM: v.depthM } : null,
        },
        footprint: {
          lengthM: v.lengthM,
          widthM: v.widthM,
          gapM: v.gapM,
          edgeM: v.edgeM,
          needsWall: v.needsWall,
          oneRow: v.oneRow,
          heightM: v.heightM,
        },
        pupils: v.pupils,
        perSpot: v.perSpot,
      },
      workingPerSpot: v.workingPerSpot,
    },
    v,
  );
  const field = (key: keyof V & string, label: string, path: string) => (
    <LengthField
      label={label}
      units={units}
      valueM={v[key] as number | null}
      must={must(path)}
      stepM={0.1}
      onChange={(m) => change({ [key]: m } as Partial<V>)}
    />
  );
  const number = (key: keyof V & string, label: string, path: string) => (
    <NumberRow
      label={label}
      value={v[key] as number | null}
      must={must(path)}
      onChange={(n) => change({ [key]: n } as Partial<V>)}
    />
  );
  return { given, units, all, v, change, answer, of, problem, field, number };
}

type Parts = ReturnType<typeof useRoom>;

/** Any space and footprint: the placed spots, waves, who works and who counts. */
export function RoomWorking({ given }: { given: Given }) {
  const parts = useRoom(given);
  const { units, v, change, answer, of, problem } = parts;
  return (
    <Working
      title={t("roomWorking.room")}
      given={given}
      values={v}
      problem={problem}
      drawing={<Drawing v={v} of={of} answer={answer} change={change} units={units} />}
      said={answer ? told(answer, of) : []}
      controls={<Controls {...parts} />}
      measures={[
        { what: t("roomWorking.spaceLength"), m: v.roomLengthM },
        { what: t("roomWorking.spaceWidth"), m: v.roomWidthM },
        { what: t("roomWorking.oneSpotAlongTheThrow"), m: v.lengthM },
        { what: t("roomWorking.oneSpotAcross"), m: v.widthM },
        { what: t("roomWorking.freeBetweenSpots"), m: v.gapM },
        { what: t("roomWorking.freeToTheEdge"), m: v.edgeM },
      ]}
      materials={[
        t("roomWorking.flatMarkersOrChalkFor", { more: answer ? `${4 * answer.spots.spots} ` : "" }),
        t("roomWorking.tapeMeasure"),
      ]}
      cautions={["STAIRS_AND_DOORS", "TRIP_MARKERS", "SWING_CLEARANCE", "LOOSE_BALLS"]}
    />
  );
}

function Controls({ given, all, v, change, field, number }: Parts) {
  return (
    <>
      <Group title={t("roomWorking.fromTheStore")}>
        <FromSpace
          given={given}
          id={v.space}
          onSpace={(s) =>
            change({
              space: s.id,
              roomLengthM: s.place.size.lengthM,
              roomWidthM: s.place.size.widthM,
              ceilingM: s.place.size.ceilingM,
              hasWall: !!s.place.size.wall,
              runM: s.place.size.wall?.runM ?? s.place.size.lengthM,
              depthM: s.place.size.wall?.depthM ?? s.place.size.widthM,
            })
          }
        />
        <Pick
          label={t("roomWorking.task")}
          value={v.ladder}
          none={t("roomWorking.ownFootprint")}
          options={(all.data ?? []).map((l) => ({ value: l.ladderId, text: l.name }))}
          onPick={(id) => {
            const ladder = all.data?.find((l) => l.ladderId === id);
            if (ladder)
              change({
                ladder: id,
                ...ladder.footprint,
                perSpot: ladder.perSpot,
                workingPerSpot: ladder.workingAtOnce,
              });
          }}
        />
      </Group>
      <Group title={t("roomWorking.theSpace")}>
        {field("roomLengthM", t("roomWorking.length"), "room.space.lengthM")}
        {field("roomWidthM", t("roomWorking.width"), "room.space.widthM")}
        {field("ceilingM", t("roomWorking.ceilingEmptySky"), "room.space.ceilingM")}
        <Switch label={t("roomWorking.aFreeWall")} on={v.hasWall} onChange={(hasWall) => change({ hasWall })} />
        {v.hasWall && field("runM", t("roomWorking.wallAlongIt"), "room.space.wall.runM")}
        {v.hasWall && field("depthM", t("roomWorking.floorBeforeIt"), "room.space.wall.depthM")}
      </Group>
      <Group title={t("roomWorking.oneSpot")}>
        {field("lengthM", t("roomWorking.alongTheThrow"), "room.footprint.lengthM")}
        {field("widthM", t("roomWorking.across"), "room.footprint.widthM")}
        {field("gapM", t("roomWorking.freeBetweenSpots"), "room.footprint.gapM")}
        {field("edgeM", t("roomWorking.freeToTheEdge"), "room.footprint.edgeM")}
        {field("heightM", t("roomWorking.heightNeededEmptyAny"), "room.footprint.heightM")}
        <Switch label={t("roomWorking.atTheWall")} on={v.needsWall} onChange={(needsWall) => change({ needsWall })} />
        <Switch label={t("roomWorking.allInOneRow")} on={v.oneRow} onChange={(oneRow) => change({ oneRow })} />
      </Group>
      <Group title={t("roomWorking.people")}>
        {number("pupils", t("roomWorking.pupils"), "room.pupils")}
        {number("perSpot", t("roomWorking.atEachSpot"), "room.perSpot")}
        {number("workingPerSpot", t("roomWorking.ofThemWorkAtOnce"), "workingPerSpot")}
      </Group>
    </>
  );
}

function Drawing({
  v,
  of,
  answer,
  change,
  units,
}: {
  v: V;
  /** those of the answer */
  of: V;
  answer: RoomSheet | undefined;
  change: (p: Partial<V>) => void;
  units: Units;
}) {
  const atWall = v.needsWall && v.hasWall;
  const long = Math.max(0.5, (atWall ? v.runM : v.roomLengthM) ?? 5);
  const wide = Math.max(0.5, (atWall ? v.depthM : v.roomWidthM) ?? 5);
  const [alongKey, acrossKey] = atWall ? (["runM", "depthM"] as const) : (["roomLengthM", "roomWidthM"] as const);
  const round = (m: number) => Math.round(Math.max(0.5, Math.min(200, m)) * 10) / 10;
  return (
    <Stage
      world={{ left: -1.1, right: long + 0.8, bottom: -wide - 0.5, top: 0.5 }}
      units={units}
      height={480}
      label={t("roomWorking.fromAboveBy", {
        long: length(long, units),
        wide: length(wide, units),
        more: answer ? `, ${t("roomWorking.text", { count: answer.spots.spots })}` : "",
      })}
    >
      <Room long={long} wide={wide} wall={atWall} />
      {answer && <Spots answer={answer} v={of} />}
      <Dim from={0} to={long} at={0.22} text={length(long, units)} />
      <Dim from={-wide} to={0} at={-0.22} text={length(wide, units)} upright side={-1} />
      <Handle
        label={t("roomWorking.lengthOfTheSpace")}
        value={long}
        text={length(long, units)}
        least={0.5}
        greatest={200}
        step={0.1}
        axis="x"
        at={{ x: long, y: -wide / 2 }}
        onMove={(p) => change({ [alongKey]: round(p.x), space: "" })}
      />
      <Handle
        label={t("roomWorking.widthOfTheSpace")}
        value={wide}
        text={length(wide, units)}
        least={0.5}
        greatest={200}
        step={0.1}
        axis="y"
        at={{ x: long / 2, y: -wide }}
        onMove={(p) => change({ [acrossKey]: round(-p.y), space: "" })}
        onStep={(dx, dy) => change({ [acrossKey]: round(wide + dx - dy), space: "" })}
      />
    </Stage>
  );
}

function Room({ long, wide, wall }: { long: number; wide: number; wall: boolean }) {
  const { x, y } = useScale();
  return (
    <g aria-hidden>
      <rect
        x={x(0)}
        y={y(0)}
        width={x(long) - x(0)}
        height={y(-wide) - y(0)}
        fill="var(--color-tint)"
        stroke="var(--color-ink)"
        strokeWidth="3"
      />
      {wall && <line x1={x(0)} x2={x(long)} y1={y(0)} y2={y(0)} stroke="var(--throw)" strokeWidth="9" />}
    </g>
  );
}

/** A filled circle works, an open one counts or feeds. */
function Spots({ answer, v }: { answer: RoomSheet; v: V }) {
  const { x, y, perM } = useScale();
  const perSpot = v.perSpot ?? 1;
  let working = answer.working;
  let counting = answer.counting;
  return (
    <g aria-hidden>
      {answer.spots.placed.slice(0, 1500).map((s) => {
        const px = x(s.xM);
        const py = y(-s.yM);
        const w = s.alongM * perM;
        const h = s.acrossM * perM;
        const r = Math.max(2, Math.min(9, Math.min(w, h) / 6));
        const workers = Math.min(v.workingPerSpot ?? 1, working);
        const others = Math.min(perSpot - workers, counting);
        working -= workers;
        counting -= others;
        return (
          <g key={`${s.xM} ${s.yM}`}>
            <rect
              x={px}
              y={py}
              width={w}
              height={h}
              fill="#fffdf8"
              stroke="var(--throw)"
              strokeWidth="2"
              strokeDasharray="6 4"
            />
            {Array.from({ length: Math.min(8, workers + others) }, (_, i) => {
              const share = (i + 1) / (Math.min(8, workers + others) + 1);
              return (
                <circle
                  // biome-ignore lint/suspicious/noArrayIndexKey: people of one spot are told apart by their place only
                  key={i}
                  cx={w >= h ? px + w * share : px + w / 2}
                  cy={w >= h ? py + h / 2 : py + h * share}
                  r={r}
                  fill={i < workers ? "var(--color-ink)" : "#fffdf8"}
                  stroke="var(--color-ink)"
                  strokeWidth="2"
                />
              );
            })}
          </g>
        );
      })}
    </g>
  );
}

function told(a: RoomSheet, v: V): Said[] {
  if (a.spots.reason) return [{ kind: "warn", text: t("roomWorking.nothingFits", { noRoom: noRoom[a.spots.reason] }) }];
  const waves = a.spots.waves ?? 0;
  const said: Said[] = [
    {
      text: t("roomWorking.inRowsWorkCountOr", {
        count: a.spots.spots,
        rows: a.spots.rows,
        columns: a.spots.columns,
        working: a.working,
        counting: a.counting,
        waiting: a.waiting,
        count2: waves,
        count3: a.partsToRotate,
        count4: a.turns,
      }),
    },
  ];
  if (a.waiting > 0) said.push({ kind: "note", text: t("roomWorking.thoseWhoWaitNeed") });
  if ((v.pupils ?? 0) > 0)
    said.push({
      kind: "note",
      text: t("roomWorking.filledWorksOpenCounts"),
    });
  return said;
}
