import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { against } from "../../api/queries";
import type { Crew, Run, RunEvent, RunScript, ScriptTurn, Segment } from "../../api/types";
import { Term } from "../../ui/term";
import { useOnDevice } from "../../ui/use-on-device";
import { againstOwn, sideCall, side as sideWord } from "../../words";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { Dial, type DialTarget } from "./dial";
import { ladderInForce } from "./in-force";
import { is, type Played, roundsOfTurn, type Tally } from "./log";
import { viewOf } from "./measures";
import { NumberBox } from "./number-box";
import { OwnWord } from "./own-word";
import { askedOf, resultOf, rungIn } from "./result-of";
import { blockName, roundName, turnName } from "./round-name";
import { sharedNow } from "./shared-clock";
import { circuitOf } from "./stations";
import type { useRun } from "./use-run";

const t = textsOf("run", saidRun);

/** All numbers of a turn in spot order: type, Enter, next. Taps are there already; whoever forgot is left out and asked again. */
export function Collect(props: Omit<Parameters<typeof Sheet>[0], "segment" | "block" | "turn">) {
  const { segments, blocks } = props.run.sheet.script;
  const segment = segments[props.round];
  const block = segment && blocks[segment.block];
  const turn = block?.turns[segment?.turn ?? 0];
  return segment && block && turn ? <Sheet {...props} segment={segment} block={block} turn={turn} /> : null;
}

/** Who is asked for which number, and what is known of it. */
function useSheet({
  segment,
  block,
  turn,
  run,
  played,
  counts,
  events,
  round,
  missing,
  sent,
  onChoose,
  onClose,
  record,
}: {
  segment: Segment;
  block: RunScript["blocks"][number];
  turn: ScriptTurn;
  run: Run;
  played: Played;
  counts: Map<string, Tally>;
  events: RunEvent[];
  round: number;
  missing: number[];
  /** whether the server has all that was counted here */
  sent: boolean;
  onChoose: (round: number) => void;
  onClose: () => void;
  record: ReturnType<typeof useRun>["record"];
}) {
  const { script } = run.sheet;
  const { segments } = script;
  const form = useRef<HTMLFormElement>(null);
  const active = useRef<DialTarget>(null);
  const [dial, setDial] = useOnDevice<boolean>("marble.dial", !!globalThis.matchMedia?.("(pointer: coarse)").matches);
  const before = useQuery({
    ...against(run.id, round, counts.size),
    enabled: sent && counts.size > 0,
    placeholderData: keepPreviousData,
  });
  useEffect(() => {
    form.current?.querySelector<HTMLInputElement>("input[data-open=true]")?.focus();
  }, []);
  const ladder = ladderInForce(run, block);
  const rungs = ladder?.rungs ?? [];
  const rounds = roundsOfTurn(segments, round);
  const nowMs = sharedNow();
  const names = new Map(run.sheet.pupils.map((p) => [p.pupilId, p.name]));
  const name = (ids: string[]) => ids.map((id) => names.get(id) ?? "?").join(" & ");
  const here = (crew: Crew) => crew.workers.filter((w) => !played.away.has(w));
  const crews = turn.crews.filter((crew) => here(crew).length > 0);
  const known = (r: number, crew: Crew, pupilId: string) => resultOf(script, played, counts, r, crew, pupilId, nowMs);
  const measureOf = (r: number, pupilId: string) => rungIn(block, played.rungId(r, pupilId)).measure;
  /** The round's seconds: those that were worked, else those that were planned. */
  const secOf = (r: number) => Math.round((played.workedMs(r, played.take(r), nowMs) ?? played.lengthMs(r)) / 1000);
  /** Whoever went on early may have gone on counting: what was planned is the bound. */
  const boundSec = (r: number) => Math.max(secOf(r), Math.round(played.lengthMs(r) / 1000));
  const question = (r: number, pupilId: string) => {
    const rung = rungs.find((x) => x.id === played.rungId(r, pupilId));
    const measure = measureOf(r, pupilId);
    return rung ? viewOf(measure).ask(rung, measure, block.reps === null ? secOf(r) : 0) : "";
  };
  const tell = (r: number, crew: Crew, pupilId: string, score: number, timeMs: number | null) => {
    // A result of several is told once and stays joint; the sides of a match tell their own.
    const alone = viewOf(measureOf(r, pupilId)).bySide;
    for (const one of alone ? [pupilId] : here(crew))
      record({ type: "TOLD", segment: r, take: played.take(r), pupilId: one, score, timeMs });
  };
  // From the last number back to whoever was left out.
  const goOn = (from: HTMLInputElement) => {
    const inputs = [...(form.current?.querySelectorAll("input") ?? [])];
    const open = (i: HTMLInputElement) => i !== from && i.dataset.open === "true" && i.value === "";
    const next = inputs.slice(inputs.indexOf(from) + 1).find(open) ?? inputs.find(open);
    if (next) next.focus();
    else form.current?.querySelector<HTMLButtonElement>("button[data-after]")?.focus();
  };
  const trial = rounds.some((r) => played.isTrial(r));
  const markTrial = () => {
    const said = events.filter(is("TRIAL")).filter((e) => rounds.includes(e.what.segment));
    for (const e of said) record({ type: "TAKE_BACK", target: e.id });
    if (said.length === 0) for (const r of rounds) record({ type: "TRIAL", segment: r, take: played.take(r) });
  };
  const asked = rounds.flatMap((r) =>
    crews.flatMap((crew) => askedOf(block, played, r, crew).map((pupilId) => ({ r, crew, pupilId }))),
  );
  const questions = new Set(asked.map((a) => question(a.r, a.pupilId)));
  const rungsHere = new Set(asked.map((a) => played.rungId(a.r, a.pupilId)));
  const one = questions.size <= 1 && rungsHere.size <= 1;
  const rungHere = rungs.find((r) => rungsHere.has(r.id));
  const reps = block.reps;
  const undone =
    reps === null
      ? []
      : asked.filter((a) => viewOf(measureOf(a.r, a.pupilId)).allDone && !known(a.r, a.crew, a.pupilId));
  const reached = before.data?.filter((b) => b.metGate).length ?? 0;
  const bettered = before.data?.filter((b) => b.newBest).length ?? 0;
  const broken = before.data?.find((b) => b.brokenOff);
  const others = missing.filter((r) => r !== round);
  return {
    questions,
    segment,
    block,
    run,
    played,
    events,
    round,
    onChoose,
    onClose,
    record,
    script,
    segments,
    form,
    active,
    dial,
    setDial,
    before,
    ladder,
    rungs,
    rounds,
    name,
    here,
    crews,
    known,
    measureOf,
    boundSec,
    question,
    tell,
    goOn,
    trial,
    markTrial,
    rungsHere,
    one,
    rungHere,
    reps,
    undone,
    reached,
    bettered,
    broken,
    others,
  };
}

