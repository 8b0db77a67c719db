// Serves the pages of the stand-ins: node stand-ins/devices/serve.mjs [PORT]. They need nothing but the address and the code that a run shows.
import { readFile } from "node:fs/promises";
import { createServer } from "node:http";

const port = Number(process.argv[2] ?? 8090);
const types = { html: "text/html; charset=utf-8", js: "text/javascript", css: "text/css" };
const kinds = ["pad", "gate", "clicker", "board"];
const known = new Set(["device.html", "device.js", "link.js", "style.css"]);

const server = createServer(async (request, response) => {
  const name = new URL(request.url, "http://here").pathname.slice(1);
  if (name === "") {
    response.setHeader("Content-Type", types.html);
    response.end(`<!doctype html><html lang="en"><title>Stand-ins</title><link rel="stylesheet" href="style.css"><h1>Stand-ins for devices</h1><ul>${kinds.map((k) => `<li><a href="device.html?kind=${k}">${k}</a></li>`).join("")}</ul></html>`);
    return;
  }
  if (!known.has(name)) {
    response.statusCode = 404;
    response.end("There is no such page.");
    return;
  }
  response.setHeader("Content-Type", types[name.split(".").at(-1)]);
  response.end(await readFile(new URL(name, import.meta.url)));
});
server.listen(port, "127.0.0.1", () => console.log(`Stand-ins at http://localhost:${server.address().port}/: pad, gate, clicker, board.`));
