import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { LessonView } from "../../api/types";
import { usePlan } from "./use-plan";

/** A server that keeps one lesson and its version, and refuses lessons of no minutes. */
let stored: LessonView;
let sent: number[];

beforeEach(() => {
  sent = [];
  stored = { id: "l1", version: 0, name: "A", lesson: { minutes: 40, blocks: [] }, plan: {} } as unknown as LessonView;
  vi.stubGlobal("fetch", async (_path: string, init: RequestInit) => {
    if (init.method === "GET") return Response.json(stored);
    const doc = JSON.parse(String(init.body));
    sent.push(doc.lesson.minutes);
    if (doc.version !== stored.version) return Response.json({ title: "Changed elsewhere" }, { status: 409 });
    if (doc.lesson.minutes < 1)
      return Response.json(
        { title: "Bad", errors: [{ field: "lesson.minutes", rule: "RANGE", must: "must be from 1 to 240" }] },
        { status: 400 },
      );
    stored = { ...stored, ...doc, version: stored.version + 1 };
    return Response.json(stored);
  });
});

afterEach(() => vi.unstubAllGlobals());

function plan() {
  const client = new QueryClient();
  return renderHook(() => usePlan(stored), {
    wrapper: ({ children }) => <QueryClientProvider client={client}>{children}</QueryClientProvider>,
  });
}

type Plan = ReturnType<typeof plan>["result"];
const minutes = (p: Plan, n: number, step = `minutes ${n}`) =>
  act(() => p.current.changeLesson({ ...p.current.draft.lesson, minutes: n }, step));

it("saves each change in order, with undo and redo", async () => {
  const { result } = plan();
  minutes(result, 30);
  minutes(result, 35);
  await waitFor(() => expect(result.current.unsaved).toBe(false));
  expect(stored.lesson.minutes).toBe(35);
  act(() => result.current.undo?.());
  await waitFor(() => expect(stored.lesson.minutes).toBe(30));
  act(() => result.current.redo?.());
  await waitFor(() => expect(stored.lesson.minutes).toBe(35));
  expect(result.current.redo).toBeUndefined();
});

it("takes typing in one field as one step", async () => {
  const { result } = plan();
  minutes(result, 2, "minutes");
  minutes(result, 25, "minutes");
  act(() => result.current.undo?.());
  await waitFor(() => expect(stored.lesson.minutes).toBe(40));
});

it("keeps what was refused on the screen, marked, and saves the next good one", async () => {
  const { result } = plan();
  minutes(result, 0);
  await waitFor(() => expect(result.current.problem?.must("lesson.minutes")).toBe("must be from 1 to 240"));
  expect(result.current.draft.lesson.minutes).toBe(0);
  expect(stored.version).toBe(0);
  minutes(result, 20);
  await waitFor(() => expect(stored.lesson.minutes).toBe(20));
  await waitFor(() => expect(result.current.problem).toBeUndefined());
});

it("never overwrites another's save unasked, and loses neither", async () => {
  const { result } = plan();
  stored = { ...stored, version: 5, lesson: { ...stored.lesson, minutes: 55 } };
  minutes(result, 30);
  await waitFor(() => expect(result.current.problem?.status).toBe(409));
  expect(stored.lesson.minutes).toBe(55);
  await act(() => result.current.takeTheirs());
  expect(result.current.draft.lesson.minutes).toBe(55);
  act(() => result.current.undo?.());
  await waitFor(() => expect(stored.lesson.minutes).toBe(30));
});
