import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useCallback, useState } from "react";
import { api } from "../../api/client";
import { people } from "../../api/queries";
import type { Person, PersonDoc } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Labelled } from "../../ui/fields";
import { InPlace } from "../../ui/in-place";
import { Failed, Loading } from "../../ui/states";
import { PartHead, UndoButton } from "./part-head";
import { useUndo } from "./use-undo";

const roleWord = { TEACHER: "teacher: plans and runs", HELPER: "helper: runs and tallies" };

/** Who may sign in. An account is closed, never removed, so that what it did stays told. */
export function People() {
  const client = useQueryClient();
  const all = useQuery(people);
  const refresh = useCallback(() => client.invalidateQueries({ queryKey: people.queryKey }), [client]);
  const { act, problem, undo } = useUndo(refresh);
  const [adding, setAdding] = useState(false);
  if (all.isPending) return <Loading what="the people" />;
  if (all.isLoadingError) return <Failed error={all.error} again={() => all.refetch()} />;
  const put = async (p: Person, change: Partial<PersonDoc>) => {
    const version = (await api<Person[]>("GET", "/people")).find((x) => x.id === p.id)?.version ?? p.version;
    return api("PUT", `/people/${p.id}`, { ...docOf(p), ...change, version });
  };
  const change = (p: Person, c: Partial<PersonDoc>) =>
    act(
      () => api("PUT", `/people/${p.id}`, { ...docOf(p), ...c }),
      // A password that was set is not known any more: it cannot be put back.
      c.password ? null : () => put(p, {}),
    );
  return (
    <section>
      <PartHead title="People">
        <UndoButton undo={undo} />
        <button type="button" className="btn btn-main" onClick={() => setAdding(!adding)}>
          New person
        </button>
      </PartHead>
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-alert bg-tint p-3 font-semibold">
          {problem.detail}
          {problem.errors.map((e) => (
            <span key={e.field} className="block font-normal">
              {e.field} {e.must}
            </span>
          ))}
        </p>
      )}
      {adding && (
        <NewPerson
          must={(f) => problem?.must(f)}
          onMake={async (doc) => {
            if (await act(() => api("POST", "/people", doc), null)) setAdding(false);
          }}
        />
      )}
      <ul>
        {all.data.map((p) => (
          <li key={p.id} className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-rule py-2.5">
            <InPlace
              label={`Name of ${p.username}`}
              width="13rem"
              value={p.displayName}
              onDone={(displayName) => change(p, { displayName })}
            />
            <span className="w-28 text-soft">{p.username}</span>
            <Choice
              label={`Role of ${p.displayName}`}
              value={p.role}
              options={(["TEACHER", "HELPER"] as const).map((value) => ({ value, text: roleWord[value] }))}
              onChange={(role) => change(p, { role })}
            />
            <NewPassword onSet={(password) => change(p, { password })} name={p.displayName} />
            {p.me ? (
              <span className="text-soft">that is you</span>
            ) : (
              <button type="button" className="btn btn-small" onClick={() => change(p, { active: !p.active })}>
                {p.active ? "Close the account" : "Open it again"}
              </button>
            )}
            {!p.active && <strong className="text-alert">closed</strong>}
          </li>
        ))}
      </ul>
      <p className="mt-2 text-sm text-soft">In which classes a helper may run and tally is set with each class.</p>
    </section>
  );
}

const docOf = (p: Person): PersonDoc => ({
  version: p.version,
  username: p.username,
  displayName: p.displayName,
  role: p.role,
  active: p.active,
  password: null,
});

function NewPassword({ onSet, name }: { onSet: (password: string) => void; name: string }) {
  const [text, setText] = useState<string>();
  if (text === undefined)
    return (
      <button type="button" className="btn btn-small" onClick={() => setText("")}>
        Set a password
      </button>
    );
  return (
    <form
      className="flex items-center gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        onSet(text);
        setText(undefined);
      }}
    >
      <input
        className="field"
        type="password"
        autoComplete="new-password"
        aria-label={`New password of ${name}, 8 letters or more`}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <button type="submit" className="btn btn-small" disabled={text.length < 8}>
        Set
      </button>
    </form>
  );
}

function NewPerson({ must, onMake }: { must: (f: string) => string | undefined; onMake: (doc: PersonDoc) => void }) {
  const [doc, setDoc] = useState<PersonDoc>({
    version: null,
    username: "",
    displayName: "",
    role: "HELPER",
    active: true,
    password: "",
  });
  const send = (e: FormEvent) => {
    e.preventDefault();
    onMake(doc);
  };
  const text = (field: "username" | "displayName" | "password", label: string) => (
    <Labelled label={label} must={must(field)}>
      {(ids) => (
        <input
          {...ids}
          className="field"
          type={field === "password" ? "password" : "text"}
          autoComplete={field === "password" ? "new-password" : "off"}
          value={doc[field] ?? ""}
          onChange={(e) => setDoc({ ...doc, [field]: e.target.value })}
        />
      )}
    </Labelled>
  );
  return (
    <form onSubmit={send} className="my-3 flex flex-wrap items-end gap-4 bg-tint p-4">
      {text("displayName", "Name to be shown")}
      {text("username", "Name to sign in with")}
      {text("password", "Password, 8 letters or more")}
      <Choice
        label="Role"
        value={doc.role}
        options={(["TEACHER", "HELPER"] as const).map((value) => ({ value, text: roleWord[value] }))}
        onChange={(role) => setDoc({ ...doc, role })}
      />
      <button type="submit" className="btn btn-main">
        Make the account
      </button>
    </form>
  );
}
