// The page of a stand-in: what it is says the address (?kind=pad); it is pressed by hand or lets a seeded pupil play.
import { dice, Link } from "./link.js";

/** What each is: its buttons by the sign they send, and how a pupil who plays presses them: seconds until the next press. */
const KINDS = {
  pad: {
    title: "Hit pad",
    about: "It lies at a wall and hears each hit.",
    buttons: { hit: "Hit" },
    plays: (next, press) => {
      press("hit");
      return 1 + 2 * next();
    },
  },
  gate: {
    title: "Start-and-finish gate",
    about: "Two beams: one at the start of a course, one at its end.",
    buttons: { start: "Through the start", stop: "Through the finish" },
    // Eight to twelve seconds for the course, then a breath.
    plays: (next, press, turn) => {
      press(turn % 2 === 0 ? "start" : "stop");
      return turn % 2 === 0 ? 8 + 4 * next() : 3;
    },
  },
  clicker: {
    title: "Clicker",
    about: "A counter holds it: one button for what counts, one for what does not.",
    buttons: { hit: "Counts", miss: "Does not" },
    // Three of four count; a miss has to be fetched.
    plays: (next, press) => {
      const hit = next() < 0.75;
      press(hit ? "hit" : "miss");
      return hit ? 1.5 + next() : 3 + 2 * next();
    },
  },
  board: { title: "Scoreboard", about: "It shows the clock and what was counted at each spot, by its number.", buttons: {} },
};
const PHASES = { READY: "not begun", WORK: "work", PAUSE: "pause", HELD: "held", OVER: "over" };

const asked = new URLSearchParams(location.search);
const name = asked.get("kind") in KINDS ? asked.get("kind") : "pad";
const kind = KINDS[name];
const field = (called) => document.querySelector(`[name=${called}]`);
const at = (id) => document.querySelector(`#${id}`);
const add = (to, tag, text) => {
  const made = document.createElement(tag);
  made.textContent = text;
  to.append(made);
  return made;
};

document.title = `${kind.title}, a stand-in`;
at("title").textContent = kind.title;
at("about").textContent = kind.about;
document.body.classList.add(name);
// A board stands nowhere: its hidden fields must not stop the form.
for (const called of ["spot", "seed"]) field(called).disabled = name === "board";
for (const called of ["address", "code", "spot", "seed"]) if (asked.get(called)) field(called).value = asked.get(called);

let link;
let counted = 0;
let lost = 0;
const say = (text) => {
  at("state").textContent = text;
};
const shown = () =>
  say(
    name === "board"
      ? "Paired."
      : `Paired, spot ${link.about.spot}. ${counted} counted, ${lost} outside a round, ${link.waiting} not yet sent.`,
  );
const press = (sign) => {
  link.sign(sign);
  shown();
};

for (const [sign, words] of Object.entries(kind.buttons)) {
  const button = add(at("signs"), "button", words);
  button.type = "button";
  button.className = "big";
  button.addEventListener("click", () => press(sign));
}
document.querySelector("form").addEventListener("submit", (event) => {
  event.preventDefault();
  link = new Link(
    {
      address: field("address").value,
      code: field("code").value.trim().toUpperCase(),
      device: asked.get("device") ?? `${name}-${Math.random().toString(36).slice(2, 7)}`,
      kind: name.toUpperCase(),
      spot: name === "board" ? null : Number(field("spot").value),
      battery: Number(field("battery").value) / 100,
    },
    heard,
  );
  document.body.classList.add("paired");
});
field("battery").addEventListener("input", () => {
  if (link) link.about.battery = Number(field("battery").value) / 100;
});
at("drop").addEventListener("click", () => link.drop());

function heard(message) {
  if (message.type === "counted") counted += 1;
  if (message.type === "not-counted") lost += 1;
  if (message.type === "wrong") say(`Not understood: ${message.field} ${message.what}.`);
  else if (message.type === "closed") say("The line is down; it is tried again.");
  else if (message.type === "now") show(message);
  else shown();
}

function show({ phase, task, leftSec, counts }) {
  document.body.dataset.phase = phase;
  at("now").textContent =
    `${task ?? ""} · ${PHASES[phase]} ${Math.floor(leftSec / 60)}:${String(leftSec % 60).padStart(2, "0")}`;
  at("counts").replaceChildren();
  for (const { spot, count } of counts) {
    const line = add(at("counts"), "li", "");
    add(line, "span", spot);
    add(line, "strong", count);
  }
}

// The seeded pupil works while a round is on.
let playing = 0;
at("play").addEventListener("click", () => {
  at("play").textContent = playing ? "Let a pupil play" : "Stop the pupil";
  if (playing) {
    clearTimeout(playing);
    playing = 0;
    return;
  }
  const next = dice(Number(field("seed").value));
  let turn = 0;
  const go = () => {
    const sec = document.body.dataset.phase === "WORK" ? kind.plays(next, press, turn++) : 0.5;
    playing = setTimeout(go, 1000 * sec);
  };
  go();
});
