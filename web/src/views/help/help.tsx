import { Keyboard, Search } from "lucide-react";
import { lazy, Suspense, useEffect, useState } from "react";
import { texts } from "../../words/texts";

const Finder = lazy(() => import("./finder").then((m) => ({ default: m.Finder })));
const KeysSheet = lazy(() => import("./keys-sheet").then((m) => ({ default: m.KeysSheet })));

const t = texts("help");

/** Two buttons of the bar, and their keys: / finds, ? shows all keys. */
export function Help({
  views,
  teaches,
}: {
  views: readonly (readonly [path: string, name: string])[];
  teaches: boolean;
}) {
  const pages = [
    ...views,
    ...(teaches ? [["/begin", t("find.begin")] as const] : []),
    ["/words", t("words.title")] as const,
  ];
  const [open, setOpen] = useState<"find" | "keys">();
  useEffect(() => {
    const byKey = (e: KeyboardEvent) => {
      const typing = e.target instanceof HTMLElement && e.target.closest("input, textarea, select, [role=dialog]");
      if (typing || e.ctrlKey || e.metaKey || e.altKey) return;
      const what = { "/": "find", "?": "keys" }[e.key] as "find" | "keys" | undefined;
      if (!what) return;
      e.preventDefault();
      setOpen(what);
    };
    window.addEventListener("keydown", byKey);
    return () => window.removeEventListener("keydown", byKey);
  }, []);
  const onOpenChange = (now: boolean) => !now && setOpen(undefined);
  return (
    <>
      <button
        type="button"
        className="flex items-center gap-1 font-semibold text-soft hover:text-ink"
        aria-keyshortcuts="/"
        onClick={() => setOpen("find")}
      >
        <Search size={20} aria-hidden /> <span className="sr-only 2xl:not-sr-only">{t("bar.find")}</span>
      </button>
      <button
        type="button"
        className="hidden text-soft hover:text-ink sm:block"
        aria-label={t("bar.keys")}
        aria-keyshortcuts="?"
        onClick={() => setOpen("keys")}
      >
        <Keyboard size={20} aria-hidden />
      </button>
      <Suspense fallback={null}>
        {open === "find" && <Finder open onOpenChange={onOpenChange} pages={pages} />}
        {open === "keys" && <KeysSheet open onOpenChange={onOpenChange} />}
      </Suspense>
    </>
  );
}
