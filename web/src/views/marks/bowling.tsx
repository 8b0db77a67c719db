import { useState } from "react";
import type { BowlingSheet, ZoneBall } from "../../api/types";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { noBall, zone as zoneWords } from "../../words-marks";
import type { Given } from "./given";
import { KeepGame, type KeptAs, notKept } from "./keep-game";
import { Group, Pick, Switch } from "./prefill";
import { useReckon } from "./use-reckon";
import { useValues } from "./use-values";
import { type Said, Working } from "./working";

const t = textsOf("marks", saidMarks);

type V = {
  batter: string;
  bowler: string;
  batHand: string;
  bowlerHasBall: boolean;
  balls: ZoneBall[];
} & KeptAs;
type Zone = ZoneBall["zone"];

/** Its values, and what the core says of them. */
function useBowling(given: Given) {
  const pupils = given.chosen?.pupils.map((p) => p.name) ?? [];
  const [v, change] = useValues<V>({
    batter: pupils[0] ?? t("bowling.batter1"),
    bowler: pupils[1] ?? t("bowling.bowler1"),
    batHand: "RIGHT",
    bowlerHasBall: false,
    balls: [],
    ...notKept,
  });
  const [also, setAlso] = useState({ bounced: false, jerkyArm: false, footOver: false });
  const { answer, must, problem, of } = useReckon(
    "bowling-sheet",
    {
      balls: v.balls,
      batterNow: v.batter,
      bowlerNow: v.bowler,
    },
    v,
  );
  const bowled = (zone: Zone) => {
    change({ balls: [...v.balls, { batter: v.batter, bowler: v.bowler, zone, ...also }] });
    setAlso({ bounced: false, jerkyArm: false, footOver: false });
  };
  const bowlers = [...new Set(v.balls.map((b) => b.bowler))];
  const known = pupilsByName(bowlers, given);
  const names = (now: string) => [...new Set([now, ...pupils])].map((n) => ({ value: n, text: n }));
  return { given, pupils, v, change, also, setAlso, answer, of, must, problem, bowled, bowlers, known, names };
}

type Parts = ReturnType<typeof useBowling>;

/** The umpire's ledger: one tap a ball beside a drawn batter. */
export function BowlingWorking({ given }: { given: Given }) {
  const parts = useBowling(given);
  const { v, answer, of, problem, bowled } = parts;
  return (
    <Working
      title={t("bowling.bowlingToABatter")}
      given={given}
      values={v}
      problem={problem}
      drawing={<Batter hand={v.batHand} onZone={bowled} />}
      said={answer ? told(answer, of) : []}
      aside={<Aside {...parts} />}
      controls={<Controls {...parts} />}
      measures={[]}
      materials={[t("bowling.aBatAndASoft"), t("bowling.aSquareForTheBowler"), t("bowling.fourPostsOrMarkers")]}
      cautions={["SWING_CLEARANCE", "HARD_BALL_FACE", "PROTECTIVE_GEAR", "LOOSE_BALLS"]}
    />
  );
}

function Controls({ pupils, v, change, must, names }: Parts) {
  return (
    <>
      <Group title={t("bowling.who")}>
        {pupils.length > 0 ? (
          <>
            <Pick
              label={t("bowling.batter")}
              value={v.batter}
              options={names(v.batter)}
              onPick={(batter) => change({ batter })}
            />
            <Pick
              label={t("bowling.bowler")}
              value={v.bowler}
              options={names(v.bowler)}
              onPick={(bowler) => change({ bowler })}
            />
          </>
        ) : (
          (["batter", "bowler"] as const).map((key) => (
            <label key={key} className="flex items-center gap-2">
              <span className="mr-auto">{key === "batter" ? t("bowling.batter") : t("bowling.bowler")}</span>
              <input
                className="field w-40"
                maxLength={60}
                value={v[key]}
                aria-invalid={!!must(`${key}Now`)}
                onChange={(e) => change({ [key]: e.target.value } as Partial<V>)}
              />
            </label>
          ))
        )}
        <Pick
          label={t("bowling.batInThe")}
          value={v.batHand}
          options={[
            { value: "RIGHT", text: t("bowling.rightHand") },
            { value: "LEFT", text: t("bowling.leftHand") },
          ]}
          onPick={(batHand) => change({ batHand })}
        />
      </Group>
      <Group title={t("bowling.theRunningRule")}>
        <Switch
          label={t("bowling.bowlerHoldsTheBall")}
          on={v.bowlerHasBall}
          onChange={(bowlerHasBall) => change({ bowlerHasBall })}
        />
        <p className="text-[0.95rem]">
          {v.bowlerHasBall ? t("bowling.runnersMayGoOnTo") : t("bowling.theBallIsInPlay")}
        </p>
      </Group>
    </>
  );
}

