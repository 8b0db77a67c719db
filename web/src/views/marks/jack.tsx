import { useState } from "react";
import type { JackMatch, MatchEnd } from "../../api/types";
import { Handle } from "../../drawing/handle";
import { LabelAt } from "../../drawing/pieces";
import { Stage, useScale } from "../../drawing/stage";
import { small, type Units } from "../../lengths";
import { clock, count } from "../../words";
import { nextWhy, pointsWhy } from "../../words-marks";
import type { Given } from "./given";
import { NumberRow } from "./length-field";
import { Group, Pick, Switch } from "./prefill";
import { useReckon } from "./use-reckon";
import { useValues } from "./use-values";
import { type Said, Working } from "./working";

type Player = "A" | "B";
type V = {
  format: string;
  nameA: string;
  nameB: string;
  playersA: number | null;
  playersB: number | null;
  ballsPerPlayer: number | null;
  tossWonBy: string;
  jackRule: string;
  playerOrder: string;
  tieRule: string;
  toleranceCm: number | null;
  footLineKills: boolean;
  shortLineKills: boolean;
  targetScore: number | null;
  maxEnds: number | null;
  timeCapSec: number | null;
  playedSec: number | null;
  ends: MatchEnd[];
};

const colour: Record<Player, string> = { A: "var(--throw)", B: "var(--handle)" };
/** Players a side and balls each, by format. */
const formats: Record<string, [number, number]> = { singles: [1, 3], pairs: [2, 2], teams: [3, 2] };
const empty: MatchEnd = { balls: [], called: false };

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
  });
  const { answer, must, problem } = useReckon<JackMatch>("jack-match", {
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
  });
  const name = (side: string) => (side === "A" ? v.nameA : v.nameB) || side;
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
      title="Nearest the jack"
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
      said={answer ? told(answer, v, name, units) : []}
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
                    {name(side)} plays
                  </button>
                ))}
                <button type="button" className="btn btn-small" onClick={() => add(0, 50)}>
                  Place a ball
                </button>
              </>
            )}
            {answer?.endComplete && !over && (
              <button type="button" className="btn btn-main" onClick={() => change({ ends: [...v.ends, empty] })}>
                Next end
              </button>
            )}
            {!answer?.endComplete && lastEnd.balls.length > 0 && (
              <button type="button" className="btn btn-small" onClick={() => setLast({ ...lastEnd, called: true })}>
                End as it lies
              </button>
            )}
            <button
              type="button"
              className="btn btn-small"
              disabled={v.ends.length === 1 && lastEnd.balls.length === 0}
              onClick={undo}
            >
              Take back
            </button>
            <button
              type="button"
              className="btn btn-small"
              disabled={v.ends.length === 1 && lastEnd.balls.length === 0}
              onClick={() => change({ ends: [empty], playedSec: 0 })}
            >
              New match
            </button>
          </div>
          {sheet && sheet.balls.length > 0 && (
            <Balls
              end={lastEnd}
              sheet={sheet}
              units={units}
              name={name}
              onChange={setLast}
              must={(i) => must(`ends[${v.ends.length - 1}].balls[${i}].distanceCm`)}
            />
          )}
          {answer && <Ends answer={answer} name={name} />}
        </>
      }
      controls={
        <>
          <Group title="Sides">
            <Pick
              label="Format"
              value={v.format}
              options={[
                { value: "singles", text: "Singles, 3 balls" },
                { value: "pairs", text: "Pairs, 2 balls each" },
                { value: "teams", text: "Teams of three, 2 each" },
                { value: "own", text: "Own numbers" },
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
              label="Toss won by"
              value={v.tossWonBy}
              options={[
                { value: "A", text: name("A") },
                { value: "B", text: name("B") },
              ]}
              onPick={(tossWonBy) => change({ tossWonBy })}
            />
            <button
              type="button"
              className="btn btn-small"
              onClick={() => change({ tossWonBy: Math.random() < 0.5 ? "A" : "B" })}
            >
              Toss
            </button>
          </Group>
          <Group title="Until">
            {number("targetScore", "Target score (empty: none)")}
            {number("maxEnds", "Ends (empty: none)")}
            <NumberRow
              label="Time cap (empty: none)"
              unit="min"
              value={v.timeCapSec === null ? null : v.timeCapSec / 60}
              must={must("timeCapSec")}
              onChange={(m) => change({ timeCapSec: m === null ? null : Math.round(m * 60) })}
            />
            {v.timeCapSec !== null && (
              <NumberRow
                label="Played so far"
                unit="min"
                value={(v.playedSec ?? 0) / 60}
                must={must("playedSec")}
                onChange={(m) => change({ playedSec: m === null ? null : Math.round(m * 60) })}
              />
            )}
          </Group>
          <Group title="House rules">
            <Pick
              label="A tie"
              value={v.tieRule}
              options={[
                { value: "NONE_SCORES", text: "nobody scores" },
                { value: "ONE_EACH", text: "one point each" },
              ]}
              onPick={(tieRule) => change({ tieRule })}
            />
            {number("toleranceCm", "Level within", "cm")}
            <Pick
              label="The jack"
              value={v.jackRule}
              options={[
                { value: "WINNER", text: "to the end's winner" },
                { value: "IN_TURN", text: "to the sides in turn" },
              ]}
              onPick={(jackRule) => change({ jackRule })}
            />
            <Pick
              label="Players"
              value={v.playerOrder}
              options={[
                { value: "IN_TURN", text: "one ball each in turn" },
                { value: "ALL_OF_ONE_FIRST", text: "all of one, then the next" },
              ]}
              onPick={(playerOrder) => change({ playerOrder })}
            />
            <Switch
              label="Foot over the line: ball dead"
              on={v.footLineKills}
              onChange={(footLineKills) => change({ footLineKills })}
            />
            <Switch
              label="Landed short of the line: dead"
              on={v.shortLineKills}
              onChange={(shortLineKills) => change({ shortLineKills })}
            />
          </Group>
        </>
      }
      measures={(sheet?.balls ?? []).map((b, i) => ({
        what: `Ball ${i + 1}, ${name(b.side)} ${b.player}, from the jack`,
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
        End {v.ends.length}
        {v.targetScore !== null && `, first to ${v.targetScore}`}
        {v.maxEnds !== null && `, ${count(v.maxEnds, "end", "ends")}`}
        {v.timeCapSec !== null && `, ${clock(v.timeCapSec)}`}
      </p>
    </div>
  );
}

/** The ground round the jack: tap where a ball lies, or drag it. */
function Green({
  end,
  sheet,
  units,
  onAdd,
  onMove,
  name,
}: {
  end: MatchEnd;
  sheet: JackMatch["ends"][number] | undefined;
  units: Units;
  onAdd: (xCm: number, yCm: number) => void;
  onMove: (i: number, xCm: number, yCm: number) => void;
  name: (s: string) => string;
}) {
  const far =
    Math.max(120, ...end.balls.map((b) => Math.max(Math.abs(b.xCm ?? 0) / 1.5, Math.abs(b.yCm ?? 0)))) / 100 + 0.15;
  return (
    <Stage
      world={{ left: -far * 1.7, right: far * 1.7, bottom: -far, top: far }}
      units={units}
      height={400}
      label={`The jack and ${count(end.balls.length, "ball", "balls")} round it, from above`}
    >
      <Ground
        onAdd={onAdd}
        best={Math.min(sheet?.bestA ?? Number.POSITIVE_INFINITY, sheet?.bestB ?? Number.POSITIVE_INFINITY)}
      />
      {end.balls.map((b, i) => {
        const judged = sheet?.balls[i];
        const at = place(b, i);
        return (
          <PlacedBall
            // biome-ignore lint/suspicious/noArrayIndexKey: balls keep the order in which they were played
            key={i}
            n={i + 1}
            at={at}
            side={b.side}
            dead={judged?.dead ?? false}
            counts={judged?.counts ?? false}
            text={`${name(b.side)}, ${small(judged?.distanceCm ?? 0, units)} from the jack`}
            onMove={(x, y) => onMove(i, x, y)}
          />
        );
      })}
    </Stage>
  );
}

/** A ball that was only measured lies at its distance, in a direction of its own. */
function place(b: MatchEnd["balls"][number], i: number): { x: number; y: number } {
  if (b.distanceCm === null) return { x: (b.xCm ?? 0) / 100, y: (b.yCm ?? 0) / 100 };
  const turn = 0.7 + i * 2.4;
  return { x: (b.distanceCm / 100) * Math.cos(turn), y: (b.distanceCm / 100) * Math.sin(turn) };
}

function Ground({ onAdd, best }: { onAdd: (xCm: number, yCm: number) => void; best: number }) {
  const scale = useScale();
  const { x, y, perM } = scale;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: by keyboard a ball is placed with its button and moved as a slider
    <g
      data-testid="ground"
      className="cursor-crosshair"
      onClick={(e) => {
        const p = scale.at(e);
        onAdd(Math.round(p.x * 1000) / 10, Math.round(p.y * 1000) / 10);
      }}
    >
      <rect x="0" y="0" width="3000" height="2000" fill="transparent" />
      {[0.5, 1, 1.5, 2].map((r) => (
        <circle key={r} cx={x(0)} cy={y(0)} r={r * perM} fill="none" stroke="var(--color-rule)" strokeDasharray="4 6" />
      ))}
      {Number.isFinite(best) && (
        <circle cx={x(0)} cy={y(0)} r={(best / 100) * perM} fill="none" stroke="var(--color-ink)" strokeWidth="1.500" />
      )}
      <circle cx={x(0)} cy={y(0)} r="8" fill="var(--target)" stroke="var(--color-ink)" strokeWidth="2" />
    </g>
  );
}

function PlacedBall({
  n,
  at,
  side,
  dead,
  counts,
  text,
  onMove,
}: {
  n: number;
  at: { x: number; y: number };
  side: Player;
  dead: boolean;
  counts: boolean;
  text: string;
  onMove: (xCm: number, yCm: number) => void;
}) {
  const { x, y } = useScale();
  const to = (p: { x: number; y: number }) => onMove(Math.round(p.x * 1000) / 10, Math.round(p.y * 1000) / 10);
  return (
    <>
      {counts && (
        <line
          aria-hidden
          x1={x(0)}
          y1={y(0)}
          x2={x(at.x)}
          y2={y(at.y)}
          stroke={colour[side]}
          strokeWidth="2"
          strokeDasharray="5 4"
        />
      )}
      <Handle
        label={`Ball ${n}`}
        value={at.x * 100}
        text={text}
        least={-20000}
        greatest={20000}
        step={0.01}
        axis="both"
        bare
        colour={colour[side]}
        at={at}
        onMove={to}
        onStep={(dx, dy) => to({ x: at.x + dx, y: at.y + dy })}
      />
      <g aria-hidden pointerEvents="none" transform={`translate(${x(at.x)},${y(at.y)})`}>
        {side === "A" ? (
          <circle r="13" fill={colour.A} opacity={dead ? 0.35 : 1} />
        ) : (
          <rect x="-12" y="-12" width="24" height="24" fill={colour.B} opacity={dead ? 0.35 : 1} />
        )}
        {counts && <circle r="18" fill="none" stroke={colour[side]} strokeWidth="3" />}
        {dead && <path d="M-12 -12L12 12M12 -12L-12 12" stroke="var(--color-ink)" strokeWidth="2.500" />}
      </g>
      <LabelAt xM={at.x} yM={at.y} dy={5} bold colour={dead ? "var(--color-ink)" : "#1e2c2b"}>
        {`${n}`}
      </LabelAt>
    </>
  );
}

function Balls({
  end,
  sheet,
  units,
  name,
  onChange,
  must,
}: {
  end: MatchEnd;
  sheet: JackMatch["ends"][number];
  units: Units;
  name: (s: string) => string;
  onChange: (end: MatchEnd) => void;
  must: (i: number) => string | undefined;
}) {
  const set = (i: number, patch: Partial<MatchEnd["balls"][number]>) =>
    onChange({ ...end, balls: end.balls.map((b, k) => (k === i ? { ...b, ...patch } : b)) });
  return (
    <div className="mt-4 overflow-x-auto">
      <table className="w-full min-w-[34rem] text-left text-[0.95rem]">
        <caption className="pb-1 text-left font-bold">This end, ball by ball</caption>
        <thead className="text-sm text-soft">
          <tr>
            <th scope="col">ball</th>
            <th scope="col">from the jack</th>
            <th scope="col">counts</th>
            <th scope="col" className="print:hidden">
              dead because
            </th>
          </tr>
        </thead>
        <tbody>
          {sheet.balls.map((b, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: balls keep the order in which they were played
            <tr key={i} className="border-t border-rule">
              <th scope="row" className="py-1 font-normal">
                {i + 1}. {name(b.side)} {b.player}
                {b.outOfTurn && <span className="text-alert"> out of turn</span>}
              </th>
              <td>
                <input
                  className="field num print:border-0"
                  aria-label={`Ball ${i + 1} from the jack, cm`}
                  aria-invalid={!!must(i)}
                  inputMode="decimal"
                  key={`${b.distanceCm}`}
                  defaultValue={Number(b.distanceCm.toFixed(1))}
                  onBlur={(e) => {
                    const cm = Number(e.target.value.replace(",", "."));
                    if (Number.isFinite(cm) && cm >= 0 && cm <= 20000 && Math.abs(cm - b.distanceCm) > 0.05)
                      set(i, { distanceCm: cm, xCm: null, yCm: null });
                    else e.target.value = String(Number(b.distanceCm.toFixed(1)));
                  }}
                />{" "}
                cm{units === "feet" && ` (${small(b.distanceCm, units)})`}
              </td>
              <td>{b.dead ? "dead" : b.counts ? <b>yes</b> : "no"}</td>
              <td className="space-x-3 whitespace-nowrap print:hidden">
                {(["out", "footOver", "landedShort"] as const).map((why) => (
                  <label key={why} className="inline-flex items-center gap-1">
                    <input
                      type="checkbox"
                      className="size-4 accent-ink"
                      checked={end.balls[i]?.[why] ?? false}
                      onChange={(e) => set(i, { [why]: e.target.checked })}
                    />
                    {why === "out" ? "out" : why === "footOver" ? "foot over" : "landed short"}
                  </label>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Ends({ answer, name }: { answer: JackMatch; name: (s: string) => string }) {
  const done = answer.ends.filter((e) => e.complete);
  if (done.length === 0) return null;
  return (
    <table className="mt-4 w-full max-w-2xl text-left text-[0.95rem]" data-testid="ends">
      <caption className="pb-1 text-left font-bold">Ends</caption>
      <thead className="text-sm text-soft">
        <tr>
          <th scope="col">end</th>
          <th scope="col">jack</th>
          <th scope="col">{name("A")}</th>
          <th scope="col">{name("B")}</th>
          <th scope="col">why</th>
        </tr>
      </thead>
      <tbody>
        {done.map((e, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: an end is its number
          <tr key={i} className="border-t border-rule">
            <th scope="row" className="font-normal">
              {i + 1}
            </th>
            <td>{name(e.jackSide)}</td>
            <td>{e.points.A}</td>
            <td>{e.points.B}</td>
            <td className="text-soft">{pointsWhy[e.why]}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function told(a: JackMatch, v: V, name: (s: string) => string, units: Units): Said[] {
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
      text: `${name(a.next.side)}, player ${a.next.player}, ball ${a.next.ballNumber}: ${nextWhy[a.next.why]}.`,
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
  if (end?.balls.some((b) => b.outOfTurn))
    said.push({ kind: "warn", text: "A ball was played out of turn: take it back, or let it stand by house rule." });
  return said;
}
