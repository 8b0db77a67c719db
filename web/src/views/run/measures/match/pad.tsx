import { useState } from "react";
import type { MatchSoFar, Tap } from "../../../../api/types";
import { Choice } from "../../../../ui/choice";
import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { useReckon } from "../../../marks/use-reckon";
import type { Of } from "../measure-view";
import type { PadProps } from "../shared/pad";
import { type Team, teamPoints } from "./fold";
import { Ground } from "./ground";
import { SideGlyph } from "./side-glyph";

const t = textsOf("run", saidRun);

const MOST_BY_EYE = 6;

type Fault = NonNullable<Extract<Tap, { type: "BALL" }>["fault"]>;

/**
 * Nearest the jack, the whole game: toss, who plays and why, balls as they lie and what is wrong with one, a jack that moves, what the end is worth,
 * and when it is over; or, by eye, press what the end was worth. The rules are the core's; an end counts once it is pressed.
 */
export function MatchPad({ taps, open, tap, sides: name, players, measure, workedMs }: PadProps<Of<"MATCH">>) {
  const [fault, setFault] = useState<Fault | "FINE">("FINE");
  const [moving, setMoving] = useState(false);
  const { answer, of } = useReckon(
    "match-so-far",
    {
      rules: measure,
      playersA: Math.max(1, players.A.length),
      playersB: Math.max(1, players.B.length),
      // In steps, so that the same question is not asked anew with every second.
      playedSec: measure.timeCapSec === null ? 0 : 10 * Math.floor(workedMs() / 10_000),
      taps,
    },
    taps.length,
  );
  const sheet = answer?.sheet;
  // Whose ball it is, is known once the core has seen the one before: else a quick second tap would be laid for the wrong side.
  const known = of === taps.length;
  const next = known ? (sheet?.next ?? null) : null;
  const over = sheet && sheet.over !== "NOT_YET" && sheet.winner !== null ? sheet : undefined;
  const lay = (xCm: number, yCm: number) => {
    if (!open || over || !(moving || next)) return;
    if (moving) tap({ type: "JACK_MOVED", xCm, yCm });
    else if (next) tap({ type: "BALL", team: next.side, xCm, yCm, fault: fault === "FINE" ? null : fault });
    setMoving(false);
    setFault("FINE");
  };
  return (
    <div className="flex min-w-0 flex-1 flex-wrap">
      <Ground lying={answer?.lying ?? []} open={open && !over} onLay={lay} />
      <div className="flex min-w-52 flex-1 flex-col gap-2 p-3">
        <Score taps={taps} name={name} />
        <Ends taps={taps} />
        {over ? (
          <p role="status" className="text-lg">
            {t("match.over", { a: over.totals.A, b: over.totals.B })}{" "}
            <strong>
              {over.winner === "A" || over.winner === "B"
                ? t("match.won", { who: name[over.winner] })
                : t("match.tied")}
            </strong>{" "}
            <span className="text-mist">{over.over !== "NOT_YET" && t(`match.because.${over.over}`)}</span>
          </p>
        ) : (
          <>
            {taps.length === 0 && <Toss name={name} players={players} open={open} tap={tap} />}
            <Turn answer={answer} name={name} players={players} />
            <div className="flex flex-wrap items-center gap-2">
              <Choice
                label={t("match.thisBall")}
                className="min-h-11 border border-[#566460] bg-dusk px-2 text-chalk"
                value={fault}
                options={(["FINE", "OUT", "FOOT_OVER", "LANDED_SHORT"] as const).map((value) => ({
                  value,
                  text: t(`match.fault.${value}`),
                }))}
                onChange={setFault}
              />
              <button
                type="button"
                aria-pressed={moving}
                className={`min-h-11 border border-[#566460] px-2 disabled:opacity-60 ${moving ? "bg-chalk text-night" : ""}`}
                disabled={!open || (answer?.lying.length ?? 0) === 0}
                onClick={() => setMoving(!moving)}
              >
                {t("match.moveJack")}
              </button>
              {moving && <span className="text-sm text-mist">{t("match.tapJack")}</span>}
            </div>
            <AsItLies answer={answer} name={name} open={open && known} tap={tap} />
            <ByEye measure={measure} name={name} players={players} open={open} tap={tap} />
          </>
        )}
      </div>
    </div>
  );
}

type Sides = PadProps["sides"];

