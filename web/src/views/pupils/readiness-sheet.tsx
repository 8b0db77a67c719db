import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import { readiness, skillFigures } from "../../api/queries";
import type { Readiness, ReadinessView } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Sheet } from "../../ui/sheet";
import { texts } from "../../words/texts";
import { school } from "../../words-record";
import { Num } from "../ladders/form-bits";
import { learntFrom } from "./learnt-from";
import { Refused, useSend } from "./use-send";

const t = texts("pupils");

const standard: Record<Readiness["standard"], string> = {
  OWN_GATE: "Each rung by its own gate: met in half of the rounds",
  ONE_FOR_ALL: "One share for all rungs",
};

const shares = {
  holdShare: "One share for all, % of tries",
  floorShare: "Floor, % of tries",
  sure: "How sure, %",
} as const;
const counts = {
  minTries: "Tries at least",
  halfLifeDays: "A try counts half after, days",
  inARow: "Rounds in a row",
  ofMet: "Rounds that met the gate",
  ofRounds: "of the last rounds",
} as const;

/** How this class decides who goes up. */
export function ReadinessSheet({ classId, className }: { classId: string; className: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        {t("readinessSheet.howWeDecide")}
      </button>
      <Sheet title={`Who goes up in ${className}`} open={open} onOpenChange={setOpen}>
        {open && <Form classId={classId} onDone={() => setOpen(false)} />}
      </Sheet>
    </>
  );
}

function Form({ classId, onDone }: { classId: string; onDone: () => void }) {
  const known = useQuery({ ...readiness(classId), staleTime: 0 });
  return known.data ? <Fields key={known.data.version} classId={classId} known={known.data} onDone={onDone} /> : null;
}

function Fields({ classId, known, onDone }: { classId: string; known: ReadinessView; onDone: () => void }) {
  const client = useQueryClient();
  const [how, setHow] = useState<Readiness>(known.readiness);
  const { send, problem } = useSend();
  const keep = async () => {
    if (
      !(await send(() =>
        api("put", "/api/classes/{id}/readiness", {
          params: { path: { id: classId } },
          body: { version: known.version, readiness: how },
        }),
      ))
    )
      return;
    await client.invalidateQueries({ queryKey: ["readiness"] });
    onDone();
  };
  const field = (name: keyof Readiness, label: string, factor: number) => (
    <Num
      key={name}
      label={label}
      value={Math.round(Number(how[name]) * factor * 10) / 10}
      must={problem?.must(`readiness.${name}`)}
      onChange={(v) => setHow({ ...how, [name]: v === null ? null : v / factor })}
    />
  );
  return (
    <div className="space-y-3">
      <Choice
        label={t("readinessSheet.schoolOfReadiness")}
        value={how.school}
        options={(Object.keys(school) as Readiness["school"][]).map((s) => ({ value: s, text: school[s].name }))}
        onChange={(s) => setHow({ ...how, school: s })}
      />
      <p className="text-soft">{t("readinessSheet.whatTheOthersSay", { about: school[how.school].about })}</p>
      <div className="flex flex-col gap-2">
        <Choice
          label={t("readinessSheet.heldAt")}
          value={how.standard}
          options={(Object.keys(standard) as Readiness["standard"][]).map((v) => ({ value: v, text: standard[v] }))}
          onChange={(v) => setHow({ ...how, standard: v })}
        />
        {(Object.keys(shares) as (keyof typeof shares)[]).map((f) => field(f, shares[f], 100))}
        {(Object.keys(counts) as (keyof typeof counts)[]).map((f) => field(f, counts[f], 1))}
        {field("unconfirmedWeight", "A try from home counts, % until confirmed", 100)}
      </div>
      <Learnt />
      <Refused problem={problem} shown={Object.keys(how).map((f) => `readiness.${f}`)} />
      <button type="button" className="btn btn-main" onClick={keep}>
        {t("readinessSheet.keepIt")}
      </button>
    </div>
  );
}

/** By which figures abilities are read, and on what they rest. */
function Learnt() {
  const known = useQuery(skillFigures);
  return known.data ? <p className="text-[0.95rem] text-soft">{learntFrom(known.data)}</p> : null;
}
