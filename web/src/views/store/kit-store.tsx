import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Trash2 } from "lucide-react";
import { useCallback } from "react";
import { v4 } from "uuid";
import { api } from "../../api/client";
import { kit, session } from "../../api/queries";
import type { KitItem, KitItemDoc, KitKind, KitStore } from "../../api/types";
import { Choice } from "../../ui/choice";
import { InPlace, typedNumber } from "../../ui/in-place";
import { PartHead, UndoButton } from "../../ui/part-head";
import { Failed, Loading } from "../../ui/states";
import { useUndo } from "../../ui/use-undo";
import { StandInRules } from "./stand-in-rules";

export const groupWord: Record<KitKind["group"], string> = {
  BALL: "balls",
  STICK: "sticks and bats",
  CATCHER: "what catches",
  TARGET: "targets",
  MARKER: "markers",
  MARK: "marks",
  COVER: "to make it harder",
  GEAR: "protective gear",
  OTHER: "other",
};

const properties = [
  ["bounces", "bounces"],
  ["soft", "soft"],
  ["rolls", "rolls"],
  ["grips", "can be gripped"],
  ["bright", "bright"],
  ["hard", "hard"],
] as const;

/** The kit: how many, in what condition, and what each can do. Every line is changed where it stands and saved at once. */
export function KitStoreView() {
  const client = useQueryClient();
  const store = useQuery(kit);
  const who = useQuery(session);
  const refresh = useCallback(async () => {
    await client.invalidateQueries({ queryKey: kit.queryKey });
    client.invalidateQueries({ queryKey: ["lesson"] });
  }, [client]);
  const { act, problem, undo } = useUndo(refresh);
  if (store.isPending) return <Loading what="the kit" />;
  if (store.isLoadingError) return <Failed error={store.error} again={() => store.refetch()} />;
  const mayChange = !!who.data?.who?.teaches;
  const { items, kinds } = store.data;
  const now = async (id: string) => (await api<KitStore>("GET", "/kit")).items.find((i) => i.id === id)?.version ?? 0;
  const put = async (id: string, doc: Omit<KitItemDoc, "version">) =>
    api<KitItem>("PUT", `/kit/${id}`, { ...doc, version: await now(id) });
  const change = (item: KitItem, doc: Omit<KitItemDoc, "version">) =>
    act(
      () => api<KitItem>("PUT", `/kit/${item.id}`, { ...doc, version: item.version }),
      () => put(item.id, docOf(item)),
    );
  const add = (kind: KitKind) => {
    let made: KitItem | undefined;
    return act(
      async () => {
        made = await api<KitItem>("POST", "/kit", { version: null, kind, count: 1, condition: "GOOD" });
      },
      () => api("DELETE", `/kit/${made?.id}`),
    );
  };
  const remove = (item: KitItem) =>
    act(
      () => api("DELETE", `/kit/${item.id}`),
      () => api("POST", "/kit", { version: null, ...docOf(item) }),
    );
  const there = new Set(items.map((i) => i.kind.id));
  const absent = kinds.filter((k) => !there.has(k.id) && k.never === null);
  return (
    <section>
      <PartHead title="Kit">
        {mayChange && (
          <>
            <UndoButton undo={undo} />
            <Choice
              label="Add kit"
              className="btn btn-main"
              value="-"
              options={[
                { value: "-", text: "Add kit" },
                { value: "own", text: "something of your own" },
                ...absent.map((k) => ({ value: k.id, text: k.name, group: groupWord[k.group] })),
              ]}
              onChange={(id) => {
                const kind = kinds.find((k) => k.id === id);
                if (kind) add(kind);
                else if (id === "own") add(ownKind());
              }}
            />
          </>
        )}
      </PartHead>
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-alert bg-tint p-3 font-semibold">
          {problem.detail}{" "}
          {problem.errors.map((e) => (
            <span key={e.field} className="block font-normal">
              {e.field} {e.must}
            </span>
          ))}
        </p>
      )}
      {items.length === 0 ? (
        <p className="py-4 text-soft">
          Nothing yet. What everybody can bring or make, such as rolled socks, counts without being listed.
        </p>
      ) : (
        <fieldset disabled={!mayChange} className="min-w-0">
          <div className="relative overflow-x-auto">
            <table className="w-full border-collapse">
              <thead>
                <tr className="text-left text-sm">
                  {["What", "How many", "Condition", "Across cm", "Opening cm", "Mass g", "What it can do", ""].map(
                    (h) => (
                      <th key={h} scope="col" className="py-1.5 pr-3 font-semibold">
                        {h || <span className="sr-only">Remove</span>}
                      </th>
                    ),
                  )}
                </tr>
              </thead>
              <tbody>
                {items.map((i) => (
                  <Line key={i.id} item={i} onChange={(doc) => change(i, doc)} onRemove={() => remove(i)} />
                ))}
              </tbody>
            </table>
          </div>
        </fieldset>
      )}
      <p className="mt-2 text-sm text-soft">
        An empty number means as many as are asked: chalk, tape, what everybody brings. Broken kit is not counted.
      </p>
      <StandInRules store={store.data} mayChange={mayChange} act={act} />
      <Fits store={store.data} />
    </section>
  );
}

