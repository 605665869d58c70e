import type { ReactNode, RefObject } from "react";
import { takes, type NumberBound } from "../text/bounds";

import { Sentence } from "./States";
import { unitWord } from "../text/shop";

interface NumberProps {
  id?: string;
  /** What is read, for those who hear the screen; left out where a label stands beside the field. */
  label?: string | undefined;
  /** The field of the request that takes it, where that bounds it; a reading is judged by its own limits. */
  of?: NumberBound;
  typed: string;
  onType: (typed: string) => void;
  invalid?: boolean;
  describedBy?: string;
  placeholder?: string;
  /** Width, height and size of type. */
  className?: string;
  ref?: RefObject<HTMLInputElement | null>;
  onLeave?: () => void;
  onEnter?: () => void;
}

/** A field for a number as a person types it: digits to the right, the keys of a tablet are digits. */
export function NumberInput(p: NumberProps) {
  const { id, label, typed, onType, invalid = false, describedBy, placeholder, className = "", ref } = p;
  const { onLeave, onEnter } = p;
  const may = p.of ? takes(p.of, typed) : "";
  const input = (
    <input
      id={id}
      className={`m field text-right ${className}`}
      inputMode="decimal"
      autoComplete="off"
      ref={ref}
      aria-label={label}
      aria-invalid={invalid || may !== ""}
      aria-describedby={describedBy}
      placeholder={placeholder}
      value={typed}
      onChange={(e) => onType(e.target.value)}
      onBlur={onLeave}
      onKeyDown={(e) => e.key === "Enter" && onEnter?.()}
    />
  );
  if (!p.of) return input;
  return (
    <>
      {input}
      {may && (
        <span role="status" className="py-1 text-small font-[640] text-renew">
          {may}
        </span>
      )}
    </>
  );
}

interface ReadingProps extends NumberProps {
  unit: string;
  /** Says what the button with the unit does, for those who hear the screen. */
  keeps?: string;
  keep: () => void;
  busy: boolean;
  /** What is wrong, under the field; a place with more room says it itself and marks it invalid. */
  fault?: string | undefined;
  /** A second field of a pair, before the button. */
  children?: ReactNode;
}

/**
 * A reading: the number, and the button that keeps it and bears its unit. Enter keeps it too. What
 * is wrong with it stands under it.
 */
export function ReadingField({ unit, keeps, keep, busy, fault, children, ...field }: ReadingProps) {
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        keep();
      }}
    >
      <div className="flex">
        <NumberInput {...field} invalid={field.invalid === true || fault !== undefined} />
        {children}
        <button
          type="submit"
          className="press call -ml-px h-[50px] min-w-12 px-3 whitespace-nowrap"
          aria-label={keeps}
          disabled={!field.typed.trim() || busy}
        >
          {unitWord(unit)}
        </button>
      </div>
      {fault && <Sentence>{fault}</Sentence>}
    </form>
  );
}
