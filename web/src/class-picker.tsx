import { useChosenClass } from "./chosen-class";
import { Choice } from "./ui/choice";
import { texts } from "./words/texts";

const t = texts("ui");

/** The class in hand, in the bar. */
export function ClassPicker() {
  const { chosen, all, choose } = useChosenClass();
  if (!chosen) return null;
  return (
    <Choice
      label={t("classPicker.class")}
      className="btn btn-small"
      value={chosen.id}
      options={all.map((c) => ({
        value: c.id,
        text: `${c.name} · ${t("classPicker.text", { count: c.pupils.length })}`,
      }))}
      onChange={choose}
    />
  );
}
