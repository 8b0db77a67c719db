import type { OffTheWall } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { Ball, Ceiling, Dim, Figure, Flight, Floor, LabelAt, Wall } from "../../drawing/pieces";
import { Stage, useScale } from "../../drawing/stage";
import { length, type Units } from "../../lengths";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { rebound as reboundWords, seconds } from "../../words-marks";
import { AngleHandle } from "./angle-handle";
import { FloorMark } from "./off-the-wall-pass";
import { highest, round, type V, type View } from "./off-the-wall-values";
import type { Said } from "./working";

const t = textsOf("marks", saidMarks);

export function SideView({ v, answer, change, units }: View<OffTheWall>) {
  const stand = v.standM ?? 3;
  const back = answer ? stand - Math.min(...answer.path.map((p) => p.xM)) : stand;
  const left = -Math.max(0.9, Math.min(back - stand, 6) + 0.3);
  const top = Math.max(v.ceilingM ?? 0, highest(answer?.path ?? []) + 0.4, 2.2);
  return (
    <Stage
      world={{ left, right: stand + 0.35, bottom: 0, top }}
      units={units}
      height={430}
      label={t("offTheWallSide.sideViewThrownFromBefore", { stand: length(stand, units) })}
    >
      <Floor />
      {v.ceilingM !== null && (
        <Ceiling at={v.ceilingM} label={t("offTheWallSide.ceiling", { ceilingM: length(v.ceilingM, units) })} />
      )}
      <Wall at={stand} top={v.ceilingM ?? undefined} />
      <Figure at={0} handM={v.releaseM ?? 1.3} />
      {answer && (
        <>
          <Flight path={answer.path} colour="var(--throw)" />
          {answer.rebound.firstBounceFromWallM !== null && (
            <FloorMark
              x={stand - answer.rebound.firstBounceFromWallM}
              text={t("offTheWallSide.fromTheWall", {
                firstBounceFromWallM: length(answer.rebound.firstBounceFromWallM, units),
              })}
              colour="var(--throw)"
              below
            />
          )}
          {answer.catchFullFromWallM !== null && (
            <Spot x={stand - answer.catchFullFromWallM} height={v.catchM ?? 1} text={t("offTheWallSide.onTheFull")} />
          )}
          {answer.catchBounceFromWallM !== null && (
            <Spot
              x={stand - answer.catchBounceFromWallM}
              height={Math.min(v.catchM ?? 1, answer.bounceTopM ?? 1)}
              text={t("offTheWallSide.afterOneBounce")}
            />
          )}
          {answer.rebound.wallHeightM !== null && (
            <>
              <Ball
                at={{ xM: stand - (v.ballRadiusM ?? 0.1), yM: answer.rebound.wallHeightM }}
                radiusM={v.ballRadiusM ?? 0.1}
                colour="var(--throw)"
              />
              <LabelAt
                xM={stand}
                yM={answer.rebound.wallHeightM}
                dx={-26}
                dy={-14}
                anchor="end"
                bold
                colour="var(--throw)"
              >
                {length(answer.rebound.wallHeightM, units)}
              </LabelAt>
            </>
          )}
        </>
      )}
      <Dim from={0} to={stand} at={0.2} text={length(stand, units)} />
      <Handle
        label={t("offTheWallSide.placeOfTheWall")}
        value={stand}
        text={length(stand, units)}
        least={0.5}
        greatest={20}
        step={0.1}
        axis="x"
        at={{ x: stand, y: 0.02 }}
        onMove={(p) => change({ standM: round(Math.max(0.5, Math.min(20, p.x))) })}
      />
      <Handle
        label={t("offTheWallSide.ballLeavesTheHand")}
        value={v.releaseM ?? 1}
        text={length(v.releaseM ?? 1, units)}
        least={0.2}
        greatest={2.5}
        step={0.05}
        axis="y"
        vertical
        colour="var(--throw)"
        at={{ x: 0, y: v.releaseM ?? 1 }}
        onMove={(p) => change({ releaseM: round(Math.max(0.2, Math.min(2.5, p.y))) })}
      />
      <AngleHandle h0={v.releaseM ?? 1} angle={v.angleDeg ?? 0} onAngle={(angleDeg) => change({ angleDeg })} />
    </Stage>
  );
}

function Spot({ x: at, height, text }: { x: number; height: number; text: string }) {
  const { x, y } = useScale();
  return (
    <g aria-hidden>
      <line
        x1={x(at)}
        x2={x(at)}
        y1={y(0)}
        y2={y(height)}
        stroke="var(--catch)"
        strokeWidth="2"
        strokeDasharray="5 4"
      />
      <path d={`M${x(at) - 9} ${y(height) - 4}q9 15 18 0`} fill="none" stroke="var(--catch)" strokeWidth="3" />
      <LabelAt xM={at} yM={height} dy={-12} colour="var(--catch)">
        {text}
      </LabelAt>
    </g>
  );
}

export function toldWall(a: OffTheWall, v: V, units: Units): Said[] {
  const r = a.rebound;
  const said: Said[] = [];
  if (r.outcome === "CEILING_FIRST")
    said.push({
      kind: "warn",
      text: t("offTheWallSide.afterThrowFlatterOrSofter", {
        CEILINGFIRST: reboundWords.CEILING_FIRST,
        timeToCeilingSec: seconds(r.timeToCeilingSec ?? 0),
      }),
    });
  else if (r.outcome === "FLOOR_FIRST")
    said.push({
      kind: "warn",
      text: t("offTheWallSide.itLandsShortThrowHarder", {
        FLOORFIRST: reboundWords.FLOOR_FIRST,
        landsShortOfWallM: length(r.landsShortOfWallM ?? 0, units),
      }),
    });
  else {
    said.push({
      text: t("offTheWallSide.itMeetsTheWallAt", {
        wallHeightM: length(r.wallHeightM ?? 0, units),
        timeToWallSec: seconds(r.timeToWallSec ?? 0),
        more:
          r.outcome === "BACK_ON_THE_FULL"
            ? t("offTheWallSide.itReachesTheThrowerHigh", {
                BACKONTHEFULL: reboundWords.BACK_ON_THE_FULL,
                heightAtThrowerM: length(r.heightAtThrowerM ?? 0, units),
              })
            : t("offTheWallSide.theFirstBounceIsFrom", {
                BOUNCESFIRST: reboundWords.BOUNCES_FIRST,
                firstBounceFromWallM: length(r.firstBounceFromWallM ?? 0, units),
              }),
      }),
    });
    const full =
      a.catchFullFromWallM === null
        ? t("offTheWallSide.itNeverComesDownThrough")
        : t("offTheWallSide.onTheFullStandFrom", { catchFullFromWallM: length(a.catchFullFromWallM, units) });
    const one =
      a.catchBounceFromWallM === null
        ? ""
        : t("offTheWallSide.afterOneBounceFromThe", {
            catchBounceFromWallM: length(a.catchBounceFromWallM, units),
            more:
              (a.bounceTopM ?? 0) < (v.catchM ?? 0) - 0.01
                ? t("offTheWallSide.andOnlyHigh", { bounceTopM: length(a.bounceTopM ?? 0, units) })
                : "",
          });
    said.push({ text: t("offTheWallSide.toCatchItAt", { catchM: length(v.catchM ?? 0, units), full, one }) });
  }
  return said;
}
