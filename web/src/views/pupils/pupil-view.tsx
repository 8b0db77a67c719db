import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { ladders, pupilRecord } from "../../api/queries";
import type { Advice, Challenge, Ladder, PupilRecord } from "../../api/types";
import { FamilyGlyph, familyColour } from "../../ui/marble";
import { Empty, Failed, Loading } from "../../ui/states";
import { bestAndLast, count, countedBy, day, gate, modifier, score, side } from "../../words";
import { AdviceBox } from "./advice-box";
import { Correct } from "./correct";
import { LadderChart } from "./ladder-chart";
import { SaidAndSeen } from "./said-and-seen";
import { TypeIn } from "./type-in";
import { Refused, useSend } from "./use-send";

const FIRST_SHOWN = 60;

/** One pupil: rungs climbed, bests, and every attempt. */
export function PupilView() {
  const { id = "" } = useParams();
  const record = useQuery(pupilRecord(id));
  const catalogue = useQuery(ladders);
  const failed = [record, catalogue].find((q) => q.isLoadingError);
  if (failed) return <Failed error={failed.error} again={() => failed.refetch()} />;
  if (!record.data || !catalogue.data) return <Loading what="the pupil's page" />;
  const { details } = record.data;
  const tried = catalogue.data.filter((l) => record.data.challenges.some((c) => c.ladderId === l.id));
  const done = record.data.challenges.filter((c) => c.completedOn && c.modifiers.length === 0).length;
  return (
    <>
      <p>
        <Link to="/pupils">{record.data.className}</Link>
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="mr-auto">{record.data.name}</h1>
        <Link className="btn btn-small no-underline print:hidden" to={`/pupils/${record.data.pupilId}/family`}>
          A page for the family
        </Link>
      </div>
      <p className="mt-1 text-soft">
        {details.birthYear && `born ${details.birthYear} · `}
        {details.strongHand === "LEFT" ? "left-handed" : "right-handed"}
        {details.shoeCm && ` · shoe ${details.shoeCm} cm`}
        {details.reachCm && ` · reach ${details.reachCm} cm`}
        {details.adaptation && ` · ${details.adaptation}`}
      </p>
      {tried.length === 0 ? (
        <Empty title="No tries yet">
          <p>What is scored in a run stands here.</p>
        </Empty>
      ) : (
        <>
          <p className="my-4 text-lg">
            {count(done, "challenge", "challenges")} completed in{" "}
            {count(record.data.attempts.length, "round", "rounds")}.
          </p>
          <div className="grid gap-x-10 gap-y-6 md:grid-cols-2">
            {tried.map((l) => (
              <LadderOf
                key={l.id}
                ladder={l}
                record={record.data}
                advice={record.data.advice.find((a) => a.ladderId === l.id)}
              />
            ))}
          </div>
          <Attempts record={record.data} catalogue={catalogue.data} />
        </>
      )}
      <SaidAndSeen record={record.data} catalogue={catalogue.data} />
    </>
  );
}

function LadderOf({ ladder, record, advice }: { ladder: Ladder; record: PupilRecord; advice: Advice | undefined }) {
  return (
    <section className="border-t-4 pt-2" style={{ borderColor: familyColour[ladder.family] }}>
      <h2 className="flex items-center gap-2">
        <FamilyGlyph family={ladder.family} /> {ladder.name}
      </h2>
      <ol className="mt-1 divide-y divide-rule">
        {ladder.rungs.map((r, i) => {
          const mine = record.challenges.filter((c) => c.ladderId === ladder.id && c.rungId === r.id);
          return (
            <li key={r.id} className="py-1.5">
              <span className={mine.length ? "font-semibold" : "text-soft"}>
                {advice?.rungId === r.id && mine.length > 0 && <Stands />} {i + 1} {r.name}
              </span>
              {mine.length === 0 && <span className="text-soft"> · not tried</span>}
              {mine.map((c) => (
                <span key={c.modifiers.join()} className="block text-[0.95rem]">
                  {c.modifiers.length > 0 && (
                    <span className="text-soft">with {c.modifiers.map((m) => modifier[m]).join(", ")}: </span>
                  )}
                  {c.completedOn ? (
                    <strong style={{ color: familyColour[ladder.family] }}>✓ {day(c.completedOn)} </strong>
                  ) : (
                    <span className="text-soft">gate {gate(r)} · </span>
                  )}
                  {c.sides
                    .map((s, i) => {
                      const which = s.side === "NONE" || s.side === "STRONG" ? "" : `${side[s.side]} `;
                      const same = c.sides.findIndex((o) => o.side === s.side) === i;
                      return `${which}${bestAndLast(s, r)}${gained(s)}${same ? "" : ` (${otherKind(s)}: not compared)`}`;
                    })
                    .join(" · ")}
                </span>
              ))}
            </li>
          );
        })}
      </ol>
      {advice && <AdviceBox advice={advice} ladder={ladder} record={record} />}
      {advice && <LadderChart ladder={ladder} record={record} advice={advice} />}
    </section>
  );
}

