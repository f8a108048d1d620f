/** Makes the compiler prove that a switch over a union is complete. */
export function assertNever(value: never): never {
  throw new Error(`unexpected value: ${JSON.stringify(value)}`);
}
