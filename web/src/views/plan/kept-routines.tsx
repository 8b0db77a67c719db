import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, type Problem } from "../../api/client";
import { keptRoutines } from "../../api/queries";
import type { Block } from "../../api/types";
import { Choice } from "../../ui/choice";
import { texts } from "../../words/texts";

const t = texts("plan");

type Routine = NonNullable<Block["routine"]>;

const OWN = "own";

/** The school's kept routines: one is put in with a press, this one is kept under its name. In a lesson it is the lesson's own. */
export function KeptRoutines({ routine, onPut }: { routine: Routine; onPut: (kept: Routine) => void }) {
  const client = useQueryClient();
  const all = useQuery(keptRoutines);
  const change = useMutation<unknown, Problem, () => Promise<unknown>>({
    mutationFn: (ask) => ask(),
    onSettled: () => client.invalidateQueries({ queryKey: keptRoutines.queryKey }),
  });
  if (!all.data) return null;
  const sameName = all.data.find((k) => k.routine.name.toLowerCase() === routine.name.trim().toLowerCase());
  const same = sameName && alike(sameName.routine, routine) ? sameName : undefined;
  return (
    <div className="flex flex-wrap items-center gap-2">
      {all.data.length > 0 && (
        <Choice
          label={t("routine.putIn")}
          value={same?.id ?? OWN}
          options={[
            ...(same ? [] : [{ value: OWN, text: t("routine.ownMoves") }]),
            ...all.data.map((k) => ({ value: k.id, text: k.routine.name })),
          ]}
          onChange={(id) => {
            const kept = all.data.find((k) => k.id === id);
            if (kept) onPut(kept.routine);
          }}
        />
      )}
      {same ? (
        <>
          <span className="text-soft">{t("routine.isKept")}</span>
          <button
            type="button"
            className="btn btn-small"
            disabled={change.isPending}
            onClick={() =>
              change.mutate(() => api("delete", "/api/routines/{id}", { params: { path: { id: same.id } } }))
            }
          >
            {t("routine.keepNot")}
          </button>
        </>
      ) : (
        <button
          type="button"
          className="btn btn-small"
          disabled={change.isPending}
          onClick={() =>
            change.mutate(() =>
              sameName
                ? api("put", "/api/routines/{id}", {
                    params: { path: { id: sameName.id } },
                    body: { version: sameName.version, routine },
                  })
                : api("post", "/api/routines", { body: { version: null, routine } }),
            )
          }
        >
          {t(sameName ? "routine.keepChange" : "routine.keep")}
        </button>
      )}
      {change.isError && (
        <span role="alert" className="font-semibold text-alert">
          {change.error.errors[0]
            ? `${change.error.errors[0].field} ${change.error.errors[0].must}`
            : change.error.detail}
        </span>
      )}
    </div>
  );
}

const alike = (a: Routine, b: Routine) =>
  a.moves.length === b.moves.length &&
  a.moves.every((m, i) => {
    const n = b.moves[i];
    return n && m.what === n.what && m.count === n.count && m.sec === n.sec && m.eachSide === n.eachSide;
  });
