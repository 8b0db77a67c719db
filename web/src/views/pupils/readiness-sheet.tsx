import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { readiness } from "../../api/queries";
import type { Readiness, ReadinessView } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Sheet } from "../../ui/sheet";
import { school } from "../../words-record";
import { Refused, useSend } from "./use-send";

const shares = { holdShare: "Holds at, % of tries", floorShare: "Floor, % of tries", sure: "How sure, %" } as const;
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
        How we decide
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
    if (!(await send("PUT", `/classes/${classId}/readiness`, { version: known.version, readiness: how }))) return;
    await client.invalidateQueries({ queryKey: ["readiness"] });
    onDone();
  };
  const field = (name: keyof Readiness, label: string, factor: number) => (
    <label key={name} className="flex items-center justify-between gap-3">
      <span>{label}</span>
      <input
        className="field num w-24"
        inputMode="decimal"
        aria-invalid={!!problem?.must(`readiness.${name}`)}
        defaultValue={Math.round(Number(how[name]) * factor * 10) / 10}
        onChange={(e) => setHow({ ...how, [name]: Number(e.target.value) / factor })}
      />
    </label>
  );
  return (
    <div className="space-y-3">
      <Choice
        label="School of readiness"
        value={how.school}
        options={(Object.keys(school) as Readiness["school"][]).map((s) => ({ value: s, text: school[s].name }))}
        onChange={(s) => setHow({ ...how, school: s })}
      />
      <p className="text-soft">
        {school[how.school].about}. What the others say stands beside it on each pupil’s page.
      </p>
      {(Object.keys(shares) as (keyof typeof shares)[]).map((f) => field(f, shares[f], 100))}
      {(Object.keys(counts) as (keyof typeof counts)[]).map((f) => field(f, counts[f], 1))}
      {field("unconfirmedWeight", "A try from home counts, % until confirmed", 100)}
      <Refused
        problem={problem}
        fields={Object.fromEntries(
          Object.entries({ ...shares, ...counts }).map(([f, label]) => [`readiness.${f}`, label]),
        )}
      />
      <button type="button" className="btn btn-main" onClick={keep}>
        Keep it
      </button>
    </div>
  );
}
