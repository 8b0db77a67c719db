import { Trash2 } from "lucide-react";
import type { KitItem, KitKind } from "../../api/types";
import { Choice } from "../../ui/choice";
import { InPlace, typedNumber } from "../../ui/in-place";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";
import { groups } from "./kit-grid";
import { docOf, type KitDoc } from "./kit-store";

const t = textsOf("store", saidStore);

const properties = ["bounces", "soft", "rolls", "grips", "bright", "hard"] as const;

/** Of what there is: condition, sizes and what each can do, a line each. */
export function KitDetails({
  items,
  mayChange,
  onChange,
  onRemove,
}: {
  items: KitItem[];
  mayChange: boolean;
  onChange: (item: KitItem, doc: KitDoc) => void;
  onRemove: (item: KitItem) => void;
}) {
  return (
    <details className="mt-6">
      <summary className="cursor-pointer border-b-2 border-ink pb-1 font-head text-lg font-bold">
        {t("kit.details")}
      </summary>
      <fieldset disabled={!mayChange} className="min-w-0">
        <div className="relative overflow-x-auto">
          <table className="w-full border-collapse">
            <thead>
              <tr className="text-left text-sm">
                {(["what", "howMany", "condition", "across", "opening", "mass", "can"] as const).map((h) => (
                  <th key={h} scope="col" className="py-1.5 pr-3 font-semibold">
                    {t(`kit.${h}`)}
                  </th>
                ))}
                <th scope="col">
                  <span className="sr-only">{t("kit.remove")}</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {items.map((i) => (
                <Line key={i.id} item={i} onChange={(doc) => onChange(i, doc)} onRemove={() => onRemove(i)} />
              ))}
            </tbody>
          </table>
        </div>
      </fieldset>
    </details>
  );
}

function Line({ item, onChange, onRemove }: { item: KitItem; onChange: (doc: KitDoc) => void; onRemove: () => void }) {
  const { kind } = item;
  const doc = docOf(item);
  const withKind = (change: Partial<KitKind>) => onChange({ ...doc, kind: { ...kind, ...change } });
  const cm = (field: "sizeCm" | "openingCm" | "massG", label: string) => (
    <td className="py-1 pr-3">
      <InPlace
        label={label}
        number
        width="4.2rem"
        value={kind[field] === null ? "" : String(kind[field])}
        onDone={(v) => withKind({ [field]: typedNumber(v) })}
      />
    </td>
  );
  return (
    <tr className="border-t border-rule align-top">
      <td className="py-1 pr-3">
        <InPlace
          label={t("kit.nameOf", { kind: kind.name })}
          width="11rem"
          value={kind.name}
          onDone={(name) => withKind({ name })}
        />
        {kind.id.startsWith("own-") && (
          <Choice
            label={t("kit.groupOf", { kind: kind.name })}
            className="field mt-1 text-sm"
            value={kind.group}
            options={groups.map((value) => ({ value, text: t(`group.${value}`) }))}
            onChange={(group) => withKind({ group })}
          />
        )}
      </td>
      <td className="clock py-2 pr-3">{item.count ?? t("kit.any")}</td>
      <td className="py-1 pr-3">
        <Choice
          label={t("kit.conditionOf", { kind: kind.name })}
          value={item.condition}
          options={(["GOOD", "WORN", "BROKEN"] as const).map((value) => ({ value, text: t(`kit.${value}`) }))}
          onChange={(condition) => onChange({ ...doc, condition })}
        />
      </td>
      {cm("sizeCm", t("kit.acrossOf", { kind: kind.name }))}
      {cm("openingCm", t("kit.openingOf", { kind: kind.name }))}
      {cm("massG", t("kit.massOf", { kind: kind.name }))}
      <td className="py-1 pr-3">
        <span className="flex max-w-md flex-wrap gap-x-3 gap-y-1 pt-1 text-sm">
          {properties.map((key) => (
            <label key={key} className="flex items-center gap-1 whitespace-nowrap">
              <input
                type="checkbox"
                className="size-4 accent-ink"
                aria-label={t("kit.canOf", { kind: kind.name, what: t(`can.${key}`) })}
                checked={kind[key]}
                onChange={(e) => withKind({ [key]: e.target.checked })}
              />
              {t(`can.${key}`)}
            </label>
          ))}
        </span>
      </td>
      <td className="py-1">
        <button type="button" className="p-1.5" aria-label={t("kit.removeOf", { kind: kind.name })} onClick={onRemove}>
          <Trash2 size={17} aria-hidden />
        </button>
      </td>
    </tr>
  );
}
