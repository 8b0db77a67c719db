import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { api, type Problem } from "../../api/client";
import { spaces } from "../../api/queries";
import type { Space, SpaceDoc } from "../../api/types";
import { Labelled, NumberField } from "../../ui/fields";
import { Failed } from "../../ui/states";

/** A room or yard, measured. */
export function SpaceForm({ known, onSaved }: { known?: Space; onSaved: () => void }) {
  const client = useQueryClient();
  const [doc, setDoc] = useState<SpaceDoc>(
    known
      ? { version: known.version, name: known.name, surface: known.surface, size: known.size }
      : { version: null, name: "", surface: "wood", size: { lengthM: 8, widthM: 6, ceilingM: 2.7, wall: null } },
  );
  const save = useMutation<Space, Problem>({
    mutationFn: () => (known ? api<Space>("PUT", `/spaces/${known.id}`, doc) : api<Space>("POST", "/spaces", doc)),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: spaces.queryKey });
      client.invalidateQueries({ queryKey: ["lesson"] });
      onSaved();
    },
  });
  const send = (e: FormEvent) => {
    e.preventDefault();
    save.mutate();
  };
  const must = (field: string) => save.error?.must(field);
  const { size } = doc;
  const setSize = (change: Partial<SpaceDoc["size"]>) => setDoc({ ...doc, size: { ...size, ...change } });
  return (
    <form onSubmit={send} className="mb-5 space-y-4 bg-tint p-4">
      <div className="flex flex-wrap gap-4">
        <Labelled label="Name" must={must("name")}>
          {(ids) => (
            <input
              {...ids}
              className="field"
              value={doc.name}
              onChange={(e) => setDoc({ ...doc, name: e.target.value })}
            />
          )}
        </Labelled>
        <Labelled label="Surface" must={must("surface")}>
          {(ids) => (
            <select
              {...ids}
              className="field"
              value={doc.surface}
              onChange={(e) => setDoc({ ...doc, surface: e.target.value })}
            >
              {["wood", "concrete", "tarmac", "tiles", "carpet", "grass", "any"].map((s) => (
                <option key={s}>{s}</option>
              ))}
            </select>
          )}
        </Labelled>
      </div>
      <p className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <NumberField
          label="Length"
          unit="m long,"
          step={0.1}
          value={size.lengthM}
          must={must("size.lengthM")}
          onChange={(v) => setSize({ lengthM: v as number })}
        />
        <NumberField
          label="Width"
          unit="m wide,"
          step={0.1}
          value={size.widthM}
          must={must("size.widthM")}
          onChange={(v) => setSize({ widthM: v as number })}
        />
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={size.ceilingM !== null}
            onChange={(e) => setSize({ ceilingM: e.target.checked ? 2.7 : null })}
          />
          a ceiling
        </label>
        {size.ceilingM !== null && (
          <NumberField
            label="Ceiling"
            unit="m high,"
            step={0.1}
            value={size.ceilingM}
            must={must("size.ceilingM")}
            onChange={(v) => setSize({ ceilingM: v as number })}
          />
        )}
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={size.wall !== null}
            onChange={(e) => setSize({ wall: e.target.checked ? { runM: size.lengthM, depthM: size.widthM } : null })}
          />
          a free wall
        </label>
        {size.wall && (
          <>
            <NumberField
              label="Free wall"
              unit="m of it,"
              step={0.1}
              value={size.wall.runM}
              must={must("size.wall.runM")}
              onChange={(v) => setSize({ wall: { runM: v as number, depthM: size.wall?.depthM ?? 0 } })}
            />
            <NumberField
              label="Floor in front of it"
              unit="m of floor before it"
              step={0.1}
              value={size.wall.depthM}
              must={must("size.wall.depthM")}
              onChange={(v) => setSize({ wall: { runM: size.wall?.runM ?? 0, depthM: v as number } })}
            />
          </>
        )}
      </p>
      {save.isError && save.error.errors.length === 0 && <Failed error={save.error} />}
      <p className="flex items-center gap-4">
        <button type="submit" className="btn btn-main" disabled={save.isPending}>
          Save the space
        </button>
        {save.isSuccess && <span role="status">Saved</span>}
      </p>
    </form>
  );
}
