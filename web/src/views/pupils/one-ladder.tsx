import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { classOnLadder } from "../../api/queries";
import type { ClassRecord, Ladder } from "../../api/types";
import { FamilyGlyph, familyColour } from "../../ui/marble";
import { Failed, Loading } from "../../ui/states";
import { bestAndLast, day, gate, side } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { CuesCalled } from "./cues-called";
import { Standards } from "./standards";

const t = textsOf("pupils", saidPupils);

/** One ladder of a class: bests, last results and rounds of every pupil on every rung. */
export function OneLadder({ record, ladder, onBack }: { record: ClassRecord; ladder: Ladder; onBack: () => void }) {
  const there = useQuery(classOnLadder(record.classId, ladder.id));
  if (there.isLoadingError) return <Failed error={there.error} again={() => there.refetch()} />;
  if (!there.data) return <Loading what={ladder.name} />;
  const find = (pupilId: string, rungId: string) =>
    there.data.find((c) => c.pupilId === pupilId && c.rungId === rungId && c.modifiers.length === 0);
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-4">
        <h2 className="flex items-center gap-2">
          <FamilyGlyph family={ladder.family} /> {ladder.name}
        </h2>
        <button type="button" className="btn btn-small" onClick={onBack}>
          {t("oneLadder.allLadders")}
        </button>
        <Standards classId={record.classId} ladder={ladder} />
      </div>
      <CuesCalled classId={record.classId} ladder={ladder} />
      <section
        className="relative overflow-x-auto"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a table that scrolls sideways must be reachable by keyboard
        tabIndex={0}
        aria-label={t("oneLadder.rungsOf", { name: ladder.name })}
      >
        <table className="border-collapse">
          <thead>
            <tr className="border-b-[3px] border-ink align-bottom">
              <th scope="col" className="sticky left-0 bg-sheet pr-4 pb-2 text-left">
                {t("oneLadder.pupil")}
              </th>
              {ladder.rungs.map((r, i) => (
                <th key={r.id} scope="col" className="min-w-40 px-3 pb-2 text-left align-bottom">
                  {i + 1} {r.name}
                  <span className="block text-sm font-normal text-soft">{gate(r)}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {record.pupils.map((p) => (
              <tr key={p.pupilId} className="border-b border-rule align-top">
                <th scope="row" className="sticky left-0 bg-sheet py-2 pr-4 text-left whitespace-nowrap">
                  <Link to={`/pupils/${p.pupilId}`} className="font-semibold no-underline hover:underline">
                    {p.name}
                  </Link>
                </th>
                {ladder.rungs.map((r) => {
                  const c = find(p.pupilId, r.id);
                  return (
                    <td key={r.id} className="px-3 py-2">
                      {c ? (
                        <>
                          {c.completedOn && (
                            <strong style={{ color: familyColour[ladder.family] }}>✓ {day(c.completedOn)}</strong>
                          )}
                          {c.sides.map((s) => (
                            <span
                              key={`${s.side}/${s.ball}/${s.distanceM}/${s.target}/${s.joint}`}
                              className="block text-[0.95rem]"
                            >
                              {s.side !== "NONE" && s.side !== "STRONG" && (
                                <span className="text-soft">{side[s.side]}: </span>
                              )}
                              {bestAndLast(s, r)}
                            </span>
                          ))}
                          <span className="block text-sm text-soft">
                            {t("oneLadder.text", { count: c.rounds })}
                            {c.tries > 0 && t("oneLadder.triesCounted", { tries: c.tries })}
                          </span>
                        </>
                      ) : (
                        <span className="text-soft">{t("oneLadder.notTried")}</span>
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </>
  );
}
