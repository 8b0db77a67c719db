import { renderSVG } from "uqr";
import { at, type Box, boxOf, type Card, type Felt, type Practice, type Segment } from "./card";
import { returnCode } from "./code";
import { el, press } from "./dom";
import { type KeptPractice, Shelf } from "./kept";
import { Sounds } from "./sounds";
import { tellHome } from "./tell-home";
import { sideWord, word } from "./words";

const LOOK_MS = 100;
const COUNTED_IN_SEC = 3;
const GO_HERTZ = 880;
const TICK_HERTZ = 440;
const STOP_HERTZ = 330;

/** Plays a card: the sheet stays as it is, and above each practice stands what to press. */
export class CardPlayer {
  private readonly shelf: Shelf;
  private readonly sounds = new Sounds();
  private readonly stage: HTMLElement;
  private timer = 0;

  constructor(
    private readonly card: Card,
    private readonly sheet: HTMLElement,
  ) {
    this.shelf = new Shelf(card.card, card.key);
    this.stage = el("main", { id: "stage", hidden: true });
    sheet.before(this.stage);
    this.bars();
  }

  /** What to press above each practice. */
  private bars() {
    for (const old of this.sheet.querySelectorAll(".bar")) old.remove();
    for (const old of this.sheet.querySelectorAll("details.home")) old.remove();
    // What the sheet asks by hand the page asks by its form.
    for (const byHand of this.sheet.querySelectorAll(".asked")) byHand.remove();
    this.sheet.append(tellHome(this.card));
    for (const practice of this.card.practices) {
      const kept = this.shelf.peek(practice.practice);
      const k = practice.practice;
      const begun = kept && !kept.done && kept.playedSec > 0;
      const bar = el("div", { className: "bar" }, [
        press(word(kept?.done ? "again" : begun ? "goOn" : "start", { k }), () => this.play(practice), "main"),
        kept ? press(word("results", { k }), () => this.finish(practice), "") : null,
        el("p", { textContent: word(this.shelf.keeps ? "how" : "keepsNothing") }),
      ]);
      this.sheet.querySelector(`[data-practice="${k}"]`)?.prepend(bar);
    }
  }

  private show(parts: (HTMLElement | null)[]) {
    this.stage.replaceChildren(...parts.filter((p): p is HTMLElement => p !== null));
    this.stage.hidden = false;
    this.sheet.hidden = true;
    document.body.classList.add("playing");
    scrollTo(0, 0);
  }

  private leave() {
    clearInterval(this.timer);
    this.sounds.hush();
    this.stage.hidden = true;
    this.sheet.hidden = false;
    document.body.classList.remove("playing");
    this.bars();
  }

  private play(practice: Practice) {
    this.sounds.wake();
    const { what } = practice;
    const kept = this.shelf.of(practice.practice, what.boxes.length);
    if (kept.done) Object.assign(kept, { numbers: what.boxes.map(() => null), felt: null, playedSec: 0, done: false });
    new Round(practice, kept, this.sounds, {
      show: (parts) => this.show(parts),
      save: () => this.shelf.save(),
      leave: () => this.leave(),
      over: () => {
        clearInterval(this.timer);
        this.finish(practice);
      },
      every: (look) => {
        clearInterval(this.timer);
        this.timer = window.setInterval(look, LOOK_MS);
      },
    }).begin();
  }

  /** The numbers to be put right, how it felt, and the code. */
  private finish(practice: Practice) {
    const { what } = practice;
    const k = practice.practice;
    const kept = this.shelf.of(k, what.boxes.length);
    kept.done = true;
    this.shelf.save();
    document.body.dataset.stretch = "around";
    const code = el("p", { className: "code" });
    code.dataset.testid = "return-code";
    const qr = el("div", { className: "qr" });
    const renew = () => {
      const most = what.boxes.map((b) => b.most);
      const said = returnCode(this.card.key, this.card.card, k, kept.numbers, most, kept.felt);
      code.textContent = said;
      qr.innerHTML = renderSVG(said, { border: 2 });
      qr.querySelector("svg")?.setAttribute("role", "img");
      qr.querySelector("svg")?.setAttribute("aria-label", word("qr"));
      this.shelf.save();
    };
    const copied = el("span", { role: "status" });
    this.show([
      el("h1", { textContent: word("finished", { k }) }),
      ...this.growth(practice, kept).map((line) => el("p", { className: "grown", textContent: line })),
      el("p", { textContent: word("check") }),
      el(
        "ol",
        { className: "numbers" },
        what.boxes.map((box, i) => this.number(practice, box, i, kept, renew)),
      ),
      this.felt(kept, renew),
      el("h2", { textContent: word("code") }),
      el("p", { textContent: word(this.shelf.keeps ? "codeHow" : "keepsNothing") }),
      code,
      qr,
      el("p", { className: "buttons" }, [
        press(
          word("copy"),
          () => {
            const said = code.textContent ?? "";
            navigator.clipboard?.writeText(said).then(
              () => {
                copied.textContent = word("copied");
              },
              () => getSelection()?.selectAllChildren(code),
            );
          },
          "",
        ),
        press(word("save"), () => this.saveFile(practice, kept, code.textContent ?? ""), ""),
        press(word("leave"), () => this.leave(), "main"),
        copied,
      ]),
    ]);
    renew();
    this.stage.querySelector("h1")?.setAttribute("tabindex", "-1");
    this.stage.querySelector("h1")?.focus();
  }

