import { Choice } from "../../ui/choice";
import { Term, type TermOf } from "../../ui/term";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { ball, type Given } from "./given";

const t = textsOf("marks", saidMarks);

/** Choosing a space, a kind of ball or a preset writes its values into the working; they can be changed afterwards. */
export function FromSpace({
  given,
  id,
  onSpace,
}: {
  given: Given;
  id: string;
  onSpace: (space: Given["spaces"][number]) => void;
}) {
  if (given.spaces.length === 0) return null;
  return (
    <Pick
      label={t("prefill.space")}
      value={id}
      none={t("prefill.anySpace")}
      options={given.spaces.map((s) => ({ value: s.id, text: s.name }))}
      onPick={(chosen) => {
        const space = given.spaces.find((s) => s.id === chosen);
        if (space) onSpace(space);
      }}
    />
  );
}

export function FromBall({
  given,
  id,
  onBall,
}: {
  given: Given;
  id: string;
  onBall: (kind: Given["planning"]["balls"][number]) => void;
}) {
  return (
    <Pick
      label={t("prefill.ball")}
      value={id}
      none={t("prefill.anotherBall")}
      options={given.planning.balls.map((b) => ({ value: b.id, text: b.name }))}
      onPick={(chosen) => {
        const kind = ball(given, chosen);
        if (kind) onBall(kind);
      }}
    />
  );
}

export function Pick<T extends string>({
  label,
  value,
  none,
  options,
  onPick,
}: {
  label: string;
  value: string;
  none?: string;
  options: { value: T; text: string; group?: string }[];
  onPick: (value: T) => void;
}) {
  const known = options.some((o) => o.value === value);
  const all = known || !none ? options : [{ value: "none" as T, text: none }, ...options];
  return (
    <div className="flex items-center gap-2">
      <span className="mr-auto" aria-hidden>
        {label}
      </span>
      <Choice
        label={label}
        className="field max-w-[13.5rem] min-w-[9rem] justify-between text-[0.95rem]"
        value={known || !none ? (value as T) : ("none" as T)}
        options={all}
        onChange={onPick}
      />
    </div>
  );
}

/** Values that belong together, under a small heading. */
/** @param of one of our words that the title has: explained where it stands */
export function Group({ title, of, children }: { title: string; of?: TermOf; children: React.ReactNode }) {
  return (
    <fieldset className="space-y-2 border-t-2 border-rule pt-2">
      <legend className="sr-only">{title}</legend>
      <p aria-hidden={!of} className="text-sm font-bold text-soft">
        {of ? <Term of={of}>{title}</Term> : title}
      </p>
      {children}
    </fieldset>
  );
}

export function Switch({ label, on, onChange }: { label: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <label className="flex items-center gap-2 leading-tight">
      <input type="checkbox" className="size-5 accent-ink" checked={on} onChange={(e) => onChange(e.target.checked)} />
      {label}
    </label>
  );
}
