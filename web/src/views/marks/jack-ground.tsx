import type { JackMatch, MatchEnd } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { LabelAt } from "../../drawing/pieces";
import { Stage, useScale } from "../../drawing/stage";
import { small, type Units } from "../../lengths";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { colour, type Player } from "./jack-values";

const t = textsOf("marks", saidMarks);

/** The ground round the jack: tap where a ball lies, or drag it. */
export function Green({
  end,
  sheet,
  units,
  onAdd,
  onMove,
  name,
}: {
  end: MatchEnd;
  sheet: JackMatch["ends"][number] | undefined;
  units: Units;
  onAdd: (xCm: number, yCm: number) => void;
  onMove: (i: number, xCm: number, yCm: number) => void;
  name: (s: string) => string;
}) {
  const far =
    Math.max(120, ...end.balls.map((b) => Math.max(Math.abs(b.xCm ?? 0) / 1.5, Math.abs(b.yCm ?? 0)))) / 100 + 0.15;
  return (
    <Stage
      world={{ left: -far * 1.7, right: far * 1.7, bottom: -far, top: far }}
      units={units}
      height={400}
      label={t("jackGround.theJackAndRoundIt", { count: end.balls.length })}
    >
      <Ground
        onAdd={onAdd}
        best={Math.min(sheet?.bestA ?? Number.POSITIVE_INFINITY, sheet?.bestB ?? Number.POSITIVE_INFINITY)}
      />
      {end.balls.map((b, i) => {
        const judged = sheet?.balls[i];
        const at = place(b, i);
        return (
          <PlacedBall
            // biome-ignore lint/suspicious/noArrayIndexKey: balls keep the order in which they were played
            key={i}
            n={i + 1}
            at={at}
            side={b.side}
            dead={judged?.dead ?? false}
            counts={judged?.counts ?? false}
            text={t("jackGround.fromTheJack", {
              side: name(b.side),
              distanceCm: small(judged?.distanceCm ?? 0, units),
            })}
            onMove={(x, y) => onMove(i, x, y)}
          />
        );
      })}
    </Stage>
  );
}

/** A ball that was only measured lies at its distance, in a direction of its own. */
function place(b: MatchEnd["balls"][number], i: number): { x: number; y: number } {
  if (b.distanceCm === null) return { x: (b.xCm ?? 0) / 100, y: (b.yCm ?? 0) / 100 };
  const turn = 0.7 + i * 2.4;
  return { x: (b.distanceCm / 100) * Math.cos(turn), y: (b.distanceCm / 100) * Math.sin(turn) };
}

export function Ground({ onAdd, best }: { onAdd: (xCm: number, yCm: number) => void; best: number }) {
  const scale = useScale();
  const { x, y, perM } = scale;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: by keyboard a ball is placed with its button and moved as a slider
    <g
      data-testid="ground"
      className="cursor-crosshair"
      onClick={(e) => {
        const p = scale.at(e);
        onAdd(Math.round(p.x * 1000) / 10, Math.round(p.y * 1000) / 10);
      }}
    >
      <rect x="0" y="0" width="3000" height="2000" fill="transparent" />
      {[0.5, 1, 1.5, 2].map((r) => (
        <circle key={r} cx={x(0)} cy={y(0)} r={r * perM} fill="none" stroke="var(--color-rule)" strokeDasharray="4 6" />
      ))}
      {Number.isFinite(best) && (
        <circle cx={x(0)} cy={y(0)} r={(best / 100) * perM} fill="none" stroke="var(--color-ink)" strokeWidth="1.500" />
      )}
      <circle cx={x(0)} cy={y(0)} r="8" fill="var(--target)" stroke="var(--color-ink)" strokeWidth="2" />
    </g>
  );
}

function PlacedBall({
  n,
  at,
  side,
  dead,
  counts,
  text,
  onMove,
}: {
  n: number;
  at: { x: number; y: number };
  side: Player;
  dead: boolean;
  counts: boolean;
  text: string;
  onMove: (xCm: number, yCm: number) => void;
}) {
  const { x, y } = useScale();
  const to = (p: { x: number; y: number }) => onMove(Math.round(p.x * 1000) / 10, Math.round(p.y * 1000) / 10);
  return (
    <>
      {counts && (
        <line
          aria-hidden
          x1={x(0)}
          y1={y(0)}
          x2={x(at.x)}
          y2={y(at.y)}
          stroke={colour[side]}
          strokeWidth="2"
          strokeDasharray="5 4"
        />
      )}
      <Handle
        label={t("jackGround.ball", { n })}
        value={at.x * 100}
        text={text}
        least={-20000}
        greatest={20000}
        step={0.01}
        axis="both"
        bare
        colour={colour[side]}
        at={at}
        onMove={to}
        onStep={(dx, dy) => to({ x: at.x + dx, y: at.y + dy })}
      />
      <g aria-hidden pointerEvents="none" transform={`translate(${x(at.x)},${y(at.y)})`}>
        {side === "A" ? (
          <circle r="13" fill={colour.A} opacity={dead ? 0.35 : 1} />
        ) : (
          <rect x="-12" y="-12" width="24" height="24" fill={colour.B} opacity={dead ? 0.35 : 1} />
        )}
        {counts && <circle r="18" fill="none" stroke={colour[side]} strokeWidth="3" />}
        {dead && <path d="M-12 -12L12 12M12 -12L-12 12" stroke="var(--color-ink)" strokeWidth="2.500" />}
      </g>
      <LabelAt xM={at.x} yM={at.y} dy={5} bold colour={dead ? "var(--color-ink)" : "#1e2c2b"}>
        {`${n}`}
      </LabelAt>
    </>
  );
}
