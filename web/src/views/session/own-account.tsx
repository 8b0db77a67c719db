import { type FormEvent, useState } from "react";
import { api, Problem } from "../../api/client";
import type { Who } from "../../api/types";
import { Labelled } from "../../ui/fields";
import { PasswordRule } from "./new-password";

const roleWord = { ADMINISTRATOR: "administrator", TEACHER: "teacher", HELPER: "helper" };
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
      await api("PUT", "/session/password", values);
      setValues(blank);
      setProblem(undefined);
      setDone(true);
    } catch (error) {
      setProblem(error instanceof Problem ? error : new Problem(0, "Not saved", String(error)));
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
      <h1>Your account</h1>
      <p>
        {who.displayName}, signed in as <strong>{who.username}</strong>, {roleWord[who.role]}.
      </p>
      <h2>Another password</h2>
      {field("old", "Password as it is now", "current-password")}
      <PasswordRule />
      {field("password", "New password", "new-password")}
      {problem && problem.errors.length === 0 && (
        <p role="alert" className="border-l-4 border-alert bg-tint p-3">
          <strong className="text-alert">{problem.title}.</strong> {problem.detail}
        </p>
      )}
      {done && <p role="status">Set. Other devices that were signed in as you have to sign in again.</p>}
      <button type="submit" className="btn btn-main" disabled={!values.old || !values.password}>
        Set the new password
      </button>
      <p className="pt-6 text-sm text-soft">
        Unruly Marble is free software under the Apache License 2.0. <a href="/licences.txt">What it is made of</a>,
        with its licences.
      </p>
    </form>
  );
}
