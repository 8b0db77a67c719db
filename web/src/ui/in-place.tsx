import { useEffect, useState } from "react";

/** A field of a list: what was typed goes on when it is left or with Enter, Escape takes it back. */
export function InPlace({
  label,
  value,
  onDone,
  width,
  number,
  must,
  placeholder,
}: {
  label: string;
  value: string;
  onDone: (value: string) => void;
  width: string;
  number?: boolean;
  must?: string;
  placeholder?: string;
}) {
  const [text, setText] = useState(value);
  useEffect(() => setText(value), [value]);
  return (
    <span className="inline-block align-top">
      <input
        className={`field ${number ? "num" : ""}`}
        style={{ width, minHeight: "2rem" }}
        aria-label={label}
        aria-invalid={!!must}
        inputMode={number ? "decimal" : undefined}
        placeholder={placeholder}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onBlur={() => text !== value && onDone(text)}
        onKeyDown={(e) => {
          if (e.key === "Enter") e.currentTarget.blur();
          if (e.key === "Escape") setText(value);
        }}
      />
      {must && <span className="block max-w-40 text-sm font-semibold text-alert">{must}</span>}
    </span>
  );
}

/** What was typed as a number; null for nothing. Anything else goes on as it is: the server says what the field must be. */
export function typedNumber(text: string): number | null {
  const t = text.trim().replace(",", ".");
  if (t === "") return null;
  return Number.isNaN(Number(t)) ? (t as unknown as number) : Number(t);
}
