import { useState } from "react";
import { api } from "../../api/client";
import type { HomeCardLine } from "../../api/types";
import { Sheet } from "../../ui/sheet";
import { Failed } from "../../ui/states";
import saidHome from "../../words/home.json";
import { textsOf } from "../../words/texts";
import { useHome } from "./use-home";

const t = textsOf("home", saidHome);

/** Tasks that are not to be on one pupil's card; it is made anew without them, as long as nothing came back. */
export function ChangeCard({ classId, card, name }: { classId: string; card: HomeCardLine; name: string }) {
  const [open, setOpen] = useState(false);
  const [without, setWithout] = useState<string[]>([]);
  const remake = useHome(classId, () =>
    api("post", "/api/home/cards/{id}/remade", { params: { path: { id: card.id } }, body: { without } }),
  );
  const show = (is: boolean) => {
    setOpen(is);
    setWithout([]);
    remake.reset();
  };
  return (
    <>
      <button type="button" className="underline" aria-label={t("change.of", { name })} onClick={() => show(true)}>
        {t("change.open")}
      </button>
      <Sheet title={t("change.title", { name })} open={open} onOpenChange={show}>
        <fieldset>
          <legend>{t("change.which")}</legend>
          <ul className="mt-2 divide-y divide-rule border-y border-rule">
            {card.tasks.map((task) => (
              <li key={task.ladderId}>
                <label className="flex items-center gap-3 py-2">
                  <input
                    type="checkbox"
                    className="size-4 accent-ink"
                    checked={without.includes(task.ladderId)}
                    onChange={(e) =>
                      setWithout((all) =>
                        e.target.checked ? [...all, task.ladderId] : all.filter((id) => id !== task.ladderId),
                      )
                    }
                  />
                  <span className="mr-auto">{task.name}</span>
                  <span className="text-sm text-soft">
                    {t("change.practices", { n: task.practices.length, list: task.practices.join(", ") })}
                  </span>
                </label>
              </li>
            ))}
          </ul>
        </fieldset>
        <p className="mt-3 text-sm text-soft">{t("change.how")}</p>
        <p className="mt-3 flex flex-wrap items-center gap-3">
          <button
            type="button"
            className="btn btn-main"
            disabled={without.length === 0 || remake.isPending}
            onClick={() => remake.mutate(undefined, { onSuccess: () => show(false) })}
          >
            {remake.isPending ? t("change.making") : t("change.do")}
          </button>
          {remake.error?.errors[0] && (
            <span role="alert" className="font-semibold text-alert">
              {t("change.must", { must: remake.error.errors[0].must })}
            </span>
          )}
        </p>
        {remake.isError && remake.error.errors.length === 0 && <Failed error={remake.error} />}
      </Sheet>
    </>
  );
}
