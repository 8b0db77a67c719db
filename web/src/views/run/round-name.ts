import type { Run } from "../../api/types";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import type { Played } from "./log";
import { circuitOf, visitOf } from "./stations";

const t = textsOf("run", saidRun);

/** A block by its place, task and rung: two of one task can be told apart. */
export function blockName(run: Run, block: number): string {
  const b = run.sheet.script.blocks[block];
  const ladder = run.sheet.ladders.find((l) => l.id === b?.ladderId);
  const circuit = circuitOf(run.sheet.script, block);
  if (circuit && ladder) return t("stations.station", { n: block - circuit.firstBlock + 1, name: ladder.name });
  if (!b || !ladder) return `${block + 1} ${b?.note ?? (b ? t(`roundName.kind.${b.kind}`) : "")}`;
  return `${block + 1} ${ladder.name}: ${ladder.rungs.find((r) => r.id === b.rungId)?.name ?? ""}`;
}

/** A turn of a block: its set and turn where there are several, and how often it was begun. */
export function turnName(run: Run, round: number, played?: Played): string {
  const { segments, blocks } = run.sheet.script;
  const s = segments[round];
  if (!s) return "";
  const sets = 1 + Math.max(0, ...segments.filter((x) => x.block === s.block).map((x) => x.set));
  const turns = blocks[s.block]?.turns.length ?? 1;
  const take = played?.take(round) ?? 1;
  const circuit = circuitOf(run.sheet.script, s.block);
  if (circuit) {
    const at = visitOf(run.sheet.script, s);
    return [
      t("stations.visitShort", { n: at.visit + 1 }),
      circuit.rounds > 1 && t("stations.roundShort", { n: at.round + 1 }),
      take > 1 && t("roundName.begun", { times: take }),
    ]
      .filter(Boolean)
      .join(", ");
  }
  return [
    sets > 1 && t("roundName.set", { n: s.set + 1 }),
    turns > 1 && t("roundName.turn", { n: s.turn + 1 }),
    take > 1 && t("roundName.begun", { times: take }),
  ]
    .filter(Boolean)
    .join(", ");
}

export function roundName(run: Run, round: number, played?: Played): string {
  const block = run.sheet.script.segments[round]?.block ?? -1;
  return [blockName(run, block), turnName(run, round, played)].filter(Boolean).join(", ");
}
