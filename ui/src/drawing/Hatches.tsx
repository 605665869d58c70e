import type { ReactNode } from "react";

/** Patterns every drawing refers to by id. Stands once in the page. */
const KINDS = [
  ["met", 3.6, 45, 0.84],
  ["met2", 3.6, -45, 0.84],
  ["pla", 4.8, 45, 0.8],
  ["fine", 2.6, 45, 0.8],
] as const;

const MATERIALS: Record<string, [width: number, height: number, angle: number, path: string, stroke: number]> = {
  NBR: [4, 4, 45, "M0,0V4", 2],
  EPDM: [4, 4, -45, "M0,0V4", 2],
  FKM: [4, 4, 45, "M0,0V4M0,0H4", 1.6],
  CSM: [4, 4, 0, "M0,0V4", 3.2],
  "TPC-ET": [4, 4, 0, "M0,0H4", 3.2],
  TPV: [4, 6, 0, "M0,0H4M0,3H2", 2],
  PTFE: [4, 4, 45, "M1,2h2", 2],
  PVDF: [4, 5, 45, "M0,0V3", 1.6],
  PP: [5, 5, 0, "M2.5,0V5M0,2.5H5", 1],
};

export function Hatches() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden>
      <defs>
        {KINDS.flatMap(([id, gap, angle, width]) =>
          ["", "A"].map((hand) => (
            <pattern
              key={id + hand}
              id={id + hand}
              width={gap}
              height={gap}
              patternUnits="userSpaceOnUse"
              patternTransform={`rotate(${angle})`}
            >
              <path d={`M0,0V${gap}`} stroke={hand ? "var(--accent)" : "var(--hatch)"} strokeWidth={width} />
            </pattern>
          )),
        )}
        {["", "A"].map((hand) => (
          <MoreKinds key={hand} hand={hand} />
        ))}
        <pattern id="rubber" width="3.4" height="3.4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="3.4" height="3.4" fill="var(--elastomer)" />
          <path d="M0,0V3.4" stroke="var(--card)" strokeWidth="1" opacity=".7" />
        </pattern>
        <pattern id="limited" width="4.4" height="4.4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0,0V4.4" stroke="var(--soft)" strokeWidth="2" />
        </pattern>
        {Object.entries(MATERIALS).map(([code, [w, h, angle, d, stroke]]) => (
          <pattern
            key={code}
            id={`mat-${code}`}
            width={w}
            height={h}
            patternUnits="userSpaceOnUse"
            {...(angle ? { patternTransform: `rotate(${angle})` } : {})}
          >
            <path d={d} stroke="var(--ink)" strokeWidth={stroke} fill="none" />
          </pattern>
        ))}
      </defs>
    </svg>
  );
}

/** Hatches that are more than one set of lines; {@code hand} marks those of a part in hand. */
function MoreKinds({ hand }: { hand: string }) {
  const ink = hand ? "var(--accent)" : "var(--hatch)";
  const dark = hand ? "var(--accent)" : "var(--elastomer)";
  const square = (id: string, size: number, turned: number, inner: ReactNode) => (
    <pattern
      id={id + hand}
      width={size}
      height={size}
      patternUnits="userSpaceOnUse"
      patternTransform={`rotate(${turned})`}
    >
      {inner}
    </pattern>
  );
  return (
    <>
      {square("pla2", 5.2, -45, <path d="M0,0V5.2" stroke={ink} strokeWidth={0.8} />)}
      {square(
        "rub",
        3.4,
        45,
        <>
          <rect width="3.4" height="3.4" fill={dark} />
          <path d="M0,0V3.4" stroke="var(--card)" strokeWidth="0.9" opacity="0.5" />
        </>,
      )}
      {square("pack", 2.7, 45, <path d="M0,0V2.7M0,0H2.7" stroke={ink} strokeWidth={1.15} />)}
      {square(
        "sic",
        4.4,
        45,
        <>
          <rect width="4.4" height="4.4" fill={ink} opacity="0.13" />
          <path d="M0,0V4.4" stroke={ink} strokeWidth="1.5" />
          <path d="M2.2,0V4.4" stroke={ink} strokeWidth="0.75" />
        </>,
      )}
      {square("cer", 3.2, 45, <circle cx="1.6" cy="1.6" r="0.55" fill={ink} />)}
      {square("magN", 2.3, 45, <path d="M0,0V2.3" stroke={ink} strokeWidth={1.04} />)}
      {square("magS", 2.3, -45, <path d="M0,0V2.3" stroke={ink} strokeWidth={1.04} />)}
      <pattern id={`oil${hand}`} width="14" height="9" patternUnits="userSpaceOnUse">
        <path d="M0,2H8M7,6.5H14M0,6.5H1" stroke={ink} strokeWidth="0.6" opacity="0.6" />
      </pattern>
    </>
  );
}

/** The fill for a material's swatch; plain where it has no hatch of its own. */
export function materialFill(material: string): string {
  const code = material.split(" ")[0] ?? "";
  return code in MATERIALS ? `url(#mat-${code})` : "none";
}

export function Swatch({ material, x, y }: { material: string; x: number; y: number }) {
  return (
    <g>
      <rect x={x} y={y} width={9} height={18} fill="var(--card)" />
      <rect x={x} y={y} width={9} height={18} fill={materialFill(material)} stroke="var(--ink)" strokeWidth={1} />
    </g>
  );
}
