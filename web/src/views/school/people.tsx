import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useCallback, useState } from "react";
import { api } from "../../api/client";
import { auditEntries, people } from "../../api/queries";
import type { Invited, Person, PersonDoc, PersonWithCode } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Labelled } from "../../ui/fields";
import { InPlace } from "../../ui/in-place";
import { PartHead, UndoButton } from "../../ui/part-head";
import { Sheet } from "../../ui/sheet";
import { Failed, Loading } from "../../ui/states";
import { useUndo } from "../../ui/use-undo";
import { moment } from "../../words";
import saidSchool from "../../words/school.json";
import { textsOf } from "../../words/texts";

const t = textsOf("school", saidSchool);

const roles = ["ADMINISTRATOR", "TEACHER", "HELPER"] as const;
const roleWord = {
  ADMINISTRATOR: t("people.administratorSaysWhoMayCome"),
  TEACHER: t("people.teacherPlansAndRuns"),
  HELPER: t("people.helperRunsAndTallies"),
};

/** Who may sign in. An account is closed, never removed, so that what it did stays told. */
export function People() {
  const client = useQueryClient();
  const all = useQuery(people);
  // The audit may be on screen before the answer is here: it is read anew too.
  const refresh = useCallback(async () => {
    client.invalidateQueries({ queryKey: auditEntries.queryKey });
    await client.invalidateQueries({ queryKey: people.queryKey });
  }, [client]);
  const { act, problem, undo } = useUndo(refresh);
  const [adding, setAdding] = useState(false);
  const [coded, setCoded] = useState<PersonWithCode>();
  if (all.isPending) return <Loading what={t("people.thePeople")} />;
  if (all.isLoadingError) return <Failed error={all.error} again={() => all.refetch()} />;
  const put = async (p: Person, change: Partial<PersonDoc>) => {
    const version = (await api("get", "/api/people")).find((x) => x.id === p.id)?.version ?? p.version;
    return api("put", "/api/people/{id}", {
      params: { path: { id: p.id } },
      body: { ...docOf(p), ...change, version },
    });
  };
  const change = (p: Person, c: Partial<PersonDoc>) =>
    act(
      () => api("put", "/api/people/{id}", { params: { path: { id: p.id } }, body: { ...docOf(p), ...c } }),
      () => put(p, {}),
    );
  // A code that was shown cannot be taken back: a password that it ended is not known here.
  const code = (ask: () => Promise<PersonWithCode>) => act(async () => setCoded(await ask()), null);
  return (
    <section>
      <PartHead title={t("people.people")}>
        <UndoButton undo={undo} />
        <button type="button" className="btn btn-main" onClick={() => setAdding(!adding)}>
          {t("people.inviteSomebody")}
        </button>
      </PartHead>
      {problem && !adding && (
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
        <Invite
          must={(f) => problem?.must(f)}
          onMake={async (doc) => {
            if (await code(() => api("post", "/api/people", { body: doc }))) setAdding(false);
          }}
        />
      )}
      <ul>
        {all.data.map((p) => (
          <li key={p.id} className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-rule py-2.5">
            <InPlace
              label={t("people.nameOf", { username: p.username })}
              width="13rem"
              value={p.displayName}
              onDone={(displayName) => change(p, { displayName })}
            />
            <span className="w-28 text-soft">{p.username}</span>
            {p.me ? (
              <span className="min-w-56">{roleWord[p.role]}</span>
            ) : (
              <Choice
                label={t("people.roleOf", { displayName: p.displayName })}
                value={p.role}
                options={roles.map((value) => ({ value, text: roleWord[value] }))}
                onChange={(role) => change(p, { role })}
              />
            )}
            {p.me ? (
              <span className="text-soft">{t("people.thatIsYou")}</span>
            ) : (
              <>
                {p.active && (
                  <Reset
                    person={p}
                    onReset={() => code(() => api("post", "/api/people/{id}/code", { params: { path: { id: p.id } } }))}
                  />
                )}
                <button type="button" className="btn btn-small" onClick={() => change(p, { active: !p.active })}>
                  {p.active ? t("people.closeTheAccount") : t("people.openItAgain")}
                </button>
              </>
            )}
            {!p.active && <strong className="text-alert">{t("people.closed")}</strong>}
            {p.active && p.codeUntil !== null && (
              <span className="text-soft">
                {p.codeUntil > Date.now()
                  ? t("people.hasACodeGoodUntil", { codeUntil: moment(p.codeUntil) })
                  : t("people.hasACodeThatIs")}
              </span>
            )}
          </li>
        ))}
      </ul>
      <p className="mt-2 text-sm text-soft">{t("people.inWhichClassesA")}</p>
      <Sheet title={t("people.onetimeCode")} open={!!coded} onOpenChange={() => setCoded(undefined)}>
        {coded && (
          <div className="space-y-3">
            <p>
              {t("people.for")} <strong>{coded.person.displayName}</strong>
              {t("people.whoSignsInAs")} <strong>{coded.person.username}</strong>
              {t("people.itIsShownNow")}
            </p>
            <p className="digits text-5xl tracking-widest" data-testid="one-time-code">
              {coded.code}
            </p>
            <p className="text-soft">
              {t("people.onThePageTo")} {coded.person.codeUntil && moment(coded.person.codeUntil)}
              {t("people.giveItInPerson")}
            </p>
            <button type="button" className="btn btn-main" onClick={() => setCoded(undefined)}>
              {t("people.done")}
            </button>
          </div>
        )}
      </Sheet>
    </section>
  );
}

