import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { LessonView } from "../../api/types";
import { usePlan } from "./use-plan";

/** A server that keeps one lesson and its version, and refuses lessons of no minutes. */
let stored: LessonView;
let sent: number[];
/** What happens before an edit is answered. */
let answered: (() => Promise<void>) | undefined;

beforeEach(() => {
  sent = [];
  answered = undefined;
  stored = { id: "l1", version: 0, name: "A", lesson: { minutes: 40, blocks: [] }, plan: {} } as unknown as LessonView;
  vi.stubGlobal("fetch", async (_path: string, init: RequestInit) => {
    if (init.method === "GET") return Response.json(stored);
    const doc = JSON.parse(String(init.body));
    if (init.method === "POST") {
      await answered?.();
      if (doc.edits[0].blockId === "nobody")
        return Response.json({ title: "No such block", errors: [] }, { status: 400 });
      return Response.json({ ...doc.lesson, blocks: [...doc.lesson.blocks, { id: doc.edits[0].id }] });
    }
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

const water = (id: string) => ({ type: "ADD_TIME", id, at: null, kind: "WATER", seconds: null }) as const;

it("makes edits one after the other, saves them and takes each back by itself", async () => {
  const { result } = plan();
  await act(async () => {
    result.current.edit([water("w1")], "w1");
    await result.current.edit([water("w2")], "w2");
  });
  await waitFor(() => expect(stored.lesson.blocks.map((b) => b.id)).toEqual(["w1", "w2"]));
  act(() => result.current.undo?.());
  await waitFor(() => expect(stored.lesson.blocks.map((b) => b.id)).toEqual(["w1"]));
});

it("loses nothing that was typed while an edit was worked out", async () => {
  const { result } = plan();
  let once = true;
  answered = async () => {
    if (once) minutes(result, 33);
    once = false;
  };
  await act(async () => {
    await result.current.edit([water("w1")], "w1");
  });
  await waitFor(() => expect(stored.lesson.blocks.map((b) => b.id)).toEqual(["w1"]));
  expect(stored.lesson.minutes).toBe(33);
});

it("says why an edit cannot be and goes on", async () => {
  const { result } = plan();
  await act(async () => {
    await result.current.edit([{ type: "REMOVE", blockId: "nobody" }], "remove");
  });
  expect(result.current.problem?.title).toBe("No such block");
  await act(async () => {
    await result.current.edit([water("w1")], "w1");
  });
  await waitFor(() => expect(stored.lesson.blocks).toHaveLength(1));
  await waitFor(() => expect(result.current.problem).toBeUndefined());
});
