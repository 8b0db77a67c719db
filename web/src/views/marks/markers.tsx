import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import type { Given } from "./given";
import { Caller, toldCalls } from "./markers-calls";
import { MarkersControls } from "./markers-controls";
import { Numbers, toldNumbers } from "./markers-numbers";
import { toldWeave, Weave } from "./markers-slalom";
import { circle, type V } from "./markers-values";
import { ModeButtons } from "./mode-buttons";
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
  const weave = useReckon(
    "slalom",
    {
      runM: v.runM,
      gapM: v.gapM,
      passM: v.passM,
      ballCm: v.ballCm,
      thereAndBack: v.thereAndBack,
      firstSec: v.firstSec,
      betterShare: v.betterPercent === null ? null : v.betterPercent / 100,
    },
    v,
  );
  const calls = useReckon(
    "calls",
    {
      seed: v.seed,
      choices: v.choices,
      howMany: v.howMany,
      mostRunning: v.mostRunning,
      backEachTime: v.backEachTime,
      places: circle(v.choices ?? 0, v.radiusM ?? 0),
    },
    v,
  );
  const numbers = useReckon(
    "number-call",
    {
      seed: v.seed,
      balls: v.balls,
      drawFrom: v.drawFrom,
      results: v.results,
    },
    v,
  );
  const shown = v.mode === "weave" ? weave : v.mode === "calls" ? calls : numbers;
  const said =
    v.mode === "weave"
      ? weave.answer && toldWeave(weave.answer, weave.of, units)
      : v.mode === "calls"
        ? calls.answer && toldCalls(calls.answer, calls.of, units)
        : numbers.answer && toldNumbers(numbers.answer, numbers.of);
  return (
    <Working
      title={t("markers.markers")}
      given={given}
      values={v}
      problem={shown.problem}
      drawing={
        <>
          <ModeButtons
            label={t("markers.whatTheMarkersAre")}
            modes={modes}
            value={v.mode}
            onChange={(mode) => change({ mode })}
          />
          {v.mode === "weave" && <Weave v={v} answer={weave.answer} change={change} units={units} />}
          {v.mode === "calls" && <Caller v={v} answer={calls.answer} change={change} units={units} />}
          {v.mode === "numbers" && <Numbers v={v} answer={numbers.answer} change={change} />}
        </>
      }
      said={said ?? []}
      controls={
        <MarkersControls
          v={v}
          change={change}
          units={units}
          levels={planning.slalomLevels}
          must={shown.must}
          mustBetter={weave.must("betterShare")}
        />
      }
      measures={
        // Before the answer there is nothing to mark out: a nought would be a wrong figure.
        v.mode === "weave" && weave.answer
          ? [
              { what: t("markers.runOneWay"), m: weave.of.runM },
              { what: t("markers.fromTheStartToThe"), m: weave.answer.gapM },
              { what: t("markers.wayThroughOneWay"), m: weave.answer.pathM },
            ]
          : v.mode === "calls"
            ? [{ what: t("markers.eachMarkerFromTheMiddle"), m: v.radiusM }]
            : []
      }
      materials={
        v.mode === "weave"
          ? [
              ...(weave.answer ? [t("markers.text", { count: weave.answer.markers })] : []),
              t("markers.aStopwatch"),
              t("markers.aBallEach"),
            ]
          : v.mode === "calls"
            ? [t("markers.flatMarkersOfDifferentColour", { choices: v.choices }), t("markers.aBallEach")]
            : [t("markers.softBallsWithNumbersOn", { balls: v.balls })]
      }
      cautions={["TRIP_MARKERS", "WET_FLOOR", "SOCKS_ON_HARD_FLOOR", "STAIRS_AND_DOORS", "DIZZINESS"]}
    />
  );
}
