import type { WaitView } from "../../../api/types";
import { countdown, useLeft } from "../../../parts/Clock";
import { waitWord } from "../../../text/waitWord";

/** What dries, cures or settles on this pump; it runs on whether or not anyone looks. */
export function Waits({ waits }: { waits: WaitView[] }) {
  if (waits.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-x-6 gap-y-1 pt-1" aria-label="Waiting times">
      {waits.map((w) => (
        <One key={w.kind + w.subject} wait={w} />
      ))}
    </ul>
  );
}

function One({ wait: w }: { wait: WaitView }) {
  const left = useLeft(w.until);
  return (
    <li className="flex items-baseline gap-2 text-small text-soft">
      <Sandglass />
      <b className="m text-body font-semibold text-ink">{left > 0 ? countdown(left) : "due"}</b>
      <span className="max-w-[min(300px,55vw)] truncate" title={w.title}>
        {waitWord(w.kind)}: {w.title}
      </span>
    </li>
  );
}

export function Sandglass() {
  return (
    <svg width="11" height="14" viewBox="0 0 11 14" className="self-center" aria-hidden>
      <path d="M1,1H10L6.5,7L10,13H1L4.5,7Z" fill="none" stroke="var(--watch-words)" strokeWidth="1.4" />
      <path d="M2.5,12L5.5,9L8.5,12Z" fill="var(--watch-words)" />
    </svg>
  );
}
