import type { Reach, Staircase } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { LabelAt } from "../../drawing/pieces";
import { Plot, usePlot } from "../../drawing/plot";
import { length, shoes, type Units } from "../../lengths";
import { clock, percent } from "../../words";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import type { Given } from "./given";
import { LengthField, NumberRow } from "./length-field";
import { Group, Pick } from "./prefill";
import { useReckon } from "./use-reckon";
import { useValues } from "./use-values";
import { type Said, Working } from "./working";

const say = textsOf("marks", saidMarks);

type V = {
  startStep: number | null;
  makesToStep: number | null;
  onMiss: string;
  results: string;
  stepM: number | null;
  pupil: string;
  roundSec: number | null;
  percentIn: number | null;
  secPerThrow: number | null;
  fetchSec: number | null;
  walkSecPerStep: number | null;
};

/** Its values, and what the core says of them. */
function useStepByStep(given: Given) {
  const { units, planning } = given;
  const [v, change] = useValues<V>({
    startStep: 1,
    makesToStep: 2,
    onMiss: "STEP_IN",
    results: "",
    stepM: given.shoeM,
    pupil: "",
    roundSec: 120,
    percentIn: 75,
    secPerThrow: 3,
    fetchSec: planning.usual.fetchSec,
    walkSecPerStep: planning.usual.walkSecPerStep,
  });
  const stairs = useReckon(
    "staircase",
    {
      startStep: v.startStep,
      makesToStep: v.makesToStep,
      onMiss: v.onMiss,
      results: v.results,
      stepM: v.stepM,
    },
    v,
  );
  const reach = useReckon(
    "reach-in-time",
    {
      roundSec: v.roundSec,
      makesToStep: v.makesToStep,
      p: v.percentIn === null ? null : v.percentIn / 100,
      secPerThrow: v.secPerThrow,
      fetchSec: v.fetchSec,
      walkSecPerStep: v.walkSecPerStep,
    },
    v,
  );
  const pupils = given.chosen?.pupils.filter((p) => p.details.shoeCm !== null) ?? [];
  const must = (f: string) => stairs.must(f) ?? reach.must(f);
  const number = (key: keyof V & string, label: string, unit = "", path: string = key) => (
    <NumberRow
      label={label}
      unit={unit}
      value={v[key] as number | null}
      must={unit === "%" && must(path) ? say("stepByStep.mustBeFrom0To") : must(path)}
      onChange={(n) => change({ [key]: n } as Partial<V>)}
    />
  );
  return { given, units, v, change, stairs, reach, pupils, number };
}

type Parts = ReturnType<typeof useStepByStep>;

/** Step back when it works: a staircase replayed, and how far a round allows. */
export function StepByStepWorking({ given }: { given: Given }) {
  const parts = useStepByStep(given);
  const { units, v, change, stairs, reach } = parts;
  return (
    <Working
      title={say("stepByStep.stepByStep")}
      given={given}
      values={v}
      problem={stairs.problem ?? reach.problem}
      drawing={<Path answer={stairs.answer} results={stairs.of.results} v={v} change={change} />}
      said={[
        ...(stairs.answer ? toldStairs(stairs.answer, stairs.of, units, given.shoeM) : []),
        ...(reach.answer ? [toldReach(reach.answer, reach.of, units)] : []),
      ]}
      aside={<Aside {...parts} />}
      controls={<Controls {...parts} />}
      measures={[
        { what: say("stepByStep.oneStep"), m: v.stepM },
        ...(stairs.answer?.furthestHeld
          ? [{ what: say("stepByStep.furthestHeld"), m: stairs.answer.furthestHeldM }]
          : []),
        ...(stairs.answer?.settling
          ? [{ what: say("stepByStep.settlesAt"), m: stairs.answer.settling.likelyStep * (stairs.of.stepM ?? 0) }]
          : []),
        ...(reach.answer?.withoutMiss
          ? [{ what: say("stepByStep.furthestThisRoundAllows"), m: reach.answer.withoutMiss * (reach.of.stepM ?? 0) }]
          : []),
      ]}
      materials={[say("stepByStep.chalkOrTapeForThe"), say("stepByStep.aTarget"), say("stepByStep.twoSoftBalls")]}
      cautions={["LOOSE_BALLS", "THROWING_COUNTS", "TRIP_MARKERS"]}
    />
  );
}

