import type { Angled, BounceSpot, LeanedBoard, OffTheWall, Reaction } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { Ball, Ceiling, Dim, Figure, Flight, Floor, LabelAt, Wall } from "../../drawing/pieces";
import { Stage, useScale } from "../../drawing/stage";
import { length, type Units } from "../../lengths";
import { Choice } from "../../ui/choice";
import { noDrag, rebound as reboundWords, seconds } from "../../words-marks";
import { age, type Given, reaction } from "./given";
import { LengthField, NumberRow } from "./length-field";
import type { Measure } from "./measures";
import { AngleHandle } from "./net-on-wall";
import { FromBall, FromSpace, Group, Switch } from "./prefill";
import { useReckon } from "./use-reckon";
import { useValues } from "./use-values";
import { type Said, Working } from "./working";

type V = {
  mode: string;
  standM: number | null;
  releaseM: number | null;
  speedMs: number | null;
  angleDeg: number | null;
  restitution: number | null;
  floorRestitution: number | null;
  catchM: number | null;
  ceilingM: number | null;
  ballRadiusM: number | null;
  turnDeg: number | null;
  leanDeg: number | null;
  boardAngleDeg: number | null;
  boardM: number | null;
  distanceM: number | null;
  floorGrip: number | null;
  age: number | null;
  reactionSec: number | null;
  handMoveSec: number | null;
  hard: boolean;
  space: string;
  ball: string;
};

const modes = [
  { value: "wall", text: "From the side" },
  { value: "along", text: "From above, at an angle" },
  { value: "pass", text: "Bounce pass" },
  { value: "board", text: "Leaned board" },
];

/** Where the ball comes back, and how near is too near. */
export function OffTheWallWorking({ given }: { given: Given }) {
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
  const side = useReckon<OffTheWall>("off-the-wall", {
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
  });
  const above = useReckon<Angled>("angled", { standM: v.standM, angleDeg: v.turnDeg, restitution: v.restitution });
  const pass = useReckon<BounceSpot>("bounce-spot", {
    distanceM: v.distanceM,
    releaseM: v.releaseM,
    speedMs: v.speedMs,
    floorRestitution: v.floorRestitution,
    floorGrip: v.floorGrip,
    catchM: v.catchM,
  });
  const board = useReckon<LeanedBoard>("leaned-board", {
    standM: v.standM,
    releaseM: v.releaseM,
    speedMs: v.speedMs,
    angleDeg: v.boardAngleDeg,
    leanDeg: v.leanDeg,
    boardM: v.boardM,
    restitution: v.restitution,
  });
  // What comes at the catcher: straight from a partner, or back off the wall.
  const comes = v.mode === "pass" ? v.speedMs : (side.answer?.speedBackMs ?? v.speedMs);
  const react = useReckon<Reaction>("reaction", {
    speedMs: comes,
    reactionSec: v.reactionSec,
    handMoveSec: v.handMoveSec,
    hardBall: v.hard,
    hardMarginShare: planning.usual.hardMarginShare,
    distanceM: v.mode === "pass" ? v.distanceM : v.standM,
  });
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
    ...(v.mode === "wall" && side.answer ? toldWall(side.answer, v, units) : []),
    ...(v.mode === "along" && above.answer ? toldAlong(above.answer, v, units) : []),
    ...(v.mode === "pass" && pass.answer ? toldPass(pass.answer, v, units) : []),
    ...(v.mode === "board" && board.answer ? toldBoard(board.answer, units) : []),
    ...(react.answer && v.mode !== "board" ? [toldReaction(react.answer, v, comes ?? 0, units)] : []),
    { kind: "note", text: `${noDrag} How lively ball and wall are is a planning value: try it and change it.` },
  ];
  return (
    <Working
      title="Back off the wall"
      given={given}
      values={v}
      problem={shown.problem ?? react.problem}
      drawing={
        <>
          <fieldset className="mb-2 flex flex-wrap gap-2 print:hidden">
            <legend className="sr-only">View</legend>
            {modes.map((m) => (
              <button
                key={m.value}
                type="button"
                className={`btn btn-small ${v.mode === m.value ? "btn-main" : ""}`}
                aria-pressed={v.mode === m.value}
                onClick={() => change({ mode: m.value })}
              >
                {m.text}
              </button>
            ))}
          </fieldset>
          {v.mode === "wall" && <SideView v={v} answer={side.answer} change={change} units={units} />}
          {v.mode === "along" && <FromAbove v={v} answer={above.answer} change={change} units={units} />}
          {v.mode === "pass" && <PassView v={v} answer={pass.answer} change={change} units={units} />}
          {v.mode === "board" && <BoardView v={v} answer={board.answer} change={change} units={units} />}
        </>
      }
      said={said}
      controls={
        <>
          <Group title="From the store">
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
          <Group title="The throw">
            {v.mode === "pass"
              ? field("distanceM", "From passer to catcher")
              : field("standM", v.mode === "board" ? "Stand from the board" : "Stand from the wall")}
            {v.mode !== "along" && field("releaseM", "Ball leaves the hand at")}
            {number("speedMs", "Speed of the throw", "m/s", 0.5)}
            {v.mode === "wall" && number("angleDeg", "Launch angle", "°")}
            {v.mode === "board" && (
              <NumberRow
                label="Launch angle"
                unit="°"
                value={v.boardAngleDeg}
                must={board.must("angleDeg")}
                onChange={(boardAngleDeg) => change({ boardAngleDeg })}
              />
            )}
            {v.mode === "along" && number("turnDeg", "Turned from straight", "°")}
            {(v.mode === "wall" || v.mode === "pass") && field("catchM", "Caught at")}
          </Group>
          <Group title="What it meets">
            {v.mode !== "pass" &&
              number("restitution", v.mode === "board" ? "Board gives back" : "Wall gives back", "×", 0.05)}
            {(v.mode === "wall" || v.mode === "pass") && number("floorRestitution", "Floor gives back", "×", 0.05)}
            {v.mode === "pass" && number("floorGrip", "Floor lets it run on", "×", 0.05)}
            {v.mode === "board" && number("leanDeg", "Board leans by", "°")}
            {v.mode === "board" && field("boardM", "Board, along it")}
            {v.mode === "wall" && field("ceilingM", "Ceiling (empty: sky)")}
            {v.mode === "wall" && field("ballRadiusM", "Ball radius")}
          </Group>
          {v.mode !== "board" && (
            <Group title="Time to react">
              <div className="flex items-center gap-2">
                <span className="mr-auto" aria-hidden>
                  Age
                </span>
                <Choice
                  label="Age"
                  className="field"
                  value={String(v.age)}
                  options={Array.from({ length: 14 }, (_, i) => ({ value: String(i + 4), text: `${i + 4} years` }))}
                  onChange={(years) => {
                    const by = reaction(given, Number(years));
                    if (by) change({ age: Number(years), reactionSec: by.reactionSec, handMoveSec: by.handMoveSec });
                  }}
                />
              </div>
              {number("reactionSec", "To see and decide", "s", 0.01)}
              {number("handMoveSec", "To bring the hands", "s", 0.01)}
              <Switch
                label={`Hard ball: ${planning.usual.hardMarginShare * 100} % more`}
                on={v.hard}
                onChange={(hard) => change({ hard })}
              />
            </Group>
          )}
        </>
      }
      measures={measures(v, side.answer, above.answer, pass.answer, board.answer, react.answer)}
      materials={[
        "tape or flat markers",
        "tape measure",
        v.mode === "board" ? "a board, wedged so that it cannot slip" : "a ball each",
      ]}
      cautions={["FAST_RETURN", "HARD_BALL_FACE", "CEILING_AND_LAMPS", "GLASS_BEHIND_TARGET", "LOOSE_BALLS"]}
    />
  );
}

