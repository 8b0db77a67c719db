import { type FormEvent, useState } from "react";
import { api, Problem } from "../../api/client";
import type { Who } from "../../api/types";
import { Labelled } from "../../ui/fields";
import { texts } from "../../words/texts";
import { PasswordRule } from "./new-password";

const t = texts("session");

const blank = { old: "", password: "" };

/** One's own account: another password, with the one before. */
export function OwnAccount({ who }: { who: Who }) {
  const [values, setValues] = useState(blank);
  const [problem, setProblem] = useState<Problem>();
  const [done, setDone] = useState(false);
  const send = async (e: FormEvent) => {
    e.preventDefault();
    setDone(false);
    try {
      await api("put", "/api/session/password", { body: values });
      setValues(blank);
      setProblem(undefined);
      setDone(true);
    } catch (error) {
      setProblem(error instanceof Problem ? error : new Problem(0, t("own.notSaved"), String(error)));
    }
  };
  const field = (name: keyof typeof blank, label: string, autoComplete: string) => (
    <Labelled label={label} must={problem?.must(name)}>
      {(ids) => (
        <input
          {...ids}
          className="field"
          type="password"
          autoComplete={autoComplete}
          value={values[name]}
          onChange={(e) => setValues({ ...values, [name]: e.target.value })}
        />
      )}
    </Labelled>
  );
  return (
    <form onSubmit={send} className="max-w-md space-y-4">
      <h1>{t("own.title")}</h1>
      <p>{t("own.who", { name: who.displayName, username: who.username, role: t(`role.${who.role}`) })}</p>
      <h2>{t("own.another")}</h2>
      {field("old", t("own.old"), "current-password")}
      <PasswordRule />
      {field("password", t("newPassword"), "new-password")}
      {problem && problem.errors.length === 0 && (
        <p role="alert" className="border-l-4 border-alert bg-tint p-3">
          <strong className="text-alert">{problem.title}.</strong> {problem.detail}
        </p>
      )}
      {done && <p role="status">{t("own.done")}</p>}
      <button type="submit" className="btn btn-main" disabled={!values.old || !values.password}>
        {t("own.setNew")}
      </button>
      <p className="pt-6 text-sm text-soft">
        {t("own.free")} <a href="/licences.txt">{t("own.made")}</a>.
      </p>
    </form>
  );
}
