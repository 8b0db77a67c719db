import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { loadEnv } from "vite";
import { defineConfig } from "vitest/config";

export default defineConfig(({ mode }) => ({
  plugins: [react(), tailwindcss()],
  build: { assetsInlineLimit: 0, reportCompressedSize: false },
  // Where ./marble dev has started the server.
  server: { proxy: { "/api": loadEnv(mode, ".", "MARBLE_").MARBLE_SERVER ?? "http://localhost:8080" } },
  // A shared machine may stand still for seconds.
  test: {
    environment: "jsdom",
    setupFiles: ["src/test-setup.ts"],
    testTimeout: 20_000,
    env: { TZ: "Pacific/Auckland" },
  },
}));
