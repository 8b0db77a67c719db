import { useEffect, useMemo, useRef, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import type { Run } from "../../api/types";
import { Lane } from "../../lane/lane";
import { Sheet } from "../../ui/sheet";
import { Failed, Loading } from "../../ui/states";

import { useOnDevice } from "../../ui/use-on-device";
import { texts } from "../../words/texts";
import { Aside } from "./aside";
import { AtStations } from "./at-stations";
import { atTheSheet, isCounted, nothingLeft } from "./at-the-sheet";
import { callNow, callsOf, changeOf, Sounder } from "./calls";
import { Collect } from "./collect";
import { Disputes } from "./disputes";
import { afterTurn } from "./ended-turn";
import { Face } from "./face";
import { GoTo } from "./go-to";
import { HeardChoice } from "./heard-choice";
import { afterOf, type Played, roundAt, roundStart, roundsOfTurn, turnsEnded } from "./log";
import { missingIn } from "./missing";
import { Pads } from "./pads";
import { Recorded } from "./recorded";
import { runLane } from "./run-lane";
import { Said } from "./said";
import { Seen } from "./seen";
import { sharedNow } from "./shared-clock";
import { atStation, circuitOf, ofStation, roundAtStation } from "./stations";
import { StopAll } from "./stop-all";
import { useNow, useRun } from "./use-run";
import { useSounds } from "./use-sounds";
import { useWakeLock } from "./use-wake-lock";
import { WallLink } from "./wall-link";

const t = texts("run");

/** The hand face of a run: clock, cue, pads in the round, numbers in the rest. */
export function RunView() {
  const { id = "" } = useParams();
  const on = useRun(id);
  return (
    <main className="on-night min-h-dvh bg-night text-chalk">
      {on.error ? (
        <Failed error={on.error} again={on.load} />
      ) : !on.run || !on.played ? (
        <Loading what={t("runView.theRun")} />
      ) : on.played.finished ? (
        <Recorded on={on} takeBack={() => takeBackFinish(on)} />
      ) : (
        <>
          <h1 className="sr-only">{on.run.sheet.lessonName}</h1>
          <Running run={on.run} played={on.played} on={on} />
        </>
      )}
    </main>
  );
}

type On = ReturnType<typeof useRun>;

function takeBackFinish(on: On) {
  const finish = on.events.filter((e) => e.what.type === "FINISH").at(-1);
  if (finish) on.record({ type: "TAKE_BACK", target: finish.id });
}

const EXTRA_SEC = 15;

function Running({ run, played, on }: { run: Run; played: Played; on: On }) {
  const { script } = run.sheet;
  const { segments } = script;
  const now = useNow(played.anchor.playing);
  const position = played.at(now);
  const segment = segments[position.segment];
  const playing = played.anchor.playing && !!segment;
  const begun = on.events.some((e) => e.what.type === "GO");
  const navigate = useNavigate();
  const [ending, setEnding] = useState(false);
  const [watched, setWatched] = useOnDevice<string[]>(`marble.watched.${run.id}`, []);
  const [station, setStation] = useOnDevice<number>(`marble.station.${run.id}`, 0);
  const [collecting, setCollecting] = useState<number>();
  const sounder = useRef(new Sounder());
  const round = roundAt(segments, position.segment);
  const ended = useMemo(() => turnsEnded(segments, position.segment), [segments, position.segment]);
  const missing = ended.filter((r) => missingIn(run, r, played, on.counts, now) > 0);
  const circuit = circuitOf(script, segment?.block);
  const shown = segment && atStation(script, segment, station);
  // Between two rounds of a visit there is no time for numbers: they are asked for when all move on.
  const resting = !segment || !["WORK", "COUNT_IN", "SIDE_SWAP", ...(circuit ? ["REST"] : [])].includes(segment.kind);
  const lastOfAll = ended.at(-1);
  const lastEnded = lastOfAll === undefined ? undefined : ofStation(script, lastOfAll, station);
  const shownTurn = collecting;
  // One that was skipped on the way to another block has no numbers to ask for.
  const worked =
    lastEnded !== undefined &&
    (missing.includes(lastEnded) ||
      roundsOfTurn(segments, lastEnded).some((r) => played.workedMs(r, played.take(r), now) !== undefined));
  const newlyEnded = resting && worked && isCounted(run, lastEnded) ? lastEnded : undefined;
  const toClose = shownTurn !== undefined && !resting && nothingLeft(run, shownTurn, played, on, now);

  // In the rest the numbers are asked for. The sheet stays while somebody is at it, also when work begins or another turn ends.
  const open = useRef(shownTurn);
  open.current = shownTurn;
  useEffect(() => {
    if (newlyEnded === undefined) return;
    if (open.current === undefined || !atTheSheet()) setCollecting(newlyEnded);
  }, [newlyEnded]);
  useEffect(() => {
    if (toClose && !atTheSheet()) setCollecting(undefined);
  }, [toClose]);

  useSounds(script, played, sounder.current);
  useWakeLock(playing);

  const jump = (kind: "AGAIN" | "NEXT" | "BACK", to: number) => {
    sounder.current.forget();
    on.record({ type: kind, segment: Math.max(0, Math.min(to, segments.length)), offsetMs: 0 });
    setCollecting(undefined);
  };
  const press = {
    holdOrGo: () => {
      sounder.current.wake();
      if (!segment) return;
      on.record({
        type: played.anchor.playing ? "HOLD" : "GO",
        segment: position.segment,
        offsetMs: Math.round(played.at(sharedNow()).offsetMs),
      });
    },
    again: () => round >= 0 && jump("AGAIN", roundStart(segments, round)),
    next: () => segment && jump("NEXT", afterOf(segments, position.segment)),
    back: () => {
      const before = segments.filter((s) => s.kind === "WORK" && s.beside == null && s.index < round).at(-1);
      if (before) jump("BACK", roundStart(segments, before.index));
    },
    stopAll: () => {
      sounder.current.wake();
      if (!segment || played.stopped) return;
      on.record({
        type: "STOP_ALL",
        segment: position.segment,
        offsetMs: Math.round(played.at(sharedNow()).offsetMs),
      });
    },
    skipOptional: () => {
      const after = segments.findIndex((s) => s.index > position.segment && s.block !== segment?.block);
      jump("NEXT", after < 0 ? segments.length : after);
    },
    endTurn: () => {
      const after = afterTurn(segments, position.segment);
      if (after !== undefined) jump("NEXT", after);
    },
    longer: () => segment && on.record({ type: "EXTEND", segment: segment.index, addSec: EXTRA_SEC }),
    finish: () => setEnding(true),
    takeBack: () => {
      const last = on.events.at(-1);
      if (last) on.record({ type: "TAKE_BACK", target: last.id });
    },
  };

  const goTo = (to: number) => {
    if (to !== position.segment) jump(to > position.segment ? "NEXT" : "BACK", to);
  };

  const keys = useRef(press);
  keys.current = press;
  useEffect(() => {
    const byKey = (e: KeyboardEvent) => {
      if (e.target instanceof HTMLElement && e.target.closest("input, textarea, [role=dialog]")) return;
      if (e.ctrlKey || e.metaKey || e.altKey) return;
      // On a button that was reached by keyboard, space presses that button.
      if (e.key === " " && e.target instanceof HTMLElement && e.target.closest("button, a")) return;
      const what = {
        " ": "holdOrGo",
        ArrowLeft: "again",
        ArrowRight: "next",
        Backspace: "takeBack",
        s: "stopAll",
        f: "finish",
      }[e.key];
      if (!what) return;
      e.preventDefault();
      keys.current[what as keyof typeof press]();
    };
    // A button that was pressed with a finger or mouse gives space back to hold and go.
    const letGo = () => {
      const at = document.activeElement;
      if (at instanceof HTMLButtonElement && !at.closest("[role=dialog]")) at.blur();
    };
    window.addEventListener("keydown", byKey);
    window.addEventListener("click", letGoAfterPointer);
    return () => {
      window.removeEventListener("keydown", byKey);
      window.removeEventListener("click", letGoAfterPointer);
    };
    function letGoAfterPointer(e: MouseEvent) {
      if (e.detail > 0) letGo();
    }
  }, []);

  const turnOn = roundAtStation(script, position.segment, station);
  const tapping =
    !!turnOn &&
    !!script.blocks[turnOn.block]?.turns[turnOn.turn]?.crews.some((c) => c.workers.some((w) => watched.includes(w)));
  const sets = 1 + Math.max(0, ...segments.filter((s) => s.block === segment?.block).map((s) => s.set));
  const optionalNow = !!segment && segment.set >= sets - (script.blocks[segment.block]?.optionalSets ?? 0);
  const startSec = segment ? segment.startSec + position.offsetMs / 1000 : endOf(run);
  const call =
    playing && segment
      ? callNow(callsOf(segment, played.lengthMs(segment.index), changeOf(script, segment)), position.offsetMs)
      : "";

  return (
    <div className="mx-auto flex min-h-dvh max-w-[84rem] flex-col gap-3 px-4 py-3 sm:px-7">
      <Face
        run={run}
        played={played}
        position={position}
        call={call}
        begun={begun}
        small={shownTurn !== undefined}
        tapping={tapping || !!circuit}
        station={station}
      />
      {played.stopped && <StopAll onGo={press.holdOrGo} />}
      <Disputes run={run} played={played} disputes={on.disputes} record={on.record} />
      <p className="sr-only" aria-live="assertive">
        {call}
      </p>
      <div className="min-h-0 flex-1">
        {segment && (shownTurn === undefined || segment.kind === "STATION_CHANGE") && (
          <AtStations
            script={script}
            ladders={run.sheet.ladders}
            segment={segment}
            nameOf={(id) =>
              played.away.has(id) ? null : (run.sheet.pupils.find((p) => p.pupilId === id)?.name ?? null)
            }
            chosen={station}
            onChoose={setStation}
          />
        )}
        {shownTurn !== undefined && (
          <Collect
            key={shownTurn}
            run={run}
            played={played}
            counts={on.counts}
            events={on.events}
            round={shownTurn}
            missing={missing}
            sent={on.unsent === 0}
            onChoose={setCollecting}
            onClose={() => setCollecting(undefined)}
            record={on.record}
          />
        )}
        {segment && (shownTurn === undefined || (tapping && !resting)) && (
          <Pads
            run={run}
            played={played}
            counts={on.counts}
            segment={segment}
            station={station}
            watched={watched}
            onWatch={setWatched}
            record={on.record}
          />
        )}
        {segment && shownTurn === undefined && script.blocks[segment.block]?.kind === "FREE" && (
          <Said run={run} played={played} segment={segment} events={on.events} record={on.record} />
        )}
        {shown && shownTurn === undefined && (
          <Seen
            run={run}
            played={played}
            segment={shown}
            round={ofStation(script, round, station)}
            events={on.events}
            record={on.record}
          />
        )}
        {!segment && shownTurn === undefined && (
          <p className="py-10 text-center text-2xl">{t("runView.theLessonIsThrough")}</p>
        )}
      </div>
      <Lane
        blocks={runLane(script, run.sheet.ladders)}
        totalSec={endOf(run)}
        bellSec={run.sheet.minutes * 60}
        atSec={startSec}
        labels={false}
      />
      <div className="run-bar flex flex-wrap items-center gap-2 sm:pb-2">
        <span className="run-first flex gap-2">
          <button type="button" className="btn btn-main min-w-28 flex-1" onClick={press.holdOrGo} disabled={!segment}>
            {played.anchor.playing ? "Hold" : begun ? "Go on" : "Go"} <Key>{t("runView.space")}</Key>
          </button>
          <button
            type="button"
            className="btn btn-stop flex-1"
            onClick={press.stopAll}
            disabled={!segment || played.stopped}
          >
            {t("runView.stopAll")} <Key>{t("runView.s")}</Key>
          </button>
        </span>
        <button type="button" className="btn" onClick={press.again} disabled={round < 0}>
          {t("runView.again")} <Key>←</Key>
        </button>
        <button type="button" className="btn" onClick={press.next} disabled={!segment}>
          {t("runView.next")} <Key>→</Key>
        </button>
        <button
          type="button"
          className="btn"
          onClick={press.endTurn}
          disabled={afterTurn(segments, position.segment) === undefined}
        >
          {t("runView.endTheTurn")}
        </button>
        <button type="button" className="btn" onClick={press.back} disabled={round < 1}>
          {t("runView.backARound")}
        </button>
        <GoTo run={run} played={played} at={position.segment} onGo={goTo} />
        {optionalNow && (
          <button type="button" className="btn" onClick={press.skipOptional}>
            {t("runView.skipTheOptionalRound")}
          </button>
        )}
        <button type="button" className="btn" onClick={press.longer} disabled={!segment}>
          {t("runView.s2", { EXTRASEC: EXTRA_SEC })}
        </button>
        <button type="button" className="btn" onClick={press.takeBack} disabled={on.events.length === 0}>
          {t("runView.takeBack")} <Key>⌫</Key>
        </button>
        {shownTurn === undefined && (missing.length > 0 || lastEnded !== undefined) && (
          <button type="button" className="btn" onClick={() => setCollecting(missing.at(-1) ?? lastEnded)}>
            {t("runView.collect")}
            {missing.length > 0 && ` (${missing.length} open)`}
          </button>
        )}
        <Aside run={run} away={played.away} record={on.record} />
        <WallLink runId={run.id}>
          <HeardChoice sounder={sounder.current} />
          <button
            type="button"
            className="btn btn-small"
            aria-pressed={played.scoresOnWall}
            onClick={() => on.record({ type: "SCORES_ON_WALL", on: !played.scoresOnWall })}
          >
            {t("runView.scoresOnTheWall")} {played.scoresOnWall ? "on" : "off"}
          </button>
        </WallLink>
        <span className="ml-auto flex items-center gap-4">
          <span role="status" className="text-mist" data-testid="unsent">
            {on.unsent === 0 ? "All saved" : `${on.unsent} kept here, not yet sent`}
          </span>
          <button type="button" className="btn" onClick={press.finish}>
            {t("runView.finish")} <Key>{t("runView.f")}</Key>
          </button>
        </span>
      </div>
      {on.refused && (
        <p role="alert" className="border-l-8 border-alert bg-dusk p-3">
          <strong>{on.refused.title}.</strong> {t("runView.yourTapsStayOn", { detail: on.refused.detail })}{" "}
          {on.refused.status === 401 && <Link to="/">{t("runView.signInAgain")}</Link>}
        </p>
      )}
      <Sheet title={t("runView.finishThisRun")} open={ending} onOpenChange={setEnding} night>
        <p>
          {missing.length > 0
            ? `${missing.length} ${missing.length === 1 ? "turn has" : "turns have"} numbers missing. You can finish all the same; what is there is recorded.`
            : "Every number is in."}
        </p>
        <p className="mt-5 flex flex-wrap gap-3">
          <button
            type="button"
            className="btn btn-main"
            data-first
            onClick={() => {
              on.record({ type: "FINISH" });
              setEnding(false);
            }}
          >
            {t("runView.finishAndRecord")}
          </button>
          <button type="button" className="btn" onClick={() => navigate("/")}>
            {t("runView.leaveItRunning")}
          </button>
        </p>
      </Sheet>
    </div>
  );
}

const Key = ({ children }: { children: string }) => (
  <kbd className="hidden text-sm font-normal opacity-75 sm:inline">{children}</kbd>
);

function endOf(run: Run): number {
  const last = run.sheet.script.segments.findLast((s) => s.beside == null);
  return last ? last.startSec + last.durationSec : 0;
}
