// A family that is none: plays a card from its file and tells what came of it.
//
//   node stand-ins/family/play.mjs FILE [--practice 1] [--seed 1] [--felt EASY|RIGHT|HARD] [--result FILE]
//
// It reads nothing but the card's page and asks nobody for anything; the code is made as docs/formats.md says.
import { createHmac } from "node:crypto";
import { readFileSync, writeFileSync } from "node:fs";

const LETTERS = "23456789ACEFHJKMPRTVWXY";
const FELT = ["EASY", "RIGHT", "HARD"];

const [file, ...rest] = process.argv.slice(2);
const asked = Object.fromEntries(rest.flatMap((word, i) => (word.startsWith("--") ? [[word.slice(2), rest[i + 1]]] : [])));
if (!file) {
  console.error("which card? node stand-ins/family/play.mjs FILE [--practice 1] [--seed 1]");
  process.exit(2);
}
const data = /id="card-data">(.*?)<\/script>/s.exec(readFileSync(file, "utf8"))?.[1];
if (!data) {
  console.error(`${file} is no card`);
  process.exit(2);
}
const card = JSON.parse(data);
const number = Number(asked.practice ?? 1);
const practice = card.practices.find((p) => p.practice === number);
if (!practice) {
  console.error(`the card has practices ${card.practices.map((p) => p.practice).join(", ")}, not ${asked.practice}`);
  process.exit(2);
}

/** Numbers between 0 and 1, the same for the same seed (mulberry32). */
function dice(seed) {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Each box a tenth to a half of what it can hold; now and then one is forgotten. */
function played(seed) {
  const next = dice(seed);
  return practice.what.boxes.map((box) => (next() < 0.1 ? null : Math.floor(box.most * (0.1 + 0.4 * next()))));
}

const write = (n, characters) => {
  let out = "";
  for (let i = 0; i < characters; i++, n /= 23n) out = LETTERS[Number(n % 23n)] + out;
  return out;
};

function code(numbers, felt) {
  let all = 0n;
  let below = 4n;
  practice.what.boxes.forEach(({ most }, i) => {
    all = all * BigInt(most + 2) + BigInt(numbers[i] === null ? 0 : numbers[i] + 1);
    below *= BigInt(most + 2);
  });
  all = all * 4n + BigInt(FELT.indexOf(felt) + 1);
  let characters = 0;
  for (let left = below - 1n; left > 0n; left /= 23n) characters++;
  const said = write(BigInt(card.card) * 8n + BigInt(number - 1), 5) + write(all, characters);
  const mac = createHmac("sha256", Buffer.from(card.key, "hex")).update(said, "ascii").digest();
  const tagged = said + write(mac.readBigUInt64BE(0) % 23n ** 5n, 5);
  const weight = (at) => (at % 22) + 1;
  let sum = 0;
  for (let i = 0; i < tagged.length; i++) sum += weight(i) * LETTERS.indexOf(tagged[i]);
  const last = LETTERS[[...LETTERS].findIndex((_, i) => (sum + weight(tagged.length) * i) % 23 === 0)];
  return (tagged + last).replace(/(.{4})(?=.)/g, "$1-");
}

const felt = FELT.includes(asked.felt) ? asked.felt : null;
const numbers = played(Number(asked.seed ?? 1));
const made = code(numbers, felt);
console.log(made);
if (asked.result) {
  const result = { format: "unruly-marble-result", version: 1, card: card.card, practice: number, numbers, felt, code: made };
  writeFileSync(asked.result, `${JSON.stringify(result, null, 2)}\n`);
}
