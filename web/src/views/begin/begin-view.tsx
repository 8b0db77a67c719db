import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, type ReactNode, useState } from "react";
import { useNavigate } from "react-router";
import { api, type Problem } from "../../api/client";
import { beginFrom, classes, kit, spaces } from "../../api/queries";
import type { BeginFrom, Beginning, Begun, Cupboard, PupilDetails, Space } from "../../api/types";
import { useChosenClass } from "../../chosen-class";
import { localDay } from "../../local-day";
import { NumberField } from "../../ui/fields";
import { Failed, Loading } from "../../ui/states";
import saidStore from "../../words/store.json";
import { texts, textsOf } from "../../words/texts";
import { emptyLesson, USUAL_MINUTES } from "../plan/make-lesson";
import { nameless } from "../store/roster";
import { WhereQuestion } from "./where-question";
import { WhoQuestion } from "./who-question";

const t = texts("begin");
const store = textsOf("store", saidStore);

const USUAL_PUPILS = 24;
const MINUTES = [20, 30, 40, 45, 60];

/** Three questions, and a proposed lesson stands there: for whoever has no class yet, or another one. */
export function BeginView() {
  const usual = useQuery(beginFrom);
  const rooms = useQuery(spaces);
  const there = useQuery(kit);
  const failed = [usual, rooms, there].find((q) => q.isLoadingError);
  if (failed) return <Failed error={failed.error} again={() => failed.refetch()} />;
  if (!usual.data || !rooms.data || !there.data) return <Loading what={t("loading")} />;
  return <Questions usual={usual.data} rooms={rooms.data} kitIsCounted={there.data.items.length > 0} />;
}

function Questions({ usual, rooms, kitIsCounted }: { usual: BeginFrom; rooms: Space[]; kitIsCounted: boolean }) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const { choose } = useChosenClass();
  const [className, setClassName] = useState(t("who.usual"));
  const [pupils, setPupils] = useState<number | null>(USUAL_PUPILS);
  const [names, setNames] = useState<PupilDetails[]>([]);
  const [where, setWhere] = useState<Beginning["where"]>(() => first(usual, rooms));
  const [minutes, setMinutes] = useState<number | null>(USUAL_MINUTES);
  const [cupboard, setCupboard] = useState<Cupboard>();
  const begin = useMutation<Begun, Problem>({
    mutationFn: () =>
      api("post", "/api/beginning", {
        body: {
          schoolClass: { name: className, pupils: names.length > 0 ? names : nameless(pupils ?? 0) },
          where,
          kit: cupboard?.kit ?? [],
          lessonName: t("lessonName"),
          onDay: localDay(),
          lesson: emptyLesson(minutes as number),
        } satisfies Beginning,
      }),
    onSuccess: async (begun) => {
      choose(begun.classId);
      await Promise.all(
        [classes, spaces, kit].map(({ queryKey }) => client.invalidateQueries({ queryKey: queryKey as unknown[] })),
      );
      client.invalidateQueries({ queryKey: ["lessons"] });
      navigate(`/plan/${begun.lessonId}`, { state: { begun: begun.blocks } });
    },
  });
  const must = (field: string) => begin.error?.must(field);
  const send = (e: FormEvent) => {
    e.preventDefault();
    begin.mutate();
  };
  return (
    <form onSubmit={send} className="space-y-7">
      <header>
        <h1>{t("title")}</h1>
        <p className="text-soft">{t("later")}</p>
      </header>
      <Question number={1} title={t("who.title")}>
        <WhoQuestion
          className={className}
          onClassName={setClassName}
          pupils={pupils}
          onPupils={setPupils}
          names={names}
          onNames={setNames}
          must={must}
        />
      </Question>
      <Question number={2} title={t("where.title")}>
        <WhereQuestion usual={usual.places} rooms={rooms} where={where} onWhere={setWhere} must={must} />
      </Question>
      <Question number={3} title={t("long.title")}>
        <p className="flex flex-wrap items-center gap-2">
          {MINUTES.map((n) => (
            <button
              key={n}
              type="button"
              className={`btn ${n === minutes ? "btn-main" : ""}`}
              aria-pressed={n === minutes}
              onClick={() => setMinutes(n)}
            >
              {t("long.choice", { n })}
            </button>
          ))}
          <NumberField
            label={t("long.minutes")}
            value={minutes}
            must={must("lesson.minutes")}
            onChange={setMinutes}
            tail={t("long.unit")}
          />
        </p>
      </Question>
      {!kitIsCounted && (
        <Question title={t("kit.title")}>
          <div className="flex flex-wrap gap-x-6 gap-y-1">
            {[undefined, ...usual.cupboards].map((c) => (
              <label key={c?.id ?? "none"} className="flex items-center gap-2">
                <input
                  type="radio"
                  name="cupboard"
                  className="size-4 accent-ink"
                  checked={cupboard?.id === c?.id}
                  onChange={() => setCupboard(c)}
                />
                {c ? store(`kit.${c.id as "a-few-balls"}`) : t("kit.none")}
              </label>
            ))}
          </div>
          <p className="mt-1 text-sm text-soft">{t("kit.count")}</p>
        </Question>
      )}
      {begin.error && (
        <p role="alert" className="border-l-4 border-alert bg-tint p-3">
          <strong className="text-alert">{begin.error.title}.</strong> {begin.error.detail}
        </p>
      )}
      <p className="flex items-center gap-4">
        <button type="submit" className="btn btn-main" disabled={begin.isPending}>
          {begin.isPending ? t("going") : t("go")}
        </button>
      </p>
    </form>
  );
}

/** One question; the three that have to be answered are numbered. */
function Question({ number, title, children }: { number?: number; title: string; children: ReactNode }) {
  return (
    <fieldset className="min-w-0 border-t-[3px] border-ink pt-3">
      <legend className="float-left mb-2 flex w-full items-baseline gap-3 font-head text-lg font-bold">
        {number && <span className="digits text-2xl text-throw">{number}</span>}
        {title}
      </legend>
      <div className="clear-both">{children}</div>
    </fieldset>
  );
}

function first(usual: BeginFrom, rooms: Space[]): Beginning["where"] {
  const [room] = rooms;
  if (room) return { type: "KNOWN", spaceId: room.id };
  const place = usual.places.find((p) => p.id === "CLASSROOM") ?? usual.places[0];
  if (!place) return { type: "KNOWN", spaceId: "" };
  return { type: "MEASURED", name: t(`where.${place.id}`), place: place.place };
}
