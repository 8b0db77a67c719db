import { useEffect } from "react";
import type { Calls } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { LabelAt } from "../../drawing/pieces";
import { Stage, useScale } from "../../drawing/stage";
import { length, type Units } from "../../lengths";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { circle, colours, type V, type View } from "./markers-values";
import type { Said } from "./working";

const t = textsOf("marks", saidMarks);

export function Caller({ v, answer, change, units }: View<Calls>) {
  const total = answer?.calls.length ?? 0;
  const next = () => change({ called: Math.min(total, v.called + 1) });
  const now = v.called > 0 ? answer?.calls[v.called - 1] : undefined;
  const colour = now === undefined ? undefined : colours[now];
  useEffect(() => {
    const byKey = (e: KeyboardEvent) => {
      const typing =
        e.target instanceof HTMLElement && e.target.closest("input, textarea, [role=dialog], [role=slider]");
      if (e.key.toLowerCase() !== "c" || typing || e.ctrlKey || e.metaKey || e.altKey) return;
      e.preventDefault();
      next();
    };
    window.addEventListener("keydown", byKey);
    return () => window.removeEventListener("keydown", byKey);
  });
  const radius = Math.max(0.5, v.radiusM ?? 2);
  return (
    <>
      <div className="grid items-stretch gap-4 sm:grid-cols-[1fr_17rem]">
        <Stage
          world={{ left: -radius - 0.7, right: radius + 0.7, bottom: -radius - 0.6, top: radius + 0.6 }}
          units={units}
          height={380}
          label={t("markersCalls.markersRoundTheMiddleAway", { choices: v.choices, radius: length(radius, units) })}
        >
          <Ringed v={v} now={now} />
          <Handle
            label={t("markersCalls.markerFromTheMiddle")}
            value={radius}
            text={length(radius, units)}
            least={0.5}
            greatest={10}
            step={0.1}
            axis="y"
            vertical
            at={{ x: 0, y: radius }}
            onMove={(p) => change({ radiusM: Math.round(Math.max(0.5, Math.min(10, p.y)) * 10) / 10 })}
          />
        </Stage>
        <div
          className="flex flex-col items-center justify-center gap-3 p-3 text-white print:hidden"
          style={{ background: colour?.fill ?? "var(--color-soft)" }}
        >
          <p aria-live="assertive" className="digits text-[3.2rem]" data-testid="call">
            {colour?.name ?? t("markersCalls.ready")}
          </p>
          {colour && (
            <svg width="70" height="70" viewBox="-14 -14 28 28" aria-hidden>
              <path d={colour.sign} fill="none" stroke="#fff" strokeWidth="3.500" />
            </svg>
          )}
          <p>{t("markersCalls.ofCalled", { called: v.called, total })}</p>
        </div>
      </div>
      <div className="mt-3 flex flex-wrap items-center gap-2 print:hidden">
        <button type="button" className="btn btn-main" disabled={v.called >= total} onClick={next}>
          {t("markersCalls.callTheNext")}
        </button>
        <span className="text-soft">{t("markersCalls.orTheKeyC")}</span>
        <button
          type="button"
          className="btn btn-small"
          disabled={v.called === 0}
          onClick={() => change({ called: v.called - 1 })}
        >
          {t("markersCalls.takeBack")}
        </button>
        <button type="button" className="btn btn-small" onClick={() => change({ called: 0, seed: (v.seed ?? 0) + 1 })}>
          {t("markersCalls.newOrder")}
        </button>
      </div>
    </>
  );
}

function Ringed({ v, now }: { v: V; now: number | undefined }) {
  const { x, y } = useScale();
  return (
    <g aria-hidden>
      <circle cx={x(0)} cy={y(0)} r="10" fill="none" stroke="var(--color-ink)" strokeWidth="3" />
      {circle(v.choices ?? 0, v.radiusM ?? 2).map((p, i) => (
        <g key={`${p.xM} ${p.yM}`} transform={`translate(${x(p.xM)},${y(p.yM)})`}>
          <circle
            r={now === i ? 24 : 17}
            fill={colours[i]?.fill}
            stroke={now === i ? "var(--color-ink)" : "none"}
            strokeWidth="4"
          />
          <path d={colours[i]?.sign} fill="none" stroke="#fff" strokeWidth="2.500" transform="scale(0.8)" />
        </g>
      ))}
      {circle(v.choices ?? 0, v.radiusM ?? 2).map((p, i) => (
        <LabelAt key={`${p.xM} ${p.yM} name`} xM={p.xM} yM={p.yM} dy={40}>
          {colours[i]?.name ?? ""}
        </LabelAt>
      ))}
    </g>
  );
}

export function toldCalls(a: Calls, v: V, units: Units): Said[] {
  return [
    {
      text: t("markersCalls.noneMoreThanTimesRunning", {
        count: a.calls.length,
        counts: a.counts.map((n, i) => `${n} ${colours[i]?.name}`).join(", "),
        longestRun: a.longestRun,
        travelM: length(a.travelM, units),
        more: v.backEachTime ? t("markersCalls.backToTheMiddleEach") : "",
      }),
    },
    { kind: "note", text: t("markersCalls.eachColourComesEqually") },
  ];
}
