import { fireEvent, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { LessonLine } from "../../api/types";
import { choose, press, refusal, sentTo, serve, show, type, WithClasses } from "../../test-page";
import { Gone, LessonMore } from "./lesson-more";

const lesson = {
  id: "l1",
  classId: "c1",
  name: "Corridor catching",
  onDay: "2026-12-01",
  audience: "EACH_AT_HOME",
  taughtOn: null,
} as unknown as LessonLine;

const classes = [
  { id: "c1", name: "5b", pupils: [], mayChange: true },
  { id: "c2", name: "6a", pupils: [], mayChange: true },
  { id: "c3", name: "not mine", pupils: [], mayChange: false },
];

afterEach(() => vi.unstubAllGlobals());

const open = (of: LessonLine = lesson, done: string[] = []) => {
  show(
    <WithClasses>
      <LessonMore lesson={of} onDone={() => done.push("done")} onGone={() => done.push("gone")} />
    </WithClasses>,
  );
  return done;
};

it("copies a lesson for a term, and tells what was made, also when the form is changed after it", async () => {
  const heard = serve({
    "GET /api/classes": classes,
    "POST /api/lessons/l1/copies": ({ onDay, times }: { onDay: string; times: number }) =>
      Array.from({ length: times }, () => ({ ...lesson, onDay })),
  });
  open();
  type("Lessons, times, every", "3");
  press("Copy it");
  expect(await screen.findByText(/^3 copies are planned, the first for .*8 Dec/)).toBeInTheDocument();
  type("Lessons, times, every", "12");
  expect(screen.getByText(/^3 copies are planned/)).toBeInTheDocument();
  expect(sentTo(heard, "POST /api/lessons/l1/copies")).toEqual([
    { classId: "c1", onDay: "2026-12-08", times: 3, everyDays: 7 },
  ]);
});

it("says at its field how many copies there may be", async () => {
  serve({
    "GET /api/classes": classes,
    "POST /api/lessons/l1/copies": () => refusal(400, { times: "must be 1 to 60" }),
  });
  open();
  type("Lessons, times, every", "99");
  press("Copy it");
  await vi.waitFor(() =>
    expect(screen.getByLabelText("Lessons, times, every")).toHaveAccessibleDescription(/must be 1 to 60/),
  );
  expect(screen.queryByText(/planned/)).toBeNull();
});

it("copies for another class of one's own, and for nobody else's", async () => {
  const heard = serve({ "GET /api/classes": classes, "POST /api/lessons/l1/copies": [lesson] });
  open();
  await screen.findByRole("combobox", { name: "For" });
  await choose("For", "6a");
  press("Copy it");
  await vi.waitFor(() =>
    expect(sentTo(heard, "POST /api/lessons/l1/copies")).toMatchObject([{ classId: "c2", times: 1 }]),
  );
  fireEvent.keyDown(screen.getByRole("combobox", { name: "For" }), { key: "ArrowDown" });
  expect(screen.getAllByRole("option").map((o) => o.textContent)).toEqual(["5b", "6a"]);
});

it("moves a lesson by the days between, with those that come later where wanted", async () => {
  const heard = serve({ "GET /api/classes": classes, "POST /api/lessons/l1/shifted": [lesson] });
  const done = open();
  screen.getByLabelText("and all later lessons of the class by as many days").click();
  press("Move it");
  await vi.waitFor(() => expect(done).toEqual(["done"]));
  expect(sentTo(heard, "POST /api/lessons/l1/shifted")).toEqual([{ days: 7, andLater: true }]);
});

it("does not move what was taught", () => {
  serve({ "GET /api/classes": classes });
  open({ ...lesson, taughtOn: "2026-12-01" });
  expect(screen.queryByRole("button", { name: "Move it" })).toBeNull();
});

it("deletes, and brings back what was deleted", async () => {
  const heard = serve({
    "GET /api/classes": classes,
    "DELETE /api/lessons/l1": "204",
    "POST /api/lessons/l1/back": lesson,
  });
  const done = open();
  press("Delete it");
  await vi.waitFor(() => expect(done).toEqual(["gone"]));
  const back: string[] = [];
  show(<Gone lesson={lesson} onBack={() => back.push("back")} />);
  press("Bring it back");
  await vi.waitFor(() => expect(back).toEqual(["back"]));
  expect(sentTo(heard, "POST /api/lessons/l1/back")).toHaveLength(1);
});
