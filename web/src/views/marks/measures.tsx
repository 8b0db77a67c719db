import { length, paces, shoes, type Units } from "../../lengths";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";

const t = textsOf("marks", saidMarks);

/** What is to be measured: along the floor it can be stepped; up a wall, or as small as a ring, it cannot. */
export type Measure = {
  what: string;
  /** null: not known yet */
  m?: number | null;
  up?: boolean;
  small?: boolean;
  text?: string;
};

export function MeasureTable({
  measures,
  units,
  paceM,
  shoeM,
}: {
  measures: Measure[];
  units: Units;
  paceM: number;
  shoeM: number;
}) {
  return (
    <table className="mt-2 w-full max-w-3xl text-left" data-testid="measures">
      <thead className="text-sm text-soft">
        <tr>
          <th scope="col" className="py-1 font-semibold">
            {t("measures.measure")}
          </th>
          <th scope="col" className="font-semibold">
            {t("measures.byTape")}
          </th>
          <th scope="col" className="font-semibold">
            {t("measures.inPaces")}
          </th>
          <th scope="col" className="font-semibold">
            {t("measures.inShoeLengths")}
          </th>
        </tr>
      </thead>
      <tbody>
        {measures.map((row) => (
          <tr key={row.what} className="border-t border-rule">
            <th scope="row" className="py-1.5 pr-3 font-semibold">
              {row.what}
            </th>
            {row.m === undefined || row.m === null ? (
              <td colSpan={3}>{row.text ?? "…"}</td>
            ) : (
              <>
                <td className="clock pr-3">{length(row.m, units)}</td>
                <td className="pr-3">
                  {row.up ? t("measures.upTheWall") : row.small ? t("measures.byTape2") : paces(row.m, paceM)}
                </td>
                <td>{shoes(row.m, shoeM)}</td>
              </>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
