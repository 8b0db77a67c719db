import { type PointerEvent, useRef } from "react";
import type { MatchSoFar } from "../../../../api/types";
import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { sideColour } from "./side-glyph";

const t = textsOf("run", saidRun);

const FAR_CM = 150;

/** The jack in the middle and the balls of this end round it, from above; a tap says where the next one lies. */
export function Ground({
  lying,
  open,
  onLay,
}: {
  lying: MatchSoFar["lying"];
  open: boolean;
  onLay: (xCm: number, yCm: number) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const lay = (e: PointerEvent) => {
    if (!open || !svg.current) return;
    const box = svg.current.getBoundingClientRect();
    const perCm = Math.min(box.width, box.height) / (2 * FAR_CM);
    onLay(
      Math.round((e.clientX - (box.left + box.width / 2)) / perCm),
      Math.round((box.top + box.height / 2 - e.clientY) / perCm),
    );
  };
  return (
    <svg
      ref={svg}
      viewBox={`${-FAR_CM} ${-FAR_CM} ${2 * FAR_CM} ${2 * FAR_CM}`}
      className={`h-72 min-w-56 flex-1 touch-none bg-night ${open ? "cursor-crosshair" : "opacity-60"}`}
      role="img"
      aria-label={t("match.ground", { n: lying.length })}
      data-testid="match-ground"
      onPointerDown={lay}
    >
      {[50, 100].map((r) => (
        <circle key={r} r={r} fill="none" stroke="#3a504d" strokeWidth="1.5" />
      ))}
      <circle r="5" fill="#f7f3e9" />
      {lying.map((ball, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: balls keep the order in which they were played
        <Ball key={i} ball={ball} />
      ))}
    </svg>
  );
}

/** One that is dead is an outline. */
function Ball({ ball }: { ball: MatchSoFar["lying"][number] }) {
  const x = ball.xCm;
  const y = -ball.yCm;
  const look = ball.dead
    ? { fill: "none", stroke: sideColour[ball.side], strokeWidth: 2 }
    : { fill: sideColour[ball.side] };
  return ball.side === "A" ? (
    <circle cx={x} cy={y} r="8" {...look} />
  ) : (
    <rect x={x - 7} y={y - 7} width="14" height="14" {...look} />
  );
}
