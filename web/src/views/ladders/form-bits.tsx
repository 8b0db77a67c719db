import { X } from "lucide-react";
import { useId, useState } from "react";
import type { KitKind } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Labelled, NumberField } from "../../ui/fields";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";

const t = textsOf("ladders", saidLadders);

/** Says what a field must be, by its path within the ladder. */
export type Must = (field: string) => string | undefined;

/** A line or a few lines of text. */
export function Words({
  label,
  value,
  onChange,
  must,
  rows = 1,
  className = "",
}: {
  label: string;
  value: string | null;
  onChange: (value: string) => void;
  must?: string;
  rows?: number;
  className?: string;
}) {
  return (
    <div className={className}>
      <Labelled label={label} must={must}>
        {(ids) =>
          rows === 1 ? (
            <input {...ids} className="field w-full" value={value ?? ""} onChange={(e) => onChange(e.target.value)} />
          ) : (
            <textarea
              {...ids}
              className="field w-full"
              rows={rows}
              value={value ?? ""}
              onChange={(e) => onChange(e.target.value)}
            />
          )
        }
      </Labelled>
    </div>
  );
}

/** A number in a row of numbers; what is no number goes on as nothing and the server says what it must be. */
export function Num({
  label,
  unit,
  value,
  onChange,
  must,
  step = 1,
}: {
  label: string;
  unit?: string;
  value: number | null;
  onChange: (value: number) => void;
  must?: string;
  step?: number;
}) {
  return (
    <span className="inline-flex items-baseline gap-1.5">
      <span aria-hidden>{label}</span>
      <NumberField
        label={label}
        unit={unit}
        value={value}
        step={step}
        must={must}
        onChange={(v) => onChange(v as number)}
      />
    </span>
  );
}

/** One of a few words. */
export function Pick<T extends string>({
  label,
  value,
  words,
  onChange,
}: {
  label: string;
  value: T;
  words: Record<T, string>;
  onChange: (value: T) => void;
}) {
  return (
    <span className="flex flex-col gap-1">
      <span className="text-sm font-semibold">{label}</span>
      <Choice
        label={label}
        value={value}
        options={(Object.keys(words) as T[]).map((v) => ({ value: v, text: words[v] }))}
        onChange={onChange}
      />
    </span>
  );
}

/** Any of a few words. */
export function Chips<T extends string>({
  label,
  value,
  words,
  onChange,
  must,
}: {
  label: string;
  value: T[];
  words: Record<T, string>;
  onChange: (value: T[]) => void;
  must?: string;
}) {
  const id = useId();
  return (
    <fieldset aria-invalid={!!must} aria-describedby={must ? id : undefined}>
      <legend className="text-sm font-semibold">{label}</legend>
      <span className="mt-1 flex flex-wrap gap-1.5">
        {(Object.keys(words) as T[]).map((w) => (
          <button
            key={w}
            type="button"
            aria-pressed={value.includes(w)}
            className={`btn btn-small text-left whitespace-normal ${value.includes(w) ? "btn-main" : ""}`}
            onClick={() => onChange(value.includes(w) ? value.filter((v) => v !== w) : [...value, w])}
          >
            {words[w]}
          </button>
        ))}
      </span>
      {must && (
        <p id={id} className="text-sm font-semibold text-alert">
          {label} {must}.
        </p>
      )}
    </fieldset>
  );
}

/** Kinds of kit in an order of one's own. */
export function KindList({
  label,
  value,
  kinds,
  onChange,
}: {
  label: string;
  value: string[];
  kinds: KitKind[];
  onChange: (value: string[]) => void;
}) {
  return (
    <div>
      <span className="text-sm font-semibold">{label}</span>
      <span className="mt-1 flex flex-wrap items-center gap-1.5">
        {value.map((id) => {
          const name = kinds.find((k) => k.id === id)?.name ?? id;
          return (
            <span key={id} className="inline-flex items-center gap-1 border border-ink py-0.5 pr-1 pl-2">
              {name}
              <button
                type="button"
                aria-label={t("formBits.takeOutOf", { name, label })}
                onClick={() => onChange(value.filter((v) => v !== id))}
              >
                <X size={16} aria-hidden />
              </button>
            </span>
          );
        })}
        <Choice
          label={t("formBits.addTo", { label })}
          className="btn btn-small"
          value="-"
          options={[
            { value: "-", text: t("formBits.add") },
            ...kinds.filter((k) => !value.includes(k.id)).map((k) => ({ value: k.id, text: k.name })),
          ]}
          onChange={(id) => id !== "-" && onChange([...value, id])}
        />
      </span>
    </div>
  );
}

/** Several short things in one line. */
export function Listed({
  label,
  value,
  must,
  onChange,
}: {
  label: string;
  value: string[];
  must: string | undefined;
  onChange: (parts: string[]) => void;
}) {
  const [text, setText] = useState(value.join(", "));
  return (
    <div className="min-w-64 flex-1">
      <Labelled label={label} must={must}>
        {(ids) => (
          <input
            {...ids}
            className="field w-full"
            value={text}
            onChange={(e) => {
              setText(e.target.value);
              onChange(
                e.target.value
                  .split(",")
                  .map((p) => p.trim())
                  .filter((p) => p !== ""),
              );
            }}
          />
        )}
      </Labelled>
    </div>
  );
}
