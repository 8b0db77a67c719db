import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, Problem } from "../../api/client";
import { session, spaces } from "../../api/queries";
import type { Place, Space, SpaceDoc } from "../../api/types";
import { featureWord } from "../../room/features";
import { Room } from "../../room/room";
import { wallsOf } from "../../room/walls";
import { PartHead, UndoButton } from "../../ui/part-head";
import { Failed, Loading } from "../../ui/states";
import { useVersionedDraft } from "../../ui/use-versioned-draft";
import { metres } from "../../words";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";
import { surface } from "../../words-findings";
import { SaveState } from "../plan/save-state";
import { SpaceFields } from "./space-fields";
import { useMade } from "./use-made";

const t = textsOf("store", saidStore);

const plain: Place = {
  size: { lengthM: 8, widthM: 6, ceilingM: 2.7, wall: null },
  surface: "WOOD",
  wet: "NEVER",
  breakables: false,
  neighboursBelow: false,
  othersWall: false,
  cars: false,
  openWater: false,
  lowLamps: false,
  features: [],
  otherWalls: [],
};

/** Rooms and yards, measured once. */
export function Spaces() {
  const rooms = useQuery(spaces);
  const who = useQuery(session);
  const [open, setOpen] = useState<string>();
  const mayChange = !!who.data?.who?.teaches;
  if (rooms.isPending) return <Loading what={t("spaces.theSpaces")} />;
  if (rooms.isLoadingError) return <Failed error={rooms.error} again={() => rooms.refetch()} />;
  const toggle = (key: string) => setOpen(open === key ? undefined : key);
  return (
    <section>
      <PartHead title={t("spaces.spaces")}>
        {mayChange && (
          <button type="button" className="btn btn-main" onClick={() => toggle("new")}>
            {t("spaces.newSpace")}
          </button>
        )}
      </PartHead>
      {open === "new" && <NewSpace onSaved={(made) => setOpen(made.id)} />}
      {rooms.data.length === 0 && open !== "new" && <p className="py-4 text-soft">{t("spaces.noSpaceYetMeasure")}</p>}
      <ul className="divide-y divide-rule">
        {rooms.data.map((s) => (
          <li key={s.id}>
            <button
              type="button"
              className="flex w-full flex-wrap items-baseline gap-x-4 py-2.5 text-left"
              aria-expanded={open === s.id}
              onClick={() => toggle(s.id)}
            >
              <strong className="font-head text-lg">{s.name}</strong>
              <span className="text-soft">{told(s.place)}</span>
            </button>
            {open === s.id && <KnownSpace known={s} readOnly={!mayChange} onGone={() => setOpen(undefined)} />}
          </li>
        ))}
      </ul>
    </section>
  );
}

function told({ size, ...p }: Place): string {
  const ways = p.features.map((f) => featureWord[f.kind]);
  return [
    `${metres(size.lengthM)} × ${metres(size.widthM)}`,
    size.ceilingM ? t("said.ceiling", { high: metres(size.ceilingM) }) : t("said.openSky"),
    surface[p.surface],
    wallsOf({ size, ...p }).length > 0 ? t("walls.total", wallsTold({ size, ...p })) : t("said.noWall"),
    p.wet === "NOW" ? t("said.wet") : p.wet === "MORNINGS" ? t("said.wetMornings") : "",
    p.breakables ? t("said.breakables") : "",
    p.neighboursBelow ? t("said.neighbours") : "",
    p.cars ? t("said.cars") : "",
    p.openWater ? t("said.water") : "",
    ...[...new Set(ways)],
  ]
    .filter(Boolean)
    .join(", ");
}

function wallsTold(place: Place) {
  const walls = wallsOf(place);
  return {
    m: metres(walls.reduce((sum, w) => sum + w.stretch.runM, 0)),
    n: new Set(walls.map((w) => w.edge)).size,
  };
}

function NewSpace({ onSaved }: { onSaved: (made: Space) => void }) {
  const [doc, setDoc] = useState<SpaceDoc>({ version: null, name: "", place: plain });
  const { problem, save } = useMade((body: SpaceDoc) => api("post", "/api/spaces", { body }), spaces.queryKey, onSaved);
  return (
    <form
      className="mb-5 bg-tint p-4"
      onSubmit={(e) => {
        e.preventDefault();
        save(doc);
      }}
    >
      <SpaceFields
        name={doc.name}
        place={doc.place}
        must={(f) => problem?.must(f)}
        onName={(name) => setDoc({ ...doc, name })}
        onPlace={(place) => setDoc({ ...doc, place })}
      />
      {problem && problem.errors.length === 0 && <Failed error={problem} />}
      <button type="submit" className="btn btn-main mt-4">
        {t("spaces.saveTheSpace")}
      </button>
    </form>
  );
}

async function theSpace(id: string): Promise<Space> {
  const there = (await api("get", "/api/spaces")).find((s) => s.id === id);
  if (!there) throw new Problem(404, t("spaces.gone"), t("spaces.goneSay"));
  return there;
}

function KnownSpace({ known, readOnly, onGone }: { known: Space; readOnly: boolean; onGone: () => void }) {
  const client = useQueryClient();
  const [stuck, setStuck] = useState<Problem>();
  const kept = useVersionedDraft<Space, Omit<SpaceDoc, "version">>(
    {
      load: () => theSpace(known.id),
      save: (body) => api("put", "/api/spaces/{id}", { params: { path: { id: known.id } }, body }),
    },
    known,
    (v) => ({ name: v.name, place: v.place }),
    () => {
      client.invalidateQueries({ queryKey: spaces.queryKey });
      client.invalidateQueries({ queryKey: ["lesson"] });
    },
  );
  const { draft, change, problem, saved } = kept;
  const remove = async () => {
    try {
      await api("delete", "/api/spaces/{id}", { params: { path: { id: known.id } } });
      await client.invalidateQueries({ queryKey: spaces.queryKey });
      onGone();
    } catch (e) {
      setStuck(e instanceof Problem ? e : new Problem(0, t("spaces.notRemoved"), String(e)));
    }
  };
  return (
    <fieldset disabled={readOnly} className="mb-5 min-w-0 bg-tint p-4">
      <div className="grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[minmax(0,1.5fr)_minmax(16rem,1fr)]">
        <SpaceFields
          name={draft.name}
          place={draft.place}
          must={(f) => problem?.must(f)}
          onName={(name) => change({ ...draft, name }, "name")}
          onPlace={(place, step) => change({ ...draft, place }, step)}
        />
        <Room place={saved.place} needsWall={false} name={saved.name} atHome={false} />
      </div>
      {!readOnly && (
        <div className="mt-4 flex flex-wrap items-center gap-3">
          <UndoButton undo={kept.undo} />
          <SaveState plan={kept} />
          <button type="button" className="btn ml-auto" onClick={remove}>
            {t("spaces.removeTheSpace")}
          </button>
        </div>
      )}
      {stuck && (
        <p role="alert" className="mt-2 font-semibold text-alert">
          {stuck.title}: {stuck.detail}
        </p>
      )}
    </fieldset>
  );
}
