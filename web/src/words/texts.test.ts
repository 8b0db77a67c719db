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

/** Attributes and calls whose texts nobody reads: styles, addresses, names of steps that one undoes. */
const UNREAD_ATTRIBUTE =
  /^(className|style|d|viewBox|points|transform|to|href|sizes|type|role|rel|key|id|htmlFor|name|allow|accept|data-.*|aria-(labelledby|describedby|keyshortcuts)|stroke.*)$/;
const UNREAD_CALL =
  /(^|\.)(t|say|texts|textsOf|api|onEdit|onChange|onCircuits|edit|change\w*|set\w*|querySelector\w*|closest|matches|matchMedia|Error|fetch)$/;
const STEP =
  /^(move|remove|copy|lay better|lay out|apart|groups|kit|foot|role|fault|mark|spot|line|gone|pasted|other|one home|two homes|gate|stand|place|silence|rung|out|helpers|rest|proposed|routine|circuit|add|mend|space|pupil|lesson|ladder|page|result) ([…a-z]|$)/;
const STYLE =
  /(^|\s)(flex|grid|inline|block|relative|absolute|btn|clock|border|underline|rounded|sr-only|font-\S+|text-\S+|[mp][trblxy]?-\S+|bg-\S+|w-\S+|h-\S+|min-\S+|max-\S+|gap-\S+|fill-\S+|stroke-\S+|col-\S+)(\s|$)/;
const NOT_SAID = /^[[.#*&(]|::|^button, a$|^form\[|translate\(|rotate\(|scale\(|calc\(|var\(|gradient|^M ?-?[…\d]/;

/** Two words that follow each other. */
const sentence = (text: string) =>
  /[a-z]{2,}['’]?[,.:;)]? +[a-z(“]/i.test(text) && !STEP.test(text) && !STYLE.test(text) && !NOT_SAID.test(text);

/** Sentences in code, wherever they stand: as a value, or put together with what is filled in. */
function sentences(file: string, source: string): string[] {
  const own: string[] = [];
  const look = (node: ts.Node) => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node) || ts.isThrowStatement(node)) return;
    if (ts.isJsxAttribute(node) && UNREAD_ATTRIBUTE.test(node.name.getText())) return;
    const called = (ts.isCallExpression(node) || ts.isNewExpression(node)) && node.expression.getText();
    let text = "";
    if (ts.isTemplateExpression(node))
      text = [node.head.text, ...node.templateSpans.map((s) => s.literal.text)].join("…");
    else if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) text = node.text;
    if (sentence(text)) own.push(`${file}: ${text}`);
    ts.forEachChild(node, (child) => {
      const literal = ts.isStringLiteralLike(child) || ts.isTemplateExpression(child);
      if (!(called && UNREAD_CALL.test(called) && literal)) look(child);
    });
  };
  look(ts.createSourceFile(file, source, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX));
  return own;
}

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

it("finds sentences that are put together in code", () => {
  const page = [
    "const said = open ? `Starts at step $",
    "{n}.` : 'no step yet'; edit(`move $",
    "{a} now`); const c = 'flex gap-2';",
  ].join("");
  expect(sentences("a.ts", page).map((w) => w.slice(6))).toEqual(["Starts at step ….", "no step yet"]);
});

it("no sentence is put together in code", () => {
  const code = Object.entries({ ...sources, ...plain })
    .map(([file, source]) => ({ file, source }))
    .filter(({ file }) => !/\.test\.tsx?$|schema\.d|\/test-|one-task|player\/(code|player)\.ts$/.test(file));
  expect(code.length).toBeGreaterThan(300);
  expect(code.flatMap((p) => sentences(p.file, p.source))).toEqual([]);
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
