import { useEffect } from "react";
import type { Calls, NumberCall, Slalom } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { Dim, LabelAt } from "../../drawing/pieces";
import { Stage, useScale } from "../../drawing/stage";
import { length, small, type Units } from "../../lengths";
import { count, percent } from "../../words";
import { seconds } from "../../words-marks";
import type { Given } from "./given";
import { LengthField, NumberRow } from "./length-field";
import { Group, Pick, Switch } from "./prefill";
import { useReckon } from "./use-reckon";
import { useValues } from "./use-values";
import { type Said, Working } from "./working";

type V = {
  mode: string;
  runM: number | null;
  gapM: number | null;
  passM: number | null;
  ballCm: number | null;
  thereAndBack: boolean;
  firstSec: number | null;
  betterPercent: number | null;
  level: string;
  seed: number | null;
  choices: number | null;
  howMany: number | null;
  mostRunning: number | null;
  radiusM: number | null;
  backEachTime: boolean;
  called: number;
  balls: number | null;
  drawFrom: string;
  results: string;
};

/** Colours of the caller, each with a sign of its own: never colour alone. */
const colours = [
  { name: "blue", fill: "#2b4cc4", sign: "M-9 9L0 -10L9 9Z" },
  { name: "green", fill: "#0b7a5e", sign: "M-8 -8H8V8H-8Z" },
  { name: "orange", fill: "#c44a12", sign: "M0 -10a10 10 0 1 0 .1 0" },
  { name: "plum", fill: "#9b1f6b", sign: "M0 -11L11 0L0 11L-11 0Z" },
  { name: "ochre", fill: "#7a5c06", sign: "M-9 -9L9 9M9 -9L-9 9" },
  { name: "black", fill: "#1e2c2b", sign: "M-10 0H10M0 -10V10" },
];

const modes = [
  { value: "weave", text: "Weave" },
  { value: "calls", text: "Colour calls" },
  { value: "numbers", text: "Number call" },
];

