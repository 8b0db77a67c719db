import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import { readiness, standardsOnLadder } from "../../api/queries";
import type { Ladder } from "../../api/types";
import { NumberField } from "../../ui/fields";
import { Sheet } from "../../ui/sheet";
import { Loading } from "../../ui/states";
import { percent } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { Refused, useSend } from "./use-send";

const t = textsOf("pupils", saidPupils);

/** What share of tries holds each rung of a ladder in this class, to be said otherwise rung by rung. */
export function Standards({ classId, ladder }: { classId: string; ladder: Ladder }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        {t("standards.open")}
      </button>
      <Sheet title={t("standards.title", { name: ladder.name })} open={open} onOpenChange={setOpen}>
        {open && <Rungs classId={classId} ladder={ladder} onDone={() => setOpen(false)} />}
      </Sheet>
    </>
  );
}

type Props = { classId: string; ladder: Ladder; onDone: () => void };

function Rungs({ classId, ladder, onDone }: Props) {
  const client = useQueryClient();
  const how = useQuery({ ...readiness(classId), staleTime: 0 });
  const now = useQuery({ ...standardsOnLadder(classId, ladder.id), staleTime: 0 });
  const [typed, setTyped] = useState<Record<string, number | null>>({});
  const { send, problem } = useSend();
  if (!how.data || !now.data) return <Loading what={t("standards.open")} />;
  const said = how.data.readiness.ofRungs ?? {};
  const key = (rungId: string) => `${ladder.id}/${rungId}`;
  const shown = (rungId: string) =>
    rungId in typed ? (typed[rungId] ?? null) : said[key(rungId)] === undefined ? null : 100 * (said[key(rungId)] ?? 0);
  const keep = async () => {
    const ofRungs = { ...said };
    for (const [rungId, value] of Object.entries(typed))
      if (value === null) delete ofRungs[key(rungId)];
      else ofRungs[key(rungId)] = value / 100;
    const sent = await send(() =>
      api("put", "/api/classes/{id}/readiness", {
        params: { path: { id: classId } },
        body: { version: how.data.version, readiness: { ...how.data.readiness, ofRungs } },
      }),
    );
    if (!sent) return;
    await client.invalidateQueries({ queryKey: ["readiness"] });
    onDone();
  };
  return (
    <div className="space-y-3">
      <p className="text-soft">{t("standards.why")}</p>
      <ul className="divide-y divide-rule">
        {ladder.rungs.map((rung, i) => {
          const of = now.data.find((s) => s.rungId === rung.id);
          return (
            <li key={rung.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
              <span className="min-w-0 flex-1 basis-48">{t("standards.rung", { n: i + 1, name: rung.name })}</span>
              <span className="text-sm text-soft">
                {of && (of.gates === null ? t("standards.noGate") : t("standards.gates", { share: percent(of.gates) }))}
              </span>
              <NumberField
                label={t("standards.own", { name: rung.name })}
                unit="%"
                step={1}
                value={shown(rung.id)}
                must={problem?.must(`readiness.ofRungs[${key(rung.id)}]`)}
                onChange={(value) => setTyped({ ...typed, [rung.id]: value })}
              />
            </li>
          );
        })}
      </ul>
      <Refused problem={problem} shown={ladder.rungs.map((r) => `readiness.ofRungs[${key(r.id)}]`)} />
      <button type="button" className="btn btn-main" onClick={keep}>
        {t("standards.keep")}
      </button>
    </div>
  );
}
