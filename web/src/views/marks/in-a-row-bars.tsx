import type { GateFor } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { LabelAt } from "../../drawing/pieces";
import { Plot, usePlot } from "../../drawing/plot";
import { percent } from "../../words";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import type { V } from "./in-a-row-told";

const t = textsOf("marks", saidMarks);

const MOST_BARS = 20;

/** The chance of each gate in a row in this time; the gate can be dragged along. */
export function Bars({ v, gate, change }: { v: V; gate: GateFor | undefined; change: (p: Partial<V>) => void }) {
  const runs = gate?.runs.slice(0, MOST_BARS) ?? [];
  const want = (v.wantPercent ?? 0) / 100;
  const run = Math.max(1, v.run ?? 1);
  return (
    <Plot
      label={t("inARow.chanceOfSoManyIn", { roundSec: v.roundSec ?? 0 })}
      x={{ from: 0, to: Math.max(MOST_BARS, run) + 0.8, ticks: [1, 5, 10, 15, 20], name: t("inARow.inARow") }}
      y={{ from: 0, to: 1, ticks: [0, 0.2, 0.4, 0.6, 0.8, 1], write: percent, name: t("inARow.chanceInThisRound") }}
      height={380}
    >
      {runs.map((r) => (
        <Bar key={r.run} at={r.run} share={r.meanChance} enough={r.meanChance >= want} here={r.run === v.run} />
      ))}
      <WantLine at={want} />
      <Handle
        label={t("inARow.gateInARow")}
        value={run}
        text={t("inARow.inARow3", { run })}
        least={1}
        greatest={MOST_BARS}
        step={1}
        axis="x"
        colour="var(--target)"
        at={{ x: run, y: 0 }}
        onMove={(p) => change({ run: Math.max(1, Math.min(MOST_BARS, Math.round(p.x))) })}
      />
      <Handle
        label={t("inARow.likelyEnough")}
        value={v.wantPercent ?? 0}
        text={`${v.wantPercent} %`}
        least={1}
        greatest={99}
        step={1}
        axis="y"
        vertical
        colour="var(--move)"
        at={{ x: Math.max(MOST_BARS, run) + 0.5, y: want }}
        onMove={(p) => change({ wantPercent: Math.max(1, Math.min(99, Math.round(p.y * 100))) })}
        onStep={(dx, dy) => change({ wantPercent: Math.max(1, Math.min(99, (v.wantPercent ?? 50) + dx + dy)) })}
      />
    </Plot>
  );
}

function Bar({ at, share: height, enough, here }: { at: number; share: number; enough: boolean; here: boolean }) {
  const { x, y } = usePlot();
  return (
    <g aria-hidden>
      <rect
        x={x(at - 0.36)}
        width={x(at + 0.36) - x(at - 0.36)}
        y={y(height)}
        height={Math.max(1, y(0) - y(height))}
        fill={enough ? "var(--catch)" : "var(--color-rule)"}
        stroke={here ? "var(--target)" : "none"}
        strokeWidth="3.500"
      />
      {here && (
        <LabelAt xM={at} yM={height} dy={-9} bold colour="var(--target)">
          {percent(height)}
        </LabelAt>
      )}
    </g>
  );
}

function WantLine({ at }: { at: number }) {
  const { x, y, world } = usePlot();
  return (
    <line
      aria-hidden
      x1={x(world.left)}
      x2={x(world.right)}
      y1={y(at)}
      y2={y(at)}
      stroke="var(--move)"
      strokeWidth="2"
      strokeDasharray="7 5"
    />
  );
}
