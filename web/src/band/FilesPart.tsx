/** Files in and out. */
export function FilesPart() {
  return null;
}
