export const sideColour = { A: "#9db2ff", B: "#e0b84a" };

/** Sides differ in shape as well as in colour. */
export function SideGlyph({ side }: { side: "A" | "B" }) {
  return (
    <svg viewBox="-10 -10 20 20" className="size-5 shrink-0" aria-hidden>
      {side === "A" ? (
        <circle r="8" fill={sideColour.A} />
      ) : (
        <rect x="-8" y="-8" width="16" height="16" fill={sideColour.B} />
      )}
    </svg>
  );
}