type Parts = ReturnType<typeof useSheet>;

function Sheet(props: Parameters<typeof useSheet>[0]) {
  const parts = useSheet(props);
  const { run, played, onChoose, onClose, form, active, dial, before, reached, bettered, broken, others } = parts;
  return (
    <form
      ref={form}
      aria-label={t("collect.collectTheNumbers")}
      className="border-t-4 border-chalk pt-3"
      onSubmit={(e) => e.preventDefault()}
      onKeyDown={(e) => e.key === "Escape" && onClose()}
    >
      <Head {...parts} />
      {/* As the pupils stand and call: one spot after the other, both sides of a spot together. */}
      <div className="flex flex-col gap-5 sm:flex-row">
        <Rows {...parts} />
        {dial && <Dial to={() => active.current} />}
      </div>
      {before.data && before.data.length > 0 && (
        <p className="mt-3 text-lg" role="status" data-testid="round-said">
          {broken && t("collect.brokenOffAfterSNobody", { workSec: broken.workSec })}
          <Term of="gate">
            {reached === 0 ? t("collect.nobodyHasReachedTheGate") : t("collect.reachedTheGate", { reached })}
          </Term>
          {bettered > 0 && t("collect.betterThanEverBefore", { bettered })}.
        </p>
      )}
      {others.length > 0 && (
        <p className="mt-3 flex flex-wrap items-center gap-2">
          <span className="text-mist">{t("collect.numbersStillMissing")}</span>
          {others.map((r) => (
            <button key={r} type="button" className="btn btn-small whitespace-normal!" onClick={() => onChoose(r)}>
              {roundName(run, r, played)}
            </button>
          ))}
        </p>
      )}
    </form>
  );
}

