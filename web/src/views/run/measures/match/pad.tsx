import { type PointerEvent, useRef } from "react";
import type { End, Tap } from "../../../../api/types";
import { useReckon } from "../../../marks/use-reckon";
import type { Of } from "../measure-view";
import type { PadProps } from "../shared/pad";
import { type Team, teamPoints } from "./fold";

const BALLS_A_SIDE = 3;
const FAR_CM = 150;
/** What a child's eye takes for level. */
const TOLERANCE_CM = 1;

const sideColour = { A: "#9db2ff", B: "#e0b84a" };

/**
 * Nearest the jack: lay the balls as they lie and the core says who plays and what the end is worth; or, by eye, press what it was worth. An end
 * counts once it is pressed.
 */
export function MatchPad({ taps, open, tap, sides: name }: PadProps<Of<"MATCH">>) {
  const svg = useRef<SVGSVGElement>(null);
  const ends = taps.filter((t) => t.type === "END_WON");
  const lastEnd = taps.map((t) => t.type).lastIndexOf("END_WON");
  const balls = taps.slice(lastEnd + 1).filter((t) => t.type === "BALL");
  const jack: Team = ends.filter((t) => t.team !== null).at(-1)?.team ?? "A";
  const left = (team: Team) => BALLS_A_SIDE - balls.filter((t) => t.team === team).length;
  const { answer, problem } = useReckon<End>("ends", {
    balls: balls.map((t) => ({ side: t.team, distanceCm: Math.hypot(t.xCm, t.yCm), dead: false })),
    toleranceCm: TOLERANCE_CM,
    tieRule: "NONE_SCORES",
    jackSide: jack,
    lastSide: balls.at(-1)?.team ?? null,
    ballsLeft: { A: Math.max(0, left("A")), B: Math.max(0, left("B")) },
  });
  const next = (balls.length === 0 ? jack : answer?.nextToPlay) ?? null;
  const lay = (e: PointerEvent) => {
    if (!open || !svg.current || !next || left(next) <= 0) return;
    const box = svg.current.getBoundingClientRect();
    const perCm = Math.min(box.width, box.height) / (2 * FAR_CM);
    const xCm = Math.round((e.clientX - (box.left + box.width / 2)) / perCm);
    const yCm = Math.round((box.top + box.height / 2 - e.clientY) / perCm);
    tap({ type: "BALL", team: next, xCm, yCm });
  };
  const ended = (team: Team | null, points: number) => tap({ type: "END_WON", team, points });
  const worth = answer && balls.length > 0 && !problem ? Math.max(answer.points.A, answer.points.B) : 0;
  const winner = answer && answer.points.A > answer.points.B ? "A" : "B";
  return (
    <div className="flex min-w-0 flex-1 flex-wrap">
      <svg
        ref={svg}
        viewBox={`${-FAR_CM} ${-FAR_CM} ${2 * FAR_CM} ${2 * FAR_CM}`}
        className={`h-72 min-w-56 flex-1 touch-none bg-night ${open ? "cursor-crosshair" : "opacity-60"}`}
        role="img"
        aria-label={`The jack and ${balls.length} balls round it, from above`}
        data-testid="match-ground"
        onPointerDown={lay}
      >
        {[50, 100].map((r) => (
          <circle key={r} r={r} fill="none" stroke="#3a504d" strokeWidth="1.5" />
        ))}
        <circle r="5" fill="#f7f3e9" />
        {balls.map((t, i) => (
          <Ball
            // biome-ignore lint/suspicious/noArrayIndexKey: balls keep the order in which they were played
            key={i}
            t={t}
          />
        ))}
      </svg>
      <div className="flex min-w-52 flex-1 flex-col gap-2 p-3">
        {(["A", "B"] as const).map((side) => (
          <p key={side} className="flex items-baseline gap-2" data-testid={`side-${side}`}>
            <SideGlyph side={side} />
            <span className="flex-1 text-lg font-semibold">{name[side]}</span>
            <span className="digits text-5xl">{teamPoints(taps, side)}</span>
          </p>
        ))}
        <p className="text-mist" role="status">
          End {ends.length + 1}.{" "}
          {next && left(next) > 0
            ? `${name[next]} plays${balls.length === 0 ? " first, with the jack" : ""}: tap where it lies.`
            : "All balls lie."}
        </p>
        {worth > 0 && (
          <button type="button" className="btn btn-main" disabled={!open} onClick={() => ended(winner, worth)}>
            As it lies: {name[winner]} {worth}
          </button>
        )}
        <div className="mt-auto space-y-1">
          <p className="text-sm text-mist">The end is over; by eye:</p>
          {(["A", "B"] as const).map((side) => (
            <p key={side} className="flex items-center gap-1">
              <SideGlyph side={side} />
              {[1, 2, 3].map((n) => (
                <button
                  key={n}
                  type="button"
                  className="min-h-11 min-w-11 border border-[#566460] text-lg disabled:opacity-60"
                  disabled={!open}
                  onClick={() => ended(side, n)}
                  aria-label={`${name[side]} won the end by ${n}`}
                >
                  {n}
                </button>
              ))}
              {side === "B" && (
                <button
                  type="button"
                  className="min-h-11 border border-[#566460] px-2 disabled:opacity-60"
                  disabled={!open}
                  onClick={() => ended(null, 0)}
                >
                  level
                </button>
              )}
            </p>
          ))}
        </div>
      </div>
    </div>
  );
}

/** Sides differ in shape as well as in colour. */
function SideGlyph({ side }: { side: "A" | "B" }) {
  return (
    <svg viewBox="-10 -10 20 20" className="size-5 shrink-0" aria-hidden>
      {side === "A" ? (
        <circle r="8" fill={sideColour.A} />
      ) : (
        <rect x="-8" y="-8" width="16" height="16" fill={sideColour.B} />
      )}
    </svg>
  );
}

function Ball({ t }: { t: Extract<Tap, { type: "BALL" }> }) {
  const x = t.xCm;
  const y = -t.yCm;
  return t.team === "A" ? (
    <circle cx={x} cy={y} r="8" fill={sideColour.A} />
  ) : (
    <rect x={x - 7} y={y - 7} width="14" height="14" fill={sideColour.B} />
  );
}
