import { expect, test } from "vitest";
import { fromAddress, link } from "./use-values";

const prefilled = {
  standM: 3 as number | null,
  ceilingM: null as number | null,
  hard: false,
  mode: "wall",
  points: [] as { xCm: number; yCm: number }[],
};

test("a link opens a working with the same values", () => {
  const values = { standM: 2.45, ceilingM: null, hard: true, mode: "board & pass", points: [{ xCm: -1.5, yCm: 20 }] };
  const address = new URLSearchParams(link(values).split("?")[1]);
  expect(fromAddress(prefilled, address)).toEqual(values);
});

test("what an address says wrongly leaves what is prefilled", () => {
  const odd = new URLSearchParams('standM="far"&ceilingM=2.7&hard=3&points={"x":1}&unknown=5');
  expect(fromAddress(prefilled, odd)).toEqual({ ...prefilled, ceilingM: 2.7 });
  expect(fromAddress(prefilled, new URLSearchParams("points=[1&standM="))).toEqual(prefilled);
});
