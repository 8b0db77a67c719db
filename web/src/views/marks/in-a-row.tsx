import { useQuery } from "@tanstack/react-query";
import { ladders, shares } from "../../api/queries";
import type { GateFor } from "../../api/types";
import { percent } from "../../words";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import type { Given } from "./given";
import { Bars } from "./in-a-row-bars";
import { toldEvidence, toldGate, toldOdds, toldRates, toldRow, type V } from "./in-a-row-told";
import { NumberRow } from "./length-field";
import { Group, Pick } from "./prefill";
import { useReckon } from "./use-reckon";
import { useValues } from "./use-values";
import { Working } from "./working";

const t = textsOf("marks", saidMarks);

const share = (percentage: number | null) => (percentage === null ? null : percentage / 100);
const outOfPercent = t("inARow.mustBeFrom0To");

/** Its values, and what the core says of them. */
function useInARow(given: Given) {
  const all = useQuery(ladders);
  const tried = useQuery({ ...shares(given.chosen?.id ?? ""), enabled: !!given.chosen });
  const [v, change] = useValues<V>({
    percentIn: 80,
    run: 10,
    of: 10,
    hits: 7,
    roundSec: 90,
    secPerTry: 2.5,
    wantPercent: 50,
    rung: "",
    who: "",
    firstCount: null,
    firstSec: null,
    lastCount: null,
    lastSec: null,
  });
  const known = tried.data ?? [];
  const rungKey = (s: { ladderId: string; rungId: string }) => `${s.ladderId}/${s.rungId}`;
  const rungs = [...new Set(known.map(rungKey))].map((key) => {
    const [ladderId, rungId] = key.split("/");
    const ladder = all.data?.find((l) => l.id === ladderId);
    const rung = ladder?.rungs.find((r) => r.id === rungId);
    return { key, ladder: ladder?.name ?? ladderId ?? "", name: rung?.name ?? rungId ?? "", pace: rung?.pace.hitSec };
  });
  const ofRung = known.filter((s) => rungKey(s) === v.rung);
  const nameOf = (pupilId: string) => given.chosen?.pupils.find((p) => p.id === pupilId)?.name ?? "";
  const one = ofRung.find((s) => s.pupilId === v.who);
  const group = v.who === "class" && ofRung.length > 0;
  const shareList = group ? ofRung.map((s) => s.share.share) : [share(v.percentIn)];

  const streak = useReckon(
    "streak",
    {
      p: share(v.percentIn),
      run: v.run,
      roundSec: v.roundSec,
      secPerTry: v.secPerTry,
      wantChance: share(v.wantPercent),
    },
    v,
  );
  const odds = useReckon(
    "odds",
    {
      p: share(v.percentIn),
      of: v.of,
      hits: v.hits,
      wantChance: share(v.wantPercent),
    },
    v,
  );
  const gate = useReckon(
    "gate-for",
    {
      shares: shareList,
      roundSec: v.roundSec,
      secPerTry: v.secPerTry,
      of: v.of,
      wantChance: share(v.wantPercent),
    },
    { ...v, tried: ofRung },
  );
  const scores = [
    { count: v.firstCount, roundSec: v.firstSec },
    { count: v.lastCount, roundSec: v.lastSec },
  ];
  // Nothing is set against nothing: it is asked once something was typed.
  const some = scores.some((s) => s.count !== null || s.roundSec !== null);
  const rates = useReckon("rates", some ? { scores, sure: 0.9 } : undefined, v);
  const wrong = [streak, odds, gate, rates].find((r) => r.problem);
  const must = (field: string) => streak.must(field) ?? odds.must(field) ?? gate.must(field);
  const number = (key: keyof V & string, label: string, path: string, unit = "", step = 1) => (
    <NumberRow
      label={label}
      unit={unit}
      step={step}
      value={v[key] as number | null}
      must={unit === "%" && must(path) ? outOfPercent : must(path)}
      onChange={(n) => change({ [key]: n } as Partial<V>)}
    />
  );
  return { given, tried, v, change, rungs, ofRung, nameOf, one, group, streak, odds, gate, rates, wrong, number };
}

type Parts = ReturnType<typeof useInARow>;

/** The odds of a gate in this round, and the gate that suits this pupil or this class. */
export function InARowWorking({ given }: { given: Given }) {
  const parts = useInARow(given);
  const { v, change, nameOf, one, group, streak, odds, gate, wrong } = parts;
  return (
    <Working
      title={t("inARow.inARowOr")}
      given={given}
      values={v}
      problem={wrong?.problem}
      drawing={<Bars v={v} gate={gate.answer} change={change} />}
      said={[
        ...(streak.answer ? toldRow(streak.answer, streak.of) : []),
        ...(odds.answer ? [toldOdds(odds.answer, odds.of)] : []),
        ...(gate.answer ? toldGate(gate.answer, gate.of, group ? gate.of.tried.length : 0) : []),
        ...(one ? [toldEvidence(nameOf(one.pupilId), one.hits, one.misses, one.share.low, one.share.high)] : []),
      ]}
      aside={<Aside {...parts} />}
      controls={<Controls {...parts} />}
      measures={[]}
      materials={[t("inARow.aStopwatch"), t("inARow.paperForHitsAndMisses")]}
      cautions={["THROWING_COUNTS", "LOOSE_BALLS"]}
    />
  );
}

