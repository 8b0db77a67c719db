// The line from a stand-in to a run: pairs by a code, sends signs until they are acknowledged, says that it is alive. The protocol: docs/devices.md.
const RETRY_MS = 1500;
const ALIVE_MS = 8000;

/** Numbers between 0 and 1, the same for the same seed (mulberry32). */
export function dice(seed) {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A UUID of version 7: 48 bits of time by the server's clock, the rest by chance. */
function idAt(ms) {
  const random = crypto.getRandomValues(new Uint8Array(10));
  const hex = (n, digits) => n.toString(16).padStart(digits, "0");
  const time = hex(ms, 12);
  const r = [...random].map((b) => hex(b, 2)).join("");
  return `${time.slice(0, 8)}-${time.slice(8)}-7${r.slice(0, 3)}-${hex(0x8 | (random[2] & 3), 1)}${r.slice(5, 8)}-${r.slice(8, 20)}`;
}

export class Link {
  #socket;
  #ahead = 0;
  #unsent = new Map();

  /** @param about {address, code, device, kind, spot, battery} @param told what comes of it: (message) => void */
  constructor(about, told) {
    this.about = about;
    this.told = told;
    this.#open();
    setInterval(() => this.#send({ type: "alive", battery: this.about.battery }), ALIVE_MS);
  }

  /** hit, miss, start or stop: kept here until the run has it for good. */
  sign(type) {
    const sign = { type, id: idAt(Date.now() + this.#ahead) };
    this.#unsent.set(sign.id, sign);
    this.#send(sign);
    return sign.id;
  }

  get waiting() {
    return this.#unsent.size;
  }

  /** The line breaks; it comes back by itself. */
  drop() {
    this.#socket?.close();
  }

  #open() {
    this.#socket = new WebSocket(this.about.address);
    this.#socket.onopen = () => {
      const { code, device, kind, spot, battery } = this.about;
      this.#send({ type: "hello", protocol: 1, code, device, kind, spot, battery });
    };
    this.#socket.onmessage = ({ data }) => this.#hear(JSON.parse(data));
    this.#socket.onclose = () => {
      // A code that is none any more stays none: somebody has to type another.
      if (this.wrong) return;
      this.told({ type: "closed" });
      setTimeout(() => this.#open(), RETRY_MS);
    };
  }

  #hear(message) {
    if (message.type === "welcome") {
      this.#ahead = message.nowMs - Date.now();
      for (const sign of this.#unsent.values()) this.#send(sign);
    }
    if (message.type === "place") this.about.spot = message.spot;
    if (message.type === "counted" || message.type === "not-counted") this.#unsent.delete(message.id);
    if (message.type === "wrong" && message.field === "code") this.wrong = true;
    this.told(message);
  }

  #send(message) {
    if (this.#socket.readyState === WebSocket.OPEN) this.#socket.send(JSON.stringify(message));
  }
}
