import { fireEvent, render, screen } from "@testing-library/react";
import { expect, test, vi } from "vitest";
import { Handle } from "./handle";
import { type Scale, ScaleContext } from "./stage";

const scale: Scale = {
  x: (m) => m * 100,
  y: (m) => 500 - m * 100,
  perM: 100,
  at: (e) => ({ x: e.clientX / 100, y: (500 - e.clientY) / 100 }),
  world: { left: 0, right: 8, bottom: 0, top: 5 },
};

const tapped = vi.fn();

function shown(onMove: (p: { x: number; y: number }) => void, axis: "x" | "y") {
  render(
    <svg>
      <title>test</title>
      <ScaleContext value={scale}>
        <Handle
          label="Place"
          value={2}
          text="2 m"
          least={0.5}
          greatest={4}
          step={0.1}
          axis={axis}
          vertical={axis === "y"}
          at={axis === "x" ? { x: 2, y: 0 } : { x: 0, y: 2 }}
          onMove={onMove}
          onTap={tapped}
        />
      </ScaleContext>
    </svg>,
  );
  return screen.getByRole("slider", { name: "Place" });
}

test("arrow keys move by a step, with shift by ten, and stop at the ends", () => {
  const moved = vi.fn();
  const handle = shown(moved, "x");
  fireEvent.keyDown(handle, { key: "ArrowRight" });
  expect(moved.mock.lastCall?.[0].x).toBeCloseTo(2.1);
  fireEvent.keyDown(handle, { key: "ArrowLeft", shiftKey: true });
  expect(moved.mock.lastCall?.[0].x).toBeCloseTo(1);
  fireEvent.keyDown(handle, { key: "ArrowLeft", shiftKey: true });
  expect(moved.mock.lastCall?.[0].x).toBeGreaterThanOrEqual(0.5);
  expect(handle).toHaveAttribute("aria-valuetext", "2 m");
  fireEvent.keyDown(handle, { key: "a" });
  expect(moved).toHaveBeenCalledTimes(3);
});

test("what is dragged keeps its distance from the finger, along its axis only", async () => {
  const moved = vi.fn();
  const handle = shown(moved, "y");
  Object.assign(handle, { setPointerCapture: () => {} });
  fireEvent.pointerDown(handle, { clientX: 0, clientY: 310, pointerId: 1 });
  fireEvent.pointerMove(handle, { clientX: 90, clientY: 260, pointerId: 1 });
  await vi.waitFor(() => expect(moved).toHaveBeenCalled());
  expect(moved.mock.lastCall?.[0].y).toBeCloseTo(2.5);
  expect(moved.mock.lastCall?.[0].x).toBe(0);
  fireEvent.pointerUp(handle, { pointerId: 1 });
  expect(tapped).not.toHaveBeenCalled();
  fireEvent.pointerMove(handle, { clientX: 0, clientY: 100, pointerId: 1 });
  expect(moved).toHaveBeenCalledTimes(1);

  fireEvent.pointerDown(handle, { clientX: 5, clientY: 300, pointerId: 1 });
  fireEvent.pointerUp(handle, { clientX: 5, clientY: 300, pointerId: 1 });
  expect(tapped.mock.lastCall?.[0]).toEqual({ x: 0.05, y: 2 });
});
