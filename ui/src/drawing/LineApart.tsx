/** A line to the server: whole, or parted, with a tick for each act that waits at its end. */
export function LineApart({ waiting }: { waiting: number }) {
  const ticks = Math.min(waiting, 9);
  return (
    <svg width="74" height="22" viewBox="0 0 74 22" fill="none" stroke="currentColor" className="shrink-0" aria-hidden>
      <path d="M1,11H42" strokeWidth="4" />
      {Array.from({ length: ticks }, (_, i) => (
        <path key={i} d={`M${38 - i * 4},4V18`} strokeWidth="1.6" />
      ))}
      <path d="M42,3V19" strokeWidth="3" />
      <path d="M54,5H60V17H54Z" strokeWidth="1.6" />
      <path d="M60,11H73" strokeWidth="1.6" strokeDasharray="2 2.5" />
    </svg>
  );
}
