import type { CircuitPlan } from "../../api/types";
import { clock, whereWord } from "../../words";
import { texts } from "../../words/texts";

const t = texts("plan");

/** A circuit's groups and where each is in every visit, to be printed and put up. */
export function WhoIsWhere({ circuit, names }: { circuit: CircuitPlan; names: string[] }) {
  return (
    <section className="mt-4 break-inside-avoid">
      <h2 className="border-b-2 border-ink text-base">{t("circuit.table", { clock: clock(circuit.stageSec) })}</h2>
      <table className="w-full border-collapse text-[0.95rem]">
        <thead>
          <tr className="border-b border-ink text-left text-sm">
            <th scope="col" className="pr-3">
              {t("circuit.groups")}
            </th>
            {circuit.stations.map((s, visit) => (
              <th key={s.blockId} scope="col" className="pr-3">
                {t("circuit.visit", { n: visit + 1 })}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {circuit.groups.map((g, n) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: groups are told apart by their number only
            <tr key={n} className="border-b border-rule align-top">
              <th scope="row" className="max-w-56 pr-3 text-left font-normal">
                <strong>{n + 1}</strong> {g.names.join(", ")}
              </th>
              {g.stationOf.map((station) => (
                <td key={station} className="pr-3">
                  <span className="clock">{station + 1}</span> {names[station]}
                  {circuit.stations[station]?.where && (
                    <span className="block text-soft">{whereWord(circuit.stations[station]?.where)}</span>
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
