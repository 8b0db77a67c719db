const LETTER = 6.9;
const GAP = 8;

type Stretch = { name: string; startSec: number; effort: number };

/** As much of a block's name as fits before the next label at about the same height, or before the edge. */
export function labelRoom(block: Stretch, after: Stretch[], x: (sec: number) => number, edge: number): string {
  const inTheWay = after.find((b) => Math.abs(b.effort - block.effort) <= 1);
  const end = inTheWay ? x(inTheWay.startSec) - GAP : edge + GAP * 2;
  const letters = Math.floor((end - x(block.startSec)) / LETTER);
  if (letters >= block.name.length) return block.name;
  return letters < 3 ? "" : `${block.name.slice(0, letters - 1).trimEnd()}…`;
}
