import type { Angled, BounceSpot, LeanedBoard, OffTheWall, Reaction } from "../../api/types";
import { length, type Units } from "../../lengths";
import { Choice } from "../../ui/choice";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { noDrag, seconds } from "../../words-marks";
import { age, type Given, reaction } from "./given";
import { LengthField, NumberRow } from "./length-field";
import type { Measure } from "./measures";
import { ModeButtons } from "./mode-buttons";
import { FromAbove, toldAlong } from "./off-the-wall-along";
import { BoardView, toldBoard } from "./off-the-wall-board";
import { PassView, toldPass } from "./off-the-wall-pass";
import { SideView, toldWall } from "./off-the-wall-side";
import type { V } from "./off-the-wall-values";
import { FromBall, FromSpace, Group, Switch } from "./prefill";
import { useReckon } from "./use-reckon";
import { useValues } from "./use-values";
import { type Said, Working } from "./working";

const t = textsOf("marks", saidMarks);

const modes = [
  { value: "wall", text: t("offTheWall.fromTheSide") },
  { value: "along", text: t("offTheWall.fromAboveAtAn") },
  { value: "pass", text: t("offTheWall.bouncePass") },
  { value: "board", text: t("offTheWall.leanedBoard") },
];

/** Its values, and what the core says of them. */
function useOffTheWall(given: Given) {
  const { units, planning } = given;
  const kind = planning.balls.find((b) => b.id === "netball") ?? planning.balls[0];
  const years = age(given);
  const usual = reaction(given, years);
  const [v, change] = useValues<V>({
    mode: "wall",
    standM: 3,
    releaseM: 1.3,
    speedMs: planning.usual.throwSpeedMs,
    angleDeg: 20,
    restitution: kind?.wallRestitution ?? 0.7,
    floorRestitution: kind?.floorRestitution ?? 0.7,
    catchM: 1,
    ceilingM: given.space?.place.size.ceilingM ?? null,
    ballRadiusM: kind?.radiusM ?? 0.1,
    turnDeg: 30,
    leanDeg: 15,
    boardAngleDeg: -8,
    boardM: 1.2,
    distanceM: 3,
    floorGrip: 0.9,
    age: years,
    reactionSec: usual?.reactionSec ?? 0.3,
    handMoveSec: usual?.handMoveSec ?? 0.25,
    hard: kind?.hard ?? false,
    space: given.space?.id ?? "",
    ball: kind?.id ?? "",
  });
  const side = useReckon(
    "off-the-wall",
    {
      throwing: {
        standM: v.standM,
        releaseM: v.releaseM,
        speedMs: v.speedMs,
        angleDeg: v.angleDeg,
        restitution: v.restitution,
        ceilingM: v.ceilingM,
        ballRadiusM: v.ballRadiusM,
      },
      floorRestitution: v.floorRestitution,
      catchM: v.catchM,
    },
    v,
  );
  const above = useReckon("angled", { standM: v.standM, angleDeg: v.turnDeg, restitution: v.restitution }, v);
  const pass = useReckon(
    "bounce-spot",
    {
      distanceM: v.distanceM,
      releaseM: v.releaseM,
      speedMs: v.speedMs,
      floorRestitution: v.floorRestitution,
      floorGrip: v.floorGrip,
      catchM: v.catchM,
    },
    v,
  );
  const board = useReckon(
    "leaned-board",
    {
      standM: v.standM,
      releaseM: v.releaseM,
      speedMs: v.speedMs,
      angleDeg: v.boardAngleDeg,
      leanDeg: v.leanDeg,
      boardM: v.boardM,
      restitution: v.restitution,
    },
    v,
  );
  // What comes at the catcher: straight from a partner, or back off the wall.
  const comes = v.mode === "pass" ? v.speedMs : (side.answer?.speedBackMs ?? v.speedMs);
  const react = useReckon(
    "reaction",
    {
      speedMs: comes,
      reactionSec: v.reactionSec,
      handMoveSec: v.handMoveSec,
      hardBall: v.hard,
      hardMarginShare: planning.usual.hardMarginShare,
      distanceM: v.mode === "pass" ? v.distanceM : v.standM,
    },
    { ...v, comes },
  );
  const shown = v.mode === "along" ? above : v.mode === "pass" ? pass : v.mode === "board" ? board : side;
  const must = (field: string) => shown.must(field) ?? shown.must(`throwing.${field}`) ?? react.must(field);
  const field = (key: keyof V & string, label: string) => (
    <LengthField
      label={label}
      units={units}
      valueM={v[key] as number | null}
      must={must(key)}
      onChange={(m) => change({ [key]: m } as Partial<V>)}
    />
  );
  const number = (key: keyof V & string, label: string, unit: string, step = 1) => (
    <NumberRow
      label={label}
      unit={unit}
      step={step}
      value={v[key] as number | null}
      must={must(key)}
      onChange={(n) => change({ [key]: n } as Partial<V>)}
    />
  );
  const said: Said[] = [
    ...(v.mode === "wall" && side.answer ? toldWall(side.answer, side.of, units) : []),
    ...(v.mode === "along" && above.answer ? toldAlong(above.answer, above.of, units) : []),
    ...(v.mode === "pass" && pass.answer ? toldPass(pass.answer, pass.of, units) : []),
    ...(v.mode === "board" && board.answer ? toldBoard(board.answer, units) : []),
    ...(react.answer && v.mode !== "board" ? [toldReaction(react.answer, react.of, units)] : []),
    { kind: "note", text: t("offTheWall.howLivelyBallAndWall", { noDrag }) },
  ];
  return { given, units, planning, years, v, change, side, above, pass, board, react, shown, field, number, said };
}

