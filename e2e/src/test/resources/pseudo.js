// Reads a page in pseudo-language, where each text of a file stands in ⟦ ⟧.
window.pseudo = {
  // What the server said, by which data is known.
  heard: "",

  listen() {
    const ask = window.fetch;
    window.fetch = async (...of) => {
      const answer = await ask(...of);
      answer.clone().text().then((text) => (this.heard += `\n${text.toLowerCase()}`), () => {});
      return answer;
    };
  },

  settled() {
    return document.querySelector("main, #root > *") !== null && document.querySelector("[aria-busy=true]") === null;
  },

  shown: (element) => element.checkVisibility({ opacityProperty: true, visibilityProperty: true }),

  // Without what stands in marks, which stand in each other where one text fills another.
  outside(text) {
    let depth = 0;
    let rest = "";
    for (const c of text) {
      if (c === "⟦") depth++;
      if (depth === 0) rest += c;
      if (c === "⟧") depth = Math.max(0, depth - 1);
    }
    return rest;
  },

  known(phrase) {
    if (this.heard.includes(phrase.replace(/^\d+ /, "").toLowerCase())) return true;
    // Numbers with their units, and days, are written by the browser's own rules.
    const said = phrase.replace(/\d+( min\b)?/g, "").trim();
    if (!/\p{L}{3,}/u.test(said)) return true;
    if (/^((mon|tue|wed|thu|fri|sat|sun|jan|feb|mar|apr|may|jun|jul|aug|sept?|oct|nov|dec)[ ,]*)+$/i.test(said)) return true;
    return false;
  },

  unmarked() {
    const wrong = new Set();
    const look = (text, where) => {
      for (const phrase of this.outside(text).split(/[·,;:()“”/×–→\n…+]+|\.\s|\.$/))
        if (!this.known(phrase.trim())) wrong.add(`${where}: ${phrase.trim()}`);
    };
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = texts.nextNode(); node; node = texts.nextNode()) {
      const of = node.parentElement;
      if (of.closest("script, style, textarea, [data-brand]") || !this.shown(of)) continue;
      // What is one sentence to a reader may be several nodes to the page.
      look(node.textContent, of.tagName.toLowerCase());
    }
    for (const name of ["aria-label", "title", "placeholder", "alt"])
      for (const of of document.querySelectorAll(`[${name}]`)) look(of.getAttribute(name), name);
    return [...wrong];
  },

  // Texts that are hidden in part, and that nothing else shows in full.
  cutOff() {
    const wrong = new Set();
    for (const of of document.querySelectorAll("body *")) {
      if (!of.textContent.includes("⟦") || !this.shown(of) || of.closest(".sr-only")) continue;
      const style = getComputedStyle(of);
      const hides = (overflow) => overflow === "hidden" || overflow === "clip";
      const wide = hides(style.overflowX) && of.scrollWidth > of.clientWidth + 1;
      const high = hides(style.overflowY) && of.scrollHeight > of.clientHeight + 1;
      if ((wide || high) && of.clientWidth > 1 && !of.title) wrong.add(`${of.tagName.toLowerCase()}: ${of.textContent.slice(0, 80)}`);
    }
    return [...wrong];
  },
};
