import { expect, it } from "vitest";
import { named, nameless, namelessIn, nobody } from "./roster";

it("names those who have none, in their order and with what is known of them, and puts the others behind", () => {
  const before = [
    { id: "a", details: { ...nobody, firstName: "Imke", initial: "T" } },
    ...nameless(2).map((details, i) => ({ id: `n${i}`, details: { ...details, shoeCm: 20 + i } })),
  ];
  expect(namelessIn(before)).toBe(2);
  const after = named(
    before,
    ["Rowan", "Ole", "Ana"].map((firstName) => ({ ...nobody, firstName, initial: "B", birthYear: 2016 })),
  );
  expect(after.map((p) => [p.id, p.details.firstName, p.details.initial, p.details.shoeCm])).toEqual([
    ["a", "Imke", "T", null],
    ["n0", "Rowan", "B", 20],
    ["n1", "Ole", "B", 21],
    [null, "Ana", "B", null],
  ]);
  expect(namelessIn(after)).toBe(0);
});
