import type { InputHTMLAttributes } from "react";
import { isTooLong, roomLeft, type TextBound } from "../text/bounds";

type Attributes = Omit<InputHTMLAttributes<HTMLInputElement>, "value" | "onChange" | "maxLength">;

interface Props extends Attributes {
  /** The field of the request that takes it; says how much fits. */
  of: TextBound;
  typed: string;
  onType: (typed: string) => void;
}

/**
 * A field for words. Nothing typed or pasted is cut: how much fits is said beside it once it gets
 * near, and the field is at fault beyond.
 */
export function TextInput({ of, typed, onType, ...input }: Props) {
  return (
    <>
      <input
        {...input}
        value={typed}
        onChange={(e) => onType(e.target.value)}
        aria-invalid={isTooLong(of, typed) || input["aria-invalid"]}
      />
      <Room of={of} typed={typed} />
    </>
  );
}

/** How much room is left for a text, where it matters. */
export function Room({ of, typed }: { of: TextBound; typed: string }) {
  const left = roomLeft(of, typed);
  if (!left) return null;
  return (
    <span role="status" className={`py-1 text-small ${isTooLong(of, typed) ? "font-[640] text-renew" : "text-muted"}`}>
      {left}
    </span>
  );
}
