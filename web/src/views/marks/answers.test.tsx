import { act, screen, within } from "@testing-library/react";
import type { ComponentType } from "react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { press, refusal, serve, show, type } from "../../test-page";
import { given } from "./any-given";
import type { Given } from "./given";
import { InARowWorking } from "./in-a-row";
import { MarkersWorking } from "./markers";
import { StationsWorking } from "./stations";
import { StepByStepWorking } from "./step-by-step";
import { CeilingWorking } from "./under-ceiling";

const ceiling = {
  toss: { riseM: 1.32, airSec: 1.06, claps: 3 },
  wish: { riseM: 2.09, ceilingNeededM: 3.37 },
  wishFits: false,
  rises: [{ claps: 4, riseM: 2.09, ceilingNeededM: 3.37, fits: false }],
};
const stairs = {
  path: [1, 1, 2, 2, 3, 2],
  endStep: 2,
  furthestHeld: 2,
  furthestHeldM: 0.44,
  reversals: [3],
  settleStep: 3,
  settlesAtShare: 0.71,
  settling: { likelyStep: 2.6, lowStep: 1.4, highStep: 4.9 },
};
const reach = { withoutMiss: 10, likely: 1, steps: [{ step: 1, withoutMissSec: 7, expectedSec: 15 }] };
const stations = {
  rounds: [
    { startSec: 180, endSec: 480, stationOfGroup: [1, 2, null] },
    { startSec: 525, endSec: 825, stationOfGroup: [2, null, 1] },
    { startSec: 870, endSec: 1170, stationOfGroup: [null, 1, 2] },
  ],
  totalSec: 1170,
};
const rates = {
  rates: [
    { perMin: 27, lowPerMin: 17.5, highPerMin: 40 },
    { perMin: 31, lowPerMin: 22.4, highPerMin: 41.8 },
  ],
  lastHigherThanFirst: 0.664,
};
const slalom = {
  markers: 4,
  gapM: 1.6,
  ballFits: true,
  pathM: 8.87,
  betterSec: 16.2,
  savesSec: 1.8,
  speedMs: 0.99,
};

beforeEach(() => window.history.replaceState(null, "", "/"));
afterEach(() => vi.unstubAllGlobals());

type Case = {
  Working: ComponentType<{ given: Given }>;
  /** its address, with values in it */
  at?: string;
  reckoning: string;
  first: object;
  label: string;
  typed: string;
  next: object;
  before: RegExp;
  after: RegExp;
};

const cases: Record<string, Case> = {
  "under the ceiling": {
    Working: CeilingWorking,
    reckoning: "under-ceiling",
    first: ceiling,
    label: "Claps wished for",
    typed: "2",
    next: { ...ceiling, wishFits: true, wish: { riseM: 0.66, ceilingNeededM: 1.94 } },
    before: /4 claps need a room of 3\.37 m: 0\.77 m more than there is/,
    after: /2 claps fit: they need a toss of 0\.66 m and a room of 1\.94 m/,
  },
  "step by step": {
    Working: StepByStepWorking,
    reckoning: "reach-in-time",
    first: reach,
    label: "Round",
    typed: "60",
    next: { withoutMiss: 6, likely: 0, steps: [] },
    before: /In 2:00 nobody gets past step 10 .*step 1 is likely .*after 0:15/,
    after: /In 1:00 nobody gets past step 6 .*not even the first step is likely/,
  },
  "where a staircase settles": {
    Working: StepByStepWorking,
    at: "/?results=HHHMHM",
    reckoning: "staircase",
    first: stairs,
    label: "Hits in a row to step back",
    typed: "1",
    next: { ...stairs, settlesAtShare: null, settling: { likelyStep: 3.1, lowStep: 1.9, highStep: null } },
    before:
      /By all throws it settles at step 2\.6, .*; likely between 1\.4 and 4\.9\. There about 71 % of the throws go in\./,
    after: /settles at step 3\.1, .*; likely from 1\.9 on, how far is not known yet\./,
  },
  "in a row": {
    Working: InARowWorking,
    at: "/?firstCount=18&firstSec=40&lastCount=31&lastSec=60",
    reckoning: "rates",
    first: rates,
    label: "Before",
    typed: "20",
    next: { ...rates, lastHigherThanFirst: 0.5 },
    before: /18 in 40 s is 27\.0 a minute .*chance of 66 %/,
    after: /20 in 40 s is .*chance of 50 %/,
  },
  stations: {
    Working: StationsWorking,
    reckoning: "stations",
    first: stations,
    label: "At each station",
    typed: "200",
    next: { ...stations, totalSec: 870 },
    before: /3 rounds of 5:00, 0:45 to change over: every group has been everywhere after 19:30, at 10:19 \+ 30 s/,
    after: /3 rounds of 3:20, .*after 14:30/,
  },
  markers: {
    Working: MarkersWorking,
    reckoning: "slalom",
    first: slalom,
    label: "First time (empty: none yet)",
    typed: "20",
    next: { ...slalom, betterSec: 18, savesSec: 2, speedMs: 0.89 },
    before: /First time 18 s \(1\.0 m\/s\)\. 10 % better is 16\.2 s: 1\.8 s to save/,
    after: /First time 20 s \(0\.9 m\/s\)\. 10 % better is 18\.0 s: 2\.0 s to save/,
  },
};

