/** The mark of the least that should be there, over a strip of what is: a stroke with a head, at x in px. */
export function MinimumMark({ x, height }: { x: number; height: number }) {
  return (
    <g>
      <path d={`M${x},6V${height - 3}`} stroke="var(--ink)" strokeWidth={1.5} />
      <path d={`M${x - 4.5},1H${x + 4.5}L${x},7.5Z`} fill="var(--ink)" />
    </g>
  );
}
