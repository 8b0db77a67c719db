import { LEFT, WIDTH } from "./time-axis";

const HEIGHT = 110;

export type Round = {
  id: string;
  on: string;
  value: number;
  low: number;
  high: number;
  /** 0 or 1: filled or open. */
  side: number;
  home: boolean;
  best: boolean;
};

/** Rounds as points with their bands; one of two sides is filled, the other open; a square was at home, a ring is a best. */
export function PointsOverTime({
  rounds,
  x,
  top,
  ticks,
  line,
  sides,
  label,
}: {
  rounds: Round[];
  x: (on: string) => number;
  top: number;
  ticks: { at: number; text: string }[];
  line: number | undefined;
  sides: number;
  label: string;
}) {
  const y = (value: number) => HEIGHT - 8 - ((HEIGHT - 16) * value) / top;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full max-w-[34rem]" role="img" aria-label={label}>
      {ticks.map((t) => (
        <g key={t.at}>
          <line x1={LEFT} x2={WIDTH - 10} y1={y(t.at)} y2={y(t.at)} stroke="var(--color-rule)" strokeWidth="0.800" />
          <text x="0" y={y(t.at) + 4} fontSize="11" fill="var(--color-soft)">
            {t.text}
          </text>
        </g>
      ))}
      {line !== undefined && (
        <line
          x1={LEFT}
          x2={WIDTH - 10}
          y1={y(line)}
          y2={y(line)}
          stroke="var(--color-target)"
          strokeWidth="1.500"
          strokeDasharray="6 4"
        />
      )}
      {rounds.map((r) => {
        // Two sides of one day stand beside each other.
        const at = x(r.on) + (sides > 1 ? (r.side === 0 ? -4 : 4) : 0);
        return (
          <g key={r.id} stroke="var(--color-ink)" fill={r.side === 0 ? "var(--color-ink)" : "var(--color-sheet)"}>
            <line x1={at} x2={at} y1={y(r.low)} y2={y(r.high)} strokeWidth="1.200" opacity="0.600" />
            {r.best && <circle cx={at} cy={y(r.value)} r="7" strokeWidth="1.200" fill="none" />}
            {r.home ? (
              <rect x={at - 4} y={y(r.value) - 4} width="8" height="8" strokeWidth="1.500" />
            ) : (
              <circle cx={at} cy={y(r.value)} r="4" strokeWidth="1.500" />
            )}
          </g>
        );
      })}
    </svg>
  );
}
