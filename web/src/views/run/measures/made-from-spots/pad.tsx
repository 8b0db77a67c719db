import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { MISS, type Of } from "../measure-view";
import { hitsIn, missesIn } from "../shared/hits";
import { MainField, MissStrip, type PadProps } from "../shared/pad";
import { nextSpot } from "./fold";

const say = textsOf("run", saidRun);

/** Made from each spot, in its order: the spot that is due is marked, a tap goes on to the next. Where any may come next each is pressed itself. */
export function SpotsPad({ who, taps, measure, open, best, tap }: PadProps<Of<"MADE_FROM_SPOTS">>) {
  const { spots } = measure;
  const due = nextSpot(taps, measure);
  const made = (spot: number) => taps.filter((t) => t.type === "HIT" && t.number === spot).length;
  return (
    <>
      <MissStrip who={who} misses={missesIn(taps)} open={open} onTap={() => tap(MISS)} />
      {due === null ? (
        <AnySpot who={who} spots={spots} open={open} hits={hitsIn(taps)} made={made} tap={tap} />
      ) : (
        <MainField
          who={who}
          label={say("pad.madeFromSpotSoFar", { due, hitsIn: hitsIn(taps) })}
          open={open}
          onTap={() => tap({ type: "HIT", number: due })}
        >
          <span className="digits mt-1 text-5xl" data-testid="hits">
            {hitsIn(taps)}
            {best && (
              <span className="text-xl text-mist"> {say("madeFromSpotsPad.toBeat", { score: best.best.score })}</span>
            )}
          </span>
          <svg viewBox="-110 -14 220 124" className="mt-auto h-24 w-full" aria-hidden>
            <circle r="10" fill="none" stroke="#f08cc6" strokeWidth="4" />
            {Array.from({ length: spots }, (_, i) => i + 1).map((spot) => {
              const turn = Math.PI * (0.06 + (0.88 * (spot - 1)) / Math.max(1, spots - 1));
              const on = spot === due;
              return (
                <g key={spot} transform={`translate(${-90 * Math.cos(turn)} ${84 * Math.sin(turn)})`}>
                  <circle
                    r="17"
                    fill={on ? "#f7f3e9" : "#12201f"}
                    stroke={on ? "#e0b84a" : "#b9c7c3"}
                    strokeWidth="3"
                  />
                  <text
                    textAnchor="middle"
                    dominantBaseline="central"
                    fontSize="18"
                    fontWeight="700"
                    fill={on ? "#12201f" : "#f7f3e9"}
                  >
                    {made(spot)}
                  </text>
                </g>
              );
            })}
          </svg>
        </MainField>
      )}
    </>
  );
}

/** From wherever they like: a button for each spot. */
function AnySpot({
  who,
  spots,
  open,
  hits,
  made,
  tap,
}: Pick<PadProps, "who" | "open" | "tap"> & { spots: number; hits: number; made: (spot: number) => number }) {
  return (
    <div className="flex min-w-0 flex-1 flex-col gap-1 p-3">
      <span className="text-lg font-semibold">{who}</span>
      <span className="digits mt-1 text-5xl" data-testid="hits">
        {hits}
      </span>
      <div className="mt-auto grid grid-cols-4 gap-1">
        {Array.from({ length: spots }, (_, i) => i + 1).map((spot) => (
          <button
            key={spot}
            type="button"
            className="min-h-11 border border-[#566460] text-xl disabled:opacity-60"
            disabled={!open}
            onClick={() => tap({ type: "HIT", number: spot })}
            aria-label={say("madeFromSpotsPad.from", { who, spot, made: made(spot) })}
          >
            {spot} <span className="text-sm text-mist">{made(spot)}</span>
          </button>
        ))}
      </div>
    </div>
  );
}
