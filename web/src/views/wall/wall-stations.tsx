import type { ScriptCircuit, Segment, WallFace } from "../../api/types";
import { whereWord } from "../../words";
import { textsOf } from "../../words/texts";
import saidWall from "../../words/wall.json";
import { groupAt, roundAtStation, visitOf } from "../run/stations";

const t = textsOf("wall", saidWall);

/** Which group is at which station, or comes to it: first names only. */
export function WallStations({ wall, segment, circuit }: { wall: WallFace; segment: Segment; circuit: ScriptCircuit }) {
  const { script } = wall;
  const coming = roundAtStation(script, segment.index, 0);
  const inside = coming && coming.block >= circuit.firstBlock && coming.block < circuit.firstBlock + circuit.stations;
  const { visit } = visitOf(script, inside ? coming : segment);
  return (
    <ol className="grid grid-cols-[repeat(auto-fit,minmax(min(100%,22vw),1fr))] gap-x-[2vw] gap-y-2 text-[clamp(1.1rem,2.95vw,3.6rem)] leading-tight">
      {Array.from({ length: circuit.stations }, (_, station) => {
        const block = script.blocks[circuit.firstBlock + station];
        const ladder = wall.ladders.find((l) => l.id === block?.ladderId);
        const group = groupAt(circuit, station, visit);
        return (
          <li key={block?.ladderId + String(station)}>
            <strong>{t("stations.station", { n: station + 1, name: ladder?.name ?? "" })}</strong>
            <span className="block">
              <span className="text-mist">
                {segment.kind === "STATION_CHANGE"
                  ? t("stations.group", {
                      n: group + 1,
                      station: station + 1,
                      where: whereWord(circuit.where?.[station]),
                    })
                  : t("stations.at", { n: group + 1 })}
              </span>{" "}
              {(circuit.groups[group] ?? []).map((id) => wall.names[id] ?? "?").join(", ")}
            </span>
          </li>
        );
      })}
    </ol>
  );
}
