import { useId } from "react";
import { glyph, type Stroke } from "./glyphs";

/** How a part is inked: in place, in the hand, small on the tray. */
export type Ink = "place" | "hand" | "tray" | "faint";

const INKS = {
  place: { stroke: "var(--ink)", width: 1.35, hair: 0.7, fill: "var(--card)", hand: "" },
  hand: { stroke: "var(--accent)", width: 1.9, hair: 0.9, fill: "var(--hand-fill)", hand: "A" },
  tray: { stroke: "var(--ink)", width: 1.9, hair: 1.1, fill: "var(--card)", hand: "" },
  faint: { stroke: "var(--muted)", width: 1.1, hair: 0.6, fill: "var(--paper)", hand: "" },
} as const;

interface Placed {
  name: string;
  x: number;
  y: number;
  ink?: Ink;
  mirrored?: boolean;
  scale?: number;
  /** Turned about its own axis point, degrees clockwise. */
  turned?: number;
}

export function PartGlyph({ name, x, y, ink = "place", mirrored = false, scale = 1, turned = 0 }: Placed) {
  const id = useId();
  return (
    <g
      transform={`translate(${x} ${y}) rotate(${turned}) scale(${mirrored ? -scale : scale} ${scale})`}
      strokeLinejoin="round"
    >
      {glyph(name).strokes.map((s, i) => (
        <Inked key={i} stroke={s} ink={ink} clip={`${id}-${i}`} mirrored={mirrored} />
      ))}
    </g>
  );
}

interface InkedProps {
  stroke: Stroke;
  ink: Ink;
  clip: string;
  mirrored: boolean;
}

/** Tones of the shape files in the theme of the moment. */
function paint(tone: string | undefined, ink: Ink): string {
  const k = INKS[ink];
  switch (tone) {
    case undefined:
      return "none";
    case "ink":
      return k.stroke;
    case "card":
      return k.fill;
    case "rubber":
      return ink === "hand" ? k.stroke : "var(--elastomer)";
    case "dust":
      return "var(--tray)";
    default:
      return tone.startsWith("#") ? `url(${tone}${k.hand})` : `var(--${tone})`;
  }
}

function Inked({ stroke: s, ink, clip, mirrored }: InkedProps) {
  const k = INKS[ink];
  switch (s.as) {
    case "shape":
      return (
        <>
          {s.clip && (
            <clipPath id={clip}>
              <path d={s.clip} />
            </clipPath>
          )}
          {s.fill?.startsWith("#") && <path d={s.d} fill={k.fill} fillRule="evenodd" />}
          <path
            d={s.d}
            fill={paint(s.fill, ink)}
            fillRule="evenodd"
            stroke={paint(s.stroke, ink)}
            strokeWidth={(s.w ?? 0) * (k.width / INKS.place.width)}
            {...(s.o === undefined ? {} : { opacity: s.o })}
            {...(s.dash ? { strokeDasharray: s.dash } : {})}
            {...(s.clip ? { clipPath: `url(#${clip})` } : {})}
          />
        </>
      );
    case "lettering":
      return (
        <text
          x={mirrored ? -s.x : s.x}
          y={s.y}
          textAnchor="middle"
          fontSize={s.size}
          fontWeight={720}
          fill={k.stroke}
          {...(mirrored ? { transform: "scale(-1 1)" } : {})}
        >
          {s.text}
        </text>
      );
    case "body":
      return <path d={s.d} fill={k.fill} stroke={k.stroke} strokeWidth={k.width} />;
    case "cut":
      return (
        <>
          <path d={s.d} fill={k.fill} fillRule="evenodd" />
          <path
            d={s.d}
            fill={`url(#${s.of === "met2" && k.hand ? "met" : s.of}${k.hand})`}
            fillRule="evenodd"
            stroke={k.stroke}
            strokeWidth={k.width}
          />
        </>
      );
    case "hollow":
      return <path d={s.d} fill="var(--paper)" />;
    case "hair":
      return <path d={s.d} fill="none" stroke={k.stroke} strokeWidth={k.hair} opacity={s.faint ? 0.6 : 1} />;
    case "solid":
      return <path d={s.d} fill={k.stroke} />;
    case "rubber":
      return (
        <path
          d={s.d}
          fill={ink === "hand" ? k.stroke : "var(--elastomer)"}
          fillRule="evenodd"
          stroke={k.stroke}
          strokeWidth={k.width}
        />
      );
    case "roll":
      return (
        <g fill="none" strokeLinecap="butt">
          <path d={s.d} stroke={k.stroke} strokeWidth={7} />
          <path d={s.d} stroke={ink === "hand" ? k.stroke : "var(--elastomer)"} strokeWidth={4.6} />
          <path d={s.d} stroke="var(--card)" strokeWidth={0.8} opacity={0.8} />
        </g>
      );
    case "turned":
      return (
        <>
          <clipPath id={clip}>
            <path d={s.d} />
          </clipPath>
          <path
            clipPath={`url(#${clip})`}
            d={turningLines(s.radius, s.lines)}
            stroke={k.stroke}
            strokeWidth={0.55}
            opacity={0.55}
            fill="none"
          />
        </>
      );
  }
}

/** Lines along a turned surface, closer toward the rim. */
function turningLines(radius: number, lines: number): string {
  let d = "";
  for (let i = 1; i <= lines; i++) {
    const y = radius * (0.3 + 0.7 * Math.sin((i / lines) * (Math.PI / 2))) - 0.6;
    d += `M-150,${y.toFixed(2)}H150`;
  }
  return d;
}

/** The chain-line outline a part leaves where it belongs. */
export function Ghost({ name, x, y, mirrored = false, hand = false, turned = 0 }: Placed & { hand?: boolean }) {
  return (
    <path
      transform={`translate(${x} ${y}) rotate(${turned}) scale(${mirrored ? -1 : 1} 1)`}
      d={glyph(name).outline}
      fill="none"
      stroke={hand ? "var(--accent)" : "var(--ghost)"}
      strokeWidth={1.1}
      strokeDasharray={hand ? "4 2.5" : "9 2.5 1.5 2.5 1.5 2.5"}
      strokeLinejoin="round"
    />
  );
}