function Controls({ given, units, v, change, stairs, pupils, number }: Parts) {
  return (
    <>
      <Group title={say("stepByStep.theRule")} of="staircase">
        {number("makesToStep", say("stepByStep.hitsInARowTo"))}
        <Pick
          label={say("stepByStep.aMiss")}
          value={v.onMiss}
          options={[
            { value: "STAY", text: say("stepByStep.stays") },
            { value: "STEP_IN", text: say("stepByStep.stepsInByOne") },
            { value: "RESTART", text: say("stepByStep.startsAgain") },
          ]}
          onPick={(onMiss) => change({ onMiss })}
        />
        {number("startStep", say("stepByStep.startsAtStep"))}
      </Group>
      <Group title={say("stepByStep.theStep")}>
        {pupils.length > 0 && (
          <Pick
            label={say("stepByStep.shoeOf")}
            value={v.pupil}
            none={say("stepByStep.classOnAverage")}
            options={pupils.map((p) => ({ value: p.id, text: p.name }))}
            onPick={(pupil) => {
              const shoe = pupils.find((p) => p.id === pupil)?.details.shoeCm;
              if (shoe) {
                change({ pupil, stepM: shoe / 100 });
                given.setShoeM(shoe / 100);
              }
            }}
          />
        )}
        <LengthField
          label={say("stepByStep.oneStep")}
          units={units}
          valueM={v.stepM}
          must={stairs.must("stepM")}
          stepM={0.01}
          onChange={(stepM) => change({ stepM })}
        />
      </Group>
      <Group title={say("stepByStep.howFarInA")}>
        {number("roundSec", say("stepByStep.round"), "s")}
        {number("percentIn", say("stepByStep.goesIn"), "%", "p")}
        {number("secPerThrow", say("stepByStep.oneThrow"), "s")}
        {number("fetchSec", say("stepByStep.aFetchAfterAMiss"), "s")}
        {number("walkSecPerStep", say("stepByStep.walkForEachStep"), "s")}
      </Group>
    </>
  );
}

function Aside({ v, change, stairs }: Parts) {
  return (
    <div className="mt-3 space-y-2 print:hidden">
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-main" onClick={() => change({ results: `${v.results}H` })}>
          {say("stepByStep.hit")}
        </button>
        <button type="button" className="btn" onClick={() => change({ results: `${v.results}M` })}>
          {say("stepByStep.miss")}
        </button>
        <button
          type="button"
          className="btn btn-small"
          disabled={!v.results}
          onClick={() => change({ results: v.results.slice(0, -1) })}
        >
          {say("stepByStep.takeBack")}
        </button>
        <button type="button" className="btn btn-small" disabled={!v.results} onClick={() => change({ results: "" })}>
          {say("stepByStep.clear")}
        </button>
      </div>
      <label className="block">
        <span className="font-semibold">{say("stepByStep.resultsHForA")}</span>
        <input
          className="field w-full font-mono"
          value={v.results}
          aria-invalid={!!stairs.must("results")}
          onChange={(e) => change({ results: e.target.value.toUpperCase().replaceAll(/[\s,.]/g, "") })}
        />
      </label>
      {stairs.must("results") && (
        <p role="alert" className="bg-alert px-2 py-0.5 text-sm font-semibold text-white">
          {say("stepByStep.results")} {stairs.must("results")}
        </p>
      )}
    </div>
  );
}

/** The step of every throw: filled for a hit, open for a miss. */
function Path({
  answer,
  results,
  v,
  change,
}: {
  answer: Staircase | undefined;
  /** those of the answer */
  results: string;
  v: V;
  change: (p: Partial<V>) => void;
}) {
  const path = answer?.path ?? [];
  const shown = path.slice(-60);
  const from = path.length - shown.length;
  const most = Math.max(6, (v.startStep ?? 1) + 1, ...shown) + 1;
  const every = Math.max(1, Math.ceil(most / 10));
  const long = Math.max(16, shown.length + 2);
  return (
    <Plot
      label={say("stepByStep.theStepOfEachOf", { length: path.length })}
      x={{
        from: from + 0.2,
        to: from + long,
        ticks: [1, 5, 10, 15, 20, 25, 30, 35, 40, 45, 50, 55, 60].map((t) => t + from).filter((t) => t < from + long),
        name: "throw",
      }}
      y={{
        from: 0,
        to: most,
        ticks: Array.from({ length: Math.floor(most / every) + 1 }, (_, i) => i * every).filter((t) => t > 0),
        name: say("stepByStep.stepFromTheTarget"),
      }}
      height={360}
    >
      <Stairs path={shown} from={from} results={results.slice(from)} />
      {answer?.settling && <Settles of={answer.settling} most={most} />}
      <Handle
        label={say("stepByStep.startingStep")}
        value={v.startStep ?? 1}
        text={say("stepByStep.step", { startStep: v.startStep })}
        least={1}
        greatest={40}
        step={1}
        axis="y"
        vertical
        at={{ x: from + 0.45, y: v.startStep ?? 1 }}
        onMove={(p) => change({ startStep: Math.max(1, Math.min(40, Math.round(p.y))) })}
      />
    </Plot>
  );
}

