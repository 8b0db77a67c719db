import { useRef, useState } from "react";
import type { BlockPlan, CircuitPlan, LessonView, StationPlan } from "../api/types";
import { Choice } from "../ui/choice";
import { familyColour } from "../ui/marble";
import { useWidth } from "../ui/use-width";
import { edgeWord, metres, whereWord } from "../words";
import { texts } from "../words/texts";
import { Features, hasWindow } from "./features";
import { type Edge, Walls, wallsOf } from "./walls";

const t = texts("plan");

/** The room to scale with all stations of a circuit, each with its number, its spots and where whoever throws throws to. */
export function StationsRoom({
  place,
  circuit,
  plans,
  names,
  spaceName,
  chosenId,
  onPlace,
  must,
}: {
  place: LessonView["place"];
  circuit: CircuitPlan;
  plans: BlockPlan[];
  /** of the tasks, in the order of the stations */
  names: string[];
  spaceName: string;
  chosenId?: string;
  /** a station was put somewhere else: metres from the left and the top */
  onPlace?: (blockId: string, xM: number, yM: number) => void;
  /** why it could not be put where it was to be */
  must?: string;
}) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const { lengthM, widthM } = place.size;
  const scale = width ? Math.min((width - 8) / lengthM, 340 / widthM) : 0;
  const colour = (s: StationPlan) => familyColour[plans.find((p) => p.id === s.blockId)?.family ?? "MOVE"];
  const wallOf = (s: StationPlan) => plans.find((p) => p.id === s.blockId)?.atWalls[0]?.edge;
  const told = (s: StationPlan, i: number) =>
    t("circuit.at", { n: i + 1, name: names[i] ?? "", spots: s.spots.length, where: whereWord(s.where) });
  const where = circuit.stations.map((s, i) => told(s, i)).join(" ");
  const label = t("circuit.room", {
    place: spaceName,
    length: metres(lengthM),
    width: metres(widthM),
    n: circuit.stations.length,
    where,
  });
  return (
    <figure>
      <div ref={ref}>
        <svg
          width={lengthM * scale + 8}
          height={widthM * scale + 8}
          role={onPlace ? "group" : "img"}
          aria-label={label}
          className="block"
        >
          <rect
            x="4"
            y="4"
            width={lengthM * scale}
            height={widthM * scale}
            fill="var(--color-tint)"
            stroke="var(--color-ink)"
            strokeWidth="3"
          />
          <Walls place={place} scale={scale} colour="var(--color-ink)" thick={7} />
          <Features place={place} scale={scale} />
          {circuit.stations.map((s, i) => (
            <One
              key={s.blockId}
              s={s}
              n={i + 1}
              name={names[i] ?? ""}
              colour={colour(s)}
              scale={scale}
              chosen={s.blockId === chosenId}
              onPlace={onPlace && ((xM, yM) => onPlace(s.blockId, xM, yM))}
            />
          ))}
          {circuit.adult && <You x={4 + circuit.adult.xM * scale} y={4 + circuit.adult.yM * scale} />}
        </svg>
      </div>
      <figcaption className="mt-1.5 space-y-0.5 text-[0.95rem]">
        {must && (
          <p role="alert" className="font-semibold text-alert">
            {t("circuit.place", { must })}
          </p>
        )}
        <ol>
          {circuit.stations.map((s, i) => (
            <li key={s.blockId} className={s.reason ? "font-semibold text-alert" : ""}>
              {s.reason ? t("circuit.noRoom", { name: `${i + 1} ${names[i] ?? ""}` }) : told(s, i)}
              {onPlace && !s.reason && (
                <WhichWall place={place} s={s} n={i + 1} name={names[i] ?? ""} at={wallOf(s)} onPlace={onPlace} />
              )}
            </li>
          ))}
        </ol>
        <p>
          {circuit.adult
            ? t("circuit.youStand", {
                x: metres(circuit.adult.xM),
                y: metres(circuit.adult.yM),
                hiddenCount: circuit.adult.hidden.length,
                hidden: each(circuit.adult.hidden.map((i) => i + 1)),
              })
            : t("circuit.youNowhere")}
        </p>
        {hasWindow(place) && <p className="text-soft">{t("room.windows")}</p>}
      </figcaption>
    </figure>
  );
}

/** Where the teacher stands. */
function You({ x, y }: { x: number; y: number }) {
  return (
    <g transform={`translate(${x} ${y})`} aria-hidden>
      <circle r="14" fill="var(--color-ink)" />
      <text y="4.500" textAnchor="middle" fontSize="13" fontWeight="700" fill="var(--color-sheet)">
        {t("circuit.you")}
      </text>
    </g>
  );
}

/** "2", or "2 and 4"; "none" for none. */
function each(stations: number[]): string {
  return stations.length ? stations.join(" and ") : "none";
}