function Aside({ given, v, change, also, setAlso, answer, bowlers, known }: Parts) {
  return (
    <>
      <div className="mt-3 flex flex-wrap items-center gap-4 print:hidden">
        <span className="font-semibold">{t("bowling.theNextTapAlso")}</span>
        {(
          [
            ["bounced", "bounced"],
            ["jerkyArm", t("bowling.armNotSmooth")],
            ["footOver", t("bowling.footOver")],
          ] as const
        ).map(([key, text]) => (
          <Switch key={key} label={text} on={also[key]} onChange={(on) => setAlso({ ...also, [key]: on })} />
        ))}
        <button
          type="button"
          className="btn btn-small"
          disabled={v.balls.length === 0}
          onClick={() => change({ balls: v.balls.slice(0, -1) })}
        >
          {t("bowling.takeBack")}
        </button>
        <button
          type="button"
          className="btn btn-small"
          disabled={v.balls.length === 0}
          onClick={() => change({ balls: [], ...notKept })}
        >
          {t("bowling.newInnings")}
        </button>
      </div>
      {answer && <Ledger answer={answer} v={v} />}
      <KeepGame
        given={given}
        measure="NO_BALLS"
        players={Object.keys(known).length}
        left={bowlers.filter((b) => !known[b])}
        ready={v.balls.length > 0}
        kept={v}
        far={v.balls.length}
        game={(kept) => ({
          type: "BOWLING",
          ...kept,
          sheet: { balls: v.balls, batterNow: v.batter, bowlerNow: v.bowler },
          bowlers: known,
        })}
        onKept={change}
      />
    </>
  );
}

/** The pupils of some names; a name that two of the class have is nobody's. */
function pupilsByName(names: string[], given: Given): Record<string, string> {
  const found: Record<string, string> = {};
  for (const n of names) {
    const called = given.chosen?.pupils.filter((p) => p.name === n) ?? [];
    if (called.length === 1 && called[0]) found[n] = called[0].id;
  }
  return found;
}

const W = 620;
const H = 400;

type Area = { zone: Zone; x: number; y: number; w: number; h: number };

/** Seen from the bowler: above the head, below the knee, the body, the fair window on the bat's side, wide on both. */
function areas(hand: string): Area[] {
  const body = { x: 260, w: 100 };
  const fair = hand === "RIGHT" ? { x: body.x - 140, w: 140 } : { x: body.x + body.w, w: 140 };
  const batEdge = hand === "RIGHT" ? fair.x : fair.x + fair.w;
  const beyond = hand === "RIGHT" ? { x: 0, w: batEdge } : { x: batEdge, w: W - batEdge };
  const behind = hand === "RIGHT" ? { x: body.x + body.w, w: W - body.x - body.w } : { x: 0, w: body.x };
  const head = 84;
  const knee = 300;
  const middle = { y: head, h: knee - head };
  const inner = { x: Math.min(body.x, fair.x), w: body.w + fair.w };
  return [
    { zone: "HIGH", x: inner.x, y: 0, w: inner.w, h: head },
    { zone: "LOW", x: inner.x, y: knee, w: inner.w, h: H - knee },
    { zone: "BODY", ...body, ...middle },
    { zone: "FAIR", ...fair, ...middle },
    { zone: "WIDE_OF_BAT", ...beyond, y: 0, h: H },
    { zone: "WIDE_BEHIND", ...behind, y: 0, h: H },
  ];
}

