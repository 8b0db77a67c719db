// Writes dist/licences.txt: every package whose code is in the pages, with its licence as it came with it.
import { existsSync, readdirSync, readFileSync, writeFileSync } from "node:fs";

const lock = JSON.parse(readFileSync("package-lock.json", "utf8"));
const shipped = Object.entries(lock.packages).filter(
  ([path, p]) => path.startsWith("node_modules/") && !p.dev && existsSync(path),
);
const parts = [];
for (const [path, p] of shipped) {
  const name = path.slice(path.lastIndexOf("node_modules/") + "node_modules/".length);
  const file = readdirSync(path).find((f) => /^(licen[cs]e|copying)/i.test(f));
  const { license } = JSON.parse(readFileSync(`${path}/package.json`, "utf8"));
  if (!license) throw new Error(`${name} names no licence`);
  const text = file ? readFileSync(`${path}/${file}`, "utf8").trim() : "";
  parts.push(`${name} ${p.version}: ${license}\n\n${text}`.trim());
}
writeFileSync("dist/licences.txt", `${parts.join("\n\n----------\n\n")}\n`);
console.log(`dist/licences.txt names ${parts.length} packages`);
