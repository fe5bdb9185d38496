/** Sheets that printers take. */
export const PAPERS = {
  a4: { widthMm: 210, heightMm: 297 },
  letter: { widthMm: 215.9, heightMm: 279.4 },
} as const;

export type PaperName = keyof typeof PAPERS;

export const PAPER_NAMES = Object.keys(PAPERS) as PaperName[];

/** Points of a page in one millimetre. */
export const PT_PER_MM = 72 / 25.4;
