// Writes dist/sw.js: the pages, styles and scripts stay on the device once they were opened, so that a run goes on and can be reloaded without the server.
import { generateSW } from "workbox-build";

const { count, size, warnings } = await generateSW({
  globDirectory: "dist",
  globPatterns: ["**/*.{html,js,css,svg,woff2,webmanifest}"],
  // The player of a card travels inside the card.
  globIgnores: ["player/**"],
  swDest: "dist/sw.js",
  navigateFallback: "/index.html",
  navigateFallbackDenylist: [/^\/api\//, /^\/actuator\//],
  clientsClaim: true,
  cleanupOutdatedCaches: true,
  inlineWorkboxRuntime: true,
  sourcemap: false,
  mode: "production",
});
if (warnings.length > 0) throw new Error(warnings.join("\n"));
console.log(`dist/sw.js keeps ${count} files, ${Math.round(size / 1000)} kB`);
