import { useEffect, useId, useRef, useState } from "react";
import type { Shot } from "../../../away/shelf";
import type { PhotographOf, PhotographView } from "../../../api/types";
import { Sentence } from "../../../parts/States";
import { useMay } from "../../../parts/useMay";
import { timeOfDay } from "../../../text/timeOfDay";
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
  const { beside, again, fault, waiting, take, drop } = usePhotographs(job, of, subject);
  if (!beside) return fault ? <Sentence>{fault}</Sentence> : null;
  const all = [...beside.last, ...beside.now];
  const none = all.length + waiting.length === 0;
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
        {waiting.map((s) => (
          <KeptHere key={s.key} shot={s} drop={() => void drop(s.key)} />
        ))}
        {work.may && (
          <li>
            <label
              htmlFor={input}
              className={`flex h-[84px] w-[118px] cursor-pointer items-center justify-center border-[1.5px] border-dashed border-accent px-2 text-center text-body leading-[17px] font-[640] text-accent hover:bg-wash has-focus-visible:outline-2`}
            >
              {none ? "Take a photograph" : "Take the next"}
              <input
                id={input}
                type="file"
                accept="image/*"
                capture="environment"
                className="sr-only"
                onChange={(e) => {
                  const file = e.target.files?.[0];
                  if (file) void take(file);
                  e.target.value = "";
                }}
              />
            </label>
          </li>
        )}
      </ul>
      {fault && <Sentence>{fault}</Sentence>}
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

/** A photograph that this device keeps until the server takes it. */
function KeptHere({ shot, drop }: { shot: Shot; drop: () => void }) {
  const picture = useRef<HTMLImageElement>(null);
  useEffect(() => {
    const url = URL.createObjectURL(shot.picture);
    if (picture.current) picture.current.src = url;
    return () => URL.revokeObjectURL(url);
  }, [shot.picture]);
  return (
    <li className="w-[118px]">
      <span className="flex h-[84px] items-center justify-center overflow-hidden border-2 border-dashed border-accent bg-tray">
        <img
          ref={picture}
          alt={`Photograph of ${timeOfDay(shot.at)}, kept here`}
          className="h-full w-full object-cover"
        />
      </span>
      {shot.refused ? (
        <Sentence>{shot.refused}</Sentence>
      ) : (
        <span className="block truncate pt-0.5 text-small text-muted">kept here, {timeOfDay(shot.at)}</span>
      )}
      {shot.refused && (
        <button type="button" className="min-h-11 text-small underline" onClick={drop}>
          Remove it
        </button>
      )}
    </li>
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
