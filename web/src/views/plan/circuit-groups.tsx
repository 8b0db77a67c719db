import type { CircuitPlan, LessonView } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Sheet } from "../../ui/sheet";
import { texts } from "../../words/texts";

const t = texts("plan");

/** Who goes round together: each group's names, each to be put into another one. */
export function CircuitGroups({
  open,
  onOpenChange,
  plan,
  who,
  onGroups,
  onBy,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  plan: CircuitPlan | undefined;
  who: LessonView["who"];
  /** none for the order of the class */
  onGroups: (groups: string[][]) => void;
  onBy: (mode: "EVEN" | "ALIKE") => void;
}) {
  if (!plan) return null;
  const groups = plan.groups.map((g) => g.pupilIds);
  const move = (pupilId: string, to: number) =>
    onGroups(
      groups.map((ids, g) => {
        const others = ids.filter((id) => id !== pupilId);
        return g === to ? [...others, pupilId] : others;
      }),
    );
  const options = groups.map((_, g) => ({ value: String(g), text: t("circuit.groupN", { n: g + 1 }) }));
  return (
    <Sheet title={t("circuit.groups")} open={open} onOpenChange={onOpenChange} wide>
      <p className="text-soft">{t("circuit.groupsAbout")}</p>
      <div className="mt-3 grid gap-x-8 gap-y-4 sm:grid-cols-2 lg:grid-cols-4">
        {groups.map((ids, g) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: groups are told apart by their number only
          <section key={g} aria-label={t("circuit.groupN", { n: g + 1 })}>
            <h3 className="font-bold">{t("circuit.groupN", { n: g + 1 })}</h3>
            <ul>
              {ids.map((id) => {
                const name = who.find((w) => w.id === id)?.name ?? "";
                return (
                  <li key={id} className="flex items-center gap-2 border-b border-rule py-1">
                    <span className="min-w-0 flex-1 truncate">{name}</span>
                    <Choice
                      label={t("circuit.groupOf", { name })}
                      value={String(g)}
                      options={options}
                      onChange={(to) => move(id, Number(to))}
                    />
                  </li>
                );
              })}
            </ul>
          </section>
        ))}
      </div>
      <p className="mt-4 flex flex-wrap items-center gap-2">
        <button type="button" className="btn btn-small" onClick={() => onBy("EVEN")}>
          {t("circuit.by.EVEN")}
        </button>
        <button type="button" className="btn btn-small" onClick={() => onBy("ALIKE")}>
          {t("circuit.by.ALIKE")}
        </button>
        <button type="button" className="btn btn-small" onClick={() => onGroups([])}>
          {t("circuit.inOrder")}
        </button>
        <span className="text-sm text-soft">{t("circuit.byWhat")}</span>
      </p>
    </Sheet>
  );
}
