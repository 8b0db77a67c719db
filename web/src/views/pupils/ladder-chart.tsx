import { useState } from "react";
import type { Ladder, PupilOnLadder, Tried } from "../../api/types";
import { Choice } from "../../ui/choice";
import { day, percent, side as sideWord } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { PointsOverTime, type Round } from "./points-over-time";
import { LEFT, timeAxis, WIDTH } from "./time-axis";

const say = textsOf("pupils", saidPupils);

const STEPS_H = 54;

/** Over time: the rung practised as steps with gates met marked, and on the rung where the pupil stands each round's share or rate with its band. */
export function LadderChart({ ladder, tries }: { ladder: Ladder; tries: PupilOnLadder }) {
  const { advice } = tries;
  const [chosen, setChosen] = useState<string>();
  const tried = tries.attempts.filter((t) => !t.struck && t.attempt.modifiers.length === 0);
  const first = tried[0];
  const last = tried.at(-1);
  if (!first || !last || first.attempt.on === last.attempt.on) return null;
  const x = timeAxis(first.attempt.on, last.attempt.on);
  const number = (rungId: string) => ladder.rungs.findIndex((r) => r.id === rungId);
  const shown = tries.overTime.find((o) => o.rungId === (chosen ?? advice.rungId)) ?? tries.overTime[0];
  if (!shown) return null;
  const rung = ladder.rungs[number(shown.rungId)];
  const at = new Map(tried.map((t) => [t.attempt.id, t.attempt]));
  const home = (id: string) => at.get(id)?.where === "HOME";
  const sides = [...new Set([...shown.shares, ...shown.rates].map((r) => r.side))].sort();
  const shares: Round[] = shown.shares.map((s) => ({
    id: s.attemptId,
    on: s.on,
    value: s.hits / (s.hits + s.misses),
    low: s.low,
    high: s.high,
    side: sides.indexOf(s.side),
    home: home(s.attemptId),
    best: s.best,
  }));
  const rates: Round[] = shown.rates.map((r) => ({
    id: r.attemptId,
    on: r.on,
    value: r.perMin,
    low: r.lowPerMin,
    high: r.highPerMin,
    side: Math.max(0, sides.indexOf(r.side)),
    home: home(r.attemptId),
    best: r.best,
  }));
  const both =
    sides.length > 1
      ? say("ladderChart.filledOpen", {
          sideWord: sideWord[sides[0] ?? "NONE"],
          sideWord2: sideWord[sides[1] ?? "NONE"],
        })
      : "";
  return (
    <figure className="mt-2">
      <Steps ladder={ladder} tried={tried} x={x} />
      {tries.overTime.length > 1 && (
        <p className="print:hidden">
          <Choice
            label={say("ladderChart.rungOfShownOverTime", { name: ladder.name })}
            value={shown.rungId}
            options={tries.overTime.map((o) => ({
              value: o.rungId,
              text: `${number(o.rungId) + 1} ${ladder.rungs[number(o.rungId)]?.name}`,
            }))}
            onChange={setChosen}
          />
        </p>
      )}
      {shares.length > 0 && (
        <PointsOverTime
          rounds={shares}
          x={x}
          top={1}
          ticks={[0, 0.5, 1].map((v) => ({ at: v, text: `${v * 100}%` }))}
          line={shown.rungId === advice.rungId ? advice.sides[0]?.hold : undefined}
          sides={sides.length}
          label={say("ladderChart.withCountedMissesFirstLast", {
            count: shares.length,
            shares: share(shares[0]),
            at: share(shares.at(-1)),
          })}
        />
      )}
      {rates.length > 0 && (
        <PointsOverTime
          rounds={rates}
          x={x}
          top={ceiling(Math.max(...rates.map((r) => r.high)))}
          ticks={[0, 0.5, 1].map((v) => {
            const at = v * ceiling(Math.max(...rates.map((r) => r.high)));
            return { at, text: `${at}` };
          })}
          line={undefined}
          sides={sides.length}
          label={say("ladderChart.roundsAMinuteFirstLast", {
            length: rates.length,
            unit: rung?.unit,
            one: one(rates[0]),
            one2: one(rates.at(-1)),
          })}
        />
      )}
      <p className="clock flex max-w-[34rem] justify-between pl-9 text-sm text-soft">
        <span>{day(first.attempt.on)}</span>
        <span>{day(last.attempt.on)}</span>
      </p>
      <figcaption className="text-sm text-soft">
        {say("ladderChart.stepsTheRungPractised")}
        {shares.length > 0 &&
          say("ladderChart.belowRungTheShareOf", {
            n: number(shown.rungId) + 1,
            more: shown.rungId === advice.rungId ? say("ladderChart.theDashedLineIsWhat") : "",
          })}
        {rates.length > 0 &&
          say("ladderChart.rungAMinuteWithThe", {
            more: shares.length > 0 ? say("ladderChart.last") : say("ladderChart.below"),
            n: number(shown.rungId) + 1,
            unit: rung?.unit,
          })}
        {(shares.length > 0 || rates.length > 0) && say("ladderChart.aRingIsABest", { both })}
      </figcaption>
    </figure>
  );
}

