import { useEffect, useRef, useState } from "react";
import type { Crew, Run } from "../../api/types";
import { sideCall } from "../../words";
import { type Played, roundsOfTurn, type Tally, tallyKey } from "./log";
import type { useRun } from "./use-run";

/** All numbers of a turn in spot order: type, Enter, next. Taps are there already; whoever forgot is left out and asked again. */
export function Collect({
  run,
  played,
  counts,
  round,
  missing,
  onChoose,
  onClose,
  record,
}: {
  run: Run;
  played: Played;
  counts: Map<string, Tally>;
  round: number;
  missing: number[];
  onChoose: (round: number) => void;
  onClose: () => void;
  record: ReturnType<typeof useRun>["record"];
}) {
  const { segments, blocks } = run.sheet.script;
  const segment = segments[round];
  const block = segment && blocks[segment.block];
  const turn = segment && block?.turns[segment.turn];
  const form = useRef<HTMLFormElement>(null);
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
  const others = missing.filter((r) => r !== round);
  return (
    <form
      ref={form}
      aria-label="Collect the numbers"
      className="border-t-4 border-chalk pt-3"
      onSubmit={(e) => e.preventDefault()}
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
                  for (const crew of turn.crews)
                    if (!counts.has(tallyKey(r, played.take(r), crew.workers[0] ?? ""))) tell(r, crew, block.reps ?? 0);
              }}
            >
              All others did {block.reps}
            </button>
          )}
          <button type="button" className="btn btn-small" data-after onClick={onClose}>
            Done
          </button>
        </span>
      </div>
      {/* One column after the other and one side after the other, as the pupils stand and call. */}
      <div className={rounds.length > 1 ? "grid gap-x-8 gap-y-4 md:grid-cols-2" : ""}>
        {rounds.map((r) => {
          const side = block.sides[segments[r]?.side ?? 0] ?? "NONE";
          return (
            <div key={r}>
              {rounds.length > 1 && <h3 className="mb-1 font-bold">{sideCall[side]}</h3>}
              <ol className={`grid gap-x-6 ${rounds.length > 1 ? "" : "sm:grid-cols-2 lg:grid-cols-3"}`}>
                {turn.crews.map((crew) => {
                  const key = tallyKey(r, played.take(r), crew.workers[0] ?? "");
                  return (
                    <NumberLine
                      key={key}
                      label={`${name(crew.workers)}${side === "NONE" ? "" : `, ${sideCall[side].toLowerCase()}`}`}
                      spot={crew.spot + 1}
                      who={name(crew.workers)}
                      counter={name(crew.helpers)}
                      tally={counts.get(key)}
                      most={block.measure === "HITS_OF_N" ? block.reps : null}
                      onTell={(score) => tell(r, crew, score)}
                      onNext={goOn}
                    />
                  );
                })}
              </ol>
            </div>
          );
        })}
      </div>
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

function NumberLine({
  label,
  spot,
  who,
  counter,
  tally,
  most,
  onTell,
  onNext,
}: {
  label: string;
  spot: number;
  who: string;
  counter: string;
  tally: Tally | undefined;
  most: number | null;
  onTell: (score: number) => void;
  onNext: (from: HTMLInputElement) => void;
}) {
  const known = tally?.told ?? (tally ? tally.hits : null);
  const [text, setText] = useState(known === null ? "" : String(known));
  const [wrong, setWrong] = useState("");
  useEffect(() => {
    if (known !== null) setText(String(known));
  }, [known]);
  const send = (): boolean => {
    const typed = text.trim();
    if (typed === "") return true;
    if (!/^\d{1,5}$/.test(typed)) {
      setWrong("a whole number, please");
      return false;
    }
    if (most !== null && Number(typed) > most) {
      setWrong(`${most} tries at most`);
      return false;
    }
    setWrong("");
    if (Number(typed) !== known) onTell(Number(typed));
    return true;
  };
  return (
    <li className="flex items-center gap-3 border-b border-[#3a504d] py-1.5">
      <span className="clock w-6 text-right text-mist">{spot}</span>
      <span className="min-w-0 flex-1">
        <span className="font-semibold">{who}</span>
        <span className="block text-sm text-mist">
          {wrong ? (
            <span className="font-semibold text-[#ffb3a5]">{wrong}</span>
          ) : counter ? (
            `${counter} counted`
          ) : (
            "counted alone"
          )}
          {!wrong && tally && tally.told === null && " · tapped by you"}
        </span>
      </span>
      <input
        className="field num text-xl"
        style={{ width: "5rem", minHeight: "2.6rem" }}
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
    </li>
  );
}
