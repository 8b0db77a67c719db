import type { Block, BlockPlan, Family, LessonView } from "../api/types";
import { familyColour } from "../ui/marble";
import { useWidth } from "../ui/use-width";
import { edgeWord, metres, places } from "../words";
import { texts } from "../words/texts";
import { Features, hasWindow } from "./features";
import { type Edge, Walls, wallsOf } from "./walls";

const t = texts("ui");
const say = texts("plan");

/** The room to scale, with the placed spots and what stands in it; a filled circle works, an empty one helps. */
export function Room({
  place,
  plan,
  block,
  needsWall,
  name,
  atHome,
}: {
  place: LessonView["place"];
  plan?: BlockPlan;
  block?: Block;
  needsWall: boolean;
  name: string;
  atHome: boolean;
}) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const space = place.size;
  const scale = width ? Math.min((width - 8) / space.lengthM, 300 / space.widthM) : 0;
  const w = space.lengthM * scale;
  const h = space.widthM * scale;
  const edges = (plan?.atWalls ?? []).flatMap((at) => Array<Edge>(at.spots).fill(at.edge));
  const family: Family = plan?.family ?? "MOVE";
  const sentence = plan ? places(plan, name, atHome) : "";
  let toWork = plan?.workingAtOnce ?? 0;
  let toHelp = plan?.helping ?? 0;
  const perSpot = plan?.perSpot ?? 1;
  const workersPerSpot = plan ? Math.max(1, Math.round(perSpot / Math.max(1, plan.partsToRotate))) : 1;
  return (
    <figure>
      <div ref={ref}>
        <svg
          width={w + 8}
          height={h + 8}
          role="img"
          aria-label={say("room.by", { name, lengthM: metres(space.lengthM), widthM: metres(space.widthM), sentence })}
          className="block"
        >
          <rect x="4" y="4" width={w} height={h} fill="var(--color-tint)" stroke="var(--color-ink)" strokeWidth="3" />
          <Walls
            place={place}
            scale={scale}
            colour={needsWall ? familyColour[family] : "var(--color-ink)"}
            thick={needsWall ? 8 : 7}
          />
          <Features place={place} scale={scale} />
          {block?.mark && (
            <text x={4 + w - 8} y={30} textAnchor="end" fontSize="13" fontWeight="700" fill={familyColour[family]}>
              {say("room.band", { lowM: metres(block.mark.lowM), highM: metres(block.mark.highM) })}
            </text>
          )}
          {plan?.spots?.placed.map((p, n) => {
            const px = 4 + p.xM * scale;
            const py = 4 + p.yM * scale;
            const pw = p.alongM * scale;
            const ph = p.acrossM * scale;
            const edge = edges[n];
            const sideways = edge === "LEFT" || edge === "RIGHT";
            // At a wall: from side to side, and away from it; else as it lies.
            const tall = sideways ? pw >= ph : ph >= pw;
            const at = (side: number, away: number) => {
              const to = edge === "BOTTOM" || edge === "RIGHT" ? 1 - away : away;
              return sideways ? [px + pw * to, py + ph * side] : [px + pw * side, py + ph * to];
            };
            const r = Math.max(3, Math.min(8, Math.min(pw, ph) / 6.5));
            const workers = Math.min(workersPerSpot, toWork);
            const helpers = Math.min(perSpot - workersPerSpot, toHelp);
            toWork -= workers;
            toHelp -= helpers;
            const people = workers + helpers;
            return (
              <g key={`${p.xM}/${p.yM}`}>
                <rect
                  x={px}
                  y={py}
                  width={pw}
                  height={ph}
                  fill="none"
                  stroke={familyColour[family]}
                  strokeWidth="1.800"
                  strokeDasharray="6 4"
                />
                {edge && people > 0 && (
                  <path
                    d={`M${at(0.5, 0.03)}Q${at(0.42, 0.45)} ${at(0.38, 0.78)}`}
                    fill="none"
                    stroke={familyColour[family]}
                    strokeWidth="1.800"
                  />
                )}
                {Array.from({ length: people }, (_, i) => {
                  const along01 = people === 1 ? 0.5 : (i + 1) / (people + 1);
                  const [cx, cy] = tall ? at(along01, edge ? 0.82 : 0.5) : at(edge ? 0.8 : along01, along01);
                  const works = i < workers;
                  return (
                    <circle
                      // biome-ignore lint/suspicious/noArrayIndexKey: people of one spot are told apart by their place only
                      key={i}
                      cx={cx}
                      cy={cy}
                      r={r}
                      fill={works ? "var(--color-ink)" : "var(--color-sheet)"}
                      stroke="var(--color-ink)"
                      strokeWidth="2"
                    />
                  );
                })}
              </g>
            );
          })}
        </svg>
      </div>
      <figcaption className="mt-1.5 text-[0.95rem]">
        {needsWall &&
          wallsOf(place)
            .filter((w) => w.stretch.holds)
            .map((w) => (
              <span key={`${w.edge} ${w.fromM}`} className="block text-soft">
                {say("room.onIt", { edge: edgeWord[w.edge], holds: w.stretch.holds ?? "" })}
              </span>
            ))}
        <span className={plan?.spots?.reason ? "font-semibold text-alert" : ""}>{sentence}</span>
        {plan?.spots && plan.spots.placed.length > 0 && plan.helping > 0 && !atHome && (
          <span className="text-soft"> {t("room.filledWorksOpenHelps")}</span>
        )}
        {hasWindow(place) && <span className="text-soft"> {say("room.windows")}</span>}
      </figcaption>
    </figure>
  );
}
