import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { against } from "../../api/queries";
import type { Crew, Run } from "../../api/types";
import { againstOwn, sideCall, side as sideWord } from "../../words";
import { type Played, roundsOfTurn, type Tally, tallyKey } from "./log";
import type { useRun } from "./use-run";

/** All numbers of a turn in spot order: type, Enter, next. Taps are there already; whoever forgot is left out and asked again. */
export function Collect({
  run,
  played,
  counts,
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
  const tell = (r: number, crew: Crew, score: number) => {
    for (const pupilId of crew.workers) record("COLLECT", { segment: r, take: played.take(r), pupilId, score });
  };
  const goOn = (from: HTMLInputElement) => {
    const inputs = [...(form.current?.querySelectorAll("input") ?? [])];
    const next = inputs[inputs.indexOf(from) + 1];
    if (next) next.focus();
    else form.current?.querySelector<HTMLButtonElement>("button[data-after]")?.focus();
  };
  const here = (crew: Crew) => crew.workers.some((w) => !played.away.has(w));
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
                    if (!counts.has(tallyKey(r, played.take(r), crew.workers[0] ?? ""))) tell(r, crew, block.reps ?? 0);
              }}
            >
              All others did {block.reps}
            </button>
          )}
          <button type="button" className="btn btn-small" data-after onClick={onClose}>
            Done <kbd className="hidden text-sm font-normal opacity-75 sm:inline">esc</kbd>
          </button>
        </span>
      </div>
      {/* As the pupils stand and call: one spot after the other, both sides of a spot together. */}
      <ol className="gap-x-10 sm:columns-2">
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
              const key = tallyKey(r, played.take(r), crew.workers[0] ?? "");
              return (
                <NumberBox
                  key={key}
                  label={`${name(crew.workers)}${side === "NONE" ? "" : `, ${sideCall[side].toLowerCase()}`}`}
                  side={rounds.length > 1 ? sideWord[side] : ""}
                  tally={counts.get(key)}
                  own={againstOwn(
                    before.data?.find((b) => b.segment === r && b.pupilId === crew.workers[0]),
                    crew.workers.length > 1,
                  )}
                  most={block.measure === "HITS_OF_N" ? block.reps : null}
                  onTell={(score) => tell(r, crew, score)}
                  onNext={goOn}
                />
              );
            })}
          </li>
        ))}
      </ol>
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

function NumberBox({
  label,
  side,
  tally,
  own,
  most,
  onTell,
  onNext,
}: {
  label: string;
  side: string;
  tally: Tally | undefined;
  own: string;
  most: number | null;
  onTell: (score: number) => void;
  onNext: (from: HTMLInputElement) => void;
}) {
  const known = tally?.told ?? (tally ? tally.hits : null);
  const [text, setText] = useState(known === null ? "" : String(known));
  const [wrong, setWrong] = useState("");
  // Enter sends and then leaves the field, which would send again.
  const sent = useRef<number | null>(null);
  useEffect(() => {
    sent.current = null;
    if (known !== null) setText(String(known));
  }, [known]);
  const send = (): boolean => {
    const typed = text.trim();
    const must = !/^\d{0,5}$/.test(typed)
      ? "no number"
      : most !== null && Number(typed) > most
        ? `${most} at most`
        : "";
    setWrong(must);
    const number = Number(typed);
    if (must === "" && typed !== "" && number !== known && number !== sent.current) {
      sent.current = number;
      onTell(number);
    }
    return must === "";
  };
  const note = wrong || (tally && tally.told === null ? "tapped" : side);
  return (
    <span className="w-20 text-center leading-tight">
      <input
        className="field num text-xl"
        style={{ width: "100%", minHeight: "2.2rem" }}
        inputMode="numeric"
        enterKeyHint="next"
        aria-label={label}
        aria-invalid={!!wrong}
        data-open={known === null}
        value={text}
        onFocus={(e) => e.target.select()}
        onChange={(e) => setText(e.target.value)}
        onBlur={send}
        onKeyDown={(e) => {
          if (e.key !== "Enter") return;
          e.preventDefault();
          if (send()) onNext(e.currentTarget);
        }}
      />
      {(side || note) && (
        <span
          className={`block text-xs ${wrong ? "font-semibold text-[#ffb3a5]" : "text-mist"}`}
          role={wrong ? "alert" : undefined}
        >
          {wrong ? wrong : [side, note !== side && note].filter(Boolean).join(" · ")}
        </span>
      )}
      {own && !wrong && <span className="block text-xs text-mist">{own}</span>}
    </span>
  );
}
