import type { NetOnWall } from "../../api/types";
import { length, type Units } from "../../lengths";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { noDrag, plainMark, presetNote, withAir } from "../../words-marks";
import { type Given, reachM } from "./given";
import { LengthField, NumberRow } from "./length-field";
import { Drawing, type V } from "./net-drawing";
import { FromBall, FromSpace, Group, Pick } from "./prefill";
import { useReckon } from "./use-reckon";
import { useValues } from "./use-values";
import { type Said, Working } from "./working";

const t = textsOf("marks", saidMarks);

/** Its values, and what the core says of them. */
function useNetOnWall(given: Given) {
  const { units, planning } = given;
  const preset = planning.nets[1] ?? planning.nets[0];
  const kind = planning.balls.find((b) => b.id === "volleyball") ?? planning.balls[0];
  const [v, change] = useValues<V>({
    launchHeightM: Math.min(1.7, reachM(given) ?? 1.5),
    angleDeg: 35,
    netDistanceM: preset?.distanceM ?? 6,
    netHeightM: preset?.heightM ?? 2.1,
    clearanceM: 0.15,
    landWithinM: preset?.landWithinM ?? 6,
    standM: 3,
    ballRadiusM: kind?.radiusM ?? 0.1,
    massG: kind?.massKg ? 1000 * kind.massKg : null,
    dragCoefficient: kind?.dragCoefficient ?? 0.5,
    air: true,
    handM: planning.usual.handAboveNetM,
    angleSpreadDeg: planning.usual.angleSpreadDeg,
    ceilingM: given.space?.place.size.ceilingM ?? null,
    preset: preset?.id ?? "",
    space: given.space?.id ?? "",
    ball: kind?.id ?? "",
  });
  const { answer, must, problem, of } = useReckon(
    "net-on-wall",
    {
      serve: {
        launchHeightM: v.launchHeightM,
        angleDeg: v.angleDeg,
        netDistanceM: v.netDistanceM,
        netHeightM: v.netHeightM,
        clearanceM: v.clearanceM,
        landWithinM: v.landWithinM,
        standM: v.standM,
      },
      ballRadiusM: v.ballRadiusM,
      handM: v.handM,
      angleSpreadDeg: v.angleSpreadDeg,
      stepM: given.paceM,
      ceilingM: v.ceilingM,
      air: v.air && v.massG !== null ? { massKg: v.massG / 1000, dragCoefficient: v.dragCoefficient } : null,
    },
    v,
  );
  const field = (key: keyof V & string, label: string, path: string) => (
    <LengthField
      label={label}
      units={units}
      valueM={v[key] as number | null}
      must={must(path)}
      onChange={(m) => change({ [key]: m, ...(key.startsWith("net") ? { preset: "" } : {}) } as Partial<V>)}
    />
  );
  return { given, units, planning, v, change, answer, must, problem, of, field };
}

type Parts = ReturnType<typeof useNetOnWall>;

export function NetOnWallWorking({ given }: { given: Given }) {
  const parts = useNetOnWall(given);
  const { units, v, change, answer, problem, of } = parts;
  return (
    <Working
      title={t("netOnWall.netOnAWall")}
      given={given}
      values={v}
      problem={problem}
      drawing={<Drawing v={v} answer={answer} change={change} units={units} />}
      said={answer ? told(answer, of, units) : []}
      aside={answer && <Moves answer={answer} units={units} v={of} />}
      controls={<Controls {...parts} />}
      measures={
        answer?.mark.feasible
          ? [
              { what: t("netOnWall.lineToServeFromFrom"), m: of.standM },
              { what: t("netOnWall.lowerEdgeOfTheBand"), m: answer.mark.lowMarkM, up: true },
              { what: t("netOnWall.upperEdgeOfTheBand"), m: answer.mark.highMarkM, up: true },
              { what: t("netOnWall.plainMarkAHandAbove"), m: answer.plainMarkM, up: true },
            ]
          : [{ what: t("netOnWall.plainMarkAHandAbove"), m: answer?.plainMarkM ?? null, up: true }]
      }
      materials={[t("netOnWall.chalkOrMaskingTape"), t("netOnWall.tapeMeasure"), t("netOnWall.aBallEach")]}
      cautions={["CEILING_AND_LAMPS", "GLASS_BEHIND_TARGET", "FAST_RETURN", "LOOSE_BALLS"]}
    />
  );
}

