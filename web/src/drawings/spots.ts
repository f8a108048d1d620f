/**
 * Places of spots that look scattered and stay where they are, on a field of a width and height: x, y, and a size of about one to four.
 * Steps of the plastic number (R2 sequence, M. Roberts; quoted from memory): however many, they lie evenly.
 */
export const spots = (
  n: number,
  width = 84,
  height = 56,
): readonly (readonly [x: number, y: number, r: number])[] =>
  Array.from({ length: n }, (_, i) => [
    ((0.13 + i * 0.7548776662) % 1) * width,
    ((0.27 + i * 0.5698402909) % 1) * height,
    1.2 + ((i * 7) % 5) / 2,
  ]);
