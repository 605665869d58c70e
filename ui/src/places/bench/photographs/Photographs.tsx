import { useId, useState } from "react";
import type { PhotographOf, PhotographView } from "../../../api/types";
import { Sentence } from "../../../parts/States";
import { useMay } from "../../../parts/useMay";
import { Marked } from "./Marked";
import { PhotographDesk } from "./PhotographDesk";
import { usePhotographs } from "./usePhotographs";

interface Props {
  job: number;
  of: PhotographOf;
  subject: string;
  /** What is photographed, as it stands in a sentence. */
  title: string;
}

/** The photographs of a part, a step or an energy: those of last time, those of now, and the next. */
export function Photographs({ job, of, subject, title }: Props) {
  const work = useMay("work");
  const [open, setOpen] = useState<number | null>(null);
  const input = useId();
  const { beside, again, error, busy, take, sendAgain } = usePhotographs(job, of, subject);
  if (!beside) return error ? <Sentence>{error.message}</Sentence> : null;
  const all = [...beside.last, ...beside.now];
  const shown = all.find((p) => p.id === open);
  return (
    <section aria-label={`Photographs of ${title}`} className="pt-2">
      <ul className="flex flex-wrap gap-2">
        {beside.last.map((p) => (
          <Tile key={p.id} photograph={p} says={`last time, ${beside.lastDay}`} open={() => setOpen(p.id)} />
        ))}
        {beside.now.map((p) => (
          <Tile key={p.id} photograph={p} says={`${p.by}, ${p.at.slice(-5)}`} now open={() => setOpen(p.id)} />
        ))}
        {work.may && (
          <li>
            <label
              htmlFor={input}
              className={`flex h-[84px] w-[118px] cursor-pointer items-center justify-center border-[1.5px] border-dashed border-accent px-2 text-center text-body leading-[17px] font-[640] text-accent hover:bg-wash has-focus-visible:outline-2 ${busy ? "opacity-60" : ""}`}
            >
              {busy ? "Sending" : all.length === 0 ? "Take a photograph" : "Take the next"}
              <input
                id={input}
                type="file"
                accept="image/*"
                capture="environment"
                className="sr-only"
                disabled={busy}
                onChange={(e) => {
                  const file = e.target.files?.[0];
                  if (file) take(file);
                  e.target.value = "";
                }}
              />
            </label>
          </li>
        )}
      </ul>
      {error && <Sentence>{error.message}</Sentence>}
      {sendAgain && (
        <button type="button" className="press call mt-2 px-4" onClick={sendAgain}>
          Send the photograph again
        </button>
      )}
      {shown && (
        <PhotographDesk
          key={shown.id}
          photograph={shown}
          beside={beside.now.includes(shown) ? beside.last.at(-1) : undefined}
          lastDay={beside.lastDay}
          mayDraw={work.may && beside.now.includes(shown)}
          changed={again}
          close={() => setOpen(null)}
        />
      )}
    </section>
  );
}

function Tile({
  photograph: p,
  says,
  now = false,
  open,
}: {
  photograph: PhotographView;
  says: string;
  now?: boolean;
  open: () => void;
}) {
  return (
    <li>
      <button type="button" onClick={open} className="block w-[118px] text-left">
        <span
          className={`flex h-[84px] items-center justify-center overflow-hidden bg-tray ${now ? "border-2 border-accent" : "border border-ink"}`}
        >
          <Marked photograph={p} className="h-full w-full" fills />
        </span>
        <span className="block truncate pt-0.5 text-small text-muted">{says}</span>
      </button>
    </li>
  );
}
