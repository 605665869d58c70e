import { Dialog, DialogPanel, DialogTitle } from "@headlessui/react";
import { useEffect, useEffectEvent, useRef, useState } from "react";
import { prepareZXingModule, readBarcodes } from "zxing-wasm/reader";
import decoder from "zxing-wasm/reader/zxing_reader.wasm?url";
import { Sentence } from "./States";

// The decoder ships with the screens: nothing is fetched from anywhere else.
prepareZXingModule({ overrides: { locateFile: () => decoder } });

/** How often a picture of the camera is looked at, ms. */
const LOOK_EVERY_MS = 200;

/** Longer side of the picture that is looked at, pixels: a label held at arm's length fills as many. */
const LONG_SIDE = 960;

/** What stands on a label in the picture; empty where none is read. */
async function read(video: HTMLVideoElement, canvas: HTMLCanvasElement): Promise<string> {
  const scale = Math.min(1, LONG_SIDE / Math.max(video.videoWidth, video.videoHeight));
  canvas.width = Math.round(video.videoWidth * scale);
  canvas.height = Math.round(video.videoHeight * scale);
  const drawing = canvas.getContext("2d", { willReadFrequently: true });
  if (!drawing || canvas.width === 0) return "";
  drawing.drawImage(video, 0, 0, canvas.width, canvas.height);
  const found = await readBarcodes(drawing.getImageData(0, 0, canvas.width, canvas.height), {
    formats: ["QRCode", "DataMatrix", "Code128"],
    maxNumberOfSymbols: 1,
  });
  return found[0]?.text.trim() ?? "";
}

/** The tablet's camera as a scanner: it reads the code of a label that is held before it. */
export default function CameraReader({ onRead, close }: { onRead: (code: string) => void; close: () => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [fault, setFault] = useState("");
  const found = useEffectEvent(onRead);
  useEffect(() => {
    let stream: MediaStream | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let gone = false;
    const canvas = document.createElement("canvas");
    const look = async () => {
      const code = video.current ? await read(video.current, canvas) : "";
      if (gone) return;
      if (code) found(code);
      else timer = setTimeout(() => void look(), LOOK_EVERY_MS);
    };
    const begin = async () => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: "environment" }, audio: false });
      } catch (e) {
        setFault(
          `No camera can be used here: ${e instanceof Error ? e.message : "it is shut"}. Type the code instead.`,
        );
        return;
      }
      if (gone || !video.current) {
        stream.getTracks().forEach((t) => t.stop());
        return;
      }
      video.current.srcObject = stream;
      await video.current.play().catch(() => undefined);
      void look();
    };
    void begin();
    return () => {
      gone = true;
      clearTimeout(timer);
      stream?.getTracks().forEach((t) => t.stop());
    };
  }, []);
  return (
    <Dialog open onClose={close} className="relative z-40">
      <div className="fixed inset-0 veil" aria-hidden />
      <div className="fixed inset-0 flex items-center justify-center overflow-auto p-4">
        <DialogPanel className="w-full max-w-[640px] border-[1.5px] border-ink bg-card">
          <DialogTitle className="border-b-[1.5px] border-ink px-5 py-3 text-title font-[700]">
            Hold the label before the camera
          </DialogTitle>
          {fault ? (
            <div className="px-5 py-3">
              <Sentence>{fault}</Sentence>
            </div>
          ) : (
            <video ref={video} className="block aspect-4/3 w-full bg-tray object-cover" muted playsInline />
          )}
          <p className="px-5 py-2 text-body text-soft">
            A pump, a lot, a kept part or a job: what the code names opens. The picture stays on this device.
          </p>
          <div className="px-5 pb-4">
            <button type="button" className="press h-[60px] w-full" onClick={close}>
              Not now
            </button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
