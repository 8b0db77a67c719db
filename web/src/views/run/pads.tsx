import { type RefObject, useEffect, useRef } from "react";
import type { Crew, Ladder, Run, RunScript, ScriptTurn, Segment, Tap } from "../../api/types";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { thisDevice } from "./device";
import { ladderInForce } from "./in-force";
import { type Played, roundAt, type Tally, tallyKey } from "./log";
import { viewOf } from "./measures";
import { PadFrame, type PadProps } from "./measures/shared/pad";
import { bestBefore, rungIn, sideOf } from "./result-of";
import { rungOfSet } from "./rung-of-set";
import { Rungs } from "./rungs";
import { sharedNow } from "./shared-clock";
import { circuitOf, ofStation } from "./stations";
import type { useRun } from "./use-run";
import { WhomToWatch } from "./whom-to-watch";

const say = textsOf("run", saidRun);

/** Keys for pads, in the order of the pads; none of them is a command. */
const PAD_KEYS = ["q", "w", "e", "r", "t", "y", "u", "i", "o", "z", "x", "c"];

/** Pads for the few whom the adult watches; for all others the partner counts. */
export function Pads(
  props: Omit<Parameters<typeof Spots>[0], "round" | "work" | "block" | "turn" | "ladder" | "mine">,
) {
  const { run, segment, station } = props;
  // The taps made on this screen, so that a pad can take back its own last one.
  const mine = useRef<{ id: string; key: string }[]>([]);
  const { segments, blocks } = run.sheet.script;
  const nextWork = segments.find((s) => s.kind === "WORK" && s.beside == null && s.index >= segment.index);
  const byTheClock = ["WORK", "SIDE_SWAP"].includes(segment.kind)
    ? roundAt(segments, segment.index)
    : (nextWork?.index ?? -1);
  const round = ofStation(run.sheet.script, byTheClock, station);
  const work = segments[round];
  const block = work && blocks[work.block];
  const turn = block?.turns[work?.turn ?? 0];
  const ladder = ladderInForce(run, block);
  if (!work || !block || !turn || !ladder) return null;
  if (!block.counted)
    return (
      <div className="flex flex-wrap items-center gap-3">
        <p className="text-mist">{say("pads.nothingIsCountedHere")}</p>
        {block.choose && <Rungs run={run} played={props.played} round={round} record={props.record} />}
      </div>
    );
  return <Spots {...props} round={round} work={work} block={block} turn={turn} ladder={ladder} mine={mine} />;
}

