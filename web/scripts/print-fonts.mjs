// Puts the fonts of printed cards into dist/print: what is set on paper by the server needs them in TrueType.
import { copyFileSync, mkdirSync } from "node:fs";

const from = "node_modules/@expo-google-fonts/atkinson-hyperlegible-next";
mkdirSync("dist/print", { recursive: true });
copyFileSync(`${from}/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf`, "dist/print/regular.ttf");
copyFileSync(`${from}/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf`, "dist/print/bold.ttf");
