import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { against } from "../../api/queries";
import type { Crew, Run, RunEvent } from "../../api/types";
import { useOnDevice } from "../../ui/use-on-device";
import { againstOwn, sideCall, side as sideWord } from "../../words";
import { Dial, type DialTarget } from "./dial";
import { type Played, roundsOfTurn, type Tally } from "./log";
import { NumberBox } from "./number-box";
import { OwnWord } from "./own-word";
import { askedOf, resultOf, rungIn } from "./result-of";
import type { useRun } from "./use-run";

/** All numbers of a turn in spot order: type, Enter, next. Taps are there already; whoever forgot is left out and asked again. */
export function Collect({
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
  const { segments, blocks } = run.sheet.script;
  const segment = segments[round];
  const block = segment && blocks[segment.block];
  const turn = segment && block?.turns[segment.turn];
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
  if (!segment || !block || !turn) return null;
  const ladder = run.sheet.ladders.find((l) => l.id === block.ladderId);
  const rung = ladder?.rungs.find((r) => r.id === block.rungId);
  const rounds = roundsOfTurn(segments, round);
  const names = new Map(run.sheet.pupils.map((p) => [p.pupilId, p.name]));
  const name = (ids: string[]) => ids.map((id) => names.get(id) ?? "?").join(" & ");
  const tell = (r: number, crew: Crew, pupilId: string, score: number, timeMs: number | null) => {
    // A result of several is told once and stays joint; the sides of a match tell their own.
    const alone = rungIn(block, played.rungId(r, pupilId)).measure === "MATCH";
    for (const one of alone ? [pupilId] : crew.workers)
      record("COLLECT", { segment: r, take: played.take(r), pupilId: one, score, offsetMs: timeMs });
  };
  // From the last number back to whoever was left out.
  const goOn = (from: HTMLInputElement) => {
    const inputs = [...(form.current?.querySelectorAll("input") ?? [])];
    const open = (i: HTMLInputElement) => i !== from && i.dataset.open === "true" && i.value === "";
    const next = inputs.slice(inputs.indexOf(from) + 1).find(open) ?? inputs.find(open);
    if (next) next.focus();
    else form.current?.querySelector<HTMLButtonElement>("button[data-after]")?.focus();
  };
  const here = (crew: Crew) => crew.workers.some((w) => !played.away.has(w));
  const trial = rounds.some((r) => played.isTrial(r));
  const markTrial = () => {
    const said = events.filter((e) => e.kind === "TRIAL" && rounds.includes(e.segment ?? -1));
    for (const e of said) record("TAKE_BACK", { target: e.id });
    if (said.length === 0) for (const r of rounds) record("TRIAL", { segment: r, take: played.take(r) });
  };
  const reached = before.data?.filter((b) => b.metGate).length ?? 0;
  const bettered = before.data?.filter((b) => b.newBest).length ?? 0;
  const others = missing.filter((r) => r !== round);
  return (
    <form
      ref={form}
      aria-label="Collect the numbers"
      className="border-t-4 border-chalk pt-3"
      onSubmit={(e) => e.preventDefault()}
      onKeyDown={(e) => e.key === "Escape" && onClose()}
    >
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2>
          {ladder?.name}, turn {segment.turn + 1}: how many {rung?.unit}?
        </h2>
        <span className="text-mist">Type, Enter, next. Counts: {rung?.counts}</span>
        <span className="ml-auto flex gap-2">
          {block.reps && (
            <button
              type="button"
              className="btn btn-small"
              onClick={() => {
                for (const r of rounds)
                  for (const crew of turn.crews.filter(here))
                    for (const pupilId of askedOf(block, played, r, crew))
                      if (!resultOf(run.sheet.script, played, counts, r, crew, pupilId))
                        tell(r, crew, pupilId, block.reps ?? 0, null);
              }}
            >
              All others did {block.reps}
            </button>
          )}
          <button
            type="button"
            className="btn btn-small"
            aria-pressed={trial}
            onClick={markTrial}
            title="A trial is kept, and is nobody's first or best"
          >
            {trial ? "A trial: nobody’s best" : "It was a trial"}
          </button>
          <button type="button" className="btn btn-small" aria-pressed={dial} onClick={() => setDial(!dial)}>
            Dial
          </button>
          <button type="button" className="btn btn-small" data-after onClick={onClose}>
            Done <kbd className="hidden text-sm font-normal opacity-75 sm:inline">esc</kbd>
          </button>
        </span>
      </div>
      {/* As the pupils stand and call: one spot after the other, both sides of a spot together. */}
      <div className="flex flex-col gap-5 sm:flex-row">
        <ol className="min-w-0 flex-1 gap-x-8 lg:columns-2">
          {turn.crews.filter(here).map((crew) => (
            <li key={crew.spot} className="flex break-inside-avoid items-center gap-3 border-b border-[#3a504d] py-1">
              <span className="clock w-6 text-right text-mist">{crew.spot + 1}</span>
              <span className="min-w-0 flex-1 leading-tight">
                <span className="font-semibold">{name(crew.workers)}</span>
                <span className="block truncate text-sm text-mist">
                  {crew.helpers.length ? `${name(crew.helpers)} counted` : "counted alone"}
                </span>
              </span>
              {rounds.map((r) => {
                const side = block.sides[segments[r]?.side ?? 0] ?? "NONE";
                const asked = askedOf(block, played, r, crew);
                return asked.map((pupilId) => {
                  const whose = asked.length > 1 ? name([pupilId]) : name(crew.workers);
                  const counted = rungIn(block, played.rungId(r, pupilId));
                  return (
                    <NumberBox
                      key={`${r}/${played.take(r)}/${pupilId}`}
                      label={`${whose}${side === "NONE" ? "" : `, ${sideCall[side].toLowerCase()}`}`}
                      side={asked.length > 1 ? whose : rounds.length > 1 ? sideWord[side] : ""}
                      known={resultOf(run.sheet.script, played, counts, r, crew, pupilId)}
                      own={againstOwn(
                        before.data?.find((b) => b.segment === r && b.pupilId === pupilId),
                        crew.workers.length > 1 && asked.length === 1,
                      )}
                      most={counted.measure === "HITS_OF_N" ? block.reps : null}
                      timed={counted.measure === "TIME_FOR_N" || counted.measure === "COURSE_TIME"}
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
        {dial && <Dial to={() => active.current} />}
      </div>
      {before.data && before.data.length > 0 && (
        <p className="mt-3 text-lg" role="status" data-testid="round-said">
          {reached === 0 ? "Nobody has reached the gate in this round" : `${reached} reached the gate`}
          {bettered > 0 && `, ${bettered} ${bettered === 1 ? "is" : "are"} better than ever before`}.
        </p>
      )}
      {others.length > 0 && (
        <p className="mt-3 flex flex-wrap items-center gap-2">
          <span className="text-mist">Numbers still missing:</span>
          {others.map((r) => {
            const s = segments[r];
            const l = run.sheet.ladders.find((x) => x.id === blocks[s?.block ?? 0]?.ladderId);
            return (
              <button key={r} type="button" className="btn btn-small" onClick={() => onChoose(r)}>
                {l?.name}, set {(s?.set ?? 0) + 1}, turn {(s?.turn ?? 0) + 1}
              </button>
            );
          })}
        </p>
      )}
    </form>
  );
}
