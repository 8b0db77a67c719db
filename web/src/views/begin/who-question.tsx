import { useState } from "react";
import type { PupilDetails } from "../../api/types";
import { NumberField } from "../../ui/fields";
import saidStore from "../../words/store.json";
import { texts, textsOf } from "../../words/texts";
import { ClassListReader } from "../store/class-list";

const t = texts("begin");
const store = textsOf("store", saidStore);

/** How many pupils and what the class is called; their names where a list is at hand. */
export function WhoQuestion({
  className,
  onClassName,
  pupils,
  onPupils,
  names,
  onNames,
  must,
}: {
  className: string;
  onClassName: (name: string) => void;
  pupils: number | null;
  onPupils: (count: number | null) => void;
  names: PupilDetails[];
  onNames: (names: PupilDetails[]) => void;
  must: (field: string) => string | undefined;
}) {
  const [listing, setListing] = useState(false);
  return (
    <div className="space-y-3">
      <div className="flex flex-wrap items-center gap-x-2 gap-y-3">
        {names.length === 0 ? (
          <NumberField
            label={t("who.pupils")}
            value={pupils}
            must={must("schoolClass.pupils")}
            onChange={onPupils}
            tail={t("who.unit")}
          />
        ) : (
          <span className="font-semibold">{t("who.named", { n: names.length })}</span>
        )}
        <span>
          <input
            className="field"
            aria-label={t("who.className")}
            aria-invalid={!!must("schoolClass.name")}
            value={className}
            onFocus={(e) => e.target.select()}
            onChange={(e) => onClassName(e.target.value)}
          />
          {must("schoolClass.name") && (
            <span className="ml-2 text-sm font-semibold text-alert">
              {t("who.className")} {must("schoolClass.name")}
            </span>
          )}
        </span>
        <button
          type="button"
          className="btn btn-small"
          aria-expanded={listing}
          onClick={() => {
            setListing(!listing && names.length === 0);
            onNames([]);
          }}
        >
          {listing || names.length > 0 ? t("who.numbers") : t("who.list")}
        </button>
      </div>
      {listing ? (
        <ClassListReader
          take={(n) => store("list.use", { n })}
          onTake={(list) => {
            onNames(list);
            setListing(false);
          }}
        />
      ) : names.length > 0 ? (
        <p className="text-sm text-soft">{names.map((p) => p.firstName).join(", ")}</p>
      ) : (
        <p className="text-sm text-soft">{t("who.nameless", { n: pupils ?? 0 })}</p>
      )}
    </div>
  );
}
