import type { ReactNode } from "react";
import type { Challenge, Measure, Rung, Stairs, Tap } from "../../../../api/types";
import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import type { ScriptBlock } from "../../script";

const t = textsOf("run", saidRun);

/** What every pad is given: whose it is, what was tapped, and a way to tap. */
export type PadProps<M = Measure> = {
  who: string;
  /** who counts beside the adult */
  note: string;
  taps: Tap[];
  measure: M;
  /** where the dose steps it back */
  stairs: Stairs | null;
  /** the rung in words */
  told: Rung;
  block: ScriptBlock;
  /** where the spot is in its row, from 0: draws begin elsewhere for each */
  spot: number;
  open: boolean;
  running: boolean;
  workedMs: () => number;
  best: Challenge["sides"][number] | undefined;
  tap: (tap: Tap) => void;
  /** everybody of the spot who is here, whoever works first */
  crew: { id: string; name: string }[];
  /** whether several work together and share the result */
  joint: boolean;
  /** who plays on each side, where there are sides */
  sides: { A: string; B: string };
  /** each of them by name, captain first */
  players: { A: string[]; B: string[] };
};

/** The frame of a pad: name, key, body, and what takes its last tap back. */
export function PadFrame({
  who,
  note,
  keyName,
  canTakeBack,
  onTakeBack,
  children,
}: {
  who: string;
  note: string;
  keyName: string;
  canTakeBack: boolean;
  onTakeBack: () => void;
  children: ReactNode;
}) {
  return (
    <li className="flex min-h-40 flex-col border-2 border-[#3a504d] bg-dusk">
      <div className="flex min-h-0 flex-1">{children}</div>
      <div className="flex items-center gap-3 border-t border-[#3a504d] px-3 py-0.5 text-sm text-mist">
        <span className="min-w-0 flex-1 truncate">{note}</span>
        <button
          type="button"
          className="px-2 py-1.5 underline disabled:opacity-40"
          disabled={!canTakeBack}
          onClick={onTakeBack}
          aria-label={t("pad.takeBackTheLastTap", { who })}
        >
          {t("sharedPad.takeBack")}
        </button>
        <kbd aria-hidden>{keyName}</kbd>
      </div>
    </li>
  );
}

/** The strip on the left: a miss, wherever one is counted. */
export function MissStrip({
  who,
  misses,
  open,
  onTap,
  word = "missed",
}: {
  who: string;
  misses: number;
  open: boolean;
  onTap: () => void;
  word?: string;
}) {
  return (
    <button
      type="button"
      className="w-[24%] border-r-2 border-[#3a504d] bg-night text-[#ffb3a5] disabled:opacity-60"
      disabled={!open}
      onClick={onTap}
      aria-label={t("pad.soFar", { who, more: word === "missed" ? "miss" : word, misses })}
    >
      <span className="digits block text-4xl">{misses}</span>
      {word}
    </button>
  );
}

/** The large field: the tap that counts. */
export function MainField({
  who,
  label,
  open,
  onTap,
  children,
}: {
  who: string;
  label: string;
  open: boolean;
  onTap: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      className="flex min-w-0 flex-1 flex-col items-start p-3 text-left disabled:opacity-60"
      disabled={!open}
      onClick={onTap}
      aria-label={`${who}: ${label}`}
    >
      <span className="text-lg font-semibold">{who}</span>
      {children}
    </button>
  );
}