/** Another wall for a station that needs one: it goes to the middle of it. */
function WhichWall({
  place,
  s,
  n,
  name,
  at,
  onPlace,
}: {
  place: LessonView["place"];
  s: StationPlan;
  n: number;
  name: string;
  at: Edge | undefined;
  onPlace: (blockId: string, xM: number, yM: number) => void;
}) {
  const walls = wallsOf(place);
  if (!at || walls.length < 2) return null;
  const { alongM, acrossM } = s.placed;
  const halfDeep = (at === "TOP" || at === "BOTTOM" ? acrossM : alongM) / 2;
  const put = (edge: Edge) => {
    const wall = walls.find((w) => w.edge === edge);
    if (!wall) return;
    const mid = wall.fromM + wall.stretch.runM / 2;
    const [x, y] = {
      TOP: [mid, halfDeep],
      BOTTOM: [mid, place.size.widthM - halfDeep],
      LEFT: [halfDeep, mid],
      RIGHT: [place.size.lengthM - halfDeep, mid],
    }[edge] as [number, number];
    onPlace(s.blockId, round(x - alongM / 2), round(y - acrossM / 2));
  };
  return (
    <span className="ml-2 inline-block">
      <Choice
        label={t("circuit.wall", { n, name })}
        value={at}
        options={[...new Set(walls.map((w) => w.edge))].map((value) => ({ value, text: edgeWord[value] }))}
        onChange={put}
      />
    </span>
  );
}

const STEP_M = 0.1;
const FAR_STEP_M = 0.5;

/** A station: dragged, or moved by the arrow keys, it is put somewhere else where that may be. */
function One({
  s,
  n,
  name,
  colour,
  scale,
  chosen,
  onPlace,
}: {
  s: StationPlan;
  n: number;
  name: string;
  colour: string;
  scale: number;
  chosen: boolean;
  onPlace?: (xM: number, yM: number) => void;
}) {
  const [by, setBy] = useState<{ x: number; y: number }>();
  const from = useRef<{ x: number; y: number }>(undefined);
  if (s.reason) return null;
  const { placed } = s;
  const x = 4 + placed.xM * scale;
  const y = 4 + placed.yM * scale;
  const w = placed.alongM * scale;
  const h = placed.acrossM * scale;
  const put = (dxM: number, dyM: number) => onPlace?.(round(placed.xM + dxM), round(placed.yM + dyM));
  const drag = onPlace && {
    onPointerDown: (e: React.PointerEvent<SVGGElement>) => {
      e.currentTarget.setPointerCapture(e.pointerId);
      from.current = { x: e.clientX, y: e.clientY };
    },
    onPointerMove: (e: React.PointerEvent) => {
      if (from.current) setBy({ x: e.clientX - from.current.x, y: e.clientY - from.current.y });
    },
    onPointerUp: () => {
      if (by && Math.hypot(by.x, by.y) > 3) put(by.x / scale, by.y / scale);
      from.current = undefined;
      setBy(undefined);
    },
    onPointerCancel: () => {
      from.current = undefined;
      setBy(undefined);
    },
    onKeyDown: (e: React.KeyboardEvent) => {
      const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key];
      if (!way) return;
      e.preventDefault();
      const step = e.shiftKey ? FAR_STEP_M : STEP_M;
      put((way[0] ?? 0) * step, (way[1] ?? 0) * step);
    },
    tabIndex: 0,
    role: "button",
    "aria-label": t("circuit.moveIt", { n, name, x: metres(placed.xM), y: metres(placed.yM) }),
    style: { cursor: "grab", touchAction: "none" },
  };
  return (
    <g transform={by ? `translate(${by.x} ${by.y})` : undefined} {...drag}>
      {s.spots.map((p) => (
        <rect
          key={`${p.xM}/${p.yM}`}
          x={4 + p.xM * scale}
          y={4 + p.yM * scale}
          width={p.alongM * scale}
          height={p.acrossM * scale}
          fill="none"
          stroke={colour}
          strokeWidth="1.500"
          strokeDasharray="5 4"
        />
      ))}
      <rect
        x={x}
        y={y}
        width={w}
        height={h}
        fill={colour}
        fillOpacity={chosen ? 0.2 : 0.08}
        stroke={colour}
        strokeWidth={chosen ? 4 : 2.5}
      />
      {s.way && <Arrow way={s.way} x={x} y={y} w={w} h={h} colour={colour} />}
      <circle cx={x + w / 2} cy={y + h / 2} r="14" fill="var(--color-sheet)" stroke={colour} strokeWidth="2.500" />
      <text x={x + w / 2} y={y + h / 2 + 6} textAnchor="middle" fontSize="17" fontWeight="700" fill="var(--color-ink)">
        {n}
      </text>
    </g>
  );
}

/** To centimetres. */
function round(m: number): number {
  return Math.round(m * 100) / 100;
}

/** Where the ball goes. */
function Arrow({
  way,
  x,
  y,
  w,
  h,
  colour,
}: {
  way: NonNullable<StationPlan["way"]>;
  x: number;
  y: number;
  w: number;
  h: number;
  colour: string;
}) {
  const to = {
    TOP: [x + w * 0.8, y + 6, 0],
    BOTTOM: [x + w * 0.8, y + h - 6, 180],
    LEFT: [x + 6, y + h * 0.8, 270],
    RIGHT: [x + w - 6, y + h * 0.8, 90],
  }[way];
  return (
    <path
      d="M0 0l8 13h-5v11h-6v-11h-5z"
      transform={`translate(${to[0]} ${to[1]}) rotate(${to[2]})`}
      fill={colour}
      aria-hidden
    />
  );
}
