import { useQuery } from "@tanstack/react-query";
import { useEffect, useMemo } from "react";
import { useSearchParams } from "react-router";
import { type FitsAsked, spaces } from "../../api/queries";
import type { Space } from "../../api/types";
import { useChosenClass } from "../../chosen-class";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";

const t = textsOf("ladders", saidLadders);

const KEPT = "marble-here";
const FIVE_MIN = 5;

/** Where, for whom and when it is asked what fits: kept in the address, and in this browser for the next time. */
export function useHere() {
  const [params, setParams] = useSearchParams();
  const rooms = useQuery(spaces);
  const { chosen } = useChosenClass();
  const asked = params.get("here") ?? localStorage.getItem(KEPT) ?? "";
  const [spaceId, audience] = asked.split("/") as [string, string?];
  const space: Space | undefined = rooms.data?.find((r) => r.id === spaceId);
  const atHome = audience === "home";

  useEffect(() => {
    const wanted = params.get("here");
    if (wanted !== null) localStorage.setItem(KEPT, wanted);
  }, [params]);

  const query = useMemo((): FitsAsked | undefined => {
    if (!space || !chosen) return undefined;
    const now = new Date();
    const minute = Math.floor((now.getHours() * 60 + now.getMinutes()) / FIVE_MIN) * FIVE_MIN;
    return {
      classId: chosen.id,
      spaceId: space.id,
      audience: atHome ? "EACH_AT_HOME" : "CLASS",
      startMin: minute,
    };
  }, [space, chosen, atHome]);

  const choose = (value: string) =>
    setParams(
      (p) => {
        p.set("here", value === "anywhere" ? "" : value);
        return p;
      },
      { replace: true },
    );

  const options = [
    { value: "anywhere", text: "anywhere" },
    ...(rooms.data ?? []).map((r) => ({ value: r.id, text: r.name, group: "Together" })),
    ...(rooms.data ?? [])
      .filter((r) => r.place.size.lengthM * r.place.size.widthM <= HOME_M2)
      .map((r) => ({
        value: `${r.id}/home`,
        text: t("here.eachAtHome", { name: r.name }),
        group: t("here.eachAtHome2"),
      })),
  ];
  return { space, atHome, className: chosen?.name ?? "", query, value: space ? asked : "anywhere", choose, options };
}

/** No room at home is larger. */
const HOME_M2 = 30;
