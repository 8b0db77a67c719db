import { useRef, useState } from "react";
import type { Course } from "../api/types";
import { useWidth } from "../ui/use-width";
import { metres } from "../words";
import saidRun from "../words/run.json";
import { textsOf } from "../words/texts";

const t = textsOf("run", saidRun);

const STEP_M = 0.1;
const FAR_STEP_M = 0.5;
const MOST_M = 50;
const MARGIN = 18;

type Marker = Course["markers"][number];

/** Colours that a marker may have, by the words that are called; whatever else is called lies white. */
const FILLS: Record<string, string> = {
  red: "#c63d2f",
  blue: "#2f5fc6",
  yellow: "#e0b84a",
  green: "#3d8a4e",
  orange: "#d9772b",
  black: "#1f2a2a",
  white: "#fffdf8",
  purple: "#7b4aa0",
};

const DARK = ["red", "blue", "green", "black", "purple", "orange"];

/** A course to scale: the start is a square, the markers stand in the order in which they are passed, a mark at each metre. */
export function CourseDrawing({
  course,
  onChange,
  night,
  high = 220,
  words,
}: {
  course: Course;
  /** where its markers may be moved: dragged, or by the arrow keys */
  onChange?: (course: Course) => void;
  night?: boolean;
  high?: number;
  /** of markers that are called: the word of each; no way leads from one to the next */
  words?: string[];
}) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const [held, setHeld] = useState<{ n: number; at: Marker }>();
  const from = useRef<{ x: number; y: number; at: Marker }>(undefined);
  const shown = course.markers.map((m, n) => (held?.n === n ? held.at : m));
  const alongM = Math.max(2, ...course.markers.map((m) => m.xM)) + (onChange ? 1 : 0);
  const acrossM = Math.max(1, ...course.markers.map((m) => m.yM)) + (onChange ? 1 : 0);
  const scale = width ? Math.min((width - 2 * MARGIN) / alongM, (high - 2 * MARGIN) / acrossM) : 0;
  const x = (m: number) => MARGIN + m * scale;
  const ink = night ? "var(--color-chalk)" : "var(--color-ink)";
  const soft = night ? "var(--color-mist)" : "var(--color-soft)";
  const moved = (n: number, at: Marker) =>
    onChange?.({ ...course, markers: course.markers.map((m, i) => (i === n ? at : m)) });
  const hold = (n: number, m: Marker) =>
    onChange && {
      onPointerDown: (e: React.PointerEvent<SVGGElement>) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        from.current = { x: e.clientX, y: e.clientY, at: m };
      },
      onPointerMove: (e: React.PointerEvent) => {
        const f = from.current;
        if (f) setHeld({ n, at: within(f.at.xM + (e.clientX - f.x) / scale, f.at.yM + (e.clientY - f.y) / scale) });
      },
      onPointerUp: () => {
        if (held) moved(n, held.at);
        from.current = undefined;
        setHeld(undefined);
      },
      onPointerCancel: () => {
        from.current = undefined;
        setHeld(undefined);
      },
      onKeyDown: (e: React.KeyboardEvent) => {
        const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key];
        if (!way) return;
        e.preventDefault();
        const step = e.shiftKey ? FAR_STEP_M : STEP_M;
        moved(n, within(m.xM + (way[0] ?? 0) * step, m.yM + (way[1] ?? 0) * step));
      },
      tabIndex: 0,
      role: "button",
      "aria-label": t("course.moveIt", {
        n: n + 1,
        named: words ? "yes" : "no",
        word: words?.[n] ?? "",
        x: metres(m.xM),
        y: metres(m.yM),
      }),
      style: { cursor: "grab", touchAction: "none" },
    };
  const said = words
    ? t("course.called", { n: course.markers.length, words: words.join(", ") })
    : t("course.drawn", { n: course.markers.length, back: course.back ? "yes" : "no" });
  return (
    <div ref={ref} className="min-w-0">
      <svg
        width={alongM * scale + 2 * MARGIN}
        height={acrossM * scale + 2 * MARGIN}
        role={onChange ? "group" : "img"}
        aria-label={said}
        className="block max-w-full"
      >
        <rect
          x={x(0)}
          y={x(0)}
          width={alongM * scale}
          height={acrossM * scale}
          fill="none"
          stroke={soft}
          strokeDasharray="2 5"
        />
        {Array.from({ length: Math.floor(alongM) }, (_, i) => (
          <line
            // biome-ignore lint/suspicious/noArrayIndexKey: marks of metres
            key={i}
            x1={x(i + 1)}
            x2={x(i + 1)}
            y1={x(acrossM)}
            y2={x(acrossM) - 6}
            stroke={soft}
          />
        ))}
        {!words && (
          <polyline
            points={shown.map((m) => `${x(m.xM)},${x(m.yM)}`).join(" ")}
            fill="none"
            stroke={night ? "var(--color-mist)" : "var(--color-handle)"}
            strokeWidth="3"
            strokeLinejoin="round"
          />
        )}
        {shown.map((m, n) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: markers have no id and keep their order
          <g key={n} {...hold(n, m)}>
            {n === 0 && !words ? (
              <rect x={x(m.xM) - 11} y={x(m.yM) - 11} width="22" height="22" fill={ink} />
            ) : (
              <circle
                cx={x(m.xM)}
                cy={x(m.yM)}
                r="11"
                fill={FILLS[words?.[n] ?? ""] ?? (night ? "var(--color-night)" : "var(--color-sheet)")}
                stroke={ink}
                strokeWidth="2"
              />
            )}
            <text
              x={x(m.xM)}
              y={x(m.yM) + 5}
              textAnchor="middle"
              fontSize="13"
              fontWeight="700"
              fill={
                words
                  ? DARK.includes(words[n] ?? "")
                    ? "#fffdf8"
                    : "#1f2a2a"
                  : n === 0
                    ? night
                      ? "var(--color-night)"
                      : "var(--color-sheet)"
                    : ink
              }
            >
              {words ? (words[n] ?? "").slice(0, 1).toUpperCase() : n + 1}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}

/** On the floor that there can be, to centimetres. */
function within(xM: number, yM: number): Marker {
  const to = (m: number) => Math.round(Math.min(MOST_M, Math.max(0, m)) * 100) / 100;
  return { xM: to(xM), yM: to(yM) };
}