function Batter({ hand, onZone }: { hand: string; onZone: (zone: Zone) => void }) {
  const flip = hand === "RIGHT" ? 1 : -1;
  return (
    <div className="relative mx-auto w-full max-w-[40rem]" data-testid="drawing">
      <svg viewBox={`0 0 ${W} ${H}`} className="block w-full bg-[#fffdf8]" aria-hidden>
        {areas(hand).map((a) => (
          <rect
            key={a.zone}
            x={a.x}
            y={a.y}
            width={a.w}
            height={a.h}
            fill={a.zone === "FAIR" ? "var(--catch)" : "var(--color-alert)"}
            fillOpacity={a.zone === "FAIR" ? 0.16 : 0.05}
            stroke="var(--color-ink)"
            strokeWidth={a.zone === "FAIR" ? 3 : 1}
          />
        ))}
        <g fill="none" stroke="var(--color-ink)" strokeWidth="6" strokeLinecap="round">
          <circle cx="310" cy="112" r="26" fill="var(--color-tint)" strokeWidth="4" />
          <path d="M310 138V240M310 240L286 300L284 380M310 240L334 300L338 380" />
          <path d={`M310 160L${310 - flip * 34} 205L${310 - flip * 60} 178`} />
          <path d={`M${310 - flip * 60} 178L${310 - flip * 108} 108`} strokeWidth="12" stroke="var(--move)" />
        </g>
      </svg>
      {areas(hand).map((a) => (
        <button
          key={a.zone}
          type="button"
          onClick={() => onZone(a.zone)}
          className="absolute flex items-end justify-center p-1 text-center text-[0.82rem] leading-tight font-bold hover:bg-ink/10 sm:text-base print:hidden"
          style={{
            left: `${(a.x / W) * 100}%`,
            top: `${(a.y / H) * 100}%`,
            width: `${(a.w / W) * 100}%`,
            height: `${(a.h / H) * 100}%`,
          }}
        >
          <span className="bg-sheet/90 px-1">{zoneWords[a.zone]}</span>
        </button>
      ))}
    </div>
  );
}

function told(a: BowlingSheet, v: V): Said[] {
  const last = a.balls[a.balls.length - 1];
  const said: Said[] = [];
  if (last) {
    const faults = last.faults.map((f) => noBall[f]).join(", ");
    said.push({
      text: last.halfScore
        ? t("bowling.noBallTheSecondRunning", { faults })
        : last.faults.length
          ? t("bowling.noBall", { faults })
          : t("bowling.aFairBall"),
    });
  }
  if (a.next === "FREE")
    said.push({
      text: v.balls.length
        ? t("bowling.nothingRunningAgainst", { bowler: v.bowler })
        : t("bowling.tapWhereTheBallPassed"),
    });
  else if (a.next === "ONE_RUNNING") said.push({ kind: "warn", text: t("bowling.oneRunningBowlThe") });
  else said.push({ kind: "warn", text: t("bowling.oneRunningInheritedFromThe", { bowler: v.bowler }) });
  said.push({ text: t("bowling.givenAway", { count: a.halfScores }) });
  said.push({ kind: "note", text: t("bowling.aFairBallOr") });
  return said;
}

function Ledger({ answer, v }: { answer: BowlingSheet; v: V }) {
  if (v.balls.length === 0) return null;
  return (
    <div className="mt-4 grid gap-6 sm:grid-cols-2">
      <table className="w-full text-left text-[0.95rem]" data-testid="batters">
        <caption className="pb-1 text-left font-bold">{t("bowling.batters")}</caption>
        <thead className="text-sm text-soft">
          <tr>
            <th scope="col">{t("bowling.batter2")}</th>
            <th scope="col">{t("bowling.balls")}</th>
            <th scope="col">{t("bowling.noballs")}</th>
            <th scope="col">{t("bowling.halfScores")}</th>
          </tr>
        </thead>
        <tbody>
          {answer.batters.map((b) => (
            <tr key={b.batter} className="border-t border-rule">
              <th scope="row" className="font-normal">
                {b.batter}
              </th>
              <td>{b.balls}</td>
              <td>{b.noBalls}</td>
              <td>{b.halfScores}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div>
        <p className="pb-1 font-bold">{t("bowling.lastBalls")}</p>
        <ol className="text-[0.95rem]">
          {v.balls
            .map((b, i) => ({ b, i, judged: answer.balls[i] }))
            .slice(-8)
            .reverse()
            .map(({ b, i, judged }) => (
              <li key={i} className="border-t border-rule">
                {t("bowling.to", { value: i + 1, bowler: b.bowler, batter: b.batter })}{" "}
                {judged?.faults.length ? judged.faults.map((f) => noBall[f]).join(", ") : t("bowling.fair")}
                {judged?.halfScore && <b> {t("bowling.halfAScore")}</b>}
              </li>
            ))}
        </ol>
      </div>
    </div>
  );
}