type Parts = ReturnType<typeof useOffTheWall>;

/** Where the ball comes back, and how near is too near. */
export function OffTheWallWorking({ given }: { given: Given }) {
  const parts = useOffTheWall(given);
  const { v, side, above, pass, board, react, shown, said } = parts;
  return (
    <Working
      title={t("offTheWall.backOffTheWall")}
      given={given}
      values={v}
      problem={shown.problem ?? react.problem}
      drawing={<Shown {...parts} />}
      said={said}
      controls={<Controls {...parts} />}
      measures={measures(shown.of, side.answer, above.answer, pass.answer, board.answer, react.answer)}
      materials={[
        t("offTheWall.tapeOrFlatMarkers"),
        t("offTheWall.tapeMeasure"),
        v.mode === "board" ? t("offTheWall.aBoardWedgedSoThat") : t("offTheWall.aBallEach"),
      ]}
      cautions={["FAST_RETURN", "HARD_BALL_FACE", "CEILING_AND_LAMPS", "GLASS_BEHIND_TARGET", "LOOSE_BALLS"]}
    />
  );
}

function Shown({ units, v, change, side, above, pass, board }: Parts) {
  return (
    <>
      <ModeButtons label={t("offTheWall.view")} modes={modes} value={v.mode} onChange={(mode) => change({ mode })} />
      {v.mode === "wall" && <SideView v={v} answer={side.answer} change={change} units={units} />}
      {v.mode === "along" && <FromAbove v={v} answer={above.answer} change={change} units={units} />}
      {v.mode === "pass" && <PassView v={v} answer={pass.answer} change={change} units={units} />}
      {v.mode === "board" && <BoardView v={v} answer={board.answer} change={change} units={units} />}
    </>
  );
}