const share = (r: Round | undefined) =>
  r ? say("ladderChart.betweenAnd", { value: percent(r.value), low: percent(r.low), high: percent(r.high) }) : "";

const one = (r: Round | undefined) =>
  r
    ? say("ladderChart.betweenAnd", { value: Math.round(r.value), low: Math.round(r.low), high: Math.round(r.high) })
    : "";

/** A round number at or above. */
function ceiling(value: number): number {
  const step = 10 ** Math.floor(Math.log10(Math.max(1, value)));
  return Math.ceil(value / step) * step;
}

function Steps({ ladder, tried, x }: { ladder: Ladder; tried: Tried[]; x: (on: string) => number }) {
  const number = (rungId: string) => ladder.rungs.findIndex((r) => r.id === rungId);
  const y = (rungId: string) => STEPS_H - 6 - ((STEPS_H - 14) * number(rungId)) / Math.max(1, ladder.rungs.length - 1);
  const first = tried[0]?.attempt;
  const last = tried.at(-1)?.attempt;
  const path = tried.map(
    ({ attempt: a }, i) => `${i === 0 ? "M" : "H"}${x(a.on)}${i === 0 ? ` ${y(a.rungId)}` : `V${y(a.rungId)}`}`,
  );
  if (!first || !last) return null;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${STEPS_H}`}
      className="w-full max-w-[34rem]"
      role="img"
      aria-label={say("ladderChart.rungPractisedOnFromRung", {
        name: ladder.name,
        n: number(first.rungId) + 1,
        on: day(first.on),
        n2: number(last.rungId) + 1,
        on2: day(last.on),
      })}
    >
      <text x="0" y="12" fontSize="11" fill="var(--color-soft)">
        {say("ladderChart.rung")}
      </text>
      {ladder.rungs.map((r, i) => (
        <line
          key={r.id}
          x1={LEFT}
          x2={WIDTH - 10}
          y1={y(r.id)}
          y2={y(r.id)}
          stroke="var(--color-rule)"
          strokeWidth={i === 0 ? 1.5 : 0.7}
        />
      ))}
      <path d={path.join("")} fill="none" stroke="var(--color-ink)" strokeWidth="2.200" />
      {tried
        .filter((t) => t.metGate)
        .map(({ attempt: a }) => (
          <path
            key={a.id}
            d={`M${x(a.on) - 3.5} ${y(a.rungId) + 3}l3.5 -7l3.5 7z`}
            fill="var(--color-catch)"
            stroke="var(--color-ink)"
            strokeWidth="0.600"
          />
        ))}
    </svg>
  );
}
