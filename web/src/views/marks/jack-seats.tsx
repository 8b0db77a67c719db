import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import type { Given } from "./given";
import type { Player, V } from "./jack-values";
import { Pick } from "./prefill";

const t = textsOf("marks", saidMarks);

const NOBODY = "-";

/** Who sits where: the first of each side is its captain. With names the sheet says whose ball is next, and the match can be kept. */
export function Seats({
  given,
  v,
  name,
  change,
}: {
  given: Given;
  v: V;
  name: (side: string) => string;
  change: (patch: Partial<V>) => void;
}) {
  const pupils = given.chosen?.pupils ?? [];
  if (pupils.length === 0) return null;
  const taken = new Set([...seatsOf(v, "A"), ...seatsOf(v, "B")]);
  const seat = (side: Player, i: number) => {
    const seats = seatsOf(v, side);
    const at = seats[i] || NOBODY;
    return (
      <Pick
        key={`${side}${i}`}
        label={t(i === 0 ? "seats.captain" : "seats.player", { side: name(side), n: i + 1 })}
        value={at}
        options={[
          { value: NOBODY, text: t("seats.nobody") },
          ...pupils.filter((p) => p.id === at || !taken.has(p.id)).map((p) => ({ value: p.id, text: p.name })),
        ]}
        onPick={(id) => {
          const next = seats.map((s, k) => (k === i ? (id === NOBODY ? "" : id) : s));
          change(side === "A" ? { seatsA: next } : { seatsB: next });
        }}
      />
    );
  };
  return (
    <details className="space-y-2" open={taken.size > 1 || undefined}>
      <summary className="cursor-pointer font-semibold">{t("seats.title")}</summary>
      {(["A", "B"] as const).map((side) => seatsOf(v, side).map((_, i) => seat(side, i)))}
    </details>
  );
}

/** The pupils of a side, one for each seat; "" for somebody of another class. */
export function seatsOf(v: V, side: Player): string[] {
  const [n, seats] = side === "A" ? [v.playersA, v.seatsA] : [v.playersB, v.seatsB];
  return Array.from({ length: Math.min(8, n ?? 0) }, (_, i) => seats[i] ?? "");
}
