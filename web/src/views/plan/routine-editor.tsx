import { ArrowUp, Trash2 } from "lucide-react";
import type { Block, BlockPlan } from "../../api/types";
import { NumberField } from "../../ui/fields";
import { timeAbout } from "../../words";
import { texts } from "../../words/texts";
import { MoveButtons, type Movers } from "./block-editor";
import { KeptRoutines } from "./kept-routines";

const t = texts("plan");

type Routine = NonNullable<Block["routine"]>;
type Move = Routine["moves"][number];

/** Small moves in order, with counts, seconds and sides. How long it takes in all, and how many that are, the core says. */
export function RoutineEditor({
  block,
  routine,
  plan,
  must,
  onChange,
  ...movers
}: {
  block: Block;
  routine: Routine;
  plan: BlockPlan | undefined;
  must: (field: string) => string | undefined;
  onChange: (block: Block, step: string) => void;
} & Movers) {
  const set = (next: Partial<Routine>, step: string) =>
    onChange({ ...block, routine: { ...routine, ...next } }, `routine ${step}`);
  const setMove = (at: number, next: Partial<Move>, step: string) =>
    set({ moves: routine.moves.map((m, i) => (i === at ? { ...m, ...next } : m)) }, `${step} ${at}`);
  const earlier = (at: number) => {
    const moves = [...routine.moves];
    moves.splice(at - 1, 0, ...moves.splice(at, 1));
    set({ moves }, t("routineEditor.earlier", { at, now: Date.now() }));
  };
  return (
    <fieldset disabled={movers.readOnly} className="min-w-0 space-y-3 pr-3 pb-4 pl-4 sm:pl-12">
      <p>{timeAbout.ROUTINE}</p>
      <div className="flex flex-wrap items-center gap-2">
        <input
          className="field min-w-56 flex-1 font-semibold"
          aria-label={t("routine.name")}
          aria-invalid={!!must("routine.name")}
          maxLength={60}
          value={routine.name}
          onChange={(e) => set({ name: e.target.value }, "name")}
        />
        <NumberField
          label={t("routine.sets")}
          unit={t("routine.sets")}
          value={block.sets}
          must={must("sets")}
          onChange={(sets) => onChange({ ...block, sets: sets as number }, "sets")}
        />
      </div>
      <ol className="space-y-2">
        {routine.moves.map((move, i) => (
          <li
            // biome-ignore lint/suspicious/noArrayIndexKey: moves are told apart by their place alone
            key={i}
            className="flex flex-wrap items-center gap-x-2 gap-y-1.5"
          >
            <span className="clock w-6 text-soft">{i + 1}</span>
            <input
              className="field min-w-44 flex-1"
              aria-label={t("routine.move", { n: i + 1 })}
              aria-invalid={!!must(`routine.moves[${i}].what`)}
              maxLength={60}
              value={move.what}
              onChange={(e) => setMove(i, { what: e.target.value }, "what")}
            />
            <NumberField
              label={t("routine.countOf", { n: i + 1 })}
              unit={t("routine.count")}
              value={move.count}
              must={must(`routine.moves[${i}].count`)}
              onChange={(count) => setMove(i, { count }, "count")}
            />
            <NumberField
              label={t("routine.secOf", { n: i + 1 })}
              unit={t("sec")}
              value={move.sec}
              must={must(`routine.moves[${i}].sec`)}
              onChange={(sec) => setMove(i, { sec: sec as number }, "sec")}
            />
            <label className="flex items-center gap-1.5">
              <input
                type="checkbox"
                className="size-4 accent-ink"
                aria-label={t("routine.eachSideOf", { n: i + 1 })}
                checked={move.eachSide}
                onChange={(e) => setMove(i, { eachSide: e.target.checked }, "sides")}
              />
              {t("routine.eachSide")}
            </label>
            <button
              type="button"
              className="p-2 disabled:opacity-40"
              aria-label={t("routine.up", { n: i + 1 })}
              disabled={i === 0}
              onClick={() => earlier(i)}
            >
              <ArrowUp size={16} aria-hidden />
            </button>
            <button
              type="button"
              className="p-2 disabled:opacity-40"
              aria-label={t("routine.out", { n: i + 1 })}
              disabled={routine.moves.length === 1}
              onClick={() =>
                set({ moves: routine.moves.filter((_, k) => k !== i) }, t("routineEditor.out", { i, now: Date.now() }))
              }
            >
              <Trash2 size={16} aria-hidden />
            </button>
          </li>
        ))}
      </ol>
      <p className="flex flex-wrap items-center gap-2">
        <button
          type="button"
          className="btn btn-small"
          onClick={() =>
            set(
              {
                moves: [
                  ...routine.moves,
                  { what: t("routine.move", { n: routine.moves.length + 1 }), count: 10, sec: 10, eachSide: false },
                ],
              },
              t("routineEditor.add", { now: Date.now() }),
            )
          }
        >
          {t("routine.add")}
        </button>
        <button
          type="button"
          className="btn btn-small"
          onClick={() => set({ moves: [...routine.moves].reverse() }, t("routineEditor.turned", { now: Date.now() }))}
        >
          {t("routine.backwards")}
        </button>
        <span className="text-soft">{t("routine.noCount")}</span>
      </p>
      {plan && (
        <p data-testid="routine-total" className="border-l-4 border-rule pl-3">
          {t("routine.total", { calls: plan.steps.length, sec: plan.workSec, count: plan.touches })}
        </p>
      )}
      {!movers.readOnly && (
        <KeptRoutines routine={routine} onPut={(kept) => set(kept, t("routineEditor.put", { now: Date.now() }))} />
      )}
      <MoveButtons {...movers} />
    </fieldset>
  );
}
