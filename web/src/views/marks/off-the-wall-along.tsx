import type { Angled } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { Dim, Flight, LabelAt } from "../../drawing/pieces";
import { Stage, useScale } from "../../drawing/stage";
import { length, type Units } from "../../lengths";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { round, type V, type View } from "./off-the-wall-values";
import type { Said } from "./working";

const t = textsOf("marks", saidMarks);

export function FromAbove({ v, answer, change, units }: View<Angled>) {
  const stand = v.standM ?? 3;
  const reach = Math.max(2, Math.abs(answer?.lateralAtReturnM ?? 0));
  const left = v.turnDeg !== null && v.turnDeg < 0 ? -reach - 0.6 : -0.9;
  const right = v.turnDeg !== null && v.turnDeg < 0 ? 0.9 : reach + 0.6;
  return (
    <Stage
      world={{ left, right, bottom: -0.5, top: stand + 0.45 }}
      units={units}
      height={430}
      label={t("offTheWallAlong.fromAboveAPassAt", { turnDeg: v.turnDeg ?? 0, stand: length(stand, units) })}
    >
      <TopWall at={stand} />
      {answer && (
        <>
          <Flight
            path={[
              { xM: 0, yM: 0 },
              { xM: answer.lateralAtWallM, yM: stand },
            ]}
            colour="var(--throw)"
          />
          <Flight
            path={[
              { xM: answer.lateralAtWallM, yM: stand },
              { xM: answer.lateralAtReturnM, yM: 0 },
            ]}
            colour="var(--throw)"
            dashed
          />
          <Dim
            from={0}
            to={answer.lateralAtReturnM}
            at={-0.22}
            side={-1}
            text={t("offTheWallAlong.run", { lateralAtReturnM: length(Math.abs(answer.lateralAtReturnM), units) })}
            colour="var(--move)"
          />
          <LabelAt xM={answer.lateralAtWallM} yM={stand} dy={-18} bold colour="var(--throw)">
            {t("offTheWallAlong.markAt", { lateralAtWallM: length(Math.abs(answer.lateralAtWallM), units) })}
          </LabelAt>
          <Feet x={0} />
          <Feet x={answer.lateralAtReturnM} />
          <Handle
            label={t("offTheWallAlong.turnOfThePass")}
            value={v.turnDeg ?? 0}
            text={t("offTheWallAlong.degreesFromStraight", { turnDeg: v.turnDeg })}
            least={-80}
            greatest={80}
            step={1}
            axis="x"
            colour="var(--throw)"
            at={{ x: answer.lateralAtWallM, y: stand }}
            onMove={(p) =>
              change({ turnDeg: Math.max(-80, Math.min(80, Math.round((Math.atan2(p.x, stand) * 180) / Math.PI))) })
            }
            onStep={(dx, dy) => change({ turnDeg: Math.max(-80, Math.min(80, (v.turnDeg ?? 0) + dx + dy)) })}
          />
        </>
      )}
      <Handle
        label={t("offTheWallAlong.distanceToTheWall")}
        value={stand}
        text={length(stand, units)}
        least={0.5}
        greatest={20}
        step={0.1}
        axis="y"
        vertical
        at={{ x: left + 0.4, y: stand }}
        onMove={(p) => change({ standM: round(Math.max(0.5, Math.min(20, p.y))) })}
      />
    </Stage>
  );
}

function TopWall({ at }: { at: number }) {
  const { x, y, world } = useScale();
  return (
    <rect
      aria-hidden
      x={x(world.left)}
      width={x(world.right) - x(world.left)}
      y={y(at) - 10}
      height="10"
      fill="var(--color-rule)"
      stroke="var(--color-ink)"
      strokeWidth="1.500"
    />
  );
}

function Feet({ x: at }: { x: number }) {
  const { x, y } = useScale();
  return <circle aria-hidden cx={x(at)} cy={y(0)} r="9" fill="var(--color-ink)" />;
}

export function toldAlong(a: Angled, v: V, units: Units): Said[] {
  return [
    {
      text: t("offTheWallAlong.passAtAMarkAlong", {
        lateralAtWallM: length(Math.abs(a.lateralAtWallM), units),
        turnDeg: v.turnDeg,
        lateralAtReturnM: length(Math.abs(a.lateralAtReturnM), units),
      }),
    },
  ];
}
