import type { Ladder, PupilOnLadder } from "../../api/types";
import { day } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { direction } from "../../words-marks";
import { LEFT, timeAxis, WIDTH } from "./time-axis";

const t = textsOf("pupils", saidPupils);

const HEIGHT = 120;

/** Where landings were tapped: how far the aim was off and how far the throws scattered, round by round. */
export function AimChart({ ladder, tries }: { ladder: Ladder; tries: PupilOnLadder }) {
  const aims = tries.overTime.flatMap((o) => o.aims).sort((a, b) => a.on.localeCompare(b.on));
  const first = aims[0];
  const last = aims.at(-1);
  if (!first || !last) return null;
  const x = first.on === last.on ? () => WIDTH / 2 : timeAxis(first.on, last.on);
  const reach = Math.max(1, ...aims.map((a) => Math.abs(a.aim.meanYCm) + a.aim.spreadCm));
  const side = Math.max(1, ...aims.map((a) => Math.abs(a.aim.meanXCm) + a.aim.spreadCm));
  const scale = (HEIGHT / 2 - 6) / Math.max(reach, side);
  const off = last.aim.direction !== "CENTRED";
  return (
    <figure className="mt-2">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full max-w-[34rem]"
        role="img"
        aria-label={t("aimChart.aimOnRoundsWithTapped", {
          name: ladder.name,
          length: aims.length,
          spreadCm: Math.round(first.aim.spreadCm),
          spreadCm2: Math.round(last.aim.spreadCm),
        })}
      >
        <line x1={LEFT} x2={WIDTH - 10} y1={HEIGHT / 2} y2={HEIGHT / 2} stroke="var(--color-rule)" />
        <text x="0" y={HEIGHT / 2 + 4} fontSize="11" fill="var(--color-soft)">
          {t("aimChart.aim")}
        </text>
        {aims.map((a) => (
          <g key={a.attemptId} stroke="var(--color-ink)">
            <circle
              cx={x(a.on) + a.aim.meanXCm * scale}
              cy={HEIGHT / 2 - a.aim.meanYCm * scale}
              r={Math.max(3, a.aim.spreadCm * scale)}
              fill="var(--color-tint)"
              fillOpacity="0.700"
              strokeWidth="1.200"
            />
            <path
              d={`M${x(a.on)} ${HEIGHT / 2}L${x(a.on) + a.aim.meanXCm * scale} ${HEIGHT / 2 - a.aim.meanYCm * scale}`}
              strokeWidth="2"
            />
            <path d={`M${x(a.on) - 4} ${HEIGHT / 2}h8m-4 -4v8`} strokeWidth="1.500" />
          </g>
        ))}
      </svg>
      <p className="clock flex max-w-[34rem] justify-between pl-9 text-sm text-soft">
        <span>{day(first.on)}</span>
        {last.on !== first.on && <span>{day(last.on)}</span>}
      </p>
      <figcaption className="text-sm text-soft">
        {t("aimChart.eachCrossIsThe", {
          day: day(last.on),
          throwsSeen: last.throwsSeen,
          round: Math.round(last.aim.spreadCm),
        })}{" "}
        {off
          ? t("aimChart.off", { cm: Math.round(last.aim.biasCm), direction: direction[last.aim.direction] })
          : t("aimChart.centred", { cm: Math.round(last.unseenBiasCm), n: last.throwsSeen })}
      </figcaption>
    </figure>
  );
}
