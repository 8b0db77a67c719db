import { metres } from "../../../words";
import { noBalls, runs, type Tap, walked } from "../scored";
import { hitsIn, MainField, MissStrip, missesIn, type PadProps } from "./pad";

/** Hits and misses: counted, as the longest run, or as the place that they lead to. */
export function HitPad(p: PadProps) {
  const { who, taps, rung, block, open, tap } = p;
  const hits = hitsIn(taps);
  const done = block.reps !== null && hits >= block.reps && rung.measure !== "LONGEST_RUN";
  return (
    <>
      <MissStrip who={who} misses={missesIn(taps)} open={open} onTap={() => tap("MISS")} />
      <div className="flex min-w-0 flex-1 flex-col">
        <MainField who={who} label={said(p, hits)} open={open} onTap={() => tap("HIT")}>
          {rung.stairs ? <Place {...p} /> : <Count {...p} hits={hits} />}
          {done && <span className="mt-auto text-sm text-mist">Done. Harder: {p.told.harder}</span>}
        </MainField>
        {rung.scoring.noBalls && (
          <NoBallRow taps={taps} open={open} onTap={(note) => tap("MISS", { note })} who={who} />
        )}
      </div>
    </>
  );
}

function said({ taps, rung, block }: PadProps, hits: number): string {
  if (rung.stairs) return `hit, stand at place ${walked(taps, rung.stairs).step}`;
  if (rung.measure === "LONGEST_RUN") return `hit, ${runs(taps).now} in a row now, ${runs(taps).longest} at most`;
  return `hit, ${hits}${block.reps ? ` of ${block.reps}` : ""} so far`;
}

/** Push: what counts is how many. Control: what counts is how many in a row. */
function Count({ taps, rung, block, hits, told }: PadProps & { hits: number }) {
  const run = runs(taps);
  const longest = rung.measure === "LONGEST_RUN" || (block.attitude === "CONTROL" && rung.measure === "COUNT_IN_TIME");
  if (longest)
    return (
      <>
        <span className="digits mt-1 text-6xl" data-testid="hits">
          {run.now}
          <span className="text-2xl text-mist"> in a row</span>
        </span>
        <span className="mt-1 text-mist">
          longest {run.longest}
          {rung.measure !== "LONGEST_RUN" && ` · ${hits} ${told.unit} in all`}
        </span>
      </>
    );
  return (
    <span className="digits mt-1 text-6xl" data-testid="hits">
      {hits}
      {block.reps ? <span className="text-3xl text-mist"> of {block.reps}</span> : null}
    </span>
  );
}

/** Where to stand next: the step, how far that is, and what is still wanted here. */
function Place({ taps, told, rung }: PadProps) {
  if (!rung.stairs) return null;
  const w = walked(taps, rung.stairs);
  return (
    <>
      <span className="mt-1 flex items-baseline gap-3">
        <span className="digits text-6xl" data-testid="place">
          {w.step}
        </span>
        <span className="leading-tight">
          stand here
          <span className="block text-mist">
            {told.unit === "shoe lengths" ? `${w.step} shoe lengths` : `${metres(w.step * rung.stairs.stepM)} back`}
          </span>
        </span>
      </span>
      <span className="mt-1 text-mist">
        {w.wanted === 1 ? "one hit" : `${w.wanted} hits`} to step back · held {w.held}
        {rung.measure !== "FURTHEST" && ` · ${hitsIn(taps)} hits`}
      </span>
    </>
  );
}

const kinds: [note: string, word: string][] = [
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
  onTap: (note: string) => void;
  who: string;
}) {
  const ledger = noBalls(taps);
  return (
    <div className="border-t border-[#3a504d] px-2 py-1.5">
      <p className="text-sm text-mist">
        No-balls {ledger.all}
        {ledger.halfScores > 0 && `, half scores given ${ledger.halfScores}`}
        {ledger.oneRuns && <strong className="text-[#e0b84a]"> · one running: bowl the safe one</strong>}
      </p>
      <div className="flex flex-wrap gap-1">
        {kinds.map(([note, word]) => (
          <button
            key={note}
            type="button"
            className="min-h-10 border border-[#566460] px-2 text-sm disabled:opacity-60"
            disabled={!open}
            onClick={() => onTap(note)}
            aria-label={`${who}: no-ball, ${word}`}
          >
            {word}
          </button>
        ))}
      </div>
    </div>
  );
}
