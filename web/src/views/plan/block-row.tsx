import type { ReactNode } from "react";

/** One line of what a block has set: its name, then the fields. */
export function Row({ label, children }: { label: ReactNode; children: ReactNode }) {
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-1.5">
      <span className="min-w-24 font-semibold">{label}</span>
      {children}
    </div>
  );
}
