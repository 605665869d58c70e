/** Mean width of a letter of a narrow label, drawing units. */
const LETTER = 5.3;

/** A name in the room of its column: in up to three lines, the side last. */
export function labelLines(name: string, side: string, room: number): string[] {
  if (name.length * LETTER <= room + 6) return side ? [name, side] : [name];
  const lines: string[] = [];
  for (const word of [...name.split(" "), ...(side ? [side] : [])]) {
    const last = lines.at(-1);
    const longer = `${last} ${word}`;
    if (last !== undefined && (longer.length * LETTER <= room + 6 || lines.length === 3)) {
      lines[lines.length - 1] = longer;
    } else {
      lines.push(word);
    }
  }
  return lines;
}
