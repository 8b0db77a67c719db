import { device } from "./page.js";

device("BOARD", {}, () => 1);
