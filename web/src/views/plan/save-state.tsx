import type { Problem } from "../../api/client";

type Kept = {
  problem: Problem | undefined;
  unsaved: boolean;
  again: () => void;
  takeTheirs: () => void;
  keepMine: () => void;
};

/** Whether what is on the screen is saved; if not, why, and what can be done. */
export function SaveState({ plan }: { plan: Kept }) {
  const { problem, unsaved } = plan;
  if (problem?.status === 409)
    return (
      <div role="alert" className="order-last w-full border-l-8 border-alert bg-tint p-4">
        <p>
          <strong className="text-alert">{problem.title}.</strong> {problem.detail}
        </p>
        <p className="mt-3 flex flex-wrap gap-3">
          <button type="button" className="btn btn-main" onClick={plan.takeTheirs}>
            Show the newer one
          </button>
          <button type="button" className="btn" onClick={plan.keepMine}>
            Save mine over it
          </button>
        </p>
        <p className="mt-2 text-sm text-soft">If you show the newer one, yours stays one press of Undo away.</p>
      </div>
    );
  if (problem && problem.errors.length === 0)
    return (
      <p
        role="alert"
        className="order-last flex w-full flex-wrap items-center gap-4 border-l-8 border-alert bg-tint p-4"
      >
        <span>
          <strong className="text-alert">{problem.title}.</strong> {problem.detail}
        </span>
        <button type="button" className="btn" onClick={plan.again}>
          Save again
        </button>
      </p>
    );
  if (problem)
    return (
      <span role="status" className="font-semibold text-alert">
        Not saved: {problem.errors.length === 1 ? "one field needs" : `${problem.errors.length} fields need`} another
        look
      </span>
    );
  return (
    <span role="status" className="text-sm text-soft" data-testid="save-state">
      {unsaved ? "Saving …" : "Saved"}
    </span>
  );
}
