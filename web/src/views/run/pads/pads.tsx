import { useEffect, useRef } from "react";
import type { Crew, Run, Segment } from "../../../api/types";
import { thisDevice } from "../device";
import { type Kind, type Played, roundAt, type Tally, tallyKey } from "../log";
import { bestBefore, rungIn, sideOf } from "../result-of";
import { Rungs } from "../rungs";
import type { Tap } from "../scored";
import { sharedNow } from "../shared-clock";
import type { useRun } from "../use-run";
import { mainAct, missAct } from "./acts";
import { HitPad } from "./hit-pad";
import { LevelsPad } from "./levels-pad";
import { MatchPad } from "./match-pad";
import { NumbersPad } from "./numbers-pad";
import { PadFrame, type PadProps } from "./pad";
import { RingsPad } from "./rings-pad";
import { SpotsPad } from "./spots-pad";
import { WatchPad } from "./watch-pad";

/** Keys for pads, in the order of the pads; none of them is a command. */
const PAD_KEYS = ["q", "w", "e", "r", "t", "y", "u", "i", "o", "z", "x", "c"];

/** Measures of tries, of which one may be in the air at the stop. */
const throwsAtTheStop = ["COUNT_IN_TIME", "LONGEST_RUN", "HITS_OF_N", "FURTHEST", "RINGS", "LEVELS", "KEEP_ALL"];

