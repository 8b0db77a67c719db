import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, useNavigate } from "react-router";
import { api, type Problem } from "../../api/client";
import { lesson, lessons, spaces } from "../../api/queries";
import type { LessonDoc, LessonView, SchoolClass, Space } from "../../api/types";
import { useChosenClass } from "../../chosen-class";
import { localDay } from "../../local-day";
import { Choice } from "../../ui/choice";
import { Labelled, NumberField } from "../../ui/fields";
import { Sheet } from "../../ui/sheet";
import { Empty, Failed, Loading } from "../../ui/states";
import { count, day } from "../../words";

/** All lessons of the class in hand, and a new one. */
export function PlanList() {
  const { chosen } = useChosenClass();
  const all = useQuery({ ...lessons(chosen?.id ?? ""), enabled: !!chosen });
  const rooms = useQuery(spaces);
  const [making, setMaking] = useState(false);
  if (!chosen)
    return (
      <Empty title="No class yet">
        <p>A plan is made for a class in a room.</p>
        <Link className="btn btn-main" to="/store">
          Make the first class
        </Link>
      </Empty>
    );
  if (all.isPending || rooms.isPending) return <Loading what="lessons" />;
  if (all.isLoadingError) return <Failed error={all.error} again={() => all.refetch()} />;
  if (rooms.isLoadingError) return <Failed error={rooms.error} again={() => rooms.refetch()} />;
  return (
    <>
      <div className="flex flex-wrap items-center gap-4">
        <h1 className="mr-auto">Lessons of {chosen.name}</h1>
        {chosen.mayChange && (
          <button
            type="button"
            className="btn btn-main"
            onClick={() => setMaking(true)}
            disabled={rooms.data.length === 0}
          >
            Plan a lesson
          </button>
        )}
      </div>
      {rooms.data.length === 0 && (
        <p className="mt-3">
          A plan needs a room: <Link to="/store">enter the first space</Link>.
        </p>
      )}
      {all.data.length === 0 ? (
        <Empty title="No lesson yet">
          <p>A day, the minutes and a room are enough to begin; the clock works out the rest.</p>
        </Empty>
      ) : (
        <ul className="mt-5 divide-y divide-rule border-y-2 border-ink">
          {[...all.data].reverse().map((l) => (
            <li key={l.id} className="flex flex-wrap items-baseline gap-x-4 py-2.5">
              <span className="clock w-28 text-soft">{day(l.onDay)}</span>
              <Link to={`/plan/${l.id}`} className="mr-auto font-semibold">
                {l.name}
              </Link>
              <span className="text-soft">
                {l.spaceName} · {l.minutes} min · {count(l.blocks, "block", "blocks")}
              </span>
            </li>
          ))}
        </ul>
      )}
      <Sheet title="A new lesson" open={making} onOpenChange={setMaking}>
        <NewLesson schoolClass={chosen} rooms={rooms.data} />
      </Sheet>
    </>
  );
}

function NewLesson({ schoolClass, rooms }: { schoolClass: SchoolClass; rooms: Space[] }) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const [doc, setDoc] = useState<LessonDoc>({
    version: null,
    classId: schoolClass.id,
    spaceId: rooms[0]?.id ?? "",
    name: "",
    onDay: localDay(),
    lesson: {
      minutes: 40,
      startMin: null,
      audience: "CLASS",
      shape: "MOBILITY_FIRST",
      heat: false,
      restRule: "BETWEEN_SETS",
      transitionSec: 30,
      silenced: [],
      blocks: [],
    },
  });
  const make = useMutation<LessonView, Problem>({
    mutationFn: () => api<LessonView>("POST", "/lessons", doc),
    onSuccess: (made) => {
      client.setQueryData(lesson(made.id).queryKey, made);
      client.invalidateQueries({ queryKey: ["lessons"] });
      navigate(`/plan/${made.id}`);
    },
  });
  const must = (field: string) => make.error?.must(field);
  const send = (e: FormEvent) => {
    e.preventDefault();
    make.mutate();
  };
  return (
    <form onSubmit={send} className="space-y-4">
      <Labelled label="Name" must={must("name")}>
        {(ids) => (
          <input
            {...ids}
            className="field"
            value={doc.name}
            onChange={(e) => setDoc({ ...doc, name: e.target.value })}
          />
        )}
      </Labelled>
      <Labelled label="Day" must={must("onDay")}>
        {(ids) => (
          <input
            {...ids}
            type="date"
            className="field"
            value={doc.onDay}
            onChange={(e) => setDoc({ ...doc, onDay: e.target.value })}
          />
        )}
      </Labelled>
      <p className="flex flex-wrap items-center gap-2">
        <NumberField
          label="Minutes"
          value={doc.lesson.minutes}
          must={must("lesson.minutes")}
          onChange={(minutes) => setDoc({ ...doc, lesson: { ...doc.lesson, minutes: minutes as number } })}
        />
        minutes in
        <Choice
          label="Space"
          value={doc.spaceId}
          options={rooms.map((r) => ({ value: r.id, text: r.name }))}
          onChange={(spaceId) => setDoc({ ...doc, spaceId })}
        />
        for
        <Choice
          label="For whom"
          value={doc.lesson.audience}
          options={[
            { value: "CLASS", text: schoolClass.name },
            { value: "EACH_AT_HOME", text: "each at home" },
          ]}
          onChange={(audience) => setDoc({ ...doc, lesson: { ...doc.lesson, audience } })}
        />
      </p>
      {make.isError && make.error.errors.length === 0 && <Failed error={make.error} />}
      <button type="submit" className="btn btn-main" disabled={make.isPending}>
        Plan it
      </button>
    </form>
  );
}