/** Who is at which spot, what was tapped for them, and the keys. */
function useSpots({
  round,
  work,
  block,
  turn,
  ladder,
  mine,
  run,
  played,
  counts,
  segment,
  watched,
  onWatch,
  record,
}: {
  round: number;
  work: Segment;
  block: RunScript["blocks"][number];
  turn: ScriptTurn;
  ladder: Ladder;
  mine: RefObject<{ id: string; key: string }[]>;
  run: Run;
  played: Played;
  counts: Map<string, Tally>;
  segment: Segment;
  /** of a circuit the station that this screen looks after, from 0 */
  station: number;
  watched: string[];
  onWatch: (ids: string[]) => void;
  record: ReturnType<typeof useRun>["record"];
}) {
  // At a station only those of the group that is there can be watched.
  const stationsOwn = circuitOf(run.sheet.script, work.block)
    ? new Set([...turn.waiting, ...turn.crews.flatMap((c) => [...c.workers, ...c.helpers])])
    : undefined;
  const names = new Map(run.sheet.pupils.map((p) => [p.pupilId, p.name]));
  const name = (ids: string[]) => ids.map((id) => names.get(id) ?? "?").join(" & ");
  const crews = turn.crews.filter((c) => c.workers.some((w) => !played.away.has(w)));
  const shown = crews.filter((c) => c.workers.some((w) => watched.includes(w))).slice(0, PAD_KEYS.length);
  const open = segment.kind === "WORK" || segment.kind === "SIDE_SWAP";
  const take = played.take(round);

  /** Who of a crew is here: what they do together is kept under the first. */
  const firstOf = (crew: Crew) => crew.workers.find((w) => !played.away.has(w)) ?? crew.workers[0] ?? "";
  const of = (crew: Crew) => {
    const first = firstOf(crew);
    const rung = rungIn(block, played.rungId(round, first));
    const all = counts.get(tallyKey(round, take, first));
    // Whoever taps sees what they tapped, also where another device counts the same pupil.
    const taps: Tap[] = (all?.by.find((c) => c.device === thisDevice()) ?? all)?.taps ?? [];
    // A match has one sheet, kept under its first player; all else is tapped for everyone who shares the result.
    const whose = rung && viewOf(rung.measure).bySide ? [first] : crew.workers.filter((w) => !played.away.has(w));
    return { first, rung, taps, whose };
  };
  const tapFor = (crew: Crew, tap: Tap) => {
    if (!open) return;
    for (const pupilId of of(crew).whose) {
      const made = record({ type: "TAPPED", segment: round, take, pupilId, tap });
      mine.current.push({ id: made.id, key: tallyKey(round, take, pupilId) });
    }
  };
  const takeBack = (crew: Crew) => {
    for (const pupilId of of(crew).whose) {
      const index = mine.current.map((t) => t.key).lastIndexOf(tallyKey(round, take, pupilId));
      const [last] = index < 0 ? [] : mine.current.splice(index, 1);
      if (last) record({ type: "TAKE_BACK", target: last.id });
    }
  };
  const workedMs = () => Math.round(played.workedMs(round, take, sharedNow()) ?? 0);

  const byKey = useRef<(e: KeyboardEvent) => void>(() => {});
  byKey.current = (e) => {
    if (e.ctrlKey || e.metaKey || e.altKey || e.repeat) return;
    if (e.target instanceof HTMLElement && e.target.closest("input, textarea, [role=dialog]")) return;
    const crew = shown[PAD_KEYS.indexOf(e.key.toLowerCase())];
    const { rung, taps } = crew ? of(crew) : {};
    if (!crew || !rung || !taps) return;
    const view = viewOf(rung.measure);
    const tap = e.shiftKey ? view.miss : view.key(taps, rung.measure, { block, spot: crew.spot, workedMs });
    if (tap) tapFor(crew, tap);
  };
  useEffect(() => {
    const listen = (e: KeyboardEvent) => byKey.current(e);
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, []);

  const planned = rungOfSet(block, work.set);
  const main = ladder.rungs.find((r) => r.id === planned);
  // What is drawn to be pointed at, or has rows of words, needs half the width.
  const wide = shown.some((crew) => {
    const { rung } = of(crew);
    return rung && viewOf(rung.measure).wide;
  });
  return {
    round,
    work,
    block,
    ladder,
    run,
    played,
    counts,
    watched,
    onWatch,
    record,
    stationsOwn,
    name,
    crews,
    shown,
    open,
    take,
    firstOf,
    of,
    tapFor,
    takeBack,
    workedMs,
    planned,
    main,
    wide,
  };
}

type Parts = ReturnType<typeof useSpots>;

/** The pads of the spots that are watched, and the names of all. */
function Spots(props: Parameters<typeof useSpots>[0]) {
  const parts = useSpots(props);
  const { work, run, played, watched, onWatch, stationsOwn, main } = parts;
  return (
    <section aria-label={say("pads.pads")} data-block={work.block} className="space-y-3">
      <ShownPads {...parts} />
      <div>
        {main && (
          <p className="text-mist">
            <strong className="text-chalk">{say("pads.counts")}</strong> {main.counts}{" "}
            <strong className="text-chalk">{say("pads.not")}</strong> {main.countsNot}
          </p>
        )}
        <WhomToWatch
          run={run}
          block={work.block}
          away={played.away}
          here={stationsOwn}
          watched={watched}
          onWatch={onWatch}
        />
        <p className="mt-2 text-mist">
          {main && viewOf(main.measure).bySide ? say("pads.eachPairKeepsItsOwn") : say("pads.partnersCountPressAName")}
        </p>
        <EverySpot {...parts} />
      </div>
    </section>
  );
}

/** A pad for each spot that is watched. */
function ShownPads({
  round,
  block,
  ladder,
  run,
  played,

  name,
  shown,
  open,
  of,
  tapFor,
  takeBack,
  workedMs,
  planned,
  main,
  wide,
}: Parts) {
  // Helpers stand in the order of the parts that do not work.
  const helpParts = ladder.roles.filter((r) => !r.works).map((r) => r.name);
  return (
    <>
      {shown.length > 0 && (
        <ul className={`grid gap-3 ${wide ? "md:grid-cols-2" : "sm:grid-cols-2 lg:grid-cols-3"}`}>
          {shown.map((crew, i) => {
            const { first, rung, taps } = of(crew);
            const told = ladder.rungs.find((r) => r.id === rung?.id) ?? main;
            if (!rung || !told) return null;
            const view = viewOf(rung.measure);
            const onSide = (s: "A" | "B") => crew.workers.filter((w) => sideOf(crew, w) === s);
            const props: PadProps = {
              who: name(crew.workers),
              note:
                crew.helpers.length > 0
                  ? crew.helpers
                      .map((id, k) =>
                        say("pads.helps", { name: name([id]), part: helpParts[k] ?? say("pads.counter") }),
                      )
                      .join(" · ")
                  : say("pads.themselves", { n: crew.workers.length }),
              taps,
              measure: rung.measure,
              stairs: rung.stairs,
              told,
              block,
              spot: crew.spot,
              open,
              running: played.anchor.playing,
              workedMs,
              best: crew.workers.length > 1 ? undefined : bestBefore(run, played, round, first),
              tap: (tap) => tapFor(crew, tap),
              crew: [...crew.workers, ...crew.helpers]
                .filter((id) => !played.away.has(id))
                .map((id) => ({ id, name: name([id]) })),
              joint: crew.workers.length > 1,
              sides: { A: name(onSide("A")), B: name(onSide("B")) },
              players: { A: onSide("A").map((id) => name([id])), B: onSide("B").map((id) => name([id])) },
            };
            return (
              <PadFrame
                key={first}
                who={props.who}
                note={told.id === planned ? props.note : `${told.name} · ${props.note}`}
                keyName={view.key(taps, rung.measure, { block, spot: crew.spot, workedMs }) ? (PAD_KEYS[i] ?? "") : ""}
                canTakeBack={taps.length > 0}
                onTakeBack={() => takeBack(crew)}
              >
                <view.Pad {...props} />
              </PadFrame>
            );
          })}
        </ul>
      )}
    </>
  );
}

/** All spots by name; a press brings a pad. */
function EverySpot({ round, run, played, counts, watched, onWatch, record, name, crews, shown, take, firstOf }: Parts) {
  return (
    <ul className="mt-2 flex flex-wrap gap-2">
      {crews.map((crew) => {
        const on = shown.includes(crew);
        const first = crew.workers[0] ?? "";
        // What a device or another screen counts there is seen without a pad.
        const hits = counts.get(tallyKey(round, take, firstOf(crew)))?.taps.filter((tap) => tap.type === "HIT").length;
        return (
          <li key={first}>
            <button
              type="button"
              aria-pressed={on}
              className={`btn btn-small ${on ? "btn-main" : ""}`}
              onClick={() => onWatch(on ? watched.filter((id) => !crew.workers.includes(id)) : [...watched, first])}
            >
              <span className="clock text-sm opacity-75">{crew.spot + 1}</span> {name(crew.workers)}
              {!on && !!hits && <strong className="clock ml-1">{hits}</strong>}
            </button>
          </li>
        );
      })}
      <li>
        <Rungs run={run} played={played} round={round} record={record} />
      </li>
    </ul>
  );
}
