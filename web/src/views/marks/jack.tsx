import { useState } from "react";
import type { JackMatch, KeptGame, MatchEnd } from "../../api/types";
import { small, type Units } from "../../lengths";
import { clock } from "../../words";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { nextWhy, pointsWhy } from "../../words-marks";
import type { Given } from "./given";
import { JackControls } from "./jack-controls";
import { Green } from "./jack-ground";
import { Balls, Ends } from "./jack-lists";
import { seatsOf } from "./jack-seats";
import { colour, empty, type Player, type V } from "./jack-values";
import { KeepGame, notKept } from "./keep-game";
import { useReckon } from "./use-reckon";
import { useValues } from "./use-values";
import { type Said, Working } from "./working";

const t = textsOf("marks", saidMarks);

/** Its values, and what the core says of them. */
function useJack(given: Given) {
  const { units } = given;
  const [v, change] = useValues<V>({
    format: "pairs",
    nameA: t("jack.blue"),
    nameB: t("jack.orange"),
    playersA: 2,
    playersB: 2,
    ballsPerPlayer: 2,
    tossWonBy: "A",
    jackRule: "WINNER",
    playerOrder: "IN_TURN",
    tieRule: "NONE_SCORES",
    toleranceCm: 1,
    footLineKills: true,
    shortLineKills: false,
    targetScore: 7,
    maxEnds: null,
    timeCapSec: null,
    playedSec: 0,
    ends: [empty],
    seatsA: [],
    seatsB: [],
    ...notKept,
  });
  const sheetAsk = {
    playersA: v.playersA,
    playersB: v.playersB,
    ballsPerPlayer: v.ballsPerPlayer,
    tossWonBy: v.tossWonBy,
    jackRule: v.jackRule,
    playerOrder: v.playerOrder,
    tieRule: v.tieRule,
    toleranceCm: v.toleranceCm,
    footLineKills: v.footLineKills,
    shortLineKills: v.shortLineKills,
    targetScore: v.targetScore,
    maxEnds: v.maxEnds,
    timeCapSec: v.timeCapSec,
    playedSec: v.playedSec,
    ends: v.ends,
  };
  const { answer, must, problem, of } = useReckon("jack-match", sheetAsk, v);
  const name = (side: string) => (side === "A" ? v.nameA : v.nameB) || side;
  const pupil = (id: string) => given.chosen?.pupils.find((p) => p.id === id)?.name;
  /** A player by name where that is known. */
  const player = (side: Player, n: number) => pupil(seatsOf(v, side)[n - 1] ?? "") ?? t("jack.player", { n });
  const seated = (side: Player) => seatsOf(v, side).filter((id) => pupil(id));
  const [picked, setPicked] = useState<Player>();
  const lastEnd = v.ends[v.ends.length - 1] ?? empty;
  const setLast = (end: MatchEnd) => change({ ends: [...v.ends.slice(0, -1), end] });
  const plays = picked ?? answer?.next?.side;
  const add = (xCm: number, yCm: number) => {
    if (!plays || answer?.endComplete) return;
    setLast({
      ...lastEnd,
      balls: [
        ...lastEnd.balls,
        { side: plays, distanceCm: null, xCm, yCm, out: false, footOver: false, landedShort: false },
      ],
    });
    setPicked(undefined);
  };
  const undo = () => {
    if (lastEnd.called) setLast({ ...lastEnd, called: false });
    else if (lastEnd.balls.length > 0) setLast({ ...lastEnd, balls: lastEnd.balls.slice(0, -1) });
    else if (v.ends.length > 1) change({ ends: v.ends.slice(0, -1) });
  };
  const sheet = answer?.ends[v.ends.length - 1];
  return {
    given,
    units,
    v,
    change,
    sheetAsk,
    answer,
    of,
    must,
    problem,
    name,
    player,
    seated,
    setPicked,
    lastEnd,
    setLast,
    plays,
    add,
    undo,
    sheet,
  };
}

/** All of them, where that can be said. */
const balls = ({ playersA, playersB, ballsPerPlayer }: V) =>
  playersA === null || playersB === null || ballsPerPlayer === null ? "the" : (playersA + playersB) * ballsPerPlayer;

type Parts = ReturnType<typeof useJack>;

