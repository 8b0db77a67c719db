import { expect, it } from "vitest";
import { toldNumber } from "./told-number";

const told = (text: string) => toldNumber(text, false, 250, "in 25 s");
const time = (text: string) => toldNumber(text, true, 86_400, "");

it("takes numbers, and asks back those that cannot be", () => {
  expect(told(" 12 ")).toEqual({ score: 12, timeMs: null });
  expect(told("")).toBeNull();
  expect(told("999")).toEqual({ wrong: "Really 999? 250 in 25 s is the most" });
  expect(told("twelve")).toEqual({ wrong: "a whole number" });
  expect(told("1:05")).toEqual({ wrong: "a whole number" });
});

it("takes a time as seconds, with tenths, or as minutes and seconds", () => {
  expect(time("18")).toEqual({ score: 18, timeMs: 18_000 });
  expect(time("18,4")).toEqual({ score: 19, timeMs: 18_400 });
  expect(time("0:18")).toEqual({ score: 18, timeMs: 18_000 });
  expect(time("1:05.4")).toEqual({ score: 66, timeMs: 65_400 });
  expect(time("0:75")).toEqual({ wrong: "a time: 18, 18.4 or 0:18" });
});
