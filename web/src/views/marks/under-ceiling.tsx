import type { UnderCeiling } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { Ball, Ceiling, Dim, Figure, Floor, LabelAt } from "../../drawing/pieces";
import { Stage, useScale } from "../../drawing/stage";
import { length, type Units } from "../../lengths";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import type { Given } from "./given";
import { LengthField, NumberRow } from "./length-field";
import { FromBall, FromSpace, Group } from "./prefill";
import { useReckon } from "./use-reckon";
import { useValues } from "./use-values";
import { type Said, Working } from "./working";

const t = textsOf("marks", saidMarks);

type V = {
  ceilingM: number | null;
  clearanceM: number | null;
  ballRadiusM: number | null;
  releaseM: number | null;
  catchM: number | null;
  clapSec: number | null;
  handsSec: number | null;
  wishClaps: number | null;
  space: string;
  ball: string;
};

export function CeilingWorking({ given }: { given: Given }) {
  const { units, planning } = given;
  const roofed =
    given.space?.place.size.ceilingM != null ? given.space : given.spaces.find((s) => s.place.size.ceilingM !== null);
  const kind = planning.balls.find((b) => b.id === "tennis") ?? planning.balls[0];
  const [v, change] = useValues<V>({
    ceilingM: roofed?.place.size.ceilingM ?? 2.6,
    clearanceM: planning.usual.lampClearanceM,
    ballRadiusM: kind?.radiusM ?? 0.05,
    releaseM: 1.1,
    catchM: 1.0,
    clapSec: planning.usual.clapSec,
    handsSec: planning.usual.handsSec,
    wishClaps: 4,
    space: roofed?.id ?? "",
    ball: kind?.id ?? "",
  });
  const { answer, must, problem, of } = useReckon(
    "under-ceiling",
    {
      toss: {
        ceilingM: v.ceilingM,
        clearanceM: v.clearanceM,
        ballRadiusM: v.ballRadiusM,
        releaseM: v.releaseM,
        catchM: v.catchM,
        clapSec: v.clapSec,
        handsSec: v.handsSec,
      },
      wishClaps: v.wishClaps,
    },
    v,
  );
  const field = (key: keyof V & string, label: string) => (
    <LengthField
      label={label}
      units={units}
      valueM={v[key] as number | null}
      must={must(`toss.${key}`)}
      onChange={(m) => change({ [key]: m } as Partial<V>)}
    />
  );
  return (
    <Working
      title={t("underCeiling.underThisCeiling")}
      given={given}
      values={v}
      problem={problem}
      drawing={<Drawing v={v} of={of} answer={answer} change={change} units={units} />}
      said={answer ? told(answer, of, units) : []}
      aside={answer && <Rises answer={answer} units={units} />}
      controls={
        <>
          <Group title={t("underCeiling.fromTheStore")}>
            <FromSpace
              given={{ ...given, spaces: given.spaces.filter((s) => s.place.size.ceilingM !== null) }}
              id={v.space}
              onSpace={(s) => change({ space: s.id, ceilingM: s.place.size.ceilingM })}
            />
            <FromBall given={given} id={v.ball} onBall={(b) => change({ ball: b.id, ballRadiusM: b.radiusM })} />
          </Group>
          <Group title={t("underCeiling.theRoom")}>
            {field("ceilingM", t("underCeiling.ceiling"))}
            {field("clearanceM", t("underCeiling.keepFreeBelowItLamps"))}
          </Group>
          <Group title={t("underCeiling.theToss")}>
            {field("releaseM", t("underCeiling.ballLeavesTheHandAt"))}
            {field("catchM", t("underCeiling.caughtAt"))}
            {field("ballRadiusM", t("underCeiling.ballRadius"))}
          </Group>
          <Group title={t("underCeiling.claps")}>
            <NumberRow
              label={t("underCeiling.oneClapTakes")}
              unit={t("underCeiling.s")}
              step={0.01}
              value={v.clapSec}
              must={must("toss.clapSec")}
              onChange={(clapSec) => change({ clapSec })}
            />
            <NumberRow
              label={t("underCeiling.handsGetReadyIn")}
              unit={t("underCeiling.s")}
              step={0.05}
              value={v.handsSec}
              must={must("toss.handsSec")}
              onChange={(handsSec) => change({ handsSec })}
            />
            <NumberRow
              label={t("underCeiling.clapsWishedFor")}
              value={v.wishClaps}
              must={must("wishClaps")}
              onChange={(wishClaps) => change({ wishClaps })}
            />
          </Group>
        </>
      }
      measures={[
        {
          what: t("underCeiling.topOfTheTossMiddle"),
          m: answer && of.releaseM !== null ? of.releaseM + answer.toss.riseM : null,
          up: true,
        },
        {
          what: t("underCeiling.ceilingThat", { count: of.wishClaps ?? 0 }),
          m: answer?.wish.ceilingNeededM ?? null,
          up: true,
        },
      ]}
      materials={[t("underCeiling.aSoftBallOrBean"), t("underCeiling.tapeForAMarkAt")]}
      cautions={["CEILING_AND_LAMPS", "HARD_TOSS", "HARD_BALL_FACE"]}
    />
  );
}

