import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, type Problem } from "../../api/client";
import { classesElsewhere } from "../../api/queries";
import type { PupilRecord } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Sheet } from "../../ui/sheet";
import { Failed } from "../../ui/states";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";

const t = textsOf("pupils", saidPupils);

/** A pupil goes to a colleague's class for good, with all that is recorded; from then on it is that colleague's. */
export function GivePupil({ record }: { record: PupilRecord }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [open, setOpen] = useState(false);
  const [to, setTo] = useState<string>();
  const classes = useQuery({ ...classesElsewhere, enabled: open });
  const chosen = classes.data?.find((c) => c.classId === to) ?? classes.data?.[0];
  const give = useMutation<unknown, Problem, string>({
    mutationFn: (classId) =>
      api("put", "/api/pupils/{id}/place", { params: { path: { id: record.pupilId } }, body: { classId, here: true } }),
    onSuccess: () => {
      // The page of a pupil who is somebody else's from now on has nothing to show.
      navigate("/pupils");
      client.invalidateQueries();
    },
  });
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        {t("place.give")}
      </button>
      <Sheet title={t("place.give")} open={open} onOpenChange={setOpen}>
        <p>{t("place.giveWhy", { name: record.name })}</p>
        {classes.isSuccess && classes.data.length === 0 && <p className="mt-3 text-soft">{t("place.nobody")}</p>}
        {chosen && (
          <p className="mt-3 flex flex-wrap items-center gap-3">
            <Choice
              label={t("place.giveTo")}
              value={chosen.classId}
              options={(classes.data ?? []).map((c) => ({
                value: c.classId,
                text: t("place.ofTeacher", { className: c.name, teacher: c.teacher }),
              }))}
              onChange={setTo}
            />
            <button
              type="button"
              className="btn btn-main"
              disabled={give.isPending}
              onClick={() => give.mutate(chosen.classId)}
            >
              {t("place.giveIt", { name: record.name, className: chosen.name })}
            </button>
          </p>
        )}
        {classes.isError && <Failed error={classes.error} />}
        {give.isError && <Failed error={give.error} />}
      </Sheet>
    </>
  );
}
