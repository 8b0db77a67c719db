import { QueryClient, QueryClientProvider, useQuery } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import type { ReactElement, ReactNode } from "react";
import { MemoryRouter } from "react-router";
import { vi } from "vitest";
import { classes } from "./api/queries";
import { ChosenClass, useClassChoice } from "./chosen-class";

/** A question as it reached the server. */
export type Heard = { method: string; path: string; body: unknown };

type Answers = Record<string, unknown | ((body: never, path: string) => unknown)>;

/** An answer that refuses, with the fields that are wrong and what they must be. */
export const refusal = (status: number, fields: Record<string, string>, more: object = {}) =>
  Response.json(
    {
      title: "Refused",
      detail: "Some fields are not right.",
      errors: Object.entries(fields).map(([field, must]) => ({ field, rule: "RANGE", must })),
      ...more,
    },
    { status },
  );

/**
 * A server that answers by method and path, "GET /api/kit"; what it was not told of never comes. A function answers by what was sent, nothing at all is
 * "204".
 *
 * @returns what was asked, in order
 */
export function serve(answers: Answers): Heard[] {
  const heard: Heard[] = [];
  vi.stubGlobal("fetch", async (url: string, init: RequestInit = {}) => {
    const path = url.split("?")[0] ?? url;
    const method = init.method ?? "GET";
    const body = typeof init.body === "string" ? JSON.parse(init.body) : undefined;
    heard.push({ method, path, body });
    const answer = answers[`${method} ${path}`];
    if (answer === undefined) return new Promise<Response>(() => {});
    const told = typeof answer === "function" ? await answer(body as never, path) : answer;
    if (told instanceof Response) return told;
    return told === "204" ? new Response(null, { status: 204 }) : Response.json(told);
  });
  return heard;
}

/** What was sent to a place, without what was only read. */
export const sentTo = (heard: Heard[], place: string) =>
  heard.filter((h) => `${h.method} ${h.path}` === place).map((h) => h.body);

class Still {
  observe() {}
  unobserve() {}
  disconnect() {}
}

/** Shows it as a page at an address, with what a page stands in. */
export function show(page: ReactElement, at = "/") {
  vi.stubGlobal("ResizeObserver", Still);
  Element.prototype.scrollIntoView = () => {};
  Element.prototype.hasPointerCapture = () => false;
  // Without a layout nothing is wide; drawings are drawn to their width.
  Element.prototype.getBoundingClientRect = () => DOMRect.fromRect({ width: 800, height: 400 });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const within = (inner: ReactElement) => (
    <QueryClientProvider client={client}>
      <MemoryRouter initialEntries={[at]}>{inner}</MemoryRouter>
    </QueryClientProvider>
  );
  const shown = render(within(page));
  return { ...shown, again: (next: ReactElement) => shown.rerender(within(next)), client };
}

/** Opens a choice by the keyboard and takes what says so. */
export async function choose(label: string | RegExp, text: string | RegExp) {
  fireEvent.keyDown(screen.getByRole("combobox", { name: label }), { key: "ArrowDown" });
  fireEvent.keyDown(await screen.findByRole("option", { name: text }), { key: "Enter" });
}

/** Types into the field of that name. */
export const type = (label: string | RegExp, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });

/** Presses the button of that name. */
export const press = (name: string | RegExp) => fireEvent.click(screen.getByRole("button", { name }));

/** Presses it as soon as it is there. */
export const pressSoon = async (name: string | RegExp) => fireEvent.click(await screen.findByRole("button", { name }));

/** The classes that the server tells, as the application has them around every page. */
export function WithClasses({ children }: { children: ReactNode }) {
  const known = useQuery(classes);
  return <ChosenClass value={useClassChoice(known.data ?? [])}>{children}</ChosenClass>;
}
