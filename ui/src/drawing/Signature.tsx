import signatures from "./shapes/signatures.json";
import symptoms from "./shapes/symptoms.json";

type Stroke = string[];
const SIGNATURES = signatures as Record<string, Stroke[]>;
const SYMPTOMS = symptoms as Record<string, Stroke[]>;

interface Props {
  id: string;
  width?: number;
}

/** What wear looks like: a little cut of a part, only the damage in red. */
export function Signature({ id, width = 110 }: Props) {
  return <Drawn strokes={SIGNATURES[id] ?? []} width={width} height={64} box={110} />;
}

/** What a pump does, as a rhythm: what was usual in chain line, what is wrong in red. */
export function Rhythm({ id, width = 74 }: Props) {
  return <Drawn strokes={SYMPTOMS[id] ?? []} width={width} height={48} box={100} />;
}

function Drawn({ strokes, width, height, box }: { strokes: Stroke[]; width: number; height: number; box: number }) {
  return (
    <svg
      width={width}
      height={(width * height) / box}
      viewBox={`0 0 ${box} ${height}`}
      fill="none"
      strokeLinejoin="round"
      strokeLinecap="round"
      aria-hidden
    >
      {strokes.map(([kind = "", d = ""], i) => (
        <path key={i} d={d} {...LINE[kind]} />
      ))}
    </svg>
  );
}

const OUTLINE = { stroke: "var(--ink)", strokeWidth: 1.35 };

const LINE: Record<string, Record<string, string | number>> = {
  elastomer: { ...OUTLINE, fill: "url(#rubber)" },
  metal: { ...OUTLINE, fill: "url(#met)" },
  plain: { ...OUTLINE, fill: "var(--card)" },
  line: OUTLINE,
  thin: { stroke: "var(--ink)", strokeWidth: 0.7 },
  ghost: { stroke: "var(--ghost)", strokeWidth: 1, strokeDasharray: "6 2 1.5 2" },
  axis: { stroke: "var(--muted)", strokeWidth: 0.85, strokeDasharray: "12 3 3 3" },
  damage: { stroke: "var(--renew)", strokeWidth: 1.8 },
  wound: { fill: "var(--renew)", stroke: "var(--renew)", strokeWidth: 0.8 },
};
