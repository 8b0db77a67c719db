import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback } from "react";
import { v4 } from "uuid";
import { api } from "../../api/client";
import { beginFrom, kit, session } from "../../api/queries";
import type { KitItem, KitItemDoc, KitKind, KitStore } from "../../api/types";
import { Choice } from "../../ui/choice";
import { PartHead, UndoButton } from "../../ui/part-head";
import { Failed, Loading } from "../../ui/states";
import { useUndo } from "../../ui/use-undo";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";
import { KitDetails } from "./kit-details";
import { KitGrid } from "./kit-grid";
import { StandInRules } from "./stand-in-rules";

const t = textsOf("store", saidStore);

export type KitDoc = Omit<KitItemDoc, "version">;

/** The kit: how many, in what condition, and what each can do. Every line is changed where it stands and saved at once. */
export function KitStoreView() {
  const client = useQueryClient();
  const store = useQuery(kit);
  const usual = useQuery(beginFrom);
  const who = useQuery(session);
  const refresh = useCallback(async () => {
    await client.invalidateQueries({ queryKey: kit.queryKey });
    client.invalidateQueries({ queryKey: ["lesson"] });
  }, [client]);
  const { act, problem, undo } = useUndo(refresh);
  if (store.isPending) return <Loading what={t("kit.loading")} />;
  if (store.isLoadingError) return <Failed error={store.error} again={() => store.refetch()} />;
  const mayChange = !!who.data?.who?.teaches;
  const { items } = store.data;
  const now = async (id: string) => (await api("get", "/api/kit")).items.find((i) => i.id === id)?.version ?? 0;
  const put = async (id: string, doc: KitDoc) =>
    api("put", "/api/kit/{id}", { params: { path: { id } }, body: { ...doc, version: await now(id) } });
  const change = (item: KitItem, doc: KitDoc) =>
    act(
      () => api("put", "/api/kit/{id}", { params: { path: { id: item.id } }, body: { ...doc, version: item.version } }),
      () => put(item.id, docOf(item)),
    );
  const add = (kind: KitKind, count: number | null) => {
    let made: KitItem | undefined;
    return act(
      async () => {
        made = await api("post", "/api/kit", { body: { version: null, kind, count, condition: "GOOD" } });
      },
      () => api("delete", "/api/kit/{id}", { params: { path: { id: made?.id ?? "" } } }),
    );
  };
  const startFrom = (cupboard: string) => {
    let made: KitItem[] = [];
    return act(
      async () => {
        made = await api("post", "/api/kit/from/{cupboard}", { params: { path: { cupboard } } });
      },
      () => Promise.all(made.map((m) => api("delete", "/api/kit/{id}", { params: { path: { id: m.id } } }))),
    );
  };
  const remove = (item: KitItem) =>
    act(
      () => api("delete", "/api/kit/{id}", { params: { path: { id: item.id } } }),
      () => api("post", "/api/kit", { body: { version: null, ...docOf(item) } }),
    );
  return (
    <section>
      <PartHead title={t("kit.title")}>
        {mayChange && (
          <>
            <UndoButton undo={undo} />
            <Choice
              label={t("kit.startFrom")}
              className="btn"
              value="-"
              options={[
                { value: "-", text: t("kit.startFrom") },
                ...(usual.data?.cupboards ?? []).map((c) => ({
                  value: c.id,
                  text: t(`kit.${c.id as "a-few-balls" | "primary-school" | "secondary-school"}`),
                })),
              ]}
              onChange={(id) => id !== "-" && startFrom(id)}
            />
            <button type="button" className="btn btn-main" onClick={() => add(ownKind(), 1)}>
              {t("kit.own")}
            </button>
          </>
        )}
      </PartHead>
      <p className="mt-2 text-soft">{items.length === 0 ? t("kit.empty") : t("kit.tick")}</p>
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
      <KitGrid store={store.data} mayChange={mayChange} onAdd={add} onChange={change} onRemove={remove} />
      <p className="mt-3 text-sm text-soft">{t("kit.plenty")}</p>
      {items.length > 0 && <KitDetails items={items} mayChange={mayChange} onChange={change} onRemove={remove} />}
      <StandInRules store={store.data} mayChange={mayChange} act={act} />
      <Fits store={store.data} />
    </section>
  );
}

export const docOf = (i: KitItem): KitDoc => ({ kind: i.kind, count: i.count, condition: i.condition });

function ownKind(): KitKind {
  return {
    id: `own-${v4()}`,
    name: t("kit.ours"),
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

/** What goes into what, and how wide a gap each ball is led through. */
function Fits({ store }: { store: KitStore }) {
  const balls = store.fits.filter((f) => f.goesInto.length + f.tooBigFor.length > 0 || f.gapCm > 0);
  if (balls.length === 0) return null;
  return (
    <section className="mt-8">
      <h2 className="border-b-2 border-ink pb-1">{t("kit.fits")}</h2>
      <ul>
        {balls.map((f) => (
          <li key={f.kind} className="border-b border-rule py-1.5">
            <strong>{f.name}</strong>{" "}
            {f.goesInto.length > 0 && `${t("kit.goesInto", { what: f.goesInto.join(", ") })} `}
            {f.tooBigFor.length > 0 && (
              <span className="text-alert">{t("kit.tooBig", { what: f.tooBigFor.join(", ") })} </span>
            )}
            {t("kit.gap", { cm: Math.round(f.gapCm) })}
          </li>
        ))}
      </ul>
    </section>
  );
}
