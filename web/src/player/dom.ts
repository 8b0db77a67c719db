type Parts = (Node | null)[];

/** An element with properties and what is in it. */
export function el<Tag extends keyof HTMLElementTagNameMap>(
  tag: Tag,
  has: Partial<HTMLElementTagNameMap[Tag]> = {},
  parts: Parts = [],
): HTMLElementTagNameMap[Tag] {
  const made = Object.assign(document.createElement(tag), has);
  made.append(...parts.filter((p): p is Node => p !== null));
  return made;
}

export function press(words: string, then: () => void, kind = ""): HTMLButtonElement {
  const button = el("button", { type: "button", textContent: words, className: kind });
  button.addEventListener("click", then);
  return button;
}
