import type { ReactNode } from "react";
import type { Ladder, Rung } from "../../api/types";
import { clock, gate, kitOf, modifier as modifierWord } from "../../words";
import { lever, measure, onMiss, ours, rungSides } from "../../words-ladders";

/** What is done on one rung, what counts, and what it is planned with. */
export function OfOneRung({
  ladder,
  rung,
  number,
  children,
}: {
  ladder: Ladder;
  rung: Rung;
  number: number;
  children: ReactNode;
}) {
  const { clock: byClock, count, gate: byGate, staircase } = rung.doses;
  return (
    <section aria-label={`Rung ${number}`}>
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="mr-auto">
          Rung {number}: {rung.name}
        </h2>
        {children}
      </div>
      <p className="mt-1 text-soft">
        {number === 1 ? "" : `Against the rung below it changes the ${lever[rung.lever]}: `}
        {rung.change}
      </p>
      <p className="mt-3 max-w-prose text-lg">{rung.task}</p>
      {rung.steps.length > 0 && (
        <ol className="mt-2 list-decimal pl-6">
          {rung.steps.map((s) => (
            <li key={s}>{s}</li>
          ))}
        </ol>
      )}
      <dl className="mt-4 grid gap-x-6 gap-y-2 sm:grid-cols-2">
        <Said term="Counts">{rung.counts}</Said>
        <Said term="Does not count">{rung.countsNot}</Said>
        {rung.kit.more.length + rung.kit.without.length > 0 && (
          <Said term="Kit here">
            {kitOf(ladder, rung)
              .map((k) => k.what)
              .join(" · ") || "nothing"}
          </Said>
        )}
        <Said term="Sides">{rungSides[rung.sides]}</Said>
        <Said term="Measured by">
          {measure[rung.measure.type]}, in {rung.unit}
        </Said>
        <Said term="Gate to the next rung">{gate(rung)}</Said>
        {rung.modifiers.length > 0 && (
          <Said term="May be added">{rung.modifiers.map((m) => modifierWord[m]).join(", ")}</Said>
        )}
        <Said term="Easier">{rung.easier}</Said>
        <Said term="Harder">{rung.harder}</Said>
        {rung.delivery && (
          <Said term="The ball comes">
            at about {rung.delivery.speedMs} m/s from {rung.delivery.fromM} m
          </Said>
        )}
      </dl>
      <h3 className="mt-5 font-bold">Planned with</h3>
      <table className="mt-1 w-full max-w-xl text-left text-[0.95rem]">
        <tbody>
          <Row school="By clock">
            {byClock.sets} × {byClock.workSec} s, rest {byClock.restSec} s
          </Row>
          <Row school="By count">
            {count.sets} × {count.reps} {rung.unit}, rest {count.restSec} s
          </Row>
          <Row school="By gate">
            until {gate(rung)}, {clock(byGate.limitSec)} at most
          </Row>
          <Row school="By staircase">
            {staircase.makesToStep} to step {staircase.stepM} m, {onMiss[staircase.onMiss]}, {clock(staircase.limitSec)}
          </Row>
          <Row school="Pace">
            {rung.pace.hitSec} s for one that counts, {rung.pace.missSec} s for a miss and its fetch
            {rung.pace.stepSec > 0 ? `, ${rung.pace.stepSec} s a step` : ""}; {Math.round(100 * rung.pace.share)} of 100
            expected to count
          </Row>
          <Row school="Floor">
            {ladder.footprint.lengthM} × {ladder.footprint.widthM} m a spot, {ladder.footprint.gapM} m between,{" "}
            {ladder.footprint.edgeM} m to the edge
            {ladder.footprint.oneRow ? ", in one row" : ""}
            {rung.heightM || ladder.footprint.heightM ? `, ${rung.heightM ?? ladder.footprint.heightM} m high` : ""}
          </Row>
        </tbody>
      </table>
      <p className="mt-2 text-sm text-soft">{ours}</p>
    </section>
  );
}

function Said({ term, children }: { term: string; children: ReactNode }) {
  return (
    <div>
      <dt className="text-sm font-semibold text-soft">{term}</dt>
      <dd>{children}</dd>
    </div>
  );
}

function Row({ school, children }: { school: string; children: ReactNode }) {
  return (
    <tr className="border-b border-rule align-top">
      <th className="py-1 pr-4 font-semibold whitespace-nowrap">{school}</th>
      <td className="py-1">{children}</td>
    </tr>
  );
}
