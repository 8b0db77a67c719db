import { useQuery } from "@tanstack/react-query";
import { Replace } from "lucide-react";
import { useContext, useState } from "react";
import { api, type Problem } from "../../api/client";
import type { Ladder } from "../../api/types";
import { FamilyGlyph } from "../../ui/marble";
import { Sheet } from "../../ui/sheet";
import { Failed, Loading } from "../../ui/states";
import { clock, percent } from "../../words";
import { texts } from "../../words/texts";
import type { EditorProps } from "./block-editor";
import { LessonOnPage, type OnPage } from "./on-page";

const t = texts("plan");

/** Another task in this one's place: the likest that are sound here, each with what it would change. */
export function InsteadOf({ block, ladder, readOnly, catalogue, onEdit }: EditorProps) {
  const page = useContext(LessonOnPage);
  const [open, setOpen] = useState(false);
  if (readOnly || !page) return null;
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        <Replace size={16} aria-hidden /> {t("instead.open")}
      </button>
      <Sheet title={t("instead.title", { task: ladder.name })} open={open} onOpenChange={setOpen}>
        {open && (
          <Alternatives
            page={page}
            blockId={block.id}
            now={ladder}
            catalogue={catalogue}
            onTake={(ladderId, rungId) => {
              onEdit({ type: "CHOOSE_TASK", blockId: block.id, ladderId, rungId });
              setOpen(false);
            }}
          />
        )}
      </Sheet>
    </>
  );
}

type Props = {
  page: OnPage;
  blockId: string;
  now: Ladder;
  catalogue: Ladder[];
  onTake: (ladderId: string, rungId: string) => void;
};

function Alternatives({ page, blockId, now, catalogue, onTake }: Props) {
  const [alone, setAlone] = useState(false);
  const { lesson } = page;
  const found = useQuery({
    queryKey: ["instead", page.id, lesson, blockId, alone],
    queryFn: () =>
      api("post", "/api/lessons/{id}/instead", { params: { path: { id: page.id } }, body: { lesson, blockId, alone } }),
  });
  return (
    <>
      <p className="text-soft">{t("instead.why")}</p>
      {now.roles.length > 1 && (
        <label className="mt-2 flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={alone}
            onChange={(e) => setAlone(e.target.checked)}
          />
          {t("instead.alone")}
        </label>
      )}
      {found.isLoading && <Loading what={t("instead.loading")} />}
      {found.isError && <Failed error={found.error as unknown as Problem} />}
      {found.data?.length === 0 && <p className="mt-3">{t("instead.none")}</p>}
      <ul className="mt-2 divide-y divide-rule" aria-label={t("instead.list")}>
        {found.data?.map((to) => {
          const ladder = catalogue.find((l) => l.id === to.ladderId);
          const rung = ladder?.rungs.find((r) => r.id === to.rungId);
          if (!ladder || !rung) return null;
          const later = to.totalSec - page.totalSec;
          return (
            <li key={to.ladderId} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-2">
              <FamilyGlyph family={ladder.family} size={22} />
              <span className="min-w-0 flex-1 basis-64">
                <strong>{ladder.name}</strong>, {rung.name.toLowerCase()}
                {to.alone && <span className="text-soft"> · {t("instead.isAlone")}</span>}
                <span className="block text-[0.95rem] text-soft">{rung.task}</span>
                <span className="block text-[0.95rem]">
                  {t("instead.atOnce", { n: to.atOnce, turns: to.turns })} ·{" "}
                  {t("instead.moves", { share: percent(to.movingShare), now: percent(page.movingShare) })} ·{" "}
                  {later === 0
                    ? t("instead.sameEnd")
                    : t(later > 0 ? "instead.longer" : "instead.shorter", { by: clock(Math.abs(later)) })}
                </span>
              </span>
              <button
                type="button"
                className="btn btn-small"
                aria-label={t("instead.takeOne", { task: ladder.name })}
                onClick={() => onTake(to.ladderId, to.rungId)}
              >
                {t("instead.take")}
              </button>
            </li>
          );
        })}
      </ul>
    </>
  );
}
