import type { Ladder, LadderRecord } from "../../api/types";
import { bestAndLast, percent, side as sideWord } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { certainty, sureness } from "../../words-record";

const t = textsOf("pupils", saidPupils);

/** Both sides of the rung where the pupil stands, beside each other, with how sure each share is and whether one is behind. */
export function BothSides({ ladder, on }: { ladder: Ladder; on: LadderRecord }) {
  const { advice, behind } = on;
  const rung = ladder.rungs.find((r) => r.id === advice.rungId);
  const challenge = on.challenges.find((c) => c.rungId === advice.rungId && c.modifiers.length === 0);
  const counted = advice.sides.some((s) => s.hits + s.misses > 0);
  if (advice.sides.length < 2 || !challenge || !rung) return null;
  return (
    <section className="mt-2 overflow-x-auto" aria-label={t("bothSides.bothSidesOn", { name: ladder.name })}>
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
                    <td className="clock pr-3 whitespace-nowrap">
                      {tries > 0 ? t("bothSides.of", { hits: s.hits, tries }) : "–"}
                    </td>
                    <td className="clock pr-3 whitespace-nowrap">
                      {tries > 0 ? t("bothSides.and", { low: percent(s.share.low), high: percent(s.share.high) }) : "–"}
                    </td>
                  </>
                )}
                <td>{mine ? bestAndLast(mine, rung) : t("bothSides.notTried")}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {behind && (
        <p className="mt-1 text-[0.95rem]">
          {behind.chance < 0.6
            ? t("bothSides.bothSidesLookAlike")
            : behind.chance < 0.75
              ? t("bothSides.neitherSideIsSurelyBehind", {
                  sideWord: sideWord[behind.side],
                  certainty: certainty(behind.chance),
                  sureness: sureness(behind.chance),
                })
              : t("bothSides.theSideIsBehind", {
                  sideWord: sideWord[behind.side],
                  certainty: certainty(behind.chance),
                  sureness: sureness(behind.chance),
                })}
        </p>
      )}
    </section>
  );
}
