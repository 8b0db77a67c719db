import type { ReactNode } from "react";
import { useRef } from "react";
import { useWidth } from "../ui/use-width";
import { type Scale, ScaleContext, useScale } from "./stage";

type Axis = { from: number; to: number; ticks: number[]; name: string; write?: (n: number) => string };

const PAD = { left: 58, right: 22, top: 34, bottom: 54 };

/** A figure with two axes of their own. Handles and labels work in it as they do on a stage. */
export function Plot({
  label,
  x,
  y,
  height,
  children,
}: {
  label: string;
  x: Axis;
  y: Axis;
  height: number;
  children: ReactNode;
}) {
  const [box, width] = useWidth<HTMLDivElement>();
  const svg = useRef<SVGSVGElement>(null);
  const perX = Math.max(1, width - PAD.left - PAD.right) / (x.to - x.from);
  const perY = (height - PAD.top - PAD.bottom) / (y.to - y.from);
  const scale: Scale = {
    x: (n) => PAD.left + (n - x.from) * perX,
    y: (n) => PAD.top + (y.to - n) * perY,
    perM: perX,
    at: (e) => {
      const r = svg.current?.getBoundingClientRect();
      const zoom = r && width ? width / r.width : 1;
      return {
        x: ((e.clientX - (r?.left ?? 0)) * zoom - PAD.left) / perX + x.from,
        y: y.to - ((e.clientY - (r?.top ?? 0)) * zoom - PAD.top) / perY,
      };
    },
    world: { left: x.from, right: x.to, bottom: y.from, top: y.to },
  };
  return (
    <div ref={box} className="w-full" style={{ minHeight: width ? undefined : height }}>
      {width > 0 && (
        // biome-ignore lint/a11y/useSemanticElements: a drawing with handles in it is a group, and no form holds it
        <svg
          ref={svg}
          viewBox={`0 0 ${width} ${height}`}
          className="block h-auto w-full select-none bg-[#fffdf8]"
          role="group"
          aria-label={label}
          data-testid="drawing"
        >
          <g aria-hidden fontSize="13.500" fill="var(--color-soft)">
            {y.ticks.map((t) => (
              <g key={t}>
                <line
                  x1={scale.x(x.from)}
                  x2={scale.x(x.to)}
                  y1={scale.y(t)}
                  y2={scale.y(t)}
                  stroke="var(--color-rule)"
                />
                <text x={PAD.left - 8} y={scale.y(t) + 4} textAnchor="end">
                  {y.write ? y.write(t) : t}
                </text>
              </g>
            ))}
            {x.ticks.map((t) => (
              <text key={t} x={scale.x(t)} y={height - PAD.bottom + 27} textAnchor="middle">
                {x.write ? x.write(t) : t}
              </text>
            ))}
            <text x={width - PAD.right} y={height - 7} textAnchor="end">
              {x.name}
            </text>
            <text x={4} y={15}>
              {y.name}
            </text>
            <line
              x1={scale.x(x.from)}
              x2={scale.x(x.to)}
              y1={scale.y(y.from)}
              y2={scale.y(y.from)}
              stroke="var(--color-ink)"
              strokeWidth="2.500"
            />
          </g>
          <ScaleContext value={scale}>{children}</ScaleContext>
        </svg>
      )}
    </div>
  );
}

export const usePlot = useScale;
