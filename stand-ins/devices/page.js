// What the pages of all stand-ins share: the form that pairs, what is told, and the seeded pupil.
import { dice, Link } from "./link.js";

const asked = new URLSearchParams(location.search);
const PHASES = { READY: "not begun", WORK: "work", PAUSE: "pause", HELD: "held", OVER: "over" };
const field = (name) => document.querySelector(`[name=${name}]`);

/** @param kind PAD, GATE, CLICKER or BOARD @param presses {name: sign} of buttons @param plays (next, press) => seconds to the next */
export function device(kind, presses, plays) {
  for (const name of ["address", "code", "spot", "seed"]) if (asked.get(name) && field(name)) field(name).value = asked.get(name);
  const state = document.querySelector("#state");
  const now = document.querySelector("#now");
  const counts = document.querySelector("#counts");
  let link;
  let counted = 0;
  let lost = 0;
  const say = (text) => {
    state.textContent = text;
  };
  const shown = () =>
    say(
      kind === "BOARD"
        ? "Paired."
        : `Paired, spot ${link.about.spot}. ${counted} counted, ${lost} outside a round, ${link.waiting} not yet sent.`,
    );
  document.querySelector("form").addEventListener("submit", (event) => {
    event.preventDefault();
    link = new Link(
      {
        address: field("address").value,
        code: field("code").value.trim().toUpperCase(),
        device: asked.get("device") ?? `${kind.toLowerCase()}-${Math.random().toString(36).slice(2, 7)}`,
        kind,
        spot: field("spot") ? Number(field("spot").value) : null,
        battery: Number(field("battery").value) / 100,
      },
      (message) => {
        if (message.type === "counted") counted += 1;
        if (message.type === "not-counted") lost += 1;
        if (message.type === "wrong") say(`Not understood: ${message.field} ${message.what}.`);
        else if (message.type === "closed") say("The line is down; it is tried again.");
        else if (message.type === "now") tell(message);
        else shown();
      },
    );
    document.body.classList.add("paired");
  });
  const tell = (message) => {
    document.body.dataset.phase = message.phase;
    now.textContent = `${message.task ?? ""} · ${PHASES[message.phase]} ${Math.floor(message.leftSec / 60)}:${String(message.leftSec % 60).padStart(2, "0")}`;
    if (counts) counts.replaceChildren(...message.counts.map(({ spot, count }) => {
      const line = document.createElement("li");
      line.innerHTML = `<span>${spot}</span><strong>${count}</strong>`;
      return line;
    }));
  };
  const press = (name) => link?.sign(presses[name]);
  for (const name of Object.keys(presses)) document.querySelector(`#${name}`)?.addEventListener("click", () => { press(name); shown(); });
  field("battery").addEventListener("input", () => { if (link) link.about.battery = Number(field("battery").value) / 100; });
  document.querySelector("#drop")?.addEventListener("click", () => link?.drop());
  // The seeded pupil: presses as one would who works there, while a round is on.
  let playing = 0;
  document.querySelector("#play")?.addEventListener("click", (event) => {
    if (playing) {
      clearTimeout(playing);
      playing = 0;
      event.target.textContent = "Let a pupil play";
      return;
    }
    event.target.textContent = "Stop the pupil";
    const next = dice(Number(field("seed").value));
    const go = () => {
      const sec = document.body.dataset.phase === "WORK" ? plays(next, press) : 0.5;
      if (link) shown();
      playing = setTimeout(go, 1000 * sec);
    };
    go();
  });
}
