import type { WorkingId } from "../../words-marks";

const lines: Record<WorkingId, [string, string]> = {
  net: ["M4 44H60M58 44V6M10 40Q30 6 58 18", "M52 16H58M52 24H58"],
  aim: ["M32 8a17 17 0 1 0 .1 0M32 17a8 8 0 1 0 .1 0", "M20 36l4 4m0-4l-4 4M24 31l4 4m0-4l-4 4"],
  ceiling: ["M4 6H60M4 44H60M32 44V14", "M24 22l8-8 8 8"],
  "off-the-wall": ["M4 44H60M58 44V6", "M8 32Q34 6 58 20Q36 24 30 44Q24 28 14 34"],
  "in-a-row": ["M4 44H60", "M8 44V14M20 44V18M32 44V25M44 44V33M56 44V40"],
  "step-by-step": ["M4 44H60", "M6 40H16V32H26V24H36V32H46V24H58"],
  room: ["M6 8H58V42H6Z", "M12 14h11v10H12ZM28 14h11v10H28ZM44 14h9v10h-9Z"],
  markers: ["M6 38H58", "M6 30Q14 6 22 26T38 26T54 26"],
  jack: ["M34 20a4 4 0 1 0 .1 0", "M18 30a6 6 0 1 0 .1 0M46 8a6 6 0 1 0 .1 0M44 34a6 6 0 1 0 .1 0"],
  bowling: ["M32 6a5 5 0 1 0 .1 0M32 16V32M32 32L26 44M32 32L38 44", "M14 8V40M50 8V40M14 24H24M50 24H40"],
  stations: [
    "M14 8a6 6 0 1 0 .1 0M50 8a6 6 0 1 0 .1 0M14 32a6 6 0 1 0 .1 0M50 32a6 6 0 1 0 .1 0",
    "M24 14H40M50 22V30M40 38H24M14 30V22",
  ],
};

/** A small drawing of what a working is about. */
export function WorkingIcon({ of }: { of: WorkingId }) {
  return (
    <svg
      width="76"
      height="58"
      viewBox="0 0 64 50"
      fill="none"
      strokeWidth="2.600"
      strokeLinecap="round"
      aria-hidden
      className="flex-none"
    >
      <path d={lines[of][0]} stroke="var(--color-ink)" />
      <path d={lines[of][1]} stroke="var(--color-target)" />
    </svg>
  );
}
