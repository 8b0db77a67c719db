import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { api, perhapsEmpty } from "../../api/client";
import { lessons } from "../../api/queries";
import type { SchoolClass } from "../../api/types";
import { localDay } from "../../local-day";
import { Choice } from "../../ui/choice";
import { DayField } from "../../ui/day-field";
import { Labelled, NumberField } from "../../ui/fields";
import saidHome from "../../words/home.json";
import { textsOf } from "../../words/texts";
import { useHome } from "./use-home";

const t = textsOf("home", saidHome);
const PROPOSED = "proposed";
const EVERYONE = "everyone";

/** Which week, how many, how long, what; the rest is worked out for each pupil. */
export function MakeWeek({ chosen, begun }: { chosen: SchoolClass; begun: boolean }) {
  const [firstDay, setFirstDay] = useState(localDay());
  const [practices, setPractices] = useState<number | null>(3);
  const [minutes, setMinutes] = useState<number | null>(12);
  const [search] = useSearchParams();
  const [what, setWhat] = useState(search.get("lesson") ?? PROPOSED);
  const [who, setWho] = useState(EVERYONE);
  const [quiet, setQuiet] = useState(true);
  const [helper, setHelper] = useState(false);
  const all = useQuery(lessons(chosen.id));
  const make = useHome(chosen.id, () =>
    api("post", "/api/classes/{id}/home/weeks", {
      params: { path: { id: chosen.id } },
      body: perhapsEmpty({
        firstDay: firstDay || null,
        practices,
        minutes,
        quiet,
        helper,
        lessonId: what === PROPOSED ? null : what,
        pupilIds: who === EVERYONE ? null : [who],
      }),
    }),
  );
  const made = chosen.pupils.filter((p) => who === EVERYONE || p.id === who);
  const cards = made.length + made.filter((p) => p.details.otherHome).length;
  const unknown = made.filter((p) => !p.details.homeSpace).length;
  return (
    <section aria-labelledby="make-week" className="border-t-4 border-throw pt-3">
      <h2 id="make-week">{t("make.title")}</h2>
      <div className="mt-3 flex flex-wrap items-end gap-4">
        <Labelled label={t("make.first")} must={make.error?.must("firstDay")}>
          {(ids) => (
            <DayField
              id={ids.id}
              label={t("make.first")}
              invalid={ids["aria-invalid"]}
              describedBy={ids["aria-describedby"]}
              value={firstDay}
              onChange={setFirstDay}
            />
          )}
        </Labelled>
        <NumberField
          label={t("make.practices")}
          tail={t("make.practicesTail")}
          value={practices}
          least={1}
          onChange={setPractices}
          must={make.error?.must("practices")}
        />
        <NumberField
          label={t("make.minutes")}
          tail={t("make.minutesTail")}
          value={minutes}
          least={5}
          onChange={setMinutes}
          must={make.error?.must("minutes")}
        />
      </div>
      <p className="mt-3 flex flex-wrap gap-3">
        <Choice
          label={t("make.who")}
          value={who}
          options={[
            { value: EVERYONE, text: t("make.everyone") },
            ...chosen.pupils.map((p) => ({ value: p.id, text: `${p.details.firstName} ${p.details.initial}.` })),
          ]}
          onChange={setWho}
        />
        <Choice
          label={t("make.what")}
          value={what}
          options={[
            { value: PROPOSED, text: t("make.proposed") },
            ...(all.data ?? []).map((l) => ({ value: l.id, text: t("make.lesson", { name: l.name }) })),
          ]}
          onChange={setWhat}
        />
      </p>
      <Tick label={t("make.quiet")} checked={quiet} onChange={setQuiet} />
      <Tick label={t("make.helper")} checked={helper} onChange={setHelper} />
      <p className="mt-2 text-sm text-soft">
        {t("make.never")} {t("make.unknown", { unknown })}
      </p>
      <button
        type="button"
        className="btn btn-main mt-3"
        disabled={make.isPending || begun}
        onClick={() => make.mutate()}
      >
        {t("make.button", { pupils: cards })}
      </button>
      {make.error && make.error.errors.length === 0 && (
        <p role="alert" className="mt-2 font-semibold text-alert">
          {make.error.detail}
        </p>
      )}
    </section>
  );
}

function Tick({ label, checked, onChange }: { label: string; checked: boolean; onChange: (on: boolean) => void }) {
  return (
    <label className="mt-2 flex items-center gap-2">
      <input type="checkbox" checked={checked} onChange={(e) => onChange(e.target.checked)} /> {label}
    </label>
  );
}
