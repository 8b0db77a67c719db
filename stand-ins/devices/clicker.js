import { device } from "./page.js";

// Three of four count; a miss has to be fetched.
device("CLICKER", { hit: "hit", miss: "miss" }, (next, press) => {
  const hit = next() < 0.75;
  press(hit ? "hit" : "miss");
  return hit ? 1.5 + next() : 3 + 2 * next();
});
