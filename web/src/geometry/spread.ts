// Labels along a line: each as near as can be to where it belongs, none overlapping.

type Block = { wish: number; width: number; labels: number[] };

/**
 * Centres for labels, in order. Neighbours that collide are joined into a block, which goes where
 * it moves them least (pool adjacent violators); blocks are then kept between low and high.
 * `wanted` is ascending; where there is no room for all, they overlap at the low end.
 */
export function spread(
  wanted: readonly number[],
  widths: readonly number[],
  low: number,
  high: number,
): number[] {
  const blocks: Block[] = [];
  wanted.forEach((centre, label) => {
    const width = widths[label] ?? 0;
    let block: Block = { wish: centre - width / 2, width, labels: [label] };
    let before = blocks.at(-1);
    while (before && begins(before) + before.width > begins(block)) {
      blocks.pop();
      block = {
        // A label's wish, as a wish for where its whole block begins.
        wish: before.wish + block.wish - before.width * block.labels.length,
        width: before.width + block.width,
        labels: [...before.labels, ...block.labels],
      };
      before = blocks.at(-1);
    }
    blocks.push(block);
  });
  let edge = low;
  const edges = blocks.map((block) => {
    const start = Math.max(edge, begins(block));
    edge = start + block.width;
    return start;
  });
  const centres = new Array<number>(wanted.length).fill(0);
  edge = high;
  blocks.toReversed().forEach((block, back) => {
    const start = edges[blocks.length - 1 - back] ?? low;
    edge = Math.min(edge - block.width, start);
    let place = edge;
    for (const label of block.labels) {
      const width = widths[label] ?? 0;
      centres[label] = place + width / 2;
      place += width;
    }
  });
  return centres;
}

function begins(block: Block): number {
  return block.wish / block.labels.length;
}
