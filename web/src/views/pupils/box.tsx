import type { Problem } from "../../api/client";
import { DayField } from "../../ui/day-field";
import { Labelled } from "../../ui/fields";

/** What was typed, as a number; what is none goes to the server as it is, which says at its field what it must be. */
export const typedNumber = (text: string) => {
  const plain = text.trim().replace(",", ".");
  return plain === "" ? null : Number.isNaN(Number(plain)) ? text : Number(plain);
};

/** One field of a small sheet, with what it must be beside it. */
export function Box({
  label,
  value,
  problem,
  field,
  onChange,
  kind = "number",
  disabled = false,
}: {
  label: string;
  value: string;
  problem: Problem | undefined;
  /** its path in the problem document */
  field: string;
  onChange: (value: string) => void;
  kind?: "number" | "words" | "line";
  disabled?: boolean;
}) {
  const width = { number: "num w-24", words: "w-44", line: "w-full" }[kind];
  return (
    <div className={kind === "line" ? "mt-3" : ""}>
      <Labelled label={label} must={problem?.must(field)}>
        {(ids) => (
          <input
            {...ids}
            type="text"
            className={`field ${width}`}
            inputMode={kind === "number" ? "numeric" : "text"}
            maxLength={200}
            disabled={disabled}
            value={value}
            onChange={(e) => onChange(e.target.value)}
          />
        )}
      </Labelled>
    </div>
  );
}

/** The same for a day, picked in a calendar. */
export function DayBox({
  label,
  value,
  problem,
  field,
  onChange,
}: {
  label: string;
  value: string;
  problem?: Problem;
  field: string;
  onChange: (day: string) => void;
}) {
  return (
    <Labelled label={label} must={problem?.must(field)}>
      {(ids) => (
        <DayField
          id={ids.id}
          label={label}
          invalid={ids["aria-invalid"]}
          describedBy={ids["aria-describedby"]}
          value={value}
          onChange={onChange}
        />
      )}
    </Labelled>
  );
}
