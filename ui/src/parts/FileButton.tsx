import { useRef, type ReactNode } from "react";

interface Props {
  className: string;
  /** What is asked for, for those who do not see the button. */
  label: string;
  /** Endings and media types, as an input takes them. */
  accept: string;
  disabled?: boolean;
  title?: string;
  onFile: (file: File) => void;
  children: ReactNode;
}

/** A button that asks for a file; the same file may be chosen again. */
export function FileButton({ className, label, accept, disabled, title, onFile, children }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button
        type="button"
        className={className}
        disabled={disabled}
        title={title}
        onClick={() => input.current?.click()}
      >
        {children}
      </button>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        aria-label={label}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = "";
          if (file) onFile(file);
        }}
      />
    </>
  );
}