const docOf = (i: KitItem) => ({ kind: i.kind, count: i.count, condition: i.condition });

function ownKind(): KitKind {
  return {
    id: `own-${v4()}`,
    name: "something of our own",
    group: "BALL",
    sizeCm: null,
    openingCm: null,
    massG: null,
    bounces: false,
    soft: false,
    rolls: false,
    grips: false,
    bright: false,
    hard: false,
    make: null,
    makeMin: 0,
    never: null,
  };
}

function Line({
  item,
  onChange,
  onRemove,
}: {
  item: KitItem;
  onChange: (doc: Omit<KitItemDoc, "version">) => void;
  onRemove: () => void;
}) {
  const { kind } = item;
  const doc = docOf(item);
  const withKind = (change: Partial<KitKind>) => onChange({ ...doc, kind: { ...kind, ...change } });
  const cm = (field: "sizeCm" | "openingCm" | "massG", label: string) => (
    <td className="py-1 pr-3">
      <InPlace
        label={`${label} of ${kind.name}`}
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
        <InPlace label={`Name of ${kind.name}`} width="11rem" value={kind.name} onDone={(name) => withKind({ name })} />
        {kind.id.startsWith("own-") && (
          <Choice
            label={`Group of ${kind.name}`}
            className="field mt-1 text-sm"
            value={kind.group}
            options={(Object.keys(groupWord) as KitKind["group"][]).map((value) => ({ value, text: groupWord[value] }))}
            onChange={(group) => withKind({ group })}
          />
        )}
      </td>
      <td className="py-1 pr-3">
        <InPlace
          label={`How many ${kind.name}`}
          number
          width="4.2rem"
          placeholder="any"
          value={item.count === null ? "" : String(item.count)}
          onDone={(v) => onChange({ ...doc, count: typedNumber(v) })}
        />
      </td>
      <td className="py-1 pr-3">
        <Choice
          label={`Condition of ${kind.name}`}
          value={item.condition}
          options={[
            { value: "GOOD", text: "good" },
            { value: "WORN", text: "worn" },
            { value: "BROKEN", text: "broken" },
          ]}
          onChange={(condition) => onChange({ ...doc, condition })}
        />
      </td>
      {cm("sizeCm", "Across")}
      {cm("openingCm", "Opening")}
      {cm("massG", "Mass")}
      <td className="py-1 pr-3">
        <span className="flex max-w-md flex-wrap gap-x-3 gap-y-1 pt-1 text-sm">
          {properties.map(([key, text]) => (
            <label key={key} className="flex items-center gap-1 whitespace-nowrap">
              <input
                type="checkbox"
                className="size-4 accent-ink"
                aria-label={`${kind.name} ${text}`}
                checked={kind[key]}
                onChange={(e) => withKind({ [key]: e.target.checked })}
              />
              {text}
            </label>
          ))}
        </span>
      </td>
      <td className="py-1">
        <button type="button" className="p-1.5" aria-label={`Remove ${kind.name}`} onClick={onRemove}>
          <Trash2 size={17} aria-hidden />
        </button>
      </td>
    </tr>
  );
}

/** What goes into what, and how wide a gap each ball is led through. */
function Fits({ store }: { store: KitStore }) {
  const balls = store.fits.filter((f) => f.goesInto.length + f.tooBigFor.length > 0 || f.gapCm > 0);
  if (balls.length === 0) return null;
  return (
    <section className="mt-8">
      <h2 className="border-b-2 border-ink pb-1">What fits what</h2>
      <ul>
        {balls.map((f) => (
          <li key={f.kind} className="border-b border-rule py-1.5">
            <strong>{f.name}</strong> {f.goesInto.length > 0 && `goes into ${f.goesInto.join(", ")}; `}
            {f.tooBigFor.length > 0 && <span className="text-alert">too big for {f.tooBigFor.join(", ")}; </span>}
            led through a gap of {Math.round(f.gapCm)} cm
          </li>
        ))}
      </ul>
    </section>
  );
}
