import type { Family } from "../api/types";
import { familyColour } from "../ui/marble";
import { Term } from "../ui/term";
import { useWidth } from "../ui/use-width";
import { clock } from "../words";
import { texts } from "../words/texts";
import { labelRoom, labelX } from "./label-room";

export type LaneBlock = {
  id: string;
  name: string;
  /** null for time that is no task */
  family: Family | null;
  effort: number;
  startSec: number;
  endSec: number;
  setStretches: { startSec: number; endSec: number }[];
  /** one of several stations at the same time */
  beside?: { number: number; of: number };
};

const t = texts("ui");

const TOP = 26;
const STEP = 17;
const THICK = 14;

/** 0, step, 2 step … up to the last that is not above. */
const every = (step: number, last: number) => Array.from({ length: Math.floor(last / step) + 1 }, (_, i) => i * step);

function Tick({ min, x, top, baseY }: { min: number; x: number; top: number; baseY: number }) {
  return (
    <g>
      <line x1={x} x2={x} y1={top} y2={baseY} stroke="var(--line)" strokeWidth="1" />
      <text
        x={x}
        y={baseY + 17}
        textAnchor={min === 0 ? "start" : "middle"}
        fontSize="12.500"
        fill="var(--label)"
        className="clock"
      >
        {min}
      </text>
    </g>
  );
}

function Bell({ x, top, baseY }: { x: number; top: number; baseY: number }) {
  return (
    <g aria-hidden>
      <line x1={x} x2={x} y1={top - 14} y2={baseY + 4} stroke="var(--axis)" strokeWidth="4" />
      <path d={`M${x - 6} ${top - 10}a6 7 0 0 1 12 0v3h-12z`} fill="var(--axis)" />
      <circle cx={x} cy={top - 5} r="2" fill="var(--axis)" />
    </g>
  );
}

const summed = (length: number, totalSec: number, bellSec: number) =>
  t("lane.blocksEndsAtBellAt", { length, totalSec: clock(totalSec), bellSec: clock(bellSec) });

