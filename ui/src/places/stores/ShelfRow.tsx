import type { ReactNode } from "react";

interface Props {
  open: boolean;
  toggle: () => void;
  what: ReactNode;
  strip: ReactNode;
  state: ReactNode;
  children: ReactNode;
}

/** A line of the shelf: what it is, how much is there, how it stands; its lots below where it is open. */
export function ShelfRow({ open, toggle, what, strip, state, children }: Props) {
  return (
    <div className="border-t border-line2">
      <button
        type="button"
        aria-expanded={open}
        onClick={toggle}
        className={`grid w-full grid-cols-[minmax(150px,1fr)_300px_190px] items-center gap-3 px-5 py-1.5 text-left hover:bg-card max-[760px]:grid-cols-1 ${open ? "bg-card" : ""}`}
      >
        {what}
        {strip}
        <span className="text-body leading-[18px]">{state}</span>
      </button>
      {open && children}
    </div>
  );
}
