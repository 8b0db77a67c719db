import type { RunScript } from "../../api/types";

export type ScriptBlock = RunScript["blocks"][number];
export type ScriptRung = ScriptBlock["rungs"][number];
