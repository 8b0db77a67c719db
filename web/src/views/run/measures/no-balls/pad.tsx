import { useState } from "react";
import type { Tap } from "../../../../api/types";
import { Choice } from "../../../../ui/choice";
import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import type { Of } from "../measure-view";
import { HitPad } from "../shared/hit-pad";
import type { PadProps } from "../shared/pad";
import { type Innings, innings } from "./fold";

const t = textsOf("run", saidRun);

type NoBall = NonNullable<Extract<Tap, { type: "MISS" }>["noBall"]>;

/** Fair balls, misses and no-balls of whoever bowls now; who relieves, which batter stands in, and what runners may do. */
export function NoBallsPad(p: PadProps<Of<"NO_BALLS">>) {
  const now = innings(p.taps, p.crew[0]?.id);
  const spell = now.spells.get(now.bowler);
  const who = p.crew.find((c) => c.id === now.bowler)?.name ?? p.who;
  return (
    <HitPad {...p} who={who} taps={spell?.balls ?? []}>
      <FairRow taps={spell?.balls ?? []} open={p.open} onTap={p.tap} who={who} />
      <NoBallRow innings={now} open={p.open} onTap={(noBall) => p.tap({ type: "MISS", noBall })} who={who} />
      <WhoPlays {...p} innings={now} />
    </HitPad>
  );
}

/** In the core's order: a fair ball's number is the place of its kind, from 1. */
const fairKinds = ["SAFE", "DROPPING", "RISING", "QUICK", "SPUN"] as const;

/** A fair ball of a kind, one press. */
function FairRow({ taps, open, onTap, who }: { taps: Tap[]; open: boolean; onTap: (tap: Tap) => void; who: string }) {
  return (
    <div className="border-t border-[#3a504d] px-2 py-1.5">
      <p className="text-sm text-mist">{t("noBallsPad.fairOf")}</p>
      <div className="flex flex-wrap gap-1">
        {fairKinds.map((kind, i) => {
          const bowled = taps.filter((tap) => tap.type === "HIT" && tap.number === i + 1).length;
          const name = t(`noBallsPad.fair.${kind}`);
          return (
            <button
              key={kind}
              type="button"
              className="min-h-11 border border-[#566460] px-2 text-sm disabled:opacity-60"
              disabled={!open}
              onClick={() => onTap({ type: "HIT", number: i + 1 })}
              aria-label={t("noBallsPad.fairBall", { who, kind: name, n: bowled })}
            >
              {name} {bowled > 0 && <span className="digits">{bowled}</span>}
            </button>
          );
        })}
      </div>
    </div>
  );
}

const kinds: NoBall[] = ["HIGH", "LOW", "BODY", "WIDE", "BOUNCED", "ARM", "FOOT"];

/** No-balls to the batter beside whom the counter stands. */
function NoBallRow({
  innings: { spells, bowler, oneRuns },
  open,
  onTap,
  who,
}: {
  innings: Innings;
  open: boolean;
  onTap: (why: NoBall) => void;
  who: string;
}) {
  const { noBalls, halfScores } = spells.get(bowler) ?? { noBalls: 0, halfScores: 0 };
  return (
    <div className="border-t border-[#3a504d] px-2 py-1.5">
      <p className="text-sm text-mist">
        {t("noBallsPad.noballs", { all: noBalls, half: halfScores })}
        {oneRuns && <strong className="text-[#e0b84a]"> {t("noBallsPad.oneRunningBowlThe")}</strong>}
      </p>
      <div className="flex flex-wrap gap-1">
        {kinds.map((why) => (
          <button
            key={why}
            type="button"
            className="min-h-11 border border-[#566460] px-2 text-sm disabled:opacity-60"
            disabled={!open}
            onClick={() => onTap(why)}
            aria-label={t("noBallsPad.noBall", { who, kind: t(`noBallsPad.kind.${why}`) })}
          >
            {t(`noBallsPad.kind.${why}`)}
          </button>
        ))}
      </div>
    </div>
  );
}

/** Who bowls, who bats, and whether runners may pass the next post. */
function WhoPlays({ crew, joint, open, tap, innings: now }: PadProps<Of<"NO_BALLS">> & { innings: Innings }) {
  const [inSquare, setInSquare] = useState(false);
  return (
    <div className="flex flex-wrap items-center gap-1 border-t border-[#3a504d] px-2 py-1.5 text-sm">
      {crew.length > 1 && !joint && open && (
        <Choice
          label={t("noBallsPad.bowls")}
          className="min-h-11 border border-[#566460] bg-dusk px-2 text-chalk"
          value={now.bowler}
          options={crew.map((c) => ({ value: c.id, text: t("noBallsPad.nowBowls", { name: c.name }) }))}
          onChange={(pupilId) => tap({ type: "BOWLS", pupilId })}
        />
      )}
      <button
        type="button"
        className="min-h-11 border border-[#566460] px-2 disabled:opacity-60"
        disabled={!open}
        onClick={() => tap({ type: "NEXT_BATTER" })}
      >
        {t("noBallsPad.nextBatter")}
      </button>
      <span className="text-mist">{t("noBallsPad.batter", { n: now.batter })}</span>
      <button
        type="button"
        aria-pressed={inSquare}
        className={`min-h-11 border border-[#566460] px-2 ${inSquare ? "bg-chalk text-night" : ""}`}
        onClick={() => setInSquare(!inSquare)}
      >
        {t("noBallsPad.inSquare")}
      </button>
      <span className="text-mist" role="status">
        {t(inSquare ? "noBallsPad.mayNotPass" : "noBallsPad.mayRun")}
      </span>
    </div>
  );
}
