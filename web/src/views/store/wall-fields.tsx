import { Plus, Trash2 } from "lucide-react";
import type { Place } from "../../api/types";
import { type Edge, wallsOf } from "../../room/walls";
import { Choice } from "../../ui/choice";
import { NumberField } from "../../ui/fields";
import { edgeWord } from "../../words";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";

const t = textsOf("store", saidStore);

type FreeWall = Place["otherWalls"][number];
type Wall = FreeWall["stretch"];

/** How high the first free wall is and what is on it, and every other one with its side, run, floor and height. */
export function WallFields({
  place,
  must,
  onPlace,
}: {
  place: Place;
  must: (field: string) => string | undefined;
  onPlace: (place: Place, step: string) => void;
}) {
  const first = place.size.wall && wallsOf(place)[0];
  const others = place.otherWalls;
  const setOthers = (otherWalls: FreeWall[], step: string) =>
    onPlace({ ...place, otherWalls }, t("wallFields.walls", { step }));
  const set = (i: number, change: Partial<FreeWall>, step: string) =>
    setOthers(
      others.map((w, at) => (at === i ? { ...w, ...change } : w)),
      `${i} ${step}`,
    );
  const more = () => {
    const edge = freeEdge(place);
    const along = edge === "TOP" || edge === "BOTTOM";
    const runM = along ? place.size.lengthM : place.size.widthM;
    const depthM = along ? place.size.widthM : place.size.lengthM;
    setOthers(
      [...others, { edge, fromM: 0, stretch: { runM, depthM, heightM: null, holds: null } }],
      `${others.length}`,
    );
  };
  return (
    <div>
      <p className="text-sm font-semibold">{t("walls.title")}</p>
      <ul className="mt-1 space-y-1.5">
        {first && (
          <li className="flex flex-wrap items-center gap-2">
            <span>{t("walls.first", { edge: edgeWord[first.edge] })}</span>
            <High
              n={1}
              wall={first.stretch}
              must={(f) => must(`place.size.wall.${f}`)}
              onWall={(wall, step) =>
                onPlace({ ...place, size: { ...place.size, wall } }, t("wallFields.wall", { step }))
              }
            />
          </li>
        )}
        {others.map((w, i) => {
          const n = i + (first ? 2 : 1);
          const here = (f: string) => must(`place.otherWalls[${i}].${f}`);
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: walls have no id and keep their order
            <li key={i} className="flex flex-wrap items-center gap-2">
              <Choice
                label={t("walls.edgeOf", { n })}
                value={w.edge}
                options={(Object.keys(edgeWord) as Edge[]).map((value) => ({ value, text: edgeWord[value] }))}
                onChange={(edge) => set(i, { edge }, "edge")}
              />
              <span>{t("walls.from")}</span>
              <NumberField
                label={t("walls.fromOf", { n })}
                unit={t("walls.m")}
                step={0.1}
                value={w.fromM}
                must={here("fromM")}
                onChange={(v) => set(i, { fromM: v as number }, "from")}
              />
              <NumberField
                label={t("walls.runOf", { n })}
                unit={t("walls.ofIt")}
                step={0.1}
                value={w.stretch.runM}
                must={here("stretch.runM")}
                onChange={(v) => set(i, { stretch: { ...w.stretch, runM: v as number } }, "run")}
              />
              <NumberField
                label={t("walls.depthOf", { n })}
                unit={t("walls.before")}
                step={0.1}
                value={w.stretch.depthM}
                must={here("stretch.depthM")}
                onChange={(v) => set(i, { stretch: { ...w.stretch, depthM: v as number } }, "depth")}
              />
              <High
                n={n}
                wall={w.stretch}
                must={(f) => here(`stretch.${f}`)}
                onWall={(wall, step) => set(i, { stretch: wall }, step)}
              />
              <button
                type="button"
                className="p-1.5"
                aria-label={t("walls.away", { n })}
                onClick={() =>
                  setOthers(
                    others.filter((_, at) => at !== i),
                    t("wallFields.gone", { i }),
                  )
                }
              >
                <Trash2 size={17} aria-hidden />
              </button>
            </li>
          );
        })}
      </ul>
      <p className="mt-2 flex flex-wrap items-center gap-3">
        <button type="button" className="btn btn-small" onClick={more}>
          <Plus size={15} aria-hidden /> {t("walls.more")}
        </button>
        {others.length > 0 && <span className="text-sm text-soft">{t("walls.about")}</span>}
      </p>
    </div>
  );
}

function High({
  n,
  wall,
  must,
  onWall,
}: {
  n: number;
  wall: Wall;
  must: (field: string) => string | undefined;
  onWall: (wall: Wall, step: string) => void;
}) {
  return (
    <>
      <span>{t("walls.free")}</span>
      <NumberField
        label={t("walls.heightOf", { n })}
        unit={t("walls.high")}
        step={0.1}
        value={wall.heightM}
        must={must("heightM")}
        onChange={(heightM) => onWall({ ...wall, heightM }, "height")}
      />
      <label className="flex items-center gap-2">
        {t("walls.on")}
        <input
          className="field w-44"
          maxLength={80}
          aria-label={`${t("walls.onIt")}, ${t("walls.wallN", { n })}`}
          value={wall.holds ?? ""}
          onChange={(e) => onWall({ ...wall, holds: e.target.value || null }, "holds")}
        />
      </label>
    </>
  );
}

/** A side of the room that has no free wall yet. */
function freeEdge(place: Place): Edge {
  const taken = wallsOf(place).map((w) => w.edge);
  return (["BOTTOM", "RIGHT", "LEFT", "TOP"] as const).find((e) => !taken.includes(e)) ?? "BOTTOM";
}
