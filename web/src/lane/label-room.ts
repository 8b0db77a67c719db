const LETTER = 6.9;
const GAP = 8;
const SHORTEST = 4;
/** So far before its block a name may begin, to keep off the edge. */
const BACK = 60;

type Stretch = { name: string; startSec: number; effort: number };

/** As much of a block's name as fits before the next label at about the same height, or before the edge; whole words where there is more than one. */
export function labelRoom(block: Stretch, after: Stretch[], x: (sec: number) => number, edge: number): string {
  const inTheWay = after.find((b) => Math.abs(b.effort - block.effort) <= 1);
  const end = inTheWay ? x(inTheWay.startSec) - GAP : edge - GAP + BACK;
  const letters = Math.floor((end - x(block.startSec)) / LETTER);
  if (letters >= block.name.length) return block.name;
  if (letters < 3) return "";
  const cut = block.name.slice(0, letters - 1).trimEnd();
  const word = cut.lastIndexOf(" ");
  return `${word >= SHORTEST ? cut.slice(0, word) : cut}…`;
}

/** Where a name begins: at its block, or as far before it as the edge asks. */
export const labelX = (blockX: number, shown: string, edge: number) =>
  Math.max(blockX - BACK, Math.min(blockX, edge - GAP - shown.length * LETTER));
