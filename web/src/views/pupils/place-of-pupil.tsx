import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { api } from "../../api/client";
import type { PupilRecord } from "../../api/types";
import { useChosenClass } from "../../chosen-class";
import { Choice } from "../../ui/choice";
import { day } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { GivePupil } from "./give-pupil";
import { Refused, useSend } from "./use-send";

const t = textsOf("pupils", saidPupils);

/** In which class a pupil is: changed from one school year to the next, left, come back; what is recorded goes along. */
export function PlaceOfPupil({ record }: { record: PupilRecord }) {
  const { all } = useChosenClass();
  const client = useQueryClient();
  const { send, problem } = useSend();
  const [to, setTo] = useState<string>();
  const own = all.find((c) => c.id === record.classId);
  const left = own?.left.find((p) => p.id === record.pupilId);
  const others = all.filter((c) => c.mayChange && c.id !== record.classId);
  const other = others.find((c) => c.id === to) ?? others[0];
  const section = useRef<HTMLElement>(null);
  // Whoever comes from the class list comes for this; the page above it was not there yet.
  useEffect(() => {
    if (window.location.hash === "#place") section.current?.scrollIntoView({ block: "center" });
  }, []);
  const put = async (classId: string, here: boolean) => {
    if (
      !(await send(() =>
        api("put", "/api/pupils/{id}/place", { params: { path: { id: record.pupilId } }, body: { classId, here } }),
      ))
    )
      return;
    for (const key of ["classes", "lesson", "home"]) client.invalidateQueries({ queryKey: [key] });
  };
  return (
    <section ref={section} className="mt-9 print:hidden" aria-labelledby="place">
      <h2 id="place">{t("place.title")}</h2>
      <p className="mt-1">
        {left
          ? t("place.left", { name: record.name, className: record.className, day: day(left.leftOn) })
          : t("place.here", { name: record.name, className: record.className })}{" "}
        <span className="text-soft">{t("place.kept")}</span>
      </p>
      <p className="mt-2 flex flex-wrap items-center gap-2">
        {other && (
          <>
            <Choice
              label={t("place.other")}
              value={other.id}
              options={others.map((c) => ({ value: c.id, text: c.name }))}
              onChange={setTo}
            />
            <button type="button" className="btn btn-small" onClick={() => put(other.id, true)}>
              {t("place.move")}
            </button>
          </>
        )}
        <GivePupil record={record} />
        <button type="button" className="btn btn-small" onClick={() => put(record.classId, !!left)}>
          {left ? t("place.back", { className: record.className }) : t("place.leave", { className: record.className })}
        </button>
      </p>
      <Refused problem={problem} />
    </section>
  );
}