type View<A> = { v: V; answer: A | undefined; change: (patch: Partial<V>) => void; units: Units };
const round = (m: number) => Math.round(m * 100) / 100;

function highest(path: { yM: number }[]) {
  return Math.max(0, ...path.map((p) => p.yM));
}

function SideView({ v, answer, change, units }: View<OffTheWall>) {
  const stand = v.standM ?? 3;
  const back = answer ? stand - Math.min(...answer.path.map((p) => p.xM)) : stand;
  const left = -Math.max(0.9, Math.min(back - stand, 6) + 0.3);
  const top = Math.max(v.ceilingM ?? 0, highest(answer?.path ?? []) + 0.4, 2.2);
  return (
    <Stage
      world={{ left, right: stand + 0.35, bottom: 0, top }}
      units={units}
      height={430}
      label={`Side view: thrown from ${length(stand, units)} before the wall`}
    >
      <Floor />
      {v.ceilingM !== null && <Ceiling at={v.ceilingM} label={`ceiling ${length(v.ceilingM, units)}`} />}
      <Wall at={stand} top={v.ceilingM ?? undefined} />
      <Figure at={0} handM={v.releaseM ?? 1.3} />
      {answer && (
        <>
          <Flight path={answer.path} colour="var(--throw)" />
          {answer.rebound.firstBounceFromWallM !== null && (
            <FloorMark
              x={stand - answer.rebound.firstBounceFromWallM}
              text={`${length(answer.rebound.firstBounceFromWallM, units)} from the wall`}
              colour="var(--throw)"
              below
            />
          )}
          {answer.catchFullFromWallM !== null && (
            <Spot x={stand - answer.catchFullFromWallM} height={v.catchM ?? 1} text="on the full" />
          )}
          {answer.catchBounceFromWallM !== null && (
            <Spot
              x={stand - answer.catchBounceFromWallM}
              height={Math.min(v.catchM ?? 1, answer.bounceTopM ?? 1)}
              text="after one bounce"
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
        label="Place of the wall"
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
        label="Ball leaves the hand"
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

function FromAbove({ v, answer, change, units }: View<Angled>) {
  const stand = v.standM ?? 3;
  const reach = Math.max(2, Math.abs(answer?.lateralAtReturnM ?? 0));
  const left = v.turnDeg !== null && v.turnDeg < 0 ? -reach - 0.6 : -0.9;
  const right = v.turnDeg !== null && v.turnDeg < 0 ? 0.9 : reach + 0.6;
  return (
    <Stage
      world={{ left, right, bottom: -0.5, top: stand + 0.45 }}
      units={units}
      height={430}
      label={`From above: a pass at ${v.turnDeg ?? 0} degrees along a wall ${length(stand, units)} away`}
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
            text={`run ${length(Math.abs(answer.lateralAtReturnM), units)}`}
            colour="var(--move)"
          />
          <LabelAt xM={answer.lateralAtWallM} yM={stand} dy={-18} bold colour="var(--throw)">
            {`mark at ${length(Math.abs(answer.lateralAtWallM), units)}`}
          </LabelAt>
          <Feet x={0} />
          <Feet x={answer.lateralAtReturnM} />
          <Handle
            label="Turn of the pass"
            value={v.turnDeg ?? 0}
            text={`${v.turnDeg} degrees from straight`}
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
        label="Distance to the wall"
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

function PassView({ v, answer, change, units }: View<BounceSpot>) {
  const far = v.distanceM ?? 3;
  const top = Math.max(2, (v.releaseM ?? 1) + 0.5, (v.catchM ?? 1) + 0.5);
  return (
    <Stage
      world={{ left: -0.8, right: far + 0.8, bottom: 0, top }}
      units={units}
      height={400}
      label={`Side view: a bounce pass over ${length(far, units)}`}
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
              text={`lands at ${length(answer.bounceFromPasserM, units)}`}
              colour="var(--throw)"
            />
          )}
          <FloorMark x={answer.twoThirdsM} text="two thirds" colour="var(--color-soft)" below />
        </>
      )}
      <Handle
        label="Place of the catcher"
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
        label="Caught"
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
        label="Ball leaves the hand"
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

function FloorMark({ x: at, text, colour, below }: { x: number; text: string; colour: string; below?: boolean }) {
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

function BoardView({ v, answer, change, units }: View<LeanedBoard>) {
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
      label={`Side view: a board that leans by ${v.leanDeg ?? 0} degrees`}
    >
      <Floor />
      <BoardLine from={stand} tip={tip} />
      <Figure at={0} handM={v.releaseM ?? 1} />
      {answer && <Flight path={answer.path} colour="var(--throw)" />}
      {answer?.landsFromFootM != null && (
        <FloorMark
          x={stand - answer.landsFromFootM}
          text={`${length(Math.abs(answer.landsFromFootM), units)} from the foot`}
          colour="var(--throw)"
        />
      )}
      <Handle
        label="Foot of the board"
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
        label="Lean of the board"
        value={v.leanDeg ?? 0}
        text={`${v.leanDeg} degrees from upright`}
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

function toldWall(a: OffTheWall, v: V, units: Units): Said[] {
  const r = a.rebound;
  const said: Said[] = [];
  if (r.outcome === "CEILING_FIRST")
    said.push({
      kind: "warn",
      text: `${reboundWords.CEILING_FIRST} After ${seconds(r.timeToCeilingSec ?? 0)}. Throw flatter or softer.`,
    });
  else if (r.outcome === "FLOOR_FIRST")
    said.push({
      kind: "warn",
      text: `${reboundWords.FLOOR_FIRST} It lands ${length(r.landsShortOfWallM ?? 0, units)} short. Throw harder or steeper.`,
    });
  else {
    said.push({
      text: `It meets the wall at ${length(r.wallHeightM ?? 0, units)} after ${seconds(r.timeToWallSec ?? 0)}. ${
        r.outcome === "BACK_ON_THE_FULL"
          ? `${reboundWords.BACK_ON_THE_FULL} It reaches the thrower ${length(r.heightAtThrowerM ?? 0, units)} high.`
          : `${reboundWords.BOUNCES_FIRST} The first bounce is ${length(r.firstBounceFromWallM ?? 0, units)} from the wall.`
      }`,
    });
    const full =
      a.catchFullFromWallM === null
        ? "It never comes down through catch height before the bounce."
        : `On the full: stand ${length(a.catchFullFromWallM, units)} from the wall.`;
    const one =
      a.catchBounceFromWallM === null
        ? ""
        : ` After one bounce: ${length(a.catchBounceFromWallM, units)} from the wall${(a.bounceTopM ?? 0) < (v.catchM ?? 0) - 0.01 ? `, and only ${length(a.bounceTopM ?? 0, units)} high` : ""}.`;
    said.push({ text: `To catch it at ${length(v.catchM ?? 0, units)}. ${full}${one}` });
  }
  return said;
}

function toldAlong(a: Angled, v: V, units: Units): Said[] {
  return [
    {
      text: `Pass at a mark ${length(Math.abs(a.lateralAtWallM), units)} along the wall, ${v.turnDeg}° from straight, and run ${length(Math.abs(a.lateralAtReturnM), units)} along it: there the ball is back at your distance.`,
    },
  ];
}

function toldPass(a: BounceSpot, v: V, units: Units): Said[] {
  const rule =
    a.heightByTwoThirdsM === null
      ? "Bounced at two thirds of the way it would not carry to the catcher on one bounce."
      : `By the two-thirds rule (${length(a.twoThirdsM, units)}) it comes up to ${length(a.heightByTwoThirdsM, units)}.`;
  if (a.outcome !== "SPOT" || a.bounceFromPasserM === null)
    return [
      {
        kind: "warn",
        text:
          a.outcome === "TOO_SLOW"
            ? "At this speed no pass reaches the catcher on one bounce: throw harder or stand nearer."
            : `No spot brings it up to ${length(v.catchM ?? 0, units)}; the most is ${length(a.highestAtCatcherM ?? 0, units)}.`,
      },
      { kind: "note", text: rule },
    ];
  return [
    {
      text: `Land it ${length(a.bounceFromPasserM, units)} from the passer, ${Math.round((a.shareOfWay ?? 0) * 100)} % of the way: it comes up to ${length(v.catchM ?? 0, units)} at the catcher after ${seconds(a.timeSec ?? 0)}.`,
    },
    { text: rule },
  ];
}

function toldBoard(a: LeanedBoard, units: Units): Said[] {
  switch (a.outcome) {
    case "FLOOR_FIRST":
      return [{ kind: "warn", text: "The ball meets the floor before the board: throw harder or steeper." }];
    case "OVER_THE_BOARD":
      return [{ kind: "warn", text: "The ball goes over the board: throw flatter, or use a longer board." }];
    case "GOES_AWAY":
      return [
        { kind: "warn", text: "The board leans too far: the ball goes up and away from the thrower. Set it steeper." },
      ];
    case "BACK_ON_THE_FULL":
      return [
        {
          text: `It meets the board ${length(a.boardAlongM ?? 0, units)} up and is back on the full, ${length(a.heightAtThrowerM ?? 0, units)} high.`,
        },
      ];
    default:
      return [
        {
          text: `It meets the board ${length(a.boardAlongM ?? 0, units)} up and lands ${length(a.landsFromFootM ?? 0, units)} from its foot, ${seconds(a.timeToFloorSec ?? 0)} after the throw.`,
        },
      ];
  }
}

function toldReaction(a: Reaction, v: V, speed: number, units: Units): Said {
  const text = `A ball that comes at ${speed.toFixed(1)} m/s asks for ${length(a.leastDistanceM, units)} at ${v.age} years${v.hard ? ", hard ball margin in it" : ""}`;
  return a.enough
    ? {
        kind: "note",
        text: `${text}; here are ${seconds(a.hasSec)} of the ${seconds(a.neededSec)} needed: enough. Our planning values, not a standard.`,
      }
    : {
        kind: "warn",
        text: `${text}; here it has only ${a.hasSec.toFixed(2)} s of the ${a.neededSec.toFixed(2)} s needed. Stand further back, throw softer, or take a softer ball. Our planning values, not a standard.`,
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
    add("Line to throw from, from the wall", v.standM);
    add("It meets the wall at", side?.rebound.wallHeightM, true);
    add("First bounce, from the wall", side?.rebound.firstBounceFromWallM);
    add("Stand to catch on the full, from the wall", side?.catchFullFromWallM);
    add("Stand to catch after one bounce, from the wall", side?.catchBounceFromWallM);
  } else if (v.mode === "along") {
    add("Line to pass from, from the wall", v.standM);
    add("Mark along the wall", above?.lateralAtWallM);
    add("Run along the wall", above?.lateralAtReturnM);
  } else if (v.mode === "pass") {
    add("From passer to catcher", v.distanceM);
    add("Mark on the floor, from the passer", pass?.bounceFromPasserM);
    add("Two thirds of the way", pass?.twoThirdsM);
  } else {
    add("Line to throw from, from the board's foot", v.standM);
    add("It lands from the board's foot", board?.landsFromFootM);
  }
  if (v.mode !== "board") add("Least distance to react", react?.leastDistanceM);
  return rows;
}