export function MarkersWorking({ given }: { given: Given }) {
  const { units, planning } = given;
  const level = planning.slalomLevels[1] ?? planning.slalomLevels[0];
  const [v, change] = useValues<V>({
    mode: "weave",
    runM: given.space ? Math.max(4, Math.round(given.space.place.size.lengthM - 2)) : 8,
    gapM: level?.gapM ?? 1.4,
    passM: level?.passM ?? 0.35,
    ballCm: 24,
    thereAndBack: true,
    firstSec: 18,
    betterPercent: 10,
    level: level?.id ?? "",
    seed: 1,
    choices: 4,
    howMany: 24,
    mostRunning: 2,
    radiusM: 2,
    backEachTime: true,
    called: 0,
    balls: 6,
    drawFrom: "LEFT",
    results: "",
  });
  const weave = useReckon<Slalom>("slalom", {
    runM: v.runM,
    gapM: v.gapM,
    passM: v.passM,
    ballCm: v.ballCm,
    thereAndBack: v.thereAndBack,
    firstSec: v.firstSec,
    betterShare: v.betterPercent === null ? null : v.betterPercent / 100,
  });
  const calls = useReckon<Calls>("calls", {
    seed: v.seed,
    choices: v.choices,
    howMany: v.howMany,
    mostRunning: v.mostRunning,
    backEachTime: v.backEachTime,
    places: circle(v.choices ?? 0, v.radiusM ?? 0),
  });
  const numbers = useReckon<NumberCall>("number-call", {
    seed: v.seed,
    balls: v.balls,
    drawFrom: v.drawFrom,
    results: v.results,
  });
  const shown = v.mode === "weave" ? weave : v.mode === "calls" ? calls : numbers;
  const number = (key: keyof V & string, label: string, unit = "", step = 1) => (
    <NumberRow
      label={label}
      unit={unit}
      step={step}
      value={v[key] as number | null}
      must={shown.must(key)}
      onChange={(n) => change({ [key]: n } as Partial<V>)}
    />
  );
  const field = (key: keyof V & string, label: string) => (
    <LengthField
      label={label}
      units={units}
      valueM={v[key] as number | null}
      must={shown.must(key)}
      onChange={(m) => change({ [key]: m } as Partial<V>)}
    />
  );
  return (
    <Working
      title="Markers"
      given={given}
      values={v}
      problem={shown.problem}
      drawing={
        <>
          <fieldset className="mb-2 flex flex-wrap gap-2 print:hidden">
            <legend className="sr-only">What the markers are for</legend>
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
          {v.mode === "weave" && <Weave v={v} answer={weave.answer} change={change} units={units} />}
          {v.mode === "calls" && <Caller v={v} answer={calls.answer} change={change} units={units} />}
          {v.mode === "numbers" && <Numbers v={v} answer={numbers.answer} change={change} />}
        </>
      }
      said={
        v.mode === "weave"
          ? weave.answer
            ? toldWeave(weave.answer, v, units)
            : []
          : v.mode === "calls"
            ? calls.answer
              ? toldCalls(calls.answer, v, units)
              : []
            : numbers.answer
              ? toldNumbers(numbers.answer, v)
              : []
      }
      controls={
        v.mode === "weave" ? (
          <>
            <Group title="The row">
              <Pick
                label="Level"
                value={v.level}
                none="own gap"
                options={planning.slalomLevels.map((l) => ({ value: l.id, text: l.name }))}
                onPick={(id) => {
                  const l = planning.slalomLevels.find((s) => s.id === id);
                  if (l) change({ level: id, gapM: l.gapM, passM: l.passM });
                }}
              />
              {field("runM", "Run, one way")}
              {field("gapM", "Gap wanted")}
              {field("passM", "Passes beside the marker by")}
              {number("ballCm", "Ball, across", "cm")}
              <Switch
                label="There and back"
                on={v.thereAndBack}
                onChange={(thereAndBack) => change({ thereAndBack })}
              />
            </Group>
            <Group title="Time">
              {number("firstSec", "First time (empty: none yet)", "s", 0.1)}
              <NumberRow
                label="Better by"
                unit="%"
                value={v.betterPercent}
                must={weave.must("betterShare") && "must be from 0 to 99"}
                onChange={(betterPercent) => change({ betterPercent })}
              />
            </Group>
          </>
        ) : v.mode === "calls" ? (
          <Group title="The calls">
            <Pick
              label="Colours"
              value={String(v.choices)}
              options={[2, 3, 4, 5, 6].map((n) => ({ value: String(n), text: `${n}` }))}
              onPick={(n) => change({ choices: Number(n), called: 0 })}
            />
            {number("howMany", "Calls in all")}
            {number("mostRunning", "The same at most running")}
            {field("radiusM", "Marker from the middle")}
            <Switch
              label="Back to the middle each time"
              on={v.backEachTime}
              onChange={(backEachTime) => change({ backEachTime })}
            />
            {number("seed", "Order number")}
            <p className="text-sm text-soft">The same order number calls the same order again.</p>
          </Group>
        ) : (
          <Group title="The numbers">
            {number("balls", "Numbered balls")}
            <Pick
              label="Draw from"
              value={v.drawFrom}
              options={[
                { value: "LEFT", text: "those not kept yet" },
                { value: "ALL", text: "all, with repeats" },
              ]}
              onPick={(drawFrom) => change({ drawFrom, results: "" })}
            />
            {number("seed", "Order number")}
          </Group>
        )
      }
      measures={
        v.mode === "weave"
          ? [
              { what: "Run, one way", m: v.runM ?? 0 },
              { what: "From the start to the first marker, and from marker to marker", m: weave.answer?.gapM ?? 0 },
              { what: "Way through, one way", m: weave.answer?.pathM ?? 0 },
            ]
          : v.mode === "calls"
            ? [{ what: "Each marker, from the middle", m: v.radiusM ?? 0 }]
            : []
      }
      materials={
        v.mode === "weave"
          ? [count(weave.answer?.markers ?? 0, "soft, flat marker", "soft, flat markers"), "a stopwatch", "a ball each"]
          : v.mode === "calls"
            ? [`${v.choices} flat markers of different colour`, "a ball each"]
            : [`${v.balls} soft balls with numbers on them`]
      }
      cautions={["TRIP_MARKERS", "WET_FLOOR", "SOCKS_ON_HARD_FLOOR", "STAIRS_AND_DOORS", "DIZZINESS"]}
    />
  );
}

function circle(choices: number, radiusM: number) {
  const n = Math.max(0, Math.min(12, Math.round(choices)));
  return Array.from({ length: n }, (_, i) => {
    const turn = (2 * Math.PI * i) / n + Math.PI / 2;
    return { xM: radiusM * Math.cos(turn), yM: radiusM * Math.sin(turn) };
  });
}

type View<A> = { v: V; answer: A | undefined; change: (p: Partial<V>) => void; units: Units };

