import { fireEvent, render, screen } from "@testing-library/react";
import { Link, MemoryRouter, useNavigate } from "react-router";
import { afterEach, expect, it, vi } from "vitest";
import { useTopOfPage } from "./use-top-of-page";

afterEach(() => vi.unstubAllGlobals());

function Page() {
  useTopOfPage();
  const navigate = useNavigate();
  return (
    <>
      <Link to="/ladders?words=wall">The same</Link>
      <Link to="/ladders/a">Open</Link>
      <Link to="/ladders/a#place">A place</Link>
      <Link to="/ladders/a?rung=2">Another rung</Link>
      <button type="button" onClick={() => navigate(-1)}>
        Back
      </button>
    </>
  );
}

it("shows another page from its top, but neither a place in it, nor the same one, nor one gone back to", () => {
  const top = vi.fn();
  vi.stubGlobal("scrollTo", top);
  render(
    <MemoryRouter initialEntries={["/ladders"]}>
      <Page />
    </MemoryRouter>,
  );
  fireEvent.click(screen.getByText("The same"));
  expect(top).not.toHaveBeenCalled();
  fireEvent.click(screen.getByText("Open"));
  expect(top.mock.calls).toEqual([[0, 0]]);
  fireEvent.click(screen.getByText("Another rung"));
  expect(top).toHaveBeenCalledTimes(1);
  fireEvent.click(screen.getByText("Back"));
  fireEvent.click(screen.getByText("Back"));
  expect(top).toHaveBeenCalledTimes(1);
  fireEvent.click(screen.getByText("A place"));
  expect(top).toHaveBeenCalledTimes(1);
});
