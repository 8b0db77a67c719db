import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import type { Brought } from "../../api/types";
import { BringFile } from "../../ui/bring-file";
import { Sheet } from "../../ui/sheet";
import { count } from "../../words";

/** A class's results out as a file and in again; and everything else out. */
export function ResultsSheet({
  classId,
  className,
  mayChange,
}: {
  classId: string;
  className: string;
  mayChange: boolean;
}) {
  const [open, setOpen] = useState(false);
  const client = useQueryClient();
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        Results in and out
      </button>
      <Sheet title={`Results of ${className}`} open={open} onOpenChange={setOpen} wide>
        <p>
          <a className="btn no-underline" href={`/api/classes/${classId}/results.csv`} download>
            Save all results as CSV
          </a>
        </p>
        {mayChange && (
          <BringFile<Brought>
            path={`/classes/${classId}/results`}
            brings={(b) => b.added > 0}
            onKept={() => client.invalidateQueries({ queryKey: ["record"] })}
            tell={(b) => (
              <p>
                {b.kept
                  ? `Brought in: ${count(b.added, "result", "results")}.`
                  : `It would bring ${count(b.added, "new result", "new results")}.`}{" "}
                {b.same > 0 && `${b.same} are here already and stay as they are.`}
              </p>
            )}
          />
        )}
        {mayChange && (
          <section className="mt-6 border-t border-rule pt-3">
            <h3>Everything of all your classes</h3>
            <p className="mt-1 text-soft">
              Class lists, lessons, runs, results, corrections and words, with rooms, kit and your own ladders. Keep the
              file where children’s data may be kept.
            </p>
            <p className="mt-2 flex flex-wrap gap-2">
              <a className="btn btn-small no-underline" href="/api/export.json" download>
                Save as JSON
              </a>
              <a className="btn btn-small no-underline" href="/api/export.zip" download>
                Save the tables as CSV (zip)
              </a>
            </p>
          </section>
        )}
      </Sheet>
    </>
  );
}