it.each(Object.entries(cases))("%s says a new value only with its answer, and never a refused one", async (_, c) => {
  const waiting: ((answer: object) => void)[] = [];
  let asked = 0;
  window.history.replaceState(null, "", c.at ?? "/");
  serve({
    [`POST /api/reckon/${c.reckoning}`]: () =>
      asked++ === 0 ? c.first : new Promise((told) => waiting.push(told as never)),
  });
  show(<c.Working given={given} />);
  await screen.findByText(c.before);
  type(c.label, c.typed);
  await vi.waitFor(() => expect(waiting).toHaveLength(1));
  expect(screen.getByText(c.before)).toBeInTheDocument();
  await act(async () => waiting[0]?.(c.next));
  expect(await screen.findByText(c.after)).toBeInTheDocument();
  type(c.label, "99999");
  await vi.waitFor(() => expect(waiting).toHaveLength(2));
  await act(async () => waiting[1]?.(refusal(400, { some: "must be otherwise" })));
  expect(await screen.findByRole("alert")).toHaveTextContent("the drawing still shows the last that did");
  expect(screen.getByText(c.after)).toBeInTheDocument();
});

it("has nothing to mark out before it is reckoned: a nought would be a wrong figure", () => {
  serve({});
  show(<CeilingWorking given={given} />);
  const sheet = within(screen.getByTestId("measures"));
  expect(sheet.getAllByText("…")).toHaveLength(2);
  expect(screen.getByTestId("measures")).not.toHaveTextContent(/\b0/);
});

it("draws each throw as the answer has it while one more is on its way", async () => {
  const asked: unknown[] = [];
  serve({
    "POST /api/reckon/staircase": (body: { results: string }) => {
      asked.push(body.results);
      return asked.length === 1 ? stairs : new Promise(() => {});
    },
    "POST /api/reckon/reach-in-time": reach,
  });
  window.history.replaceState(null, "", "/?results=HHHHMH");
  show(<StepByStepWorking given={given} />);
  await screen.findByText(/^6 throws: furthest held is step 2 .*next from step 2/);
  press("Miss");
  await vi.waitFor(() => expect(asked).toEqual(["HHHHMH", "HHHHMHM"]));
  expect(screen.getByText(/^6 throws/)).toBeInTheDocument();
  expect(screen.getByRole("group", { name: "The step of each of 6 throws" })).toBeInTheDocument();
  press("Take back");
  expect(await screen.findByText(/^6 throws/)).toBeInTheDocument();
});

it("shows a table of the groups that the answer has, not of those that are typed meanwhile", async () => {
  let asked = 0;
  serve({ "POST /api/reckon/stations": () => (asked++ === 0 ? stations : new Promise(() => {})) });
  show(<StationsWorking given={given} />);
  const table = await screen.findByTestId("table");
  type("Groups", "9");
  await vi.waitFor(() => expect(asked).toBe(2));
  const wide = within(table)
    .getAllByRole("row")
    .map((r) => r.children.length);
  expect(wide).toEqual([4, 4, 4, 4]);
  expect(within(table).getAllByText("rests")).toHaveLength(3);
});

it("sets nothing against nothing: two scores are compared once one was typed", async () => {
  const heard = serve({ "POST /api/reckon/rates": rates });
  show(<InARowWorking given={given} />);
  expect(heard.map((h) => h.path)).not.toContain("/api/reckon/rates");
  type("Before", "18");
  await screen.findByText(/a minute/);
  type("Before", "");
  await vi.waitFor(() => expect(screen.queryByText(/a minute/)).toBeNull());
});
