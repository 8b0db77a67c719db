import { texts } from "../../words/texts";

const t = texts("session");

/** What a new password must be, said before one types. */
export function PasswordRule() {
  return <p className="text-sm text-soft">{t("rule")}</p>;
}
