import type { KitItem, KitKind, KitStore } from "../../api/types";
import { InPlace, typedNumber } from "../../ui/in-place";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";
import { docOf, type KitDoc } from "./kit-store";

const t = textsOf("store", saidStore);

export const groups: KitKind["group"][] = [
  "BALL",
  "STICK",
  "CATCHER",
  "TARGET",
  "MARKER",
  "MARK",
  "COVER",
  "GEAR",
  "OTHER",
];

export const groupName = (group: KitKind["group"]) => t(`group.${group}`);

/** All kinds that are known, by group: a tick and a count for what is in the cupboard. */
export function KitGrid({
  store,
  mayChange,
  onAdd,
  onChange,
  onRemove,
}: {
  store: KitStore;
  mayChange: boolean;
  onAdd: (kind: KitKind, count: number | null) => void;
  onChange: (item: KitItem, doc: KitDoc) => void;
  onRemove: (item: KitItem) => void;
}) {
  const usable = store.kinds.filter((k) => k.never === null);
  return (
    <fieldset disabled={!mayChange} className="mt-3 min-w-0 columns-1 gap-8 sm:columns-2 lg:columns-3">
      {groups.map((group) => {
        const kinds = usable.filter((k) => k.group === group);
        if (kinds.length === 0) return null;
        return (
          <div key={group} className="mb-4">
            <h2 className="border-b-2 border-ink pb-0.5 text-base">{groupName(group)}</h2>
            <ul>
              {kinds.map((kind) => (
                <Tick
                  key={kind.id}
                  kind={kind}
                  item={store.items.find((i) => i.kind.id === kind.id)}
                  onAdd={onAdd}
                  onChange={onChange}
                  onRemove={onRemove}
                />
              ))}
            </ul>
          </div>
        );
      })}
    </fieldset>
  );
}

function Tick({
  kind,
  item,
  onAdd,
  onChange,
  onRemove,
}: {
  kind: KitKind;
  item: KitItem | undefined;
  onAdd: (kind: KitKind, count: number | null) => void;
  onChange: (item: KitItem, doc: KitDoc) => void;
  onRemove: (item: KitItem) => void;
}) {
  const anybodys = kind.make !== null;
  return (
    <li
      className={`flex break-inside-avoid items-center gap-2 border-b border-rule py-0.5 ${item ? "bg-tint font-semibold" : ""}`}
    >
      <label className="flex min-w-0 flex-1 items-center gap-2">
        <input
          type="checkbox"
          className="size-4 shrink-0 accent-ink"
          checked={!!item}
          onChange={() => (item ? onRemove(item) : onAdd(kind, 1))}
        />
        <span>
          {kind.name}
          {anybodys && !item && <span className="text-sm text-soft"> · {t("kit.everybody")}</span>}
        </span>
      </label>
      <InPlace
        label={t("kit.many", { kind: kind.name })}
        number
        width="3.6rem"
        placeholder={item ? t("kit.any") : ""}
        value={item?.count == null ? "" : String(item.count)}
        onDone={(v) => (item ? onChange(item, { ...docOf(item), count: typedNumber(v) }) : onAdd(kind, typedNumber(v)))}
      />
    </li>
  );
}
