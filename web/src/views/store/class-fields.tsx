import { Trash2 } from "lucide-react";
import { Fragment, type KeyboardEvent, type ReactNode, useRef, useState } from "react";
import { Link } from "react-router";
import type { ClassDoc, PupilDetails } from "../../api/types";
import { Labelled } from "../../ui/fields";
import { Sheet } from "../../ui/sheet";
import { WhatGoes } from "../../ui/what-goes";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";
import { ClassListReader } from "./class-list";
import { PupilMore } from "./pupil-more";
import { named, namelessIn, nobody } from "./roster";

const t = textsOf("store", saidStore);

const columns = [
  "number",
  "firstName",
  "initial",
  "birthYear",
  "strongHand",
  "shoeCm",
  "reachCm",
  "needs",
  "remove",
] as const;

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
  const table = useRef<HTMLTableElement>(null);
  const oneMore = () => {
    onChange({ ...doc, pupils: [...doc.pupils, { id: null, details: nobody }] }, `line ${doc.pupils.length}`);
    // The new line is typed into at once.
    requestAnimationFrame(() => table.current?.querySelector<HTMLInputElement>("tbody tr:last-of-type input")?.focus());
  };
  const enterAdds = (e: KeyboardEvent) => {
    if (e.key !== "Enter") return;
    e.preventDefault();
    oneMore();
  };
  const remove = (i: number) => onChange({ ...doc, pupils: doc.pupils.filter((_, at) => at !== i) }, `gone ${i}`);
  const mustOf = (i: number, field: keyof PupilDetails) => must(`pupils[${i}].details.${field}`);
  const text = (i: number, field: "firstName" | "initial", width: string) => (
    <Cell must={mustOf(i, field)}>
      <input
        className="field"
        style={{ width, minHeight: "2rem" }}
        aria-label={t(`classOf.${field}`, { n: i + 1 })}
        aria-invalid={!!mustOf(i, field)}
        value={doc.pupils[i]?.details[field] ?? ""}
        onChange={(e) => set(i, { [field]: e.target.value }, field)}
        onKeyDown={enterAdds}
      />
    </Cell>
  );
  const number = (i: number, field: "birthYear" | "shoeCm" | "reachCm") => (
    <Cell must={mustOf(i, field)}>
      <input
        className="field num"
        inputMode="numeric"
        aria-label={t(`classOf.${field}`, { n: i + 1 })}
        aria-invalid={!!mustOf(i, field)}
        value={doc.pupils[i]?.details[field] ?? ""}
        onKeyDown={enterAdds}
        onChange={(e) => set(i, { [field]: /^\d+$/.test(e.target.value) ? Number(e.target.value) : null }, field)}
      />
    </Cell>
  );
  return (
    <div className="space-y-4">
      <Labelled label={t("class.name")} must={must("name")}>
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
          <table ref={table} className="border-collapse">
            <thead>
              <tr className="text-left text-sm">
                {columns.map((h) => (
                  <th key={h} scope="col" className="pr-2 font-semibold">
                    {h === "number" || h === "remove" ? (
                      <span className="sr-only">{t(`class.${h}`)}</span>
                    ) : (
                      t(`class.${h}`)
                    )}
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
                    {text(i, "firstName", "9rem")}
                    {text(i, "initial", "2.6rem")}
                    {number(i, "birthYear")}
                    <Cell>
                      <select
                        className="field"
                        style={{ minHeight: "2rem" }}
                        aria-label={t("classOf.strongHand", { n: i + 1 })}
                        value={p.details.strongHand}
                        onChange={(e) =>
                          set(i, { strongHand: e.target.value as PupilDetails["strongHand"] }, "strongHand")
                        }
                      >
                        <option value="RIGHT">{t("class.RIGHT")}</option>
                        <option value="LEFT">{t("class.LEFT")}</option>
                      </select>
                    </Cell>
                    {number(i, "shoeCm")}
                    {number(i, "reachCm")}
                    <Cell>
                      <button
                        type="button"
                        className="btn btn-small text-left"
                        aria-expanded={more === i}
                        aria-label={t("classOf.needs", { n: i + 1 })}
                        onClick={() => setMore(more === i ? undefined : i)}
                      >
                        {told(p.details)}
                      </button>
                    </Cell>
                    <td>
                      <button
                        type="button"
                        className="p-1.5"
                        aria-label={t("classOf.remove", { name: p.details.firstName || i + 1 })}
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
      <ClassListReader
        take={(n) => t(namelessIn(doc.pupils) > 0 ? "list.usePlaces" : "list.use", { n })}
        onTake={(list) => onChange({ ...doc, pupils: named(doc.pupils, list) }, `pasted ${doc.pupils.length}`)}
      />
      <button type="button" className="btn" onClick={oneMore}>
        {t("class.oneMore")}
      </button>
      {must("pupils") && <p className="font-semibold text-alert">{t("class.pupilsMust", { must: must("pupils") })}</p>}
      <Sheet title={t("class.removeOne")} open={removing !== undefined} onOpenChange={() => setRemoving(undefined)}>
        {removing !== undefined && doc.pupils[removing]?.id && (
          <>
            <WhatGoes pupilId={doc.pupils[removing].id} />
            <p className="mt-3">
              {t("leaving.only")}{" "}
              <Link to={`/pupils/${doc.pupils[removing].id}#place`}>
                {t("leaving.how", { name: doc.pupils[removing].details.firstName })}
              </Link>
              .
            </p>
          </>
        )}
        <p className="mt-4 flex gap-3">
          <button
            type="button"
            className="btn btn-main"
            onClick={() => {
              if (removing !== undefined) remove(removing);
              setRemoving(undefined);
            }}
          >
            {t("class.remove")}
          </button>
          <button type="button" className="btn" onClick={() => setRemoving(undefined)}>
            {t("class.keep")}
          </button>
        </p>
      </Sheet>
    </div>
  );
}

function told(d: PupilDetails): string {
  const parts = [
    d.adaptations.length > 0 || d.adaptation ? t("class.noted") : "",
    Object.keys(d.homeKit).length > 0 ? t("class.kitAtHome") : "",
    d.homeSpace ? t("class.roomAtHome") : "",
    d.otherHome ? t("class.twoHomes") : "",
  ].filter(Boolean);
  return parts.length ? parts.join(", ") : t("class.add");
}

function Cell({ must, children }: { must?: string; children: ReactNode }) {
  return (
    <td className="pr-2 pb-1">
      {children}
      {must && <span className="block max-w-40 text-sm font-semibold text-alert">{must}</span>}
    </td>
  );
}
