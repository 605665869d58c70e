import { useState } from "react";
import { typedNumber } from "../../text/typedNumber";

interface Props {
  /** What the button says before anything is typed. */
  ask: string;
  /** What the field is, for those who cannot see it. */
  label: string;
  /** What stands there by the records. */
  from: number;
  /** What the button says that keeps it. */
  keep: string;
  whole?: boolean;
  may: boolean;
  onCount: (counted: number) => void;
}

/** What was counted or measured of a lot: a button, then a field. */
export function CountForm({ ask, label, from, keep, whole = false, may, onCount }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const counted = typed === null ? undefined : typedNumber(typed);
  if (typed === null) {
    return (
      <button type="button" className="press px-3 text-body" onClick={() => setTyped(String(from))}>
        {ask}
      </button>
    );
  }
  return (
    <form
      className="flex items-center gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (counted != null) onCount(counted);
        setTyped(null);
      }}
    >
      <input
        className="field m w-24"
        inputMode={whole ? "numeric" : "decimal"}
        aria-label={label}
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
      />
      <button className="press call px-3 text-body" disabled={counted == null || !may}>
        {keep}
      </button>
    </form>
  );
}
