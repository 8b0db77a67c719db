import type { Advice, Ladder, PupilRecord } from "../../api/types";
import { day, side } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { beside, evidence, evidenceWanted, school, verdict } from "../../words-record";
import { SayStanding } from "./say-standing";

const t = textsOf("pupils", saidPupils);

/** The next step on one ladder: verdict, reason, and, opened, the tries that it rests on. */
export function AdviceBox({
  advice,
  ladder,
  record,
  opened,
}: {
  advice: Advice;
  ladder: Ladder;
  record: PupilRecord;
  /** Whether the advice has its tries with it. */
  opened: boolean;
}) {
  const number = ladder.rungs.findIndex((r) => r.id === advice.rungId);
  const said = record.standings.filter((s) => s.ladderId === ladder.id);
  const tried = advice.sides.some((s) => s.ofRounds > 0 || s.hits + s.misses > 0);
  const held = advice.verdict === "UP" && advice.nextRungId === null;
  const faults = record.remarks.filter((r) => r.ladderId === ladder.id && r.kind === "FAULT").slice(-3);
  return (
    <section
      className="mt-2 border-l-4 border-ink bg-tint px-3 py-2"
      aria-label={t("adviceBox.nextStepOn", { name: ladder.name })}
    >
      <p>
        <strong>
          <span className="clock mr-1" aria-hidden>
            {verdict[advice.verdict].sign}
          </span>
          {t("adviceBox.rung", { value: number + 1 })} {ladder.rungs[number]?.name}:{" "}
          {tried
            ? held
              ? t("adviceBox.heldAndTheLastOne")
              : verdict[advice.verdict].short
            : t("adviceBox.notTriedYet")}
          {advice.sides.some((s) => s.seeAgain) && t("adviceBox.toBeSeenAgain")}.
        </strong>{" "}
        {advice.sides.map((s) => (
          <span key={s.side}>
            {advice.sides.length > 1 && <span className="text-soft">{side[s.side]}: </span>}
            {evidence(s)}{" "}
          </span>
        ))}
        {evidenceWanted[advice.evidenceWanted]}
      </p>
      {faults.length > 0 && (
        <p className="mt-1 text-[0.95rem]">
          {t("adviceBox.seenLately")}{" "}
          {faults.map((f) => ladder.faults.find((x) => x.id === f.note)?.seen.toLowerCase() ?? f.note).join("; ")}.
        </p>
      )}
      {advice.stands && (
        <p className="mt-1 text-[0.95rem]">
          {t("adviceBox.putItOnRung", {
            by: advice.stands.by,
            value: ladder.rungs.findIndex((r) => r.id === advice.stands?.rungId) + 1,
            day: day(advice.stands.on),
          })}
          {advice.stands.reason}”{said.length > 1 && `; ${t("adviceBox.text", { count: said.length - 1 })}`}
        </p>
      )}
      {advice.lastChose && (
        <p className="mt-1 text-[0.95rem]">
          {t("adviceBox.choseRungOnChoosing", {
            value: ladder.rungs.findIndex((r) => r.id === advice.lastChose?.rungId) + 1,
            day: day(advice.lastChose.on),
          })}
        </p>
      )}
      <details className="mt-1">
        <summary className="cursor-pointer text-[0.95rem] underline">{t("adviceBox.whatItRestsOn")}</summary>
        <table className="mt-1 w-full text-[0.95rem]">
          <tbody>
            {(Object.keys(school) as (keyof typeof school)[]).map((s) => (
              <tr key={s} className="border-b border-rule">
                <th scope="row" className="py-0.5 pr-3 text-left font-normal" title={school[s].about}>
                  {school[s].name}
                </th>
                <td>{verdict[advice.bySchool[s] ?? "MORE"].short}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {advice.sides.map((s) => (
          <div key={s.side} className="mt-2">
            {advice.sides.length > 1 && <h3 className="font-semibold">{side[s.side]}</h3>}
            <p className="text-[0.95rem]">{beside(s)}</p>
            {s.evidence.length === 0 ? (
              <p className="text-soft">
                {opened ? t("adviceBox.noRoundWithCountedMisses") : t("adviceBox.theTriesAreOnTheir")}
              </p>
            ) : (
              <ul className="text-[0.95rem]">
                {s.evidence.map((e) => (
                  <li key={e.attemptId} className="flex gap-3">
                    <span className="clock w-28 text-soft">{day(e.on)}</span>
                    <span className="clock w-24">{t("adviceBox.of", { hits: e.hits, value: e.hits + e.misses })}</span>
                    {e.weight < 1 && (
                      <span className="text-soft">
                        {t("adviceBox.notConfirmedCounts", { round: Math.round(e.weight * 100) })}
                      </span>
                    )}
                  </li>
                ))}
              </ul>
            )}
          </div>
        ))}
      </details>
      <SayStanding advice={advice} ladder={ladder} record={record} />
    </section>
  );
}
