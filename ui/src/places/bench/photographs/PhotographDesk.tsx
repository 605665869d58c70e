import { Dialog, DialogPanel, DialogTitle } from "@headlessui/react";
import { useMutation } from "@tanstack/react-query";
import { useRef, useState, type PointerEvent } from "react";
import { api } from "../../../api/client";
import type { PhotographMark, PhotographView } from "../../../api/types";
import { Sentence } from "../../../parts/States";
import { TextInput } from "../../../parts/TextInput";
import { Marked, Marks } from "./Marked";
import { drawn, type Place } from "./marks";

const TOOLS = [
  ["ring", "Ring"],
  ["arrow", "Arrow"],
] as const;

interface Props {
  photograph: PhotographView;
  /** The same thing last time, where there is a photograph of it. */
  beside: PhotographView | undefined;
  lastDay: string;
  /** Whether it is of the job in hand, so that it may be drawn on and taken out. */
  mayDraw: boolean;
  changed: () => Promise<void>;
  close: () => void;
}

/** A photograph in large, drawn on with a finger, beside the same thing last time. */
export function PhotographDesk({ photograph: p, beside, lastDay, mayDraw, changed, close }: Props) {
  const [tool, setTool] = useState<PhotographMark["shape"]>("ring");
  const [marks, setMarks] = useState(p.marks);
  // A glove may touch it by chance, and a photograph that is out does not come back.
  const [surely, setSurely] = useState(false);
  const keep = useMutation({
    mutationFn: (all: PhotographMark[]) => api.markPhotograph(p.id, all),
    onSuccess: changed,
  });
  const remove = useMutation({
    mutationFn: () => api.removePhotograph(p.id),
    onSuccess: () => {
      close();
      return changed();
    },
  });
  const set = (all: PhotographMark[]) => {
    setMarks(all);
    keep.mutate(all);
  };
  const last = marks.at(-1);
  const error = keep.error ?? remove.error;
  return (
    <Dialog open onClose={close} className="relative z-40">
      <div className="fixed inset-0 overflow-y-auto bg-paper">
        <DialogPanel className="flex min-h-full flex-col">
          <div className="flex min-h-16 flex-wrap items-center gap-x-4 border-b border-ink px-5 py-1">
            <DialogTitle className="text-head leading-9 font-[680]">{p.title}</DialogTitle>
            <span className="text-body text-muted">
              {p.by}, {p.at}
            </span>
            <button type="button" className="press ml-auto h-12 px-5" onClick={close}>
              Back to the bench
            </button>
          </div>
          <div
            className={`grid flex-1 content-start gap-4 px-5 pt-4 ${beside ? "grid-cols-2 max-[760px]:grid-cols-1" : ""}`}
          >
            {beside && (
              <figure>
                <figcaption className="pb-1 text-body">
                  last time, <b className="font-[660]">{lastDay}</b>
                </figcaption>
                <Marked photograph={beside} className="max-h-[70vh] w-full border border-ink" />
              </figure>
            )}
            <figure className="min-w-0">
              {beside && <figcaption className="pb-1 text-body font-[660]">this time</figcaption>}
              <DrawnOn photograph={p} marks={marks} tool={mayDraw ? tool : null} add={(m) => set([...marks, m])} />
            </figure>
          </div>
          {error && (
            <div className="px-5">
              <Sentence>{error.message}</Sentence>
            </div>
          )}
          {mayDraw && (
            <div className="sticky bottom-0 flex flex-wrap items-center gap-2.5 bg-paper px-5 pt-2 pb-3">
              <div className="flex gap-2.5" role="group" aria-label="Draw with a finger">
                {TOOLS.map(([shape, name]) => (
                  <button
                    key={shape}
                    type="button"
                    aria-pressed={tool === shape}
                    className={`press h-14 px-5 ${tool === shape ? "call bg-wash" : ""}`}
                    onClick={() => setTool(shape)}
                  >
                    {name}
                  </button>
                ))}
              </div>
              <button
                type="button"
                className="press h-14 px-5"
                disabled={marks.length === 0}
                onClick={() => set(marks.slice(0, -1))}
              >
                Rub out the last
              </button>
              {last && (
                <TextInput
                  key={marks.length}
                  of="PhotographMark.label"
                  className="field h-14 min-w-[200px] flex-1"
                  aria-label="Words beside the last mark"
                  placeholder="What it shows, beside the last mark"
                  typed={last.label}
                  onType={(label) => setMarks([...marks.slice(0, -1), { ...last, label }])}
                  onBlur={() => keep.mutate(marks)}
                />
              )}
              <button
                type="button"
                className="press ml-auto h-14 px-5"
                disabled={remove.isPending}
                onClick={() => (surely ? remove.mutate() : setSurely(true))}
                onBlur={() => setSurely(false)}
              >
                {surely ? "Yes, out for good" : "Take this photograph out"}
              </button>
            </div>
          )}
        </DialogPanel>
      </div>
    </Dialog>
  );
}

interface DrawnOnProps {
  photograph: PhotographView;
  marks: PhotographMark[];
  /** What a finger draws; null where nothing may be drawn. */
  tool: PhotographMark["shape"] | null;
  add: (mark: PhotographMark) => void;
}

function DrawnOn({ photograph: p, marks, tool, add }: DrawnOnProps) {
  const picture = useRef<SVGSVGElement>(null);
  const [from, setFrom] = useState<Place | null>(null);
  const [to, setTo] = useState<Place | null>(null);
  const place = (e: PointerEvent): Place => {
    const matrix = picture.current?.getScreenCTM()?.inverse();
    const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix);
    return { x: at.x, y: at.y };
  };
  const underFinger = tool && from && to ? drawn(tool, from, to, p) : null;
  return (
    <svg
      ref={picture}
      viewBox={`0 0 ${p.width} ${p.height}`}
      className={`max-h-[70vh] w-full touch-none border border-ink bg-tray ${tool ? "cursor-crosshair" : ""}`}
      role="img"
      aria-label={`${p.title}, ${p.at}`}
      onPointerDown={(e) => {
        if (!tool) return;
        e.currentTarget.setPointerCapture(e.pointerId);
        setFrom(place(e));
        setTo(place(e));
      }}
      onPointerMove={(e) => {
        if (from) setTo(place(e));
      }}
      onPointerUp={() => {
        if (underFinger) add(underFinger);
        setFrom(null);
        setTo(null);
      }}
      onPointerCancel={() => setFrom(null)}
    >
      <image href={`/api/v1/photographs/${p.id}.jpg`} width={p.width} height={p.height} />
      <Marks marks={underFinger ? [...marks, underFinger] : marks} width={p.width} height={p.height} />
    </svg>
  );
}
