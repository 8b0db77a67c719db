import type { PupilDetails } from "../../api/types";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";
import { adaptation } from "../../words-findings";
import { AtHome } from "./at-home";

const t = textsOf("store", saidStore);

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
  const other = details.otherHome;
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
          aria-label={t("pupilMore.whatElseToKnow")}
          placeholder={t("pupilMore.whatElseToKnow")}
          maxLength={120}
          value={details.adaptation ?? ""}
          onChange={(e) => onChange({ adaptation: e.target.value || null }, "note")}
        />
      </div>
      <AtHome
        called={t("pupilMore.atHome")}
        home={{ kit: details.homeKit, space: details.homeSpace, quiet: details.homeQuiet }}
        must={(field) =>
          must(
            field === "kit" ? "homeKit" : field.replace(/^(kit|space)/, (f) => (f === "kit" ? "homeKit" : "homeSpace")),
          )
        }
        onChange={(change, step) =>
          onChange(
            {
              ...(change.kit && { homeKit: change.kit }),
              ...("space" in change && { homeSpace: change.space }),
              ...("quiet" in change && { homeQuiet: change.quiet }),
            },
            step,
          )
        }
      />
      {other ? (
        <>
          <AtHome
            called={t("pupilMore.atTheOtherHome")}
            home={other}
            must={(field) => must(`otherHome.${field}`)}
            onChange={(change, step) => onChange({ otherHome: { ...other, ...change } }, `other ${step}`)}
          />
          <button type="button" className="text-sm underline" onClick={() => onChange({ otherHome: null }, "one home")}>
            {t("pupilMore.onlyOneHome")}
          </button>
        </>
      ) : (
        <button
          type="button"
          className="text-sm underline"
          onClick={() => onChange({ otherHome: { kit: {}, space: null, quiet: null } }, "two homes")}
        >
          {t("pupilMore.anotherHomeToo")}
        </button>
      )}
    </div>
  );
}
