import { useRef, useState } from "react";
import { Link, useParams } from "react-router";
import type { Run } from "../../api/types";
import { Lane } from "../../lane/lane";
import { Failed, Loading } from "../../ui/states";
import { useOnDevice } from "../../ui/use-on-device";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { AtStations } from "./at-stations";
import { callNow, callsOf, changeOf, Sounder } from "./calls";
import { Collect } from "./collect";
import { Disputes } from "./disputes";
import { Face } from "./face";
import { FinishSheet } from "./finish-sheet";
import { type Played, roundAt } from "./log";
import { Pads } from "./pads";
import { Recorded } from "./recorded";
import { RunBar } from "./run-bar";
import { runLane } from "./run-lane";
import { Said } from "./said";
import { Seen } from "./seen";
import { atStation, circuitOf, ofStation, roundAtStation } from "./stations";
import { StopAll } from "./stop-all";
import { useCollecting } from "./use-collecting";
import { usePress } from "./use-press";
import { useNow, useRun } from "./use-run";
import { useSounds } from "./use-sounds";
import { useWakeLock } from "./use-wake-lock";

const t = textsOf("run", saidRun);

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

function Running({ run, played, on }: { run: Run; played: Played; on: On }) {
  const { script } = run.sheet;
  const { segments } = script;
  const now = useNow(played.anchor.playing);
  const position = played.at(now);
  const segment = segments[position.segment];
  const playing = played.anchor.playing && !!segment;
  const [ending, setEnding] = useState(false);
  const [watched, setWatched] = useOnDevice<string[]>(`marble.watched.${run.id}`, []);
  const [station, setStation] = useOnDevice<number>(`marble.station.${run.id}`, 0);
  const sounder = useRef(new Sounder());
  const collecting = useCollecting(run, played, on, { segment: position.segment, station, now });
  useSounds(script, played, sounder.current);
  useWakeLock(playing);
  const press = usePress({
    segments,
    played,
    position,
    on,
    wake: () => sounder.current.wake(),
    jumped: () => {
      sounder.current.forget();
      collecting.setTurn(undefined);
    },
    finish: () => setEnding(true),
  });

  const turnOn = roundAtStation(script, position.segment, station);
  const tapping =
    !!turnOn &&
    !!script.blocks[turnOn.block]?.turns[turnOn.turn]?.crews.some((c) => c.workers.some((w) => watched.includes(w)));
  const sets = 1 + Math.max(0, ...segments.filter((s) => s.block === segment?.block).map((s) => s.set));
  const optionalNow = !!segment && segment.set >= sets - (script.blocks[segment.block]?.optionalSets ?? 0);
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
        begun={on.events.some((e) => e.what.type === "GO")}
        small={collecting.turn !== undefined}
        tapping={tapping || !!circuitOf(script, segment?.block)}
        station={station}
      />
      {played.stopped && <StopAll onGo={press.holdOrGo} />}
      <Disputes run={run} played={played} disputes={on.disputes} record={on.record} />
      <p className="sr-only" aria-live="assertive">
        {call}
      </p>
      <div className="min-h-0 flex-1">
        <AtWork
          run={run}
          played={played}
          on={on}
          at={position.segment}
          collecting={collecting}
          tapping={tapping}
          station={station}
          setStation={setStation}
          watched={watched}
          setWatched={setWatched}
        />
      </div>
      <Lane
        blocks={runLane(script, run.sheet.ladders)}
        totalSec={endOf(run)}
        bellSec={run.sheet.minutes * 60}
        atSec={segment ? segment.startSec + position.offsetMs / 1000 : endOf(run)}
        labels={false}
      />
      <RunBar
        run={run}
        played={played}
        on={on}
        at={position.segment}
        press={press}
        collecting={collecting}
        optional={optionalNow}
        sounder={sounder.current}
      />
      {on.refused && (
        <p role="alert" className="border-l-8 border-alert bg-dusk p-3">
          <strong>{on.refused.title}.</strong> {t("runView.yourTapsStayOn", { detail: on.refused.detail })}{" "}
          {on.refused.status === 401 && <Link to="/">{t("runView.signInAgain")}</Link>}
        </p>
      )}
      <FinishSheet
        open={ending}
        onOpenChange={setEnding}
        missing={collecting.missing.length}
        onFinish={() => on.record({ type: "FINISH" })}
      />
    </div>
  );
}

/** What is between the clock and the lane: stations, the sheet of numbers, pads, what was seen and said. */
function AtWork({
  run,
  played,
  on,
  at,
  collecting,
  tapping,
  station,
  setStation,
  watched,
  setWatched,
}: {
  run: Run;
  played: Played;
  on: On;
  at: number;
  collecting: ReturnType<typeof useCollecting>;
  tapping: boolean;
  station: number;
  setStation: (station: number) => void;
  watched: string[];
  setWatched: (ids: string[]) => void;
}) {
  const { script, ladders, pupils } = run.sheet;
  const segment = script.segments[at];
  const { turn, setTurn, missing, resting } = collecting;
  const sheetClosed = turn === undefined;
  const shown = segment && atStation(script, segment, station);
  const nameOf = (id: string) => (played.away.has(id) ? null : (pupils.find((p) => p.pupilId === id)?.name ?? null));
  const common = { run, played, events: on.events, record: on.record };
  return (
    <>
      {segment && (sheetClosed || segment.kind === "STATION_CHANGE") && (
        <AtStations
          script={script}
          ladders={ladders}
          segment={segment}
          nameOf={nameOf}
          chosen={station}
          onChoose={setStation}
        />
      )}
      {!sheetClosed && (
        <Collect
          key={turn}
          {...common}
          counts={on.counts}
          round={turn}
          missing={missing}
          sent={on.unsent === 0}
          onChoose={setTurn}
          onClose={() => setTurn(undefined)}
        />
      )}
      {segment && (sheetClosed || (tapping && !resting)) && (
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
      {segment && sheetClosed && script.blocks[segment.block]?.kind === "FREE" && (
        <Said {...common} segment={segment} />
      )}
      {shown && sheetClosed && (
        <Seen {...common} segment={shown} round={ofStation(script, roundAt(script.segments, at), station)} />
      )}
      {!segment && sheetClosed && <p className="py-10 text-center text-2xl">{t("runView.theLessonIsThrough")}</p>}
    </>
  );
}

function endOf(run: Run): number {
  const last = run.sheet.script.segments.findLast((s) => s.beside == null);
  return last ? last.startSec + last.durationSec : 0;
}
