// Writes the fonts of the papers as TrueType into target/classes/papers/fonts: what makes PDFs on the
// server reads no compressed web fonts. They are the families of the screens, in the cuts that paper uses.
import { mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { decompress } from "wawoff2";

const OUT = "target/classes/papers/fonts";
const FONTS = [
  ["archivo", 400],
  ["archivo", 700],
  ["archivo-narrow", 700],
  ["spline-sans-mono", 400],
];
/** The signs of English first, then those of other languages that are written in Latin letters. */
const SUBSETS = ["latin", "latin-ext"];

/**
 * Takes the substitutions out of a font, by another name of their table. With them "fi" becomes one
 * sign in the PDF, which no letter stands behind: whoever hears, copies or searches it misses two.
 */
function withoutLigatures(font) {
  const bytes = Buffer.from(font);
  for (let i = 0; i < bytes.readUInt16BE(4); i++) {
    const entry = 12 + 16 * i;
    if (bytes.toString("latin1", entry, entry + 4) === "GSUB") bytes.write("gsub", entry, "latin1");
  }
  return bytes;
}

mkdirSync(OUT, { recursive: true });
for (const [family, weight] of FONTS) {
  for (const subset of SUBSETS) {
    const name = `${family}-${subset}-${weight}`;
    const woff2 = readFileSync(`node_modules/@fontsource/${family}/files/${name}-normal.woff2`);
    writeFileSync(`${OUT}/${name}.ttf`, withoutLigatures(await decompress(woff2)));
  }
}
