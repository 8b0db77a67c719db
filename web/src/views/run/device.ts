import { v4 } from "uuid";

const KEPT = "marble.device";

/** What tells this tablet or laptop from the others of a run; made once, says nothing of whoever uses it. */
export function thisDevice(): string {
  const kept = localStorage.getItem(KEPT);
  if (kept) return kept;
  const made = v4().slice(0, 8);
  localStorage.setItem(KEPT, made);
  return made;
}
