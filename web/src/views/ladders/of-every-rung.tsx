import { useQuery } from "@tanstack/react-query";
import { kit } from "../../api/queries";
import type { Ladder } from "../../api/types";
import { caution, deferring } from "../../words";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { aspect, needs, refusedPlace } from "../../words-ladders";

const t = textsOf("ladders", saidLadders);

/** What goes with the whole ladder: kit, variants, cautions. */
export function KitAndCare({ ladder }: { ladder: Ladder }) {
  const store = useQuery(kit);
  const kindName = (id: string) => store.data?.kinds.find((k) => k.id === id)?.name ?? id.replaceAll("-", " ");
  const variants = [
    [t("ofEveryRung.seated"), ladder.seated],
    [t("ofEveryRung.oneHand"), ladder.oneHand],
    [t("ofEveryRung.seesLittle"), ladder.seesLittle],
  ].filter(([, text]) => text);
  return (
    <>
      {ladder.kit.length > 0 && (
        <section>
          <h3 className="font-bold">{t("ofEveryRung.kitForOneSpot")}</h3>
          <ul>
            {ladder.kit.map((k) => (
              <li key={k.role} className="mt-1">
                <strong>
                  {k.perSpot > 1 ? `${k.perSpot} × ` : ""}
                  {k.what}
                </strong>
                {k.needs.length > 0 && <span className="text-soft"> ({k.needs.map((n) => needs[n]).join(", ")})</span>}
                {k.standIns.length > 0 && (
                  <ul className="pl-4 text-[0.95rem]">
                    {k.standIns.map((s) => (
                      <li key={s.kind}>
                        {t("ofEveryRung.or", { what: s.what, changes: s.changes })}
                        {s.make && (
                          <span className="text-soft">
                            {" "}
                            {s.make} {s.makeMin > 0 ? t("ofEveryRung.min", { makeMin: s.makeMin }) : ""}
                          </span>
                        )}
                      </li>
                    ))}
                  </ul>
                )}
                {k.refused.length > 0 && (
                  <span className="block pl-4 text-[0.95rem] text-alert">
                    {t("ofEveryRung.never", { join: k.refused.map(kindName).join(", ") })}
                  </span>
                )}
              </li>
            ))}
          </ul>
          {ladder.ballOrder.length > 1 && (
            <p className="mt-2 text-soft">
              {t("ofEveryRung.ballsInOrder", { join: ladder.ballOrder.map(kindName).join(", then ") })}
            </p>
          )}
          {ladder.gear.length > 0 && (
            <p className="mt-1 font-semibold">
              {t("ofEveryRung.withAHardBall", { join: ladder.gear.map(kindName).join(", ") })}
            </p>
          )}
        </section>
      )}
      {variants.length > 0 && (
        <section>
          <h3 className="font-bold">{t("ofEveryRung.forEverybody")}</h3>
          {variants.map(([who, text]) => (
            <p key={who} className="mt-1">
              <strong>{who}</strong>: {text}
            </p>
          ))}
        </section>
      )}
      <section className="border-l-4 border-move pl-3">
        <h3 className="font-bold">{t("ofEveryRung.takeCare")}</h3>
        <ul>
          {ladder.cautions.map((c) => (
            <li key={c}>{caution[c]}</li>
          ))}
          {ladder.refusedPlaces.length > 0 && (
            <li>{t("ofEveryRung.not", { join: ladder.refusedPlaces.map((p) => refusedPlace[p]).join(", not ") })}</li>
          )}
        </ul>
      </section>
      <p className="text-sm text-soft">{deferring}</p>
    </>
  );
}

/** What is said on every rung: cues, what is often seen, who does what. */
export function Teaching({ ladder }: { ladder: Ladder }) {
  return (
    <>
      <section>
        <h3 className="font-bold">{t("ofEveryRung.cues")}</h3>
        <ul className="list-disc pl-5">
          {ladder.cues.map((c) => (
            <li key={c}>{c}</li>
          ))}
        </ul>
        <p className="mt-1 text-soft">
          {t("ofEveryRung.eyesTrains", { eyes: ladder.eyes, join: ladder.aspects.map((a) => aspect[a]).join(", ") })}
        </p>
      </section>
      <section>
        <h3 className="font-bold">{t("ofEveryRung.oftenSeen")}</h3>
        <dl>
          {ladder.faults.map((f) => (
            <div key={f.id} className="mt-1">
              <dt className="inline">{f.seen}: </dt>
              <dd className="inline font-semibold">{f.mend}</dd>
            </div>
          ))}
        </dl>
      </section>
      <section>
        <h3 className="font-bold">{t("ofEveryRung.whoIsAtA")}</h3>
        <ul>
          {ladder.roles.map((r) => (
            <li key={r.name} className="mt-1">
              <strong>{r.name}</strong>: {r.line}
            </li>
          ))}
        </ul>
      </section>
    </>
  );
}
