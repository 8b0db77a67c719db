import type { Place } from "../../api/types";
import { NumberField } from "../../ui/fields";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";

const t = textsOf("store", saidStore);

const bare = { runM: 0, depthM: 0, heightM: null, holds: null };

/** How long, wide and high a place is, and how much of a free wall it has: one sentence. */
export function SpaceMeasures({
  place,
  must,
  onPlace,
}: {
  place: Place;
  /** of a field of the size, such as `lengthM` */
  must: (field: string) => string | undefined;
  onPlace: (place: Place, step: string) => void;
}) {
  const { size } = place;
  const setSize = (change: Partial<Place["size"]>, step: string) =>
    onPlace({ ...place, size: { ...size, ...change } }, step);
  const metre = (label: string, unit: string, field: string, value: number, set: (v: number) => void) => (
    <NumberField
      label={label}
      unit={unit}
      step={0.1}
      value={value}
      must={must(field)}
      onChange={(v) => set(v as number)}
    />
  );
  return (
    <p className="flex flex-wrap items-center gap-x-3 gap-y-2">
      {metre(t("size.length"), t("size.long"), "lengthM", size.lengthM, (lengthM) => setSize({ lengthM }, "lengthM"))}
      {metre(t("size.width"), t("size.wide"), "widthM", size.widthM, (widthM) => setSize({ widthM }, "widthM"))}
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="size-4 accent-ink"
          checked={size.ceilingM !== null}
          onChange={(e) => setSize({ ceilingM: e.target.checked ? 2.7 : null }, "ceiling")}
        />
        {t("size.aCeiling")}
      </label>
      {size.ceilingM !== null &&
        metre(t("size.ceiling"), t("size.high"), "ceilingM", size.ceilingM, (ceilingM) =>
          setSize({ ceilingM }, "ceilingM"),
        )}
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="size-4 accent-ink"
          checked={size.wall !== null}
          onChange={(e) =>
            onPlace(
              {
                ...place,
                size: { ...size, wall: e.target.checked ? { ...bare, runM: size.lengthM, depthM: size.widthM } : null },
              },
              "wall",
            )
          }
        />
        {t("size.aWall")}
      </label>
      {size.wall && (
        <>
          {metre(t("size.wall"), t("size.ofIt"), "wall.runM", size.wall.runM, (runM) =>
            setSize({ wall: { ...(size.wall ?? bare), runM } }, "runM"),
          )}
          {metre(t("size.floor"), t("size.before"), "wall.depthM", size.wall.depthM, (depthM) =>
            setSize({ wall: { ...(size.wall ?? bare), depthM } }, "depthM"),
          )}
        </>
      )}
    </p>
  );
}
