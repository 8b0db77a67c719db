import type { Ladder, RunScript, Segment } from "../../api/types";
import { FamilyGlyph } from "../../ui/marble";
import { whereWord } from "../../words";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { circuitOf, groupAt, roundAtStation, visitOf } from "./stations";

const t = textsOf("run", saidRun);

/** Where every group is or comes to; pressed, a station is the one that this screen looks after. */
export function AtStations({
  script,
  ladders,
  segment,
  nameOf,
  chosen,
  onChoose,
}: {
  script: RunScript;
  ladders: Ladder[];
  segment: Segment;
  /** null for whoever is put aside */
  nameOf: (pupilId: string) => string | null;
  chosen: number;
  onChoose: (station: number) => void;
}) {
  const circuit = circuitOf(script, segment.block);
  if (!circuit || segment.kind === "TRANSITION") return null;
  const lead = roundAtStation(script, segment.index, 0);
  // After the last round everybody stays where they are.
  const on = lead && circuitOf(script, lead.block) === circuit ? lead : segment;
  const { visit } = visitOf(script, on);
  return (
    <section aria-label={t("stations.where")} className="mb-3">
      <ol className="grid gap-2 sm:grid-cols-2 lg:grid-cols-4">
        {Array.from({ length: circuit.stations }, (_, station) => {
          const block = script.blocks[circuit.firstBlock + station];
          const ladder = ladders.find((l) => l.id === block?.ladderId);
          const group = groupAt(circuit, station, visit);
          const names = (circuit.groups[group] ?? []).map(nameOf).filter((n) => n !== null);
          return (
            <li key={block?.ladderId + String(station)}>
              <button
                type="button"
                aria-pressed={chosen === station}
                className={`h-full w-full border-2 p-2 text-left leading-tight ${chosen === station ? "border-chalk bg-dusk" : "border-[#3a504d]"}`}
                onClick={() => onChoose(station)}
              >
                <span className="flex items-center gap-2 font-semibold">
                  {ladder && <FamilyGlyph family={ladder.family} size={20} />}
                  {t("stations.station", { n: station + 1, name: ladder?.name ?? "" })}
                </span>
                {circuit.where?.[station] && (
                  <span className="block text-mist">{whereWord(circuit.where?.[station])}</span>
                )}
                <span className="mt-1 block text-mist">
                  {t("stations.group", { n: group + 1, names: names.join(", ") })}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
