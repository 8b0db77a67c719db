import { side } from "../../words";

/** ", right" behind a task; nothing where it has no sides. */
export const sideWord = (of: keyof typeof side) => (of === "NONE" ? "" : `, ${side[of]}`);