function Controls({ v, change, rungs, ofRung, nameOf, group, number }: Parts) {
  return (
    <>
      {rungs.length > 0 && (
        <Group title={t("inARow.fromTheRecord")}>
          <Pick
            label={t("inARow.rung")}
            value={v.rung}
            none={t("inARow.ownFigures")}
            options={rungs.map((r) => ({ value: r.key, text: r.name, group: r.ladder }))}
            onPick={(rung) => {
              const pace = rungs.find((r) => r.key === rung)?.pace;
              change({ rung, who: "class", ...(pace ? { secPerTry: pace } : {}) });
            }}
          />
          {ofRung.length > 0 && (
            <Pick
              label={t("inARow.who")}
              value={v.who}
              none={t("inARow.ownFigures")}
              options={[
                { value: "class", text: t("inARow.allWhoTried", { length: ofRung.length }) },
                ...ofRung.map((s) => ({ value: s.pupilId, text: nameOf(s.pupilId) })),
              ]}
              onPick={(who) => {
                const s = ofRung.find((o) => o.pupilId === who);
                change({ who, ...(s ? { percentIn: Math.round(s.share.share * 100) } : {}) });
              }}
            />
          )}
        </Group>
      )}
      <Group title={t("inARow.howOftenItGoes")}>
        {group ? <p className="text-[0.95rem] text-soft">{t("inARow.forTheClassEach")}</p> : null}
        {number("percentIn", t("inARow.shareThatGoesIn"), "p", "%")}
      </Group>
      <Group title={t("inARow.theRound")}>
        {number("roundSec", t("inARow.round"), "roundSec", "s")}
        {number("secPerTry", t("inARow.oneTryTakes"), "secPerTry", "s", 0.1)}
      </Group>
      <Group title={t("inARow.theGate")} of="gate">
        {number("run", t("inARow.inARow2"), "run")}
        {number("hits", t("inARow.orHits"), "hits")}
        {number("of", t("inARow.ofTries"), "of")}
        {number("wantPercent", t("inARow.likelyEnoughFrom"), "wantChance", "%")}
      </Group>
    </>
  );
}

function Aside({ v, change, nameOf, group, gate, rates }: Parts) {
  return (
    <>
      {group && gate.answer && (
        <PupilGates
          rows={gate.of.tried.map((s, i) => ({ name: nameOf(s.pupilId), share: s, gate: gate.answer?.pupils[i] }))}
          of={gate.of.of ?? 10}
        />
      )}
      <section className="mt-5 border-t-2 border-rule pt-3">
        <h2>{t("inARow.twoScoresOfDifferent")}</h2>
        <div className="mt-2 grid max-w-2xl gap-x-8 gap-y-2 sm:grid-cols-2 print:hidden">
          <NumberRow
            label={t("inARow.before")}
            value={v.firstCount}
            must={rates.must("scores[0].count")}
            onChange={(firstCount) => change({ firstCount })}
          />
          <NumberRow
            label={t("inARow.in")}
            unit={t("inARow.s")}
            value={v.firstSec}
            must={rates.must("scores[0].roundSec")}
            onChange={(firstSec) => change({ firstSec })}
          />
          <NumberRow
            label={t("inARow.now")}
            value={v.lastCount}
            must={rates.must("scores[1].count")}
            onChange={(lastCount) => change({ lastCount })}
          />
          <NumberRow
            label={t("inARow.in")}
            unit={t("inARow.s")}
            value={v.lastSec}
            must={rates.must("scores[1].roundSec")}
            onChange={(lastSec) => change({ lastSec })}
          />
        </div>
        {rates.answer && <p className="mt-2">{toldRates(rates.answer, rates.of)}</p>}
      </section>
    </>
  );
}

function PupilGates({
  rows,
  of,
}: {
  rows: {
    name: string;
    share: { hits: number; misses: number; share: { share: number; low: number; high: number } };
    gate?: GateFor["pupils"][number];
  }[];
  of: number;
}) {
  return (
    <table className="mt-4 w-full max-w-2xl text-left text-[0.95rem]">
      <caption className="pb-1 text-left font-bold">{t("inARow.theGateThatSuits")}</caption>
      <thead className="text-sm text-soft">
        <tr>
          <th scope="col">{t("inARow.pupil")}</th>
          <th scope="col">{t("inARow.wentIn")}</th>
          <th scope="col">{t("inARow.shareLikely")}</th>
          <th scope="col">{t("inARow.inARow")}</th>
          <th scope="col">{t("inARow.of", { of })}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <tr key={r.name} className="border-t border-rule">
            <th scope="row" className="py-0.5 font-normal">
              {r.name}
            </th>
            <td>{t("inARow.of2", { hits: r.share.hits, n: r.share.hits + r.share.misses })}</td>
            <td className="clock">{`${percent(r.share.share.share)}, ${percent(r.share.share.low)} – ${percent(r.share.share.high)}`}</td>
            <td>{r.gate?.run ?? "?"}</td>
            <td>{r.gate?.hits ?? "?"}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
