import { Sheet } from "../../ui/sheet";
import { texts } from "../../words/texts";

const t = texts("help");

/** All keys, by where they work. */
export function KeysSheet({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const parts: { title: string; keys: [string[], string][] }[] = [
    {
      title: t("keys.everywhere"),
      keys: [
        [["/"], t("keys.any.find")],
        [["?"], t("keys.any.keys")],
        [["1", "…", "9"], t("keys.any.views")],
        [["Tab"], t("keys.any.tab")],
        [["Esc"], t("keys.any.esc")],
      ],
    },
    {
      title: t("keys.plan"),
      keys: [
        [["n"], t("keys.inPlan.n")],
        [["Ctrl", "z"], t("keys.inPlan.undo")],
        [["Ctrl", "Shift", "z"], t("keys.inPlan.redo")],
        [["[", "]"], t("keys.inPlan.blocks")],
        [["Alt", "↑", "↓"], t("keys.inPlan.move")],
        [["↑", "↓"], t("keys.inPlan.step")],
      ],
    },
    {
      title: t("keys.run"),
      keys: [
        [["␣"], t("keys.inRun.space")],
        [["←"], t("keys.inRun.again")],
        [["→"], t("keys.inRun.next")],
        [["⌫"], t("keys.inRun.back")],
        [["s"], t("keys.inRun.stop")],
        [["f"], t("keys.inRun.finish")],
        [["q", "w", "e", "r", "…"], t("keys.inRun.pads")],
      ],
    },
    {
      title: t("keys.numbers"),
      keys: [
        [["Enter"], t("keys.inNumbers.enter")],
        [["Esc"], t("keys.inNumbers.esc")],
      ],
    },
  ];
  return (
    <Sheet title={t("keys.title")} open={open} onOpenChange={onOpenChange} wide>
      <div className="gap-10 sm:columns-2">
        {parts.map((p) => (
          <section key={p.title} className="mb-4 break-inside-avoid">
            <h3 className="border-b-2 border-ink pb-0.5 font-bold">{p.title}</h3>
            <dl>
              {p.keys.map(([keys, does]) => (
                <div key={does} className="flex items-baseline gap-3 border-b border-rule py-1">
                  <dt className="flex w-36 flex-none gap-1">
                    {keys.map((k) => (
                      <kbd key={k + does} className="clock border border-ink px-1.5 text-sm">
                        {k}
                      </kbd>
                    ))}
                  </dt>
                  <dd>{does}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </Sheet>
  );
}
