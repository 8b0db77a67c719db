import { Trash2 } from "lucide-react";
import { Fragment, type ReactNode, useState } from "react";
import type { ClassDoc, PupilDetails } from "../../api/types";
import { Labelled } from "../../ui/fields";
import { Sheet } from "../../ui/sheet";
import { WhatGoes } from "../../ui/what-goes";
import { PupilMore } from "./pupil-more";
import { nobody, readRoster } from "./roster";

export type ClassDraft = { name: string; pupils: ClassDoc["pupils"]; helperIds: string[] };

/** A class and its pupils: pasted as lines, then changed in the table. */
export function ClassFields({
  doc,
  must,
  onChange,
}: {
  doc: ClassDraft;
  must: (field: string) => string | undefined;
  onChange: (doc: ClassDraft, step: string) => void;
}) {
  const [pasted, setPasted] = useState("");
  const [removing, setRemoving] = useState<number>();
  const [more, setMore] = useState<number>();
  const set = (i: number, change: Partial<PupilDetails>, step: string) =>
    onChange(
      {
        ...doc,
        pupils: doc.pupils.map((p, at) => (at === i ? { ...p, details: { ...p.details, ...change } } : p)),
      },
      `${step} ${i}`,
    );
  const take = () => {
    onChange(
      { ...doc, pupils: [...doc.pupils, ...readRoster(pasted).map((details) => ({ id: null, details }))] },
      `pasted ${doc.pupils.length}`,
    );
    setPasted("");
  };
  const remove = (i: number) => onChange({ ...doc, pupils: doc.pupils.filter((_, at) => at !== i) }, `gone ${i}`);
  const mustOf = (i: number, field: keyof PupilDetails) => must(`pupils[${i}].details.${field}`);
  const text = (i: number, field: "firstName" | "initial", label: string, width: string) => (
    <Cell must={mustOf(i, field)}>
      <input
        className="field"
        style={{ width, minHeight: "2rem" }}
        aria-label={`${label} of pupil ${i + 1}`}
        aria-invalid={!!mustOf(i, field)}
        value={doc.pupils[i]?.details[field] ?? ""}
        onChange={(e) => set(i, { [field]: e.target.value }, field)}
      />
    </Cell>
  );
  const number = (i: number, field: "birthYear" | "shoeCm" | "reachCm", label: string) => (
    <Cell must={mustOf(i, field)}>
      <input
        className="field num"
        inputMode="numeric"
        aria-label={`${label} of pupil ${i + 1}`}
        aria-invalid={!!mustOf(i, field)}
        value={doc.pupils[i]?.details[field] ?? ""}
        onChange={(e) => set(i, { [field]: /^\d+$/.test(e.target.value) ? Number(e.target.value) : null }, field)}
      />
    </Cell>
  );
  return (
    <div className="space-y-4">
      <Labelled label="Class" must={must("name")}>
        {(ids) => (
          <input
            {...ids}
            className="field max-w-xs"
            value={doc.name}
            onChange={(e) => onChange({ ...doc, name: e.target.value }, "name")}
          />
        )}
      </Labelled>
      {doc.pupils.length > 0 && (
        <div className="relative overflow-x-auto">
          <table className="border-collapse">
            <thead>
              <tr className="text-left text-sm">
                {[
                  "Number",
                  "First name",
                  "Initial",
                  "Born",
                  "Strong hand",
                  "Shoe cm",
                  "Reach cm",
                  "Needs and home",
                  "Remove",
                ].map((h) => (
                  <th key={h} scope="col" className="pr-2 font-semibold">
                    {h === "Number" || h === "Remove" ? <span className="sr-only">{h}</span> : h}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {doc.pupils.map((p, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: pupils who are new have no id yet
                <Fragment key={i}>
                  <tr className="align-top">
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
                        onChange={(e) =>
                          set(i, { strongHand: e.target.value as PupilDetails["strongHand"] }, "strongHand")
                        }
                      >
                        <option value="RIGHT">right</option>
                        <option value="LEFT">left</option>
                      </select>
                    </Cell>
                    {number(i, "shoeCm", "Shoe length")}
                    {number(i, "reachCm", "Standing reach")}
                    <Cell>
                      <button
                        type="button"
                        className="btn btn-small text-left"
                        aria-expanded={more === i}
                        aria-label={`Needs and home of pupil ${i + 1}`}
                        onClick={() => setMore(more === i ? undefined : i)}
                      >
                        {told(p.details)}
                      </button>
                    </Cell>
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
                  {more === i && (
                    <tr>
                      <td />
                      <td colSpan={8} className="pb-3">
                        <PupilMore
                          details={p.details}
                          must={(field) => must(`pupils[${i}].details.${field}`)}
                          onChange={(change, step) => set(i, change, step)}
                        />
                      </td>
                    </tr>
                  )}
                </Fragment>
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
          onClick={() =>
            onChange({ ...doc, pupils: [...doc.pupils, { id: null, details: nobody }] }, `line ${doc.pupils.length}`)
          }
        >
          One more line
        </button>
      </div>
      {must("pupils") && <p className="font-semibold text-alert">Pupils {must("pupils")}.</p>}
      <Sheet title="Remove this pupil?" open={removing !== undefined} onOpenChange={() => setRemoving(undefined)}>
        {removing !== undefined && doc.pupils[removing]?.id && <WhatGoes pupilId={doc.pupils[removing].id} />}
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
    </div>
  );
}

function told(d: PupilDetails): string {
  const parts = [
    d.adaptations.length > 0 || d.adaptation ? "needs noted" : "",
    Object.keys(d.homeKit).length > 0 ? "kit at home" : "",
    d.homeSpace ? "room at home" : "",
    d.otherHome ? "two homes" : "",
  ].filter(Boolean);
  return parts.length ? parts.join(", ") : "add";
}

function Cell({ must, children }: { must?: string; children: ReactNode }) {
  return (
    <td className="pr-2 pb-1">
      {children}
      {must && <span className="block max-w-40 text-sm font-semibold text-alert">{must}</span>}
    </td>
  );
}