const docOf = (p: Person): PersonDoc => ({
  version: p.version,
  displayName: p.displayName,
  role: p.role,
  active: p.active,
});

/** A new code ends a password, which nobody can give back: asked once more. */
function Reset({ person, onReset }: { person: Person; onReset: () => void }) {
  const [asked, setAsked] = useState(false);
  if (!asked)
    return (
      <button
        type="button"
        className="btn btn-small"
        aria-label={t("people.newCodeFor", { displayName: person.displayName })}
        onClick={() => setAsked(true)}
      >
        {t("people.newCode")}
      </button>
    );
  return (
    <span className="flex items-center gap-2">
      {person.codeUntil === null ? t("people.thePasswordEndsNow") : t("people.theCodeBeforeEndsNow")}
      <button
        type="button"
        className="btn btn-small btn-main"
        onClick={() => {
          setAsked(false);
          onReset();
        }}
      >
        {t("people.makeTheCode")}
      </button>
      <button type="button" className="btn btn-small" onClick={() => setAsked(false)}>
        {t("people.leaveIt")}
      </button>
    </span>
  );
}

function Invite({ must, onMake }: { must: (f: string) => string | undefined; onMake: (doc: Invited) => void }) {
  const [doc, setDoc] = useState<Invited>({ username: "", displayName: "", role: "TEACHER" });
  const send = (e: FormEvent) => {
    e.preventDefault();
    onMake(doc);
  };
  const text = (field: "username" | "displayName", label: string) => (
    <Labelled label={label} must={must(field)}>
      {(ids) => (
        <input
          {...ids}
          className="field"
          autoComplete="off"
          value={doc[field]}
          onChange={(e) => setDoc({ ...doc, [field]: e.target.value })}
        />
      )}
    </Labelled>
  );
  return (
    <form onSubmit={send} className="my-3 flex flex-wrap items-end gap-4 bg-tint p-4">
      {text("displayName", t("people.nameToBeShown"))}
      {text("username", t("people.nameToSignInWith"))}
      <div className="flex flex-col gap-1">
        <span className="text-sm font-semibold" aria-hidden>
          {t("people.role")}
        </span>
        <Choice
          label={t("people.role")}
          value={doc.role}
          options={roles.map((value) => ({ value, text: roleWord[value] }))}
          onChange={(role) => setDoc({ ...doc, role })}
        />
      </div>
      <button type="submit" className="btn btn-main">
        {t("people.makeTheAccountAnd")}
      </button>
    </form>
  );
}
