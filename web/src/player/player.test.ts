import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { Card, Practice, Segment } from "./card";
import { at, boxOf } from "./card";
import { CardPlayer } from "./player";

const segment = (
  index: number,
  kind: string,
  startSec: number,
  durationSec: number,
  set: number,
  side: number,
): Segment => ({
  index,
  block: 0,
  kind,
  startSec,
  durationSec,
  set,
  side,
});

const card: Card = {
  format: "unruly-marble-card",
  version: 1,
  card: 7,
  key: "00112233445566778899aabbccddeeff",
  firstName: "Ayo",
  home: { practice: 8, kinds: ["balloon", "tennis ball"], most: [3, 16, 16, 1, 1] },
  practices: [1, 2].map((practice) => ({
    practice,
    on: "2026-11-30",
    what: {
      totalSec: 40,
      tasks: [
        {
          name: "Cup to cup",
          sides: ["RIGHT", "LEFT"],
          counted: true,
          byGoes: false,
          tries: null,
          rounds: 1,
          words: { name: "From cup to cup", task: "Toss and catch." },
        },
      ],
      boxes: [
        { task: 0, round: 1, side: "RIGHT", most: 49 },
        { task: 0, round: 1, side: "LEFT", most: 49 },
      ],
      segments: [
        segment(0, "EXPLAIN", 0, 5, -1, -1),
        segment(1, "WORK", 5, 10, 0, 0),
        segment(2, "SIDE_SWAP", 15, 5, 0, -1),
        segment(3, "WORK", 20, 10, 0, 1),
        segment(4, "REST", 30, 10, 0, -1),
      ],
    },
  })),
};

let now = 0;

beforeEach(() => {
  localStorage.clear();
  now = 0;
  vi.useFakeTimers();
  vi.spyOn(performance, "now").mockImplementation(() => now);
  vi.stubGlobal("scrollTo", () => {});
  document.body.innerHTML = `<main id="card"><article data-practice="1"></article><article data-practice="2"></article></main>`;
  new CardPlayer(card, document.getElementById("card") as HTMLElement);
});

afterEach(() => {
  vi.useRealTimers();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

const press = (words: string) => {
  const button = [...document.querySelectorAll("button")].find((b) => b.textContent === words && !b.hidden);
  if (!button) throw new Error(`no button ${words} in ${document.body.textContent}`);
  button.click();
};
const pass = (sec: number) => {
  now += 1000 * sec;
  vi.advanceTimersByTime(200);
};
const counter = () => document.querySelector<HTMLButtonElement>("button.count");
const said = () => document.querySelector("#stage h1")?.textContent;

it("knows where the clock stands and which box a stretch fills", () => {
  const what = card.practices[0]?.what as Practice["what"];
  const { segments } = what;
  expect(at(segments, 14)?.segment.index).toBe(1);
  expect(at(segments, 14)?.leftSec).toBe(1);
  expect(at(segments, 40)).toBeNull();
  expect([0, 1, 2, 3].map((i) => boxOf(what, segments[i] as Segment))).toEqual([-1, 0, -1, 1]);
});

it("plays by itself, counts taps, takes one back, pauses, and ends with a code", () => {
  press("Start practice 1");
  expect(said()).toBe("Cup to cup: read what to do");
  pass(6);
  expect(said()).toBe("Go, right");
  counter()?.click();
  counter()?.click();
  press("Take one back");
  expect(counter()?.textContent).toBe("1");
  press("Pause");
  pass(60);
  expect(said()).toBe("Go, right");
  press("Go on");
  pass(10);
  expect(said()).toBe("Change sides");
  expect(counter()?.hidden).toBe(true);
  pass(5);
  expect(said()).toBe("Go, left");
  pass(20);
  expect(said()).toBe("That was practice 1");
  expect([...document.querySelectorAll("input[type=number]")].map((i) => (i as HTMLInputElement).value)).toEqual([
    "1",
    "",
  ]);
  expect(document.querySelector("[data-testid=return-code]")?.textContent).toMatch(/^[2-9A-Z-]{14,}$/);
});

it("keeps its state on the device, goes on where it was, and shows what has grown", () => {
  press("Start practice 1");
  pass(6);
  counter()?.click();
  press("Back to the card");
  new CardPlayer(card, document.getElementById("card") as HTMLElement);
  press("Go on with practice 1");
  expect(said()).toBe("Go, right");
  expect(counter()?.textContent).toBe("1");
  pass(40);
  press("Back to the card");
  press("Start practice 2");
  pass(6);
  for (let i = 0; i < 3; i++) counter()?.click();
  pass(40);
  expect(document.querySelector(".grown")?.textContent).toBe("Cup to cup, right: 1 last time, 3 now.");
});

it("refuses a number that its box cannot hold and leaves the code as it was", () => {
  press("Start practice 1");
  pass(50);
  const before = document.querySelector("[data-testid=return-code]")?.textContent;
  const first = document.querySelector("input[type=number]") as HTMLInputElement;
  first.value = "50";
  first.dispatchEvent(new Event("input"));
  expect(document.body.textContent).toContain("0 to 49");
  expect(document.querySelector("[data-testid=return-code]")?.textContent).toBe(before);
  first.value = "12";
  first.dispatchEvent(new Event("input"));
  expect(document.querySelector("[data-testid=return-code]")?.textContent).not.toBe(before);
});

it("says so where the device keeps nothing", () => {
  vi.spyOn(Storage.prototype, "setItem").mockImplementation(() => {
    throw new Error("no");
  });
  new CardPlayer(card, document.getElementById("card") as HTMLElement);
  expect(document.body.textContent).toContain("This device keeps nothing when the page is closed");
});
