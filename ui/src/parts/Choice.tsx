import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from "@headlessui/react";

interface Props<T extends string> {
  label: string;
  /** What is chosen; empty where nothing is. */
  value: T | "";
  onChange: (value: T | "") => void;
  /** What the choice is called where nothing is chosen. */
  all: string;
  of: readonly T[];
  say?: (value: T) => string;
  /** What follows it in the sentence. */
  then?: string;
}

/** A word of a sentence that can be chosen. */
export function Choice<T extends string>({ label, value, onChange, all, of, say = (v) => v, then = "" }: Props<T>) {
  return (
    <Listbox value={value} onChange={onChange}>
      <ListboxButton
        aria-label={`${label}: ${value ? say(value) : all}`}
        className="flex h-12 items-center gap-1.5 px-0.5"
      >
        <span className="border-b-[1.5px] border-ink pb-px font-[660]">{value ? say(value) : all}</span>
        <svg width="9" height="6" aria-hidden>
          <path d="M0,0H9L4.5,6Z" fill="var(--ink)" />
        </svg>
        {then && <span className="-ml-1 pr-1">{then}</span>}
      </ListboxButton>
      <ListboxOptions
        anchor="bottom start"
        className="z-30 max-h-[70vh] min-w-48 border-[1.5px] border-ink bg-card outline-none"
      >
        {(["", ...of] as const).map((v) => (
          <ListboxOption
            key={v}
            value={v}
            className="flex min-h-11 cursor-pointer items-center border-b border-line2 px-4 text-body data-focus:bg-wash data-selected:font-bold"
          >
            {v ? say(v) : all}
          </ListboxOption>
        ))}
      </ListboxOptions>
    </Listbox>
  );
}
