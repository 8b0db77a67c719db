import { useLocation } from "react-router";
import { texts } from "../../words/texts";

const t = texts("begin");

/** Said once above the lesson that the three questions led to. */
export function BegunNote({ pupils }: { pupils: number }) {
  const begun: number | undefined = useLocation().state?.begun;
  if (begun === undefined) return null;
  return (
    <p className="mb-4 border-l-8 border-catch bg-tint p-3">
      {begun > 0 ? t("first", { n: pupils }) : t("firstEmpty")}
    </p>
  );
}
