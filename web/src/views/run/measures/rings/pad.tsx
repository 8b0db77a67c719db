import { type PointerEvent, useRef } from "react";
import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { MISS, type Of } from "../measure-view";
import { missesIn } from "../shared/hits";
import type { PadProps } from "../shared/pad";
import { pointsOf, ringPoints } from "./fold";

const say = textsOf("run", saidRun);

/** How much of the wall round the target is drawn, as a share of the outer ring. */
const AROUND = 1.45;

/** The target, drawn: tap where it landed. Whoever cannot point says the ring. */
export function RingsPad({ who, taps, measure, block, open, best, tap }: PadProps<Of<"RINGS">>) {
  const svg = useRef<SVGSVGElement>(null);
  const { rings } = measure;
  const far = (rings.at(-1)?.radiusCm ?? 30) * AROUND;
  const points = pointsOf(taps, rings);
  const landed = (e: PointerEvent) => {
    if (!open || !svg.current) return;
    const box = svg.current.getBoundingClientRect();
    const perCm = Math.min(box.width, box.height) / (2 * far);
    const xCm = (e.clientX - (box.left + box.width / 2)) / perCm;
    const yCm = (box.top + box.height / 2 - e.clientY) / perCm;
    tap({ type: "LANDED", xCm: Math.round(xCm * 10) / 10, yCm: Math.round(yCm * 10) / 10 });
  };
  return (
    <div className="flex min-w-0 flex-1 flex-wrap">
      <svg
        ref={svg}
        viewBox={`${-far} ${-far} ${2 * far} ${2 * far}`}
        className={`h-72 min-w-56 flex-1 touch-none bg-night ${open ? "cursor-crosshair" : "opacity-60"}`}
        role="img"
        aria-label={say("pad.targetWithRingsThrowsPoints", { who, length: rings.length, length2: taps.length, points })}
        data-testid="target"
        onPointerDown={landed}
      >
        {[...rings].reverse().map((r, i) => (
          <circle
            key={r.radiusCm}
            r={r.radiusCm}
            fill={["#2a403d", "#36514d", "#46665f", "#58786f"][i % 4]}
            stroke="#f08cc6"
            strokeWidth={far / 120}
          />
        ))}
        {rings.map((r, i) => (
          <text
            key={r.radiusCm}
            x={0}
            y={-(r.radiusCm + (rings[i - 1]?.radiusCm ?? -r.radiusCm * 0.7)) / 2}
            fontSize={far / 9}
            textAnchor="middle"
            dominantBaseline="central"
            fill="#f7f3e9"
            aria-hidden
          >
            {r.points}
          </text>
        ))}
        {taps
          .filter((t) => t.type === "LANDED")
          .map((t, i, all) => (
            <circle
              // biome-ignore lint/suspicious/noArrayIndexKey: throws keep their order
              key={i}
              cx={t.xCm}
              cy={-t.yCm}
              r={far / 28}
              fill={ringPoints(t, rings) > 0 ? "#f7f3e9" : "none"}
              stroke={i === all.length - 1 ? "#e0b84a" : "#f7f3e9"}
              strokeWidth={far / 70}
            />
          ))}
      </svg>
      <div className="flex min-w-32 flex-1 flex-col gap-1.5 p-3">
        <span className="text-lg font-semibold">{who}</span>
        <span className="digits text-5xl" data-testid="points">
          {points}
          <span className="text-xl text-mist"> {say("ringsPad.points")}</span>
        </span>
        <span className="text-mist">
          {taps.length} {block.reps ? say("pad.of", { reps: block.reps }) : ""}
          {say("ringsPad.thrown")}{" "}
          {missesIn(taps) + taps.filter((t) => t.type === "LANDED" && ringPoints(t, rings) === 0).length}{" "}
          {say("ringsPad.outside")}
          {best && say("pad.toBeat2", { score: best.best.score })}
        </span>
        <span className="mt-auto text-sm text-mist">{say("ringsPad.tapWhereItLanded")}</span>
        <span className="flex flex-wrap gap-1">
          {rings.map((r, i) => (
            <button
              key={r.radiusCm}
              type="button"
              className="min-h-11 min-w-11 border border-[#566460] text-lg disabled:opacity-60"
              disabled={!open}
              onClick={() => tap({ type: "HIT", number: i + 1 })}
              aria-label={say("pad.ringWorth", { who, points: r.points })}
            >
              {r.points}
            </button>
          ))}
          <button
            type="button"
            className="min-h-11 border border-[#566460] px-2 text-[#ffb3a5] disabled:opacity-60"
            disabled={!open}
            onClick={() => tap(MISS)}
            aria-label={say("pad.outside", { who })}
          >
            {say("ringsPad.outside")}
          </button>
        </span>
      </div>
    </div>
  );
}
