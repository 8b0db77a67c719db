import type { Ladder, Rung } from "../api/types";
import { familyColour } from "../ui/marble";
import { useWidth } from "../ui/use-width";
import { metres } from "../words";
import { texts } from "../words/texts";

const t = texts("ui");

const HIGH = 250;
const WALL = 10;

/** One spot to scale with its neighbour beside it: wall, people, distance, the floor that stays free. */
export function Spot({ ladder, rung }: { ladder: Ladder; rung: Rung }) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const { lengthM, widthM, gapM, edgeM, needsWall } = ladder.footprint;
  const colour = familyColour[ladder.family];
  // The length lies away from a wall, else from left to right; the neighbour stands across it.
  const alongM = needsWall ? edgeM + widthM + gapM + widthM * 0.6 : edgeM + lengthM + edgeM;
  const acrossM = needsWall ? lengthM + edgeM : edgeM + widthM + gapM + widthM * 0.5;
  const scale = width ? Math.min((width - 90) / alongM, HIGH / acrossM) : 0;
  const left = 8;
  const top = needsWall ? WALL + 8 : 8;
  const box = needsWall
    ? { x: left + edgeM * scale, y: top, w: widthM * scale, h: lengthM * scale }
    : { x: left + edgeM * scale, y: top + edgeM * scale, w: lengthM * scale, h: widthM * scale };
  const next = needsWall
    ? { ...box, x: box.x + (widthM + gapM) * scale, w: box.w * 0.6 }
    : { ...box, y: box.y + (widthM + gapM) * scale, h: box.h * 0.5 };
  const stand = rung.standM !== null && rung.standM > 0 && rung.standM <= lengthM ? rung.standM : null;
  const workers = ladder.roles.filter((r) => r.works).length;
  const crew = ladder.roles.length;
  const people = ladder.roles.map((role, i) => {
    const share = (i + 1) / (crew + 1);
    const away = stand === null ? 0.8 : Math.min(0.92, stand / lengthM);
    const works = role.works;
    const ends = workers === crew && crew > 1;
    const x = needsWall ? (works ? 0.45 : 0.85) : ends ? (i === 0 ? 0.08 : 0.92) : works ? 0.1 : 0.9;
    const y = needsWall ? away : crew > 2 ? share : 0.5;
    return { key: role.name, cx: box.x + box.w * x, cy: box.y + box.h * y, works };
  });
  const w = alongM * scale + 80;
  const h = top + acrossM * scale + 30;
  const where = needsWall ? "wall" : ladder.footprint.oneRow ? "row" : "floor";
  const said = [
    t(`spot.${where}`),
    t("spot.takes", {
      length: metres(lengthM),
      width: metres(widthM),
      gap: metres(gapM),
      edge: metres(edgeM),
    }),
    stand !== null ? t(needsWall ? "spot.line" : "spot.distance", { stand: metres(stand) }) : "",
  ].join(" ");
  return (
    <figure>
      <div ref={ref}>
        <svg width={w} height={h} role="img" aria-label={said} className="block max-w-full">
          {needsWall && <rect x={left} y={8} width={alongM * scale} height={WALL} fill={colour} />}
          <rect {...rectOf(next)} fill="none" stroke="var(--color-rule)" strokeWidth="2" strokeDasharray="6 4" />
          <rect {...rectOf(box)} fill="var(--color-tint)" stroke={colour} strokeWidth="2.500" strokeDasharray="6 4" />
          {stand !== null && needsWall && (
            <>
              <line
                x1={box.x}
                x2={box.x + box.w}
                y1={box.y + stand * scale}
                y2={box.y + stand * scale}
                stroke="var(--color-ink)"
                strokeWidth="2"
              />
              <text x={box.x + 6} y={box.y + stand * scale - 6} fontSize="13" fill="var(--color-ink)">
                {metres(stand)}
              </text>
            </>
          )}
          {people.map((p) => (
            <circle
              key={p.key}
              cx={p.cx}
              cy={p.cy}
              r={8}
              fill={p.works ? "var(--color-ink)" : "var(--color-sheet)"}
              stroke="var(--color-ink)"
              strokeWidth="2"
            />
          ))}
          <text x={box.x + box.w / 2} y={h - 8} textAnchor="middle" fontSize="13" fill="var(--color-ink)">
            {metres(needsWall ? widthM : lengthM)}
          </text>
          <text x={left + alongM * scale + 8} y={box.y + box.h / 2} fontSize="13" fill="var(--color-ink)">
            {metres(needsWall ? lengthM : widthM)}
          </text>
        </svg>
      </div>
      <figcaption className="mt-1.5 text-[0.95rem]">
        {said}
        {workers < crew && <span className="text-soft"> {t("spot.filledWorksOpenHelps")}</span>}
      </figcaption>
    </figure>
  );
}

function rectOf({ x, y, w, h }: { x: number; y: number; w: number; h: number }) {
  return { x, y, width: w, height: h };
}
