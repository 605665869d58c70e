/** The kinds of pump at row size, 30 by 22: what a technician knows each family by. */
const KINDS: Record<string, { name: string; lines: string; thick?: string; solid?: string }> = {
  "air-diaphragm": {
    name: "air-operated double-diaphragm",
    lines: "M10.5,2.5C4,3 2,7 2,11C2,15 4,19 10.5,19.5M19.5,2.5C26,3 28,7 28,11C28,15 26,19 19.5,19.5M6.6,11H23.4",
    thick:
      "M10.5,1V5C10.5,7.6 6.6,7.8 6.6,11C6.6,14.2 10.5,14.4 10.5,17V21M19.5,1V5C19.5,7.6 23.4,7.8 23.4,11C23.4,14.2 19.5,14.4 19.5,17V21",
  },
  "linear-diaphragm": {
    name: "linear twin-diaphragm air pump",
    lines: "M6,3V19M24,3V19M6,11H24M1,7H6M24,7H29M1,15H6M24,15H29",
    thick: "M6,4C9,6 3,9 6,11C9,13 3,16 6,18M24,4C21,6 27,9 24,11C21,13 27,16 24,18",
    solid: "M11,8H19V14H11Z",
  },
  "oil-diaphragm": {
    name: "oil-backed diaphragm",
    lines: "M3,3H18V19H3ZM18,8H28V14H18M22,8V14",
    thick: "M10,3C14,7 6,9 10,11C14,13 6,16 10,19",
  },
  peristaltic: {
    name: "peristaltic",
    lines: "M10,11.6H20M6.3,11.6a3,3 0 1 0 6,0a3,3 0 1 0 -6,0M17.7,11.6a3,3 0 1 0 6,0a3,3 0 1 0 -6,0",
    thick: "M4.5,22V11.5A10.5,9.6 0 0 1 25.5,11.5V22",
    solid: "M13.5,11.6a1.5,1.5 0 1 0 3,0a1.5,1.5 0 1 0 -3,0Z",
  },
  "progressing-cavity": {
    name: "progressing cavity",
    lines: "M2,2.5H28M2,19.5H28",
    thick: "M1.5,11C4.5,3.5 7.5,3.5 10.2,11S16.2,18.5 19,11S25,3.5 28.5,11",
  },
  "magnetic-drive": {
    name: "magnetic drive",
    lines: "M5.5,11H12M10.5,6.8H26.5V15.2H10.5",
    thick: "M5,2.5C7.4,5 7.4,17 5,19.5",
    solid: "M13,9H23V13H13ZM13,1.5H23V4.7H13ZM13,17.3H23V20.5H13Z",
  },
  "rotary-lobe": {
    name: "rotary lobe",
    lines: "M8,1.5H22A9.5,9.5 0 0 1 22,20.5H8A9.5,9.5 0 0 1 8,1.5Z",
    thick: "M10,5C7,8 13,9 10,11C7,13 13,14 10,17M20,5C17,9 23,8 20,11C17,14 23,13 20,17",
  },
  "mixer-drive": {
    name: "magnetic mixer drive",
    lines: "M6,2V14A9,6.5 0 0 0 24,14V2M15,3V13M9,13.5H21",
    solid: "M11,16.5H19V19H11Z",
  },
};

/** The glyph inside an SVG, its top left corner at x, y. */
export function PumpKindAt({ family, x, y, w = 1.5 }: { family: string; x: number; y: number; w?: number }) {
  const k = KINDS[family];
  if (!k) return null;
  return (
    <g transform={`translate(${x} ${y})`} fill="none" stroke="var(--ink)" strokeWidth={w}>
      <path d={k.lines} />
      {k.thick && <path d={k.thick} strokeWidth={w * 1.7} />}
      {k.solid && <path d={k.solid} fill="var(--ink)" stroke="none" />}
    </g>
  );
}

export function PumpKind({ family, scale = 1 }: { family: string; scale?: number }) {
  return (
    <svg
      width={30 * scale}
      height={22 * scale}
      viewBox="0 0 30 22"
      role="img"
      aria-label={kindName(family)}
      className="shrink-0"
    >
      <PumpKindAt family={family} x={0} y={0} />
    </svg>
  );
}

export function kindName(family: string): string {
  return KINDS[family]?.name ?? family.replaceAll("-", " ");
}
