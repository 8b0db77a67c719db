import { hmac } from "@noble/hashes/hmac.js";
import { sha256 } from "@noble/hashes/sha2.js";
import type { Felt } from "./card";

/** Return codes, as the core makes and reads them: docs/formats.md, "Return code". */
export const LETTERS = "23456789ACEFHJKMPRTVWXY";
const COUNT = BigInt(LETTERS.length);
const PRACTICES = 8n;
const FELT: Felt[] = ["EASY", "RIGHT", "HARD"];

function written(number: bigint, characters: number): string {
  let left = number;
  let out = "";
  for (let i = 0; i < characters; i++) {
    out = LETTERS[Number(left % COUNT)] + out;
    left /= COUNT;
  }
  return out;
}

/** Characters that hold every number below this one. */
function characters(below: bigint): number {
  let n = 0;
  for (let left = below - 1n; left > 0n; left /= COUNT) n++;
  return n;
}

function tag(key: string, said: string): string {
  const bytes = Uint8Array.from(key.match(/../g) ?? [], (pair) => Number.parseInt(pair, 16));
  const whole = hmac(sha256, bytes, new TextEncoder().encode(said));
  let eight = 0n;
  for (const byte of whole.slice(0, 8)) eight = eight * 256n + BigInt(byte);
  return written(eight % COUNT ** 5n, 5);
}

const weight = (at: number) => (at % 22) + 1;

function check(body: string): string {
  let sum = 0;
  for (let i = 0; i < body.length; i++) sum += weight(i) * LETTERS.indexOf(body.charAt(i));
  const last = weight(body.length);
  for (let i = 0; i < 23; i++) if ((sum + last * i) % 23 === 0) return LETTERS.charAt(i);
  throw new Error("23 is a prime");
}

/** @param numbers one for each box, null where nothing was filled in */
export function returnCode(
  key: string,
  card: number,
  practice: number,
  numbers: (number | null)[],
  most: number[],
  felt: Felt | null,
): string {
  let all = 0n;
  let below = 4n;
  most.forEach((m, i) => {
    const n = numbers[i] ?? null;
    all = all * BigInt(m + 2) + BigInt(n === null ? 0 : Math.min(Math.max(0, Math.round(n)), m) + 1);
    below *= BigInt(m + 2);
  });
  all = all * 4n + BigInt(felt === null ? 0 : FELT.indexOf(felt) + 1);
  const said = written(BigInt(card) * PRACTICES + BigInt(practice - 1), 5) + written(all, characters(below));
  const tagged = said + tag(key, said);
  return (tagged + check(tagged)).replace(/(.{4})(?=.)/g, "$1-");
}
