import type { Run, RunScript, Segment } from "../../api/types";
import { CourseDrawing } from "../../room/course";
import { FamilyGlyph } from "../../ui/marble";
import { Term } from "../../ui/term";
import { blockKind, caution, clock, modifier, sideCall, timeAbout } from "../../words";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { calledNow } from "./called";
import { CalledWord } from "./called-word";
import { changeOf, changeWord } from "./calls";
import { ladderInForce } from "./in-force";
import { type Played, type Position, roundAt } from "./log";
import { rungOfSet } from "./rung-of-set";
import { atStation, circuitOf, visitOf } from "./stations";

const t = textsOf("run", saidRun);

export const kindWord: Record<Segment["kind"], string> = {
  SETUP: t("face.setUp"),
  EXPLAIN: t("face.explain"),
  COUNT_IN: "Count-in",
  WORK: t("face.work"),
  SIDE_SWAP: t("face.changeSides"),
  TURN_SWAP: t("face.changePlaces"),
  REST: t("face.rest"),
  TRANSITION: t("face.onToTheNextTask"),
  STATION_CHANGE: t("face.changeStations"),
  TALK: t("face.talk"),
  WATER: t("face.water"),
};

/** A change of turns is a change of places or of roles. */
export function wordOf(script: RunScript, segment: Segment): string {
  return segment.kind === "TURN_SWAP" ? changeWord[changeOf(script, segment)] : kindWord[segment.kind];
}

