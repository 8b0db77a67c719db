import type { Block, BlockPlan, Family, LessonView } from "../api/types";
import { familyColour } from "../ui/marble";
import { useWidth } from "../ui/use-width";
import { metres, places } from "../words";
import { texts } from "../words/texts";
import { Features } from "./features";

const t = texts("ui");

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
  // A wall task is drawn with the wall at the top; a wall along the width lies at the left of the room as it is described.
  const wallAlongLength =
    !space.wall || (space.wall.runM <= space.lengthM + 1e-9 && space.wall.depthM <= space.widthM + 1e-9);
  const turned = needsWall && !!space.wall && !wallAlongLength;
  const along = turned ? space.widthM : space.lengthM;
  const across = turned ? space.lengthM : space.widthM;
  const scale = width ? Math.min((width - 8) / along, 300 / across) : 0;
  const w = along * scale;
  const h = across * scale;
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
          aria-label={`${name}, ${metres(space.lengthM)} by ${metres(space.widthM)}. ${sentence}`}
          className="block"
        >
          <rect x="4" y="4" width={w} height={h} fill="var(--color-tint)" stroke="var(--color-ink)" strokeWidth="3" />
          {space.wall && needsWall && (
            <line x1="4" x2={4 + space.wall.runM * scale} y1="5" y2="5" stroke={familyColour[family]} strokeWidth="8" />
          )}
          {space.wall && !needsWall && (
            <line
              x1="5"
              y1="5"
              x2={wallAlongLength ? 4 + space.wall.runM * scale : 5}
              y2={wallAlongLength ? 5 : 4 + space.wall.runM * scale}
              stroke="var(--color-ink)"
              strokeWidth="7"
            />
          )}
          <Features place={place} scale={scale} turned={turned} />
          {block?.mark && (
            <text x={4 + w - 8} y={30} textAnchor="end" fontSize="13" fontWeight="700" fill={familyColour[family]}>
              {`band ${metres(block.mark.lowM)} – ${metres(block.mark.highM)}`}
            </text>
          )}
          {plan?.spots?.placed.map((p) => {
            const px = 4 + p.xM * scale;
            const py = 4 + p.yM * scale;
            const pw = p.alongM * scale;
            const ph = p.acrossM * scale;
            const tall = ph >= pw;
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
                {needsWall && people > 0 && (
                  <path
                    d={`M${px + pw / 2} ${py + 4}Q${px + pw * 0.42} ${py + ph * 0.45} ${px + pw * 0.38} ${py + ph * 0.78}`}
                    fill="none"
                    stroke={familyColour[family]}
                    strokeWidth="1.800"
                  />
                )}
                {Array.from({ length: people }, (_, i) => {
                  const along01 = people === 1 ? 0.5 : (i + 1) / (people + 1);
                  const cx = tall ? px + pw * along01 : px + pw * (needsWall ? 0.8 : along01);
                  const cy = tall ? py + ph * (needsWall ? 0.82 : 0.5) : py + ph * along01;
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
        <span className={plan?.spots?.reason ? "font-semibold text-alert" : ""}>{sentence}</span>
        {plan?.spots && plan.spots.placed.length > 0 && plan.helping > 0 && !atHome && (
          <span className="text-soft"> {t("room.filledWorksOpenHelps")}</span>
        )}
      </figcaption>
    </figure>
  );
}