/** What is asked, and what holds for all of them. */
function Head({
  questions,
  segment,
  run,
  played,
  round,
  onClose,
  script,
  dial,
  setDial,
  ladder,

  tell,
  trial,
  markTrial,
  rungsHere,
  one,
  rungHere,
  reps,
  undone,
}: Parts) {
  return (
    <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
      <div>
        <p className="text-mist">
          {[
            ladder && !circuitOf(script, segment.block)
              ? `${segment.block + 1} ${ladder.name}`
              : blockName(run, segment.block),
            rungsHere.size === 1 && rungHere?.name,
            turnName(run, round, played),
          ]
            .filter(Boolean)
            .join(" · ")}
        </p>
        <h2>{one ? [...questions][0] : t("collect.eachOnTheirOwnRung")}</h2>
      </div>
      {one && (
        <span className="text-mist">
          {t("collect.counts")} {rungHere?.counts}
        </span>
      )}
      <span className="ml-auto flex flex-wrap gap-2">
        {undone.length > 0 && (
          <button
            type="button"
            className="btn btn-small"
            onClick={() => {
              for (const a of undone) tell(a.r, a.crew, a.pupilId, reps ?? 0, null);
            }}
          >
            {t("collect.allOthersDid")} {reps}
          </button>
        )}
        <button
          type="button"
          className="btn btn-small"
          aria-pressed={trial}
          onClick={markTrial}
          title={t("collect.aTrialIsKept")}
        >
          {trial ? t("collect.aTrialNobodySBest") : t("collect.itWasATrial")}
        </button>
        <button type="button" className="btn btn-small" aria-pressed={dial} onClick={() => setDial(!dial)}>
          {t("collect.dial")}
        </button>
        <button type="button" className="btn btn-small" data-after onClick={onClose}>
          {t("collect.done")} <kbd className="hidden text-sm font-normal opacity-75 sm:inline">{t("collect.esc")}</kbd>
        </button>
      </span>
    </div>
  );
}

/** A line for each spot, as the pupils stand. */
function Rows({
  block,
  played,
  events,
  round,
  record,
  segments,
  active,
  dial,
  before,
  rungs,
  rounds,
  name,
  here,
  crews,
  known,
  measureOf,
  boundSec,
  question,
  tell,
  goOn,
  one,
}: Parts) {
  return (
    <ol className="min-w-0 flex-1 gap-x-8 lg:columns-2">
      {crews.map((crew) => (
        <li
          key={crew.spot}
          className="flex break-inside-avoid flex-wrap items-center gap-x-3 gap-y-1 border-b border-[#3a504d] py-1"
        >
          <span className="clock w-6 text-right text-mist">{crew.spot + 1}</span>
          <span className="min-w-32 flex-1 leading-tight">
            <span className="font-semibold">{name(here(crew))}</span>
            <span className="block text-sm text-mist">
              {crew.helpers.length
                ? t("collect.counted", { helpers: name(crew.helpers) })
                : crew.workers.length > 1
                  ? t("collect.countedForThemselves")
                  : t("collect.countedAlone")}
            </span>
            {!one && (
              <span className="block text-sm">
                {rungs.find((r) => r.id === played.rungId(round, here(crew)[0] ?? ""))?.name}:{" "}
                {question(round, here(crew)[0] ?? "")}
              </span>
            )}
          </span>
          {rounds.map((r) => {
            const side = block.sides[segments[r]?.side ?? 0] ?? "NONE";
            const whom = askedOf(block, played, r, crew);
            return whom.map((pupilId) => {
              const whose = whom.length > 1 ? name([pupilId]) : name(here(crew));
              const measure = measureOf(r, pupilId);
              const view = viewOf(measure);
              return (
                <NumberBox
                  key={`${r}/${played.take(r)}/${pupilId}`}
                  label={`${whose}${side === "NONE" ? "" : `, ${sideCall[side].toLowerCase()}`}`}
                  side={whom.length > 1 ? whose : rounds.length > 1 ? sideWord[side] : ""}
                  known={known(r, crew, pupilId)}
                  own={againstOwn(
                    before.data?.find((b) => b.segment === r && b.pupilId === pupilId),
                    crew.workers.length > 1 && whom.length === 1,
                  )}
                  most={view.most(measure, boundSec(r))}
                  within={
                    "n" in measure && measure.n !== null
                      ? t("collect.ofSoMany")
                      : t("collect.inS", { boundSec: boundSec(r) })
                  }
                  timed={view.timed ?? false}
                  dial={dial}
                  active={active}
                  onTell={(score, timeMs) => tell(r, crew, pupilId, score, timeMs)}
                  onNext={goOn}
                />
              );
            });
          })}
          {crew.workers.length === 1 && (
            <OwnWord
              name={name(crew.workers)}
              pupilId={crew.workers[0] ?? ""}
              round={rounds.at(-1) ?? round}
              events={events}
              record={record}
            />
          )}
        </li>
      ))}
    </ol>
  );
}
