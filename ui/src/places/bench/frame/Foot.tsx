import { useState, type ReactNode } from "react";
import type { BenchLink } from "../../../api/useBench";
import type { BenchView, PhotographOf } from "../../../api/types";
import { Sentence } from "../../../parts/States";
import { useDraft } from "../../../parts/useDraft";
import { Photographs } from "../photographs/Photographs";
import { RestForm } from "./Rest";
import { useKey } from "./useKey";
import { TextInput } from "../../../parts/TextInput";

interface Props {
  link: BenchLink;
  view: BenchView;
  /** What the main button says; absent where the stage ends by itself. */
  main?: string;
  /** What is still missing, shown in the button. */
  missing?: string;
  disabled?: boolean;
  onMain?: () => void;
  /** What can be photographed here. */
  photograph?: { of: PhotographOf; subject: string; title: string };
  children?: ReactNode;
}

/** The row of things to press under every stage: back, note, record, and the one that goes on. */
export function Foot({ link, view, main, missing = "", disabled = false, onMain, photograph, children }: Props) {
  const [noting, setNoting] = useState(false);
  const [resting, setResting] = useState(false);
  const [photographing, setPhotographing] = useState(false);
  const back = () => {
    if (view.lastStep) void link.act({ kind: "STEP_UNDONE", step: view.lastStep });
  };
  useKey("Enter", "ctrlKey", () => {
    if (main && !disabled && !link.busy) onMain?.();
  });
  useKey("n", "altKey", () => setNoting(true));
  useKey("b", "altKey", back);
  return (
    <div className="sticky bottom-0 z-10 bg-paper px-5 pt-1.5 pb-2">
      <GeneralFaults link={link} />
      {resting && <RestForm link={link} id={view.id} close={() => setResting(false)} />}
      {noting && <Note link={link} id={view.id} close={() => setNoting(false)} />}
      {photographing && photograph && (
        <div className="max-h-[40vh] overflow-y-auto border-t border-ink pb-2">
          <Photographs key={photograph.subject} job={view.id} {...photograph} />
        </div>
      )}
      <div className="flex flex-wrap gap-2.5 max-[640px]:gap-2 max-[640px]:[&>.press:not(.go)]:h-12 max-[640px]:[&>.press:not(.go)]:flex-1 max-[640px]:[&>.press:not(.go)]:px-2">
        <button
          type="button"
          className="press h-[60px]"
          disabled={!view.lastStep || link.busy}
          onClick={back}
          title="Alt B: take the last step back"
        >
          Back
        </button>
        <button
          type="button"
          className="press h-[60px]"
          onClick={() => setNoting(!noting)}
          aria-expanded={noting}
          title="Alt N"
        >
          Note
        </button>
        {photograph && (
          <button
            type="button"
            className="press h-[60px]"
            onClick={() => setPhotographing(!photographing)}
            aria-expanded={photographing}
          >
            Photo
          </button>
        )}
        {view.stage !== "TAKE_IN" && (
          <button type="button" className="press h-[60px]" onClick={() => setResting(!resting)} aria-expanded={resting}>
            Pause
          </button>
        )}
        {children}
        {main && (
          <button
            type="button"
            className="press go flex h-[60px] min-w-[280px] flex-1 max-[640px]:basis-full items-center justify-between gap-4 px-[22px]"
            disabled={disabled || link.busy}
            onClick={onMain}
            title="Ctrl Enter"
          >
            <span className="text-left text-title max-[640px]:text-lead">{main}</span>
            <span className="max-w-[46%] text-right text-body leading-4 font-[560] text-pretty">{missing}</span>
          </button>
        )}
      </div>
    </div>
  );
}

function Note({ link, id, close }: { link: BenchLink; id: number; close: () => void }) {
  const [text, setText, clear] = useDraft(`${id}.note`);
  const record = async () => {
    if (await link.act({ kind: "NOTED", text })) {
      clear();
      close();
    }
  };
  return (
    <form
      className="flex gap-2.5 pb-2.5"
      onSubmit={(e) => {
        e.preventDefault();
        void record();
      }}
    >
      <TextInput
        of="Noted.text"
        className="field flex-1"
        aria-label="Note"
        placeholder="What the record should say"
        typed={text}
        autoFocus
        onType={setText}
      />
      <button type="submit" className="press call" disabled={!text.trim() || link.busy}>
        Keep the note
      </button>
    </form>
  );
}

/** Paths of faults that no field of a stage shows. */
const GENERAL = new Set([
  "",
  "who",
  "step",
  "seen",
  "pass",
  "check",
  "hazard",
  "confirmation",
  "stage",
  "test",
  "text",
  "signer",
  "signedOff",
]);

/** Faults that belong to no field of the screen. */
function GeneralFaults({ link }: { link: BenchLink }) {
  return link.faults
    .filter((f) => GENERAL.has(f.path))
    .map((f) => <Sentence key={f.path + f.message}>{f.message}</Sentence>);
}
