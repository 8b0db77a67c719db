import { useEffect, useId, useState } from "react";
import { read, type Units, written } from "../../lengths";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";

const t = textsOf("marks", saidMarks);

/** A length in the chosen units. What cannot be read as a length goes on as null, so that the server names the field. */
export function LengthField({
  label,
  valueM,
  onChange,
  units,
  must,
  stepM = 0.05,
}: {
  label: string;
  valueM: number | null;
  onChange: (m: number | null) => void;
  units: Units;
  must?: string;
  stepM?: number;
}) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const shown = typed ?? (valueM === null ? "" : written(valueM, units));
  useEffect(() => {
    // What comes from a drag replaces what was typed; what was typed and means the same stays as typed.
    setTyped((t) => (t !== undefined && same(read(t, units), valueM) ? t : valueM === null ? t : undefined));
  }, [valueM, units]);
  const send = (text: string) => {
    setTyped(text);
    onChange(read(text, units));
  };
  const step = units === "metric" ? stepM : 0.0254;
  return (
    <Row label={label} id={id} must={must}>
      <input
        id={id}
        className="field num"
        style={{ width: "6.5rem" }}
        value={shown}
        aria-invalid={!!must}
        aria-describedby={must ? `${id}-must` : undefined}
        onFocus={(e) => e.target.select()}
        onChange={(e) => send(e.target.value)}
        onBlur={() => valueM !== null && setTyped(undefined)}
        onKeyDown={(e) => {
          if (e.key !== "ArrowUp" && e.key !== "ArrowDown") return;
          e.preventDefault();
          const next = (valueM ?? 0) + (e.key === "ArrowUp" ? step : -step) * (e.shiftKey ? 10 : 1);
          setTyped(undefined);
          onChange(Number(next.toFixed(4)));
        }}
      />
      <span className="w-7 text-soft">{units === "metric" ? "m" : t("lengthField.ftIn")}</span>
    </Row>
  );
}

/** A number with its unit in a row of its own. */
export function NumberRow({
  label,
  value,
  onChange,
  unit = "",
  must,
  step = 1,
}: {
  label: string;
  value: number | null;
  onChange: (value: number | null) => void;
  unit?: string;
  must?: string;
  step?: number;
}) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const shown = typed ?? (value === null ? "" : String(Number(value.toFixed(4))));
  useEffect(() => {
    setTyped((t) => (t !== undefined && same(plain(t), value) ? t : value === null ? t : undefined));
  }, [value]);
  return (
    <Row label={label} id={id} must={must}>
      <input
        id={id}
        className="field num"
        style={{ width: "6.5rem" }}
        inputMode="decimal"
        value={shown}
        aria-invalid={!!must}
        aria-describedby={must ? `${id}-must` : undefined}
        onFocus={(e) => e.target.select()}
        onChange={(e) => {
          setTyped(e.target.value);
          onChange(plain(e.target.value));
        }}
        onKeyDown={(e) => {
          if (e.key !== "ArrowUp" && e.key !== "ArrowDown") return;
          e.preventDefault();
          const next = (value ?? 0) + (e.key === "ArrowUp" ? step : -step) * (e.shiftKey ? 10 : 1);
          setTyped(undefined);
          onChange(Number(next.toFixed(4)));
        }}
      />
      <span className="w-7 text-soft">{unit}</span>
    </Row>
  );
}

function Row({ label, id, must, children }: { label: string; id: string; must?: string; children: React.ReactNode }) {
  return (
    <div>
      <div className="flex items-center gap-2">
        <label htmlFor={id} className="mr-auto leading-tight">
          {label}
        </label>
        {children}
      </div>
      {must && (
        <p id={`${id}-must`} role="alert" className="mt-0.5 bg-alert px-2 py-0.5 text-sm font-semibold text-white">
          {label} {must}
        </p>
      )}
    </div>
  );
}

function plain(text: string): number | null {
  const t = text.trim().replace(",", ".");
  return /^-?\d+(\.\d+)?$/.test(t) ? Number(t) : null;
}

const same = (a: number | null, b: number | null) => a === b || (a !== null && b !== null && Math.abs(a - b) < 1e-6);