/** Pads for the few whom the adult watches; for all others the partner counts. */
export function Pads({
  run,
  played,
  counts,
  segment,
  watched,
  onWatch,
  record,
}: {
  run: Run;
  played: Played;
  counts: Map<string, Tally>;
  segment: Segment;
  watched: string[];
  onWatch: (ids: string[]) => void;
  record: ReturnType<typeof useRun>["record"];
}) {
  const { segments, blocks } = run.sheet.script;
  const nextWork = segments.find((s) => s.kind === "WORK" && s.index >= segment.index);
  const round = ["WORK", "SIDE_SWAP"].includes(segment.kind)
    ? roundAt(segments, segment.index)
    : (nextWork?.index ?? -1);
  const work = segments[round];
  const block = work && blocks[work.block];
  const turn = work && block?.turns[work.turn];
  const ladder = run.sheet.ladders.find((l) => l.id === block?.ladderId);
  const names = new Map(run.sheet.pupils.map((p) => [p.pupilId, p.name]));
  const name = (ids: string[]) => ids.map((id) => names.get(id) ?? "?").join(" & ");
  const crews = (turn?.crews ?? []).filter((c) => c.workers.some((w) => !played.away.has(w)));
  const shown = crews.filter((c) => c.workers.some((w) => watched.includes(w))).slice(0, PAD_KEYS.length);
  const open = segment.kind === "WORK" || segment.kind === "SIDE_SWAP";
  const take = played.take(round);

  // The taps made on this screen, so that a pad can take back its own last one.
  const mine = useRef<{ id: string; key: string }[]>([]);
  const of = (crew: Crew) => {
    const first = crew.workers[0] ?? "";
    const rung = block && rungIn(block, played.rungId(round, first));
    const all = counts.get(tallyKey(round, take, first));
    // Whoever taps sees what they tapped, also where another device counts the same pupil.
    const taps: Tap[] = (all?.by.find((c) => c.device === thisDevice()) ?? all)?.taps ?? [];
    // A match has one sheet, kept under its first player; all else is tapped for everyone who shares the result.
    const whose = rung?.measure === "MATCH" ? [first] : crew.workers;
    return { first, rung, taps, whose };
  };
  const tapFor = (crew: Crew, kind: Kind, details: Partial<Tap> = {}) => {
    if (!open) return;
    for (const pupilId of of(crew).whose) {
      const made = record(kind, { segment: round, take, pupilId, ...details });
      mine.current.push({ id: made.id, key: tallyKey(round, take, pupilId) });
    }
  };
  const takeBack = (crew: Crew) => {
    for (const pupilId of of(crew).whose) {
      const index = mine.current.map((t) => t.key).lastIndexOf(tallyKey(round, take, pupilId));
      const [last] = index < 0 ? [] : mine.current.splice(index, 1);
      if (last) record("TAKE_BACK", { target: last.id });
    }
  };
  const workedMs = () => played.workedMs(round, sharedNow());

  const byKey = useRef<(e: KeyboardEvent) => void>(() => {});
  byKey.current = (e) => {
    if (e.ctrlKey || e.metaKey || e.altKey || e.repeat || !block) return;
    if (e.target instanceof HTMLElement && e.target.closest("input, textarea, [role=dialog]")) return;
    const crew = shown[PAD_KEYS.indexOf(e.key.toLowerCase())];
    const { rung, taps } = crew ? of(crew) : {};
    if (!crew || !rung || !taps) return;
    const act = e.shiftKey ? missAct(rung) : mainAct(taps, rung, block, crew.spot);
    if (!act) return;
    const timed = ["START", "SPLIT", "STOP"].includes(act.kind);
    tapFor(crew, act.kind, { ...act.details, ...(timed ? { offsetMs: workedMs() } : {}) });
  };
  useEffect(() => {
    const listen = (e: KeyboardEvent) => byKey.current(e);
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, []);

  if (!turn || !block || !ladder) return null;
  if (!block.counted) return <p className="text-mist">Nothing is counted here.</p>;
  const main = ladder.rungs.find((r) => r.id === block.rungId);
  // What is drawn to be pointed at needs half the width.
  const drawnOn = shown.some((crew) => ["RINGS", "MATCH"].includes(of(crew).rung?.measure ?? ""));
  const inTheAir = main && throwsAtTheStop.includes(main.measure) && !/at the stop/i.test(main.countsNot);
  return (
    <section aria-label="Pads" data-block={work.block} className="space-y-3">
      {shown.length > 0 && (
        <ul className={`grid gap-3 ${drawnOn ? "md:grid-cols-2" : "sm:grid-cols-2 lg:grid-cols-3"}`}>
          {shown.map((crew, i) => {
            const { first, rung, taps } = of(crew);
            const told = ladder.rungs.find((r) => r.id === rung?.id) ?? main;
            if (!rung || !told) return null;
            const props: PadProps = {
              who: name(crew.workers),
              note: crew.helpers.length > 0 ? `${name(crew.helpers)} counts` : "counts alone",
              taps,
              rung,
              told,
              block,
              spot: crew.spot,
              open,
              running: played.anchor.playing,
              workedMs,
              best: crew.workers.length > 1 ? undefined : bestBefore(run, played, round, first),
              tap: (kind, details) => tapFor(crew, kind, details),
            };
            const side = (s: "A" | "B") => name(crew.workers.filter((w) => sideOf(crew, w) === s));
            return (
              <PadFrame
                key={first}
                who={props.who}
                note={told.id === block.rungId ? props.note : `${told.name} · ${props.note}`}
                keyName={mainAct(taps, rung, block, crew.spot) ? (PAD_KEYS[i] ?? "") : ""}
                canTakeBack={taps.length > 0}
                onTakeBack={() => takeBack(crew)}
              >
                <PadOf {...props} a={side("A")} b={side("B")} />
              </PadFrame>
            );
          })}
        </ul>
      )}
      <div>
        {main && (
          <p className="text-mist">
            <strong className="text-chalk">Counts:</strong> {main.counts}{" "}
            <strong className="text-chalk">Does not:</strong> {main.countsNot}{" "}
            {inTheAir && "What is in the air at the stop does not count."}
          </p>
        )}
        <p className="mt-2 text-mist">
          {main?.measure === "MATCH"
            ? "Each pair keeps its own match. Press it to keep the sheet here:"
            : "Partners count. Press a name to tap for that spot yourself:"}
        </p>
        <ul className="mt-2 flex flex-wrap gap-2">
          {crews.map((crew) => {
            const on = shown.includes(crew);
            const first = crew.workers[0] ?? "";
            return (
              <li key={first}>
                <button
                  type="button"
                  aria-pressed={on}
                  className={`btn btn-small ${on ? "btn-main" : ""}`}
                  onClick={() => onWatch(on ? watched.filter((id) => !crew.workers.includes(id)) : [...watched, first])}
                >
                  <span className="clock text-sm opacity-75">{crew.spot + 1}</span> {name(crew.workers)}
                </button>
              </li>
            );
          })}
          <li>
            <Rungs run={run} played={played} round={round} record={record} />
          </li>
        </ul>
      </div>
    </section>
  );
}

function PadOf(props: PadProps & { a: string; b: string }) {
  switch (props.rung.measure) {
    case "HELD_FOR_TIME":
    case "TIME_FOR_N":
    case "COURSE_TIME":
      return <WatchPad {...props} />;
    case "LEVELS":
      return <LevelsPad {...props} />;
    case "RINGS":
      return <RingsPad {...props} />;
    case "MADE_FROM_SPOTS":
      return <SpotsPad {...props} />;
    case "KEEP_ALL":
      return <NumbersPad {...props} />;
    case "MATCH":
      return <MatchPad {...props} />;
    default:
      return <HitPad {...props} />;
  }
}
