import { Handle } from "../../drawing/handle";
import { LabelAt } from "../../drawing/pieces";
import { useScale } from "../../drawing/stage";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";

const t = textsOf("marks", saidMarks);

/** A hand on the line of launch: turned about the place where the ball leaves. */
export function AngleHandle({ h0, angle, onAngle }: { h0: number; angle: number; onAngle: (deg: number) => void }) {
  const { x, y, perM } = useScale();
  const r = Math.max(0.9, 70 / perM);
  const rad = (angle * Math.PI) / 180;
  const tip = { x: r * Math.cos(rad), y: h0 + r * Math.sin(rad) };
  return (
    <>
      <line
        aria-hidden
        x1={x(0)}
        y1={y(h0)}
        x2={x(tip.x)}
        y2={y(tip.y)}
        stroke="var(--color-soft)"
        strokeDasharray="2 4"
        strokeWidth="1.500"
        className="print:hidden"
      />
      <Handle
        label={t("angleHandle.launchAngle")}
        value={angle}
        text={t("angleHandle.degreesUpwards", { angle })}
        least={-80}
        greatest={80}
        step={1}
        axis="both"
        colour="var(--throw)"
        at={tip}
        onMove={(p) => onAngle(clamp(Math.round((Math.atan2(p.y - h0, Math.max(0.02, p.x)) * 180) / Math.PI)))}
        onStep={(dx, dy) => onAngle(clamp(Math.round(angle + dx + dy)))}
      />
      <LabelAt xM={tip.x} yM={tip.y} dx={16} dy={-10} anchor="start" colour="var(--throw)">
        {`${angle}°`}
      </LabelAt>
    </>
  );
}

const clamp = (deg: number) => Math.max(-80, Math.min(80, deg));
