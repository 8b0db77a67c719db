import { useQuery } from "@tanstack/react-query";
import { kit as kitQuery } from "../../api/queries";
import type { Ladder, Rung } from "../../api/types";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import type { Must } from "./form-bits";
import { KitForm } from "./kit-form";

const t = textsOf("ladders", saidLadders);

/** How the kit of one rung differs from its ladder's: what nobody needs there, and what only it needs. */
export function RungKitForm({
  own,
  ladders,
  onChange,
  must,
}: {
  own: Rung["kit"];
  /** the kit of the ladder */
  ladders: Ladder["kit"];
  onChange: (own: Rung["kit"]) => void;
  must: Must;
}) {
  const store = useQuery(kitQuery);
  const differs = own.without.length + own.more.length > 0;
  const needed = (role: string, is: boolean) =>
    onChange({ ...own, without: is ? own.without.filter((r) => r !== role) : [...own.without, role] });
  return (
    <details open={differs}>
      <summary className="cursor-pointer">
        <strong>{t("rungKit.title")}</strong>{" "}
        <span className="text-soft">{differs ? t("rungKit.ofItsOwn") : t("rungKit.asItsLadder")}</span>
      </summary>
      <div className="mt-2 space-y-3 pl-4">
        {ladders.length > 0 && (
          <fieldset className="flex flex-wrap gap-x-5 gap-y-1">
            <legend className="text-sm font-semibold">{t("rungKit.needed")}</legend>
            {ladders.map((k) => (
              <label key={k.role} className="flex items-center gap-2">
                <input
                  type="checkbox"
                  checked={!own.without.includes(k.role)}
                  onChange={(e) => needed(k.role, e.target.checked)}
                />{" "}
                {k.what}
              </label>
            ))}
          </fieldset>
        )}
        <fieldset>
          <legend className="text-sm font-semibold">{t("rungKit.only")}</legend>
          <KitForm
            kit={own.more}
            kinds={store.data?.kinds ?? []}
            taken={ladders.map((k) => k.role).filter((role) => !own.without.includes(role))}
            must={(field) => must(field.replace(/^kit\[/, "kit.more["))}
            onChange={(more) => onChange({ ...own, more })}
          />
        </fieldset>
      </div>
    </details>
  );
}