function Drawing({
  v,
  of,
  answer,
  change,
  units,
}: {
  v: V;
  /** those of the answer */
  of: V;
  answer: UnderCeiling | undefined;
  change: (p: Partial<V>) => void;
  units: Units;
}) {
  const ceiling = v.ceilingM ?? 2.6;
  const release = v.releaseM ?? 1.1;
  const caught = v.catchM ?? 1;
  const needed = answer?.wish.ceilingNeededM ?? ceiling;
  const top = Math.max(ceiling, Math.min(needed, ceiling + 4)) + 0.35;
  const height = answer ? release + answer.toss.riseM : release;
  const round = (m: number) => Math.round(Math.max(0, m) * 100) / 100;
  return (
    <Stage
      world={{ left: -2.6, right: 3.4, bottom: 0, top }}
      units={units}
      height={470}
      label={t("underCeiling.sideViewUnderACeiling", { ceiling: length(ceiling, units) })}
    >
      <Floor />
      <Free from={ceiling - (v.clearanceM ?? 0)} to={ceiling} />
      <Ceiling at={ceiling} label={t("underCeiling.ceiling3", { ceiling: length(ceiling, units) })} />
      {answer && !answer.wishFits && (
        <NeededLine
          at={needed}
          text={`${t("underCeiling.text", { count: of.wishClaps ?? 0 })} ${length(needed, units)}`}
        />
      )}
      <Figure at={0} handM={release} />
      {answer && (
        <>
          <UpAndDown release={release} caught={caught} top={height} />
          <Ball at={{ xM: 0.22, yM: height }} radiusM={v.ballRadiusM ?? 0.05} colour="var(--catch)" />
          <Dim
            from={release}
            to={height}
            at={0.95}
            upright
            text={`${length(answer.toss.riseM, units)} up`}
            colour="var(--catch)"
          />
          <Beats answer={answer} handsSec={of.handsSec ?? 0} clapSec={of.clapSec ?? 1} />
        </>
      )}
      <Handle
        label={t("underCeiling.ceiling")}
        value={ceiling}
        text={length(ceiling, units)}
        least={1}
        greatest={12}
        step={0.05}
        axis="y"
        vertical
        at={{ x: 1.6, y: ceiling }}
        onMove={(p) => change({ ceilingM: round(p.y), space: "" })}
      />
      <Handle
        label={t("underCeiling.ballLeavesTheHand")}
        value={release}
        text={length(release, units)}
        least={0.2}
        greatest={2.5}
        step={0.05}
        axis="y"
        vertical
        colour="var(--catch)"
        at={{ x: 0, y: release }}
        onMove={(p) => change({ releaseM: round(p.y) })}
      />
      <Handle
        label={t("underCeiling.caught")}
        value={caught}
        text={length(caught, units)}
        least={0}
        greatest={2.5}
        step={0.05}
        axis="y"
        vertical
        colour="var(--catch)"
        at={{ x: 0.45, y: caught }}
        onMove={(p) => change({ catchM: round(p.y) })}
      />
      <LabelAt xM={0.45} yM={caught} dx={16} dy={16} anchor="start" colour="var(--catch)">
        {t("underCeiling.caught2")}
      </LabelAt>
    </Stage>
  );
}

function Free({ from, to }: { from: number; to: number }) {
  const { x, y, world } = useScale();
  return (
    <rect
      aria-hidden
      x={x(world.left)}
      width={x(world.right) - x(world.left)}
      y={y(to)}
      height={Math.max(0, y(from) - y(to))}
      fill="var(--color-alert)"
      fillOpacity="0.1"
    />
  );
}

function NeededLine({ at, text }: { at: number; text: string }) {
  const { x, y, world } = useScale();
  return (
    <g aria-hidden>
      <line
        x1={x(world.left)}
        x2={x(world.right)}
        y1={y(at)}
        y2={y(at)}
        stroke="var(--color-alert)"
        strokeWidth="2"
        strokeDasharray="7 5"
      />
      <LabelAt xM={world.right} yM={at} dy={-7} anchor="end" colour="var(--color-alert)">
        {text}
      </LabelAt>
    </g>
  );
}

