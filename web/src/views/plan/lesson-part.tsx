import type { FormEvent, ReactNode } from "react";

/** One thing that can be done with a whole lesson. */
export function Part({ title, onSend, children }: { title: string; onSend: () => void; children: ReactNode }) {
  const send = (e: FormEvent) => {
    e.preventDefault();
    onSend();
  };
  return (
    <form onSubmit={send} aria-label={title}>
      <h3 className="font-bold">{title}</h3>
      <div className="mt-1.5 flex flex-wrap items-center gap-x-2 gap-y-2">{children}</div>
    </form>
  );
}
