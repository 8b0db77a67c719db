import type { BounceSpot } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { Figure, Flight, Floor, LabelAt } from "../../drawing/pieces";
import { Stage, useScale } from "../../drawing/stage";
import { length, type Units } from "../../lengths";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { seconds } from "../../words-marks";
import { round, type V, type View } from "./off-the-wall-values";
import type { Said } from "./working";

const t = textsOf("marks", saidMarks);

export function PassView({ v, answer, change, units }: View<BounceSpot>) {
  const far = v.distanceM ?? 3;
  const top = Math.max(2, (v.releaseM ?? 1) + 0.5, (v.catchM ?? 1) + 0.5);
  return (
    <Stage
      world={{ left: -0.8, right: far + 0.8, bottom: 0, top }}
      units={units}
      height={400}
      label={t("offTheWallPass.sideViewABouncePass", { far: length(far, units) })}
    >
      <Floor />
      <Figure at={0} handM={v.releaseM ?? 1} />
      <Figure at={far} handM={v.catchM ?? 1} facing={-1} />
      {answer && (
        <>
          <Flight path={answer.path} colour="var(--throw)" />
          {answer.bounceFromPasserM !== null && (
            <FloorMark
              x={answer.bounceFromPasserM}
              text={t("offTheWallPass.landsAt", { bounceFromPasserM: length(answer.bounceFromPasserM, units) })}
              colour="var(--throw)"
            />
          )}
          <FloorMark x={answer.twoThirdsM} text={t("offTheWallPass.twoThirds")} colour="var(--color-soft)" below />
        </>
      )}
      <Handle
        label={t("offTheWallPass.placeOfTheCatcher")}
        value={far}
        text={length(far, units)}
        least={1}
        greatest={15}
        step={0.1}
        axis="x"
        at={{ x: far, y: 0.02 }}
        onMove={(p) => change({ distanceM: round(Math.max(1, Math.min(15, p.x))) })}
      />
      <Handle
        label={t("offTheWallPass.caught")}
        value={v.catchM ?? 1}
        text={length(v.catchM ?? 1, units)}
        least={0.1}
        greatest={2}
        step={0.05}
        axis="y"
        vertical
        colour="var(--catch)"
        at={{ x: far, y: v.catchM ?? 1 }}
        onMove={(p) => change({ catchM: round(Math.max(0.1, Math.min(2, p.y))) })}
      />
      <Handle
        label={t("offTheWallPass.ballLeavesTheHand")}
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
    </Stage>
  );
}

export function FloorMark({
  x: at,
  text,
  colour,
  below,
}: {
  x: number;
  text: string;
  colour: string;
  below?: boolean;
}) {
  const { x, y } = useScale();
  return (
    <g aria-hidden>
      <path d={`M${x(at) - 8} ${y(0) - 8}l16 16m0 -16l-16 16`} stroke={colour} strokeWidth="3.500" />
      <LabelAt xM={at} yM={0} dy={below ? 26 : -18} bold={!below} colour={colour}>
        {text}
      </LabelAt>
    </g>
  );
}

export function toldPass(a: BounceSpot, v: V, units: Units): Said[] {
  const rule =
    a.heightByTwoThirdsM === null
      ? t("offTheWallPass.bouncedAtTwoThirdsOf")
      : t("offTheWallPass.byTheTwoThirdsRule", {
          twoThirdsM: length(a.twoThirdsM, units),
          heightByTwoThirdsM: length(a.heightByTwoThirdsM, units),
        });
  if (a.outcome !== "SPOT" || a.bounceFromPasserM === null)
    return [
      {
        kind: "warn",
        text:
          a.outcome === "TOO_SLOW"
            ? t("offTheWallPass.atThisSpeedNoPass")
            : t("offTheWallPass.noSpotBringsItUp", {
                catchM: length(v.catchM ?? 0, units),
                highestAtCatcherM: length(a.highestAtCatcherM ?? 0, units),
              }),
      },
      { kind: "note", text: rule },
    ];
  return [
    {
      text: t("offTheWallPass.landItFromThePasser", {
        bounceFromPasserM: length(a.bounceFromPasserM, units),
        round: Math.round((a.shareOfWay ?? 0) * 100),
        catchM: length(v.catchM ?? 0, units),
        timeSec: seconds(a.timeSec ?? 0),
      }),
    },
    { text: rule },
  ];
}
