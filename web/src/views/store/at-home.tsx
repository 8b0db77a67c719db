import { useQuery } from "@tanstack/react-query";
import { Trash2 } from "lucide-react";
import { kit } from "../../api/queries";
import type { PupilDetails } from "../../api/types";
import { Choice } from "../../ui/choice";
import { NumberField } from "../../ui/fields";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";

const t = textsOf("store", saidStore);

type Home = NonNullable<PupilDetails["otherHome"]>;

const BELOW = {
  unknown: t("atHome.whoLivesBelowIsNot"),
  yes: t("atHome.somebodyLivesBelow"),
  no: t("atHome.nobodyLivesBelow"),
} as const;

/** What there is at one home to practise with: kit, room, and whether a bounce would be heard. */
export function AtHome({
  called,
  home,
  must,
  onChange,
}: {
  called: string;
  home: Home;
  must: (field: string) => string | undefined;
  onChange: (change: Partial<Home>, step: string) => void;
}) {
  const store = useQuery(kit);
  const kinds = store.data?.kinds.filter((k) => k.never === null && k.make === null) ?? [];
  const name = (id: string) => store.data?.kinds.find((k) => k.id === id)?.name ?? id;
  const room = home.space;
  const setRoom = (change: Partial<NonNullable<Home["space"]>>) =>
    room && onChange({ space: { ...room, ...change } }, "space");
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5">
      <span className="first-letter:uppercase">{called}</span>
      {Object.entries(home.kit).map(([id, n]) => (
        <span key={id} className="inline-flex items-center gap-1">
          <NumberField
            label={`${name(id)} ${called}`}
            unit={name(id)}
            value={n}
            must={must(`kit.${id}`)}
            onChange={(v) => onChange({ kit: { ...home.kit, [id]: v ?? 0 } }, `kit ${id}`)}
          />
          <button
            type="button"
            className="p-1"
            aria-label={t("atHome.no", { id: name(id), called })}
            onClick={() => {
              const { [id]: _, ...rest } = home.kit;
              onChange({ kit: rest }, `kit off ${id}`);
            }}
          >
            <Trash2 size={15} aria-hidden />
          </button>
        </span>
      ))}
      <Choice
        label={t("atHome.addKit2", { called })}
        value="-"
        options={[
          { value: "-", text: t("atHome.addKit") },
          ...kinds.filter((k) => !(k.id in home.kit)).map((k) => ({ value: k.id, text: k.name })),
        ]}
        onChange={(id) => id !== "-" && onChange({ kit: { ...home.kit, [id]: 1 } }, `kit on ${id}`)}
      />
      <label className="flex items-center gap-1.5">
        <input
          type="checkbox"
          className="size-4 accent-ink"
          checked={room !== null}
          onChange={(e) =>
            onChange(
              { space: e.target.checked ? { lengthM: 2.5, widthM: 2, ceilingM: 2.4, wall: null } : null },
              "space on",
            )
          }
        />
        {t("atHome.roomToPractise")}
      </label>
      {room && (
        <>
          <NumberField
            label={t("atHome.length", { called })}
            unit={t("atHome.m")}
            step={0.1}
            value={room.lengthM}
            must={must("space.lengthM")}
            onChange={(lengthM) => setRoom({ lengthM: lengthM as number })}
          />
          <NumberField
            label={t("atHome.width", { called })}
            unit={t("atHome.mCeiling")}
            step={0.1}
            value={room.widthM}
            must={must("space.widthM")}
            onChange={(widthM) => setRoom({ widthM: widthM as number })}
          />
          <NumberField
            label={t("atHome.ceiling", { called })}
            unit={t("atHome.m2")}
            step={0.1}
            value={room.ceilingM}
            must={must("space.ceilingM")}
            onChange={(ceilingM) => setRoom({ ceilingM })}
          />
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={room.wall !== null}
              onChange={(e) =>
                setRoom({
                  wall: e.target.checked
                    ? { runM: room.widthM, depthM: room.lengthM, heightM: null, holds: null }
                    : null,
                })
              }
            />
            {t("atHome.aFreeWallOf")}
          </label>
        </>
      )}
      <Choice
        label={t("atHome.below", { called })}
        value={home.quiet === null ? "unknown" : home.quiet ? "yes" : "no"}
        options={Object.entries(BELOW).map(([value, text]) => ({ value: value as keyof typeof BELOW, text }))}
        onChange={(value) => onChange({ quiet: value === "unknown" ? null : value === "yes" }, "below")}
      />
    </div>
  );
}
