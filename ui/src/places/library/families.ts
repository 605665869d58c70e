/** Families of constructions as they are called. */
export const FAMILIES: Record<string, string> = {
  "air-diaphragm": "Air-operated double-diaphragm",
  "linear-diaphragm": "Linear-motor diaphragm",
  "oil-diaphragm": "Oil-backed diaphragm",
  peristaltic: "Peristaltic",
  "progressing-cavity": "Progressing cavity",
  "magnetic-drive": "Magnetic drive",
  "rotary-lobe": "Rotary lobe",
  "mixer-drive": "Mixer drives",
};
