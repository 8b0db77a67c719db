import type { AimSheet } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { LabelAt } from "../../drawing/pieces";
import { Stage, useScale } from "../../drawing/stage";
import { length, small, type Units } from "../../lengths";
import { percent } from "../../words";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { correct, direction } from "../../words-marks";
import { Controls } from "./aim-controls";
import type { Given } from "./given";
import { type Point, type Ring, useAim, type V } from "./use-aim";
import { type Said, Working } from "./working";

const t = textsOf("marks", saidMarks);

export function AimWorking({ given }: { given: Given }) {
  const parts = useAim(given);
  const { units, v, change, answer, of, problem, ring } = parts;
  return (
    <Working
      title={t("aim.aim")}
      given={given}
      values={v}
      problem={problem}
      drawing={<Drawing v={v} answer={answer} change={change} units={units} ring={ring} />}
      said={answer ? told(answer, of, units) : []}
      controls={<Controls {...parts} />}
      measures={[
        { what: t("aim.lineToThrowFromTo"), m: v.distanceM },
        ...v.rings.map((r, i) => ({
          what: t("aim.ringPointsAcross", { n: i + 1, points: r.points }),
          m: r.outerRadiusCm === null ? null : (2 * r.outerRadiusCm) / 100,
          small: true,
        })),
      ]}
      materials={[t("aim.chalkOrTape"), t("aim.aStringAsLongAs"), t("aim.softBallsOrBeanBags")]}
      cautions={["GLASS_BEHIND_TARGET", "HARD_BALL_FACE", "LOOSE_BALLS", "TRIP_MARKERS"]}
    />
  );
}

function Drawing({
  v,
  answer,
  change,
  units,
  ring,
}: {
  v: V;
  answer: AimSheet | undefined;
  change: (patch: Partial<V>) => void;
  units: Units;
  ring: (i: number, patch: Partial<Ring>) => void;
}) {
  const last = Math.max(5, ...v.rings.map((r) => r.outerRadiusCm ?? 0)) / 100;
  const half = last * 1.55;
  return (
    <Stage
      world={{ left: -half * 1.35, right: half * 1.35, bottom: -half, top: half }}
      units={units}
      height={470}
      label={t("aim.theTargetAcrossWith", { small: small(last * 200, units), count: v.points.length })}
    >
      <Target v={v} onTap={(p) => change({ points: [...v.points, p] })} />
      {answer?.landings && (
        <Mean x={answer.landings.meanXCm} y={answer.landings.meanYCm} spread={answer.landings.spreadCm} />
      )}
      {v.rings.map((r, i) => (
        <Handle
          // biome-ignore lint/suspicious/noArrayIndexKey: a ring is known by its place
          key={i}
          label={t("aim.radiusOfRing", { n: i + 1 })}
          value={r.outerRadiusCm ?? 0}
          text={small(r.outerRadiusCm ?? 0, units)}
          least={1}
          greatest={500}
          step={1}
          axis="x"
          colour="var(--target)"
          at={{ x: (r.outerRadiusCm ?? 0) / 100, y: 0 }}
          onMove={(p) => ring(i, { outerRadiusCm: Math.max(1, Math.round(p.x * 100)) })}
          onStep={(dx, dy) => ring(i, { outerRadiusCm: Math.max(1, Math.round((r.outerRadiusCm ?? 0) + dx + dy)) })}
        />
      ))}
      {v.points.map((p, i) => (
        <Landing
          // biome-ignore lint/suspicious/noArrayIndexKey: landings keep their order
          key={i}
          n={i + 1}
          at={p}
          units={units}
          onMove={(to) => change({ points: v.points.map((q, k) => (k === i ? to : q)) })}
          onTap={(p) => change({ points: [...v.points, p] })}
        />
      ))}
    </Stage>
  );
}

function Target({ v, onTap }: { v: V; onTap: (p: Point) => void }) {
  const scale = useScale();
  const { x, y, perM } = scale;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: by keyboard a landing is added with its button and moved as a slider
    <g
      data-testid="target"
      className="cursor-crosshair"
      onClick={(e) => {
        const p = scale.at(e);
        onTap({ xCm: Math.round(p.x * 1000) / 10, yCm: Math.round(p.y * 1000) / 10 });
      }}
    >
      <rect x="0" y="0" width="3000" height="2000" fill="transparent" />
      {[...v.rings].reverse().map((r, i) => (
        <circle
          // biome-ignore lint/suspicious/noArrayIndexKey: a ring is known by its place
          key={i}
          cx={x(0)}
          cy={y(0)}
          r={Math.max(1, ((r.outerRadiusCm ?? 0) / 100) * perM)}
          fill="var(--target)"
          fillOpacity="0.07"
          stroke="var(--target)"
          strokeWidth="2.500"
        />
      ))}
      {v.rings.map((r, i) => {
        const inner = i === 0 ? 0 : (v.rings[i - 1]?.outerRadiusCm ?? 0);
        const middle = i === 0 ? 0 : (inner + (r.outerRadiusCm ?? 0)) / 200;
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a ring is known by its place
          <LabelAt key={i} xM={0} yM={middle} dy={5} bold colour="var(--target)">
            {`${r.points ?? "?"}`}
          </LabelAt>
        );
      })}
    </g>
  );
}

