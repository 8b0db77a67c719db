import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { session, spaces } from "../../api/queries";
import { useChosenClass } from "../../chosen-class";
import { Failed, Loading } from "../../ui/states";
import { count, metres } from "../../words";
import { ClassForm } from "./class-form";
import { SpaceForm } from "./space-form";

/** What there is: classes with their pupils, and spaces. */
export function StoreView() {
  const { all: classes, choose } = useChosenClass();
  const rooms = useQuery(spaces);
  const who = useQuery(session);
  const [open, setOpen] = useState<string>();
  const mayChange = who.data?.who?.role === "TEACHER";
  if (rooms.isPending) return <Loading what="the store" />;
  if (rooms.isLoadingError) return <Failed error={rooms.error} again={() => rooms.refetch()} />;
  const toggle = (key: string) => setOpen(open === key ? undefined : key);
  return (
    <div className="space-y-10">
      <section>
        <div className="flex flex-wrap items-center gap-4 border-b-[3px] border-ink pb-2">
          <h1 className="mr-auto">Classes</h1>
          {mayChange && (
            <button type="button" className="btn btn-main" onClick={() => toggle("new class")}>
              New class
            </button>
          )}
        </div>
        {open === "new class" && (
          <ClassForm
            onSaved={(made) => {
              choose(made.id);
              setOpen(undefined);
            }}
          />
        )}
        {classes.length === 0 && open !== "new class" && (
          <p className="py-4 text-soft">No class yet. A first name and an initial for each pupil are enough.</p>
        )}
        <ul className="divide-y divide-rule">
          {classes.map((c) => (
            <li key={c.id}>
              <button
                type="button"
                className="flex w-full items-baseline gap-4 py-2.5 text-left"
                aria-expanded={open === c.id}
                onClick={() => toggle(c.id)}
              >
                <strong className="font-head text-lg">{c.name}</strong>
                <span className="text-soft">{count(c.pupils.length, "pupil", "pupils")}</span>
              </button>
              {open === c.id && <ClassForm key={c.version} known={c} onSaved={() => {}} />}
            </li>
          ))}
        </ul>
      </section>
      <section>
        <div className="flex flex-wrap items-center gap-4 border-b-[3px] border-ink pb-2">
          <h1 className="mr-auto">Spaces</h1>
          {mayChange && (
            <button type="button" className="btn btn-main" onClick={() => toggle("new space")}>
              New space
            </button>
          )}
        </div>
        {open === "new space" && <SpaceForm onSaved={() => setOpen(undefined)} />}
        {rooms.data.length === 0 && open !== "new space" && (
          <p className="py-4 text-soft">
            No space yet. Measure length and width in metres; the ceiling if there is one.
          </p>
        )}
        <ul className="divide-y divide-rule">
          {rooms.data.map((s) => (
            <li key={s.id}>
              <button
                type="button"
                className="flex w-full flex-wrap items-baseline gap-x-4 py-2.5 text-left"
                aria-expanded={open === s.id}
                onClick={() => toggle(s.id)}
              >
                <strong className="font-head text-lg">{s.name}</strong>
                <span className="text-soft">
                  {metres(s.size.lengthM)} × {metres(s.size.widthM)},{" "}
                  {s.size.ceilingM ? `ceiling ${metres(s.size.ceilingM)}` : "open sky"}, {s.surface},{" "}
                  {s.size.wall ? `${metres(s.size.wall.runM)} of free wall` : "no free wall"}
                </span>
              </button>
              {open === s.id && mayChange && <SpaceForm key={s.version} known={s} onSaved={() => {}} />}
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
