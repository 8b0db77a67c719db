import { useState } from "react";
import type { RosterBrought, SchoolClass } from "../../api/types";
import { BringFile } from "../../ui/bring-file";
import { Sheet } from "../../ui/sheet";
import { count } from "../../words";

/** A class list out as a file and in again. A file adds and changes pupils; it removes nobody. */
export function RosterSheet({ known, onKept }: { known: SchoolClass; onKept: () => void }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        Class list in and out
      </button>
      <Sheet title={`Class list of ${known.name}`} open={open} onOpenChange={setOpen} wide>
        <p>
          <a className="btn no-underline" href={`/api/classes/${known.id}/roster.csv`} download>
            Save the class list as CSV
          </a>
        </p>
        <p className="mt-3 text-soft">
          Needed is the column first_name. Who is here already is found by id, else by first name and initial. Columns
          that a file does not have stay as they are; nobody is removed.
        </p>
        <BringFile<RosterBrought>
          path={`/classes/${known.id}/roster`}
          brings={(b) => b.added.length + b.changed.length > 0}
          onKept={onKept}
          tell={(b) => (
            <ul className="list-disc pl-5">
              <li>
                {b.kept ? "Added" : "It would add"}: {names(b.added)}
              </li>
              <li>
                {b.kept ? "Changed" : "It would change"}: {names(b.changed)}
              </li>
              <li>
                {count(b.same, "pupil is", "pupils are")} here already{b.same > 0 ? " just so" : ""}
              </li>
            </ul>
          )}
        />
      </Sheet>
    </>
  );
}

const names = (all: string[]) => (all.length === 0 ? "nobody" : `${all.length} (${all.join(", ")})`);
