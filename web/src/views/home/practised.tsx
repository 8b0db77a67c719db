import { Link } from "react-router";
import type { HomeShare } from "../../api/types";
import { day } from "../../words";
import saidHome from "../../words/home.json";
import { textsOf } from "../../words/texts";

const t = textsOf("home", saidHome);

/** Who sent something back, quietly: names in the class's order and no ranking. */
export function Practised({ practised }: { practised: HomeShare[] }) {
  return (
    <section aria-labelledby="practised">
      <h2 id="practised" className="border-b-[3px] border-ink pb-2">
        {t("practised.title")}
      </h2>
      <ul className="mt-2 grid gap-x-8 sm:grid-cols-2 xl:grid-cols-3">
        {practised.map((p) => (
          <li key={p.pupilId} className="flex flex-wrap gap-x-3 border-b border-rule py-1">
            <Link to={`/pupils/${p.pupilId}`} className="w-36">
              {p.pupil}
            </Link>
            <span>{t("practised.count", { n: p.practices })}</span>
            {p.practices > 0 && (
              <span className="text-sm text-soft">{t("practised.minutes", { min: Math.round(p.minutes) })}</span>
            )}
            {p.last && <span className="text-sm text-soft">{t("practised.last", { day: day(p.last) })}</span>}
          </li>
        ))}
      </ul>
      <p className="mt-2 text-sm text-soft">{t("practised.quietly")}</p>
    </section>
  );
}
