import type { Card } from "./card";
import { returnCode } from "./code";
import { el } from "./dom";
import { word } from "./words";

const LONGEST_M = 8;

/** What there is at home: ticked and typed, and told by a code of its own, so that the next card fits better. */
export function tellHome(card: Card): HTMLElement {
  const { practice, kinds, most } = card.home;
  const ticks = kinds.map((name) => tick(name));
  const length = metres("home-length", word("home.length"));
  const width = metres("home-width", word("home.width"));
  const below = tick(word("home.below"));
  const wall = tick(word("home.wall"));
  const code = el("p", { className: "code", ariaLive: "polite" });
  code.dataset.testid = "home-code";
  const renew = () => {
    const bits = ticks.reduce((all, kind, i) => all + (kind.input.checked ? 2 ** i : 0), 0);
    const numbers = [
      bits,
      halves(length.input.value),
      halves(width.input.value),
      below.input.checked ? 1 : 0,
      wall.input.checked ? 1 : 0,
    ];
    code.textContent = returnCode(card.key, card.card, practice, numbers, most, null);
  };
  for (const { input } of [...ticks, length, width, below, wall]) input.addEventListener("input", renew);
  return el("details", { className: "home" }, [
    el("summary", { textContent: word("home.title") }),
    el("p", { textContent: word("home.how") }),
    ...ticks.map((k) => k.row),
    length.row,
    width.row,
    below.row,
    wall.row,
    code,
  ]);
}

/** Half metres that fit a room that was typed; null where nothing was. */
export function halves(typed: string): number | null {
  const m = Number(typed.replace(",", "."));
  return typed.trim() === "" || !(m > 0) ? null : Math.min(2 * LONGEST_M, Math.floor(2 * m));
}

function tick(words: string) {
  const input = el("input", { type: "checkbox" });
  return { input, row: el("label", { className: "tick-row" }, [input, document.createTextNode(` ${words}`)]) };
}

function metres(id: string, words: string) {
  const input = el("input", { id, type: "text", inputMode: "decimal", size: 4 });
  return { input, row: el("p", {}, [el("label", { htmlFor: id, textContent: `${words} ` }), input]) };
}
