import { device } from "./page.js";

// A hit every one to three seconds.
device("PAD", { hit: "hit" }, (next, press) => {
  press("hit");
  return 1 + 2 * next();
});
