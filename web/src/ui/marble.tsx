import type { Block, Family } from "../api/types";
import { blockKind, family as familyWord } from "../words";

export const familyColour: Record<Family, string> = {
  THROW: "var(--throw)",
  CATCH: "var(--catch)",
  HANDLE: "var(--handle)",
  TARGET: "var(--target)",
  MOVE: "var(--move)",
};

const glyphs: Record<Family, React.ReactNode> = {
  THROW: (
    <>
      <path d="M3 19C5 8 12 5 18 10" />
      <circle cx="19.500" cy="11.500" r="2" fill="currentColor" />
    </>
  ),
  CATCH: (
    <>
      <path d="M4 11c0 5 3.500 8 8 8s8-3 8-8" />
      <circle cx="12" cy="8" r="2" fill="currentColor" />
    </>
  ),
  HANDLE: <path d="M3 5l5 14 4-9 4 9 5-14" />,
  TARGET: (
    <>
      <circle cx="12" cy="12" r="9" />
      <circle cx="12" cy="12" r="3" fill="currentColor" />
    </>
  ),
  MOVE: <path d="M4 4l8 8-8 8M12 4l8 8-8 8" />,
};

/** The family's own sign, drawn in its line colour; never colour alone. */
export function FamilyGlyph({ family, size = 22 }: { family: Family; size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth="2.600"
      strokeLinecap="round"
      strokeLinejoin="round"
      style={{ color: familyColour[family], flex: "none" }}
      role="img"
      aria-label={familyWord[family]}
    >
      {glyphs[family]}
    </svg>
  );
}

/** Time that is no task: a cloud of marks, a speech mark, a drop. */
export function TimeGlyph({ kind, size = 22 }: { kind: Block["kind"]; size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth="2.400"
      strokeLinecap="round"
      strokeLinejoin="round"
      className="flex-none text-soft"
      role="img"
      aria-label={blockKind[kind]}
    >
      {kind === "WATER" ? (
        <path d="M12 3c4 5 6 8 6 11a6 6 0 0 1-12 0c0-3 2-6 6-11z" />
      ) : kind === "TALK" ? (
        <path d="M4 5h16v11h-9l-5 4v-4H4z" />
      ) : (
        <path d="M4 15c3-9 6 3 9-4s4-5 7-3M5 20h.01M12 19h.01M19 18h.01" />
      )}
    </svg>
  );
}
