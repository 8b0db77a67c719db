import { Trash2 } from "lucide-react";
import { useState } from "react";
import { api } from "../../api/client";
import type { KitKind, KitRuleView, KitStore } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Term } from "../../ui/term";
import type { useUndo } from "../../ui/use-undo";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";
import { groupName } from "./kit-grid";

const t = textsOf("store", saidStore);

/** What this school lets stand in for what, beyond what each task says itself; and how to make what can be made. */
export function StandInRules({
  store,
  mayChange,
  act,
}: {
  store: KitStore;
  mayChange: boolean;
  act: ReturnType<typeof useUndo>["act"];
}) {
  const [of, setOf] = useState("tennis-ball");
  const [by, setBy] = useState("sock-ball");
  const [changes, setChanges] = useState("");
  const usable = store.kinds.filter((k) => k.never === null);
  const name = (id: string) => store.kinds.find((k) => k.id === id)?.name ?? id;
  const options = usable.map((k) => ({ value: k.id, text: k.name, group: groupName(k.group) }));
  const makeable = usable.filter((k): k is KitKind & { make: string } => k.make !== null);
  const add = async () => {
    let made: KitRuleView | undefined;
    const done = await act(
      async () => {
        made = await api("post", "/api/kit/rules", { body: { version: null, rule: { of, by, changes } } });
      },
      () => api("delete", "/api/kit/rules/{id}", { params: { path: { id: made?.id ?? "" } } }),
    );
    if (done) setChanges("");
  };
  const remove = (r: KitRuleView) =>
    act(
      () => api("delete", "/api/kit/rules/{id}", { params: { path: { id: r.id } } }),
      () => api("post", "/api/kit/rules", { body: { version: null, rule: r.rule } }),
    );
  return (
    <section className="mt-8">
      <h2 className="border-b-2 border-ink pb-1">
        {t("standInRules.whatMay")} <Term of="standIn">{t("standInRules.standIn")}</Term>
      </h2>
      <p className="mt-1 text-soft">{t("standInRules.eachTaskNamesIts")}</p>
      <ul>
        {store.rules.map((r) => (
          <li key={r.id} className="flex items-baseline gap-2 border-b border-rule py-1.5">
            <span className="flex-1">
              <strong>{name(r.rule.by)}</strong>{" "}
              {t("standInRules.for", { name: name(r.rule.of), changes: r.rule.changes })}
            </span>
            {mayChange && (
              <button
                type="button"
                className="p-1.5"
                aria-label={t("standInRules.removeFor", { by: name(r.rule.by), of: name(r.rule.of) })}
                onClick={() => remove(r)}
              >
                <Trash2 size={17} aria-hidden />
              </button>
            )}
          </li>
        ))}
      </ul>
      {mayChange && (
        <form
          className="mt-3 flex flex-wrap items-center gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            add();
          }}
        >
          <Choice label={t("standInRules.whatStandsIn")} value={by} options={options} onChange={setBy} />
          <span>{t("standInRules.for2")}</span>
          <Choice label={t("standInRules.whatItStandsIn")} value={of} options={options} onChange={setOf} />
          <input
            className="field min-w-56 flex-1"
            aria-label={t("standInRules.whatItChanges")}
            placeholder={t("standInRules.whatItChanges")}
            maxLength={200}
            value={changes}
            onChange={(e) => setChanges(e.target.value)}
          />
          <button type="submit" className="btn" disabled={!changes.trim() || of === by}>
            {t("standInRules.add")}
          </button>
        </form>
      )}
      <h3 className="mt-5 font-bold">{t("standInRules.howToMakeIt")}</h3>
      <ul className="columns-1 gap-8 text-[0.95rem] md:columns-2">
        {makeable.map((k) => (
          <li key={k.id} className="break-inside-avoid py-0.5">
            <strong>{k.name}</strong>
            {k.makeMin > 0 && t("standInRules.min", { makeMin: k.makeMin })}: {k.make}
          </li>
        ))}
      </ul>
    </section>
  );
}
