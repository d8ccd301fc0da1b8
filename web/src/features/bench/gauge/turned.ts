// By how far a phone was turned between two orientations, whichever way it lay at first.

/** As a DeviceOrientationEvent has it, degrees. */
export type Orientation = { readonly alpha: number; readonly beta: number; readonly gamma: number };

type Rows = readonly [Row, Row, Row];
type Row = readonly [number, number, number];

/** Degrees from one orientation to another: the angle of the turn that leads from one to the other. */
export function turned(from: Orientation, to: Orientation): number {
  const one = matrix(from);
  const other = matrix(to);
  const trace = one.reduce(
    (sum, row, at) =>
      sum + row.reduce((part, cell, place) => part + cell * cellOf(other, at, place), 0),
    0,
  );
  const cosine = Math.min(Math.max((trace - 1) / 2, -1), 1);
  return (Math.acos(cosine) * 180) / Math.PI;
}

function cellOf(rows: Rows, at: number, place: number): number {
  return rows[at]?.[place] ?? 0;
}

/** The rotation of the W3C's device orientation: about z, then x, then y. */
function matrix({ alpha, beta, gamma }: Orientation): Rows {
  const [a, b, c] = [alpha, beta, gamma].map((degrees) => (degrees * Math.PI) / 180) as [
    number,
    number,
    number,
  ];
  const [ca, sa, cb, sb, cc, sc] = [
    Math.cos(a),
    Math.sin(a),
    Math.cos(b),
    Math.sin(b),
    Math.cos(c),
    Math.sin(c),
  ];
  return [
    [ca * cc - sa * sb * sc, -cb * sa, ca * sc + cc * sa * sb],
    [cc * sa + ca * sb * sc, ca * cb, sa * sc - ca * cc * sb],
    [-cb * sc, sb, cb * cc],
  ];
}
