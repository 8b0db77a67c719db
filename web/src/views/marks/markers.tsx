import type { Calls, NumberCall, Slalom } from "../../api/types";
import { count } from "../../words";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import type { Given } from "./given";
import { LengthField, NumberRow } from "./length-field";
import { Caller, toldCalls } from "./markers-calls";
import { Numbers, toldNumbers } from "./markers-numbers";
import { toldWeave, Weave } from "./markers-slalom";
import { circle, type V } from "./markers-values";
import { Group, Pick, Switch } from "./prefill";
import { useReckon } from "./use-reckon";
import { useValues } from "./use-values";
import { Working } from "./working";

const t = textsOf("marks", saidMarks);

const modes = [
  { value: "weave", text: t("markers.weave") },
  { value: "calls", text: t("markers.colourCalls") },
  { value: "numbers", text: t("markers.numberCall") },
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
      title={t("markers.markers")}
      given={given}
      values={v}
      problem={shown.problem}
      drawing={
        <>
          <fieldset className="mb-2 flex flex-wrap gap-2 print:hidden">
            <legend className="sr-only">{t("markers.whatTheMarkersAre")}</legend>
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
            <Group title={t("markers.theRow")}>
              <Pick
                label={t("markers.level")}
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
                label={t("markers.thereAndBack")}
                on={v.thereAndBack}
                onChange={(thereAndBack) => change({ thereAndBack })}
              />
            </Group>
            <Group title={t("markers.time")}>
              {number("firstSec", "First time (empty: none yet)", "s", 0.1)}
              <NumberRow
                label={t("markers.betterBy")}
                unit="%"
                value={v.betterPercent}
                must={weave.must("betterShare") && "must be from 0 to 99"}
                onChange={(betterPercent) => change({ betterPercent })}
              />
            </Group>
          </>
        ) : v.mode === "calls" ? (
          <Group title={t("markers.theCalls")}>
            <Pick
              label={t("markers.colours")}
              value={String(v.choices)}
              options={[2, 3, 4, 5, 6].map((n) => ({ value: String(n), text: `${n}` }))}
              onPick={(n) => change({ choices: Number(n), called: 0 })}
            />
            {number("howMany", "Calls in all")}
            {number("mostRunning", "The same at most running")}
            {field("radiusM", "Marker from the middle")}
            <Switch
              label={t("markers.backToTheMiddle")}
              on={v.backEachTime}
              onChange={(backEachTime) => change({ backEachTime })}
            />
            {number("seed", "Order number")}
            <p className="text-sm text-soft">{t("markers.theSameOrderNumber")}</p>
          </Group>
        ) : (
          <Group title={t("markers.theNumbers")}>
            {number("balls", "Numbered balls")}
            <Pick
              label={t("markers.drawFrom")}
              value={v.drawFrom}
              options={[
                { value: "LEFT", text: t("markers.thoseNotKeptYet") },
                { value: "ALL", text: t("markers.allWithRepeats") },
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
