import type { Danger } from "../api/types";

const WIDTH = 240;
const HEIGHT = 40;
const PIPE = 14;
const GAP = [92, 148] as const;

/** What comes of two fluids that meet, in a word or two. */
export const DANGER_WORDS: Record<Danger, string> = {
  "poison-gas": "Poison gas",
  explosion: "Explodes",
  fire: "Catches fire",
  burst: "Bursts what it is shut in",
  boiling: "Boils and spits",
};

/** Two pipe ends that must not be joined, and in the gap what comes of it. */
export function MeetingPair({ gives }: { gives: Danger }) {
  const y = HEIGHT / 2;
  return (
    <svg width={WIDTH} height={HEIGHT} role="img" aria-label={DANGER_WORDS[gives]} className="shrink-0">
      <Pipe x={4} to={GAP[0]} y={y} fill="url(#limited)" />
      <Pipe x={GAP[1]} to={WIDTH - 4} y={y} fill="var(--wash)" />
      <path d={`M${GAP[0] + 9},${y}H${GAP[1] - 9}`} stroke="var(--renew)" strokeWidth={1.5} strokeDasharray="2 3" />
      <g
        transform={`translate(${(GAP[0] + GAP[1]) / 2} ${y})`}
        fill="var(--paper)"
        stroke="var(--renew)"
        strokeWidth={1.8}
      >
        {GLYPHS[gives]}
      </g>
    </svg>
  );
}

function Pipe({ x, to, y, fill }: { x: number; to: number; y: number; fill: string }) {
  const flange = x < WIDTH / 2 ? to : x;
  return (
    <g stroke="var(--ink)" strokeWidth={1.2}>
      <rect x={x} y={y - PIPE / 2} width={to - x} height={PIPE} fill={fill} />
      <rect x={flange - 3} y={y - PIPE / 2 - 5} width={6} height={PIPE + 10} fill="var(--card)" />
    </g>
  );
}

const GLYPHS: Record<Danger, React.ReactNode> = {
  "poison-gas": (
    <>
      <circle r={5.5} cy={5} />
      <circle r={4} cx={-7} cy={-2} />
      <circle r={3} cx={6} cy={-5} />
      <circle r={2.2} cx={-1} cy={-10} />
    </>
  ),
  explosion: <path d="M0-12 3-4 11-8 6-1 13 3 5 4 7 12 0 7-7 12-5 4-13 3-6-1-11-8-3-4Z" />,
  fire: <path d="M0 11C-8 9-8 1-3-3c0 3 2 3 2 1C-1-7 2-9 3-12c1 5 6 8 6 14 0 5-4 8-9 9Z" />,
  burst: (
    <>
      <rect x={-8} y={-6} width={16} height={12} />
      <path d="M-2-6 1-1-2 2 2 6M-12-10l3 3M12-10l-3 3M-12 10l3-3M12 10l-3-3" fill="none" />
    </>
  ),
  boiling: (
    <>
      <path d="M-9 8C-5 4-4 12 0 8s5 4 9 0" fill="none" />
      <circle r={2.6} cx={-5} cy={-1} />
      <circle r={3.4} cx={3} cy={-4} />
      <circle r={2} cx={-2} cy={-9} />
    </>
  ),
};