/** The score sheet of a whole match, ball by ball: it says who plays and why, and what each end is worth. */
export function JackWorking({ given }: { given: Given }) {
  const parts = useJack(given);
  const { units, v, change, answer, of, must, problem, name, player, sheet } = parts;
  return (
    <Working
      title={t("jack.nearestTheJack")}
      given={given}
      values={v}
      problem={problem}
      drawing={<Shown {...parts} />}
      said={answer ? told(answer, of, name, player, units) : []}
      aside={<Aside {...parts} />}
      controls={<JackControls given={given} v={v} change={change} must={must} name={name} />}
      measures={(sheet?.balls ?? []).map((b, i) => ({
        what: t("jack.ballFromTheJack", { n: i + 1, side: name(b.side), player: player(b.side, b.player) }),
        m: b.distanceCm / 100,
      }))}
      materials={[
        "a jack",
        t("jack.ballsOrBeanBagsIn", { balls: balls(v) }),
        t("jack.tapeMeasureOrString"),
        t("jack.aLineToThrowFrom"),
      ]}
      cautions={["LOOSE_BALLS", "HARD_TOSS", "STAIRS_AND_DOORS"]}
    />
  );
}

function Shown({ units, v, answer, name, lastEnd, setLast, add, sheet }: Parts) {
  return (
    <>
      <Score v={v} answer={answer} name={name} />
      <Green
        end={lastEnd}
        sheet={sheet}
        units={units}
        onAdd={add}
        onMove={(i, xCm, yCm) =>
          setLast({
            ...lastEnd,
            balls: lastEnd.balls.map((b, k) => (k === i ? { ...b, xCm, yCm, distanceCm: null } : b)),
          })
        }
        name={name}
      />
    </>
  );
}

function Aside({
  given,
  units,
  v,
  change,
  sheetAsk,
  answer,
  must,
  name,
  player,
  seated,
  setPicked,
  lastEnd,
  setLast,
  plays,
  add,
  undo,
  sheet,
}: Parts) {
  return (
    <>
      <Presses
        answer={answer}
        plays={plays}
        name={name}
        begun={v.ends.length > 1 || lastEnd.balls.length > 0}
        lies={lastEnd.balls.length > 0}
        onPick={setPicked}
        onPlace={() => add(0, 50)}
        onNextEnd={() => change({ ends: [...v.ends, empty] })}
        onEndAsItLies={() => setLast({ ...lastEnd, called: true })}
        onTakeBack={undo}
        onNew={() => change({ ends: [empty], playedSec: 0, ...notKept })}
      />
      {sheet && sheet.balls.length > 0 && (
        <Balls
          end={lastEnd}
          sheet={sheet}
          units={units}
          name={name}
          player={player}
          onChange={setLast}
          must={(i) => must(`ends[${v.ends.length - 1}].balls[${i}].distanceCm`)}
        />
      )}
      {answer && <Ends answer={answer} name={name} />}
      <KeepGame
        given={given}
        measure="MATCH"
        prefer={(m) => m.type === "MATCH" && m.targetScore === v.targetScore}
        players={seated("A").length + seated("B").length}
        left={[]}
        ready={!!answer?.ends.some((e) => e.complete)}
        kept={v}
        far={v.ends.reduce((n, e) => n + e.balls.length + 1, 0)}
        game={(kept) => ({
          type: "JACK",
          ...kept,
          sheet: sheetAsk as Extract<KeptGame, { type: "JACK" }>["sheet"],
          sideA: seated("A"),
          sideB: seated("B"),
        })}
        onKept={change}
      />
    </>
  );
}

