interface Props {
  before: number;
  after: number;
  /** Drawn in accent: the one in hand. */
  first: boolean;
  width?: number;
}

/** A chance before and after: dashed box before, solid bar after, an arrow from one to the other. */
export function BeforeAfter({ before, after, first, width = 130 }: Props) {
  const x = (p: number) => p * (width - 4) + 2;
  const grew = after >= before;
  const moved = Math.abs(x(after) - x(before)) > 8;
  return (
    <svg width={width} height={22} aria-hidden className="shrink-0">
      <path d={`M2,12H${width - 2}`} stroke="var(--line)" />
      <rect x={2} y={7} width={Math.max(2, x(after) - 2)} height={10} fill={first ? "var(--accent)" : "var(--soft)"} />
      <rect
        x={2}
        y={4}
        width={Math.max(2, x(before) - 2)}
        height={16}
        fill="none"
        stroke={grew ? "var(--unknown)" : "var(--ink)"}
        strokeDasharray="2 2"
      />
      {moved && (
        <>
          <path d={`M${x(before)},2.5H${x(after)}`} stroke="var(--ink)" />
          <path d={`M${x(after)},2.5l${grew ? "-5" : "5"},-2.4v4.8z`} fill="var(--ink)" />
        </>
      )}
    </svg>
  );
}

/** Evidence: a filled wedge raised it, an open wedge lowered it. */
export function Wedge({ raised }: { raised: boolean }) {
  return (
    <svg width="11" height="13" viewBox="0 0 11 13" className="mr-1 inline-block align-[-1px]" aria-hidden>
      {raised ? (
        <path d="M5.5,0L11,7H7V13H4V7H0Z" fill="var(--ink)" />
      ) : (
        <path d="M5.5,12L.8,6H4V1H7V6H10.2Z" fill="var(--card)" stroke="var(--ink)" />
      )}
    </svg>
  );
}
