import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Problem } from "../../api/client";
import { colleagues } from "../../api/queries";
import type { SchoolClass } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Sheet } from "../../ui/sheet";
import { Failed } from "../../ui/states";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";

const t = textsOf("store", saidStore);

/** A class goes to another teacher for good, with all that belongs to it. */
export function GiveClass({ known }: { known: SchoolClass }) {
  const client = useQueryClient();
  const [open, setOpen] = useState(false);
  const [to, setTo] = useState<string>();
  const people = useQuery({ ...colleagues, enabled: open });
  const teachers = (people.data ?? []).filter((c) => c.teaches);
  const chosen = teachers.find((c) => c.id === to) ?? teachers[0];
  const give = useMutation<unknown, Problem, void>({
    mutationFn: () =>
      api("put", "/api/classes/{id}/teacher", {
        params: { path: { id: known.id } },
        body: { version: known.version, accountId: chosen?.id ?? "" },
      }),
    onSuccess: () => client.invalidateQueries(),
  });
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        {t("classes.give")}
      </button>
      <Sheet title={t("classes.give")} open={open} onOpenChange={setOpen}>
        <p>{t("classes.giveWhy")}</p>
        {people.isSuccess && teachers.length === 0 && <p className="mt-3 text-soft">{t("classes.nobody")}</p>}
        {chosen && (
          <p className="mt-3 flex flex-wrap items-center gap-3">
            <Choice
              label={t("classes.to")}
              value={chosen.id}
              options={teachers.map((c) => ({ value: c.id, text: c.displayName }))}
              onChange={setTo}
            />
            <button type="button" className="btn btn-main" disabled={give.isPending} onClick={() => give.mutate()}>
              {t("classes.giveIt", { name: known.name, teacher: chosen.displayName })}
            </button>
          </p>
        )}
        {give.isError && <Failed error={give.error} />}
      </Sheet>
    </>
  );
}
