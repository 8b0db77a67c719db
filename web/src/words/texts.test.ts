import ts from "typescript";
import { expect, it } from "vitest";
import { texts } from "./texts";

const SAID = new Set(["label", "aria-label", "title", "placeholder", "unit", "tail", "alt"]);
const WORD = /\p{L}/u;

const sources = import.meta.glob<string>("../**/*.tsx", { query: "?raw", import: "default", eager: true });
const plain = import.meta.glob<string>("../**/*.ts", { query: "?raw", import: "default", eager: true });
const pages = Object.entries(sources)
  .map(([file, source]) => ({ file, source }))
  .filter(({ file }) => !file.endsWith(".test.tsx"));

/** What a page says in words of its own. */
function ownWords(file: string, source: string): string[] {
  const own: string[] = [];
  const look = (node: ts.Node) => {
    if (ts.isJsxText(node) && WORD.test(node.text)) own.push(`${file}: ${node.text.trim()}`);
    const literal = (of: ts.Expression | undefined) =>
      of && ts.isStringLiteralLike(of) && WORD.test(of.text) && own.push(`${file}: ${of.text}`);
    if (ts.isJsxAttribute(node) && SAID.has(node.name.getText())) {
      if (node.initializer && ts.isJsxExpression(node.initializer)) literal(node.initializer.expression);
      else literal(node.initializer as ts.Expression | undefined);
    }
    if (ts.isPropertyAssignment(node) && node.name.getText() === "text") literal(node.initializer);
    ts.forEachChild(node, look);
  };
  look(ts.createSourceFile(file, source, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX));
  return own;
}

it("finds words that a page says by itself", () => {
  const page = `<p title="Say it" className="text-soft"><b>no</b> {x} <Choice label={"Who"} options={[{ text: "all" }]} /></p>`;
  expect(ownWords("a.tsx", page).map((w) => w.slice(7))).toEqual(["Say it", "no", "Who", "all"]);
});

it("no page says anything but what stands in a file of texts", () => {
  expect(pages.length).toBeGreaterThan(150);
  expect(pages.flatMap((p) => ownWords(p.file, p.source))).toEqual([]);
});

const files = import.meta.glob<Record<string, Told>>(["./*.json", "!./glossary.json", "!./player.json"], {
  import: "default",
  eager: true,
});

type Told = string | { [key: string]: Told };

/** The keys of a file, "a.b.c" for what stands deeper. */
const keysOf = (of: Record<string, Told>, before = ""): string[] =>
  Object.entries(of).flatMap(([k, v]) => (typeof v === "string" ? [before + k] : keysOf(v, `${before}${k}.`)));

it("has no text that nobody says", () => {
  const all = Object.entries(sources)
    .filter(([file]) => !file.endsWith(".test.tsx"))
    .map(([, source]) => source)
    .concat(Object.values(plain))
    .join("\n");
  // A key that ends in a value is put together: t(`attitude.${value}`).
  const said = (key: string) =>
    all.includes(`"${key}"`) || all.includes(`\`${key.slice(0, key.lastIndexOf(".") + 1)}\${`);
  const keys = Object.entries(files).flatMap(([file, of]) => keysOf(of).map((key) => `${file} ${key}`));
  expect(keys.length).toBeGreaterThan(400);
  expect(keys.filter((key) => !said(key.slice(key.indexOf(" ") + 1)))).toEqual([]);
});

it("gets its plurals right and fills in what it is given", () => {
  const t = texts("plan");
  expect([1, 2].map((n) => t("dose.setsAfter", { n }))).toEqual(["set,", "sets,"]);
  expect([1, 12].map((n) => t("turns.waiting", { n }))).toEqual(["; the one who waits:", "; the 12 who wait:"]);
  expect(t("gate.inARow", { unit: "throws" })).toBe("throws in a row");
});
