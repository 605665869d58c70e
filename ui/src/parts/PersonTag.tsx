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
}

/** A person's tag on the rail: the hanger, the initials, what they do. */
export function PersonTag({ person: p, chosen, onChoose, last, disabled = false }: PersonTagProps) {
  return (
    <button
      type="button"
      aria-pressed={chosen}
      aria-label={`${p.initials}, ${p.role}`}
      disabled={disabled}
      onClick={onChoose}
      className={`relative w-[188px] pt-[52px] text-left ${chosen ? "text-go-words" : disabled ? "text-muted" : "text-ink"}`}
    >
      <svg width="188" height="254" viewBox="0 0 188 254" className="absolute top-0 left-0" aria-hidden>
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
      <span className="relative block h-[202px] px-4 pt-3">
        <span className="flex items-start justify-between">
          <span className="tag text-figure leading-[68px]">{p.initials}</span>
          {p.licensedElectrical && (
            <span className="flex flex-col items-end gap-0.5 pt-1 text-small font-[600]">
              licensed <LicensedMark />
            </span>
          )}
        </span>
        <span className="block border-b border-current/30 pb-1.5 text-lead font-[680]">{p.role}</span>
        {last.map((line) => (
          <span key={line} className="block pt-1 text-body leading-[17px]">
            {line}
          </span>
        ))}
      </span>
    </button>
  );
}
