import { defineConfig } from "vite";

/** The player of a card: one script and one sheet with everything inside, which the server puts into each page. */
export default defineConfig({
  publicDir: false,
  build: {
    outDir: "dist/player",
    assetsInlineLimit: Number.MAX_SAFE_INTEGER,
    reportCompressedSize: false,
    lib: {
      entry: "src/player/main.ts",
      formats: ["iife"],
      name: "player",
      fileName: () => "player.js",
      cssFileName: "player",
    },
  },
});