function UpAndDown({ release, caught, top }: { release: number; caught: number; top: number }) {
  const { x, y } = useScale();
  return (
    <path
      aria-hidden
      d={`M${x(0)} ${y(release)}C${x(0.02)} ${y(top)} ${x(0.12)} ${y(top)} ${x(0.22)} ${y(top)}S${x(0.43)} ${y(top)} ${x(0.45)} ${y(caught)}`}
      fill="none"
      stroke="var(--catch)"
      strokeWidth="3"
    />
  );
}

/** The time in the air as a strip: hands first, then one beat a clap. */
function Beats({ answer, handsSec, clapSec }: { answer: UnderCeiling; handsSec: number; clapSec: number }) {
  const { x, y } = useScale();
  const air = answer.toss.airSec;
  if (air <= 0) return null;
  const width = x(3.3) - x(1.6);
  const sec = width / Math.max(air, 0.2);
  const left = x(1.6);
  const at = y(0.75);
  return (
    <g aria-hidden>
      <rect x={left} y={at} width={air * sec} height="16" fill="none" stroke="var(--catch)" strokeWidth="2" />
      <rect x={left} y={at} width={Math.min(air, handsSec) * sec} height="16" fill="var(--color-rule)" />
      {Array.from({ length: Math.min(60, answer.toss.claps) }, (_, i) => (
        <rect
          // biome-ignore lint/suspicious/noArrayIndexKey: beats are told apart by their place only
          key={i}
          x={left + (handsSec + i * clapSec) * sec + 1.5}
          y={at + 2}
          width={Math.max(1, clapSec * sec - 3)}
          height="12"
          fill="var(--catch)"
        />
      ))}
      <text x={left} y={at - 8} fontSize="13.500" fill="var(--color-ink)">
        {t("underCeiling.sInTheAirHands", { air: air.toFixed(2), count: answer.toss.claps })}
      </text>
    </g>
  );
}

function told(a: UnderCeiling, v: V, units: Units): Said[] {
  if (a.toss.airSec === 0)
    return [
      {
        kind: "warn",
        text: a.toss.riseM > 0 ? t("underCeiling.theCatchIsAboveThe") : t("underCeiling.thereIsNoRoomTo"),
      },
    ];
  const said: Said[] = [
    {
      text: t("underCeiling.underATossMayRise", {
        ceilingM: length(v.ceilingM ?? 0, units),
        riseM: length(a.toss.riseM, units),
        airSec: a.toss.airSec.toFixed(2),
        count: a.toss.claps,
      }),
    },
  ];
  said.push(
    a.wishFits
      ? {
          text: t("underCeiling.theyNeedATossOf", {
            count: v.wishClaps ?? 0,
            riseM: length(a.wish.riseM, units),
            ceilingNeededM: length(a.wish.ceilingNeededM, units),
          }),
        }
      : {
          kind: "warn",
          text: t("underCeiling.aRoomOfMoreThan", {
            count: v.wishClaps ?? 0,
            ceilingNeededM: length(a.wish.ceilingNeededM, units),
            length: length(a.wish.ceilingNeededM - (v.ceilingM ?? 0), units),
          }),
        },
  );
  said.push({
    kind: "note",
    text: t("underCeiling.straightUpWithoutAir"),
  });
  return said;
}

function Rises({ answer, units }: { answer: UnderCeiling; units: Units }) {
  return (
    <table className="mt-4 w-full max-w-xl text-left text-[0.95rem]">
      <caption className="pb-1 text-left font-bold">{t("underCeiling.howHighARoom")}</caption>
      <thead className="text-sm text-soft">
        <tr>
          <th scope="col">{t("underCeiling.claps2")}</th>
          <th scope="col">{t("underCeiling.toss")}</th>
          <th scope="col">{t("underCeiling.ceiling2")}</th>
          <th scope="col">{t("underCeiling.here")}</th>
        </tr>
      </thead>
      <tbody>
        {answer.rises.map((r) => (
          <tr key={r.claps} className="border-t border-rule">
            <th scope="row" className="clock py-0.5 font-normal">
              {r.claps}
            </th>
            <td className="clock">{length(r.riseM, units)}</td>
            <td className="clock">{length(r.ceilingNeededM, units)}</td>
            <td className={r.fits ? "" : "text-soft"}>{r.fits ? t("underCeiling.fits") : t("underCeiling.tooLow")}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
