import { createContext, type ReactNode, useContext, useRef } from "react";
import { length, type Units } from "../lengths";
import { useWidth } from "../ui/use-width";
import { texts } from "../words/texts";

const t = texts("ui");

type World = { left: number; right: number; bottom: number; top: number };

/** Where metres lie on the drawing: x to the right, y upwards. */
export type Scale = {
  x: (m: number) => number;
  y: (m: number) => number;
  perM: number;
  /** From a place on the screen back to metres. */
  at: (e: { clientX: number; clientY: number }) => { x: number; y: number };
  world: World;
};

export const ScaleContext = createContext<Scale | null>(null);

export function useScale(): Scale {
  const scale = useContext(ScaleContext);
  if (!scale) throw new Error("a piece of a drawing stands outside of its stage");
  return scale;
}

const MARGIN = { left: 18, right: 18, top: 22, bottom: 34 };

/** A drawing to scale, as wide as its place and never higher than `height`. Says its scale in the corner. */
export function Stage({
  world,
  height = 460,
  label,
  units,
  children,
}: {
  world: World;
  height?: number;
  label: string;
  units: Units;
  children: ReactNode;
}) {
  const [box, width] = useWidth<HTMLDivElement>();
  const svg = useRef<SVGSVGElement>(null);
  const wide = Math.max(0.1, world.right - world.left);
  const high = Math.max(0.1, world.top - world.bottom);
  const room = Math.max(60, width - MARGIN.left - MARGIN.right);
  const perM = Math.min(room / wide, (height - MARGIN.top - MARGIN.bottom) / high);
  const h = high * perM + MARGIN.top + MARGIN.bottom;
  // What is narrower than its place stands in the middle.
  const left = MARGIN.left + (room - wide * perM) / 2;
  const scale: Scale = {
    x: (m) => left + (m - world.left) * perM,
    y: (m) => MARGIN.top + (world.top - m) * perM,
    perM,
    at: (e) => {
      const r = svg.current?.getBoundingClientRect();
      const zoom = r && width ? width / r.width : 1;
      const px = (e.clientX - (r?.left ?? 0)) * zoom;
      const py = (e.clientY - (r?.top ?? 0)) * zoom;
      return { x: (px - left) / perM + world.left, y: world.top - (py - MARGIN.top) / perM };
    },
    world,
  };
  const bar = [50, 20, 10, 5, 2, 1, 0.5, 0.2, 0.1].find((m) => m * perM <= 110) ?? 0.1;
  return (
    <div ref={box} className="w-full" style={{ minHeight: width ? undefined : height }}>
      {width > 0 && (
        // biome-ignore lint/a11y/useSemanticElements: a drawing with handles in it is a group, and no form holds it
        <svg
          ref={svg}
          viewBox={`0 0 ${width} ${h}`}
          className="block h-auto w-full select-none bg-[#fffdf8]"
          role="group"
          aria-label={label}
          data-testid="drawing"
          data-per-m={perM}
        >
          <ScaleContext value={scale}>{children}</ScaleContext>
          <g aria-hidden transform={`translate(${MARGIN.left},${h - 12})`}>
            <path d={`M0 -5V0H${bar * perM}V-5`} fill="none" stroke="var(--color-soft)" strokeWidth="2" />
            <text x={bar * perM + 8} y="1" fontSize="13" fill="var(--color-soft)">
              {t("stage.toScale", { length: length(bar, units) })}
            </text>
          </g>
        </svg>
      )}
    </div>
  );
}
