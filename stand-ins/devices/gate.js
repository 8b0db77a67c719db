import { device } from "./page.js";

// Eight to twelve seconds for the course, then a breath.
let running = false;
device("GATE", { start: "start", stop: "stop" }, (next, press) => {
  running = !running;
  press(running ? "start" : "stop");
  return running ? 8 + 4 * next() : 3;
});
