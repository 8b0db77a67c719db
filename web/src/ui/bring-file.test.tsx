import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { BringFile } from "./bring-file";

type Answer = { kept: boolean; added: number; bad: { line: number; column: string; must: string }[]; badInAll: number };

afterEach(() => vi.unstubAllGlobals());

/** Answers what is asked of the server; posts are kept. */
function server(answer: (body: { text: string; dryRun: boolean }) => Answer | Promise<Answer>) {
  const posted: { text: string; dryRun: boolean }[] = [];
  vi.stubGlobal("fetch", async (_: string, init: RequestInit) => {
    if (init.method === "GET") return new Response(JSON.stringify({ done: 500, all: 5000 }), { status: 200 });
    const body = JSON.parse(String(init.body));
    posted.push(body);
    return new Response(JSON.stringify(await answer(body)), { status: 200 });
  });
  return posted;
}

function open(onKept = vi.fn()) {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <BringFile<Answer>
        name="results"
        ask={(sent) => fetch("/", { method: "POST", body: JSON.stringify(sent) }).then((r) => r.json())}
        far={() => fetch("/", { method: "GET" }).then((r) => r.json())}
        tell={(b) => `${b.added} ${b.kept ? "are in" : "would come"}`}
        brings={(b) => b.added > 0}
        onKept={onKept}
      />
    </QueryClientProvider>,
  );
  return onKept;
}

const choose = (text: string) =>
  fireEvent.change(screen.getByLabelText("Bring in a CSV file"), { target: { files: [new File([text], "a.csv")] } });

it("says first what a file would bring, and brings it in only when asked", async () => {
  const posted = server(({ dryRun }) => ({ kept: !dryRun, added: 3, bad: [], badInAll: 0 }));
  const onKept = open();
  choose("pupil,score");
  await screen.findByText("3 would come");
  expect(onKept).not.toHaveBeenCalled();
  fireEvent.click(screen.getByText("Bring them in"));
  await screen.findByText("3 are in");
  expect(posted.map((p) => [p.text, p.dryRun])).toEqual([
    ["pupil,score", true],
    ["pupil,score", false],
  ]);
  expect(onKept).toHaveBeenCalledOnce();
  expect(screen.queryByText("Bring them in")).toBeNull();
});

it("names each bad cell and offers nothing then", async () => {
  server(() => ({ kept: false, added: 2, bad: [{ line: 3, column: "day", must: "must be a day" }], badInAll: 1 }));
  open();
  choose("x");
  await screen.findByText("must be a day");
  expect(screen.getByText("line 3")).toBeTruthy();
  expect(screen.queryByText("Bring them in")).toBeNull();
});

it("shows how far it is while it goes on", async () => {
  let end: (a: Answer) => void = () => {};
  server(({ dryRun }) =>
    dryRun ? { kept: false, added: 5000, bad: [], badInAll: 0 } : new Promise<Answer>((resolve) => (end = resolve)),
  );
  open();
  choose("x");
  fireEvent.click(await screen.findByText("Bring them in"));
  await screen.findByText(/500 of 5000 brought in/);
  end({ kept: true, added: 5000, bad: [], badInAll: 0 });
  await waitFor(() => expect(screen.queryByText(/brought in/)).toBeNull());
  expect(await screen.findByText("5000 are in")).toBeTruthy();
});
