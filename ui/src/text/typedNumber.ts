/** A number as people type it, comma or point: null for nothing, undefined for what is none. */
export function typedNumber(text: string): number | null | undefined {
  const plain = text
    .trim()
    .replaceAll(/[\s\u2009]/g, "")
    .replace(",", ".");
  if (plain === "") return null;
  const value = Number(plain);
  return Number.isFinite(value) ? value : undefined;
}
