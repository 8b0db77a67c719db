import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { classes, kit, spaces } from "../../api/queries";
import { Parts } from "../../ui/parts";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";
import { Classes } from "./classes";
import { KitStoreView } from "./kit-store";
import { Spaces } from "./spaces";

const t = textsOf("store", saidStore);

const parts = [
  ["classes", t("lead.classes"), Classes],
  ["spaces", t("lead.spaces"), Spaces],
  ["kit", t("lead.kit"), KitStoreView],
] as const;

/** What there is: classes with their pupils, spaces, kit. */
export function StoreView() {
  return (
    <>
      <Parts name={t("lead.store")} at="/store" parts={parts} />
      <LeadOn />
    </>
  );
}

/** What is still missing before a lesson can be planned; nothing once it all stands. */
function LeadOn() {
  const school = useQuery(classes);
  const rooms = useQuery(spaces);
  const there = useQuery(kit);
  if (!school.data || !rooms.data || !there.data) return null;
  const lacks = [
    school.data.length === 0 && (["/store", "noClass"] as const),
    rooms.data.length === 0 && (["/store/spaces", "noSpace"] as const),
    there.data.items.length === 0 && (["/store/kit", "noKit"] as const),
  ].filter((l) => l !== false);
  if (lacks.length === 0) return null;
  return (
    <p className="mt-8 flex flex-wrap items-center gap-x-5 gap-y-2 border-l-8 border-move bg-tint p-3">
      <span>{t("lead.next")}</span>
      {lacks.map(([to, what]) => (
        <Link key={to} to={to}>
          {t(`lead.${what}`)}
        </Link>
      ))}
      {school.data.length === 0 && (
        <Link className="btn btn-small no-underline" to="/begin">
          {t("lead.begin")}
        </Link>
      )}
    </p>
  );
}