  private number(practice: Practice, box: Box, i: number, kept: KeptPractice, renew: () => void) {
    const task = practice.what.tasks[box.task];
    const input = el("input", {
      id: `number-${i}`,
      type: "number",
      min: "0",
      max: String(box.most),
      inputMode: "numeric",
      value: kept.numbers[i] === null ? "" : String(kept.numbers[i]),
    });
    const wrong = el("span", { className: "wrong", role: "alert" });
    input.addEventListener("input", () => {
      const n = input.value === "" ? null : Number(input.value);
      const fits = n === null || (Number.isInteger(n) && n >= 0 && n <= box.most);
      wrong.textContent = fits ? "" : word("most", { most: box.most });
      input.setAttribute("aria-invalid", String(!fits));
      if (!fits) return;
      kept.numbers[i] = n;
      renew();
    });
    const label = word("box", { task: task?.name ?? "", round: box.round, side: sideWord(box.side) });
    return el("li", {}, [
      el("label", { htmlFor: `number-${i}`, textContent: label }),
      input,
      el("span", { textContent: task?.tries ? word("of", { tries: task.tries }) : "" }),
      wrong,
    ]);
  }

  private felt(kept: KeptPractice, renew: () => void) {
    return el("fieldset", {}, [
      el("legend", { textContent: word("felt") }),
      ...(["EASY", "RIGHT", "HARD"] satisfies Felt[]).map((felt) => {
        const radio = el("input", { type: "radio", name: "felt", checked: kept.felt === felt });
        radio.addEventListener("change", () => {
          kept.felt = felt;
          renew();
        });
        return el("label", {}, [radio, document.createTextNode(` ${word(`felt.${felt}`)} `)]);
      }),
    ]);
  }

  /** Where the best of a task and side is more than on the last earlier practice that had it. */
  private growth(practice: Practice, kept: KeptPractice): string[] {
    const lines: string[] = [];
    const best = (p: Practice, of: KeptPractice, name: string, side: string) =>
      Math.max(
        -1,
        ...p.what.boxes.map((b, i) =>
          p.what.tasks[b.task]?.name === name && b.side === side ? (of.numbers[i] ?? -1) : -1,
        ),
      );
    const told = new Set<string>();
    for (const box of practice.what.boxes) {
      const name = practice.what.tasks[box.task]?.name ?? "";
      if (told.has(name + box.side)) continue;
      told.add(name + box.side);
      const now = best(practice, kept, name, box.side);
      const earlier = this.card.practices
        .filter((p) => p.practice < practice.practice)
        .map((p) => {
          const of = this.shelf.peek(p.practice);
          return of ? best(p, of, name, box.side) : -1;
        })
        .filter((n) => n >= 0);
      const before = earlier.at(-1);
      if (before !== undefined && now > before)
        lines.push(word("grown", { task: name, side: sideWord(box.side), before, now }));
    }
    return lines;
  }

  private saveFile(practice: Practice, kept: KeptPractice, code: string) {
    const said = {
      format: "unruly-marble-result",
      version: 1,
      card: this.card.card,
      practice: practice.practice,
      numbers: kept.numbers,
      felt: kept.felt,
      code,
    };
    const link = el("a", {
      href: URL.createObjectURL(new Blob([`${JSON.stringify(said, null, 2)}\n`], { type: "application/json" })),
      download: `result ${this.card.firstName} ${practice.practice}.json`,
    });
    link.click();
    URL.revokeObjectURL(link.href);
  }
}

interface Around {
  show: (parts: (HTMLElement | null)[]) => void;
  save: () => void;
  leave: () => void;
  over: () => void;
  every: (look: () => void) => void;
}

/** One practice being played. */
class Round {
  private playing = true;
  private since = performance.now();
  private shown = -1;
  private ticked = -1;
  private readonly clock = el("p", { className: "clock", role: "timer" });
  private readonly state = el("h1", { tabIndex: -1 });
  private readonly said = el("p", { className: "said", ariaLive: "polite" });
  private readonly todo = el("p", { className: "todo" });
  private readonly count = press("", () => this.tap(1), "count");
  private readonly back = press(word("back"), () => this.tap(-1), "");
  private readonly pauseButton = press(word("pause"), () => this.pause(), "");
  private readonly skip = press(word("skip"), () => this.jump(), "");

