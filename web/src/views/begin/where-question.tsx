import type { BeginFrom, Beginning, Place, Space } from "../../api/types";
import { Room } from "../../room/room";
import { metres } from "../../words";
import { texts } from "../../words/texts";
import { SpaceMeasures } from "../store/space-measures";

const t = texts("begin");

const PX_PER_M = 6;

/** The spaces that the school has and the usual ones, drawn to one scale; what is new is measured on its drawing. */
export function WhereQuestion({
  usual,
  rooms,
  where,
  onWhere,
  must,
}: {
  usual: BeginFrom["places"];
  rooms: Space[];
  where: Beginning["where"];
  onWhere: (where: Beginning["where"]) => void;
  must: (field: string) => string | undefined;
}) {
  const measured = where.type === "MEASURED" ? where : undefined;
  const isUsual = (id: BeginFrom["places"][number]["id"]) => measured !== undefined && kindOf(usual, measured) === id;
  return (
    <div className="space-y-4">
      {rooms.length > 0 && <p className="text-sm font-semibold text-soft">{t("where.ours")}</p>}
      {rooms.length > 0 && (
        <div className="flex flex-wrap gap-2">
          {rooms.map((r) => (
            <PlaceCard
              key={r.id}
              name={r.name}
              place={r.place}
              chosen={where.type === "KNOWN" && where.spaceId === r.id}
              onChoose={() => onWhere({ type: "KNOWN", spaceId: r.id })}
            />
          ))}
        </div>
      )}
      <p className="text-sm font-semibold text-soft">{t("where.usual")}</p>
      <div className="flex flex-wrap gap-2">
        {usual.map((u) => (
          <PlaceCard
            key={u.id}
            name={t(`where.${u.id}`)}
            place={u.place}
            chosen={isUsual(u.id)}
            onChoose={() => onWhere({ type: "MEASURED", name: t(`where.${u.id}`), place: u.place })}
          />
        ))}
      </div>
      {measured && (
        <div className="grid grid-cols-[minmax(0,1fr)] gap-5 bg-tint p-4 lg:grid-cols-[minmax(0,1.4fr)_minmax(16rem,1fr)]">
          <div className="space-y-3">
            <p>
              <input
                className="field font-semibold"
                aria-label={t("where.name")}
                aria-invalid={!!must("where.name")}
                value={measured.name}
                onChange={(e) => onWhere({ ...measured, name: e.target.value })}
              />
              {must("where.name") && (
                <span className="ml-2 text-sm font-semibold text-alert">
                  {t("where.name")} {must("where.name")}
                </span>
              )}
            </p>
            <SpaceMeasures
              place={measured.place}
              must={(field) => must(`where.place.size.${field}`)}
              onPlace={(place) => onWhere({ ...measured, place })}
            />
          </div>
          <Room place={measured.place} needsWall={false} name={measured.name} atHome={false} />
        </div>
      )}
    </div>
  );
}

/** The kind of place that was chosen: corrected measures leave it what it is. */
function kindOf(usual: BeginFrom["places"], where: { name: string; place: Place }) {
  return (
    usual.find((u) => t(`where.${u.id}`) === where.name)?.id ??
    usual.find((u) => u.place.features === where.place.features)?.id
  );
}

function PlaceCard({
  name,
  place,
  chosen,
  onChoose,
}: {
  name: string;
  place: Place;
  chosen: boolean;
  onChoose: () => void;
}) {
  const { lengthM, widthM, ceilingM, wall } = place.size;
  const scale = Math.min(PX_PER_M, 120 / lengthM);
  return (
    <label
      className={`flex w-40 cursor-pointer flex-col gap-1 border-2 p-2.5 has-[:focus-visible]:outline-3 has-[:focus-visible]:outline-throw ${chosen ? "border-ink bg-tint" : "border-rule"}`}
    >
      <span className="flex h-16 items-end">
        <svg width={lengthM * scale + 4} height={Math.min(64, widthM * scale + 4)} aria-hidden>
          <rect
            x="2"
            y="2"
            width={lengthM * scale}
            height={Math.min(60, widthM * scale)}
            fill="#fffdf8"
            stroke="var(--color-ink)"
            strokeWidth="1.500"
          />
          {wall && (
            <line x1="2" x2={2 + wall.runM * scale} y1="2.500" y2="2.500" stroke="var(--color-throw)" strokeWidth="5" />
          )}
        </svg>
      </span>
      <span className="flex items-center gap-2 font-semibold">
        <input type="radio" name="place" className="size-4 accent-ink" checked={chosen} onChange={onChoose} />
        {name}
      </span>
      <span className="text-sm text-soft">
        {t("where.size", { long: metres(lengthM), wide: metres(widthM) })}
        {ceilingM === null && `, ${t("where.sky")}`}
        {wall && `, ${t("where.wall")}`}
      </span>
    </label>
  );
}
