import type { LessonView } from "../api/types";
import { texts } from "../words/texts";

const t = texts("ui");

export const hasWindow = (place: LessonView["place"]) => place.features.some((f) => f.kind === "WINDOW");

type Feature = LessonView["place"]["features"][number];

export const featureWord: Record<Feature["kind"], string> = {
  WINDOW: "window",
  DOOR: "door",
  WAY_OUT: t("features.wayOut"),
  STAIRS: "stairs",
  BREAKABLE: "breaks",
  OBSTACLE: t("features.inTheWay"),
};

/** As the planning values have it unless a school says otherwise: only for the drawing. */
const FREE_M = 0.8;

/** What lies along the edges of a room, each with its own sign and its name; the floor before ways through is hatched. */
export function Features({ place, scale }: { place: LessonView["place"]; scale: number }) {
  return (
    <g>
      {place.features.map((f, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: features have no id and keep their order
        <One key={i} f={f} place={place} scale={scale} />
      ))}
    </g>
  );
}

function One({ f, place, scale }: { f: Feature; place: LessonView["place"]; scale: number }) {
  const { lengthM, widthM } = place.size;
  const through = f.kind === "DOOR" || f.kind === "WAY_OUT" || f.kind === "STAIRS";
  const deep = Math.max(f.depthM, through ? FREE_M : 0);
  const box = {
    TOP: { x: f.fromM, y: 0, w: f.lengthM, h: deep },
    BOTTOM: { x: f.fromM, y: widthM - deep, w: f.lengthM, h: deep },
    LEFT: { x: 0, y: f.fromM, w: deep, h: f.lengthM },
    RIGHT: { x: lengthM - deep, y: f.fromM, w: deep, h: f.lengthM },
  }[f.edge];
  const x = 4 + box.x * scale;
  const y = 4 + box.y * scale;
  const w = box.w * scale;
  const h = box.h * scale;
  const { edge } = f;
  const line = {
    TOP: [x, y, x + w, y],
    BOTTOM: [x, y + h, x + w, y + h],
    LEFT: [x, y, x, y + h],
    RIGHT: [x + w, y, x + w, y + h],
  }[edge] as [number, number, number, number];
  const upright = edge === "LEFT" || edge === "RIGHT";
  const tx = upright ? (edge === "LEFT" ? x + Math.max(w / 2 + 4, 14) : x + w - Math.max(w, 4) / 2 - 4) : x + w / 2;
  const ty = upright ? y + h / 2 : edge === "TOP" ? y + Math.max(h / 2, 12) + 4 : y + h - Math.max(h / 2, 12) + 4;
  // A window takes no floor: its name would stand on spots, so it is said below the drawing.
  const long = (upright ? h : w) >= 44 && f.kind !== "WINDOW";
  return (
    <g aria-hidden>
      {deep > 0 && (
        <rect
          x={x}
          y={y}
          width={w}
          height={h}
          fill={f.kind === "OBSTACLE" ? "var(--color-rule)" : "none"}
          stroke="var(--color-soft)"
          strokeWidth="1.200"
          strokeDasharray={through ? "2 4" : undefined}
        />
      )}
      <line
        x1={line[0]}
        y1={line[1]}
        x2={line[2]}
        y2={line[3]}
        stroke={f.kind === "WINDOW" ? "#6fa8b8" : through ? "var(--color-catch)" : "var(--color-alert)"}
        strokeWidth="6"
        strokeDasharray={f.kind === "WINDOW" ? "8 3" : undefined}
      />
      {long && (
        <text
          x={tx}
          y={ty}
          fontSize="11.500"
          textAnchor="middle"
          fill="var(--color-soft)"
          stroke="var(--color-tint)"
          strokeWidth="3"
          paintOrder="stroke"
          transform={upright ? `rotate(-90 ${tx} ${ty})` : undefined}
        >
          {featureWord[f.kind]}
        </text>
      )}
    </g>
  );
}
