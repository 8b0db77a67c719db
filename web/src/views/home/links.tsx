import { useQuery } from "@tanstack/react-query";
import { api } from "../../api/client";
import { homeByLink } from "../../api/queries";
import { day } from "../../words";
import saidHome from "../../words/home.json";
import { textsOf } from "../../words/texts";
import { useHome } from "./use-home";

const t = textsOf("home", saidHome);

/** Addresses for families; only where the school has one of its own on the internet. They are shown once. */
export function Links({ classId, weekId }: { classId: string; weekId: string }) {
  const possible = useQuery(homeByLink(classId));
  const make = useHome(classId, () => api("post", "/api/home/weeks/{id}/links", { params: { path: { id: weekId } } }));
  if (!possible.data?.possible) return null;
  return (
    <div className="mt-2">
      <button type="button" className="btn btn-small" disabled={make.isPending} onClick={() => make.mutate()}>
        {t("links.make")}
      </button>
      {make.error && <p className="font-semibold text-alert">{make.error.detail}</p>}
      {make.data && (
        <div role="status">
          <p className="mt-2 text-sm text-soft">
            {t("links.once", { until: make.data[0] ? day(make.data[0].until) : "" })}
          </p>
          <ul className="mt-1">
            {make.data.map((link) => (
              <li key={link.cardId} className="flex flex-wrap gap-x-3">
                <span className="w-36 font-semibold">{link.pupil}</span>
                <span className="clock break-all">{link.address}</span>
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}
