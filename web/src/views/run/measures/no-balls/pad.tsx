import type { Tap } from "../../../../api/types";
import { texts } from "../../../../words/texts";
import type { Of } from "../measure-view";
import { HitPad } from "../shared/hit-pad";
import type { PadProps } from "../shared/pad";
import { noBalls } from "./fold";

const t = texts("run");

type NoBall = NonNullable<Extract<Tap, { type: "MISS" }>["noBall"]>;

/** Fair balls and misses, and the no-balls of whoever bowls. */
export function NoBallsPad(p: PadProps<Of<"NO_BALLS">>) {
  return (
    <HitPad {...p}>
      <NoBallRow taps={p.taps} open={p.open} onTap={(noBall) => p.tap({ type: "MISS", noBall })} who={p.who} />
    </HitPad>
  );
}

const kinds: [why: NoBall, word: string][] = [
  ["HIGH", "high"],
  ["LOW", "low"],
  ["BODY", "body"],
  ["WIDE", "wide"],
  ["BOUNCED", "bounced"],
  ["ARM", "arm"],
  ["FOOT", "foot"],
];

/** No-balls to the batter beside whom the counter stands. */
function NoBallRow({
  taps,
  open,
  onTap,
  who,
}: {
  taps: Tap[];
  open: boolean;
  onTap: (why: NoBall) => void;
  who: string;
}) {
  const ledger = noBalls(taps);
  return (
    <div className="border-t border-[#3a504d] px-2 py-1.5">
      <p className="text-sm text-mist">
        {t("noBallsPad.noballs", { all: ledger.all })}
        {ledger.halfScores > 0 && `, half scores given ${ledger.halfScores}`}
        {ledger.oneRuns && <strong className="text-[#e0b84a]"> {t("noBallsPad.oneRunningBowlThe")}</strong>}
      </p>
      <div className="flex flex-wrap gap-1">
        {kinds.map(([why, word]) => (
          <button
            key={why}
            type="button"
            className="min-h-11 border border-[#566460] px-2 text-sm disabled:opacity-60"
            disabled={!open}
            onClick={() => onTap(why)}
            aria-label={`${who}: no-ball, ${word}`}
          >
            {word}
          </button>
        ))}
      </div>
    </div>
  );
}