/** The lesson to scale: time across, effort upwards, nicks for sets, dots for changes, the bell, red hatching past it. */
export function Lane({
  blocks,
  totalSec,
  bellSec,
  atSec,
  chosen,
  onChoose,
  labels = true,
  ends,
}: {
  blocks: LaneBlock[];
  totalSec: number;
  bellSec: number;
  atSec?: number;
  chosen?: string;
  onChoose?: (id: string) => void;
  labels?: boolean;
  /** of a rehearsal: between which seconds each block is likely to be over */
  ends?: { lowSec: number; highSec: number }[];
}) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const top = labels ? TOP : 18;
  const baseY = top + 5 * (labels ? STEP : 9) + 8;
  const height = baseY + 24;
  const endSec = Math.max(totalSec, bellSec, 60, ...(ends ?? []).map((e) => e.highSec));
  const left = atSec === undefined ? 4 : 14;
  const right = labels ? 30 : 14;
  const x = (sec: number) => left + (Math.max(0, width - left - right) * sec) / endSec;
  const y = (effort: number) => top + (5 - effort) * (labels ? STEP : 9) + THICK / 2;
  const tickMin = [1, 2, 5, 10, 20, 30].find((m) => x(m * 60) - x(0) >= 46) ?? 60;
  const ticks = every(tickMin, endSec / 60);
  const summary = summed(blocks.length, totalSec, bellSec);
  return (
    <div ref={ref} className="relative w-full">
      {labels && blocks.length > 0 && (
        <p className="absolute top-[-3px] left-1 text-[0.8rem] leading-tight text-soft">
          <Term of="lane">{t("lane.lane")}</Term>: {t("lane.effort")}
        </p>
      )}
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={t("lane.laneOfTheLesson", { summary })}
        className="block"
      >
        <title>{summary}</title>
        <defs>
          <pattern id="past-bell" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="3" height="8" fill="var(--danger)" />
          </pattern>
        </defs>
        {ticks.map((m) => (
          <Tick key={m} min={m} x={x(m * 60)} top={top} baseY={baseY} />
        ))}
        {totalSec > bellSec && (
          <rect
            x={x(bellSec)}
            y={top - 8}
            width={x(totalSec) - x(bellSec)}
            height={baseY - top + 8}
            fill="url(#past-bell)"
            opacity="0.55"
          />
        )}
        <Bell x={x(bellSec)} top={top} baseY={baseY} />
        {blocks.slice(1).map((b, i) => {
          const from = b.beside && b.beside.number > 0 ? undefined : blocks[i];
          return (
            from && (
              <line
                key={b.id}
                x1={x(from.endSec)}
                y1={y(from.effort)}
                x2={x(b.startSec)}
                y2={y(b.effort)}
                stroke="var(--axis)"
                strokeWidth="2.500"
                strokeDasharray="1 5"
                strokeLinecap="round"
              />
            )
          );
        })}
        {blocks.map((b, i) => {
          // Stations share the height of one block, one strip each; the first has the name.
          const strip = THICK / (b.beside?.of ?? 1);
          const topY = y(b.effort) - THICK / 2 + strip * (b.beside?.number ?? 0);
          const shown = labels
            ? labelRoom(
                b,
                blocks.slice(i + 1).filter((o) => !o.beside || o.beside.number === 0),
                x,
                width - right,
              )
            : "";
          return (
            // biome-ignore lint/a11y/noStaticElementInteractions: the drawing is named as one picture
            <g key={b.id} onClick={() => onChoose?.(b.id)} style={{ cursor: onChoose ? "pointer" : undefined }}>
              <line
                x1={x(b.startSec)}
                x2={x(b.endSec)}
                y1={topY + strip / 2}
                y2={topY + strip / 2}
                stroke={b.family ? familyColour[b.family] : "var(--label)"}
                strokeWidth="3"
              />
              {b.setStretches.map((s) => (
                <rect
                  key={s.startSec}
                  x={x(s.startSec)}
                  y={topY}
                  width={Math.max(3, x(s.endSec) - x(s.startSec) - 2)}
                  height={b.beside ? strip - 0.5 : THICK}
                  rx={b.beside ? 1 : 3}
                  fill={b.family ? familyColour[b.family] : "var(--label)"}
                />
              ))}
              {chosen === b.id && (
                <rect
                  x={x(b.startSec) - 3}
                  y={y(b.effort) - THICK / 2 - 4}
                  width={x(b.endSec) - x(b.startSec) + 6}
                  height={THICK + 8}
                  rx="6"
                  fill="none"
                  stroke="var(--axis)"
                  strokeWidth="2"
                />
              )}
              {shown && (
                <text
                  x={labelX(x(b.startSec), shown, width - right)}
                  y={y(b.effort) - THICK / 2 - 7}
                  fontSize="13"
                  fontWeight="650"
                  paintOrder="stroke"
                  stroke="var(--ground)"
                  strokeWidth="4"
                  fill="var(--label)"
                >
                  {shown}
                </text>
              )}
            </g>
          );
        })}
        <line x1={left} x2={x(endSec)} y1={baseY} y2={baseY} stroke="var(--axis)" strokeWidth="2.500" />
        {ends?.map((e, i) => (
          <rect
            // biome-ignore lint/suspicious/noArrayIndexKey: one for each block, in their order
            key={i}
            x={x(e.lowSec)}
            y={baseY - 5}
            width={Math.max(3, x(e.highSec) - x(e.lowSec))}
            height={10}
            rx="5"
            fill="var(--axis)"
            opacity="0.35"
            aria-hidden
          />
        ))}
        {atSec !== undefined && <image href="/marble.svg" x={x(atSec) - 13} y={baseY - 26} width="26" height="26" />}
      </svg>
    </div>
  );
}
