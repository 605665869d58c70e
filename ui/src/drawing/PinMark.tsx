import type { ReactNode } from "react";
import type { PinMark as Mark } from "../api/types";

/** Marks of cautions that stay in sight: each reads without its word. */
export function PinMark({ mark, size = 30 }: { mark: Mark; size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 40 40" className="shrink-0" aria-hidden>
      <rect width="40" height="40" fill="var(--ink)" />
      <g fill="none" stroke="var(--card)" strokeWidth="2.4" strokeLinejoin="round">
        {DRAWN[mark]}
      </g>
    </svg>
  );
}

const DRAWN: Record<Mark, ReactNode> = {
  // two pole bars drawn at each other, the field closing round them
  magnet: (
    <>
      <path d="M9,10C13,4.6 27,4.6 31,10M9,30C13,35.4 27,35.4 31,30" />
      <path d="M5,13H11V27H5ZM29,13H35V27H29Z" fill="var(--card)" />
      <path d="M13,20H18M22,20H27M16,17.5L19,20L16,22.5M24,17.5L21,20L24,22.5" />
    </>
  ),
  // a plug drawn out of its socket
  mains: (
    <>
      <path d="M6,20H13V13H21V27H13V20M21,16H26M21,24H26" />
      <path d="M30,12H35V28H30Z" />
    </>
  ),
  // a vessel with its wall bulging
  pressure: (
    <>
      <path d="M12,6H28M12,34H28M12,6C5,14 5,26 12,34M28,6C35,14 35,26 28,34" />
      <path d="M20,20H13M20,20H27M20,20V13M20,20V27" />
    </>
  ),
  air: (
    <>
      <path d="M5,14H24C29,14 29,7 24,7M5,20H31C36,20 36,27 31,27M5,26H22C27,26 27,33 22,33" />
    </>
  ),
  spring: <path d="M10,6H30M10,34H30M12,9L28,13L12,17L28,21L12,25L28,29L12,32" />,
  weight: (
    <>
      <path d="M10,16H30L34,34H6Z" fill="var(--card)" />
      <path d="M20,16V10M15,10A5,5 0 1 1 25,10" />
    </>
  ),
  // a tile parted by a crack
  brittle: (
    <>
      <path d="M6,6H21L16,15L22,22L15,34H6Z" />
      <path d="M26,6H34V34H21L28,22L22,15Z" fill="var(--card)" />
    </>
  ),
};
