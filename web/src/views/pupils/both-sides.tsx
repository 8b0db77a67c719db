import type { Ladder, LadderRecord } from "../../api/types";
import { bestAndLast, percent, side as sideWord } from "../../words";
import { texts } from "../../words/texts";
import { certainty, sureness } from "../../words-record";

const t = texts("pupils");

/** Both sides of the rung where the pupil stands, beside each other, with how sure each share is and whether one is behind. */
export function BothSides({ ladder, on }: { ladder: Ladder; on: LadderRecord }) {
  const { advice, behind } = on;
  const rung = ladder.rungs.find((r) => r.id === advice.rungId);
  const challenge = on.challenges.find((c) => c.rungId === advice.rungId && c.modifiers.length === 0);
  const counted = advice.sides.some((s) => s.hits + s.misses > 0);
  if (advice.sides.length < 2 || !challenge || !rung) return null;
  return (
    <section className="mt-2 overflow-x-auto" aria-label={`Both sides on ${ladder.name}`}>
      <table className="w-full border-collapse text-[0.95rem]">
        <thead>
          <tr className="border-b border-ink text-left">
            <th scope="col" className="py-0.5 pr-3">
              {t("bothSides.side")}
            </th>
            {counted && (
              <>
                <th scope="col" className="pr-3">
                  {t("bothSides.wentIn")}
                </th>
                <th scope="col" className="pr-3">
                  {t("bothSides.between")}
                </th>
              </>
            )}
            <th scope="col">{t("bothSides.bestAndLast")}</th>
          </tr>
        </thead>
        <tbody>
          {advice.sides.map((s) => {
            const tries = s.hits + s.misses;
            const mine = challenge.sides.find((c) => c.side === s.side);
            return (
              <tr key={s.side} className="border-b border-rule align-top">
                <th scope="row" className="py-0.5 pr-3 text-left">
                  {sideWord[s.side]}
                </th>
                {counted && (
                  <>
                    <td className="clock pr-3 whitespace-nowrap">{tries > 0 ? `${s.hits} of ${tries}` : "–"}</td>
                    <td className="clock pr-3 whitespace-nowrap">
                      {tries > 0 ? `${percent(s.share.low)} and ${percent(s.share.high)}` : "–"}
                    </td>
                  </>
                )}
                <td>{mine ? bestAndLast(mine, rung) : "not tried"}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {behind && (
        <p className="mt-1 text-[0.95rem]">
          {behind.chance < 0.6
            ? "Both sides look alike."
            : behind.chance < 0.75
              ? `Neither side is surely behind; ${sideWord[behind.side]} ${certainty(behind.chance)} (${sureness(behind.chance)}).`
              : `The ${sideWord[behind.side]} side is behind: ${certainty(behind.chance)} (${sureness(behind.chance)}).`}
        </p>
      )}
    </section>
  );
}
