import type { LeanedBoard } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { Figure, Flight, Floor } from "../../drawing/pieces";
import { Stage, useScale } from "../../drawing/stage";
import { length, type Units } from "../../lengths";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { seconds } from "../../words-marks";
import { AngleHandle } from "./angle-handle";
import { FloorMark } from "./off-the-wall-pass";
import { highest, round, type View } from "./off-the-wall-values";
import type { Said } from "./working";

const t = textsOf("marks", saidMarks);

export function BoardView({ v, answer, change, units }: View<LeanedBoard>) {
  const stand = v.standM ?? 3;
  const lean = ((v.leanDeg ?? 0) * Math.PI) / 180;
  const long = v.boardM ?? 1.2;
  const tip = { x: stand + long * Math.sin(lean), y: long * Math.cos(lean) };
  const xs = answer?.path.map((p) => p.xM) ?? [];
  return (
    <Stage
      world={{
        left: Math.max(-6, Math.min(-0.9, ...xs) - 0.2),
        right: Math.min(stand + 6, Math.max(tip.x, ...xs)) + 0.4,
        bottom: 0,
        top: Math.max(2.2, tip.y + 0.3, highest(answer?.path ?? []) + 0.3),
      }}
      units={units}
      height={430}
      label={t("offTheWallBoard.sideViewABoardThat", { leanDeg: v.leanDeg ?? 0 })}
    >
      <Floor />
      <BoardLine from={stand} tip={tip} />
      <Figure at={0} handM={v.releaseM ?? 1} />
      {answer && <Flight path={answer.path} colour="var(--throw)" />}
      {answer?.landsFromFootM != null && (
        <FloorMark
          x={stand - answer.landsFromFootM}
          text={t("offTheWallBoard.fromTheFoot", { landsFromFootM: length(Math.abs(answer.landsFromFootM), units) })}
          colour="var(--throw)"
        />
      )}
      <Handle
        label={t("offTheWallBoard.footOfTheBoard")}
        value={stand}
        text={length(stand, units)}
        least={0.5}
        greatest={15}
        step={0.1}
        axis="x"
        at={{ x: stand, y: 0.02 }}
        onMove={(p) => change({ standM: round(Math.max(0.5, Math.min(15, p.x))) })}
      />
      <Handle
        label={t("offTheWallBoard.leanOfTheBoard")}
        value={v.leanDeg ?? 0}
        text={t("offTheWallBoard.degreesFromUpright", { leanDeg: v.leanDeg })}
        least={0}
        greatest={89}
        step={1}
        axis="both"
        at={tip}
        onMove={(p) =>
          change({
            leanDeg: Math.max(
              0,
              Math.min(89, Math.round((Math.atan2(p.x - stand, Math.max(0.01, p.y)) * 180) / Math.PI)),
            ),
          })
        }
        onStep={(dx, dy) => change({ leanDeg: Math.max(0, Math.min(89, (v.leanDeg ?? 0) + dx - dy)) })}
      />
      <AngleHandle
        h0={v.releaseM ?? 1}
        angle={v.boardAngleDeg ?? 0}
        onAngle={(boardAngleDeg) => change({ boardAngleDeg })}
      />
    </Stage>
  );
}

function BoardLine({ from, tip }: { from: number; tip: { x: number; y: number } }) {
  const { x, y } = useScale();
  return (
    <line
      aria-hidden
      x1={x(from)}
      y1={y(0)}
      x2={x(tip.x)}
      y2={y(tip.y)}
      stroke="var(--color-ink)"
      strokeWidth="7"
      strokeLinecap="round"
    />
  );
}

export function toldBoard(a: LeanedBoard, units: Units): Said[] {
  switch (a.outcome) {
    case "FLOOR_FIRST":
      return [{ kind: "warn", text: t("offTheWallBoard.theBallMeetsThe") }];
    case "OVER_THE_BOARD":
      return [{ kind: "warn", text: t("offTheWallBoard.theBallGoesOver") }];
    case "GOES_AWAY":
      return [{ kind: "warn", text: t("offTheWallBoard.theBoardLeansToo") }];
    case "BACK_ON_THE_FULL":
      return [
        {
          text: t("offTheWallBoard.itMeetsTheBoardUp", {
            boardAlongM: length(a.boardAlongM ?? 0, units),
            heightAtThrowerM: length(a.heightAtThrowerM ?? 0, units),
          }),
        },
      ];
    default:
      return [
        {
          text: t("offTheWallBoard.itMeetsTheBoardUp2", {
            boardAlongM: length(a.boardAlongM ?? 0, units),
            landsFromFootM: length(a.landsFromFootM ?? 0, units),
            timeToFloorSec: seconds(a.timeToFloorSec ?? 0),
          }),
        },
      ];
  }
}
