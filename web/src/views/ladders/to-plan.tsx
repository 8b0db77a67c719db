import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { v4 } from "uuid";
import { api, Problem } from "../../api/client";
import { lesson as lessonQuery, lessons } from "../../api/queries";
import type { Edit, Ladder, Rung } from "../../api/types";
import { useChosenClass } from "../../chosen-class";
import { Sheet } from "../../ui/sheet";
import { Loading } from "../../ui/states";
import { day } from "../../words";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { inOrder } from "../plan/lesson-order";
import { draftOf, edited } from "../plan/use-plan";

const t = textsOf("ladders", saidLadders);

/** Puts a rung at the end of the main part of one of the class's lessons and goes there. */
export function ToPlan({ ladder, rung }: { ladder: Ladder; rung: Rung }) {
  return (
    <BlockToPlan
      label={t("toPlan.putItInA")}
      className="btn btn-main"
      title={t("toPlan.putInAPlan", { name: rung.name })}
      edits={(id) => [{ type: "ADD", id, at: null, ladderId: ladder.id, rungId: rung.id }]}
    />
  );
}

/** A button that asks for a lesson, puts a block at its end and goes there. */
export function BlockToPlan({
  label,
  title,
  className,
  edits,
}: {
  label: string;
  title: string;
  className: string;
  /** What puts it in, under an id that no block has yet. */
  edits: (id: string) => Edit[];
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className={className} onClick={() => setOpen(true)}>
        {label}
      </button>
      <Sheet title={title} open={open} onOpenChange={setOpen}>
        <Lessons edits={edits} />
      </Sheet>
    </>
  );
}

function Lessons({ edits }: { edits: (id: string) => Edit[] }) {
  const { chosen } = useChosenClass();
  const client = useQueryClient();
  const navigate = useNavigate();
  const known = useQuery({ ...lessons(chosen?.id ?? ""), enabled: !!chosen });
  const [problem, setProblem] = useState<Problem>();
  if (!chosen) return <p>{t("toPlan.makeAClassIn")}</p>;
  if (known.isPending) return <Loading what={t("toPlan.theLessonsOf", { name: chosen.name })} />;
  const put = async (id: string) => {
    try {
      const before = await api("get", "/api/lessons/{id}", { params: { path: { id } } });
      const draft = draftOf(before);
      const block = v4();
      const lesson = await edited(id, draft.lesson, edits(block));
      const after = await api("put", "/api/lessons/{id}", {
        params: { path: { id } },
        body: {
          ...draft,
          version: before.version,
          lesson,
        },
      });
      client.setQueryData(lessonQuery(id).queryKey, after);
      client.invalidateQueries({ queryKey: ["lessons"] });
      navigate(`/plan/${id}`, { state: { block } });
    } catch (e) {
      setProblem(e instanceof Problem ? e : new Problem(0, t("toPlan.notPutIn"), String(e)));
    }
  };
  const { coming, before } = inOrder(known.data ?? []);
  return (
    <>
      {problem && (
        <p role="alert" className="mb-2 font-semibold text-alert">
          {problem.title}. {problem.detail}
        </p>
      )}
      {(known.data ?? []).length === 0 && <p>{t("toPlan.hasNoLessonYet", { name: chosen.name })}</p>}
      <ul className="space-y-1.5">
        {[...coming, ...before].map((l) => (
          <li key={l.id}>
            <button type="button" className="btn w-full justify-start" onClick={() => put(l.id)}>
              {l.name} · {day(l.onDay)} · {l.spaceName}
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
