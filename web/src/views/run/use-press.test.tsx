import { fireEvent, renderHook, screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { RunEvent, Segment } from "../../api/types";
import { Played } from "./log";
import { usePress } from "./use-press";

const segment = (index: number, kind: Segment["kind"], turn: number): Segment => ({
  index,
  kind,
  turn,
  side: 0,
  beside: null,
  block: 0,
  set: 0,
  startSec: index * 20,
  durationSec: 20,
});
const segments = [segment(0, "WORK", 0), segment(1, "TURN_SWAP", 0), segment(2, "WORK", 1), segment(3, "TURN_SWAP", 1)];
const script = { segments, blocks: [] } as never;

/** A run that stands at this segment, without its clock going. */
function at(here: number, events: RunEvent[] = []) {
  const record = vi.fn();
  const jumped = vi.fn();
  const finish = vi.fn();
  const played = new Played(script, events);
  const { result } = renderHook(() =>
    usePress({
      segments,
      played,
      position: { segment: here, offsetMs: 0 },
      on: { record, events } as never,
      wake: vi.fn(),
      jumped,
      finish,
    }),
  );
  return { press: result.current, record, jumped, finish };
}

it("goes and stops all by its keys, and leaves a key alone that is typed into a field", () => {
  const { record, finish } = at(0);
  fireEvent.keyDown(document.body, { key: " " });
  expect(record).toHaveBeenLastCalledWith({ type: "GO", segment: 0, offsetMs: 0 });
  fireEvent.keyDown(document.body, { key: "s" });
  expect(record).toHaveBeenLastCalledWith({ type: "STOP_ALL", segment: 0, offsetMs: 0 });
  fireEvent.keyDown(document.body, { key: "f" });
  expect(finish).toHaveBeenCalledOnce();

  document.body.innerHTML = `<input aria-label="number" /><button type="button">pad</button>`;
  fireEvent.keyDown(screen.getByLabelText("number"), { key: "s" });
  fireEvent.keyDown(screen.getByRole("button"), { key: " " });
  fireEvent.keyDown(document.body, { key: "s", ctrlKey: true });
  expect(record).toHaveBeenCalledTimes(2);
});

it("takes back the last event only where there is one", () => {
  const nothing = at(0);
  nothing.press.takeBack();
  expect(nothing.record).not.toHaveBeenCalled();
  const go = { id: "e1", atMs: 1, device: "d", what: { type: "GO", segment: 0, offsetMs: 0 } } as RunEvent;
  const one = at(0, [go]);
  one.press.takeBack();
  expect(one.record).toHaveBeenLastCalledWith({ type: "TAKE_BACK", target: "e1" });
});

it("goes back a round, to any other and past the last, and nowhere from where it is", () => {
  const second = at(2);
  second.press.back();
  expect(second.record).toHaveBeenLastCalledWith({ type: "BACK", segment: 0, offsetMs: 0 });
  second.press.goTo(2);
  expect(second.record).toHaveBeenCalledTimes(1);
  second.press.goTo(0);
  expect(second.record).toHaveBeenLastCalledWith({ type: "BACK", segment: 0, offsetMs: 0 });
  second.press.goTo(3);
  expect(second.record).toHaveBeenLastCalledWith({ type: "NEXT", segment: 3, offsetMs: 0 });
  expect(second.jumped).toHaveBeenCalledTimes(3);

  const first = at(0);
  first.press.back();
  expect(first.record).not.toHaveBeenCalled();
});