/** Who plays next, the next end, and back. */
function Presses({
  answer,
  plays,
  name,
  begun,
  lies,
  onPick,
  onPlace,
  onNextEnd,
  onEndAsItLies,
  onTakeBack,
  onNew,
}: {
  answer: JackMatch | undefined;
  plays: Player | undefined;
  name: (side: string) => string;
  /** whether anything was played */
  begun: boolean;
  /** whether a ball of this end lies */
  lies: boolean;
  onPick: (side: Player) => void;
  onPlace: () => void;
  onNextEnd: () => void;
  onEndAsItLies: () => void;
  onTakeBack: () => void;
  onNew: () => void;
}) {
  return (
    <div className="mt-3 flex flex-wrap items-center gap-2 print:hidden">
      {!answer?.endComplete && answer?.next && (
        <>
          {(["A", "B"] as const).map((side) => (
            <button
              key={side}
              type="button"
              className={`btn btn-small ${plays === side ? "btn-main" : ""}`}
              aria-pressed={plays === side}
              onClick={() => onPick(side)}
            >
              {t("jack.plays", { name: name(side) })}
            </button>
          ))}
          <button type="button" className="btn btn-small" onClick={onPlace}>
            {t("jack.placeABall")}
          </button>
        </>
      )}
      {answer?.endComplete && answer.over === "NOT_YET" && (
        <button type="button" className="btn btn-main" onClick={onNextEnd}>
          {t("jack.nextEnd")}
        </button>
      )}
      {!answer?.endComplete && lies && (
        <button type="button" className="btn btn-small" onClick={onEndAsItLies}>
          {t("jack.endAsItLies")}
        </button>
      )}
      <button type="button" className="btn btn-small" disabled={!begun} onClick={onTakeBack}>
        {t("jack.takeBack")}
      </button>
      <button type="button" className="btn btn-small" disabled={!begun} onClick={onNew}>
        {t("jack.newMatch")}
      </button>
    </div>
  );
}

function Score({ v, answer, name }: { v: V; answer: JackMatch | undefined; name: (s: string) => string }) {
  return (
    <div className="mb-2 flex items-end gap-8" data-testid="score">
      {(["A", "B"] as const).map((side) => (
        <p key={side} className="flex items-end gap-3">
          <span className="digits text-[3.6rem]" style={{ color: colour[side] }}>
            {answer?.totals[side] ?? "…"}
          </span>
          <span className="pb-1">
            <b>{name(side)}</b>
            <br />
            <span className="text-soft">{answer?.jackSide === side ? t("jack.hasTheJack") : " "}</span>
          </span>
        </p>
      ))}
      <p className="ml-auto pb-1 text-soft">
        {t("jack.end", { length: v.ends.length })}
        {v.targetScore !== null && t("jack.firstTo", { targetScore: v.targetScore })}
        {v.maxEnds !== null && `, ${t("jack.text", { count: v.maxEnds })}`}
        {v.timeCapSec !== null && `, ${clock(v.timeCapSec)}`}
      </p>
    </div>
  );
}

function told(
  a: JackMatch,
  v: V,
  name: (s: string) => string,
  player: (side: Player, n: number) => string,
  units: Units,
): Said[] {
  const said: Said[] = [];
  const end = a.ends[a.ends.length - 1];
  if (a.winner) {
    const by = {
      TARGET: t("jack.theTargetIsReached"),
      TIME: t("jack.timeIsUp"),
      ENDS: t("jack.allEndsArePlayed"),
      NOT_YET: "",
    }[a.over];
    said.push({
      text:
        a.winner === "TIE"
          ? t("jack.aDrawTo", { A: a.totals.A, B: a.totals.B, by })
          : t("jack.winTo", {
              winner: name(a.winner),
              A: Math.max(a.totals.A, a.totals.B),
              A2: Math.min(a.totals.A, a.totals.B),
              by,
            }),
    });
  } else if (a.endComplete) said.push({ text: t("jack.theEndIsCompleteHave", { jackSide: name(a.jackSide) }) });
  else if (a.next)
    said.push({
      text: t("jack.ball", {
        side: name(a.next.side),
        player: player(a.next.side, a.next.player),
        ballNumber: a.next.ballNumber,
        nextWhy: nextWhy[a.next.why],
      }),
    });
  if (end && end.balls.length > 0) {
    const lead =
      end.nearest === "NONE"
        ? ""
        : end.nearest === "TIE"
          ? t("jack.levelWithin2", { toleranceCm: small(v.toleranceCm ?? 0, units) })
          : t("jack.lieNearestWorth", {
              nearest: name(end.nearest),
              more:
                end.bestA !== null && end.bestB !== null
                  ? t("jack.against", {
                      bestA: small(Math.min(end.bestA, end.bestB), units),
                      bestA2: small(Math.max(end.bestA, end.bestB), units),
                    })
                  : "",
              A: Math.max(end.points.A, end.points.B),
            });
    said.push({ text: `${lead}${pointsWhy[end.why]}` });
  }
  if (end?.balls.some((b) => b.outOfTurn)) said.push({ kind: "warn", text: t("jack.aBallWasPlayed") });
  return said;
}
