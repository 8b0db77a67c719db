import { useQuery } from "@tanstack/react-query";
import { Trash2 } from "lucide-react";
import { kit } from "../../api/queries";
import type { PupilDetails } from "../../api/types";
import { Choice } from "../../ui/choice";
import { NumberField } from "../../ui/fields";
import { adaptation } from "../../words-findings";

type Adaptation = PupilDetails["adaptations"][number];

/** What is done differently for one pupil, and what there is at home to practise with. */
export function PupilMore({
  details,
  must,
  onChange,
}: {
  details: PupilDetails;
  must: (field: string) => string | undefined;
  onChange: (change: Partial<PupilDetails>, step: string) => void;
}) {
  const store = useQuery(kit);
  const kinds = store.data?.kinds.filter((k) => k.never === null && k.make === null) ?? [];
  const name = (id: string) => store.data?.kinds.find((k) => k.id === id)?.name ?? id;
  const home = details.homeSpace;
  const setHome = (change: Partial<NonNullable<PupilDetails["homeSpace"]>>) =>
    home && onChange({ homeSpace: { ...home, ...change } }, "home space");
  return (
    <div className="space-y-2.5 border-l-4 border-rule pl-3">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        {(["SEATED", "ONE_HAND", "SEES_LITTLE", "HEARS_LITTLE"] satisfies Adaptation[]).map((a) => (
          <label key={a} className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={details.adaptations.includes(a)}
              onChange={(e) =>
                onChange(
                  {
                    adaptations: e.target.checked
                      ? [...details.adaptations, a]
                      : details.adaptations.filter((x) => x !== a),
                  },
                  a,
                )
              }
            />
            {adaptation[a]}
          </label>
        ))}
        <input
          className="field min-w-56 flex-1"
          aria-label="What else to know"
          placeholder="What else to know"
          maxLength={120}
          value={details.adaptation ?? ""}
          onChange={(e) => onChange({ adaptation: e.target.value || null }, "note")}
        />
      </div>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5">
        <span>At home</span>
        {Object.entries(details.homeKit).map(([id, n]) => (
          <span key={id} className="inline-flex items-center gap-1">
            <NumberField
              label={`${name(id)} at home`}
              unit={name(id)}
              value={n}
              must={must(`homeKit.${id}`)}
              onChange={(v) => onChange({ homeKit: { ...details.homeKit, [id]: v ?? 0 } }, `kit ${id}`)}
            />
            <button
              type="button"
              className="p-1"
              aria-label={`No ${name(id)} at home`}
              onClick={() => {
                const { [id]: _, ...rest } = details.homeKit;
                onChange({ homeKit: rest }, `kit off ${id}`);
              }}
            >
              <Trash2 size={15} aria-hidden />
            </button>
          </span>
        ))}
        <Choice
          label="Add kit at home"
          value="-"
          options={[
            { value: "-", text: "add kit" },
            ...kinds.filter((k) => !(k.id in details.homeKit)).map((k) => ({ value: k.id, text: k.name })),
          ]}
          onChange={(id) => id !== "-" && onChange({ homeKit: { ...details.homeKit, [id]: 1 } }, `kit on ${id}`)}
        />
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={home !== null}
            onChange={(e) =>
              onChange(
                { homeSpace: e.target.checked ? { lengthM: 2.5, widthM: 2, ceilingM: 2.4, wall: null } : null },
                "home space on",
              )
            }
          />
          room to practise
        </label>
        {home && (
          <>
            <NumberField
              label="Length at home"
              unit="m ×"
              step={0.1}
              value={home.lengthM}
              must={must("homeSpace.lengthM")}
              onChange={(lengthM) => setHome({ lengthM: lengthM as number })}
            />
            <NumberField
              label="Width at home"
              unit="m, ceiling"
              step={0.1}
              value={home.widthM}
              must={must("homeSpace.widthM")}
              onChange={(widthM) => setHome({ widthM: widthM as number })}
            />
            <NumberField
              label="Ceiling at home"
              unit="m"
              step={0.1}
              value={home.ceilingM}
              must={must("homeSpace.ceilingM")}
              onChange={(ceilingM) => setHome({ ceilingM })}
            />
          </>
        )}
      </div>
    </div>
  );
}
