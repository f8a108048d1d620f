/** Places of spots that look scattered and stay where they are, on a field of a width and height: x, y, and a size of about one to four. */
export const spots = (
  n: number,
  width = 84,
  height = 56,
): readonly (readonly [x: number, y: number, r: number])[] =>
  Array.from({ length: n }, (_, i) => [
    (i * 37.7 + 11) % width,
    (i * 23.3 + 7 + ((i * 13) % 5)) % height,
    1.2 + ((i * 7) % 5) / 2,
  ]);
