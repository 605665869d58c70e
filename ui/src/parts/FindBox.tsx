import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from "@headlessui/react";
import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { lazy, Suspense, useEffect, useRef, useState, type KeyboardEvent } from "react";
import { useNavigate } from "react-router";
import { api } from "../api/client";
import type { Found } from "../api/types";
import { inSentence } from "../text/numbers";

const KINDS: Record<Found["kind"], { say: string; at: (leads: string) => string }> = {
  pump: { say: "pump", at: (tag) => `/pumps/${tag}` },
  unit: { say: "unit", at: (tag) => `/pumps/${tag}` },
  "spare-unit": { say: "unit on the shelf", at: () => "/stores" },
  lot: { say: "lot", at: (id) => `/stores?lot=${id}` },
  "kept-part": { say: "kept part", at: (id) => `/stores?lot=${id}` },
  rebuild: { say: "job", at: (id) => `/bench/${id}` },
  person: { say: "person", at: () => "/people" },
  fluid: { say: "fluid", at: (code) => `/library/materials/${code}` },
  material: { say: "material", at: (code) => `/api/v1/materials/sheets/${code}.pdf` },
  sheet: { say: "sheet", at: (id) => `/library/${id}` },
  gauge: { say: "gauge", at: () => "/library/gauges" },
  wrench: { say: "wrench", at: () => "/setup/wrenches" },
};

/** A kept part is scanned from its label before anybody has asked for it: the shelf opens it. */
const SHELF_LABEL = /^(L|K)-[0-9]+$/;

/** A browser lends its camera only to a page that came over a safe address. */
const CAMERA = typeof navigator !== "undefined" && "mediaDevices" in navigator;

// The decoder is fetched when somebody first reads with the camera.
const CameraReader = lazy(() => import("./CameraReader"));

function CodeMark() {
  return (
    <svg width="22" height="18" viewBox="0 0 22 18" fill="none" stroke="var(--ink)" strokeWidth="1.5" aria-hidden>
      <path d="M1,5V1H5M17,1H21V5M21,13V17H17M5,17H1V13" />
      <path d="M6,5V13M9,5V13M11.5,5V13M16,5V13" strokeWidth="1.6" />
      <path d="M13.5,5V13" strokeWidth="0.9" />
    </svg>
  );
}

const query = (word: string) => ({
  queryKey: ["find", word],
  queryFn: () => api.findAnything(word),
  staleTime: 5_000,
});

/**
 * Finds anything of the shop by a part of what it is called. A scanner types a code and Enter: that
 * opens what the code names. The key "/" comes here from anywhere.
 */
export function FindBox() {
  const [word, setWord] = useState("");
  const [miss, setMiss] = useState("");
  const [reading, setReading] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const go = useNavigate();
  const cache = useQueryClient();
  const wanted = word.trim();
  const found = useQuery({ ...query(wanted), enabled: wanted !== "", placeholderData: keepPreviousData });
  const list = wanted ? (found.data ?? []) : [];
  useEffect(() => {
    const slash = (e: globalThis.KeyboardEvent) => {
      const typing = e.target instanceof HTMLElement && e.target.closest("input, textarea, select, [contenteditable]");
      if (e.key !== "/" || typing || e.ctrlKey || e.metaKey || e.altKey) return;
      e.preventDefault();
      input.current?.focus();
    };
    addEventListener("keydown", slash);
    return () => removeEventListener("keydown", slash);
  }, []);
  const open = (f: Found) => {
    setWord("");
    setMiss("");
    input.current?.blur();
    const address = KINDS[f.kind].at(encodeURIComponent(f.leads));
    if (address.endsWith(".pdf")) window.open(address, "_blank", "noreferrer");
    else void go(address);
  };
  // Where the list stands, Enter takes from it; a scanner's comes right behind the last letter.
  const enter = (e: KeyboardEvent) => {
    const stands = list.length > 0 && !found.isPlaceholderData;
    if (e.key !== "Enter" || !wanted || stands) return;
    e.preventDefault();
    void openCode(wanted);
  };
  const openCode = async (code: string) => {
    const first = (await cache.fetchQuery(query(code)).catch(() => []))[0];
    if (first) open(first);
    else if (SHELF_LABEL.test(code.toUpperCase())) {
      setWord("");
      void go(`/stores?lot=${code.toUpperCase()}`);
    } else setMiss(`Nothing here is called ${code.slice(0, 30)}.`);
  };
  const read = (code: string) => {
    setReading(false);
    setWord(code);
    void openCode(code);
  };
  return (
    <div className="relative flex w-[206px] items-center gap-2.5 border-l border-line px-3.5 max-[760px]:order-last max-[760px]:min-w-0 max-[760px]:flex-1 max-[760px]:basis-[calc(100%-132px)] max-[760px]:border-t max-[760px]:border-l-0">
      {CAMERA ? (
        <button
          type="button"
          className="-mx-2 flex h-11 w-10 shrink-0 items-center justify-center"
          aria-label="Read a code with the camera"
          title="Read a code with the camera"
          onClick={() => setReading(true)}
        >
          <CodeMark />
        </button>
      ) : (
        <CodeMark />
      )}
      <Combobox<Found | null> value={null} onChange={(f) => f && open(f)}>
        <ComboboxInput
          ref={input}
          aria-label="Scan or find anything"
          placeholder="Scan or find"
          className="h-11 w-full bg-transparent text-body"
          autoComplete="off"
          displayValue={() => word}
          value={word}
          onChange={(e) => {
            setWord(e.target.value);
            setMiss("");
          }}
          onKeyDown={enter}
        />
        <ComboboxOptions
          anchor={{ to: "bottom end", gap: 3 }}
          className="z-30 max-h-[70vh] w-[430px] max-w-[94vw] overflow-auto border-[1.5px] border-ink bg-card outline-none empty:hidden"
        >
          {list.map((f) => (
            <ComboboxOption
              key={`${f.kind} ${f.code} ${f.leads}`}
              value={f}
              className="grid min-h-12 cursor-pointer grid-cols-[74px_minmax(0,1fr)] items-center gap-3 border-b border-line2 px-3 py-1.5 text-body data-focus:bg-wash"
            >
              <span className="text-small text-soft">{KINDS[f.kind].say}</span>
              <span className="min-w-0">
                <b className="font-[680]">{f.kind === "rebuild" ? `${f.title}, job ${f.code}` : f.code}</b>
                <span className="block truncate text-small text-soft">
                  {(f.kind === "rebuild" ? [f.beside] : [f.title, f.beside]).filter(Boolean).map(inSentence).join(", ")}
                </span>
              </span>
            </ComboboxOption>
          ))}
        </ComboboxOptions>
      </Combobox>
      {reading && (
        <Suspense>
          <CameraReader onRead={read} close={() => setReading(false)} />
        </Suspense>
      )}
      {miss && (
        <p role="alert" className="absolute top-12 right-0 left-0 z-20 border border-ink bg-card p-3 text-body">
          {miss}
        </p>
      )}
    </div>
  );
}
