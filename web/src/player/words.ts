import said from "../words/player.json";

/** A text of the player with its names filled in; no plural stands in any of them. */
export function word(key: keyof typeof said, figures: Record<string, string | number> = {}): string {
  return said[key].replace(/\{(\w+)\}/g, (_, name: string) => String(figures[name] ?? ""));
}

export const sideWord = (side: string) => word(`side.${side}` as keyof typeof said);