function Controls({ given, planning, v, change, must, field }: Parts) {
  return (
    <>
      <Group title={t("netOnWall.fromTheStore")}>
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
              massG: b.massKg === null ? null : Math.round(1000 * b.massKg),
              dragCoefficient: b.dragCoefficient,
            })
          }
        />
        <Pick
          label={t("netOnWall.preset")}
          value={v.preset}
          none={t("netOnWall.ownFigures")}
          options={planning.nets.map((n) => ({ value: n.id, text: n.name }))}
          onPick={(id) => {
            const n = planning.nets.find((p) => p.id === id);
            if (n)
              change({
                preset: id,
                netHeightM: n.heightM,
                netDistanceM: n.distanceM,
                landWithinM: n.landWithinM,
                standM: Math.min(v.standM ?? n.distanceM, n.distanceM),
              });
          }}
        />
        {v.preset && <p className="text-sm text-soft">{presetNote}</p>}
      </Group>
      <Group title={t("netOnWall.theAir")}>
        <label className="flex items-center gap-2">
          <input type="checkbox" checked={v.air} onChange={(e) => change({ air: e.target.checked })} />{" "}
          {t("netOnWall.reckonWithTheAir")}
        </label>
        {v.air && (
          <>
            <NumberRow
              label={t("netOnWall.ballWeighs")}
              unit={t("netOnWall.g")}
              value={v.massG}
              must={must("air.massKg")}
              onChange={(massG) => change({ massG, ball: "" })}
            />
            <NumberRow
              label={t("netOnWall.dragCoefficient")}
              unit=""
              value={v.dragCoefficient}
              must={must("air.dragCoefficient")}
              onChange={(dragCoefficient) => change({ dragCoefficient, ball: "" })}
            />
          </>
        )}
      </Group>
      <Group title={t("netOnWall.theGame")}>
        {field("netHeightM", t("netOnWall.netOrHoopHeight"), "serve.netHeightM")}
        {field("netDistanceM", t("netOnWall.servedFromToTheNet"), "serve.netDistanceM")}
        {field("landWithinM", t("netOnWall.landsWithinBeyondIt"), "serve.landWithinM")}
        {field("clearanceM", t("netOnWall.clearItBy"), "serve.clearanceM")}
      </Group>
      <Group title={t("netOnWall.here")}>
        {field("standM", t("netOnWall.standFromTheWall"), "serve.standM")}
        {field("launchHeightM", t("netOnWall.ballLeavesTheHandAt"), "serve.launchHeightM")}
        <NumberRow
          label={t("netOnWall.launchAngle")}
          unit="°"
          value={v.angleDeg}
          must={must("serve.angleDeg")}
          onChange={(angleDeg) => change({ angleDeg })}
        />
        <NumberRow
          label={t("netOnWall.angleDiffersBy")}
          unit="°"
          value={v.angleSpreadDeg}
          must={must("angleSpreadDeg")}
          onChange={(angleSpreadDeg) => change({ angleSpreadDeg })}
        />
        {field("ballRadiusM", t("netOnWall.ballRadius"), "ballRadiusM")}
        {field("handM", t("netOnWall.plainMarkAboveTheNet"), "handM")}
        {field("ceilingM", t("netOnWall.ceilingEmptySky"), "ceilingM")}
      </Group>
    </>
  );
}

