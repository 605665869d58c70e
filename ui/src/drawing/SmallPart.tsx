import { glyph, loose } from "./glyphs";
import { PartGlyph } from "./PartGlyph";

/** A part at tray size, whole within its box. */
export function SmallPart({ glyphName, size = 44 }: { glyphName: string; size?: number }) {
  const name = loose(glyphName);
  const g = glyph(name);
  const scale = Math.min((size - 4) / (2 * g.radius), (size - 4) / (g.right - g.left));
  return (
    <svg width={size} height={size * 0.92} viewBox={`0 0 ${size} ${size}`} className="shrink-0" aria-hidden>
      <PartGlyph name={name} x={size / 2 - ((g.left + g.right) / 2) * scale} y={size / 2} scale={scale} ink="tray" />
    </svg>
  );
}
