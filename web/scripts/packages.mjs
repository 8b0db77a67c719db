// Runs `npm ci` only when package-lock.json differs from what node_modules was made from.
import { execSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";

const stamp = "node_modules/.made-from";
const lock = createHash("sha256").update(readFileSync("package-lock.json")).digest("hex");
if (!existsSync(stamp) || readFileSync(stamp, "utf8") !== lock) {
  execSync("npm ci --no-audit --no-fund", { stdio: "inherit" });
  writeFileSync(stamp, lock);
}
