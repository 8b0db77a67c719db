import { useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { api, type Problem } from "../../api/client";
import { session } from "../../api/queries";
import { Labelled } from "../../ui/fields";
import { texts } from "../../words/texts";
import { PasswordRule } from "./new-password";

const t = texts("session");

const PRODUCT = t("signInSaid.unrulyMarble");

/** Sign in, or come in with a one-time code; on an empty install, make the first account, the administrator's. */
export function SignIn({ setupNeeded }: { setupNeeded: boolean }) {
  const client = useQueryClient();
  const [values, setValues] = useState({ code: "", username: "", displayName: "", password: "" });
  const [problem, setProblem] = useState<Problem>();
  const [busy, setBusy] = useState(false);
  const [joining, setJoining] = useState(false);
  const coded = setupNeeded || joining;
  const send = async (e: FormEvent) => {
    e.preventDefault();
    setBusy(true);
    try {
      const { username, password, code } = values;
      const made = setupNeeded
        ? await api("post", "/api/setup", { body: values })
        : joining
          ? await api("post", "/api/session/join", { body: { username, code, password } })
          : await api("post", "/api/session", { body: { username, password } });
      client.setQueryData(session.queryKey, made);
    } catch (error) {
      setProblem(error as Problem);
    } finally {
      setBusy(false);
    }
  };
  const field = (name: keyof typeof values, label: string, type = "text", autoComplete = "off") => (
    <Labelled label={label} must={problem?.must(name)}>
      {(ids) => (
        <input
          {...ids}
          // biome-ignore lint/a11y/noAutofocus: there is nothing else to do here
          autoFocus={name === (coded ? "code" : "username")}
          className="field"
          type={type}
          autoComplete={autoComplete}
          value={values[name]}
          onChange={(e) => setValues({ ...values, [name]: e.target.value })}
        />
      )}
    </Labelled>
  );
  return (
    <main className="grid min-h-dvh place-items-center bg-floor p-4">
      <form onSubmit={send} className="w-full max-w-sm space-y-4 border-t-8 border-throw bg-sheet p-7">
        <h1 className="flex items-center gap-3">
          <img src="/marble.svg" alt="" width="38" height="38" /> {PRODUCT}
        </h1>
        <p className="text-soft">{setupNeeded ? t("first") : joining ? t("join") : t("what")}</p>
        {coded && field("code", t("code"))}
        {field("username", t("username"), "text", "username")}
        {setupNeeded && field("displayName", t("displayName"))}
        {coded && <PasswordRule />}
        {field(
          "password",
          t(coded ? "newPassword" : "password"),
          "password",
          coded ? "new-password" : "current-password",
        )}
        {problem && problem.errors.length === 0 && (
          <p role="alert" className="border-l-4 border-alert bg-tint p-3">
            <strong className="text-alert">{problem.title}.</strong> {problem.detail}
          </p>
        )}
        <button type="submit" className="btn btn-main w-full" disabled={busy}>
          {t(setupNeeded ? "make" : joining ? "set" : "signIn")}
        </button>
        {!setupNeeded && (
          <button
            type="button"
            className="font-semibold underline"
            onClick={() => {
              setJoining(!joining);
              setProblem(undefined);
            }}
          >
            {t(joining ? "havePassword" : "haveCode")}
          </button>
        )}
      </form>
    </main>
  );
}
