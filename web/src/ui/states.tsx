import { CircleAlert, LoaderCircle } from "lucide-react";
import type { ReactNode } from "react";
import { Problem } from "../api/client";
import { texts } from "../words/texts";

const t = texts("ui");

export function Loading({ what }: { what: string }) {
  return (
    <p className="flex items-center gap-3 p-8 text-soft" role="status">
      <LoaderCircle className="animate-spin" aria-hidden /> {t("states.fetching", { what })}
    </p>
  );
}

/** What will be there in a moment, in the server's words. */
export function Soon({ problem }: { problem: Problem }) {
  return (
    <div role="status" className="m-6 flex max-w-xl gap-4 bg-tint p-5">
      <LoaderCircle className="mt-1 shrink-0 animate-spin motion-reduce:animate-none" aria-hidden />
      <div>
        <h2>{problem.title}</h2>
        <p className="mt-2">{problem.detail}</p>
      </div>
    </div>
  );
}

/** Says what happened and what to do. */
export function Failed({ error, again }: { error: unknown; again?: () => void }) {
  const problem = error instanceof Problem ? error : new Problem(0, t("states.somethingWentWrong"), String(error));
  return (
    <div role="alert" className="m-6 max-w-xl border-l-4 border-alert bg-tint p-5">
      <h2 className="flex items-center gap-2 text-alert">
        <CircleAlert aria-hidden /> {problem.title}
      </h2>
      <p className="mt-2">{problem.detail}</p>
      {again && (
        <button type="button" className="btn mt-4" onClick={again}>
          {t("states.tryAgain")}
        </button>
      )}
    </div>
  );
}

export function Empty({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="mx-auto my-12 max-w-lg border-t-4 border-ink pt-5">
      <h2>{title}</h2>
      <div className="mt-2 space-y-4 text-soft">{children}</div>
    </div>
  );
}
