import type { ReactNode } from "react";

/** A named group of what is set less often: folded, with its values beside the name; open while one of them is refused. */
export function Fold({
  name,
  values,
  open,
  children,
}: {
  name: string;
  values: string;
  open?: boolean;
  children: ReactNode;
}) {
  return (
    <details open={open || undefined} className="group">
      <summary className="cursor-pointer">
        <span className="font-semibold">{name}</span>
        <span className="text-soft group-open:hidden"> · {values}</span>
      </summary>
      <div className="mt-2 mb-1 space-y-2.5 border-l-4 border-rule pl-3">{children}</div>
    </details>
  );
}