function Stairs({ path, from, results }: { path: number[]; from: number; results: string }) {
  const { x, y } = usePlot();
  const d = path.map((s, i) => `${i ? "L" : "M"}${x(from + i + 1)} ${y(s)}`).join("");
  return (
    <g aria-hidden>
      <path d={d} fill="none" stroke="var(--throw)" strokeWidth="2" />
      {path.map((s, i) => (
        <circle
          // biome-ignore lint/suspicious/noArrayIndexKey: throws keep their order
          key={i}
          cx={x(from + i + 1)}
          cy={y(s)}
          r="6"
          fill={results[i] === "H" ? "var(--throw)" : "#fffdf8"}
          stroke="var(--throw)"
          strokeWidth="2.500"
        />
      ))}
    </g>
  );
}

/** Where it settles, in its band: as far up as the drawing goes where nobody knows how far. */
function Settles({ of, most }: { of: NonNullable<Staircase["settling"]>; most: number }) {
  const { x, y, world } = usePlot();
  const at = of.likelyStep;
  const top = y(Math.min(of.highStep ?? most, most));
  return (
    <g aria-hidden>
      <rect
        x={x(world.left)}
        y={top}
        width={x(world.right) - x(world.left)}
        height={Math.max(0, y(of.lowStep) - top)}
        fill="var(--target)"
        opacity="0.120"
      />
      <line
        x1={x(world.left)}
        x2={x(world.right)}
        y1={y(at)}
        y2={y(at)}
        stroke="var(--target)"
        strokeWidth="2.500"
        strokeDasharray="8 5"
      />
      <LabelAt xM={world.right} yM={at} dx={-4} dy={-8} anchor="end" bold colour="var(--target)">
        {say("stepByStep.settlesAt2", { at: at.toFixed(1) })}
      </LabelAt>
    </g>
  );
}

function toldStairs(a: Staircase, v: V, units: Units, shoeM: number): Said[] {
  const step = v.stepM ?? 0;
  const place = (steps: number) =>
    say("stepByStep.or", { length: length(steps * step, units), shoes: shoes(steps * step, shoeM) });
  const said: Said[] = [];
  if (v.results.length === 0) return [{ text: say("stepByStep.startsAtStepTapEach", { startStep: v.startStep }) }];
  said.push({
    text:
      a.furthestHeld === 0
        ? say("stepByStep.noStepHeldYetNext", {
            count: v.results.length,
            endStep: a.endStep,
            endStep2: place(a.endStep),
          })
        : say("stepByStep.furthestHeldIsStepNext", {
            count: v.results.length,
            furthestHeld: a.furthestHeld,
            furthestHeld2: place(a.furthestHeld),
            endStep: a.endStep,
            endStep2: place(a.endStep),
          }),
  });
  const s = a.settling;
  if (s)
    said.push({
      text: say(s.highStep === null ? "stepByStep.settlesFrom" : "stepByStep.settlesLikely", {
        step: s.likelyStep.toFixed(1),
        place: place(s.likelyStep),
        low: s.lowStep.toFixed(1),
        high: s.highStep?.toFixed(1) ?? "",
        share: a.settlesAtShare === null ? "none" : percent(a.settlesAtShare),
      }),
    });
  else said.push({ kind: "note", text: say("stepByStep.noneOrAll") });
  return said;
}

function toldReach(a: Reach, v: V, units: Units): Said {
  const step = v.stepM ?? 0;
  const last = a.steps.find((s) => s.step === a.likely);
  const likely =
    a.likely === 0
      ? say("stepByStep.notEvenTheFirstStep")
      : say("stepByStep.stepIsLikely", {
          likely: a.likely,
          length: length(a.likely * step, units),
          more: last?.expectedSec ? say("stepByStep.after", { expectedSec: clock(last.expectedSec) }) : "",
        });
  return {
    text: say("stepByStep.inNobodyGetsPastStep", {
      roundSec: clock(v.roundSec ?? 0),
      withoutMiss: a.withoutMiss,
      length: length(a.withoutMiss * step, units),
      percentIn: v.percentIn,
      likely,
    }),
  };
}