function Controls({ given, planning, v, change, board, field, number }: Parts) {
  return (
    <>
      <Group title={t("offTheWall.fromTheStore")}>
        <FromSpace
          given={given}
          id={v.space}
          onSpace={(s) => change({ space: s.id, ceilingM: s.place.size.ceilingM })}
        />
        <FromBall
          given={given}
          id={v.ball}
          onBall={(b) =>
            change({
              ball: b.id,
              ballRadiusM: b.radiusM,
              restitution: b.wallRestitution,
              floorRestitution: b.floorRestitution,
              hard: b.hard,
            })
          }
        />
      </Group>
      <Group title={t("offTheWall.theThrow")}>
        {v.mode === "pass"
          ? field("distanceM", t("offTheWall.fromPasserToCatcher"))
          : field("standM", v.mode === "board" ? t("offTheWall.standFromTheBoard") : t("offTheWall.standFromTheWall"))}
        {v.mode !== "along" && field("releaseM", t("offTheWall.ballLeavesTheHandAt"))}
        {number("speedMs", t("offTheWall.speedOfTheThrow"), "m/s", 0.5)}
        {v.mode === "wall" && number("angleDeg", t("offTheWall.launchAngle"), "°")}
        {v.mode === "board" && (
          <NumberRow
            label={t("offTheWall.launchAngle")}
            unit="°"
            value={v.boardAngleDeg}
            must={board.must("angleDeg")}
            onChange={(boardAngleDeg) => change({ boardAngleDeg })}
          />
        )}
        {v.mode === "along" && number("turnDeg", t("offTheWall.turnedFromStraight"), "°")}
        {(v.mode === "wall" || v.mode === "pass") && field("catchM", t("offTheWall.caughtAt"))}
      </Group>
      <Group title={t("offTheWall.whatItMeets")}>
        {v.mode !== "pass" &&
          number(
            "restitution",
            v.mode === "board" ? t("offTheWall.boardGivesBack") : t("offTheWall.wallGivesBack"),
            "×",
            0.05,
          )}
        {(v.mode === "wall" || v.mode === "pass") &&
          number("floorRestitution", t("offTheWall.floorGivesBack"), "×", 0.05)}
        {v.mode === "pass" && number("floorGrip", t("offTheWall.floorLetsItRunOn"), "×", 0.05)}
        {v.mode === "board" && number("leanDeg", t("offTheWall.boardLeansBy"), "°")}
        {v.mode === "board" && field("boardM", t("offTheWall.boardAlongIt"))}
        {v.mode === "wall" && field("ceilingM", t("offTheWall.ceilingEmptySky"))}
        {v.mode === "wall" && field("ballRadiusM", t("offTheWall.ballRadius"))}
      </Group>
      {v.mode !== "board" && (
        <Group title={t("offTheWall.timeToReact")}>
          <div className="flex items-center gap-2">
            <span className="mr-auto" aria-hidden>
              {t("offTheWall.age")}
            </span>
            <Choice
              label={t("offTheWall.age")}
              className="field"
              value={String(v.age)}
              options={Array.from({ length: 14 }, (_, i) => ({
                value: String(i + 4),
                text: t("offTheWall.years", { n: i + 4 }),
              }))}
              onChange={(years) => {
                const by = reaction(given, Number(years));
                if (by) change({ age: Number(years), reactionSec: by.reactionSec, handMoveSec: by.handMoveSec });
              }}
            />
          </div>
          {number("reactionSec", t("offTheWall.toSeeAndDecide"), "s", 0.01)}
          {number("handMoveSec", t("offTheWall.toBringTheHands"), "s", 0.01)}
          <Switch
            label={t("offTheWall.hardBallMore", { n: planning.usual.hardMarginShare * 100 })}
            on={v.hard}
            onChange={(hard) => change({ hard })}
          />
        </Group>
      )}
    </>
  );
}

function toldReaction(a: Reaction, v: V & { comes: number | null }, units: Units): Said {
  const text = t("offTheWall.aBallThatComesAt", {
    comes: v.comes?.toFixed(1),
    leastDistanceM: length(a.leastDistanceM, units),
    age: v.age,
    more: v.hard ? t("offTheWall.hardBallMarginInIt") : "",
  });
  return a.enough
    ? {
        kind: "note",
        text: t("offTheWall.hereAreOfTheNeeded", { text, hasSec: seconds(a.hasSec), neededSec: seconds(a.neededSec) }),
      }
    : {
        kind: "warn",
        text: t("offTheWall.hereItHasOnlyS", { text, hasSec: a.hasSec.toFixed(2), neededSec: a.neededSec.toFixed(2) }),
      };
}

function measures(
  v: V,
  side?: OffTheWall,
  above?: Angled,
  pass?: BounceSpot,
  board?: LeanedBoard,
  react?: Reaction,
): Measure[] {
  const rows: Measure[] = [];
  const add = (what: string, m: number | null | undefined, up = false) => {
    if (m !== null && m !== undefined) rows.push({ what, m: Math.abs(m), up });
  };
  if (v.mode === "wall") {
    add(t("offTheWall.lineToThrowFromFrom"), v.standM);
    add(t("offTheWall.itMeetsTheWallAt"), side?.rebound.wallHeightM, true);
    add(t("offTheWall.firstBounceFromTheWall"), side?.rebound.firstBounceFromWallM);
    add(t("offTheWall.standToCatchOnThe"), side?.catchFullFromWallM);
    add(t("offTheWall.standToCatchAfterOne"), side?.catchBounceFromWallM);
  } else if (v.mode === "along") {
    add(t("offTheWall.lineToPassFromFrom"), v.standM);
    add(t("offTheWall.markAlongTheWall"), above?.lateralAtWallM);
    add(t("offTheWall.runAlongTheWall"), above?.lateralAtReturnM);
  } else if (v.mode === "pass") {
    add(t("offTheWall.fromPasserToCatcher"), v.distanceM);
    add(t("offTheWall.markOnTheFloorFrom"), pass?.bounceFromPasserM);
    add(t("offTheWall.twoThirdsOfTheWay"), pass?.twoThirdsM);
  } else {
    add(t("offTheWall.lineToThrowFromFrom2"), v.standM);
    add(t("offTheWall.itLandsFromTheBoard"), board?.landsFromFootM);
  }
  if (v.mode !== "board") add(t("offTheWall.leastDistanceToReact"), react?.leastDistanceM);
  return rows;
}
