import { Plus, Trash2 } from "lucide-react";
import type { Feature, Place } from "../../api/types";
import { featureWord } from "../../room/features";
import { Choice } from "../../ui/choice";
import { Labelled, NumberField } from "../../ui/fields";
import { edgeWord } from "../../words";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";
import { surface } from "../../words-findings";
import { SpaceMeasures } from "./space-measures";
import { WallFields } from "./wall-fields";

const t = textsOf("store", saidStore);

const flags = [
  ["breakables", t("spaceFields.thingsThatBreak")],
  ["neighboursBelow", t("spaceFields.neighboursBelow")],
  ["othersWall", t("spaceFields.theWallIsSomebodyElse")],
  ["lowLamps", t("spaceFields.lowLamps")],
  ["cars", t("spaceFields.carsBesideIt")],
  ["openWater", t("spaceFields.openWaterBesideIt")],
] as const;

/** All that is known of a room or yard. */
export function SpaceFields({
  name,
  place,
  must,
  onName,
  onPlace,
}: {
  name: string;
  place: Place;
  must: (field: string) => string | undefined;
  onName: (name: string) => void;
  onPlace: (place: Place, step: string) => void;
}) {
  return (
    <div className="space-y-4">
      <div className="flex flex-wrap gap-4">
        <Labelled label={t("spaceFields.name")} must={must("name")}>
          {(ids) => <input {...ids} className="field" value={name} onChange={(e) => onName(e.target.value)} />}
        </Labelled>
        <div className="flex flex-col gap-1">
          <span className="text-sm font-semibold">{t("spaceFields.surface")}</span>
          <Choice
            label={t("spaceFields.surface")}
            value={place.surface}
            options={(Object.keys(surface) as Place["surface"][]).map((value) => ({
              value,
              text: surface[value] ?? value,
            }))}
            onChange={(s) => onPlace({ ...place, surface: s }, "surface")}
          />
        </div>
        <div className="flex flex-col gap-1">
          <span className="text-sm font-semibold">{t("spaceFields.wet")}</span>
          <Choice
            label={t("spaceFields.wet")}
            value={place.wet}
            options={[
              { value: "NEVER", text: t("spaceFields.never") },
              { value: "MORNINGS", text: t("spaceFields.inTheMornings") },
              { value: "NOW", text: t("spaceFields.wetNow") },
            ]}
            onChange={(wet) => onPlace({ ...place, wet }, "wet")}
          />
        </div>
      </div>
      <SpaceMeasures place={place} must={(field) => must(`place.size.${field}`)} onPlace={onPlace} />
      <WallFields place={place} must={must} onPlace={onPlace} />
      <div className="flex flex-wrap gap-x-5 gap-y-2">
        {flags.map(([key, text]) => (
          <label key={key} className="flex items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={place[key]}
              onChange={(e) => onPlace({ ...place, [key]: e.target.checked }, key)}
            />
            {text}
          </label>
        ))}
      </div>
      <Edges place={place} must={must} onPlace={onPlace} />
    </div>
  );
}

/** Doors, ways out, windows, stairs and what stands in the way, each along one edge. */
function Edges({
  place,
  must,
  onPlace,
}: {
  place: Place;
  must: (field: string) => string | undefined;
  onPlace: (place: Place, step: string) => void;
}) {
  const set = (i: number, change: Partial<Feature>, step: string) =>
    onPlace(
      { ...place, features: place.features.map((f, at) => (at === i ? { ...f, ...change } : f)) },
      t("spaceFields.feature", { i, step }),
    );
  const add = (kind: Feature["kind"]) =>
    onPlace(
      {
        ...place,
        features: [
          ...place.features,
          { kind, edge: "BOTTOM", fromM: 0, lengthM: 1, depthM: kind === "OBSTACLE" || kind === "BREAKABLE" ? 0.5 : 0 },
        ],
      },
      t("spaceFields.add", { length: place.features.length }),
    );
  return (
    <div>
      <p className="text-sm font-semibold">{t("spaceFields.alongTheEdgesDrawn")}</p>
      <ul className="mt-1 space-y-1.5">
        {place.features.map((f, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: features have no id and keep their order
          <li key={i} className="flex flex-wrap items-center gap-2">
            <Choice
              label={t("spaceFields.whatIs", { n: i + 1 })}
              value={f.kind}
              options={(Object.keys(featureWord) as Feature["kind"][]).map((value) => ({
                value,
                text: featureWord[value],
              }))}
              onChange={(kind) => set(i, { kind }, "kind")}
            />
            <span>{t("spaceFields.onThe")}</span>
            <Choice
              label={t("spaceFields.edgeOf", { n: i + 1 })}
              value={f.edge}
              options={(Object.keys(edgeWord) as Feature["edge"][]).map((value) => ({ value, text: edgeWord[value] }))}
              onChange={(edge) => set(i, { edge }, "edge")}
            />
            <span>{t("spaceFields.from")}</span>
            <NumberField
              label={t("spaceFields.fromOf", { n: i + 1 })}
              unit={t("spaceFields.m")}
              step={0.1}
              value={f.fromM}
              must={must(`place.features[${i}].fromM`)}
              onChange={(v) => set(i, { fromM: v as number }, "from")}
            />
            <NumberField
              label={t("spaceFields.lengthOf", { n: i + 1 })}
              unit={t("spaceFields.mLong")}
              step={0.1}
              value={f.lengthM}
              must={must(`place.features[${i}].lengthM`)}
              onChange={(v) => set(i, { lengthM: v as number }, "length")}
            />
            <NumberField
              label={t("spaceFields.depthOf", { n: i + 1 })}
              unit={t("spaceFields.mDeep")}
              step={0.1}
              value={f.depthM}
              must={must(`place.features[${i}].depthM`)}
              onChange={(v) => set(i, { depthM: v as number }, "depth")}
            />
            <button
              type="button"
              className="p-1.5"
              aria-label={t("spaceFields.takeAway", { featureWord: featureWord[f.kind], n: i + 1 })}
              onClick={() =>
                onPlace(
                  { ...place, features: place.features.filter((_, at) => at !== i) },
                  t("spaceFields.gone", { i }),
                )
              }
            >
              <Trash2 size={17} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-2 flex flex-wrap gap-2">
        {(Object.keys(featureWord) as Feature["kind"][]).map((kind) => (
          <button key={kind} type="button" className="btn btn-small" onClick={() => add(kind)}>
            <Plus size={15} aria-hidden /> {featureWord[kind]}
          </button>
        ))}
      </p>
    </div>
  );
}