/** Growth against one's own first round. */
function gained(s: Challenge["sides"][number]): string {
  return s.gain !== null && s.gain >= 0.05 && s.rounds > 1
    ? `, ${Math.round(s.gain * 100)} % better than the first`
    : "";
}

/** What sets a result apart from the latest ones. */
function otherKind(s: Challenge["sides"][number]): string {
  return (
    [s.joint && "together", s.ball, s.distanceM !== null && `${s.distanceM} m`, s.target].filter(Boolean).join(", ") ||
    "done another way"
  );
}

function Attempts({ record, catalogue }: { record: PupilRecord; catalogue: Ladder[] }) {
  const [all, setAll] = useState(false);
  const shown = all ? record.attempts : record.attempts.slice(0, FIRST_SHOWN);
  return (
    <section className="mt-9">
      <div className="flex flex-wrap items-center gap-3">
        <h2>Every attempt, newest first</h2>
        <TypeIn record={record} ladders={catalogue} />
      </div>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a table that scrolls sideways must be reachable by keyboard */}
      <section className="relative mt-2 overflow-x-auto" tabIndex={0} aria-label="Attempts">
        <table className="w-full border-collapse text-[0.95rem]" data-testid="attempts">
          <thead>
            <tr className="border-b-[3px] border-ink text-left">
              {["Day", "Task", "Side", "Set", "Score", "Missed", "Ball", "Space", "Counted by", ""].map((h) => (
                <th key={h} scope="col" className="py-1.5 pr-4">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((tried) => {
              const { attempt: a, metGate, jointWithNames } = tried;
              const corrections = record.corrections.filter((c) => c.attemptId === a.id);
              const ladder = catalogue.find((l) => l.id === a.ladderId);
              const rung = ladder?.rungs.find((r) => r.id === a.rungId);
              return (
                <tr key={a.id} className={`border-b border-rule ${tried.struck ? "text-soft line-through" : ""}`}>
                  <td className="clock py-1 pr-4 whitespace-nowrap">{day(a.on)}</td>
                  <td className="pr-4">
                    {ladder?.name}, {rung?.name.toLowerCase()}
                    {a.modifiers.length > 0 && ` + ${a.modifiers.map((m) => modifier[m]).join(", ")}`}
                  </td>
                  <td className="pr-4">{side[a.side]}</td>
                  <td className="clock pr-4">{a.set}</td>
                  <td className="clock pr-4 whitespace-nowrap">
                    {score({ ...a, timeMs: a.detail?.timeMs }, rung)}
                    {a.trial && <span className="font-text text-soft"> trial</span>}
                    {metGate && (
                      <strong className="text-catch" title="met the gate">
                        {" "}
                        ✓<span className="sr-only">met the gate</span>
                      </strong>
                    )}
                  </td>
                  <td className="clock pr-4">{a.misses ?? "–"}</td>
                  <td className="pr-4">{a.ball ?? "–"}</td>
                  <td className="pr-4">{a.space}</td>
                  <td className="pr-4 no-underline">
                    {countedBy[a.countedBy]}
                    {a.where === "HOME" && ", at home"}
                    {!a.confirmed && ", not confirmed"}
                    {jointWithNames.length > 0 && `, together with ${jointWithNames.join(", ")}`}
                    {corrections.map((c) => (
                      <span key={c.at} className="block text-sm text-soft">
                        {c.struck ? "struck out" : `was ${figures(c.before)}`}, {c.by}: “{c.reason}”
                      </span>
                    ))}
                  </td>
                  <td className="whitespace-nowrap print:hidden">
                    <Correct
                      key={`${a.id}/${a.score}/${tried.struck}`}
                      tried={tried}
                      what={`${ladder?.name}, ${day(a.on)}`}
                    />{" "}
                    {!a.confirmed && <Confirm id={a.id} />}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </section>
      {!all && record.attempts.length > FIRST_SHOWN && (
        <button type="button" className="btn mt-3" onClick={() => setAll(true)}>
          Show all {record.attempts.length}
        </button>
      )}
    </section>
  );
}

const figures = (f: { score: number; hits: number | null; misses: number | null }) =>
  `${f.score}${f.misses === null ? "" : ` (${f.misses} missed)`}`;

/** One press makes a result from home count in full. */
function Confirm({ id }: { id: string }) {
  const { send, problem } = useSend();
  return (
    <>
      <button type="button" className="text-sm underline" onClick={() => send("POST", `/attempts/${id}/confirm`)}>
        confirm
      </button>
      <Refused problem={problem} />
    </>
  );
}

/** The marble at the rung where the pupil stands. */
const Stands = () => (
  <svg viewBox="0 0 12 12" className="mr-1 inline size-3.5" role="img" aria-label="stands here">
    <circle cx="6" cy="6" r="4.500" fill="var(--color-sheet)" stroke="var(--color-ink)" strokeWidth="2.500" />
  </svg>
);
