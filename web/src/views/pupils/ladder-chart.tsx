import type { Advice, Ladder, PupilRecord } from "../../api/types";
import { count, day, percent, side as sideWord } from "../../words";

const WIDTH = 420;
const LEFT = 34;
const STEPS_H = 54;
const RATE_H = 110;
const DAY_MS = 86_400_000;

/** Over time: the rung practised as steps with gates met marked, and on the rung where the pupil stands each round's share with its band. */
export function LadderChart({ ladder, record, advice }: { ladder: Ladder; record: PupilRecord; advice: Advice }) {
  const tried = record.attempts
    .filter((t) => t.attempt.ladderId === ladder.id && !t.struck && t.attempt.modifiers.length === 0)
    .reverse();
  const first = tried[0];
  const last = tried.at(-1);
  if (!first || !last || first.attempt.on === last.attempt.on) return null;
  const from = Date.parse(first.attempt.on);
  const days = Math.max(1, (Date.parse(last.attempt.on) - from) / DAY_MS);
  const x = (on: string) => LEFT + ((WIDTH - LEFT - 10) * (Date.parse(on) - from)) / DAY_MS / days;
  const rungs = ladder.rungs.length;
  const number = (rungId: string) => ladder.rungs.findIndex((r) => r.id === rungId);
  const y = (rungId: string) => STEPS_H - 6 - ((STEPS_H - 14) * number(rungId)) / Math.max(1, rungs - 1);
  const path = tried.map(
    (t, i) =>
      `${i === 0 ? "M" : "H"}${x(t.attempt.on)}${i === 0 ? ` ${y(t.attempt.rungId)}` : `V${y(t.attempt.rungId)}`}`,
  );
  const rounds = advice.sides.flatMap((s, n) => s.evidence.map((e) => ({ ...e, n, side: s.side })));
  const rateY = (share: number) => RATE_H - 8 - (RATE_H - 16) * share;
  const where = (attemptId: string) => tried.find((t) => t.attempt.id === attemptId)?.attempt.where ?? "SCHOOL";
  return (
    <figure className="mt-2">
      <svg
        viewBox={`0 0 ${WIDTH} ${STEPS_H}`}
        className="w-full max-w-[34rem]"
        role="img"
        aria-label={`Rung practised on ${ladder.name}: from rung ${number(first.attempt.rungId) + 1} on ${day(first.attempt.on)} to rung ${number(last.attempt.rungId) + 1} on ${day(last.attempt.on)}`}
      >
        <text x="0" y="12" fontSize="11" fill="var(--color-soft)">
          rung
        </text>
        {ladder.rungs.map((r, i) => (
          <line
            key={r.id}
            x1={LEFT}
            x2={WIDTH - 10}
            y1={y(r.id)}
            y2={y(r.id)}
            stroke="var(--color-rule)"
            strokeWidth={i === 0 ? 1.5 : 0.7}
          />
        ))}
        <path d={path.join("")} fill="none" stroke="var(--color-ink)" strokeWidth="2.200" />
        {tried
          .filter((t) => t.metGate)
          .map((t) => (
            <path
              key={t.attempt.id}
              d={`M${x(t.attempt.on) - 3.5} ${y(t.attempt.rungId) + 3}l3.5 -7l3.5 7z`}
              fill="var(--color-catch)"
            />
          ))}
      </svg>
      {rounds.length > 0 && (
        <svg
          viewBox={`0 0 ${WIDTH} ${RATE_H}`}
          className="w-full max-w-[34rem]"
          role="img"
          aria-label={advice.sides
            .map(
              (s) =>
                `${s.side === "NONE" ? "" : `${sideWord[s.side]}: `}${count(s.evidence.length, "round", "rounds")} with counted misses, now ${percent(s.share.share)}, between ${percent(s.share.low)} and ${percent(s.share.high)}`,
            )
            .join("; ")}
        >
          {[0, 0.5, 1].map((share) => (
            <g key={share}>
              <line
                x1={LEFT}
                x2={WIDTH - 10}
                y1={rateY(share)}
                y2={rateY(share)}
                stroke="var(--color-rule)"
                strokeWidth="0.800"
              />
              <text x="0" y={rateY(share) + 4} fontSize="11" fill="var(--color-soft)">
                {Math.round(share * 100)}%
              </text>
            </g>
          ))}
          <line
            x1={LEFT}
            x2={WIDTH - 10}
            y1={rateY(advice.sides[0]?.hold ?? 0.8)}
            y2={rateY(advice.sides[0]?.hold ?? 0.8)}
            stroke="var(--color-target)"
            strokeWidth="1.500"
            strokeDasharray="6 4"
          />
          {rounds.map((r) => {
            // Two sides of one day stand beside each other.
            const at = x(r.on) + (advice.sides.length > 1 ? (r.n === 0 ? -4 : 4) : 0);
            const mid = rateY(r.hits / (r.hits + r.misses || 1));
            const home = where(r.attemptId) === "HOME";
            return (
              <g
                key={r.attemptId}
                stroke="var(--color-ink)"
                fill={r.n === 0 ? "var(--color-ink)" : "var(--color-sheet)"}
              >
                <line
                  x1={at}
                  x2={at}
                  y1={rateY(r.share.low)}
                  y2={rateY(r.share.high)}
                  strokeWidth="1.200"
                  opacity="0.600"
                />
                {home ? (
                  <rect x={at - 4} y={mid - 4} width="8" height="8" strokeWidth="1.500" />
                ) : (
                  <circle cx={at} cy={mid} r="4" strokeWidth="1.500" />
                )}
              </g>
            );
          })}
        </svg>
      )}
      <figcaption className="text-sm text-soft">
        Steps: the rung practised; a peak: a gate that was met.
        {rounds.length > 0 &&
          ` Below, rung ${number(advice.rungId) + 1}: the share of each round with its band, the dashed line is what holds${advice.sides.length > 1 ? `; filled ${sideWord[advice.sides[0]?.side ?? "NONE"]}, open ${sideWord[advice.sides[1]?.side ?? "NONE"]}` : ""}; a square was at home.`}
      </figcaption>
    </figure>
  );
}