function told(a: NetOnWall, v: V, units: Units): Said[] {
  const m = a.mark;
  const plain: Said = {
    kind: "note",
    text: t("netOnWall.schoolOfThePlainMark", {
      plainMarkM: length(a.plainMarkM, units),
      more: a.plainMarkIs ? plainMark[a.plainMarkIs] : t("netOnWall.whereNoBandIsTo"),
      more2: a.plainMarkAboveCeiling ? t("netOnWall.itIsAboveTheCeiling") : "",
    }),
  };
  if (!m.feasible || m.lowMarkM === null || m.highMarkM === null || a.bandM === null)
    return [
      {
        kind: "warn",
        text:
          m.reason === "ANGLE_TOO_FLAT"
            ? t("netOnWall.noServeAtFromClears", {
                angleDeg: v.angleDeg,
                launchHeightM: length(v.launchHeightM ?? 0, units),
              })
            : m.reason === "NOT_REACHED"
              ? t("netOnWall.theAirStopsThisBall")
              : t("netOnWall.noSpeedBothClearsThe"),
      },
      plain,
    ];
  const band = t("netOnWall.fromAServeAtThat", {
    standM: length(v.standM ?? 0, units),
    angleDeg: v.angleDeg,
    lowMarkM: length(m.lowMarkM, units),
    highMarkM: length(m.highMarkM, units),
    bandM: length(a.bandM, units),
  });
  // What does not fit is said first; where it would be chalked comes after it.
  const said: Said[] =
    a.underCeiling === false
      ? [
          {
            kind: "warn",
            text: t("netOnWall.itDoesNotFitHere", {
              highestBallM: length(a.highestBallM ?? 0, units),
              ceilingM: length(v.ceilingM ?? 0, units),
              mend: mend(a, units),
            }),
          },
          { text: t("netOnWall.underOpenSky", { band }) },
        ]
      : [{ text: `F${band.slice(1)}` }];
  if (a.narrowerThanBall)
    said.push({
      kind: "warn",
      text: t("netOnWall.theBandIsNarrowerThan", { length: length(2 * (v.ballRadiusM ?? 0), units) }),
    });
  if (a.sharedLowM === null)
    said.push({
      kind: "warn",
      text: t("netOnWall.noSingleMarkServesEvery", { angleSpreadDeg: v.angleSpreadDeg }),
    });
  else
    said.push({
      kind: "note",
      text: t("netOnWall.whatServesEveryAngleWithin", {
        angleSpreadDeg: v.angleSpreadDeg,
        sharedLowM: length(a.sharedLowM, units),
        sharedHighM: length(a.sharedHighM ?? 0, units),
      }),
    });
  said.push({
    kind: "note",
    text: t("netOnWall.speedsFromToMS", {
      minSpeedMs: m.minSpeedMs?.toFixed(1),
      more: m.maxSpeedMs === null ? "any" : m.maxSpeedMs.toFixed(1),
    }),
  });
  said.push(plain, { kind: "note", text: v.air && v.massG !== null ? withAir : noDrag });
  return said;
}

function mend(a: NetOnWall, units: Units): string {
  const from = a.fitsFromM === null ? "" : t("netOnWall.from", { fitsFromM: length(a.fitsFromM, units) });
  const at = a.fitsAtDeg === null ? "" : t("netOnWall.at", { fitsAtDeg: a.fitsAtDeg });
  if (from && at) return t("netOnWall.itFitsOrFromHere", { from, at });
  return from || at
    ? t("netOnWall.itFits", { from: from || t("netOnWall.fromHere", { at }) })
    : t("netOnWall.noNearerPlaceAndNo");
}

/** How the band moves with the angle and with every step back. */
function Moves({ answer, units, v }: { answer: NetOnWall; units: Units; v: V }) {
  const cell = (low: number | null, high: number | null) =>
    low === null || high === null ? t("netOnWall.noBand") : `${length(low, units)} – ${length(high, units)}`;
  const table = (caption: string, head: string, rows: { key: string; band: string; here: boolean }[]) => (
    <table className="w-full text-left text-[0.95rem]">
      <caption className="pb-1 text-left font-bold">{caption}</caption>
      <thead className="text-sm text-soft">
        <tr>
          <th scope="col">{head}</th>
          <th scope="col">{t("netOnWall.band")}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <tr key={r.key} className={`border-t border-rule ${r.here ? "bg-tint font-bold" : ""}`}>
            <th scope="row" className="clock py-0.5 font-normal">
              {r.key}
            </th>
            <td className="clock">{r.band}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
  return (
    <div className="mt-4 grid gap-6 sm:grid-cols-2">
      {table(
        t("netOnWall.withTheLaunchAngleFrom"),
        "angle",
        answer.byAngle.map((b) => ({
          key: `${b.angleDeg}°`,
          band: cell(b.lowMarkM, b.highMarkM),
          here: b.angleDeg === v.angleDeg,
        })),
      )}
      {table(
        t("netOnWall.withEveryPaceBackAt", { angleDeg: v.angleDeg }),
        t("netOnWall.fromTheWall"),
        answer.byStep.slice(0, 12).map((b) => ({
          key: length(b.standM, units),
          band: cell(b.lowMarkM, b.highMarkM),
          here: false,
        })),
      )}
    </div>
  );
}
