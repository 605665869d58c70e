import type { Person } from "../api/types";

/** A switch that is open: licensed for electrical work. */
export function LicensedMark() {
  return (
    <svg width="27" height="12" viewBox="0 0 27 12" fill="none" stroke="currentColor" strokeWidth="1.5" aria-hidden>
      <path d="M0,9H7M20,9H27M9,8L19,2" />
      <circle cx="8" cy="9" r="1.9" />
      <circle cx="19" cy="9" r="1.9" />
    </svg>
  );
}

interface PersonTagProps {
  person: Person;
  chosen: boolean;
  onChoose: () => void;
  /** Where the person was last, and when; or why this one may not. */
  last: string[];
  disabled?: boolean;
  /** Beside other things, at a bench. */
  small?: boolean;
}

/** A person's tag on the rail: the hanger, the initials, what they do. */
export function PersonTag({ person: p, chosen, onChoose, last, disabled = false, small = false }: PersonTagProps) {
  const width = small ? 108 : 188;
  return (
    <button
      type="button"
      aria-pressed={chosen}
      aria-label={`${p.initials}, ${p.role}`}
      disabled={disabled}
      onClick={onChoose}
      className={`relative text-left ${small ? "w-[108px] pt-[30px]" : "w-[188px] pt-[52px]"} ${chosen ? "text-go-words" : disabled ? "text-muted" : "text-ink"}`}
    >
      <svg
        width={width}
        height={(width * 254) / 188}
        viewBox="0 0 188 254"
        className="absolute top-0 left-0"
        aria-hidden
      >
        <path
          d="M74,54V22C74,10 82,3.5 94,3.5S114,10 114,22V54"
          fill="none"
          stroke={chosen ? "var(--accent)" : disabled ? "var(--muted)" : "var(--ink)"}
          strokeWidth="6"
        />
        <path
          d="M1.5,53H186.5V228L168,252H20L1.5,228Z"
          fill={chosen ? "var(--go)" : "var(--card)"}
          stroke={chosen ? "var(--go)" : disabled ? "var(--muted)" : "var(--ink)"}
          strokeWidth="1.6"
          {...(disabled ? { strokeDasharray: "6 4" } : {})}
        />
      </svg>
      <span className={`relative block ${small ? "h-[116px] px-2 pt-1.5" : "h-[202px] px-4 pt-3"}`}>
        <span className="flex items-start justify-between">
          <span className={`tag ${small ? "text-tag leading-[46px]" : "text-figure leading-[68px]"}`}>
            {p.initials}
          </span>
          {p.licensedElectrical && (
            <span className="flex flex-col items-end gap-0.5 pt-1 text-small font-[600]">
              {small ? <span className="sr-only">licensed</span> : "licensed"} <LicensedMark />
            </span>
          )}
        </span>
        <span
          className={`block border-b border-current/30 font-[680] ${small ? "pb-0.5 text-body" : "pb-1.5 text-lead"}`}
        >
          {p.role}
        </span>
        {last.map((line) => (
          <span key={line} className={`block pt-1 ${small ? "text-small leading-[15px]" : "text-body leading-[17px]"}`}>
            {line}
          </span>
        ))}
      </span>
    </button>
  );
}
