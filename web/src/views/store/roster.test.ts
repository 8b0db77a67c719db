import { expect, it } from "vitest";
import { readRoster } from "./roster";

it("reads names as they are pasted, and keeps only the initial", () => {
  const read = readRoster("Rowan, B, 2015\r\n\n  Imke Tideway ;2016\nOle\tS\t2014\nAya");
  expect(read.map((p) => [p.firstName, p.initial, p.birthYear])).toEqual([
    ["Rowan", "B", 2015],
    ["Imke", "T", 2016],
    ["Ole", "S", 2014],
    ["Aya", "", null],
  ]);
});