/** The middle of the landings, and the ring that holds about two of five of them. */
function Mean({ x: mx, y: my, spread }: { x: number; y: number; spread: number }) {
  const { x, y, perM } = useScale();
  const cx = x(mx / 100);
  const cy = y(my / 100);
  return (
    <g aria-hidden stroke="var(--throw)" fill="none" strokeWidth="2.500" pointerEvents="none">
      <circle cx={cx} cy={cy} r={(spread / 100) * perM} strokeDasharray="5 5" />
      <path d={`M${cx - 9} ${cy}h18M${cx} ${cy - 9}v18`} strokeWidth="4" />
      <line x1={x(0)} y1={y(0)} x2={cx} y2={cy} />
    </g>
  );
}

function Landing({
  n,
  at,
  units,
  onMove,
  onTap,
}: {
  n: number;
  at: Point;
  units: Units;
  onMove: (p: Point) => void;
  /** One throw may land where another did. */
  onTap: (p: Point) => void;
}) {
  const to = (xM: number, yM: number) => onMove({ xCm: Math.round(xM * 1000) / 10, yCm: Math.round(yM * 1000) / 10 });
  const { x, y } = useScale();
  return (
    <>
      <Handle
        label={t("aim.landing2", { n })}
        value={at.xCm}
        text={`${small(Math.abs(at.xCm), units)} ${at.xCm < 0 ? t("aim.left") : t("aim.right")}, ${small(Math.abs(at.yCm), units)} ${at.yCm < 0 ? t("aim.low") : t("aim.high")}`}
        least={-20000}
        greatest={20000}
        step={1}
        axis="both"
        bare
        at={{ x: at.xCm / 100, y: at.yCm / 100 }}
        onMove={(p) => to(p.x, p.y)}
        onTap={(p) => onTap({ xCm: Math.round(p.x * 1000) / 10, yCm: Math.round(p.y * 1000) / 10 })}
        onStep={(dx, dy) => onMove({ xCm: at.xCm + dx, yCm: at.yCm + dy })}
      />
      <path
        aria-hidden
        pointerEvents="none"
        d={`M${x(at.xCm / 100) - 5} ${y(at.yCm / 100) - 5}l10 10m0 -10l-10 10`}
        stroke="var(--color-ink)"
        strokeWidth="3"
      />
    </>
  );
}

function told(a: AimSheet, v: V, units: Units): Said[] {
  const said: Said[] = [];
  const l = a.landings;
  const throws = v.points.length;
  if (l) {
    if (a.unseenBiasCm !== null)
      said.push({ kind: "note", text: t("aim.unseen", { n: throws, off: small(a.unseenBiasCm, units) }) });
    const off = small(l.biasCm, units);
    said.push({
      text:
        l.direction === "CENTRED"
          ? t("aim.throwsOnAverageOffWhich", {
              throws,
              off,
              chanceOfSuchBias: percent(l.chanceOfSuchBias),
              spreadCm: small(l.spreadCm, units),
            })
          : t("aim.throwsAlwaysOffTheMark", {
              throws,
              direction: direction[l.direction],
              off,
              spreadCm: small(l.spreadCm, units),
            }),
    });
    if (a.throwsToTell)
      said.push({
        kind: "note",
        text: t("aim.thatDoesNotSayThe", { throwsToTell: a.throwsToTell }),
      });
  }
  said.push({
    text: correct[a.correct],
    kind: a.correct === "COUNTS_ONLY" || a.correct === "TOO_FEW" ? "note" : undefined,
  });
  const r = a.rings;
  if (!r) return [{ text: t("aim.noThrowsYetTap") }];
  if (r.verdict === "TOO_FAR") return [...said, { kind: "warn", text: t("aim.allLandedOutsideToo") }];
  if (r.verdict === "TOO_EASY")
    return [
      ...said,
      {
        kind: "warn",
        text: t("aim.allLandedInThe"),
      },
    ];
  if (r.radiusForShareCm !== null && a.radiusForShareCm && a.distanceForShareM && r.distanceForShareM !== null) {
    const within = (low: string, high: string) => t("aim.likelyTo", { low, high });
    said.push({
      text: t("aim.forToGoInA", {
        wantPercent: v.wantPercent,
        radiusForShareCm: small(r.radiusForShareCm, units),
        within: within(small(a.radiusForShareCm.low, units), small(a.radiusForShareCm.high, units)),
        distanceForShareM: length(r.distanceForShareM, units),
        within2: within(length(a.distanceForShareM.low, units), length(a.distanceForShareM.high, units)),
      }),
    });
    if (r.pointsPerThrow !== null && a.pointsPerThrow)
      said.push({
        text: t("aim.expectedPointsAThrowLikely", {
          pointsPerThrow: r.pointsPerThrow.toFixed(1),
          low: a.pointsPerThrow.low.toFixed(1),
          high: a.pointsPerThrow.high.toFixed(1),
        }),
      });
    said.push({
      kind: "note",
      text: t("aim.ringByRingTheReckoning", {
        ringShare: r.ringShare?.map((s) => percent(s)).join(", "),
        outsideShare: percent(r.outsideShare ?? 0),
      }),
    });
  }
  return said;
}
