import type { PathPoint } from "../api/types";
import { useScale } from "./stage";

/** Floor line with its hatching. */
export function Floor({ from, to }: { from?: number; to?: number }) {
  const { x, y, world } = useScale();
  const a = x(from ?? world.left);
  const b = x(to ?? world.right);
  return (
    <g aria-hidden>
      <line x1={a} x2={b} y1={y(0)} y2={y(0)} stroke="var(--color-ink)" strokeWidth="3" />
      <rect x={a} y={y(0) + 1.5} width={Math.max(0, b - a)} height="6" fill="url(#hatch)" />
      <Hatch />
    </g>
  );
}

function Hatch() {
  return (
    <defs>
      <pattern id="hatch" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" x2="0" y1="0" y2="8" stroke="var(--color-soft)" strokeWidth="2" />
      </pattern>
    </defs>
  );
}

export function Wall({ at, top }: { at: number; top?: number }) {
  const { x, y, world } = useScale();
  return (
    <rect
      aria-hidden
      x={x(at)}
      y={y(top ?? world.top)}
      width="10"
      height={y(0) - y(top ?? world.top)}
      fill="var(--color-rule)"
      stroke="var(--color-ink)"
      strokeWidth="1.5"
    />
  );
}

export function Ceiling({ at, label }: { at: number; label: string }) {
  const { x, y, world } = useScale();
  return (
    <g aria-hidden>
      <line x1={x(world.left)} x2={x(world.right)} y1={y(at)} y2={y(at)} stroke="var(--color-ink)" strokeWidth="3" />
      <text x={x(world.left) + 4} y={y(at) - 7} fontSize="13" fill="var(--color-soft)">
        {label}
      </text>
    </g>
  );
}

/** A flight. `dashed` for what would have come. */
export function Flight({
  path,
  colour,
  dashed,
  width = 3,
}: {
  path: PathPoint[];
  colour: string;
  dashed?: boolean;
  width?: number;
}) {
  const { x, y } = useScale();
  if (path.length === 0) return null;
  const d = path.map((p, i) => `${i === 0 ? "M" : "L"}${x(p.xM).toFixed(1)} ${y(p.yM).toFixed(1)}`).join("");
  return (
    <path
      aria-hidden
      d={d}
      fill="none"
      stroke={colour}
      strokeWidth={width}
      strokeDasharray={dashed ? "3 6" : undefined}
      strokeLinejoin="round"
      strokeLinecap="round"
    />
  );
}

/** A standing figure, feet at x, as tall as its hands reach when throwing from `handM`. */
export function Figure({ at, handM, facing = 1 }: { at: number; handM: number; facing?: 1 | -1 }) {
  const { x, y, perM } = useScale();
  // A child, or as tall as a hand so high asks for.
  const tall = Math.max(1.4, Math.min(1.9, handM * 0.92));
  const head = tall * 0.09;
  const shoulder = tall * 0.8;
  const cx = x(at) - facing * 0.12 * perM;
  return (
    <g aria-hidden fill="none" stroke="var(--color-ink)" strokeWidth="3" strokeLinecap="round">
      <circle cx={cx} cy={y(tall - head)} r={head * perM} fill="var(--color-tint)" strokeWidth="2.500" />
      <path d={`M${cx} ${y(tall - 2 * head)}L${cx} ${y(tall * 0.45)}`} />
      <path
        d={`M${cx} ${y(tall * 0.45)}L${cx - 0.13 * perM} ${y(0)}M${cx} ${y(tall * 0.45)}L${cx + 0.13 * perM} ${y(0)}`}
      />
      <path d={`M${cx} ${y(shoulder)}L${x(at)} ${y(handM)}`} />
    </g>
  );
}

export function Ball({ at, radiusM, colour }: { at: PathPoint; radiusM: number; colour: string }) {
  const { x, y, perM } = useScale();
  return (
    <circle
      aria-hidden
      cx={x(at.xM)}
      cy={y(at.yM)}
      r={Math.max(3, radiusM * perM)}
      fill={colour}
      fillOpacity="0.25"
      stroke={colour}
      strokeWidth="2"
    />
  );
}

/** A measured length along the floor or up a wall, with its figure. */
export function Dim({
  from,
  to,
  at,
  text,
  upright,
  colour = "var(--color-soft)",
  side = 1,
}: {
  from: number;
  to: number;
  /** The other coordinate in metres: height of a level line, place of an upright one. */
  at: number;
  text: string;
  upright?: boolean;
  colour?: string;
  side?: 1 | -1;
}) {
  const { x, y } = useScale();
  const [x1, y1, x2, y2] = upright ? [x(at), y(from), x(at), y(to)] : [x(from), y(at), x(to), y(at)];
  const mx = (x1 + x2) / 2;
  const my = (y1 + y2) / 2;
  const tick = upright ? "h" : "v";
  return (
    <g aria-hidden stroke={colour} strokeWidth="1.500" fill="none">
      <path
        d={`M${x1} ${y1}L${x2} ${y2}M${x1} ${y1}m${upright ? "-4 0" : "0 -4"}${tick}8M${x2} ${y2}m${upright ? "-4 0" : "0 -4"}${tick}8`}
      />
      <Label
        px={upright ? mx + side * 7 : mx}
        py={upright ? my + 4 : my + (side === 1 ? -6 : 16)}
        anchor={upright ? (side === 1 ? "start" : "end") : "middle"}
        colour={colour}
      >
        {text}
      </Label>
    </g>
  );
}

/** Words in the drawing, with the ground behind them so that lines do not run through. */
export function Label({
  px,
  py,
  anchor = "middle",
  colour = "var(--color-ink)",
  bold,
  children,
}: {
  px: number;
  py: number;
  anchor?: "start" | "middle" | "end";
  colour?: string;
  bold?: boolean;
  children: string;
}) {
  return (
    <text
      aria-hidden
      x={px}
      y={py}
      textAnchor={anchor}
      fontSize="13.500"
      fontWeight={bold ? 700 : 400}
      fill={colour}
      stroke="#fffdf8"
      strokeWidth="4"
      paintOrder="stroke"
    >
      {children}
    </text>
  );
}

/** A label at a place in metres. */
export function LabelAt({
  xM,
  yM,
  dx = 0,
  dy = 0,
  ...rest
}: {
  xM: number;
  yM: number;
  dx?: number;
  dy?: number;
  anchor?: "start" | "middle" | "end";
  colour?: string;
  bold?: boolean;
  children: string;
}) {
  const { x, y } = useScale();
  return <Label px={x(xM) + dx} py={y(yM) + dy} {...rest} />;
}
