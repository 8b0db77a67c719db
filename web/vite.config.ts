import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { assetsInlineLimit: 0, reportCompressedSize: false },
  server: { proxy: { "/api": "http://localhost:8080" } },
  // A shared machine may stand still for seconds.
  test: { environment: "jsdom", setupFiles: ["src/test-setup.ts"], testTimeout: 20_000 },
});
