import type { NetOnWall, PathPoint } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { Ceiling, Dim, Figure, Flight, Floor, LabelAt, Wall } from "../../drawing/pieces";
import { Stage, useScale } from "../../drawing/stage";
import { length, type Units } from "../../lengths";
import { useNarrow } from "../../ui/use-width";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { AngleHandle } from "./angle-handle";

const t = textsOf("marks", saidMarks);

export type V = {
  launchHeightM: number | null;
  angleDeg: number | null;
  netDistanceM: number | null;
  netHeightM: number | null;
  clearanceM: number | null;
  landWithinM: number | null;
  standM: number | null;
  ballRadiusM: number | null;
  handM: number | null;
  angleSpreadDeg: number | null;
  ceilingM: number | null;
  preset: string;
  space: string;
  ball: string;
  massG: number | null;
  dragCoefficient: number | null;
  air: boolean;
};

export function Drawing({
  v,
  answer,
  change,
  units,
}: {
  v: V;
  answer: NetOnWall | undefined;
  change: (patch: Partial<V>) => void;
  units: Units;
}) {
  const net = v.netDistanceM ?? 6;
  const stand = Math.min(v.standM ?? 3, net);
  const h0 = v.launchHeightM ?? 1.5;
  // The drawing keeps its size while one drags: as long as the court, as high as room or flight.
  // A phone shows what lies this side of the net, and a little beyond.
  const narrow = useNarrow();
  const far = net + (narrow ? Math.min(0.9, v.landWithinM ?? 0) : (v.landWithinM ?? 0));
  const beyond = (path: PathPoint[]) => (narrow ? path.filter((p) => p.xM <= far + 0.2) : path);
  const top = Math.max(v.ceilingM ?? 0, (v.netHeightM ?? 0) + 1.2, (answer?.highestBallM ?? 0) + 0.2, 3);
  const mark = answer?.mark;
  const words = t("netDrawing.sideViewServingFromBefore", { stand: length(stand, units) });
  return (
    <Stage world={{ left: -0.9, right: far + 0.3, bottom: 0, top }} label={words} units={units} height={430}>
      <Floor />
      {v.ceilingM !== null && (
        <Ceiling at={v.ceilingM} label={t("netDrawing.ceiling", { ceilingM: length(v.ceilingM, units) })} />
      )}
      <Wall at={stand} top={v.ceilingM ?? undefined} />
      <Net
        x={net}
        height={v.netHeightM ?? 0}
        label={`${narrow ? t("netDrawing.net") : t("netDrawing.theGameSNet")} ${length(v.netHeightM ?? 0, units)}`}
        left={narrow}
      />
      {answer && mark?.feasible && (
        <>
          <Flight path={beyond(answer.slowAfterWall)} colour="var(--throw)" dashed width={2} />
          <Flight path={beyond(answer.fastAfterWall)} colour="var(--throw)" dashed width={2} />
          <Flight path={answer.slowPath} colour="var(--throw)" />
          <Flight path={answer.fastPath} colour="var(--throw)" />
          <Band x={stand} low={mark.lowMarkM ?? 0} high={mark.highMarkM ?? 0} units={units} />
        </>
      )}
      {answer && <PlainMark x={stand} at={answer.plainMarkM} />}
      <Figure at={0} handM={h0} />
      <Dim from={0} to={stand} at={0.22} text={length(stand, units)} />
      <Handle
        label={t("netDrawing.placeOfTheWall")}
        value={stand}
        text={t("netDrawing.fromTheThrower", { stand: length(stand, units) })}
        least={0.5}
        greatest={net}
        step={0.1}
        axis="x"
        at={{ x: stand, y: 0.02 }}
        onMove={(p) => change({ standM: round(Math.min(net, Math.max(0.5, p.x))) })}
      />
      <Handle
        label={t("netDrawing.ballLeavesTheHand")}
        value={h0}
        text={t("netDrawing.aboveTheFloor", { h0: length(h0, units) })}
        least={0.3}
        greatest={3}
        step={0.05}
        axis="y"
        vertical
        colour="var(--throw)"
        at={{ x: 0, y: h0 }}
        onMove={(p) => change({ launchHeightM: round(Math.min(3, Math.max(0.3, p.y))) })}
      />
      <AngleHandle h0={h0} angle={v.angleDeg ?? 35} onAngle={(angleDeg) => change({ angleDeg })} />
      <Handle
        label={t("netDrawing.netHeight")}
        value={v.netHeightM ?? 0}
        text={length(v.netHeightM ?? 0, units)}
        least={0.3}
        greatest={4}
        step={0.05}
        axis="y"
        vertical
        colour="var(--color-soft)"
        at={{ x: net, y: v.netHeightM ?? 0 }}
        onMove={(p) => change({ netHeightM: round(Math.min(4, Math.max(0.3, p.y))), preset: "" })}
      />
    </Stage>
  );
}

export const round = (m: number) => Math.round(m * 100) / 100;

function Net({ x: at, height, label, left }: { x: number; height: number; label: string; left: boolean }) {
  const { x, y } = useScale();
  return (
    <g aria-hidden>
      <line
        x1={x(at)}
        x2={x(at)}
        y1={y(0)}
        y2={y(height)}
        stroke="var(--color-soft)"
        strokeWidth="3"
        strokeDasharray="4 3"
      />
      <LabelAt
        xM={at}
        yM={height}
        dx={left ? -14 : 14}
        dy={left ? 26 : -8}
        anchor={left ? "end" : "start"}
        colour="var(--color-soft)"
      >
        {label}
      </LabelAt>
    </g>
  );
}

function Band({ x: at, low, high, units }: { x: number; low: number; high: number; units: Units }) {
  const { x, y } = useScale();
  const tall = y(low) - y(high);
  return (
    <g aria-hidden>
      <rect x={x(at) - 3} y={y(high)} width="16" height={Math.max(2, tall)} fill="var(--throw)" />
      <LabelAt xM={at} yM={low} dx={20} dy={tall < 18 ? 16 : 6} anchor="start" bold colour="var(--throw)">
        {length(low, units)}
      </LabelAt>
      <LabelAt xM={at} yM={high} dx={20} dy={tall < 18 ? -4 : 5} anchor="start" bold colour="var(--throw)">
        {length(high, units)}
      </LabelAt>
    </g>
  );
}

function PlainMark({ x: at, at: height }: { x: number; at: number }) {
  const { x, y } = useScale();
  return (
    <line
      aria-hidden
      x1={x(at) - 16}
      x2={x(at) + 14}
      y1={y(height)}
      y2={y(height)}
      stroke="var(--target)"
      strokeWidth="3"
      strokeDasharray="6 3"
    />
  );
}
