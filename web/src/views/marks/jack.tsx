import { useState } from "react";
import type { JackMatch, KeptGame, MatchEnd } from "../../api/types";
import { small, type Units } from "../../lengths";
import { clock, count } from "../../words";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { nextWhy, pointsWhy } from "../../words-marks";
import type { Given } from "./given";
import { Green } from "./jack-ground";
import { Balls, Ends } from "./jack-lists";
import { Seats, seatsOf } from "./jack-seats";
import { colour, empty, formats, type Player, type V } from "./jack-values";
import { KeepGame, notKept } from "./keep-game";
import { NumberRow } from "./length-field";
import { Group, Pick, Switch } from "./prefill";
import { useReckon } from "./use-reckon";
import { useValues } from "./use-values";
import { type Said, Working } from "./working";

const t = textsOf("marks", saidMarks);

/** The score sheet of a whole match, ball by ball: it says who plays and why, and what each end is worth. */
export function JackWorking({ given }: { given: Given }) {
  const { units } = given;
  const [v, change] = useValues<V>({
    format: "pairs",
    nameA: "Blue",
    nameB: "Orange",
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
  const { answer, must, problem } = useReckon<JackMatch>("jack-match", sheetAsk);
  const name = (side: string) => (side === "A" ? v.nameA : v.nameB) || side;
  const pupil = (id: string) => given.chosen?.pupils.find((p) => p.id === id)?.name;
  /** A player by name where that is known. */
  const player = (side: Player, n: number) => pupil(seatsOf(v, side)[n - 1] ?? "") ?? `player ${n}`;
  const seated = (side: Player) => seatsOf(v, side).filter((id) => pupil(id));
  const [picked, setPicked] = useState<Player>();
  const lastEnd = v.ends[v.ends.length - 1] ?? empty;
  const setLast = (end: MatchEnd) => change({ ends: [...v.ends.slice(0, -1), end] });
  const due = answer?.next?.side;
  const plays = picked ?? due;
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
  const number = (key: keyof V & string, label: string, unit = "") => (
    <NumberRow
      label={label}
      unit={unit}
      value={v[key] as number | null}
      must={must(key)}
      onChange={(n) => change({ [key]: n } as Partial<V>)}
    />
  );
  const sheet = answer?.ends[v.ends.length - 1];
  const over = answer && answer.over !== "NOT_YET";
  return (
    <Working
      title={t("jack.nearestTheJack")}
      given={given}
      values={v}
      problem={problem}
      drawing={
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
      }
      said={answer ? told(answer, v, name, player, units) : []}
      aside={
        <>
          <div className="mt-3 flex flex-wrap items-center gap-2 print:hidden">
            {!answer?.endComplete && due && (
              <>
                {(["A", "B"] as const).map((side) => (
                  <button
                    key={side}
                    type="button"
                    className={`btn btn-small ${plays === side ? "btn-main" : ""}`}
                    aria-pressed={plays === side}
                    onClick={() => setPicked(side)}
                  >
                    {t("jack.plays", { name: name(side) })}
                  </button>
                ))}
                <button type="button" className="btn btn-small" onClick={() => add(0, 50)}>
                  {t("jack.placeABall")}
                </button>
              </>
            )}
            {answer?.endComplete && !over && (
              <button type="button" className="btn btn-main" onClick={() => change({ ends: [...v.ends, empty] })}>
                {t("jack.nextEnd")}
              </button>
            )}
            {!answer?.endComplete && lastEnd.balls.length > 0 && (
              <button type="button" className="btn btn-small" onClick={() => setLast({ ...lastEnd, called: true })}>
                {t("jack.endAsItLies")}
              </button>
            )}
            <button
              type="button"
              className="btn btn-small"
              disabled={v.ends.length === 1 && lastEnd.balls.length === 0}
              onClick={undo}
            >
              {t("jack.takeBack")}
            </button>
            <button
              type="button"
              className="btn btn-small"
              disabled={v.ends.length === 1 && lastEnd.balls.length === 0}
              onClick={() => change({ ends: [empty], playedSec: 0, ...notKept })}
            >
              {t("jack.newMatch")}
            </button>
          </div>
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
      }
      controls={
        <>
          <Group title={t("jack.sides")}>
            <Pick
              label={t("jack.format")}
              value={v.format}
              options={[
                { value: "singles", text: t("jack.singles3Balls") },
                { value: "pairs", text: t("jack.pairs2BallsEach") },
                { value: "teams", text: t("jack.teamsOfThree2") },
                { value: "own", text: t("jack.ownNumbers") },
              ]}
              onPick={(format) => {
                const n = formats[format];
                change({ format, ...(n ? { playersA: n[0], playersB: n[0], ballsPerPlayer: n[1] } : {}) });
              }}
            />
            {v.format === "own" && (
              <>
                {number("playersA", "Players of the first side")}
                {number("playersB", "Players of the other")}
                {number("ballsPerPlayer", "Balls each")}
              </>
            )}
            {(["nameA", "nameB"] as const).map((key) => (
              <label key={key} className="flex items-center gap-2">
                <span className="mr-auto">{key === "nameA" ? "First side" : "Other side"}</span>
                <input
                  className="field w-36"
                  maxLength={40}
                  value={v[key]}
                  onChange={(e) => change({ [key]: e.target.value } as Partial<V>)}
                />
              </label>
            ))}
            <Pick
              label={t("jack.tossWonBy")}
              value={v.tossWonBy}
              options={[
                { value: "A", text: name("A") },
                { value: "B", text: name("B") },
              ]}
              onPick={(tossWonBy) => change({ tossWonBy })}
            />
            <Seats given={given} v={v} name={name} change={change} />
            <button
              type="button"
              className="btn btn-small"
              onClick={() => change({ tossWonBy: Math.random() < 0.5 ? "A" : "B" })}
            >
              {t("jack.toss")}
            </button>
          </Group>
          <Group title={t("jack.until")}>
            {number("targetScore", "Target score (empty: none)")}
            {number("maxEnds", "Ends (empty: none)")}
            <NumberRow
              label={t("jack.timeCapEmptyNone")}
              unit={t("jack.min")}
              value={v.timeCapSec === null ? null : v.timeCapSec / 60}
              must={must("timeCapSec")}
              onChange={(m) => change({ timeCapSec: m === null ? null : Math.round(m * 60) })}
            />
            {v.timeCapSec !== null && (
              <NumberRow
                label={t("jack.playedSoFar")}
                unit={t("jack.min")}
                value={(v.playedSec ?? 0) / 60}
                must={must("playedSec")}
                onChange={(m) => change({ playedSec: m === null ? null : Math.round(m * 60) })}
              />
            )}
          </Group>
          <Group title={t("jack.houseRules")}>
            <Pick
              label={t("jack.aTie")}
              value={v.tieRule}
              options={[
                { value: "NONE_SCORES", text: t("jack.nobodyScores") },
                { value: "ONE_EACH", text: t("jack.onePointEach") },
              ]}
              onPick={(tieRule) => change({ tieRule })}
            />
            {number("toleranceCm", "Level within", "cm")}
            <Pick
              label={t("jack.theJack")}
              value={v.jackRule}
              options={[
                { value: "WINNER", text: t("jack.toTheEndsWinner") },
                { value: "IN_TURN", text: t("jack.toTheSidesIn") },
              ]}
              onPick={(jackRule) => change({ jackRule })}
            />
            <Pick
              label={t("jack.players")}
              value={v.playerOrder}
              options={[
                { value: "IN_TURN", text: t("jack.oneBallEachIn") },
                { value: "ALL_OF_ONE_FIRST", text: t("jack.allOfOneThen") },
              ]}
              onPick={(playerOrder) => change({ playerOrder })}
            />
            <Switch
              label={t("jack.footOverTheLine")}
              on={v.footLineKills}
              onChange={(footLineKills) => change({ footLineKills })}
            />
            <Switch
              label={t("jack.landedShortOfThe")}
              on={v.shortLineKills}
              onChange={(shortLineKills) => change({ shortLineKills })}
            />
          </Group>
        </>
      }
      measures={(sheet?.balls ?? []).map((b, i) => ({
        what: `Ball ${i + 1}, ${name(b.side)}, ${player(b.side, b.player)}, from the jack`,
        m: b.distanceCm / 100,
      }))}
      materials={[
        "a jack",
        `${((v.playersA ?? 0) + (v.playersB ?? 0)) * (v.ballsPerPlayer ?? 0)} balls or bean bags in two colours`,
        "tape measure or string",
        "a line to throw from",
      ]}
      cautions={["LOOSE_BALLS", "HARD_TOSS", "STAIRS_AND_DOORS"]}
    />
  );
}

function Score({ v, answer, name }: { v: V; answer: JackMatch | undefined; name: (s: string) => string }) {
  return (
    <div className="mb-2 flex items-end gap-8" data-testid="score">
      {(["A", "B"] as const).map((side) => (
        <p key={side} className="flex items-end gap-3">
          <span className="digits text-[3.6rem]" style={{ color: colour[side] }}>
            {answer?.totals[side] ?? 0}
          </span>
          <span className="pb-1">
            <b>{name(side)}</b>
            <br />
            <span className="text-soft">{answer?.jackSide === side ? "has the jack" : " "}</span>
          </span>
        </p>
      ))}
      <p className="ml-auto pb-1 text-soft">
        {t("jack.end", { length: v.ends.length })}
        {v.targetScore !== null && `, first to ${v.targetScore}`}
        {v.maxEnds !== null && `, ${count(v.maxEnds, "end", "ends")}`}
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
    const by = { TARGET: "the target is reached", TIME: "time is up", ENDS: "all ends are played", NOT_YET: "" }[
      a.over
    ];
    said.push({
      text:
        a.winner === "TIE"
          ? `A draw, ${a.totals.A} to ${a.totals.B}: ${by}.`
          : `${name(a.winner)} win, ${Math.max(a.totals.A, a.totals.B)} to ${Math.min(a.totals.A, a.totals.B)}: ${by}.`,
    });
  } else if (a.endComplete)
    said.push({ text: `The end is complete. ${name(a.jackSide)} have the jack in the next one.` });
  else if (a.next)
    said.push({
      text: `${name(a.next.side)}, ${player(a.next.side, a.next.player)}, ball ${a.next.ballNumber}: ${nextWhy[a.next.why]}.`,
    });
  if (end && end.balls.length > 0) {
    const lead =
      end.nearest === "NONE"
        ? ""
        : end.nearest === "TIE"
          ? `Level within ${small(v.toleranceCm ?? 0, units)}. `
          : `${name(end.nearest)} lie nearest${end.bestA !== null && end.bestB !== null ? `: ${small(Math.min(end.bestA, end.bestB), units)} against ${small(Math.max(end.bestA, end.bestB), units)}` : ""}, worth ${Math.max(end.points.A, end.points.B)}. `;
    said.push({ text: `${lead}${pointsWhy[end.why]}` });
  }
  if (end?.balls.some((b) => b.outOfTurn)) said.push({ kind: "warn", text: t("jack.aBallWasPlayed") });
  return said;
}
