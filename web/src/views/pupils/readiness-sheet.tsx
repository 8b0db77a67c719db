import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import { readiness, skillFigures } from "../../api/queries";
import type { Readiness, ReadinessView } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Sheet } from "../../ui/sheet";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { school } from "../../words-record";
import { Num } from "../ladders/form-bits";
import { learntFrom } from "./learnt-from";
import { Refused, useSend } from "./use-send";

const t = textsOf("pupils", saidPupils);

const standard: Record<Readiness["standard"], string> = {
  OWN_GATE: t("readinessSheet.eachRungByItsOwn"),
  ONE_FOR_ALL: t("readinessSheet.oneShareForAllRungs"),
};

const shares = {
  holdShare: t("readinessSheet.oneShareForAllOf"),
  floorShare: t("readinessSheet.floorOfTries"),
  sure: t("readinessSheet.howSure"),
} as const;
const counts = {
  minTries: t("readinessSheet.triesAtLeast"),
  halfLifeDays: t("readinessSheet.aTryCountsHalfAfter"),
  inARow: t("readinessSheet.roundsInARow"),
  ofMet: t("readinessSheet.roundsThatMetTheGate"),
  ofRounds: t("readinessSheet.ofTheLastRounds"),
} as const;

/** How this class decides who goes up. */
export function ReadinessSheet({ classId, className }: { classId: string; className: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        {t("readinessSheet.howWeDecide")}
      </button>
      <Sheet title={t("readinessSheet.whoGoesUpIn", { className })} open={open} onOpenChange={setOpen}>
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
        {field("unconfirmedWeight", t("readinessSheet.aTryFromHomeCounts"), 100)}
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
