import { useRef } from "react";
import { useScale } from "./stage";

type Place = { x: number; y: number };

/**
 * Something to take hold of: by pointer, or focused and moved with the arrow keys (shift for ten steps). A screen reader
 * hears a slider with its value in words.
 */
export function Handle({
  label,
  value,
  text,
  least,
  greatest,
  step,
  at,
  axis,
  onMove,
  onStep,
  colour = "var(--color-ink)",
  vertical,
  bare,
  onTap,
}: {
  label: string;
  value: number;
  text: string;
  least: number;
  greatest: number;
  step: number;
  at: Place;
  axis: "x" | "y" | "both";
  onMove: (to: Place) => void;
  /** Instead of adding to the value: for handles with two directions. */
  onStep?: (dx: number, dy: number) => void;
  colour?: string;
  /** Whether the value grows upwards; else to the right. */
  vertical?: boolean;
  /** Nothing but the place to take hold of: what is moved is drawn by itself. */
  bare?: boolean;
  /** A press without a move. */
  onTap?: (at: Place) => void;
}) {
  const scale = useScale();
  const held = useRef<Place | null>(null);
  const from = useRef<Place>({ x: 0, y: 0 });
  const moved = useRef(false);
  const waiting = useRef<Place | null>(null);
  const x = scale.x(at.x);
  const y = scale.y(at.y);
  const move = (to: Place) => {
    // One move a frame: what comes in between is overtaken anyway.
    const first = waiting.current === null;
    waiting.current = to;
    if (first)
      requestAnimationFrame(() => {
        if (waiting.current) onMove(waiting.current);
        waiting.current = null;
      });
  };
  const byKey = (e: React.KeyboardEvent) => {
    const by = (e.shiftKey ? 10 : 1) * step;
    const [dx, dy] = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, by], ArrowDown: [0, -by] }[e.key] ?? [];
    if (dx === undefined || dy === undefined) return;
    e.preventDefault();
    e.stopPropagation();
    if (onStep) return onStep(dx, dy);
    const next = Math.min(greatest, Math.max(least, Number((value + dx + dy).toFixed(4))));
    const off = next - value;
    onMove(vertical ? { x: at.x, y: at.y + off } : { x: at.x + off, y: at.y });
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={Number(value.toFixed(3))}
      aria-valuemin={least}
      aria-valuemax={greatest}
      aria-valuetext={text}
      aria-orientation={axis === "y" ? "vertical" : "horizontal"}
      className="handle cursor-grab touch-none print:hidden"
      transform={`translate(${x},${y})`}
      onKeyDown={byKey}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        const p = scale.at(e);
        held.current = { x: at.x - p.x, y: at.y - p.y };
        from.current = { x: e.clientX, y: e.clientY };
        moved.current = false;
      }}
      onPointerMove={(e) => {
        if (!held.current) return;
        moved.current ||= Math.hypot(e.clientX - from.current.x, e.clientY - from.current.y) > 3;
        if (!moved.current) return;
        const p = scale.at(e);
        move({
          x: axis === "y" ? at.x : p.x + held.current.x,
          y: axis === "x" ? at.y : p.y + held.current.y,
        });
      }}
      onPointerUp={(e) => {
        if (held.current && !moved.current) onTap?.(scale.at(e));
        held.current = null;
      }}
      onPointerCancel={() => {
        held.current = null;
      }}
    >
      <circle r={bare ? 15 : 22} fill="transparent" />
      <circle
        className="handle-ring"
        r={bare ? 13 : 11}
        fill={bare ? "transparent" : "#fffdf8"}
        stroke={bare ? "none" : colour}
        strokeWidth="3"
      />
      {!bare && axis !== "y" && (
        <path
          d="M-4.500 -3L-7.500 0L-4.500 3M4.500 -3L7.500 0L4.500 3"
          fill="none"
          stroke={colour}
          strokeWidth="2"
          transform={axis === "both" ? "scale(0.8)" : undefined}
        />
      )}
      {!bare && axis !== "x" && (
        <path
          d="M-3 -4.500L0 -7.500L3 -4.500M-3 4.500L0 7.500L3 4.500"
          fill="none"
          stroke={colour}
          strokeWidth="2"
          transform={axis === "both" ? "scale(0.8)" : undefined}
        />
      )}
    </g>
  );
}
