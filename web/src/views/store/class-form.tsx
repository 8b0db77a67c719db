import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Trash2 } from "lucide-react";
import { type FormEvent, useState } from "react";
import { api, type Problem } from "../../api/client";
import { classes } from "../../api/queries";
import type { ClassDoc, PupilDetails, SchoolClass } from "../../api/types";
import { Labelled } from "../../ui/fields";
import { Sheet } from "../../ui/sheet";
import { Failed } from "../../ui/states";
import { readRoster } from "./roster";

const nobody: PupilDetails = {
  firstName: "",
  initial: "",
  birthYear: null,
  strongHand: "RIGHT",
  shoeCm: null,
  reachCm: null,
  adaptation: null,
};

/** A class and its pupils: pasted as lines, then edited in the table. */
export function ClassForm({ known, onSaved }: { known?: SchoolClass; onSaved: (saved: SchoolClass) => void }) {
  const client = useQueryClient();
  const [doc, setDoc] = useState<ClassDoc>(
    known
      ? {
          version: known.version,
          name: known.name,
          pupils: known.pupils.map((p) => ({ id: p.id, details: p.details })),
        }
      : { version: null, name: "", pupils: [] },
  );
  const [pasted, setPasted] = useState("");
  const [removing, setRemoving] = useState<number>();
  const readOnly = known && !known.mayChange;
  const save = useMutation<SchoolClass, Problem>({
    mutationFn: () =>
      known ? api<SchoolClass>("PUT", `/classes/${known.id}`, doc) : api<SchoolClass>("POST", "/classes", doc),
    onSuccess: async (saved) => {
      await client.invalidateQueries({ queryKey: classes.queryKey });
      client.invalidateQueries({ queryKey: ["lesson"] });
      client.invalidateQueries({ queryKey: ["record"] });
      onSaved(saved);
    },
  });
  const send = (e: FormEvent) => {
    e.preventDefault();
    save.mutate();
  };
  const set = (i: number, change: Partial<PupilDetails>) =>
    setDoc({
      ...doc,
      pupils: doc.pupils.map((p, at) => (at === i ? { ...p, details: { ...p.details, ...change } } : p)),
    });
  const must = (i: number, field: keyof PupilDetails) => save.error?.must(`pupils[${i}].details.${field}`);
  const take = () => {
    setDoc({ ...doc, pupils: [...doc.pupils, ...readRoster(pasted).map((details) => ({ id: null, details }))] });
    setPasted("");
  };
  const remove = (i: number) => setDoc({ ...doc, pupils: doc.pupils.filter((_, at) => at !== i) });
  const text = (i: number, field: "firstName" | "initial" | "adaptation", label: string, width: string) => (
    <Cell must={must(i, field)}>
      <input
        className="field"
        style={{ width, minHeight: "2rem" }}
        aria-label={`${label} of pupil ${i + 1}`}
        aria-invalid={!!must(i, field)}
        value={doc.pupils[i]?.details[field] ?? ""}
        onChange={(e) => set(i, { [field]: e.target.value || (field === "adaptation" ? null : "") })}
      />
    </Cell>
  );
  const number = (i: number, field: "birthYear" | "shoeCm" | "reachCm", label: string) => (
    <Cell must={must(i, field)}>
      <input
        className="field num"
        inputMode="numeric"
        aria-label={`${label} of pupil ${i + 1}`}
        aria-invalid={!!must(i, field)}
        value={doc.pupils[i]?.details[field] ?? ""}
        onChange={(e) => set(i, { [field]: /^\d+$/.test(e.target.value) ? Number(e.target.value) : null })}
      />
    </Cell>
  );
  return (
    <form onSubmit={send} className="mb-5 space-y-4 bg-tint p-4">
      <fieldset disabled={readOnly} className="min-w-0 space-y-4">
        <Labelled label="Class" must={save.error?.must("name")}>
          {(ids) => (
            <input
              {...ids}
              className="field max-w-xs"
              value={doc.name}
              onChange={(e) => setDoc({ ...doc, name: e.target.value })}
            />
          )}
        </Labelled>
        {doc.pupils.length > 0 && (
          <div className="relative overflow-x-auto">
            <table className="border-collapse">
              <thead>
                <tr className="text-left text-sm">
                  {["", "First name", "Initial", "Born", "Strong hand", "Shoe cm", "Reach cm", "Adaptation", ""].map(
                    (h, i) => (
                      // biome-ignore lint/suspicious/noArrayIndexKey: fixed heads
                      <th key={i} scope="col" className="pr-2 font-semibold">
                        {h || <span className="sr-only">{i === 0 ? "Number" : "Remove"}</span>}
                      </th>
                    ),
                  )}
                </tr>
              </thead>
              <tbody>
                {doc.pupils.map((p, i) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: pupils who are new have no id yet
                  <tr key={i} className="align-top">
                    <td className="clock pt-1 pr-2 text-right text-soft">{i + 1}</td>
                    {text(i, "firstName", "First name", "9rem")}
                    {text(i, "initial", "Initial", "2.6rem")}
                    {number(i, "birthYear", "Birth year")}
                    <Cell>
                      <select
                        className="field"
                        style={{ minHeight: "2rem" }}
                        aria-label={`Strong hand of pupil ${i + 1}`}
                        value={p.details.strongHand}
                        onChange={(e) => set(i, { strongHand: e.target.value as PupilDetails["strongHand"] })}
                      >
                        <option value="RIGHT">right</option>
                        <option value="LEFT">left</option>
                      </select>
                    </Cell>
                    {number(i, "shoeCm", "Shoe length")}
                    {number(i, "reachCm", "Standing reach")}
                    {text(i, "adaptation", "Adaptation", "13rem")}
                    <td>
                      <button
                        type="button"
                        className="p-1.5"
                        aria-label={`Remove ${p.details.firstName || `pupil ${i + 1}`}`}
                        onClick={() => (p.id ? setRemoving(i) : remove(i))}
                      >
                        <Trash2 size={17} aria-hidden />
                      </button>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
        <div className="flex flex-wrap items-end gap-3">
          <Labelled label="Add pupils, a line each: first name, initial, birth year">
            {(ids) => (
              <textarea
                {...ids}
                className="field w-80"
                rows={3}
                placeholder={"Rowan, B, 2015\nImke, T"}
                value={pasted}
                onChange={(e) => setPasted(e.target.value)}
              />
            )}
          </Labelled>
          <button type="button" className="btn" disabled={pasted.trim() === ""} onClick={take}>
            Put them in the table
          </button>
          <button
            type="button"
            className="btn"
            onClick={() => setDoc({ ...doc, pupils: [...doc.pupils, { id: null, details: nobody }] })}
          >
            One more line
          </button>
        </div>
        {save.error?.must("pupils") && <p className="font-semibold text-alert">Pupils {save.error.must("pupils")}.</p>}
        {save.isError && save.error.errors.length === 0 && <Failed error={save.error} />}
        {!readOnly && (
          <p className="flex items-center gap-4">
            <button type="submit" className="btn btn-main" disabled={save.isPending}>
              Save the class
            </button>
            {save.isError && save.error.errors.length > 0 && (
              <span role="alert" className="font-semibold text-alert">
                {save.error.detail}
              </span>
            )}
            {save.isSuccess && <span role="status">Saved</span>}
          </p>
        )}
      </fieldset>
      <Sheet title="Remove this pupil?" open={removing !== undefined} onOpenChange={() => setRemoving(undefined)}>
        <p>
          When the class is saved, the pupil goes with every attempt on the pupil's page. That cannot be taken back.
        </p>
        <p className="mt-4 flex gap-3">
          <button
            type="button"
            className="btn btn-main"
            onClick={() => {
              if (removing !== undefined) remove(removing);
              setRemoving(undefined);
            }}
          >
            Remove
          </button>
          <button type="button" className="btn" onClick={() => setRemoving(undefined)}>
            Keep
          </button>
        </p>
      </Sheet>
    </form>
  );
}

function Cell({ must, children }: { must?: string; children: React.ReactNode }) {
  return (
    <td className="pr-2 pb-1">
      {children}
      {must && <span className="block max-w-40 text-sm font-semibold text-alert">{must}</span>}
    </td>
  );
}