function Score({ taps, name }: { taps: Tap[]; name: Sides }) {
  return (["A", "B"] as const).map((side) => (
    <p key={side} className="flex items-baseline gap-2" data-testid={`side-${side}`}>
      <SideGlyph side={side} />
      <span className="flex-1 text-lg font-semibold">{name[side]}</span>
      <span className="digits text-5xl">{teamPoints(taps, side)}</span>
    </p>
  ));
}

function Ends({ taps }: { taps: Tap[] }) {
  const ends = taps.filter((x) => x.type === "END_WON");
  if (ends.length === 0) return null;
  const worth = (team: Team) => (e: (typeof ends)[number]) => (e.team === null || e.team === team ? e.points : 0);
  const list = ends.map((e) => `${worth("A")(e)}–${worth("B")(e)}`).join(", ");
  return <p className="text-sm text-mist">{t("match.ends", { list })}</p>;
}

type Part = { name: Sides; open: boolean; tap: (tap: Tap) => void };

function Toss({ name, players, open, tap }: Part & { players: PadProps["players"] }) {
  const captains = [players.A, players.B].filter((side) => side.length > 1).map((side) => side[0]);
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span>{t("match.toss")}</span>
      {(["A", "B"] as const).map((side) => (
        <button
          key={side}
          type="button"
          className="inline-flex min-h-11 items-center gap-2 border border-[#566460] px-2 disabled:opacity-60"
          disabled={!open}
          onClick={() => tap({ type: "TOSS", team: side })}
        >
          <SideGlyph side={side} /> {name[side]}
        </button>
      ))}
      {captains.length > 0 && (
        <span className="basis-full text-sm text-mist">{t("match.captains", { names: captains.join(", ") })}</span>
      )}
    </div>
  );
}

type TurnProps = { answer: MatchSoFar | undefined; name: Sides; players: PadProps["players"] };

function Turn({ answer, name, players }: TurnProps) {
  if (!answer) return null;
  const { sheet, lying } = answer;
  const { next } = sheet;
  return (
    <p className="text-mist" role="status">
      {t("match.end", { n: sheet.ends.length })} {!next && t("match.allLie")}
      {next && lying.length === 0 && t("match.first", { who: name[next.side] })}
      {next &&
        lying.length > 0 &&
        `${t("match.plays", { who: players[next.side][next.player - 1] ?? name[next.side], ball: next.ballNumber })} ${t(`match.why.${next.why}`)}`}
    </p>
  );
}

/** What the balls that lie are worth. */
function AsItLies({ answer, name, open, tap }: Part & { answer: MatchSoFar | undefined }) {
  const points = answer?.sheet.ends.at(-1)?.points;
  if (!answer || !points || answer.lying.length === 0 || points.A === points.B) return null;
  const winner = points.A > points.B ? "A" : "B";
  const worth = points[winner];
  return (
    <button
      type="button"
      className="btn btn-main"
      disabled={!open}
      onClick={() => tap({ type: "END_WON", team: winner, points: worth })}
    >
      {t("match.asItLies", { who: name[winner], points: worth })}
    </button>
  );
}

function ByEye({ measure, name, players, open, tap }: Part & { measure: Of<"MATCH">; players: PadProps["players"] }) {
  const both = measure.tieRule === "ONE_EACH";
  const button = "min-h-11 min-w-11 border border-[#566460] text-lg disabled:opacity-60";
  return (
    <div className="mt-auto space-y-1">
      <p className="text-sm text-mist">{t("match.byEye")}</p>
      {(["A", "B"] as const).map((side) => (
        <p key={side} className="flex flex-wrap items-center gap-1">
          <SideGlyph side={side} />
          {Array.from(
            { length: Math.min(MOST_BY_EYE, measure.ballsPerPlayer * Math.max(1, players[side].length)) },
            (_, i) => i + 1,
          ).map((n) => (
            <button
              key={n}
              type="button"
              className={button}
              disabled={!open}
              onClick={() => tap({ type: "END_WON", team: side, points: n })}
              aria-label={t("match.wonBy", { who: name[side], n })}
            >
              {n}
            </button>
          ))}
        </p>
      ))}
      <button
        type="button"
        className="min-h-11 border border-[#566460] px-2 disabled:opacity-60"
        disabled={!open}
        onClick={() => tap({ type: "END_WON", team: null, points: both ? 1 : 0 })}
      >
        {both ? t("match.levelBoth") : t("match.level")}
      </button>
    </div>
  );
}
