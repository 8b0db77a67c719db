import { type RefObject, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import { useNavigate, useParams } from "react-router";
import { api, Problem } from "../../api/client";
import type { RunEvent, ScriptCircuit, Segment, WallFace } from "../../api/types";
import { Lane } from "../../lane/lane";
import { CourseDrawing } from "../../room/course";
import { Loading } from "../../ui/states";
import { useOnDevice } from "../../ui/use-on-device";
import { clock, sideCall } from "../../words";
import { textsOf } from "../../words/texts";
import saidWall from "../../words/wall.json";
import { calledNow } from "../run/called";
import { CalledWord } from "../run/called-word";
import { callNow, callsOf, changeOf, Sounder } from "../run/calls";
import { kindWord, wordOf } from "../run/face";
import { Played, roundAt, roundsOfTurn, standing, type Tally, tallies } from "../run/log";
import { resultOf } from "../run/result-of";
import { runLane } from "../run/run-lane";
import { heardClock } from "../run/shared-clock";
import { circuitOf, roundAtStation, visitOf } from "../run/stations";
import { StopAll } from "../run/stop-all";
import { useNow } from "../run/use-run";
import { useSounds } from "../run/use-sounds";
import { useStream } from "../run/use-stream";
import { WallStations } from "./wall-stations";
import { WallTurn } from "./wall-turn";

const t = textsOf("wall", saidWall);

/** The face of a run that all can read from the other end of the room; opened by its code, without signing in. */
export function WallView() {
  const { code } = useParams();
  const [light, setLight] = useOnDevice<boolean>("marble.wallLight", false);
  return (
    <main className={`min-h-dvh ${light ? "on-day" : "on-night bg-night text-chalk"}`}>
      {code ? <OfRun key={code} code={code} light={light} onLight={setLight} /> : <Ask />}
    </main>
  );
}

function Ask({ wrong }: { wrong?: string }) {
  const navigate = useNavigate();
  const [text, setText] = useState("");
  return (
    <form
      className="mx-auto max-w-md space-y-4 px-6 py-20"
      onSubmit={(e) => {
        e.preventDefault();
        if (text.trim()) navigate(`/wall/${text.trim().toUpperCase()}`);
      }}
    >
      <h1>{t("wallView.theWallFace")}</h1>
      {wrong && (
        <p role="alert" className="font-semibold text-[#ffb3a5]">
          {wrong}
        </p>
      )}
      <label className="block">
        <span className="mb-1 block">{t("wallView.theCodeThatStands")}</span>
        <input
          className="field w-full text-3xl tracking-widest uppercase"
          autoComplete="off"
          maxLength={12}
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      </label>
      <button type="submit" className="btn btn-main">
        {t("wallView.showIt")}
      </button>
    </form>
  );
}

type Lit = {
  /** for a picture in the sun: dark on light */
  light: boolean;
  onLight: (light: boolean) => void;
};

function OfRun({ code, ...lit }: { code: string } & Lit) {
  const [wall, setWall] = useState<WallFace>();
  const [log, setLog] = useState<RunEvent[]>([]);
  const [problem, setProblem] = useState<Problem>();
  const closed = problem?.status === 404;
  const merge = useCallback((more: RunEvent[]) => {
    setLog((known) => {
      const ids = new Set(known.map((e) => e.id));
      const fresh = more.filter((e) => !ids.has(e.id));
      return fresh.length === 0 ? known : [...known, ...fresh];
    });
  }, []);
  const load = useCallback(async () => {
    try {
      const askedMs = Date.now();
      const found = await api("get", "/api/wall/{code}", { params: { path: { code: encodeURIComponent(code) } } });
      heardClock(found.nowMs, askedMs);
      setWall(found);
      merge(found.log);
      setProblem(undefined);
    } catch (e) {
      setProblem(e instanceof Problem ? e : new Problem(0, t("wallView.notShown"), String(e)));
    }
  }, [code, merge]);
  useEffect(() => {
    load();
  }, [load]);
  useStream(
    wall && !closed ? `/api/wall/${encodeURIComponent(code)}/stream` : undefined,
    merge,
    () => {},
    // Whether the code opens nothing any more: then nobody goes on asking.
    load,
  );
  const events = useMemo(() => standing(log), [log]);
  const played = useMemo(() => (wall ? new Played(wall.script, events) : undefined), [wall, events]);
  const counts = useMemo(() => tallies(events), [events]);
  // What was scored before the teacher wanted it here has not been heard yet.
  const { scoresOnWall } = played ?? {};
  const knows = useRef(false);
  useEffect(() => {
    if (scoresOnWall && !knows.current) load();
    knows.current = !!scoresOnWall;
  }, [scoresOnWall, load]);
  if (closed && !played?.finished) return <Ask wrong={t("wallView.noWallFaceIsOpen", { code })} />;
  if (problem && !wall)
    return (
      <p role="alert" className="p-10 text-2xl">
        {problem.title}. {problem.detail}{" "}
        <button type="button" className="btn" onClick={load}>
          {t("wallView.tryAgain")}
        </button>
      </p>
    );
  if (!wall || !played) return <Loading what={t("wallView.theWallFace2")} />;
  return <Face wall={wall} played={played} counts={counts} begun={events.some((e) => e.what.type === "GO")} {...lit} />;
}

function Face({
  wall,
  played,
  counts,
  begun,
  light,
  onLight,
}: {
  wall: WallFace;
  played: Played;
  counts: Map<string, Tally>;
  begun: boolean;
} & Lit) {
  const { segments, blocks } = wall.script;
  const now = useNow(played.anchor.playing);
  const sounder = useRef(new Sounder());
  const [sound, setSound] = useState(false);
  useSounds(wall.script, played, sounder.current);
  const at = played.at(now);
  const segment = segments[at.segment];
  const page = useRef<HTMLDivElement>(null);
  const smaller = useSmaller(page, segment?.index);
  if (played.finished || !segment)
    return (
      <div className="flex min-h-dvh flex-col items-center justify-center gap-4">
        <p className="digits text-[clamp(5rem,16vw,14rem)]">0:00</p>
        <p className="font-head text-[clamp(2rem,5vw,4.5rem)] font-bold">{t("wallView.theLessonIsThrough")}</p>
      </div>
    );
  const circuit = circuitOf(wall.script, segment.block);
  const moving = !!circuit && segment.kind !== "TRANSITION";
  const number = segment.kind === "TRANSITION" ? segment.block + 1 : segment.block;
  const block = blocks[number];
  const ladder = wall.ladders.find((l) => l.id === block?.ladderId);
  const rung = ladder?.rungs.find((r) => r.id === block?.rungId);
  const leftMs = played.lengthMs(segment.index) - at.offsetMs;
  const held = begun && !played.anchor.playing;
  const call = played.anchor.playing
    ? callNow(callsOf(segment, played.lengthMs(segment.index), changeOf(wall.script, segment)), at.offsetMs)
    : "";
  const called = !held && calledNow(wall.script, segment, at.offsetMs);
  const upcoming = segments.find((s) => s.kind === "WORK" && s.index >= segment.index && s.block === number);
  const sideOf = segment.kind === "WORK" ? segment : upcoming;
  const side = sideOf && block?.sides[sideOf.side];
  const turnSegment = segment.kind === "WORK" ? segment : (upcoming ?? segments[roundAt(segments, segment.index)]);
  return (
    <div ref={page} className="mx-auto flex min-h-dvh max-w-[110rem] flex-col gap-[1.5vh] px-[3vw] py-[1.5vh]">
      <h1 className="sr-only">{wall.lessonName}</h1>
      {played.stopped && <StopAll />}
      <div className="flex flex-1 flex-wrap items-center gap-x-[4vw] gap-y-2">
        <p
          role="timer"
          aria-label={t("wallView.left", { kindWord: kindWord[segment.kind], ceil: clock(Math.ceil(leftMs / 1000)) })}
          className={`digits ${clockSize[smaller]} ${segment.kind === "WORK" ? "" : "text-mist"}`}
          data-testid="wall-clock"
        >
          {clock(Math.ceil(leftMs / 1000))}
        </p>
        <div className="min-w-[min(100%,22rem)] flex-1">
          <p className="text-[clamp(1.2rem,2.95vw,3.4rem)] font-semibold text-mist">
            {held ? t("wallView.held") : begun ? wordOf(wall.script, segment) : t("wallView.ready")}
          </p>
          <div className="flex flex-wrap items-center gap-x-[2vw] gap-y-2">
            <p className="font-head text-[clamp(2.2rem,4.6vw,6rem)] leading-[1.05] font-bold" data-testid="wall-call">
              {held
                ? t("wallView.hold")
                : call ||
                  (moving && segment.kind !== "EXPLAIN"
                    ? t("stations.visit", visitWords(wall, segment, circuit))
                    : rung?.name) ||
                  wordOf(wall.script, segment)}
            </p>
            {!moving && side && side !== "NONE" && side !== "MIXED" && !held && (
              <p className="rounded-lg bg-chalk px-[1.5vw] py-1 font-head text-[clamp(2rem,4vw,5rem)] leading-tight font-bold text-night">
                {sideCall[side]}
              </p>
            )}
          </div>
          {called && <CalledWord {...called} huge />}
          {block?.calls?.lie && (segment.kind === "EXPLAIN" || segment.kind === "SETUP") && (
            <CourseDrawing
              course={{ markers: block.calls.lie, back: false }}
              words={block.calls.lie.map((m) => m.word)}
              night
              high={260}
            />
          )}
          {ladder && !called && (!moving || segment.kind === "EXPLAIN") && (
            <p className="mt-3 text-[clamp(1.2rem,2.95vw,3.4rem)] leading-tight">{ladder.cues.join(" · ")}</p>
          )}
        </div>
      </div>
      {moving && <WallStations wall={wall} segment={segment} circuit={circuit} />}
      {!moving && turnSegment && block && (
        <WallTurn
          wall={wall}
          block={block}
          turn={turnSegment.turn}
          scoreOf={(crew, pupilId) => {
            if (!played.scoresOnWall) return null;
            const rounds = roundsOfTurn(segments, turnSegment.index).reverse();
            const results = rounds.map((r) => resultOf(wall.script, played, counts, r, crew, pupilId, now));
            return results.find((r) => r !== null)?.score ?? null;
          }}
        />
      )}
      <Lane
        blocks={runLane(wall.script, wall.ladders)}
        totalSec={endSec(wall)}
        bellSec={wall.minutes * 60}
        atSec={segment.startSec + at.offsetMs / 1000}
        labels={false}
      />
      <p className="flex items-center gap-4 text-mist">
        {wall.lessonName} · {wall.spaceName}
        <button type="button" className="btn btn-small ml-auto" aria-pressed={light} onClick={() => onLight(!light)}>
          {light ? t("wallView.dark") : t("wallView.lightForTheSun")}
        </button>
        <button
          type="button"
          className="btn btn-small"
          aria-pressed={sound}
          onClick={() => {
            sounder.current.wake();
            sounder.current.heard = { tones: !sound, speech: false, beat: false };
            setSound(!sound);
          }}
        >
          {t("wallView.soundHere")} {sound ? t("wallView.on") : t("wallView.off")}
        </button>
      </p>
    </div>
  );
}

/** From the largest on. */
const clockSize = [
  "text-[clamp(6rem,min(23vw,36vh),34rem)]",
  "text-[clamp(6rem,min(19vw,30vh),30rem)]",
  "text-[clamp(6rem,min(15vw,24vh),26rem)]",
  "text-[clamp(5rem,min(12vw,18vh),22rem)]",
];

/** How many sizes smaller the clock is, so that all that is read is in sight; names, cues and calls never are. */
function useSmaller(page: RefObject<HTMLDivElement | null>, segment: number | undefined) {
  const [high, setHigh] = useState(window.innerHeight);
  useEffect(() => {
    const follow = () => setHigh(window.innerHeight);
    window.addEventListener("resize", follow);
    return () => window.removeEventListener("resize", follow);
  }, []);
  const of = `${segment} ${high}`;
  const [at, setAt] = useState({ of, smaller: 0 });
  if (at.of !== of) setAt({ of, smaller: 0 });
  useLayoutEffect(() => {
    // A phone held upright scrolls; a wall does not.
    const wide = window.innerWidth > window.innerHeight;
    const tooLong = wide && page.current && page.current.scrollHeight > window.innerHeight + 1;
    if (tooLong && at.smaller < clockSize.length - 1) setAt({ of, smaller: at.smaller + 1 });
  });
  return at.smaller;
}

/** Which visit and round of a circuit is on or comes. */
function visitWords(wall: WallFace, segment: Segment, circuit: ScriptCircuit) {
  const at = visitOf(wall.script, roundAtStation(wall.script, segment.index, 0) ?? segment);
  return { visit: at.visit + 1, visits: circuit.stations, round: at.round + 1, rounds: circuit.rounds };
}

function endSec(wall: WallFace): number {
  const last = wall.script.segments.findLast((s) => s.beside == null);
  return last ? last.startSec + last.durationSec : 0;
}
