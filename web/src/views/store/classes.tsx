import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api } from "../../api/client";
import { classes as classesQuery, helpers as helpersQuery, session } from "../../api/queries";
import type { ClassDoc, SchoolClass } from "../../api/types";
import { useChosenClass } from "../../chosen-class";
import { PartHead, UndoButton } from "../../ui/part-head";
import { Failed } from "../../ui/states";
import { useVersionedDraft } from "../../ui/use-versioned-draft";
import { day } from "../../words";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";
import { SaveState } from "../plan/save-state";
import { ClassCompany } from "./class-company";
import { type ClassDraft, ClassFields } from "./class-fields";
import { GiveClass } from "./give-class";
import { RosterSheet } from "./roster-sheet";
import { useMade } from "./use-made";

const t = textsOf("store", saidStore);

/** Classes and their pupils, changed where they stand. */
export function Classes() {
  const { all, choose } = useChosenClass();
  const who = useQuery(session);
  const [open, setOpen] = useState<string>();
  const mayChange = !!who.data?.who?.teaches;
  const toggle = (key: string) => setOpen(open === key ? undefined : key);
  return (
    <section>
      <PartHead title={t("classes.classes")}>
        {mayChange && (
          <button type="button" className="btn btn-main" onClick={() => toggle("new")}>
            {t("classes.newClass")}
          </button>
        )}
      </PartHead>
      {open === "new" && (
        <NewClass
          onSaved={(made) => {
            choose(made.id);
            setOpen(undefined);
          }}
        />
      )}
      {all.length === 0 && open !== "new" && <p className="py-4 text-soft">{t("classes.noClassYetA")}</p>}
      <ul className="divide-y divide-rule">
        {all.map((c) => (
          <li key={c.id}>
            <button
              type="button"
              className="flex w-full items-baseline gap-4 py-2.5 text-left"
              aria-expanded={open === c.id}
              onClick={() => toggle(c.id)}
            >
              <strong className="font-head text-lg">{c.name}</strong>
              <span className="text-soft">{t("classes.text", { count: c.pupils.length })}</span>
            </button>
            {open === c.id && <KnownClass known={c} />}
          </li>
        ))}
      </ul>
    </section>
  );
}

const DRAFT = "marble.newClass";

/** A class that was begun and not saved stays while this window is open. */
function kept(): ClassDraft {
  try {
    return JSON.parse(sessionStorage.getItem(DRAFT) ?? "") as ClassDraft;
  } catch {
    return { name: "", pupils: [], helperIds: [] };
  }
}

function NewClass({ onSaved }: { onSaved: (made: SchoolClass) => void }) {
  const [doc, setDoc] = useState<ClassDraft>(kept);
  const keep = (draft: ClassDraft) => {
    setDoc(draft);
    sessionStorage.setItem(DRAFT, JSON.stringify(draft));
  };
  const { problem, save } = useMade(
    (body: ClassDoc) => api("post", "/api/classes", { body }),
    classesQuery.queryKey,
    (made) => {
      sessionStorage.removeItem(DRAFT);
      onSaved(made);
    },
  );
  return (
    <form
      className="mb-5 bg-tint p-4"
      onSubmit={(e) => {
        e.preventDefault();
        save({ ...doc, version: null } satisfies ClassDoc);
      }}
    >
      <ClassFields doc={doc} must={(f) => problem?.must(f)} onChange={keep} />
      {problem && problem.errors.length === 0 && <Failed error={problem} />}
      <p className="mt-4 flex items-center gap-4">
        <button type="submit" className="btn btn-main">
          {t("classes.saveTheClass")}
        </button>
        {problem && problem.errors.length > 0 && (
          <span role="alert" className="font-semibold text-alert">
            {problem.detail}
          </span>
        )}
      </p>
    </form>
  );
}

function KnownClass({ known }: { known: SchoolClass }) {
  const client = useQueryClient();
  const staff = useQuery({ ...helpersQuery, enabled: known.mayChange });
  const kept = useVersionedDraft<SchoolClass, ClassDraft>(
    {
      load: () => api("get", "/api/classes/{id}", { params: { path: { id: known.id } } }),
      save: (body) => api("put", "/api/classes/{id}", { params: { path: { id: known.id } }, body }),
    },
    known,
    (v) => ({ name: v.name, pupils: v.pupils.map((p) => ({ id: p.id, details: p.details })), helperIds: v.helperIds }),
    () => {
      client.invalidateQueries({ queryKey: classesQuery.queryKey });
      client.invalidateQueries({ queryKey: ["lesson"] });
      client.invalidateQueries({ queryKey: ["record"] });
    },
  );
  const { draft, change, problem } = kept;
  const helpers = staff.data ?? [];
  return (
    <fieldset disabled={!known.mayChange} className="mb-5 min-w-0 space-y-4 bg-tint p-4">
      <ClassFields doc={draft} must={(f) => problem?.must(f)} onChange={(doc, step) => change(doc, step)} />
      {helpers.length > 0 && (
        <p className="flex flex-wrap items-center gap-x-4 gap-y-1">
          <span className="font-semibold">{t("classes.helpers")}</span>
          {helpers.map((h) => (
            <label key={h.id} className="flex items-center gap-1.5">
              <input
                type="checkbox"
                className="size-4 accent-ink"
                checked={draft.helperIds.includes(h.id)}
                onChange={(e) =>
                  change(
                    {
                      ...draft,
                      helperIds: e.target.checked
                        ? [...draft.helperIds, h.id]
                        : draft.helperIds.filter((id) => id !== h.id),
                    },
                    t("classes.helper", { id: h.id }),
                  )
                }
              />
              {h.displayName}
            </label>
          ))}
        </p>
      )}
      {known.mayChange && (
        <div className="flex flex-wrap items-center gap-3">
          <UndoButton undo={kept.undo} />
          <RosterSheet
            known={known}
            onKept={() => {
              kept.takeTheirs();
              client.invalidateQueries({ queryKey: classesQuery.queryKey });
              client.invalidateQueries({ queryKey: ["record"] });
            }}
          />
          <ClassCompany known={known} />
          <GiveClass known={known} />
          <SaveState plan={kept} />
        </div>
      )}
      {known.left.length > 0 && (
        <p className="flex flex-wrap gap-x-3 text-soft">
          <span className="font-semibold">{t("classes.left")}</span>
          {known.left.map((p) => (
            <Link key={p.id} to={`/pupils/${p.id}`}>
              {t("classes.leftOn", { name: p.name, day: day(p.leftOn) })}
            </Link>
          ))}
        </p>
      )}
    </fieldset>
  );
}
