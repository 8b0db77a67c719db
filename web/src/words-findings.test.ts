import { expect, it } from "vitest";
import type { Finding } from "./api/types";
import words from "./words/findings.json";
import { finding, mendOf, said } from "./words-findings";

const told = (code: string, figures: object, pupils: string[] = []) =>
  finding({ code, figures, pupils } as unknown as Finding);

it("says only what the figures of a finding say", () => {
  expect(told("SPOT_TOO_SMALL", { haveM: 2, haveByM: 1.5, needM: 2.255, byM: 2 })).toBe(
    "The spot is 2 m × 1.5 m; the task takes 2.25 m × 2 m.",
  );
  expect(told("SPOT_TOO_SMALL", { haveM: 2, standM: 3 })).toBe("The spot is 2 m long, and they stand 3 m off.");
  expect(told("GATE_CANNOT_BE_MET", { reach: 7, of: null, reps: 1 })).toBe(
    "A gate of 7 in a row cannot be met with 1 go.",
  );
  expect(told("GATE_CANNOT_BE_MET", { reach: 7, inSec: 30, hitSec: 5 })).toBe(
    "A gate of 7 in 30 s cannot be met: at best one takes 5 s.",
  );
  expect([3, 4, 22].map((times) => told("QUIET_TASK_AGAIN", { task: "Taps", times }).split("the ").at(-1))).toEqual([
    "third time.",
    "4th time.",
    "22nd time.",
  ]);
  expect(told("ADAPTATION_NO_VARIANT", { adaptation: "SEATED" }, ["A", "B", "C", "D", "E"])).toBe(
    "A, B, C and 2 more, seated: this task has no such variant.",
  );
  expect(
    mendOf({ kind: "FILL_UP", figures: { with: "socks", left: 0, changes: "slow", make: "Roll", makeMin: 1 } }),
  ).toEqual(["Fill up", "with socks: slow. Roll (1 min)"]);
  expect(said({ school: "EVERY", threshold: { name: "movingShare", value: 0.33 } } as unknown as Finding)).toBe(
    "Said from: less than 33 % of the time",
  );
});

it("leaves nothing unfilled where a finding brings the figures that its words name", () => {
  const named = (text: string) => [...text.matchAll(/\{(\w+)/g)].map((found) => found[1] ?? "");
  const figures = (text: string) =>
    Object.fromEntries(named(text).flatMap((k) => [k, k.replace(/Clock$/, "Sec")].map((key) => [key, 2])));
  for (const [code, text] of Object.entries(words.finding))
    expect(told(code, figures(text), ["A"]), code).not.toMatch(/[{}]|undefined|NaN/);
  for (const [kind, does] of Object.entries(words.does)) {
    const press = words.press[kind as keyof typeof words.press];
    const shown = mendOf({ kind, figures: figures(press + does) } as never).join();
    expect(shown, kind).not.toMatch(/[{}]|undefined|NaN/);
  }
});
