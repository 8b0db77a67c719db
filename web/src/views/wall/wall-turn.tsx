import type { Crew, WallFace } from "../../api/types";
import { textsOf } from "../../words/texts";
import saidWall from "../../words/wall.json";

const t = textsOf("wall", saidWall);

type Block = WallFace["script"]["blocks"][number];

/** Who works, who counts, and what those do who wait: first names only. */
export function WallTurn({
  wall,
  block,
  turn,
  scoreOf,
}: {
  wall: WallFace;
  block: Block;
  turn: number;
  /** null while there is none, or where the teacher wants none shown */
  scoreOf: (crew: Crew, pupilId: string) => number | null;
}) {
  const now = block.turns[turn];
  if (!now || block.kind !== "TASK") return null;
  const name = (id: string) => wall.names[id] ?? "?";
  const quiet = wall.ladders.find((l) => l.id === block.meanwhileLadderId);
  const quietRung = quiet?.rungs.find((r) => r.id === block.meanwhileRungId);
  return (
    <div className="text-[clamp(1.1rem,2.95vw,3.6rem)] leading-tight">
      <ul className="flex flex-wrap gap-x-[2vw] gap-y-1">
        {now.crews.map((crew) => (
          <li key={crew.spot}>
            <span className="clock text-mist">{crew.spot + 1}</span>{" "}
            <strong>{crew.workers.map(name).join(" & ")}</strong>
            <Score of={scoreOf(crew, crew.workers[0] ?? "")} />
            {crew.helpers.length > 0 && (
              <span className="text-mist"> {t("wallTurn.counts", { join: crew.helpers.map(name).join(", ") })}</span>
            )}
          </li>
        ))}
      </ul>
      {now.waiting.length > 0 && (
        <p className="mt-1 text-mist">
          {now.waiting.map(name).join(", ")}: {quiet ? `${quiet.name}, ${quietRung?.name ?? ""}` : t("wallTurn.next")}
        </p>
      )}
    </div>
  );
}

const Score = ({ of }: { of: number | null }) =>
  of === null ? null : <span className="digits ml-2 text-[1.2em] text-[#e0b84a]">{of}</span>;