function Weave({ v, answer, change, units }: View<Slalom>) {
  const run = Math.max(0.5, v.runM ?? 8);
  const pass = v.passM ?? 0.3;
  const round = (m: number) => Math.round(Math.max(0.5, Math.min(60, m)) * 10) / 10;
  return (
    <Stage
      world={{ left: -0.4, right: run + 0.6, bottom: -Math.max(0.7, pass + 0.4), top: Math.max(0.7, pass + 0.4) }}
      units={units}
      height={300}
      label={`From above: ${answer?.markers ?? 0} markers over ${length(run, units)}`}
    >
      <Wave run={run} answer={answer} pass={pass} />
      {answer && answer.markers > 0 && (
        <Dim from={0} to={answer.gapM} at={-Math.max(0.5, pass + 0.15)} side={-1} text={length(answer.gapM, units)} />
      )}
      <Handle
        label="Length of the run"
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
          label="Gap wanted"
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

function Caller({ v, answer, change, units }: View<Calls>) {
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
          label={`${v.choices} markers round the middle, ${length(radius, units)} away`}
        >
          <Ringed v={v} now={now} />
          <Handle
            label="Marker from the middle"
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
            {colour?.name ?? "ready"}
          </p>
          {colour && (
            <svg width="70" height="70" viewBox="-14 -14 28 28" aria-hidden>
              <path d={colour.sign} fill="none" stroke="#fff" strokeWidth="3.500" />
            </svg>
          )}
          <p>
            {v.called} of {total} called
          </p>
        </div>
      </div>
      <div className="mt-3 flex flex-wrap items-center gap-2 print:hidden">
        <button type="button" className="btn btn-main" disabled={v.called >= total} onClick={next}>
          Call the next
        </button>
        <span className="text-soft">or the key c</span>
        <button
          type="button"
          className="btn btn-small"
          disabled={v.called === 0}
          onClick={() => change({ called: v.called - 1 })}
        >
          Take back
        </button>
        <button type="button" className="btn btn-small" onClick={() => change({ called: 0, seed: (v.seed ?? 0) + 1 })}>
          New order
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

function Numbers({ v, answer, change }: { v: V; answer: NumberCall | undefined; change: (p: Partial<V>) => void }) {
  const balls = Array.from({ length: Math.max(0, Math.min(64, v.balls ?? 0)) }, (_, i) => i + 1);
  return (
    <div>
      <div className="flex flex-wrap items-center gap-8 bg-[#fffdf8] p-6">
        <p className="digits text-[8rem]" aria-live="assertive" data-testid="number-call">
          {answer?.next ?? "all"}
        </p>
        <ul className="flex max-w-md flex-wrap gap-2" aria-label="Balls kept">
          {balls.map((n) => {
            const kept = answer?.kept.includes(n);
            return (
              <li
                key={n}
                className={`grid size-11 place-items-center rounded-full border-[3px] font-bold ${kept ? "border-catch bg-catch text-white" : "border-ink"}`}
                aria-label={`${n} ${kept ? "kept" : "still out"}`}
              >
                {n}
              </li>
            );
          })}
        </ul>
      </div>
      <div className="mt-3 flex flex-wrap gap-2 print:hidden">
        <button
          type="button"
          className="btn btn-main"
          disabled={answer?.next == null}
          onClick={() => change({ results: `${v.results}H` })}
        >
          Kept
        </button>
        <button
          type="button"
          className="btn"
          disabled={answer?.next == null}
          onClick={() => change({ results: `${v.results}M` })}
        >
          Dropped
        </button>
        <button
          type="button"
          className="btn btn-small"
          disabled={!v.results}
          onClick={() => change({ results: v.results.slice(0, -1) })}
        >
          Take back
        </button>
        <button
          type="button"
          className="btn btn-small"
          onClick={() => change({ results: "", seed: (v.seed ?? 0) + 1 })}
        >
          Start again
        </button>
      </div>
    </div>
  );
}

function toldWeave(a: Slalom, v: V, units: Units): Said[] {
  if (a.markers === 0)
    return [{ kind: "warn", text: `The run is too short for two gaps of ${length(v.gapM ?? 0, units)}.` }];
  const said: Said[] = [
    {
      text: `${count(a.markers, "marker", "markers")}: ${length(a.gapM, units)} from the start to the first, from marker to marker, and from the last to the end; ${length(a.pathM * (v.thereAndBack ? 2 : 1), units)} to go${v.thereAndBack ? " there and back" : ""}.`,
    },
  ];
  if (!a.ballFits)
    said.push({
      kind: "warn",
      text: `A ball of ${small(v.ballCm ?? 0, units)} has less than its own width free on either side in the gap: wider gaps or a smaller ball.`,
    });
  if (a.betterSec !== null && a.savesSec !== null && a.speedMs !== null)
    said.push({
      text: `First time ${v.firstSec} s (${a.speedMs.toFixed(1)} m/s). ${v.betterPercent} % better is ${a.betterSec.toFixed(1)} s: ${a.savesSec.toFixed(1)} s to save.`,
    });
  return said;
}

function toldCalls(a: Calls, v: V, units: Units): Said[] {
  return [
    {
      text: `${count(a.calls.length, "call", "calls")}: ${a.counts.map((n, i) => `${n} ${colours[i]?.name}`).join(", ")}; none more than ${a.longestRun} times running. They make a pupil travel ${length(a.travelM, units)}${v.backEachTime ? ", back to the middle each time" : ""}.`,
    },
    { kind: "note", text: "Each colour comes equally often, in an order that cannot be told beforehand." },
  ];
}

function toldNumbers(a: NumberCall, v: V): Said[] {
  const tries = a.called.length;
  const said: Said[] = [
    {
      text:
        a.next === null
          ? `All ${v.balls} kept in ${count(tries, "try", "tries")}.`
          : `Call ${a.next}. ${a.kept.length} of ${v.balls} kept in ${count(tries, "try", "tries")}${a.left.length ? `; still out: ${a.left.join(", ")}` : ""}.`,
    },
  ];
  if (a.shareWithoutGuessing !== null)
    said.push({
      text: `Guessing alone would have kept ${a.guessedHits.toFixed(1)}. Without it the share kept is ${percent(a.shareWithoutGuessing)}.`,
    });
  else
    said.push({
      kind: "note",
      text: `With fewer balls left guessing gets easier; the share takes that out. A try takes some ${seconds(5)}.`,
    });
  return said;
}
