import type { Slalom } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { Dim } from "../../drawing/pieces";
import { Stage, useScale } from "../../drawing/stage";
import { length, small, type Units } from "../../lengths";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import type { V, View } from "./markers-values";
import type { Said } from "./working";

const t = textsOf("marks", saidMarks);

export function Weave({ v, answer, change, units }: View<Slalom>) {
  const run = Math.max(0.5, v.runM ?? 8);
  const pass = v.passM ?? 0.3;
  const round = (m: number) => Math.round(Math.max(0.5, Math.min(60, m)) * 10) / 10;
  return (
    <Stage
      world={{ left: -0.4, right: run + 0.6, bottom: -Math.max(0.7, pass + 0.4), top: Math.max(0.7, pass + 0.4) }}
      units={units}
      height={300}
      label={
        answer
          ? t("markersSlalom.fromAboveOver", { count: answer.markers, run: length(run, units) })
          : t("markers.weave")
      }
    >
      <Wave run={run} answer={answer} pass={pass} />
      {answer && answer.markers > 0 && (
        <Dim from={0} to={answer.gapM} at={-Math.max(0.5, pass + 0.15)} side={-1} text={length(answer.gapM, units)} />
      )}
      <Handle
        label={t("markersSlalom.lengthOfTheRun")}
        value={run}
        text={length(run, units)}
        least={0.5}
        greatest={60}
        step={0.1}
        axis="x"
        at={{ x: run, y: 0 }}
        onMove={(p) => change({ runM: round(p.x) })}
      />
      {answer && answer.markers > 0 && (
        <Handle
          label={t("markersSlalom.gapWanted")}
          value={v.gapM ?? 1}
          text={length(v.gapM ?? 1, units)}
          least={0.3}
          greatest={6}
          step={0.1}
          axis="x"
          colour="var(--move)"
          at={{ x: answer.gapM, y: -Math.max(0.5, pass + 0.15) }}
          onMove={(p) => change({ gapM: Math.round(Math.max(0.3, Math.min(6, p.x)) * 100) / 100, level: "" })}
          onStep={(dx, dy) =>
            change({ gapM: Math.round(Math.max(0.3, Math.min(6, (v.gapM ?? 1) + dx + dy)) * 100) / 100, level: "" })
          }
        />
      )}
    </Stage>
  );
}

function Wave({ run, answer, pass }: { run: number; answer: Slalom | undefined; pass: number }) {
  const { x, y } = useScale();
  const gap = answer?.gapM ?? run;
  const steps = 200;
  const d = Array.from({ length: steps + 1 }, (_, i) => {
    const at = (run * i) / steps;
    const off = answer && answer.markers > 0 ? pass * Math.sin((Math.PI * at) / gap - Math.PI / 2) : 0;
    return `${i ? "L" : "M"}${x(at).toFixed(1)} ${y(off).toFixed(1)}`;
  }).join("");
  return (
    <g aria-hidden>
      <line x1={x(0)} x2={x(0)} y1={y(-0.5)} y2={y(0.5)} stroke="var(--color-ink)" strokeWidth="4" />
      <line x1={x(run)} x2={x(run)} y1={y(-0.5)} y2={y(0.5)} stroke="var(--color-ink)" strokeWidth="4" />
      <path d={d} fill="none" stroke="var(--move)" strokeWidth="3" />
      {Array.from({ length: answer?.markers ?? 0 }, (_, i) => {
        const at = (i + 1) * gap;
        return (
          <path
            key={at}
            d={`M${x(at) - 8} ${y(0) + 6}L${x(at)} ${y(0) - 9}L${x(at) + 8} ${y(0) + 6}Z`}
            fill="var(--handle)"
          />
        );
      })}
    </g>
  );
}

export function toldWeave(a: Slalom, v: V, units: Units): Said[] {
  if (a.markers === 0)
    return [{ kind: "warn", text: t("markersSlalom.theRunIsTooShort", { gapM: length(v.gapM ?? 0, units) }) }];
  const said: Said[] = [
    {
      text: t("markersSlalom.fromTheStartToThe", {
        count: a.markers,
        gapM: length(a.gapM, units),
        length: length(a.pathM * (v.thereAndBack ? 2 : 1), units),
        more: v.thereAndBack ? t("markersSlalom.thereAndBack") : "",
      }),
    },
  ];
  if (!a.ballFits)
    said.push({
      kind: "warn",
      text: t("markersSlalom.aBallOfHasLess", { ballCm: small(v.ballCm ?? 0, units) }),
    });
  if (a.betterSec !== null && a.savesSec !== null && a.speedMs !== null)
    said.push({
      text: t("markersSlalom.firstTimeSMS", {
        firstSec: v.firstSec,
        speedMs: a.speedMs.toFixed(1),
        betterPercent: v.betterPercent,
        betterSec: a.betterSec.toFixed(1),
        savesSec: a.savesSec.toFixed(1),
      }),
    });
  return said;
}