/** Time left, the task and its cue, big enough to be read from the other end of the room. */
export function Face({
  run,
  played,
  position,
  call,
  begun,
  small,
  tapping,
  station,
}: {
  run: Run;
  played: Played;
  position: Position;
  call: string;
  begun: boolean;
  small: boolean;
  /** pads are open below: the clock gives them room */
  tapping: boolean;
  /** of a circuit the station that this screen looks after, from 0 */
  station: number;
}) {
  const { segments, blocks } = run.sheet.script;
  const onNow = segments[position.segment];
  if (!onNow)
    return (
      <header>
        <p className={`digits ${small ? "text-7xl" : "text-[clamp(5rem,16vw,12.5rem)]"}`}>0:00</p>
      </header>
    );
  const segment = atStation(run.sheet.script, onNow, station);
  const circuit = circuitOf(run.sheet.script, segment.block);
  const visit = visitOf(run.sheet.script, segment);
  // In a transition the next task is what matters.
  const blockNumber = segment.kind === "TRANSITION" ? segment.block + 1 : segment.block;
  const block = blocks[blockNumber];
  const ladder = ladderInForce(run, block);
  const rung = ladder?.rungs.find((r) => block && r.id === rungOfSet(block, segment.set));
  const left = played.lengthMs(segment.index) - position.offsetMs;
  const round = segments[roundAt(segments, segment.index)];
  const inTurn = !circuit && round && round.block === segment.block && segment.kind !== "TRANSITION";
  const sideNow = segment.kind === "WORK" ? block?.sides[segment.side] : nextSide(segments, segment, blocks);
  const turns = block?.turns.length ?? 1;
  const sets = 1 + Math.max(0, ...segments.filter((s) => s.block === blockNumber).map((s) => s.set));
  const held = begun && !played.anchor.playing;
  const quiet = run.sheet.ladders.find((l) => l.id === block?.meanwhileLadderId);
  const quietRung = quiet?.rungs.find((r) => r.id === block?.meanwhileRungId);
  const turn = block?.turns[Math.max(0, segment.turn)];
  const called = !held && calledNow(run.sheet.script, segment, position.offsetMs);
  const time = block && block.kind !== "TASK" ? block.kind : undefined;
  const counting = rung?.measure.type === "COUNT_IN_TIME";
  const attitude = block?.attitude && attitudeSaid[block.attitude](counting);
  const extras = [
    ...(block && block.steps.length > 0 ? [t("face.inTurn", { steps: block.steps.join(", ") })] : []),
    ...(block && block.modifiers.length > 0
      ? [t("face.with", { modifiers: block.modifiers.map((m) => modifier[m]).join(", ") })]
      : []),
    ...(block?.note && !time ? [block.note] : []),
  ];
  const details = !small && time && <p className="mt-1 text-xl">{block?.note || timeAbout[time]}</p>;
  const taskDetails = !small && !time && (
    <>
      <p className="mt-1 text-xl">{ladder?.cues.join(" · ")}</p>
      <p className={`mt-1 text-mist ${tapping ? "hidden" : ""}`}>
        {rung?.task} {block?.reps ? t("face.doneEarly", { harder: rung?.harder }) : ""}
      </p>
      {extras.length > 0 && <p className="mt-1 text-mist">{extras.join(" ")}</p>}
      {block?.calls?.lie && segment.kind !== "WORK" && (
        <CourseDrawing
          course={{ markers: block.calls.lie, back: false }}
          words={block.calls.lie.map((m) => m.word)}
          night
          high={150}
        />
      )}
      {segment.kind === "EXPLAIN" || segment.kind === "SETUP" ? (
        <p className="mt-1 text-mist">
          {ladder?.roles.map((r) => `${r.name}: ${r.line}`).join(" ")} {t("face.takeCare")}{" "}
          {ladder?.cautions.map((c) => caution[c]).join(" ")}
        </p>
      ) : (
        quiet &&
        turn &&
        turn.waiting.length > 0 && (
          <p className="mt-1 flex items-center gap-2 text-lg">
            <FamilyGlyph family={quiet.family} size={20} />{" "}
            {t("face.quietTask", { count: turn.waiting.length, name: quiet.name })} {quietRung?.name.toLowerCase()}
          </p>
        )
      )}
    </>
  );
  return (
    <header
      className={`grid items-center gap-x-10 gap-y-2 ${small ? "grid-cols-[auto_minmax(0,1fr)]" : "lg:grid-cols-[auto_minmax(0,1fr)]"}`}
    >
      <p
        className={`digits min-w-[2.1em] ${small ? "text-7xl" : tapping ? "text-[clamp(5rem,15vw,8.5rem)]" : "text-[clamp(6rem,26vw,13rem)]"} ${segment.kind === "WORK" ? "" : "text-mist"}`}
        role="timer"
        aria-label={t("face.left", { kindWord: kindWord[segment.kind], ceil: clock(Math.ceil(left / 1000)) })}
      >
        {clock(Math.ceil(left / 1000))}
      </p>
      <div className="min-w-0">
        <p className="flex flex-wrap items-center gap-x-3 text-lg font-semibold">
          {ladder && <FamilyGlyph family={ladder.family} size={28} />}
          {ladder && <span>{ladder.name}</span>}
          <span className="text-mist">
            {held ? t("face.held") : begun ? wordOf(run.sheet.script, segment) : t("face.readyWhenYouAre")}
            {circuit &&
              segment.turn >= 0 &&
              ` · ${t("stations.visit", { n: visit.visit + 1, of: circuit.stations })} · ${t("stations.round", { n: visit.round + 1, of: circuit.rounds })}`}
            {inTurn && sets > 1 && t("face.setOf", { n: round.set + 1, sets })}
            {inTurn && turns > 1 && (
              <>
                {" · "}
                <Term of="turn">{t("face.turnOf", { n: round.turn + 1, turns })}</Term>
              </>
            )}
            {inTurn && played.isTrial(round.index) && t("face.aTrialNobodySBest")}
            {attitude && ` · ${attitude}`}
          </span>
        </p>
        <p className="font-head text-[clamp(1.7rem,3.4vw,2.9rem)] leading-tight font-bold" data-testid="call">
          {held ? t("face.hold") : call || (time ? blockKind[time] : rung?.name)}
          {sideNow && sideNow !== "NONE" && !held && !call && (
            <span className="ml-3 inline-block rounded-md bg-chalk px-3 text-night">{sideCall[sideNow]}</span>
          )}
        </p>
        {called && <CalledWord {...called} />}
        {details}
        {taskDetails}
      </div>
    </header>
  );
}

/** What is looked at first: how many, or how many in a row. */
const attitudeSaid = {
  PUSH: (counting: boolean) => (counting ? t("face.pushHowManyIsWhat") : "push"),
  CONTROL: (counting: boolean) => (counting ? t("face.controlHowManyInA") : "control"),
  EITHER: () => "",
};

function nextSide(segments: Segment[], from: Segment, blocks: Run["sheet"]["script"]["blocks"]) {
  if (from.kind !== "COUNT_IN" && from.kind !== "SIDE_SWAP") return undefined;
  const next = segments[from.index + 1];
  return next?.kind === "WORK" ? blocks[next.block]?.sides[next.side] : undefined;
}
