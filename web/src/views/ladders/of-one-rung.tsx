import type { ReactNode } from "react";
import type { Ladder, Rung } from "../../api/types";
import { clock, gate, kitOf, modifier as modifierWord } from "../../words";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { lever, measure, onMiss, ours, rungSides } from "../../words-ladders";

const t = textsOf("ladders", saidLadders);

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
    <section aria-label={t("ofOneRung.rung2", { number })}>
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="mr-auto">{t("ofOneRung.rung", { number, name: rung.name })}</h2>
        {children}
      </div>
      <p className="mt-1 text-soft">
        {number === 1 ? "" : t("ofOneRung.againstTheRungBelowIt", { lever: lever[rung.lever] })}
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
        <Said term={t("ofOneRung.counts")}>{rung.counts}</Said>
        <Said term={t("ofOneRung.doesNotCount")}>{rung.countsNot}</Said>
        {rung.kit.more.length + rung.kit.without.length > 0 && (
          <Said term={t("ofOneRung.kitHere")}>
            {kitOf(ladder, rung)
              .map((k) => k.what)
              .join(" · ") || t("ofOneRung.nothing")}
          </Said>
        )}
        <Said term={t("ofOneRung.sides")}>{rungSides[rung.sides]}</Said>
        <Said term={t("ofOneRung.measuredBy")}>
          {t("ofOneRung.in", { value: measure[rung.measure.type], unit: rung.unit })}
        </Said>
        <Said term={t("ofOneRung.gateToTheNextRung")}>{gate(rung)}</Said>
        {rung.modifiers.length > 0 && (
          <Said term={t("ofOneRung.mayBeAdded")}>{rung.modifiers.map((m) => modifierWord[m]).join(", ")}</Said>
        )}
        <Said term={t("ofOneRung.easier")}>{rung.easier}</Said>
        <Said term={t("ofOneRung.harder")}>{rung.harder}</Said>
        {rung.delivery && (
          <Said term={t("ofOneRung.theBallComes")}>
            {t("ofOneRung.atAboutMsFrom", { speedMs: rung.delivery.speedMs, fromM: rung.delivery.fromM })}
          </Said>
        )}
      </dl>
      <h3 className="mt-5 font-bold">{t("ofOneRung.plannedWith")}</h3>
      <table className="mt-1 w-full max-w-xl text-left text-[0.95rem]">
        <tbody>
          <Row school={t("ofOneRung.byClock")}>
            {t("ofOneRung.sRestS", { sets: byClock.sets, workSec: byClock.workSec, restSec: byClock.restSec })}
          </Row>
          <Row school={t("ofOneRung.byCount")}>
            {t("ofOneRung.restS", { sets: count.sets, reps: count.reps, unit: rung.unit, restSec: count.restSec })}
          </Row>
          <Row school={t("ofOneRung.byGate")}>
            {t("ofOneRung.untilAtMost", { gate: gate(rung), clock: clock(byGate.limitSec) })}
          </Row>
          <Row school={t("ofOneRung.byStaircase")}>
            {t("ofOneRung.toStepM", {
              makesToStep: staircase.makesToStep,
              stepM: staircase.stepM,
              value: onMiss[staircase.onMiss],
              clock: clock(staircase.limitSec),
            })}
          </Row>
          <Row school={t("ofOneRung.pace")}>
            {t("ofOneRung.sForOneThat", { hitSec: rung.pace.hitSec, missSec: rung.pace.missSec })}
            {rung.pace.stepSec > 0 ? t("ofOneRung.sAStep", { stepSec: rung.pace.stepSec }) : ""}
            {t("ofOneRung.of100ExpectedTo", { round: Math.round(100 * rung.pace.share) })}
          </Row>
          <Row school={t("ofOneRung.floor")}>
            {t("ofOneRung.mASpotM", {
              lengthM: ladder.footprint.lengthM,
              widthM: ladder.footprint.widthM,
              gapM: ladder.footprint.gapM,
              edgeM: ladder.footprint.edgeM,
            })}
            {ladder.footprint.oneRow ? t("ofOneRung.inOneRow") : ""}
            {rung.heightM || ladder.footprint.heightM
              ? t("ofOneRung.mHigh", { heightM: rung.heightM ?? ladder.footprint.heightM })
              : ""}
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
