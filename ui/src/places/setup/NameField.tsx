import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from "@headlessui/react";
import { useState } from "react";
import type { SetupName } from "../../api/types";

interface Props {
  label: string;
  names: SetupName[];
  /** The code that is chosen, or what was typed where nothing is called so. */
  value: string;
  shut?: boolean;
  bad?: boolean;
  onType: (value: string) => void;
}

const MOST = 40;

/** A name that is known here, found by typing a part of it. */
export function NameField({ label, names, value, shut = false, bad = false, onType }: Props) {
  const [word, setWord] = useState("");
  const wanted = word.trim().toLowerCase();
  const found = names
    .filter((n) => !wanted || n.name.toLowerCase().includes(wanted) || n.code.toLowerCase().includes(wanted))
    .slice(0, MOST);
  const say = (code: string) => {
    const known = names.find((n) => n.code === code);
    return known ? known.name : code;
  };
  return (
    <Combobox
      value={value}
      disabled={shut}
      immediate
      onChange={(code: string | null) => {
        setWord("");
        onType(code ?? "");
      }}
    >
      <ComboboxInput
        className="field w-full"
        aria-label={label}
        aria-invalid={bad}
        displayValue={say}
        placeholder="type a part of it"
        onChange={(e) => {
          setWord(e.target.value);
          onType(e.target.value);
        }}
      />
      <ComboboxOptions
        anchor="bottom start"
        className="z-30 max-h-[46vh] w-(--input-width) overflow-auto border-[1.5px] border-ink bg-card outline-none empty:hidden"
      >
        {found.map((n) => (
          <ComboboxOption
            key={n.code}
            value={n.code}
            className="flex min-h-11 cursor-pointer items-center justify-between gap-3 border-b border-line2 px-3 text-body data-focus:bg-wash data-selected:font-bold"
          >
            <span>{n.name}</span>
            {n.code !== n.name && <span className="text-small text-soft">{n.code}</span>}
          </ComboboxOption>
        ))}
      </ComboboxOptions>
    </Combobox>
  );
}