  constructor(
    private readonly practice: Practice,
    private readonly kept: KeptPractice,
    private readonly sounds: Sounds,
    private readonly around: Around,
  ) {}

  begin() {
    const sound = press("", () => {
      this.sounds.on = !this.sounds.on;
      if (!this.sounds.on) this.sounds.hush();
      sound.textContent = word(this.sounds.on ? "soundOn" : "soundOff");
    });
    sound.textContent = word(this.sounds.on ? "soundOn" : "soundOff");
    this.around.show([
      this.state,
      this.said,
      this.clock,
      this.count,
      this.back,
      this.todo,
      el("p", { className: "buttons" }, [
        this.pauseButton,
        this.skip,
        sound,
        press(
          word("leave"),
          () => {
            this.kept.playedSec = this.sec();
            this.around.save();
            this.around.leave();
          },
          "",
        ),
      ]),
    ]);
    this.since = performance.now();
    this.around.every(() => this.look());
    this.look();
  }

  private sec() {
    return this.kept.playedSec + (this.playing ? (performance.now() - this.since) / 1000 : 0);
  }

  private pause() {
    this.kept.playedSec = this.sec();
    this.since = performance.now();
    this.playing = !this.playing;
    this.pauseButton.textContent = word(this.playing ? "pause" : "on");
    this.around.save();
  }

  /** To the next stretch. */
  private jump() {
    const here = at(this.practice.what.segments, this.sec());
    if (!here) return;
    this.kept.playedSec = here.segment.startSec + here.segment.durationSec;
    this.since = performance.now();
    this.look();
  }

  private tap(by: number) {
    const here = at(this.practice.what.segments, this.sec());
    const box = here ? boxOf(this.practice.what, here.segment) : -1;
    if (box < 0) return;
    const most = this.practice.what.boxes[box]?.most ?? 0;
    this.kept.numbers[box] = Math.min(most, Math.max(0, (this.kept.numbers[box] ?? 0) + by));
    this.count.textContent = String(this.kept.numbers[box]);
    this.around.save();
  }

  private look() {
    const here = at(this.practice.what.segments, this.sec());
    if (!here) {
      this.sounds.tone(STOP_HERTZ, 0.6);
      this.around.over();
      return;
    }
    const { segment, leftSec } = here;
    const left = Math.ceil(leftSec);
    this.clock.textContent = String(left);
    if (segment.index !== this.shown) this.enter(segment);
    if (segment.kind === "COUNT_IN" && left <= COUNTED_IN_SEC && left !== this.ticked && this.playing) {
      this.ticked = left;
      this.sounds.tone(TICK_HERTZ, 0.15);
    }
  }

  private enter(segment: Segment) {
    const from = this.shown;
    const was = this.practice.what.segments.find((s) => s.index === from);
    this.shown = segment.index;
    this.ticked = -1;
    const task = this.practice.what.tasks[segment.block];
    const name = task?.name ?? "";
    const side = sideWord(task?.sides[Math.max(0, segment.side)] ?? "NONE");
    const works = segment.kind === "WORK";
    const box = boxOf(this.practice.what, segment);
    const words = {
      SETUP: word("setUp", { task: name }),
      EXPLAIN: word("read", { task: name }),
      COUNT_IN: word("countIn"),
      WORK: word("go") + side,
      SIDE_SWAP: word("swap"),
      REST: word("rest"),
    }[segment.kind];
    this.state.textContent = words ?? word("ready");
    this.said.textContent =
      segment.set >= 0 && task
        ? `${name}. ${word("round", { round: segment.set + 1, rounds: task.rounds, side: works ? side : "" })}`
        : name;
    this.todo.textContent = task?.words.task ?? "";
    this.count.hidden = box < 0;
    this.back.hidden = box < 0;
    if (box >= 0) {
      // What nobody tapped stays empty: it may be counted aloud and filled in afterwards.
      this.count.textContent = String(this.kept.numbers[box] ?? 0);
      this.count.setAttribute("aria-label", word("count"));
      this.count.focus();
    }
    this.skip.textContent = word(works && task?.byGoes ? "done" : "skip");
    document.body.dataset.stretch = works ? "work" : "around";
    if (was?.kind === "WORK" && !works) {
      this.sounds.tone(STOP_HERTZ, 0.5);
      this.sounds.say(word("stop"));
    }
    if (works) {
      this.sounds.tone(GO_HERTZ, 0.4);
      this.sounds.say(word("go") + side);
    } else if (segment.kind === "EXPLAIN" || segment.kind === "SETUP" || segment.kind === "SIDE_SWAP")
      this.sounds.say(this.state.textContent ?? "");
    this.kept.playedSec = this.sec();
    this.since = performance.now();
    this.around.save();
  }
}
