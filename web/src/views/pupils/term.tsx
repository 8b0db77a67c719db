import type { ClassRecord, Ladder } from "../../api/types";
import { FamilyGlyph } from "../../ui/marble";
import { count, day } from "../../words";

/** A class's term on one page: what was taught when, time moved, challenges completed, and how the standings spread. */
export function Term({ record, tried }: { record: ClassRecord; tried: Ladder[] }) {
  const completed = record.challenges.filter((c) => c.completedOn && c.modifiers.length === 0);
  const moved = record.taught.reduce((sum, d) => sum + d.movedSecPerPupil, 0);
  return (
    <div data-testid="term">
      <p className="mb-4 text-lg">
        {count(completed.length, "challenge", "challenges")} completed by{" "}
        {count(record.pupils.length, "pupil", "pupils")}; {Math.round(moved / 60)} minutes of counted work by the clock
        for each, on {count(record.taught.length, "day", "days")}.
      </p>
      <div className="grid gap-x-10 gap-y-6 md:grid-cols-2">
        <section>
          <h2>What was taught when</h2>
          <table className="mt-1 w-full border-collapse text-[0.95rem]">
            <tbody>
              {record.taught.map((d) => (
                <tr key={d.on} className="border-b border-rule align-top">
                  <th scope="row" className="clock py-1 pr-3 text-left font-normal whitespace-nowrap text-soft">
                    {day(d.on)}
                  </th>
                  <td className="pr-3">
                    {d.ladderIds
                      .map((id) => tried.find((l) => l.id === id)?.name)
                      .filter(Boolean)
                      .join(", ")}
                  </td>
                  <td className="clock text-right whitespace-nowrap text-soft">
                    {d.pupils} there, {Math.round(d.movedSecPerPupil / 60)} min
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
        <section>
          <h2>How they stand</h2>
          <p className="text-soft">How many pupils stand on each rung; in brackets how many have completed it.</p>
          <ul className="mt-1">
            {tried.map((l) => (
              <li key={l.id} className="border-b border-rule py-1.5">
                <span className="flex items-center gap-2 font-semibold">
                  <FamilyGlyph family={l.family} /> {l.name}
                </span>
                <ol className="flex flex-wrap gap-x-4 text-[0.95rem]">
                  {l.rungs.map((r, i) => (
                    <li key={r.id} title={r.name}>
                      <span className="text-soft">{i + 1}:</span>{" "}
                      {record.advice.filter((a) => a.ladderId === l.id && a.rungId === r.id).length} (
                      {completed.filter((c) => c.ladderId === l.id && c.rungId === r.id).length})
                    </li>
                  ))}
                </ol>
              </li>
            ))}
          </ul>
        </section>
      </div>
      <p className="mt-4 print:hidden">
        <button type="button" className="btn btn-small" onClick={() => window.print()}>
          Print
        </button>
      </p>
    </div>
  );
}
